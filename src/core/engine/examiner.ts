import { PASSES, type Pass } from "../checks/card.ts";
import type { Check, Fact } from "../checks/check.ts";
import type { RuleBook } from "../checks/house/rule-book.ts";
import { CHECKS } from "../checks/index.ts";
import { matchesOf } from "../checks/patterns/all-patterns.ts";
import type { Match } from "../checks/patterns/matcher.ts";
import { type AnalysedBlock, analyse, asRead, type Language } from "../language/analysis.ts";
import {
  keepFigures,
  plainFigures,
  sentenceFigures,
} from "../language/phrases/sentence-figures.ts";
import { inCode } from "../language/text/structure.ts";
import { LONGEST_WHOLE, windowsOf } from "../language/text/windows.ts";
import { groupedByBlock, relative } from "../manuscript/by-block.ts";
import type { BlockKind, Manuscript, Span } from "../manuscript/model.ts";
import { countBlock } from "../readings/counts.ts";
import type { ReadBlock } from "../readings/readings.ts";
import { clipped, type Examined, joined, NO_CODE, NO_FIGURES, readBlock } from "./examined.ts";

/** The checks of each pass with their order in CHECKS. */
const CHECKS_OF = Object.fromEntries(
  PASSES.map((pass) => [
    pass,
    CHECKS.flatMap((check, order) => (check.pass === pass ? [{ check, order }] : [])),
  ]),
) as Record<Pass, { check: Check; order: number }[]>;
/** The checks that speak for house rules, with their order in CHECKS. */
const HOUSE_ORDERS = CHECKS.flatMap(({ id, isHouse }, order) =>
  isHouse ? [[id, order] as const] : [],
);
const NO_RULED: ReadonlyMap<string, readonly Fact[]> = new Map();
const NO_MATCH: readonly Match[] = [];
const NO_FACTS: readonly Fact[] = [];
const NO_MATCHES: (readonly Match[] | undefined)[] = [];

/**
 * Examines blocks, each content once. Invariants: what is kept of a content is what every check of the
 * passes read so far finds in it; the key of a content holds all that a check may look at, the kind of
 * the block, its text and its spans.
 */
export class Examiner {
  private readonly passes = new Set<Pass>();
  private readonly cache = new Map<string, Examined>();
  /** The language data are others than some block was analysed with. */
  private learned = false;
  /** The house rules to look for; null for none. */
  private book: RuleBook | null = null;

  constructor(private language: Language) {}

  /**
   * Takes in more language data. What the spelling pass has read stands, since it looks at none of what
   * comes later; the other passes read everything again.
   */
  learn(language: Language): void {
    if (language === this.language) return;
    this.language = language;
    this.learned = true;
    for (const examined of this.cache.values()) {
      examined.read = examined.read.filter((pass) => pass === "spelling");
      // Whoever has drawn conclusions from the old facts still holds these.
      examined.facts = new Map(examined.facts);
    }
  }

  /** Has these house rules looked for in the place of those before; blocks are to be examined again. */
  follow(book: RuleBook | null): void {
    this.book = book;
  }

  /** Has blocks examined for some passes, beside those asked for before. */
  add(passes: readonly Pass[]): void {
    for (const pass of passes) this.passes.add(pass);
  }

  /** The blocks of a text with what readings are made of. */
  readAll({ text, blocks, spans }: Pick<Manuscript, "text" | "blocks" | "spans">): ReadBlock[] {
    const byBlock = groupedByBlock(spans, blocks);
    return blocks.map((block, index) => {
      const own = relative(byBlock.get(index) ?? [], block.from);
      const before = text.slice(block.from, block.to);
      return readBlock(block, before, this.examine(block.kind, before, own));
    });
  }

  /** Whether a pass is asked for. */
  has(pass: Pass): boolean {
    return this.passes.has(pass);
  }

  /** What the checks see in a block; offsets of spans are in its text. */
  examine(kind: BlockKind, text: string, spans: Span[]): Examined {
    if (text.length <= LONGEST_WHOLE) return this.examineText(kind, text, spans, false);
    const windows = windowsOf(text);
    const parts = windows.map(({ from, to }) =>
      this.examineText(kind, text.slice(from, to), clipped(spans, from, to), true),
    );
    return joined(parts, windows);
  }

