import {
  type Appetite,
  type Check,
  type Choice,
  type Circumstances,
  type Fact,
  type Finding,
  type MarkFact,
  PASSES,
  type Pass,
  type PlacedFact,
  type Weight,
} from "./checks/check.ts";
import { CHECKS, checkById } from "./checks/index.ts";
import { appetiteFor } from "./checks/kinds.ts";
import { LEAVE_BITS, type Leave, leftAlone } from "./checks/leave.ts";
import { matchesOf } from "./checks/patterns/all-patterns.ts";
import type { Match } from "./checks/patterns/matcher.ts";
import { clipped, type Examined, joined } from "./examined.ts";
import { type AnalysedBlock, analyse, type Language } from "./language/analysis.ts";
import type { SoundRule, Vocabulary } from "./language/corrections.ts";
import { respell } from "./language/respell.ts";
import { DocumentVocabulary } from "./language/vocabulary.ts";
import { LONGEST_WHOLE, windowsOf } from "./language/windows.ts";
import { applyEdits, moveEdits } from "./manuscript/edits.ts";
import { blockIndexAt, copyLayout, shiftBlocks, shiftSpans } from "./manuscript/layout.ts";
import type {
  Block,
  BlockKind,
  Edit,
  Kind,
  Manuscript,
  Span,
  Variety,
} from "./manuscript/model.ts";
import { addCounts, type Counts, countBlock, NO_COUNTS, WORDS_A_PAGE } from "./readings/counts.ts";

/** One finding at one place. Offsets are in the text of its block, so that edits elsewhere keep it. */
export interface Mark {
  id: string;
  rule: string;
  pass: Pass;
  weight: Weight;
  code: string;
  block: number;
  from: number;
  to: number;
  /** The marked text. */
  text: string;
  reason: string;
  group: string;
  /** The group's first place stands for this one: it is listed there, and carries no mark. */
  follows: boolean;
}

/** What to check, and how. */
export interface CheckSettings {
  variety: Variety;
  kind: Kind;
  /** How much of each check is wanted, by its id, where it is not as the kind of copy has it. */
  appetites: Readonly<Record<string, Appetite>>;
  /** Words of the word lists, any case. */
  words: readonly string[];
  /** Ids of the shipped subject lists that count, for whoever holds these to add to the words. */
  subjects?: readonly string[];
  /** Kinds of unknown words left alone, or not, against the defaults of the kind of copy. */
  leave?: Readonly<Partial<Record<Leave, boolean>>>;
  soundRules?: readonly SoundRule[];
}

/** Marks of the blocks whose marks changed, by block number. */
export type MarkUpdate = Map<number, Mark[]>;

/** The checks of each pass with their order in CHECKS. */
const CHECKS_OF = Object.fromEntries(
  PASSES.map((pass) => [
    pass,
    CHECKS.flatMap((check, order) => (check.pass === pass ? [{ check, order }] : [])),
  ]),
) as Record<Pass, { check: Check; order: number }[]>;
const NO_MATCH: readonly Match[] = [];
const NO_FACTS: readonly Fact[] = [];
const NO_MATCHES: (readonly Match[] | undefined)[] = [];

/** Contents kept beyond the current ones, so that undoing an edit costs nothing. */
const SPARE_CACHE = 2000;
/** Blocks examined before others get a turn. */
const BATCH = 64;

/**
 * Runs the checks over a manuscript and keeps the marks up to date through edits. Each block is
 * examined once for each content it has had; judging runs over all facts after every change.
 */
export class Engine {
  private readonly blocks: Block[];
  private readonly spans: Span[];
  private readonly texts: string[];
  private examined: Examined[] = [];
  private marks: (readonly Mark[])[] = [];
  private readonly cache = new Map<string, Examined>();
  private readonly passes = new Set<Pass>();
  private readonly withheldMarks = new Map<string, number>();
  /** What checks found over all their facts, until text, settings or language data change. */
  private readonly judged = new Map<Check, readonly Finding[]>();
  private judgedWith: Language["trigrams"] = null;
  private words: ReadonlySet<string>;
  private vocabulary: DocumentVocabulary | null = null;

  constructor(
    manuscript: Pick<Manuscript, "text" | "blocks" | "spans">,
    private readonly language: Language,
    private settings: CheckSettings,
  ) {
    const { blocks, spans } = copyLayout(manuscript);
    this.blocks = blocks;
    this.spans = spans;
    this.texts = blocks.map(({ from, to }) => manuscript.text.slice(from, to));
    this.words = lowerCase(settings.words);
  }

