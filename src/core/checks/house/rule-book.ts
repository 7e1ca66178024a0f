import { formChoice } from "../../house/form-choices.ts";
import type { HouseRule, RuleOf } from "../../house/rules.ts";
import type { AnalysedBlock, Language } from "../../language/analysis.ts";
import { CODE, QUOTED } from "../../language/phrases/syntax.ts";
import { respell } from "../../language/words/respell.ts";
import { openingSound } from "../../language/words/sounds.ts";
import type { BlockKind, Edit, Kind, Range, Variety } from "../../manuscript/model.ts";
import type { Choice, MarkFact } from "../check.ts";
import { type Match, Matcher } from "../patterns/matcher.ts";
import { capitalised, choicesOf, markedRange } from "../patterns/mend.ts";
import { type Pattern, parsePattern } from "../patterns/pattern.ts";
import { WORD_LISTS } from "../patterns/word-lists.ts";
import {
  type Compiled,
  compile,
  type FindingType,
  HOUSE_CHECKS,
  indexRule,
  isForBlock,
  type PhraseEntry,
} from "./compile.ts";
import { Expression } from "./expression.ts";
import { followsAuxiliary, sameForms } from "./phrase-forms.ts";
import { type FoundPhrase, PhraseIndex } from "./phrase-index.ts";
import { quotationsIn } from "./quotations.ts";

/** A block as rules read it. */
export interface RuledBlock {
  kind: BlockKind;
  text: string;
  /** Stretches of code in it. */
  code: readonly Range[];
  /** Its analysis, which only rules in the pattern language ask for. */
  analysed(): AnalysedBlock;
}

/** What a rule that can't be followed says of itself. */
export interface RefusedRule {
  rule: string;
  house: string;
  sentence: string;
}

/** For whom the rules are compiled. */
export interface BookSettings {
  kind: Kind;
  variety: Variety;
}

interface Candidate {
  from: number;
  to: number;
  of: Compiled;
  choices: Choice[];
  /** The reason where it is not told by its choices. */
  reason: string;
}

const NOT_READ: readonly BlockKind[] = ["code", "reference"];

/**
 * The rules of the houses that a document follows, ready to be looked for in its blocks. Of rules that
 * speak of the same words the one on the longest stretch is heard, and of equals that of the first house.
 * It never changes: other rules make another book.
 */
export class RuleBook {
  /** Rules that can't be followed, and why. */
  readonly refused: RefusedRule[] = [];
  private readonly phrases = new PhraseIndex<PhraseEntry>();
  private readonly expressions: {
    of: Compiled & { rule: RuleOf<"expression"> };
    expression: Expression;
  }[] = [];
  private readonly patterns: { of: Compiled; pattern: Pattern }[] = [];
  private readonly matcher: Matcher | null = null;
  /** Words of which a block must have one for any pattern to fit; null where some pattern needs none. */
  private readonly wanted: RegExp | null = null;

  constructor(
    rules: readonly HouseRule[],
    private readonly language: Language,
    private readonly settings: BookSettings,
  ) {
    for (const { rule, house } of rules) {
      const known = rule.type === "form" && !rule.off ? formChoice(rule.of) : undefined;
      if (rule.type !== "form" || !known || known.forms.includes(rule.form)) continue;
      const sentence = `“${rule.form}” is none of the forms: ${known.forms.join("; ")}.`;
      this.refused.push({ rule: rule.id, house, sentence });
    }
    const right = new Set<string>();
    const parsed: Pattern[] = [];
    const needs: (readonly string[] | null)[] = [];
    for (const of of compile(rules, settings.kind)) {
      const { rule } = of;
      try {
        if (rule.type === "expression") {
          const expression = Expression.read(rule.find, rule.put ?? null, rule.anyCapitals);
          this.expressions.push({ of: { ...of, rule }, expression });
        } else if (rule.type === "pattern") {
          const pattern = parsePattern(rule.pattern, language.words, WORD_LISTS);
          // A pattern that no word or part of speech opens is refused where it is looked for.
          new Matcher([[pattern]], language.words, () => 0);
          parsed.push(pattern);
          needs.push(wordsOf(pattern, language));
          this.patterns.push({ of, pattern });
        } else indexRule(of, this.phrases, language, right);
      } catch (error) {
        if (!(error instanceof RangeError)) throw error;
        const sentence = error.message;
        this.refused.push({ rule: rule.id, house: of.house, sentence });
      }
    }
    if (parsed.length === 0) return;
    const frequency = (form: string) => language.lexicon.frequency(form);
    this.matcher = new Matcher(
      parsed.map((one) => [one]),
      language.words,
      frequency,
    );
    this.wanted = needs.some((words) => words === null)
      ? null
      : expressionFor(needs.flatMap((words) => words ?? []));
  }

