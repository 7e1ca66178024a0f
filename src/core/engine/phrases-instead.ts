import type { Language } from "../language/analysis.ts";
import { linesManuscript } from "../manuscript/lines.ts";
import { Engine } from "./engine.ts";
import type { CheckSettings } from "./mark.ts";

/** A phrase of a sentence with shorter ways to say it; offsets in the sentence. */
export interface PhraseInstead {
  from: number;
  to: number;
  text: string;
  instead: readonly string[];
}

/** Checks whose corrections say the same in other words. */
const OTHER_WORDS = new Set([
  "wording/wordy",
  "wording/redundant",
  "wording/light-verb",
  "wording/jargon",
]);

/** Long-winded phrases of a sentence that is being written, with what says the same. */
export function phrasesInstead(
  sentence: string,
  language: Language,
  settings: CheckSettings,
): PhraseInstead[] {
  const whole = {
    ...settings,
    appetites: Object.fromEntries([...OTHER_WORDS].map((id) => [id, "all" as const])),
  };
  const engine = new Engine(linesManuscript(sentence), language, whole);
  for (const _done of engine.examineAll(["wording"]));
  return engine.allMarks().flatMap((mark) => {
    if (!OTHER_WORDS.has(mark.rule)) return [];
    const { from } = engine.blockRange(mark.block);
    const instead = engine.choices(mark).map(({ label }) => label);
    return [{ from: from + mark.from, to: from + mark.to, text: mark.text, instead }];
  });
}
