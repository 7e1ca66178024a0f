import type { WordFigures } from "../language/words/word-figures.ts";
import type { Range } from "../manuscript/model.ts";
import type { ReadBlock, SentenceCount } from "./readings.ts";
import { isCounted, type Scope } from "./scope.ts";
import { eachWord, isOfKind, WORD_KINDS, type WordKind, type WordSources } from "./words.ts";

/** The places behind a count: every figure can be opened to what it is made of. */

/** A count with places, or the forms of a word. */
export type PlaceQuery =
  | {
      count:
        | "sentences"
        | "paragraphs"
        | "words"
        | "letters"
        | "syllables"
        | WordKind
        | SentenceCount;
    }
  | { forms: readonly string[] };

/** Places shown of a count; more of them tell nobody anything. */
export const MOST_PLACES = 300;

/** A place in the document, and what it counts for where that is not one. */
export interface CountPlace extends Range {
  figure?: number;
}

/** The places of a word kind or of forms among words; for syllables and letters those that have most. */
export function wordPlaces(
  blocks: readonly ReadBlock[],
  query: PlaceQuery,
  scope: Scope,
  { measurer }: Pick<WordSources, "measurer">,
): CountPlace[] | null {
  const picks = pickerOf(query);
  if (!picks) return null;
  const places: CountPlace[] = [];
  for (const { block, text, counts, sentences } of blocks) {
    if (!isCounted(block.kind, counts, scope)) continue;
    for (const sentence of sentences) {
      eachWord(text, sentence, measurer, (figures, name, from, to) => {
        const figure = picks(figures, name);
        if (figure === 0) return;
        const place = { from: block.from + from, to: block.from + to };
        places.push(figure === 1 ? place : { ...place, figure });
      });
    }
  }
  if ("count" in query && (query.count === "syllables" || query.count === "letters")) {
    places.sort((one, other) => (other.figure ?? 1) - (one.figure ?? 1));
  }
  return places.slice(0, MOST_PLACES);
}

/** What a word counts for under a query, 0 for nothing; null where the query is not about words. */
function pickerOf(query: PlaceQuery): ((figures: WordFigures, name: boolean) => number) | null {
  if ("forms" in query) {
    const forms = new Set(query.forms);
    return ({ form }) => (forms.has(form) ? 1 : 0);
  }
  const { count } = query;
  if (count === "words") return () => 1;
  if (count === "syllables") return ({ syllables }) => syllables;
  if (count === "letters") return ({ letters }) => letters;
  const kind = WORD_KINDS.find((one) => one === count);
  return kind ? (figures, name) => (isOfKind(figures, name, kind) ? 1 : 0) : null;
}