  /**
   * Examines every block for some passes, beside those it was examined for before, a batch at a
   * time, and yields how many are done, so that the caller can report, let others run, or stop.
   * Marks are there once it has run to its end.
   */
  *examineAll(passes: readonly Pass[] = PASSES): Generator<number> {
    for (const pass of passes) this.passes.add(pass);
    const spansByBlock = this.groupSpans();
    for (let index = 0; index < this.blocks.length; index++) {
      this.examined[index] = this.examine(index, spansByBlock.get(index) ?? []);
      if (index % BATCH === BATCH - 1) yield index + 1;
    }
    this.judge();
    yield this.blocks.length;
  }

  /** How many marks of each check are not shown, since a page has enough of them. */
  withheld(): ReadonlyMap<string, number> {
    return this.withheldMarks;
  }

  /** Words, sentences and characters of the whole document. */
  counts(): Counts {
    return addCounts(this.examined.map(({ counts }) => counts));
  }

  /** Blocks in all. */
  get size(): number {
    return this.blocks.length;
  }

  /** All marks in reading order. */
  allMarks(): Mark[] {
    return this.marks.flat();
  }

  /** The block's text range in the document. */
  blockRange(index: number): { from: number; to: number } {
    const block = this.blocks[index];
    return { from: block?.from ?? 0, to: block?.to ?? 0 };
  }

  /** The block's text as it is now. */
  textOf(index: number): string {
    return this.texts[index] ?? "";
  }

  /**
   * Takes in edits (sorted, each inside one block) and re-checks what they touch. The blocks they lie
   * in are reported whether their marks are others or not: whoever moved marks through the edits may
   * have dropped some.
   */
  edit(edits: readonly Edit[]): MarkUpdate {
    const byBlock = new Map<number, Edit[]>();
    for (const edit of edits) {
      const index = blockIndexAt(this.blocks, edit.from);
      const own = byBlock.get(index);
      if (own) own.push(edit);
      else byBlock.set(index, [edit]);
    }
    for (const [index, own] of byBlock) {
      const { from } = this.blockRange(index);
      const before = this.texts[index] ?? "";
      const after = applyEdits(before, moveEdits(own, -from));
      this.texts[index] = after;
      this.vocabulary?.replace(before, after);
    }
    shiftBlocks(this.blocks, edits);
    shiftSpans(this.spans, edits);
    for (const index of byBlock.keys()) {
      this.examined[index] = this.examine(index, this.spansOf(index));
    }
    this.trimCache();
    this.judged.clear();
    return this.judge(byBlock.keys());
  }

  /** Changes what is checked; blocks need no second look. */
  configure(settings: CheckSettings): MarkUpdate {
    if (settings.words !== this.settings.words) {
      this.words = lowerCase(settings.words);
      this.vocabulary = null;
    }
    this.settings = settings;
    this.judged.clear();
    return this.judge();
  }

  /** The ways to mend a mark, worked out when asked for. Offsets in the block's text. */
  choices(mark: Pick<Mark, "rule" | "block" | "from" | "to">): Choice[] {
    const check = checkById(mark.rule);
    if (check?.choose) {
      const finding: Finding = { block: mark.block, from: mark.from, to: mark.to, reason: "" };
      return check.choose(this.texts[mark.block] ?? "", finding, this.circumstances());
    }
    const order = CHECKS.findIndex(({ id }) => id === mark.rule);
    const facts = (this.examined[mark.block]?.facts[order] ?? []) as readonly MarkFact[];
    const fact = facts.find(({ from, to }) => from === mark.from && to === mark.to);
    return (fact?.choices ?? []).map((choice) => this.inVariety(choice));
  }

  /** A choice as the document's variety spells it. */
  private inVariety(choice: Choice): Choice {
    const spell = (text: string) => respell(text, this.settings.variety, this.language.lexicon);
    const edits = choice.edits.map((edit) => ({ ...edit, insert: spell(edit.insert) }));
    return { ...choice, label: spell(choice.label), edits };
  }

