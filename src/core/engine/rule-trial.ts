import type { MarkFact } from "../checks/check.ts";
import { RuleBook, type RuledBlock } from "../checks/house/rule-book.ts";
import type { HouseRule, Rule, RuleExample } from "../house/rules.ts";
import { type AnalysedBlock, analyse, type Language } from "../language/analysis.ts";
import { structureOf } from "../language/text/structure.ts";
import { groupedByBlock, relative } from "../manuscript/by-block.ts";
import { applyEdits } from "../manuscript/edits.ts";
import { linesManuscript } from "../manuscript/lines.ts";
import type { Edit, Kind, Manuscript, Span, Variety } from "../manuscript/model.ts";
import { Engine } from "./engine.ts";

/** A place where a rule that is being written would speak; offsets in the document. */
export interface TrialPlace {
  from: number;
  to: number;
  before: string;
  text: string;
  after: string;
  /** What would stand there; null where the rule has nothing to put in. */
  insert: string | null;
}

export interface Trial {
  count: number;
  /** The first places. */
  places: TrialPlace[];
  /** Why the rule can't be followed; null where it can. */
  refused: string | null;
  /** All blocks have been looked at. */
  isWhole: boolean;
}

interface TrialSettings {
  kind: Kind;
  variety: Variety;
}

const SHOWN = 12;
const CONTEXT = 48;
/** Analyses kept for the next letter typed. */
const MOST_KEPT = 4000;

/** Tries rules on one document as they are written: what is analysed for one is kept for the next. */
export class RuleTrials {
  private readonly spans: ReadonlyMap<number, Span[]>;
  private readonly analysed = new Map<number, AnalysedBlock>();

  constructor(
    private readonly manuscript: Pick<Manuscript, "text" | "blocks" | "spans">,
    private readonly language: Language,
    private readonly settings: TrialSettings,
  ) {
    this.spans = groupedByBlock(manuscript.spans, manuscript.blocks);
  }

  /** Looks for a rule, and yields what is found so far whenever a while has passed. */
  *places(rule: HouseRule, turnMs: number): Generator<Trial> {
    const found: Trial = { count: 0, places: [], refused: null, isWhole: false };
    const book = new RuleBook([asFinding(rule)], this.language, this.settings);
    const [refused] = book.refused;
    if (refused) {
      yield { ...found, refused: refused.sentence, isWhole: true };
      return;
    }
    const { text, blocks } = this.manuscript;
    let since = performance.now();
    for (const [index, block] of blocks.entries()) {
      const own = text.slice(block.from, block.to);
      for (const facts of book.find(this.ruled(index, own)).values()) {
        for (const fact of this.outsideCode(index, own, facts)) {
          found.count++;
          if (found.places.length < SHOWN) found.places.push(placeOf(fact, own, block.from));
        }
      }
      if (index % 64 === 63 && performance.now() - since > turnMs) {
        yield { ...found, places: [...found.places] };
        since = performance.now();
      }
    }
    const slow = book.tooSlow.length > 0 ? "This expression takes too long." : null;
    yield { ...found, refused: slow, isWhole: true };
  }

  /** How often each of many rules speaks, by their names: all in one walk, as a document is checked. */
  counts(rules: readonly HouseRule[]): Map<string, number> {
    const counts = new Map(rules.map(({ rule }) => [rule.id, 0]));
    const book = new RuleBook(rules.map(asFinding), this.language, this.settings);
    const { text, blocks } = this.manuscript;
    for (const [index, block] of blocks.entries()) {
      const own = text.slice(block.from, block.to);
      for (const facts of book.find(this.ruled(index, own)).values()) {
        for (const { group = "" } of this.outsideCode(index, own, facts)) {
          const id = group.slice(group.lastIndexOf("/") + 1);
          counts.set(id, (counts.get(id) ?? 0) + 1);
        }
      }
    }
    return counts;
  }

  private ruled(index: number, text: string): RuledBlock {
    const { kind = "paragraph" } = this.manuscript.blocks[index] ?? {};
    return { kind, text, code: [], analysed: () => this.analysis(index, text) };
  }

