import { type VoiceStretch, voiceOf } from "../../src/core/originality/voice.ts";

/** A stretch of another writer in each text: is it asked about, and how many others are? */
export function benchVoice(texts: readonly string[]): void {
  let [asked, hit, others, wrong, uniform] = [0, 0, 0, 0, 0];
  const scores: { value: number; foreign: boolean }[] = [];
  for (const [index, text] of texts.entries()) {
    const other = texts[(index + 7) % texts.length] ?? "";
    const words = text.split(" ");
    const at = 250 * Math.max(1, Math.floor(words.length / 500));
    const foreign = other.split(" ").slice(300, 550).join(" ");
    const before = words.slice(0, at).join(" ");
    const mixed = `${before} ${foreign} ${words.slice(at).join(" ")}`;
    const [from, to] = [before.length, before.length + foreign.length];
    for (const stretch of voiceOf(mixed)) {
      const isForeign = shareIn(stretch, from, to) > 0.6;
      scores.push({ value: stretch.unlike, foreign: isForeign });
      if (isForeign) {
        asked++;
        if (stretch.isUnlike) hit++;
      } else if (shareIn(stretch, from, to) < 0.1) {
        others++;
        if (stretch.isUnlike) wrong++;
        if (stretch.isUniform) uniform++;
      }
    }
  }
  const foreign = scores.filter((one) => one.foreign);
  const own = scores.filter((one) => !one.foreign);
  let pairs = 0;
  for (const one of foreign) for (const two of own) pairs += one.value > two.value ? 1 : 0;
  console.log(
    `voice: ${hit} of ${asked} foreign stretches asked about, ${wrong} of ${others} of the writer's own, ${uniform} called uniform; area under the curve ${(pairs / Math.max(1, foreign.length * own.length)).toFixed(2)}`,
  );
}

function shareIn({ from, to }: VoiceStretch, start: number, end: number): number {
  return Math.max(0, Math.min(to, end) - Math.max(from, start)) / Math.max(1, to - from);
}