  /** A block analysed anew, in windows where it is long; offsets of a window begin at its `from`. */
  analysed(kind: BlockKind, text: string, spans: Span[]): { part: AnalysedBlock; from: number }[] {
    if (text.length <= LONGEST_WHOLE) {
      return [{ part: analyse(kind, text, spans, this.language), from: 0 }];
    }
    return windowsOf(text).map(({ from, to }) => ({
      part: analyse(kind, text.slice(from, to), clipped(spans, from, to), this.language, true),
      from,
    }));
  }

  /** Forgets the contents not asked about for longest, down to a number. */
  trim(most: number): void {
    let excess = this.cache.size - most;
    if (excess <= 0) return;
    for (const key of this.cache.keys()) {
      this.cache.delete(key);
      if (--excess <= 0) return;
    }
  }

  /** Examines a block's text, or one window of it. */
  private examineText(kind: BlockKind, text: string, spans: Span[], part: boolean): Examined {
    const key = contentKey(kind, text, spans, part);
    const again = () => analyse(kind, text, spans, this.language, part);
    let examined = this.cache.get(key);
    if (!examined) {
      const analysed = again();
      const counts = countBlock(analysed);
      const { shape, code } = analysed.structure;
      const own = shape === "text" ? (code.length === 0 ? NO_CODE : code) : null;
      examined = {
        analysed,
        facts: new Map(),
        read: [],
        book: null,
        code: own,
        counts,
        figures: NO_FIGURES,
      };
      this.cache.set(key, examined);
    }
    this.readFor(examined, again);
    if (examined.book !== this.book) this.readRules(examined, kind, text, again);
    return examined;
  }

  /** Looks for the house rules of today, in the place of those looked for before. */
  private readRules(
    examined: Examined,
    kind: BlockKind,
    text: string,
    again: () => AnalysedBlock,
  ): void {
    const { book } = this;
    const { code } = examined;
    examined.book = book;
    const had = HOUSE_ORDERS.some(([, order]) => examined.facts.has(order));
    const found = book && code ? book.find({ kind, text, code, analysed: again }) : NO_RULED;
    if (!had && found.size === 0) return;
    // Whoever has drawn conclusions from the old facts still holds these.
    examined.facts = new Map(examined.facts);
    for (const [id, order] of HOUSE_ORDERS) {
      const own = found.get(id);
      if (own) examined.facts.set(order, own);
      else examined.facts.delete(order);
    }
  }

  /** A block with its words read by the language data of today. */
  private inLanguage(block: AnalysedBlock): AnalysedBlock {
    return this.learned ? asRead(block, this.language) : block;
  }

  /** Runs the checks of the passes asked for that have not read a block yet. */
  private readFor(examined: Examined, again: () => AnalysedBlock): void {
    const { facts, read } = examined;
    const lacking = [...this.passes].filter((pass) => !read.includes(pass));
    if (lacking.length > 0) {
      const known = examined.analysed;
      // What the spelling pass has read was read without the words' classes.
      const analysed = known ? this.inLanguage(known) : again();
      const patterned = lacking.some((pass) => pass !== "spelling");
      const isNoText = analysed.structure.shape !== "text";
      const matches = patterned && !isNoText ? matchesOf(analysed, this.language) : NO_MATCHES;
      for (const pass of lacking) {
        for (const { check, order } of CHECKS_OF[pass]) {
          if (check.isHouse) continue;
          const own = matches[order];
          const asked = (own || !check.needsMatches) && (check.readsAll || !isNoText);
          const found = asked
            ? outsideCode(check, analysed, check.examine(analysed, this.language, own ?? NO_MATCH))
            : NO_FACTS;
          if (found.length > 0) facts.set(order, found);
          else facts.delete(order);
        }
      }
      if (lacking.includes("sentences")) {
        const figures = isNoText
          ? plainFigures(analysed)
          : sentenceFigures(analysed, this.language);
        examined.figures = keepFigures(figures);
      }
      read.push(...lacking);
    }
    if (read.length === PASSES.length) examined.analysed = null;
  }
}

/** The facts of a check that do not lie in code. */
function outsideCode(
  { readsAll }: Check,
  { structure }: AnalysedBlock,
  facts: readonly Fact[],
): readonly Fact[] {
  if (readsAll || structure.code.length === 0 || facts.length === 0) return facts;
  const outside = facts.filter(({ from, to }) => !inCode(structure, from, to));
  return outside.length === facts.length ? facts : outside;
}

function contentKey(kind: BlockKind, text: string, spans: readonly Span[], part: boolean): string {
  const places = spans.map((span) => `${span.kind}${span.from}-${span.to}`);
  return `${kind}\u0000${part ? "part" : ""}\u0000${places}\u0000${text}`;
}
