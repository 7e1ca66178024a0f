import type { CitedFinding, TextRule } from "./rule.ts";

/** Numbers go up as works are first cited. */
export const numberOrder: TextRule = ({ citations, style }) => {
  if (style.inText.system !== "numeric") return [];
  const found: CitedFinding[] = [];
  const seen = new Set<number>();
  let highest = 0;
  for (const { block, citation, items } of citations) {
    for (const { item } of items) {
      const { number } = item;
      if (number === null || seen.has(number)) continue;
      if (number > highest + 1) {
        const missing =
          highest + 2 === number ? `${highest + 1}` : `${highest + 1} to ${number - 1}`;
        found.push({
          block,
          from: citation.from,
          to: citation.to,
          reason: `Number ${number} is cited before ${missing}; numbers follow the order of first mention.`,
          choices: [],
        });
      }
      seen.add(number);
      highest = Math.max(highest, number);
    }
  }
  return found;
};

/** Three numbers in a row or more are joined, and each style has its signs. */
export const numberRange: TextRule = ({ blocks, citations, style }) => {
  const { brackets, rangeDash } = style.inText;
  if (style.inText.system !== "numeric" || !brackets || !rangeDash) return [];
  const found: CitedFinding[] = [];
  for (const { block, citation, items } of citations) {
    const text = (blocks[block]?.text ?? "").slice(citation.from, citation.to);
    if (items.some(({ item }) => item.pinpoint)) continue;
    const numbers = [...new Set(items.map(({ item }) => item.number ?? 0))].sort((a, b) => a - b);
    const right = writtenNumbers(numbers, style.inText.betweenWorks, rangeDash, brackets);
    const isSquare = text.startsWith("[");
    // Brackets of another kind are the house's; what stands in them is the style's.
    const own = !isSquare || brackets[0] === "[" ? right : `[${inner(right)}]`;
    const compared = brackets === "superscript" ? inner(own) : own;
    if (same(text, compared) || numbers.length < 2) continue;
    found.push({
      block,
      from: citation.from,
      to: citation.to,
      reason: `${style.name} writes these numbers “${compared}”.`,
      choices: [
        {
          label: compared,
          edits: [{ block, from: citation.from, to: citation.to, insert: compared }],
        },
      ],
    });
  }
  return found;
};

function inner(text: string): string {
  return text.replaceAll(/[[\]()]/gu, "");
}

function same(one: string, other: string): boolean {
  const plain = (text: string) => text.replaceAll(/\s/gu, "").replaceAll("-", "–");
  return plain(one) === plain(other);
}

/** Numbers as the style writes them: two apart, three in a row or more as a range. */
function writtenNumbers(
  numbers: readonly number[],
  between: string,
  dash: string,
  brackets: readonly [string, string] | "superscript",
): string {
  const runs: number[][] = [];
  for (const number of numbers) {
    const last = runs.at(-1);
    if (last && last.at(-1) === number - 1) last.push(number);
    else runs.push([number]);
  }
  const [open, close] = brackets === "superscript" ? ["", ""] : brackets;
  const each = open === "[";
  const signed = (number: number | undefined) => (each ? `[${number}]` : `${number}`);
  const parts = runs.flatMap((run) =>
    run.length > 2 ? [`${signed(run[0])}${dash}${signed(run.at(-1))}`] : run.map(signed),
  );
  return each ? parts.join(between) : `${open}${parts.join(between)}${close}`;
}
