import { splitSentences } from "../../core/language/text/sentences.ts";
import type { Manuscript, Range } from "../../core/manuscript/model.ts";
import { findVoice, hush, NO_VOICE, speak, spelledOut } from "./speech.ts";

export type ReadingScope = "word" | "letters" | "sentence" | "onward";

interface Screen {
  current(): Pick<Manuscript, "text" | "blocks">;
  /** Shows which word is being said; null for none. */
  show(spoken: Range | null): void;
  publish(changes: { speaking: boolean; voiceless?: string }): void;
}

/** Reads the copy aloud, a sentence at a time, so that it can be ended between any two. */
export class ReadingAloud {
  private run = 0;

  constructor(private readonly screen: Screen) {}

  /** Reads a word, its letters, its sentence, or the copy from its sentence on. */
  async start(scope: ReadingScope, word: string, at: number, language: string): Promise<void> {
    this.stop();
    const run = ++this.run;
    const voice = await findVoice(language);
    if (run !== this.run) return;
    this.screen.publish({ speaking: voice !== null, voiceless: voice ? "" : NO_VOICE });
    if (!voice) return;
    if (scope === "word" || scope === "letters") {
      await speak(scope === "word" ? word : spelledOut(word), voice, () => undefined);
    } else {
      const sentences =
        scope === "sentence" ? this.sentencesFrom(at).slice(0, 1) : this.sentencesFrom(at);
      for (const { from, to } of sentences) {
        const text = this.screen.current().text.slice(from, to);
        const said = await speak(text, voice, (range) => {
          if (run === this.run) this.screen.show({ from: from + range.from, to: from + range.to });
        });
        if (!said || run !== this.run) break;
      }
    }
    if (run === this.run) this.stop();
  }

  /** Ends reading. */
  stop(): void {
    this.run++;
    hush();
    this.screen.show(null);
    this.screen.publish({ speaking: false });
  }

  /** The sentences of the copy from the one at a place on. */
  private sentencesFrom(at: number): Range[] {
    const { text, blocks } = this.screen.current();
    const sentences: Range[] = [];
    for (const block of blocks) {
      if (block.to < at) continue;
      for (const { from, to } of splitSentences(text.slice(block.from, block.to))) {
        const sentence = { from: from + block.from, to: to + block.from };
        if (sentence.to > at) sentences.push(sentence);
      }
    }
    return sentences;
  }
}
