import { isOneEdit } from "../../language/corrections/edit-cost.ts";
import { withoutPossessive } from "../../language/words/known.ts";
import type { Across, Check, Circumstances, Fact } from "../check.ts";
import { times } from "../telling.ts";
import { oddName as card } from "./cards.ts";

interface UsedName extends Fact {
  name: string;
}

/** A name spelled otherwise must stand so much oftener to be taken for the right one. */
const OFTENER = 3;
const SHORTEST = 5;

function namesNear(name: string, vocabulary: ReturnType<Circumstances["vocabulary"]>): string[] {
  return vocabulary
    .near(name.toLowerCase())
    .filter(({ word }) => /^\p{Lu}/u.test(word) && differsByOne(name, word))
    .map(({ word }) => withoutPossessive(word));
}

/** How often each of the names that lack one letter to be the key, or are it, stands in the document. */
type Counts = Map<string, number>;

/** By a name: the one that is meant. */
type Usual = Readonly<Record<string, string>>;

/**
 * Two names one letter apart, or with two letters swapped, become the same when each lacks a letter or
 * one of them does: that is the key under which they meet.
 */
const across: Across<UsedName, Counts, Usual> = {
  counting: {
    keysOf: ({ name }) => {
      const keys = new Set([name]);
      for (let at = 0; at < name.length; at++) keys.add(name.slice(0, at) + name.slice(at + 1));
      return [...keys];
    },
    start: () => new Map(),
    count(counts, { name }, _key, by) {
      const count = (counts.get(name) ?? 0) + by;
      if (count === 0) counts.delete(name);
      else counts.set(name, count);
    },
  },
  judge(_key, counts, _level, { words }) {
    if (counts.size < 2) return { verdict: null };
    const often = [...counts]
      .filter(([, count]) => count >= OFTENER)
      .sort(([one, ones], [other, others]) => others - ones || (one < other ? -1 : 1));
    const usual: Record<string, string> = {};
    for (const [name, count] of counts) {
      if (words.has(name.toLowerCase())) continue;
      const meant = often.find(
        ([known, times]) => known !== name && times >= OFTENER * count && differsByOne(name, known),
      );
      if (meant) usual[name] = meant[0];
    }
    return { verdict: Object.keys(usual).length > 0 ? usual : null };
  },
  find({ from, to, name }, usual) {
    const known = usual[name];
    if (known === undefined) return null;
    const reason = `“${name}” here; the document mostly has “${known}”.`;
    return { from, to, reason, group: `${oddName.id}:${name}` };
  },
  tell: (_key, counts, usual) =>
    Object.entries(usual).map(([name, known]) => ({
      group: `${oddName.id}:${name}`,
      note: `“${known}” is here ${times(counts.get(known) ?? 0)}.`,
      variants: [name, known].map((text) => ({ text, count: counts.get(text) ?? 0 })),
      preferred: { variant: known, by: "majority" },
    })),
};

/** A name that stands in one place otherwise than everywhere else. */
export const oddName: Check<UsedName> = {
  ...card,
  examine({ unusual }) {
    return unusual.flatMap(({ from, text, bits, count }) => {
      const name = withoutPossessive(text.replaceAll("’", "'"));
      if (bits !== 0 || count > 1 || name.length < SHORTEST) return [];
      return /^\p{Lu}\p{Ll}+$/u.test(name) ? [{ from, to: from + name.length, name }] : [];
    });
  },
  across,
  choose(text, { from, to }, { vocabulary }) {
    return namesNear(text.slice(from, to), vocabulary())
      .slice(0, 1)
      .map((label) => ({ label, edits: [{ from, to, insert: label }] }));
  },
};

/** One letter apart, or two swapped; a plural or possessive is none. */
function differsByOne(one: string, other: string): boolean {
  return `${one}s` !== other && `${other}s` !== one && isOneEdit(one, other);
}
