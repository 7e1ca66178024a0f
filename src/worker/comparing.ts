import type { Engine } from "../core/engine/engine.ts";
import type { Mark, Report } from "../core/engine/mark.ts";
import {
  type CollatedCell,
  collate,
  gatherOverlaps,
  type OverlapTable,
} from "../core/gathered/overlaps.ts";
import type { Manuscript } from "../core/manuscript/model.ts";
import {
  type AnsweredPassages,
  askedPlaces,
  MOST_STRETCHES,
  readPlaces,
  type Stretch,
} from "../core/originality/asking.ts";
import { printsOf } from "../core/originality/collection.ts";
import {
  ComparedSources,
  type OwnSource,
  shippedId,
} from "../core/originality/compared-sources.ts";
import { type Compared, Comparison, wordsOfBlocks } from "../core/originality/comparison.ts";
import { type Measured, measured } from "../core/originality/measured.ts";
import { comparedBlocks, StockPhrases } from "../core/originality/regions.ts";

/** The collection that ships, asked from here. */
export interface ShippedCollection {
  /** Sends the first bits of fingerprints; rejects when there is no answer. */
  places(question: Uint8Array): Promise<Uint8Array>;
  passages(stretches: readonly Stretch[]): Promise<AnsweredPassages>;
  stockPhrases(): Promise<string>;
}

/** How far comparing is: what is done of what there is to do in the step it is in. */
export interface CompareProgress {
  step: "asking" | "fetching" | "laying";
  done: number;
  all: number;
}

/** What went out, for the person to see. */
export interface Sent {
  /** Bytes of all questions. */
  bytes: number;
  /** Why the collection that ships was not compared with; null where it was, or was not asked. */
  failure: string | null;
  /** The version of that collection; empty where nothing of it was fetched. */
  version: string;
}

/** Milliseconds of comparing after which messages get a turn. */
const TURN_MS = 24;
/** Words of a source on each side of a passage that a new wording is measured against too. */
const BESIDE = 40;

/** Lays the document of an engine beside sources, in turns. */
export class Comparing {
  readonly sources = new ComparedSources();
  private stock: Promise<StockPhrases> | null = null;
  private comparison: Comparison | null = null;
  private before: { of: Manuscript; comparison: Comparison | null; compared: Compared } | null =
    null;

  constructor(
    private readonly shipped: ShippedCollection,
    private readonly otherMessages: () => Promise<void>,
  ) {}

  /**
   * Compares the engine's document with the person's own sources and, where that is asked for, with the
   * collection that ships; the marks are then the engine's. Null when it was stopped meanwhile.
   */
  async compare(
    engine: Engine,
    own: readonly OwnSource[],
    asks: boolean,
    tell: (progress: CompareProgress) => void,
    isWanted: () => boolean,
  ): Promise<{ report: Report; sent: Sent } | null> {
    this.sources.hold(own);
    this.sources.forgetShipped();
    const sent: Sent = { bytes: 0, failure: null, version: "" };
    if (asks) await this.fetch(engine, sent, tell, isWanted);
    if (!isWanted()) return null;
    const comparison = new Comparison(this.sources, await this.stockPhrases());
    const look = comparison.look(engine.overlapping.comparedBlocks());
    let since = performance.now();
    let step = look.next();
    for (; !step.done; step = look.next()) {
      if (performance.now() - since < TURN_MS) continue;
      tell({ step: "laying", ...step.value });
      await this.otherMessages();
      if (!isWanted()) return null;
      since = performance.now();
    }
    if (asks && sent.failure === null) await this.readLeanedOn(comparison, step.value, sent);
    if (!isWanted()) return null;
    this.comparison = comparison;
    return { report: engine.compare({ comparison, names: this.sources }), sent };
  }

  /** Goes on comparing in an engine that is new, for the same document. */
  goOn(engine: Engine): void {
    if (this.comparison) engine.compare({ comparison: this.comparison, names: this.sources });
  }

