import type { Range } from "../../core/manuscript/model.ts";

/** Reading aloud through the browser's own speech synthesis. */

export const NO_VOICE =
  "This computer has no voice for reading aloud. One can be added in its language or accessibility settings.";

/** How long a browser may take to find its voices. */
const VOICES_MS = 1500;

/** The voice for a language, one of its own region first; null when the computer has none. */
export async function findVoice(language: string): Promise<SpeechSynthesisVoice | null> {
  const synthesis = globalThis.speechSynthesis;
  if (!synthesis) return null;
  if (synthesis.getVoices().length === 0) {
    await new Promise<void>((resolve) => {
      synthesis.addEventListener("voiceschanged", () => resolve(), { once: true });
      setTimeout(resolve, VOICES_MS);
    });
  }
  const voices = synthesis.getVoices().filter(({ lang }) => /^en(?:[-_]|$)/i.test(lang));
  const region = language.slice(0, 5).toLowerCase();
  const own = voices.find(({ lang }) => lang.replace("_", "-").toLowerCase() === region);
  return own ?? voices[0] ?? null;
}

/** A word's letters, to be said one by one. */
export function spelledOut(word: string): string {
  return [...word]
    .map((letter) => (letter === "’" || letter === "'" ? "apostrophe" : letter))
    .join(", ");
}

/**
 * Says a text; `onWord` is told which characters are being said. Resolves true at the end, false
 * when it was ended before.
 */
export function speak(
  text: string,
  voice: SpeechSynthesisVoice,
  onWord: (range: Range) => void,
): Promise<boolean> {
  const utterance = new SpeechSynthesisUtterance(text);
  utterance.voice = voice;
  utterance.lang = voice.lang;
  utterance.addEventListener("boundary", (event) => {
    if (event.name !== "word") return;
    const rest = /^\S+/.exec(text.slice(event.charIndex))?.[0] ?? "";
    const length = event.charLength || rest.length;
    onWord({ from: event.charIndex, to: event.charIndex + length });
  });
  return new Promise((resolve) => {
    utterance.addEventListener("end", () => resolve(true));
    utterance.addEventListener("error", () => resolve(false));
    globalThis.speechSynthesis.speak(utterance);
  });
}

/** Ends what is being said. */
export function hush(): void {
  globalThis.speechSynthesis?.cancel();
}