  private examine(index: number, spans: Span[]): Examined {
    const block = this.blocks[index];
    if (!block) return { analysed: null, facts: [], read: [], counts: NO_COUNTS };
    const text = this.texts[index] ?? "";
    const own = spans.map((span) => ({
      ...span,
      from: span.from - block.from,
      to: span.to - block.from,
    }));
    if (text.length <= LONGEST_WHOLE) return this.examineText(block.kind, text, own, false);
    const windows = windowsOf(text);
    const parts = windows.map(({ from, to }) =>
      this.examineText(block.kind, text.slice(from, to), clipped(own, from, to), true),
    );
    return joined(parts, windows);
  }

  /** Examines a block's text, or one window of it. */
  private examineText(kind: BlockKind, text: string, spans: Span[], part: boolean): Examined {
    const code = spans.filter((span) => span.kind === "code");
    const places = code.map(({ from, to }) => `${from}-${to}`);
    const key = `${kind}\u0000${part ? "part" : ""}\u0000${places}\u0000${text}`;
    const again = () => ({ ...analyse(kind, text, spans, this.language), part });
    let examined = this.cache.get(key);
    if (!examined) {
      const analysed = again();
      examined = { analysed, facts: [], read: [], counts: countBlock(analysed) };
      this.cache.set(key, examined);
    }
    this.readFor(examined, again);
    return examined;
  }

  /** Runs the checks of the passes asked for that have not read a block yet. */
  private readFor(examined: Examined, again: () => AnalysedBlock): void {
    const { facts, read } = examined;
    const lacking = [...this.passes].filter((pass) => !read.includes(pass));
    if (lacking.length > 0) {
      const analysed = examined.analysed ?? again();
      const patterned = lacking.some((pass) => pass !== "spelling");
      const matches = patterned ? matchesOf(analysed, this.language) : NO_MATCHES;
      for (const pass of lacking) {
        for (const { check, order } of CHECKS_OF[pass]) {
          const own = matches[order];
          facts[order] =
            check.needsMatches && !own
              ? NO_FACTS
              : check.examine(analysed, this.language, own ?? NO_MATCH);
        }
      }
      read.push(...lacking);
    }
    if (read.length === PASSES.length) examined.analysed = null;
  }

  private circumstances(): Circumstances {
    const { variety, kind, leave, soundRules } = this.settings;
    return {
      blocks: this.blocks,
      variety,
      kind,
      words: this.words,
      language: this.language,
      leave: leftAlone(kind, leave ?? {}),
      vocabulary: () => this.vocabularyNow(),
      soundRules: soundRules ?? [],
    };
  }

  /** Made when first asked for after a change. */
  private vocabularyNow(): Vocabulary {
    this.vocabulary ??= new DocumentVocabulary(
      this.texts,
      this.settings.words,
      this.language.lexicon,
    );
    return this.vocabulary;
  }

  private judge(reported: Iterable<number> = []): MarkUpdate {
    const circumstances = this.circumstances();
    const next: Mark[][] = this.blocks.map(() => []);
    this.withheldMarks.clear();
    const pages = this.pageOfBlocks();
    for (const [order, check] of CHECKS.entries()) {
      if (!this.passes.has(check.pass)) continue;
      const appetite = appetiteFor(check, this.settings);
      if (appetite === "off") continue;
      const room = new PageRoom(check.aPage ?? 0);
      const place = (finding: Omit<Finding, "block">, block: number) => {
        if (finding.unsure && appetite === "sure") return;
        if (check.aPage !== undefined && !finding.follows && !room.take(pages[block] ?? 0)) return;
        const text = this.texts[block] ?? "";
        next[block]?.push({
          id: "",
          rule: check.id,
          pass: check.pass,
          weight: finding.unsure && !check.judge ? "weigh" : (finding.weight ?? check.weight),
          code: check.code,
          block,
          from: finding.from,
          to: finding.to,
          text: text.slice(finding.from, finding.to),
          reason: finding.reason,
          follows: finding.follows ?? false,
          group: finding.group ?? `${check.id}:${block}:${finding.from}`,
        });
      };
      if (check.judge) {
        for (const finding of this.findingsOf(check, order, circumstances)) {
          place(finding, finding.block);
        }
      } else {
        const spares = check.sparesSpeech && (circumstances.leave & LEAVE_BITS.speech) !== 0;
        this.eachWithFacts(order, (facts, block) => {
          for (const fact of facts as readonly MarkFact[]) {
            if (!spares || !fact.quoted) place(fact, block);
          }
        });
      }
      if (room.withheld > 0) this.withheldMarks.set(check.id, room.withheld);
    }
    const update: MarkUpdate = new Map();
    const kept: (readonly Mark[])[] = next;
    for (const [index, marks] of next.entries()) {
      const before = this.marks[index] ?? NO_MARKS;
      if (marks.length === 0 && before.length === 0) continue;
      marks.sort((a, b) => a.from - b.from || a.to - b.to);
      name(marks, this.blocks[index]?.id ?? "");
      if (sameMarks(before, marks)) kept[index] = before;
      else update.set(index, marks);
    }
    this.marks = kept;
    for (const index of reported) update.set(index, next[index] ?? []);
    return update;
  }