  private analysis(index: number, text: string): AnalysedBlock {
    const known = this.analysed.get(index);
    if (known) return known;
    const block = this.manuscript.blocks[index];
    const kind = block?.kind ?? "paragraph";
    const made = analyse(kind, text, this.spansOf(index), this.language);
    if (this.analysed.size < MOST_KEPT) this.analysed.set(index, made);
    return made;
  }

  private spansOf(index: number): Span[] {
    const { from = 0 } = this.manuscript.blocks[index] ?? {};
    return relative(this.spans.get(index) ?? [], from);
  }

  /** Most blocks have nothing found in them, so only of the others it is asked what they are. */
  private outsideCode(
    index: number,
    text: string,
    facts: readonly MarkFact[],
  ): readonly MarkFact[] {
    const { kind = "paragraph" } = this.manuscript.blocks[index] ?? {};
    const { shape, code } = structureOf(kind, text, this.spansOf(index), []);
    if (shape !== "text") return [];
    return facts.filter((fact) => !code.some(({ from, to }) => from < fact.to && to > fact.from));
  }
}

/** A rule that finds nothing by itself, as one that finds what it is about: the uses of an abbreviation. */
function asFinding({ rule, house }: HouseRule): HouseRule {
  if (rule.type !== "abbreviation") return { rule, house };
  const { id, short, scope } = rule;
  const uses: Rule = {
    id,
    type: "term",
    not: [short],
    use: [],
    inflects: false,
    exactCapitals: true,
    exceptions: [],
    ...(scope ? { scope } : {}),
  };
  return { rule: uses, house };
}

function placeOf({ from, to, choices }: MarkFact, text: string, start: number): TrialPlace {
  const own = choices[0]?.edits.find((edit) => edit.from === from && edit.to === to);
  return {
    from: start + from,
    to: start + to,
    before: text.slice(Math.max(0, from - CONTEXT), from),
    text: text.slice(from, to),
    after: text.slice(to, to + CONTEXT),
    insert: own?.insert ?? null,
  };
}

/** What became of an example of a rule. */
export interface ExampleOutcome {
  isRight: boolean;
  /** What the rule makes of it; null where it marks nothing. */
  made: string | null;
}

/** Tries a rule on its right and wrong sentences. */
export function tryExamples(
  rule: HouseRule,
  examples: readonly RuleExample[],
  language: Language,
  { kind, variety }: TrialSettings,
): ExampleOutcome[] {
  return examples.map((example) => {
    const text = "leave" in example ? example.leave : example.wrong;
    const engine = new Engine(linesManuscript(text), language, {
      kind,
      variety,
      appetites: {},
      words: [],
      rules: [rule],
    });
    for (const _done of engine.examineAll(["wording", "consistency"]));
    const marks = engine.allMarks().filter(({ rule: id, group }) => {
      if (rule.rule.type === "form") return group === rule.rule.of || id === checkOf(rule.rule.of);
      return group.endsWith(`:${rule.house}/${rule.rule.id}`);
    });
    const edits: Edit[] = [];
    for (const mark of marks) {
      const [first] = engine.choices(mark);
      const start = engine.blockRange(mark.block).from;
      for (const edit of first?.edits ?? []) {
        edits.push({ ...edit, from: edit.from + start, to: edit.to + start });
      }
    }
    const made = marks.length === 0 ? null : applyEdits(text, edits);
    if ("leave" in example) return { isRight: made === null, made };
    const { right } = example;
    return { isRight: made !== null && (right === undefined || made === right), made };
  });
}

/** How many sentences of each rule it does not treat as they say, by the rules' ids; rules with none are left out. */
export function failingExamples(
  rules: readonly HouseRule[],
  language: Language,
  settings: TrialSettings,
): Map<string, number> {
  const failing = new Map<string, number>();
  for (const house of rules) {
    const { id, examples = [], off } = house.rule;
    if (off) continue;
    const outcomes = tryExamples(house, examples, language, settings);
    const gone = outcomes.filter(({ isRight }) => !isRight).length;
    if (gone > 0) failing.set(id, gone);
  }
  return failing;
}

function checkOf(group: string): string {
  return group.slice(0, group.indexOf(":"));
}
