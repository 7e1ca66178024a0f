import { type FormFact, formCheck } from "../form-check.ts";
import { QUOTES, textSigns } from "../text-signs.ts";
import { quotationMarks as card } from "./cards.ts";

/** The kinds of marks, as a form of each is named. */
const PAIRS: Readonly<Record<string, readonly [open: string, close: string]>> = {
  "“…”": ["“", "”"],
  "‘…’": ["‘", "’"],
  '"…"': ['"', '"'],
  "'…'": ["'", "'"],
  "«…»": ["«", "»"],
  "»…«": ["»", "«"],
  "„…“": ["„", "“"],
};
/** Longer quotations are told by their beginning alone. */
const LONGEST = 2000;
const QUOTATION =
  /(?<a>“[^“”]+”)|(?<e>„[^„“]+“)|(?<b>(?<![\p{L}\p{N}])‘(?:[^‘’]|’(?=\p{L}))+’(?!\p{L}))|(?<c>(?<![\p{L}\p{N}])"[^"]+"(?!\p{N}))|(?<d>(?<![\p{L}\p{N}.])'(?![\s\d])(?:[^']|(?<=\p{L})'(?=\p{L}))+(?<!\s)'(?!\p{L}))|(?<f>«[^«»]+»)|(?<g>»[^«»]+«)/gu;
const FORM_OF: Readonly<Record<string, string>> = {
  a: "“…”",
  b: "‘…’",
  c: '"…"',
  d: "'…'",
  e: "„…“",
  f: "«…»",
  g: "»…«",
};

/** Quotation marks of one kind around what is quoted; those within a quotation are the other kind's. */
export const quotationMarks = formCheck<FormFact>({
  ...card,
  matter: "marks",
  examine(block) {
    const facts: FormFact[] = [];
    if ((textSigns(block) & QUOTES) === 0) return facts;
    for (const match of block.text.matchAll(QUOTATION)) {
      const group = Object.entries(match.groups ?? {}).find(([, found]) => found !== undefined);
      const form = FORM_OF[group?.[0] ?? ""];
      const to = match.index + match[0].length;
      if (!form || match[0].length > LONGEST || !/\p{L}{2}/u.test(match[0])) continue;
      // A small word, or what has signs in it, between straight marks is a literal of a program: 'next', 'a.b'.
      if (form === "'…'" && /^'(?:[^\s']*[^\p{L}\s'’-][^\s']*|\p{Ll}+)'$/u.test(match[0])) continue;
      // A foot or a minute of arc: 12'.
      if (/\d$/.test(block.text.slice(0, match.index))) continue;
      facts.push({ from: match.index, to, key: "quotation marks", form });
    }
    return facts;
  },
  reads: ["paragraph", "item", "note"],
  write({ from, to, form: own }, form, text) {
    const [open = "", close = ""] = PAIRS[form] ?? [];
    const inner = text.slice(from + 1, to - 1);
    const nested = PAIRS[own];
    if (!open || !nested) return null;
    return open + turned(inner, form, own) + close;
  },
});

/** What stands within, where its marks would be the same as those around it now. */
function turned(inner: string, form: string, own: string): string {
  if (form === "“…”" && own === "‘…’") return inner.replace(/“([^“”]*)”/g, "‘$1’");
  if (form === "‘…’" && own === "“…”")
    return inner.replace(/(?<![\p{L}\p{N}])‘([^‘’]*)’(?!\p{L})/gu, "“$1”");
  return inner;
}
