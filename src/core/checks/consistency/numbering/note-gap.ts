import type { Check, Fact } from "../../check.ts";
import { noteGap as card } from "./cards.ts";

interface NoteFact extends Fact {
  /** The number it calls; null for a note, whose number its block has. */
  calls: string | null;
  /** The call is left in the text, since no note answers it. */
  isLeft: boolean;
}

interface Notes {
  /** How often each number is called. */
  called: Map<string, number>;
  /** The numbers of notes by their blocks. */
  notes: Map<number, string>;
}

/** A call that a reader of the format left in the text: "[^3]". */
const LEFT = /\[\^\d{1,3}\](?!:)/g;

/** Notes that nothing calls, and calls without a note. */
export const noteGap: Check<NoteFact> = {
  ...card,
  readsAll: true,
  examine({ kind, text, spans }) {
    const facts: NoteFact[] = spans
      .filter((span) => span.kind === "note-anchor")
      .map(({ from, to, label = "" }) => ({ from, to, calls: label, isLeft: false }));
    for (const { 0: whole, index } of text.matchAll(LEFT)) {
      facts.push({ from: index, to: index + whole.length, calls: whole, isLeft: true });
    }
    if (kind === "note" && text.trim() !== "") {
      facts.push({ from: 0, to: text.trimEnd().length, calls: null, isLeft: false });
    }
    return facts;
  },
  across: {
    counting: {
      keysOf: () => "notes",
      start: (): Notes => ({ called: new Map(), notes: new Map() }),
      count(tally, { calls, isLeft }, _key, by, index, { marker = "" }) {
        const { called, notes } = tally as Notes;
        if (isLeft) return;
        if (calls !== null) called.set(calls, (called.get(calls) ?? 0) + by);
        else if (by > 0) notes.set(index, marker);
        else notes.delete(index);
      },
    },
    judge(_key, tally) {
      const { called, notes } = tally as Notes;
      // Where no call is known at all, the format does not tell of them.
      const isTold = [...called.values()].some((times) => times > 0);
      const lost = [...notes].filter(([, marker]) => (called.get(marker) ?? 0) <= 0);
      if (!isTold) return { verdict: null };
      const blocks = lost.map(([index]) => index).sort((one, other) => one - other);
      return { verdict: { lost: blocks.join(" ") } };
    },
    find({ from, to, calls, isLeft }, { lost }, _circumstances, index) {
      if (isLeft) {
        return { from, to, reason: `“${calls}” calls a note that is not there.`, group: null };
      }
      if (calls !== null || !String(lost).split(" ").includes(String(index))) return null;
      return { from, to, reason: "Nothing in the text calls this note.", group: null };
    },
  },
  choose: () => [],
};
