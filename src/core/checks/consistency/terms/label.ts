import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { DIGITS, LONE_CAPITAL } from "../text-signs.ts";
import { labelForm as card } from "./cards.ts";

/** What text refers to by its number: the word, and how it is shortened. */
const LABELS: readonly (readonly [full: string, short: string])[] = [
  ["figure", "fig"],
  ["table", "tab"],
  ["equation", "eq"],
  ["section", "sect?"],
  ["chapter", "ch(?:ap)?"],
  ["appendix", "app"],
  ["annex", "ann"],
  ["part", "pt"],
  ["volume", "vol"],
  ["note", "n"],
  ["scheme", "sch"],
];
const REFERENCE = new RegExp(
  String.raw`(?<![\p{L}\p{N}])(?<word>${LABELS.map(([full, short]) => `${plural(full)}|${short}s?\\.?`).join("|")})(?!\p{L})`,
  "giu",
);
/** What follows a label that refers to something. */
const NUMBERED = /^[ \u00a0]?\d|^[ \u00a0](?:[A-Z]|[IVX]+)(?![\p{L}\p{N}])/u;

function plural(full: string): string {
  if (full === "appendix") return "appendix|appendices";
  return `${full}s?`;
}

/** "Figure 3", "figure 3" and "Fig. 3" in the same kind of place. */
export const labelForm = formCheck<FormFact>({
  ...card,
  matter: "abbreviations",
  needs: DIGITS | LONE_CAPITAL,
  examine(block) {
    const facts: FormFact[] = [];
    for (const { match, from, to, kept } of matchesIn(block, REFERENCE)) {
      const word = match.groups?.word ?? "";
      if (!NUMBERED.test(block.text.slice(to, to + 6))) continue;
      const at = LABELS.findIndex(([full, short]) =>
        new RegExp(`^(?:${plural(full)}|${short}s?\\.?)$`, "i").test(word),
      );
      const label = LABELS[at]?.[0];
      if (!label || word.length < 3) continue;
      const short = !new RegExp(`^${plural(label)}$`, "i").test(word);
      // "the part 3 pumps" and "in a table 4 rows long" are rare; a label without its stop needs a capital.
      if (short && !word.endsWith(".") && /^\p{Ll}/u.test(word)) continue;
      const opens = isOpening(block.text, from);
      const bracketed = isBracketed(block.text, from);
      const name = label.charAt(0).toUpperCase() + label.slice(1);
      const abbreviated = short ? (word.endsWith(".") ? "stopped" : "bare") : "full";
      const shape = SHAPES[abbreviated](name, word);
      const form = /^\p{Lu}/u.test(word) ? shape : shape.toLowerCase();
      const reason = kept ?? (opens && !short ? "opening" : undefined);
      facts.push({
        from,
        to: from + word.length,
        key: `${label} ${bracketed ? "in brackets" : "in the text"}`,
        form,
        ...(reason ? { kept: reason } : {}),
      });
    }
    return facts;
  },
  reads: ["paragraph", "item", "note", "cell"],
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    const many =
      /s\.?$/i.test(written) && !/^(?:sec|sect)s?\.?$/i.test(written.replace(/s(?=\.?$)/, ""));
    const isPlural =
      many &&
      /(?:ures|ables|ions|ters|arts|umes|igs|tabs|eqs|secs|chs|apps|notes|ices)\.?$/i.test(written);
    if (!isPlural) return form;
    if (form.endsWith(".")) return `${form.slice(0, -1)}s.`;
    return form.toLowerCase() === "appendix" ? `${form.slice(0, -2)}ices` : `${form}s`;
  },
});

const SHORT_NAMES: Readonly<Record<string, string>> = {
  Figure: "Fig",
  Table: "Tab",
  Equation: "Eq",
  Section: "Sec",
  Chapter: "Ch",
  Appendix: "App",
  Annex: "Ann",
  Part: "Pt",
  Volume: "Vol",
  Note: "N",
  Scheme: "Sch",
};

const SHAPES: Record<"full" | "stopped" | "bare", (name: string, word: string) => string> = {
  full: (name) => name,
  stopped: (name) => `${SHORT_NAMES[name] ?? name}.`,
  bare: (name) => SHORT_NAMES[name] ?? name,
};

function isOpening(text: string, from: number): boolean {
  const before = text.slice(Math.max(0, from - 4), from);
  return from === 0 || /[.!?]\s+$/.test(before);
}

/** Whether the place stands in brackets, where many houses shorten. */
function isBracketed(text: string, from: number): boolean {
  const before = text.slice(Math.max(0, from - 80), from);
  return before.lastIndexOf("(") > before.lastIndexOf(")");
}