  /** Whether it holds no rule that finds anything. */
  get isEmpty(): boolean {
    return this.phrases.size === 0 && this.expressions.length === 0 && this.matcher === null;
  }

  /** Rules that took too long in some text, by their ids. */
  get tooSlow(): string[] {
    return this.expressions
      .filter(({ expression }) => expression.isTooSlow)
      .map(({ of }) => of.rule.id);
  }

  /** What the rules find in a block, by the check that each speaks through. */
  find(block: RuledBlock): ReadonlyMap<string, MarkFact[]> {
    const facts = new Map<string, MarkFact[]>();
    if (NOT_READ.includes(block.kind)) return facts;
    const candidates = this.phrasesIn(block);
    if (this.expressions.length > 0) candidates.push(...this.expressionsIn(block));
    if (this.matcher) candidates.push(...this.patternsIn(block));
    if (candidates.length === 0) return facts;
    let quotations: readonly Range[] | null = null;
    const isQuoted = (place: Range) => {
      quotations ??= quotationsIn(block);
      return quotations.some(({ from, to }) => from < place.to && to > place.from);
    };
    for (const one of outspoken(candidates)) {
      const { rule } = one.of;
      if (block.code.some(({ from, to }) => from < one.to && to > one.from)) continue;
      if (!rule.scope?.quotations && isQuoted(one)) continue;
      const check = HOUSE_CHECKS[rule.type as FindingType];
      const own = facts.get(check) ?? [];
      facts.set(check, own);
      own.push({
        from: one.from,
        to: one.to,
        reason: one.reason,
        choices: one.choices,
        weight: one.of.weight,
        group: `${check}:${one.of.house}/${rule.id}`,
      });
    }
    return facts;
  }

  private phrasesIn(block: RuledBlock): Candidate[] {
    if (this.phrases.size === 0) return [];
    const { text } = block;
    const found = this.phrases.find(text);
    if (found.length === 0) return [];
    const spared = found.flatMap((place) =>
      place.entries.filter(({ role }) => role === "spared").map(({ of }) => ({ of, place })),
    );
    return found.flatMap((place) => {
      const entry = this.speaking(place, block);
      if (!entry) return [];
      const isSpared = spared.some(
        ({ of, place: { from, to } }) => of === entry.of && from <= place.from && to >= place.to,
      );
      return isSpared ? [] : this.candidateOf(entry, place, text);
    });
  }

  /** Which of the entries at a place is heard; null where the first one has nothing against it. */
  private speaking(
    { from, to, entries }: FoundPhrase<PhraseEntry>,
    block: RuledBlock,
  ): PhraseEntry | null {
    let first: PhraseEntry | null = null;
    for (const entry of entries) {
      if (entry.role === "spared" || !isForBlock(entry.of.rule, block.kind)) continue;
      if (entry.role !== "capitals" && !this.isWrittenSo(entry, block.text, from, to)) continue;
      if (!first || entry.of.order < first.of.order) first = entry;
      // What a rule itself puts in is right, whatever else it has.
      else if (entry.of.order === first.of.order && entry.role === "right") first = entry;
    }
    return first?.role === "right" ? null : first;
  }

  /** Whether the capitals of a place are those of the rule, for a rule that asks for that. */
  private isWrittenSo(
    { of: { rule }, text }: PhraseEntry,
    all: string,
    from: number,
    to: number,
  ): boolean {
    const differs =
      (rule.type === "term" || rule.type === "wording") &&
      (rule.exactCapitals || rule.use.some((one) => one.toLowerCase() === text.toLowerCase()));
    if (!differs) return true;
    const written = all.slice(from, to);
    return written === text || (opensSentence(all, from) && written === capitalised(text));
  }

  private candidateOf(entry: PhraseEntry, { from, to }: Range, text: string): Candidate[] {
    const { of, role } = entry;
    const { rule, house } = of;
    const written = text.slice(from, to);
    if (role === "capitals") {
      const right = withSpacesOf(entry.text, written);
      if (isRightCapitals(written, right, opensSentence(text, from))) return [];
      const choices = [asWritten(right, { from, to }, right)];
      return [{ from, to, of, choices, reason: `Not “${written}”: ${house} writes “${right}”.` }];
    }
    const use = "use" in rule ? rule.use : "write" in rule ? [rule.write] : [];
    const choices = this.formsFor(entry, use, text, from)
      .map((one) =>
        replaced(text, { from, to }, withCapitals(one, written, text, from, entry.text)),
      )
      .filter(({ label }) => label !== written);
    if (use.length > 0 && choices.length === 0) return [];
    return [{ from, to, of, choices, reason: reasonOf(rule, house, written, choices[0]?.label) }];
  }

