import { proxy } from "comlink";
import type { Mark } from "../../core/engine/mark.ts";
import type { CollatedCell, OverlapTable } from "../../core/gathered/overlaps.ts";
import type { Measured } from "../../core/originality/measured.ts";
import type { VoiceStretch } from "../../core/originality/voice.ts";
import { readSettings, updateSettings } from "../../store/house.ts";
import { addSource, ownSources } from "../../store/sources.ts";
import type { ComparingState } from "./comparing-state.ts";
import type { DeskCore } from "./desk-core.ts";
import type { DocumentSettings } from "./document-settings.ts";
import { fetchEntry } from "./word-entries.ts";

/** Other ways to say something. */
export interface OtherWording {
  /** Of the word at the caret: its meanings, each with words in its form. */
  senses: readonly { gloss: string; words: readonly string[] }[];
  /** Of the sentence: long-winded phrases with what says the same; offsets in the sentence. */
  phrases: readonly { from: number; to: number; text: string; instead: readonly string[] }[];
}

const MOST_SENSES = 4;
const MOST_SYNONYMS = 6;

/** Comparing the document with sources: asked for by the person, in turns, and ended at will. */
export class Overlaps {
  private run = 0;

  constructor(
    private readonly core: DeskCore,
    private readonly settings: DocumentSettings,
    /** Marks of some blocks are others now. */
    private readonly changed: (blocks: number[]) => void,
  ) {}

  /** Finds out whether the collection that ships may be asked. */
  async prepare(): Promise<void> {
    const { asksShipped } = await readSettings();
    this.publish({ asks: asksShipped });
  }

  /** Compares with the person's own sources, and with the collection that ships where that may be asked. */
  async compare(asks: boolean): Promise<void> {
    const run = ++this.run;
    await this.core.keeper.guard(() => updateSettings({ asksShipped: asks }));
    this.publish({ asks, progress: { step: "laying", done: 0, all: 1 } });
    const { copy } = this.core;
    try {
      const own = await ownSources();
      const found = await this.core.worker.compareWithSources(
        own,
        asks,
        proxy((progress) => {
          if (run === this.run) this.publish({ progress });
        }),
      );
      if (run !== this.run || copy !== this.core.copy) return;
      this.publish({ progress: null });
      if (!found) return;
      const { update, sent } = found;
      const about = { ...sent, at: new Date(), own: own.length, asked: asks };
      this.publish({ done: { ...about, share: null } });
      this.changed(copy.reported.report(update, update.revision));
      const table = (await this.core.worker.gathered("overlaps", []))?.table as OverlapTable | null;
      if (run !== this.run || !table) return;
      const { words, all } = table.totals;
      this.publish({ done: { ...about, share: all === 0 ? 0 : words / all } });
      this.core.shelf.note();
    } catch (error) {
      if (run !== this.run) return;
      this.publish({ progress: null });
      await this.core.checking.afterFailure(error);
    }
  }

  /** Ends a running comparison; what was compared before stays. */
  stop(): void {
    this.run++;
    this.publish({ progress: null });
    void this.core.worker.stopComparing().catch(() => undefined);
  }

  /** A passage word above word beside its source; null where the source is closed. */
  collation(passage: number): Promise<CollatedCell[] | null> {
    return this.core.worker.collation(passage).catch(() => null);
  }

  /** The same of the passage that a mark is of. */
  collationAt(mark: Mark): Promise<CollatedCell[] | null> {
    return this.core.worker.collationAt(mark).catch(() => null);
  }

  /** How much of a new wording still stands where a passage has it from. */
  measure(passage: number, text: string): Promise<Measured | null> {
    return this.core.worker.measureAgainst(passage, text).catch(() => null);
  }

  /** How alike the stretches of the document are. */
  voice(): Promise<VoiceStretch[]> {
    return this.core.worker.voice(this.core.copy.text).catch(() => []);
  }

  /** Other words for a word, by its meanings and in its form, and shorter ways for phrases of a sentence. */
  async wordsInstead(word: string, sentence: string): Promise<OtherWording> {
    try {
      const [senses, phrases] = await Promise.all([
        this.sensesOf(word),
        this.core.worker.phrasesInstead(sentence, this.core.settings()),
      ]);
      return { senses, phrases };
    } catch {
      // Without the server there are no meanings; the sentence can be written all the same.
      return { senses: [], phrases: [] };
    }
  }

  private async sensesOf(word: string): Promise<OtherWording["senses"]> {
    if (!/^[\p{L}’'-]{3,}$/u.test(word)) return [];
    const { variety } = this.core.settings();
    const { worker } = this.core;
    const { bases } = await worker.aboutWord(word, variety);
    const entries = await Promise.all(bases.map((base) => fetchEntry(base)));
    const senses = entries.flatMap(({ senses: own }) => own).slice(0, MOST_SENSES);
    const fitted = await Promise.all(
      senses.map(async ({ definition, part, synonyms }) => ({
        gloss: definition,
        words: [
          ...new Set(
            await Promise.all(
              synonyms
                .slice(0, MOST_SYNONYMS)
                .map((one) => worker.fitSynonym(one, word, part, variety)),
            ),
          ),
        ].filter((one) => one.toLowerCase() !== word.toLowerCase()),
      })),
    );
    return fitted.filter(({ words }) => words.length > 0);
  }

  /** The whole text of an own open source. */
  sourceText(source: string): Promise<string | null> {
    return this.core.worker.sourceText(source).catch(() => null);
  }

  /** Chooses something about overlaps in this document; null goes back to what is usual. */
  async choose(of: string, value: string | null): Promise<void> {
    await this.settings.choose(of, value);
  }

  /** Adds the document as it stands to the person's own sources. */
  async addDraft(): Promise<void> {
    const { record } = this.core.state;
    if (!record) return;
    const { title, fileName } = record;
    const { text } = this.core.copy;
    const added = await this.core.keeper.guard(async () => {
      await addSource({
        title,
        author: null,
        year: null,
        fileName,
        text,
        closed: false,
        isOwn: true,
      });
      return true;
    });
    if (added) this.core.say(`“${title}” is among your sources now, as your own.`);
  }

  private publish(changes: Partial<ComparingState>): void {
    this.core.publish({ comparing: { ...this.core.state.comparing, ...changes } });
  }
}