  /** What a check that compares places finds; passes that come later change nothing of it. */
  private findingsOf(check: Check, order: number, circumstances: Circumstances) {
    if (this.judgedWith !== this.language.trigrams) this.judged.clear();
    this.judgedWith = this.language.trigrams;
    let findings = this.judged.get(check);
    if (!findings) {
      const placed: PlacedFact<Fact>[] = [];
      this.eachWithFacts(order, (facts, block) => {
        for (const fact of facts) placed.push({ block, fact });
      });
      findings = [...(check.judge?.(placed, circumstances) ?? [])];
      this.judged.set(check, findings);
    }
    return findings;
  }

  /** The facts of one check, block by block; most checks have none in most blocks. */
  private eachWithFacts(order: number, found: (facts: readonly Fact[], block: number) => void) {
    for (let block = 0; block < this.examined.length; block++) {
      const facts = this.examined[block]?.facts[order];
      if (facts && facts.length > 0) found(facts, block);
    }
  }

  /** The page each block begins on. */
  private pageOfBlocks(): Int32Array {
    const pages = new Int32Array(this.blocks.length);
    let words = 0;
    for (const [index, { counts }] of this.examined.entries()) {
      pages[index] = Math.floor(words / WORDS_A_PAGE);
      words += counts.words;
    }
    return pages;
  }

  private groupSpans(): Map<number, Span[]> {
    const groups = new Map<number, Span[]>();
    for (const span of this.spans) {
      const index = blockIndexAt(this.blocks, span.from);
      const group = groups.get(index);
      if (group) group.push(span);
      else groups.set(index, [span]);
    }
    return groups;
  }

  private spansOf(index: number): Span[] {
    const { from, to } = this.blockRange(index);
    return this.spans.filter((span) => span.from >= from && span.to <= to);
  }

  private trimCache(): void {
    const excess = this.cache.size - this.blocks.length - SPARE_CACHE;
    if (excess <= 0) return;
    const oldest = [...this.cache.keys()].slice(0, excess);
    for (const key of oldest) this.cache.delete(key);
  }
}

/** How many marks of a check a page still has room for. */
class PageRoom {
  /** Marks there was no room for. */
  withheld = 0;
  private page = -1;
  private taken = 0;

  constructor(private readonly aPage: number) {}

  /** Takes a place on a page; false where it has enough. */
  take(page: number): boolean {
    if (page !== this.page) {
      this.page = page;
      this.taken = 0;
    }
    if (this.taken >= this.aPage) {
      this.withheld++;
      return false;
    }
    this.taken++;
    return true;
  }
}

function lowerCase(words: readonly string[]): ReadonlySet<string> {
  return new Set(words.map((word) => word.toLowerCase()));
}

const NO_MARKS: readonly Mark[] = [];

/** A mark's id: its rule, block and text, and which of equals it is in the block. */
function name(marks: Mark[], block: string): void {
  const seen = new Map<string, number>();
  for (const mark of marks) {
    const base = `${mark.rule}@${block}:${mark.text}`;
    const order = seen.get(base) ?? 0;
    seen.set(base, order + 1);
    mark.id = `${base}#${order}`;
  }
}

function sameMarks(one: readonly Mark[], other: readonly Mark[]): boolean {
  return (
    one.length === other.length &&
    one.every((mark, index) => {
      const twin = other[index];
      return (
        twin !== undefined &&
        mark.id === twin.id &&
        mark.from === twin.from &&
        mark.to === twin.to &&
        mark.weight === twin.weight &&
        mark.follows === twin.follows &&
        mark.reason === twin.reason
      );
    })
  );
}