  /** What may stand in a place of an entry: worked out once for each way it can come. */
  private formsFor(
    entry: PhraseEntry,
    use: readonly string[],
    text: string,
    from: number,
  ): readonly string[] {
    const { kinds } = entry;
    const asParticiple = kinds.length > 1 && kinds.includes("VBN") && followsAuxiliary(text, from);
    const key = asParticiple ? "participle" : "";
    entry.written ??= new Map();
    const known = entry.written.get(key);
    if (known) return known;
    const texts = use.flatMap((one) =>
      sameForms(one, kinds, asParticiple, this.language).map((form) => this.spelled(form, one)),
    );
    const forms = [...new Set(texts)];
    entry.written.set(key, forms);
    return forms;
  }

  /** An inflected form as the document’s variety spells it; what the house itself wrote stays. */
  private spelled(form: string, use: string): string {
    if (form === use) return form;
    const own = respell(form, this.settings.variety, this.language.lexicon);
    return own.startsWith(use.slice(0, -1)) ? own : form;
  }

  private expressionsIn({ text, kind }: RuledBlock): Candidate[] {
    return this.expressions.flatMap(({ of, expression }) => {
      if (!isForBlock(of.rule, kind)) return [];
      return expression.find(text).flatMap(({ from, to, put }) => {
        const written = text.slice(from, to);
        if (put === written) return [];
        const label = put === "" ? `leave out “${written}”` : (put ?? "");
        const choices = put === null ? [] : [asWritten(label, { from, to }, put)];
        return [{ from, to, of, choices, reason: toldBy(of, written) }];
      });
    });
  }

  private patternsIn(block: RuledBlock): Candidate[] {
    const { matcher } = this;
    if (!matcher || (this.wanted && !this.wanted.test(block.text))) return [];
    const analysed = block.analysed();
    const syntax = analysed.syntax();
    if (!syntax || analysed.structure.shape !== "text") return [];
    const found: Candidate[] = [];
    matcher.match(syntax, (owner: number, match: Match) => {
      const { of } = this.patterns[owner] ?? {};
      if (!of || !isForBlock(of.rule, block.kind)) return;
      const { from, to, first, last } = markedRange(match, syntax);
      if (last <= first || ((syntax.places[first] ?? 0) & CODE) !== 0) return;
      if (!of.rule.scope?.quotations && ((syntax.places[first] ?? 0) & QUOTED) !== 0) return;
      const choices = choicesOf(match, syntax, this.language.words);
      found.push({ from, to, of, choices, reason: toldBy(of, block.text.slice(from, to)) });
    });
    return found;
  }
}

/** Of candidates that overlap the longest, and of equals that of the first house; in reading order. */
function outspoken(candidates: readonly Candidate[]): readonly Candidate[] {
  const apart = candidates.every(
    ({ from }, at) => at === 0 || from >= (candidates[at - 1]?.to ?? 0),
  );
  if (apart) return candidates;
  const kept: Candidate[] = [];
  const byLength = candidates.toSorted(
    (one, other) => other.to - other.from - (one.to - one.from) || one.of.order - other.of.order,
  );
  for (const one of byLength) {
    if (!kept.some(({ from, to }) => from < one.to && to > one.from)) kept.push(one);
  }
  return kept.sort((one, other) => one.from - other.from);
}

function reasonOf(
  rule: Compiled["rule"],
  house: string,
  written: string,
  label: string | undefined,
): string {
  if (rule.type === "wording") return toldBy({ rule, house }, written);
  const why = rule.reason ? ` ${sentence(rule.reason)}` : "";
  if (label === undefined) return `“${written}” is not used by ${house}.${why}`;
  return `Not “${written}”: ${house} writes “${label}”.${why}`;
}

/** What a rule with a reason of its own says. */
function toldBy({ rule, house }: Pick<Compiled, "rule" | "house">, written: string): string {
  const reason = (rule.reason ?? "").replace(/[.\s]+$/, "");
  return `“${shortened(written)}”: ${reason} (${house}).`;
}

function shortened(text: string): string {
  return text.length <= 40 ? text : `${text.slice(0, 37)}…`;
}

function sentence(text: string): string {
  const opened = capitalised(text);
  return /[.?]$/.test(opened) ? opened : `${opened}.`;
}

/** Whether a letter that may be an article's last stands before the space before a place. */
function mayFollowArticle(text: string, from: number): boolean {
  if (!/\s/.test(text.charAt(from - 1))) return false;
  const sign = text.charAt(from - 2);
  return sign === "a" || sign === "n" || sign === "A" || sign === "N" || sign === " ";
}

