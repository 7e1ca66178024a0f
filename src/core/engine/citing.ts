import type { Check, Choice, Conclusion } from "../checks/check.ts";
import {
  CitationCache,
  type CitedDocument,
  type CitedSettings,
  type ReadableBlock,
  readCitedDocument,
} from "../citations/cited-text.ts";
import { withOverrides } from "../citations/styles/overrides.ts";
import type { CitedFinding } from "../citations/text-rules/rule.ts";
import type { Language } from "../language/analysis.ts";
import { groupedByBlock, relative } from "../manuscript/by-block.ts";
import type { Block, Span } from "../manuscript/model.ts";
import type { Finder } from "./finder.ts";
import type { CheckSettings, FormCounted, Group, GroupPlace } from "./mark.ts";

const NONE: readonly Conclusion[] = [];
const NO_FOUND: readonly CitedFinding[] = [];

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
    { citationStyle = null, citationPoints, thisYear = new Date().getFullYear() }: CheckSettings,
    { lexicon }: Language,
  ) {
    const isWord = (word: string) => lexicon.varieties(word) > 0;
    this.settings = {
      style: citationStyle,
      adapt: (style) => withOverrides(style, citationPoints ?? null),
      thisYear,
      isWord,
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

/** What one check of citations finds, block by block, in the state of the text it was settled in. */
export class CitedFindings implements Finder {
  readonly room = null;
  readonly visited = 0;
  private found = new Map<number, readonly Conclusion[]>();
  private raw = new Map<number, readonly CitedFinding[]>();
  private settled = -1;

  constructor(
    readonly check: Check,
    readonly order: number,
    private readonly citing: Citing,
  ) {}

  replace(): void {}

  settle(changed: (block: number) => void, _told: (id: string, group: Group | null) => void): void {
    if (this.settled === this.citing.version) return;
    this.settled = this.citing.version;
    const before = this.found;
    const raw = new Map<number, CitedFinding[]>();
    for (const finding of this.check.cited?.(this.citing.cited) ?? NO_FOUND) {
      const own = raw.get(finding.block);
      if (own) own.push(finding);
      else raw.set(finding.block, [finding]);
    }
    this.raw = raw;
    this.found = new Map(
      [...raw].map(([block, own]) => [block, own.map((one) => this.conclusion(one))]),
    );
    for (const block of new Set([...before.keys(), ...this.found.keys()])) {
      if (!same(before.get(block) ?? NONE, this.found.get(block) ?? NONE)) changed(block);
    }
  }

  blocks(): Iterable<number> {
    return this.found.keys();
  }

  in(index: number): readonly Conclusion[] {
    return this.found.get(index) ?? NONE;
  }

  followsIn(index: number): boolean[] {
    return this.in(index).map(() => false);
  }

  placesIn(index: number): number {
    return this.in(index).length;
  }

  placesOf(): GroupPlace[] {
    return [];
  }

  *formCounts(): Generator<FormCounted> {}

  /** The ways to mend what is found at a place; a choice for another block says which. */
  choices(block: number, from: number, to: number): Choice[] {
    const found = (this.raw.get(block) ?? NO_FOUND).find(
      (one) => one.from === from && one.to === to,
    );
    return (found?.choices ?? []).flatMap(({ label, edits }) => {
      const [first] = edits;
      if (!first || edits.some((edit) => edit.block !== first.block)) return [];
      const plain = edits.map(({ from: start, to: end, insert }) => ({
        from: start,
        to: end,
        insert,
      }));
      return [
        {
          label,
          edits: plain,
          asWritten: true as const,
          ...(first.block === block ? {} : { block: first.block }),
        },
      ];
    });
  }

  /** The entry that what is found at a place is about. */
  referenceAt(block: number, from: number, to: number): number | null {
    const found = (this.raw.get(block) ?? NO_FOUND).find(
      (one) => one.from === from && one.to === to,
    );
    return found?.reference ?? null;
  }

  private conclusion({ from, to, reason, group, isAdvice }: CitedFinding): Conclusion {
    return {
      from,
      to,
      reason,
      ...(isAdvice ? { weight: "weigh" as const } : {}),
      ...(group === undefined ? {} : { group: `${this.check.id}:${group}` }),
    };
  }
}

function same(one: readonly Conclusion[], other: readonly Conclusion[]): boolean {
  return one.length === other.length && JSON.stringify(one) === JSON.stringify(other);
}
