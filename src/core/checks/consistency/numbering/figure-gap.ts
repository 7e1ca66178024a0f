import { CAPTION } from "../layout/caption.ts";
import { figureGap as card } from "./cards.ts";
import { kindCalled } from "./labels.ts";
import { sequenceCheck } from "./sequence.ts";

const READ = new Set(["paragraph", "caption"]);
/** Longer paragraphs are text that begins with a figure. */
const LONGEST = 300;
const EQUATION = /=.*\((?<number>\d{1,3}(?:\.\d{1,3})?)\)\s*$/;

/** Captions and numbered equations that leave one out, are there twice, or are out of order. */
export const figureGap = sequenceCheck({
  ...card,
  thing: "Number",
  examine({ kind, text }) {
    if (!READ.has(kind)) return [];
    const found = captionNumber(text, kind === "caption");
    return found ? [found] : [];
  },
});

/** What a caption, or an equation with a number, is called; null for other text. */
export function captionNumber(text: string, isCaption: boolean) {
  const trimmed = text.trimEnd();
  const match = trimmed.length > LONGEST ? null : CAPTION.exec(trimmed);
  if (match?.groups) {
    const { label = "", number = "", sign = "" } = match.groups;
    // "Figure 3 shows the wall" is a sentence, and a line with a page number one of a list of figures.
    if (sign === "" && !isCaption && !/^\p{Lu}/u.test(trimmed.slice(match[0].length))) return null;
    if (/(?:\.{3}|\t|\s{2})\s*\d+$/.test(trimmed) || /\(?\bcont(?:inued|\.|’d|'d)/i.test(trimmed))
      return null;
    const parts = number.replace(/[a-z]$/, "").split(/[.-]/);
    const last = Number(parts.at(-1)?.replace(/^[A-Z]/, ""));
    const whole = match[0].slice(0, match[0].indexOf(number) + number.length);
    const above = [...parts.slice(0, -1), /^[A-Z]/.exec(parts.at(-1) ?? "")?.[0] ?? ""].join(".");
    const kind = kindCalled(label);
    const rest = { number: last, label: whole, target: `${kind} ${number.replace(/[a-z]$/, "")}` };
    return { from: 0, to: whole.length, series: `${kind} ${above}`, ...rest };
  }
  const equation = EQUATION.exec(trimmed)?.groups?.number;
  if (equation === undefined) return null;
  const at = trimmed.lastIndexOf(`(${equation})`);
  const parts = equation.split(".");
  const series = `equation ${parts.slice(0, -1).join(".")}`;
  const target = `equation ${equation}`;
  return {
    from: at,
    to: at + equation.length + 2,
    series,
    number: Number(parts.at(-1)),
    label: `(${equation})`,
    target,
  };
}