/** A replacement with the article before it fitted: “a utilisation” becomes “a use”, “an old” “a new”. */
function replaced(text: string, { from, to }: Range, insert: string): Choice {
  const edits: Edit[] = [{ from, to, insert }];
  if (!mayFollowArticle(text, from)) return { label: insert, edits, asWritten: true };
  const article = /(^|[^\p{L}\p{N}’'-])(an?)(\s+)$/iu.exec(text.slice(Math.max(0, from - 8), from));
  const opening = openingSound(insert);
  if (article?.[2] && article[3] && opening !== "either") {
    const fitting = opening === "vowel" ? "an" : "a";
    if (fitting !== article[2].toLowerCase()) {
      const end = from - article[3].length;
      const written = article[2];
      const start = end - written.length;
      edits.unshift({
        from: start,
        to: end,
        insert: /^A/.test(written) ? capitalised(fitting) : fitting,
      });
    }
  }
  return { label: insert, edits, asWritten: true };
}

/** A replacement in the capitals of what it replaces; one with capitals of its own keeps them. */
function withCapitals(
  insert: string,
  written: string,
  text: string,
  from: number,
  ruled: string,
): string {
  // Most words open with a small letter.
  const first = written.charCodeAt(0);
  if (first >= 97 && first <= 122) return insert;
  const letters = written.replace(/[^\p{L}]/gu, "");
  if (letters.length > 1 && letters === letters.toUpperCase() && /\p{Ll}/u.test(insert)) {
    // An abbreviation is written in capitals because it is one, not because the line is.
    return isInCapitals(text, from, written.length) ? insert.toUpperCase() : insert;
  }
  if (!/^\p{Lu}/u.test(written) || /\p{Lu}/u.test(insert)) return insert;
  if (opensSentence(text, from)) return capitalised(insert);
  // A name has its capital wherever it is; what takes its place need not.
  if (/^\p{Lu}/u.test(ruled)) return insert;
  // In a title each word has a capital.
  const words = written.split(/[\s-]+/);
  const isTitle = words.length > 1 && words.every((word) => !/^\p{Ll}{4}/u.test(word));
  if (isTitle)
    return insert.replace(
      /(^|[\s-])(\p{Ll})(?=\p{L}{3})/gu,
      (_, sign, letter) => sign + letter.toUpperCase(),
    );
  return capitalised(insert);
}

/** Whether the words before or after a place are in capitals too. */
function isInCapitals(text: string, from: number, length: number): boolean {
  const sides = [
    text.slice(Math.max(0, from - 20), from),
    text.slice(from + length, from + length + 20),
  ].map((side) => side.replace(/[^\p{L}]/gu, ""));
  if (sides.every((side) => side === "")) return true;
  return sides.some((side) => side.length > 2 && side === side.toUpperCase());
}

function isRightCapitals(written: string, right: string, opens: boolean): boolean {
  if (written === right) return true;
  if (opens && written === capitalised(right)) return true;
  // All in capitals as in a heading.
  return (
    written === written.toUpperCase() &&
    /\p{L}.*\s.*\p{L}|\p{L}{5}/u.test(written) &&
    written === right.toUpperCase()
  );
}

/** Whether a place opens a sentence: the block, or what follows a stop. */
function opensSentence(text: string, from: number): boolean {
  return /(?:^|[.!?…:]["”’')\]]*\s+)["“‘'([*—–\s]*$/u.test(
    text.slice(Math.max(0, from - 40), from),
  );
}

/** A phrase with the spaces that stand between the words of another. */
function withSpacesOf(phrase: string, written: string): string {
  const spaces = written.match(/\s+/g) ?? [];
  let at = 0;
  return phrase.replace(/\s+/g, (space) => spaces[at++] ?? space);
}

function asWritten(label: string, place: Range, insert: string): Choice {
  return { label, edits: [{ from: place.from, to: place.to, insert }], asWritten: true };
}

/** Words of which a block must have one for a pattern to fit: those of its first element that is words only. */
function wordsOf(pattern: Pattern, { words }: Language): readonly string[] | null {
  const element = pattern.elements.find(
    (one) => one.words && !one.tags && !one.negated && one.least > 0 && !one.edge && !one.orEnd,
  );
  if (!element?.words) return null;
  const forms = new Map([...words.interned()].map(([form, id]) => [id, form]));
  return [...element.words.keys()].map((id) => forms.get(id) ?? "");
}

function expressionFor(words: readonly string[]): RegExp {
  const escaped = words.map((word) =>
    word.replace(/[.*+?^${}()|[\]\\]/g, "\\$&").replaceAll("'", "['’]"),
  );
  return new RegExp(escaped.join("|"), "i");
}
