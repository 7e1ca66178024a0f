import type { Syntax, VerbGroup } from "../../../language/phrases/syntax.ts";
import { wordList } from "../../../language/words/word-lists.ts";

export const NOT_SENTENCES = ["heading", "cell", "caption", "item", "quote"] as const;

/** The sentences of a block, as units [from, to). */
export function* sentencesOf({
  sentenceTo,
  units,
}: Syntax): Generator<{ from: number; to: number }> {
  for (
    let from = 0;
    from < units.length;
    from = Math.max(from + 1, sentenceTo[from] ?? units.length)
  ) {
    yield { from, to: sentenceTo[from] ?? units.length };
  }
}

export const finiteIn = ({ verbGroups }: Syntax, from: number, to: number): VerbGroup[] =>
  verbGroups.filter((verb) => verb.finite >= from && verb.to <= to);
export const SUBORDINATORS = wordList("sentences/subordinators");
/** Verbs that a clause follows without "that", so that nothing ends there: "said it was". */
export const TAKES_CLAUSE: ReadonlySet<string> = new Set([
  ...wordList("comma-splice/reports"),
  ...wordList("comma-splice/tells"),
  ...wordList("run-on/takes-clause"),
]);
