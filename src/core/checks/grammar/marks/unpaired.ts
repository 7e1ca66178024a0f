import { type Found, markCheck } from "../../mark-check.ts";
import { unpaired as card } from "./cards.ts";

const PAIRS: Record<string, string> = { "(": ")", "[": "]", "“": "”" };

/** A bracket or quotation mark without its partner. */
export const unpaired = markCheck({
  ...card,
  reason: "“{}” has no partner in this paragraph.",
  notIn: ["cell", "heading"],
  find(syntax, _language, block) {
    const found: Found[] = [];
    // What closes it may stand in the next window.
    if (block.part) return found;
    // A bracket may belong to the code beside it.
    if (block.spans.some((span) => span.kind === "code")) return found;
    const open: { unit: number; character: string }[] = [];
    const { units, text } = syntax;
    const straight: number[] = [];
    const add = (unit: number) => {
      const unsure = isNotation(text, units[unit]?.from ?? 0);
      found.push({ from: unit, to: unit + 1, mends: [], unsure });
    };
    if (!/[()[\]"“”]/.test(text)) return found;
    for (let unit = 0; unit < units.length; unit++) {
      const { from, to } = units[unit] ?? { from: 0, to: 0 };
      if (to - from !== 1) continue;
      const character = text[from] ?? "";
      if (character === '"' && !/\d/.test(text[from - 1] ?? "")) straight.push(unit);
      // "[0, 1)": an interval that is open at one end.
      if (character === "[" && /^[\d\s.,-]+\)/.test(text.slice(to, to + 24))) continue;
      if (character === ")" && /\[[\d\s.,-]+$/.test(text.slice(Math.max(0, from - 24), from)))
        continue;
      if (PAIRS[character]) {
        open.push({ unit, character });
        continue;
      }
      if (!/[)\]”]/.test(character)) continue;
      const last = open.at(-1);
      if (last && PAIRS[last.character] === character) {
        open.pop();
        continue;
      }
      // "a)", "1)": a list's mark needs no partner.
      const before = text.slice(Math.max(0, from - 4), from);
      if (character === ")" && /(?:^|[\s(])(?:\p{L}|\d{1,3}|[ivx]{1,4})$/u.test(before)) continue;
      if (character === ")" && /[:;]-?$/.test(before)) continue;
      const opposite = open.findLastIndex((one) => PAIRS[one.character] === character);
      if (opposite >= 0) {
        for (const one of open.splice(opposite))
          if (PAIRS[one.character] !== character) add(one.unit);
      } else if (last && character !== "”" && last.character !== "“") {
        open.pop();
        const mend = PAIRS[last.character] ?? "";
        found.push({
          from: unit,
          to: unit + 1,
          mends: [mend],
          reason: "This bracket closes another kind than was opened.",
        });
      } else add(unit);
    }
    for (const { unit, character } of open) {
      // A quotation may go on in the next paragraph.
      if (
        character === "“" &&
        !/”/.test(text.slice(units[unit]?.from ?? 0)) &&
        unit === open.at(-1)?.unit &&
        !endsInside(block.text)
      )
        add(unit);
      else if (character !== "“") add(unit);
    }
    if (straight.length % 2 === 1 && block.sentences.length === 1) add(straight.at(-1) ?? 0);
    return found;
  },
});

/** A square bracket, or a round one that does not stand at a word: of a formula or a command. */
function isNotation(text: string, at: number): boolean {
  const [before = "", after = ""] = [text[at - 1], text[at + 1]];
  switch (text[at]) {
    case "[":
    case "]":
      return true;
    case "(":
      return !/^[\s“"‘—]?$/.test(before) || !/^[\p{L}\p{N}“"‘'$£€]/u.test(after);
    case ")":
      return !/[\p{L}\p{N}.,?!”"’'%]/u.test(before) || !/^[\s.,;:?!”"’—]?$/.test(after);
    default:
      return false;
  }
}

/** Speech that runs on leaves its paragraph open at a full stop right away. */
function endsInside(text: string): boolean {
  return text.startsWith("“");
}
