import { withoutPossessive } from "../../language/known.ts";
import type { Check, Circumstances, Fact, Finding, PlacedFact } from "../check.ts";

interface UsedName extends Fact {
  name: string;
}

/** A name spelled otherwise must stand so much oftener to be taken for the right one. */
const OFTENER = 3;
const SHORTEST = 5;

/** A name that stands in one place otherwise than everywhere else. */
export const oddName: Check<UsedName> = {
  id: "spelling/odd-name",
  pass: "spelling",
  weight: "settle",
  code: "name",
  title: "Name spelled otherwise once",
  why: "A name that no dictionary has stands here with one letter different from how the document spells it in at least three other places.",
  source: "common practice",
  examples: [
    {
      wrong: "Quillfrost, says Quillfrost. To Quillfrost, from Quilfrost.",
      right: "Quillfrost, says Quillfrost. To Quillfrost, from Quillfrost.",
    },
    {
      wrong: "By Leetmoor, of Leetmoor, for Leetmoor and Leetmooor.",
      right: "By Leetmoor, of Leetmoor, for Leetmoor and Leetmoor.",
    },
    { leave: "By Quillfrost and Quilfrost." },
  ],
  examine({ kind, unusual }) {
    if (kind === "code") return [];
    return unusual.flatMap(({ from, text, bits, count }) => {
      const name = withoutPossessive(text.replaceAll("’", "'"));
      if (bits !== 0 || count > 1 || name.length < SHORTEST) return [];
      return /^\p{Lu}\p{Ll}+$/u.test(name) ? [{ from, to: from + name.length, name }] : [];
    });
  },
  judge,
  choose(text, { from, to, reason }, { vocabulary }) {
    const own = text.slice(from, to);
    const usual = /has “(\p{L}+)”/u.exec(reason)?.[1];
    const near = usual ? [usual] : namesNear(own, vocabulary());
    return near.slice(0, 1).map((label) => ({ label, edits: [{ from, to, insert: label }] }));
  },
};

function namesNear(name: string, vocabulary: ReturnType<Circumstances["vocabulary"]>): string[] {
  return vocabulary
    .near(name.toLowerCase())
    .filter(({ word }) => /^\p{Lu}/u.test(word) && differsByOne(name, word))
    .map(({ word }) => withoutPossessive(word));
}

function judge(facts: readonly PlacedFact<UsedName>[], { words }: Circumstances): Finding[] {
  const counts = new Map<string, number>();
  for (const { fact } of facts) counts.set(fact.name, (counts.get(fact.name) ?? 0) + 1);
  const often = [...counts].filter(([, count]) => count >= OFTENER);
  const usual = new Map<string, string>();
  for (const [name, count] of counts) {
    if (words.has(name.toLowerCase())) continue;
    const other = often.find(
      ([known, times]) => known !== name && times >= OFTENER * count && differsByOne(name, known),
    );
    if (other) usual.set(name, other[0]);
  }
  return facts.flatMap(({ block, fact: { from, to, name } }) => {
    const known = usual.get(name);
    if (known === undefined) return [];
    const reason = `“${name}” stands here; the document has “${known}” ${counts.get(known)} times.`;
    return [{ block, from, to, reason, group: `${oddName.id}:${name}` }];
  });
}

/** One letter too many, too few, another, or two swapped; a plural or possessive is none. */
function differsByOne(one: string, other: string): boolean {
  if (Math.abs(one.length - other.length) > 1) return false;
  if (`${one}s` === other || `${other}s` === one) return false;
  let from = 0;
  while (from < one.length && one[from] === other[from]) from++;
  let back = 0;
  while (
    back < Math.min(one.length, other.length) - from &&
    one[one.length - 1 - back] === other[other.length - 1 - back]
  ) {
    back++;
  }
  const left = one.slice(from, one.length - back);
  const right = other.slice(from, other.length - back);
  if (left.length <= 1 && right.length <= 1) return true;
  return left.length === 2 && left[0] === right[1] && left[1] === right[0];
}
