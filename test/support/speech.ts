import type { Page } from "playwright-core";

/** What the stand-in for the browser's speech synthesis was asked to say. */
export async function spokenTexts(page: Page): Promise<string[]> {
  return page.evaluate(() => (globalThis as unknown as { spoken: string[] }).spoken);
}

/**
 * Gives every page a small stand-in for speech synthesis: it notes what it is to say, reports each
 * word and ends. Without voices when there are to be none.
 */
export async function standInForSpeech(page: Page, voices: readonly string[]): Promise<void> {
  await page.addInitScript("globalThis.__name = (one) => one");
  await page.addInitScript((languages: readonly string[]) => {
    const spoken: string[] = [];
    class Utterance extends EventTarget {
      voice: unknown = null;
      lang = "";
      constructor(readonly text: string) {
        super();
      }
    }
    let current: Utterance | null = null;
    const synthesis = {
      getVoices: () => languages.map((lang) => ({ lang, name: lang })),
      addEventListener: () => undefined,
      cancel() {
        const ended = current;
        current = null;
        ended?.dispatchEvent(new Event("error"));
      },
      speak(utterance: Utterance) {
        spoken.push(utterance.text);
        current = utterance;
        const words = [...utterance.text.matchAll(/\S+/g)];
        const say = (index: number) => {
          if (current !== utterance) return;
          const word = words[index];
          if (!word) {
            current = null;
            utterance.dispatchEvent(new Event("end"));
            return;
          }
          const event = new Event("boundary");
          Object.assign(event, {
            name: "word",
            charIndex: word.index,
            charLength: word[0].length,
          });
          utterance.dispatchEvent(event);
          setTimeout(() => say(index + 1), 60);
        };
        setTimeout(() => say(0), 20);
      },
    };
    Object.defineProperty(globalThis, "speechSynthesis", { value: synthesis });
    Object.defineProperty(globalThis, "SpeechSynthesisUtterance", { value: Utterance });
    Object.defineProperty(globalThis, "spoken", { value: spoken });
  }, voices);
}