  /** What the engine's document shares with sources, and what it did before it was changed; null where it was not compared. */
  async tableOf(engine: Engine, original: Manuscript | null): Promise<OverlapTable | null> {
    const { compared, choices } = engine.overlapping;
    if (!compared) return null;
    const before = original && (await this.compareOriginal(original));
    return gatherOverlaps(compared, choices, this.sources, before);
  }

  private async compareOriginal(original: Manuscript): Promise<Compared> {
    const { comparison } = this;
    if (this.before?.of !== original || this.before.comparison !== comparison) {
      const first = new Comparison(this.sources, await this.stockPhrases());
      const compared = first.lookAtOnce(comparedBlocks(original));
      this.before = { of: original, comparison, compared };
    }
    return this.before.compared;
  }

  /** A passage word above word beside its source; null where the source is closed, or there is no such passage. */
  collation(engine: Engine, number: number): CollatedCell[] | null {
    const { comparison } = this;
    const passage = engine.overlapping.compared?.passages[number];
    if (!comparison || !passage) return null;
    const wordAt = (word: number) => {
      const { from, to } = comparison.placeOf(word);
      return engine.overlapping.textBetween(from, to);
    };
    return collate(passage, wordAt, this.sources);
  }

  /** The passage that a mark is of, word above word; null where there is none to be shown. */
  collationAt(
    engine: Engine,
    { block, from }: Pick<Mark, "block" | "from">,
  ): CollatedCell[] | null {
    const at = engine.blockRange(block).from + from;
    const passages = engine.overlapping.compared?.passages ?? [];
    const number = passages.findIndex((one) => one.from <= at && one.to > at);
    return number < 0 ? null : this.collation(engine, number);
  }

  /** How much of a text stands where a passage has it from; null where there is no such passage. */
  measure(engine: Engine, number: number, text: string): Measured | null {
    const passage = engine.overlapping.compared?.passages[number];
    const words = passage && this.sources.wordsOf(passage.source);
    if (!passage || !words) return null;
    const [from, to] = passage.sourceWords;
    return measured(text, words.subarray(Math.max(0, from - BESIDE), to + BESIDE));
  }

  /** Asks where the fingerprints stand and what stands there; the answer to no other question is lost by a failure. */
  private async fetch(
    engine: Engine,
    sent: Sent,
    tell: (progress: CompareProgress) => void,
    isWanted: () => boolean,
  ): Promise<void> {
    const prints = printsOf(wordsOfBlocks(engine.overlapping.comparedBlocks()).hashes);
    const question = askedPlaces(prints);
    tell({ step: "asking", done: 0, all: 1 });
    try {
      sent.bytes += question.length;
      const places = readPlaces(await this.shipped.places(question), shippedId);
      if (!places) throw new RangeError("the answer can’t be read");
      const stretches = this.sources.take(places, prints);
      for (let at = 0; at < stretches.length && isWanted(); at += MOST_STRETCHES) {
        tell({ step: "fetching", done: at, all: stretches.length });
        const asked = stretches.slice(at, at + MOST_STRETCHES);
        sent.bytes += JSON.stringify({ stretches: asked }).length;
        const answer = await this.shipped.passages(asked);
        sent.version = answer.version;
        this.sources.receive(answer);
      }
    } catch (error) {
      this.sources.forgetShipped();
      sent.failure = error instanceof Error ? error.message : String(error);
    }
  }

  /** Reads the sources whole that a document leans on; without an answer nothing is looked for in them. */
  private async readLeanedOn(
    comparison: Comparison,
    { passages }: Compared,
    sent: Sent,
  ): Promise<void> {
    const leaning = passages.map(({ source, words: [from, to] }) => ({ source, words: to - from }));
    const stretches = this.sources.leanedOn(leaning);
    if (stretches.length === 0) return;
    try {
      sent.bytes += JSON.stringify({ stretches }).length;
      this.sources.receiveWhole(await this.shipped.passages(stretches));
      comparison.forgetRetold();
    } catch {
      // The passages that were found are all there.
    }
  }

  private stockPhrases(): Promise<StockPhrases> {
    this.stock ??= this.shipped.stockPhrases().then((lines) => new StockPhrases(lines));
    this.stock.catch(() => {
      this.stock = null;
    });
    return this.stock;
  }
}
