import {
  CitationCache,
  type CitedDocument,
  type CitedSettings,
  type ReadableBlock,
  readCitedDocument,
} from "../citations/cited-text.ts";
import { handTies } from "../citations/hand-ties.ts";
import { withOverrides } from "../citations/styles/overrides.ts";
import type { Language } from "../language/analysis.ts";
import { groupedByBlock, relative } from "../manuscript/by-block.ts";
import type { Block, Span } from "../manuscript/model.ts";
import type { CheckSettings } from "./mark.ts";

/**
 * The citations and lists of a document as the text stands. Reading it anew costs little: what blocks
 * and entries say is kept by their content, and only the ties between them are made again.
 */
export class Citing {
  private readonly cache = new CitationCache();
  private read: CitedDocument | null = null;
  /** Counts up with each state of the text. */
  private state = 0;

  private readonly settings: CitedSettings;

  constructor(
    // The engine's own, which it changes in place.
    private readonly blocks: readonly Block[],
    private readonly spans: readonly Span[],
    private readonly texts: readonly string[],
    {
      citationStyle = null,
      citationPoints,
      forms,
      thisYear = new Date().getFullYear(),
    }: CheckSettings,
    { lexicon }: Language,
  ) {
    const isWord = (word: string) => lexicon.varieties(word) > 0;
    this.settings = {
      style: citationStyle,
      adapt: (style) => withOverrides(style, citationPoints ?? null),
      thisYear,
      isWord,
      ties: handTies(forms),
    };
  }

  /** Takes in that the text is another. */
  invalidate(): void {
    this.read = null;
    this.state++;
  }

  /** Which state of the text it is of. */
  get version(): number {
    return this.state;
  }

  /** The document, read when first asked for after a change. */
  get cited(): CitedDocument {
    this.read ??= readCitedDocument(this.readable(), this.settings, this.cache);
    return this.read;
  }

  /** Each block with its text and its spans, as they are now. */
  private readable(): ReadableBlock[] {
    const byBlock = groupedByBlock([...this.spans], this.blocks);
    return this.blocks.map((block, index) => ({
      ...block,
      text: this.texts[index] ?? "",
      spans: relative(byBlock.get(index) ?? [], block.from),
    }));
  }
}
