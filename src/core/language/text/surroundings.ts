import type { Surroundings } from "../corrections/corrections.ts";
import type { Sentence } from "./sentences.ts";
import type { Token } from "./tokens.ts";

/** How many words on either side are of use. */
const REACH = 2;

/**
 * The words around a place in a block, in lower case, within its sentence. "<s>" and "</s>" stand
 * for the sentence's ends; punctuation is passed over.
 */
export function surroundingsOf(
  text: string,
  tokens: readonly Token[],
  sentences: readonly Sentence[],
  place: { from: number; to: number },
): Surroundings {
  const sentence = sentences.find(({ from, to }) => from <= place.from && place.to <= to);
  const from = sentence?.from ?? 0;
  const to = sentence?.to ?? text.length;
  const before: string[] = [];
  const after: string[] = [];
  for (const token of tokens) {
    if (token.from < from || token.to > to || token.kind === "punctuation") continue;
    const word = text.slice(token.from, token.to).toLowerCase().replaceAll("’", "'");
    if (token.to <= place.from) before.push(word);
    else if (token.from >= place.to && after.length < REACH) after.push(word);
  }
  before.splice(0, Math.max(0, before.length - REACH));
  if (before.length < REACH) before.unshift("<s>");
  if (after.length < REACH) after.push("</s>");
  return { before, after };
}
