import type { Syntax } from "../../../language/phrases/syntax.ts";

/** Whether a time that is over is named at a unit: "yesterday", "ago", or "last" with one of some words. */
export function isPastTime({ words }: Syntax, unit: number, afterLast: RegExp): boolean {
  const form = words[unit]?.form ?? "";
  if (form === "yesterday" || form === "ago") return true;
  return (
    form === "last" &&
    words[unit - 1]?.form !== "the" &&
    afterLast.test(words[unit + 1]?.form ?? "")
  );
}
