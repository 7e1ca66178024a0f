import type { CitedDocument } from "../citations/cited-text.ts";
import type { CitedFinding } from "../citations/text-rules/rule.ts";
import { blockIndexAt } from "../manuscript/layout.ts";
import type { Block, Range, Span } from "../manuscript/model.ts";
import { isCounted, type OverlapChoices, overlapChoices } from "../originality/choices.ts";
import type { Compared, Comparison } from "../originality/comparison.ts";
import { findingsOf, type KnownNames } from "../originality/findings.ts";
import type { Tier } from "../originality/overlaps.ts";
import { type ComparedBlock, comparedLayout } from "../originality/regions.ts";
import { rankedSources } from "../originality/totals.ts";
import type { CheckSettings } from "./mark.ts";

const NOTHING: Compared = { words: 0, passages: [] };

/**
 * What a document shares with sources, as the text stands. Nothing is compared until a comparison is
 * handed over that has had its first look; from then on each state of the text is looked at again where
 * it is otherwise.
 */
export class Overlapping {
  private comparison: { comparison: Comparison; names: KnownNames } | null = null;
  private read: Compared | null = null;
  private state = 0;
  private followed = overlapChoices();

  constructor(
    // The engine's own, which it changes in place.
    private readonly blocks: readonly Block[],
    private readonly spans: readonly Span[],
    private readonly texts: readonly string[],
    /** The citations and lists as the text stands. */
    private readonly cited: () => CitedDocument,
  ) {}

  /** Takes in that the text is another. */
  invalidate(): void {
    if (!this.comparison) return;
    this.read = null;
    this.state++;
  }

  /** Takes over a comparison; null ends comparing. */
  compare(comparison: { comparison: Comparison; names: KnownNames } | null): void {
    this.comparison = comparison;
    this.read = null;
    this.state++;
  }

  /** Follows what was chosen about overlaps, and the limit of the houses. */
  follow({ forms, overlapLimit = null }: Pick<CheckSettings, "forms" | "overlapLimit">): void {
    this.followed = overlapChoices(forms, overlapLimit);
    this.state++;
  }

  /** What was chosen about overlaps. */
  get choices(): OverlapChoices {
    return this.followed;
  }

  /** Which state of the text, the sources and the choices it is of. */
  get version(): number {
    return this.state;
  }

  /** What is shared, looked at when first asked for after a change; null where nothing is compared. */
  get compared(): Compared | null {
    if (!this.comparison) return null;
    this.read ??= this.comparison.comparison.lookAtOnce(this.comparedBlocks());
    return this.read;
  }

  /** The document's text from one place to another in the same block. */
  textBetween(from: number, to: number): string {
    const block = blockIndexAt(this.blocks, from);
    const start = this.blocks[block]?.from ?? 0;
    return (this.texts[block] ?? "").slice(from - start, to - start);
  }

  /** The blocks as they are compared. */
  comparedBlocks(): ComparedBlock[] {
    const blocks = comparedLayout(
      { blocks: this.blocks, spans: this.spans },
      (_, index) => this.texts[index] ?? "",
    );
    const cites = new Map<number, Range[]>();
    for (const { block, citation } of this.cited().citations) {
      const own = cites.get(block);
      if (own) own.push(citation);
      else cites.set(block, [citation]);
    }
    return blocks.map((one, index) => ({ ...one, cites: cites.get(index) ?? [] }));
  }

  /** The passages of a tier that count and are not decided otherwise, block by block. */
  findings(tier: Tier): readonly CitedFinding[] {
    const { passages } = this.compared ?? NOTHING;
    if (!this.comparison || passages.length === 0) return [];
    const { names } = this.comparison;
    const { choices } = this;
    const ranks = rankedSources(passages, (one) => isCounted(one, choices)).map(
      ({ source }) => source,
    );
    return findingsOf(
      passages.filter((passage) => passage.tier === tier),
      this.blocks,
      (block) => this.texts[block] ?? "",
      choices,
      { titleOf: (source) => names.titleOf(source), citationOf: (source) => this.cite(source) },
      (source) => ranks.indexOf(source) + 1,
    );
  }

  /** A source as the document cites: by its entry in the list where it has one there. */
  private cite(source: string): string | null {
    const work = this.comparison?.names.workOf(source);
    if (!work) return null;
    const { style, references, index, citations } = this.cited();
    if (style.inText.system !== "numeric") return `(${work.author}, ${work.year})`;
    const number = references.findIndex(
      ({ entry }, at) =>
        entry.year?.value === work.year &&
        index.namesOf(at).some(({ family, literal }) => [family, literal].includes(work.author)),
    );
    if (number < 0) return null;
    const written = citations.find(({ citation }) => /^[[(]\d/u.test(citation.text))?.citation.text;
    const [open, close] = written?.startsWith("(") ? ["(", ")"] : ["[", "]"];
    return `${open}${references[number]?.entry.number?.value ?? number + 1}${close}`;
  }
}
