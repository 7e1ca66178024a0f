import type { CitedFinding } from "../citations/text-rules/rule.ts";
import { groupedByBlock, relative } from "../manuscript/by-block.ts";
import { blockIndexAt } from "../manuscript/layout.ts";
import type { Block, Span } from "../manuscript/model.ts";
import { overlapChoices } from "../originality/choices.ts";
import type { Compared, Comparison } from "../originality/comparison.ts";
import { findingsOf, type SourceNames } from "../originality/findings.ts";
import type { Tier } from "../originality/overlaps.ts";
import type { ComparedBlock } from "../originality/regions.ts";

const NOTHING: Compared = { words: 0, passages: [] };

/**
 * What a document shares with sources, as the text stands. Nothing is compared until a comparison is
 * handed over that has had its first look; from then on each state of the text is looked at again where
 * it is otherwise.
 */
export class Overlapping {
  private comparison: { comparison: Comparison; names: SourceNames } | null = null;
  private read: Compared | null = null;
  private state = 0;
  private forms: Readonly<Record<string, string>> = {};

  constructor(
    // The engine's own, which it changes in place.
    private readonly blocks: readonly Block[],
    private readonly spans: readonly Span[],
    private readonly texts: readonly string[],
  ) {}

  /** Takes in that the text is another. */
  invalidate(): void {
    if (!this.comparison) return;
    this.read = null;
    this.state++;
  }

  /** Takes over a comparison; null ends comparing. */
  compare(comparison: { comparison: Comparison; names: SourceNames } | null): void {
    this.comparison = comparison;
    this.read = null;
    this.state++;
  }

  /** What was chosen about overlaps. */
  follow(forms: Readonly<Record<string, string>> | undefined): void {
    this.forms = forms ?? {};
    this.state++;
  }

  /** What was chosen about overlaps, among the choices of the document. */
  get choices(): Readonly<Record<string, string>> {
    return this.forms;
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
    const byBlock = groupedByBlock([...this.spans], this.blocks);
    return this.blocks.map(({ kind, level, story, from }, index) => ({
      kind,
      ...(level === undefined ? {} : { level }),
      story,
      from,
      text: this.texts[index] ?? "",
      spans: relative(byBlock.get(index) ?? [], from),
    }));
  }

  /** The passages of a tier that count and are not decided otherwise, block by block. */
  findings(tier: Tier): readonly CitedFinding[] {
    const { passages } = this.compared ?? NOTHING;
    if (!this.comparison || passages.length === 0) return [];
    const { names } = this.comparison;
    const own = passages.filter((passage) => passage.tier === tier);
    const choices = overlapChoices(this.forms);
    return findingsOf(own, this.blocks, (block) => this.texts[block] ?? "", choices, names);
  }
}
