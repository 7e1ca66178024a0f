import type { Appetite, Pass, Weight } from "../checks/card.ts";
import { cardById } from "../checks/cards.ts";
import { EACH_SECTION, EXPLAINED_IN } from "../checks/check.ts";
import { LEAVE_KINDS } from "../checks/leave.ts";
import { LIST_SORTED, SORTED } from "../citations/sorted-list.ts";
import { STYLE_IDS } from "../citations/styles/style.ts";
import { styleOf } from "../citations/styles/styles.ts";
import type { HouseStyle } from "../house/style.ts";
import { SUBJECTS } from "../house/subjects.ts";
import type { Act, Setting } from "../ledger/decision.ts";
import type { Kind, Variety } from "../manuscript/model.ts";
import {
  COUNT_POSSIBLE,
  keepingOf,
  keepingValue,
  LIMIT,
  NO_LIMIT,
} from "../originality/choices.ts";
import { KEPT_OUT } from "../originality/passages.ts";
import { type Bounds, READERS, type Reader, readerOf } from "../readings/readers.ts";

/** What the model's values are called on screens, in reports and by the command. */

export const VARIETY_LABELS: Record<Variety, string> = {
  "en-US": "English, US",
  "en-GB": "English, GB",
  "en-GB-oxendict": "English, GB -ize",
  "en-CA": "English, Canada",
  "en-AU": "English, Australia",
};

export const KIND_LABELS: Record<Kind, string> = {
  paper: "Paper",
  report: "Report",
  specification: "Specification",
  brief: "Brief",
  clinical: "Clinical",
  fiction: "Fiction",
  letter: "Letter",
  sheet: "Sheet",
  general: "General copy",
};

export const PASS_LABELS: Record<Pass, string> = {
  spelling: "Spelling",
  grammar: "Grammar",
  wording: "Wording",
  sentences: "Sentences",
  consistency: "Consistency",
  citations: "Citations",
  originality: "Originality",
};

/** What is to be done about a mark. */
export const WEIGHT_LABELS: Record<Weight, string> = {
  fix: "fix",
  settle: "settle",
  weigh: "weigh",
};

export const APPETITE_LABELS: Record<Appetite, string> = {
  all: "all",
  sure: "when sure",
  off: "off",
};

const day = new Intl.DateTimeFormat("en-GB", {
  day: "numeric",
  month: "short",
  year: "numeric",
  hour: "2-digit",
  minute: "2-digit",
});

/** "4 Apr 2031, 10:42", of an ISO 8601 time. */
export function dateLabel(iso: string): string {
  return day.format(new Date(iso));
}

/** The layers of a document in a line: each house and what it holds. */
export function houseLine(layers: readonly HouseStyle[]): string {
  return layers
    .map((style) => {
      const held = heldLine(style);
      return style.name === "" || held === "" ? style.name || held : `${style.name}: ${held}`;
    })
    .filter((line) => line !== "")
    .join("; ");
}

/** A house style in a line: what it holds. */
export function heldLine({
  words,
  rules,
  replacements,
  soundRules,
  appetites,
}: HouseStyle): string {
  const parts: [number, string][] = [
    [rules.length, rules.length === 1 ? "rule" : "rules"],
    [words.length, words.length === 1 ? "listed word" : "listed words"],
    [replacements.length, replacements.length === 1 ? "replacement" : "replacements"],
    [soundRules.length, soundRules.length === 1 ? "sound rule" : "sound rules"],
    [Object.keys(appetites).length, "checks set"],
  ];
  return parts.flatMap(([count, what]) => (count > 0 ? [`${count} ${what}`] : [])).join(", ");
}

/** What a decision did. */
export const ACT_LABELS: Record<Act, string> = {
  correct: "corrected",
  stet: "stet",
  query: "asked the author",
  word: "on a word list",
  edit: "edited by hand",
  setting: "setting",
  undo: "undone",
};

/** A reader by its setting, as screens name it; bounds of one's own by themselves. */
export function readerLabel(setting: string): string {
  return (
    READERS.find(({ id }) => id === setting)?.title ?? boundsLabel(readerOf(setting, "general"))
  );
}

/** "8 to 25 words a sentence, up to grade 9". */
export function boundsLabel({ shortest, longest, grade }: Bounds): string {
  return `${shortest} to ${longest} words a sentence, up to grade ${grade}`;
}

/** A reader's name, or its bounds where it has none. */
export function nameOf(reader: Bounds & Partial<Reader>): string {
  return reader.title ?? boundsLabel(reader);
}

/** What a setting was turned to, as one line: “Passive: when sure”. */
export function settingLine({ name, of = "", after }: Setting): string {
  const value = String(after);
  const labels: Record<string, string> = { ...VARIETY_LABELS, ...KIND_LABELS, ...APPETITE_LABELS };
  switch (name) {
    case "variety":
    case "kind":
      return labels[value] ?? value;
    case "reader":
      return `Reader: ${readerLabel(value)}`;
    case "appetite":
    case "house-appetite": {
      const where = name === "appetite" ? "" : ", in every document";
      const how = after === null ? "as the house has it" : (labels[value] ?? value);
      return `${cardById(of)?.title ?? of}: ${how}${where}`;
    }
    case "citations": {
      const style = STYLE_IDS.find((id) => id === after);
      return `Citations: ${style ? styleOf(style).name : "the style that the list tells"}`;
    }
    case "houses":
      return after === null || after === ""
        ? "Follows no house"
        : `Follows ${value.replaceAll(" ", ", ")}`;
    case "leave": {
      const title = LEAVE_KINDS.find(({ id }) => id === of)?.title ?? of;
      return `${title}: ${after === true ? "left alone" : "read"}`;
    }
    case "subject": {
      const title = SUBJECTS.find(({ id }) => id === of)?.title ?? "a list of yours";
      return `Subject list ${title}: ${after === true ? "on" : "off"}`;
    }
    case "form": {
      if (of === EXPLAINED_IN) {
        return `Abbreviations: explained ${after === EACH_SECTION ? "in each section" : "once"}`;
      }
      if (of === LIST_SORTED) {
        return `List of references: ${after === SORTED ? "leaves in its right order" : "leaves as it stands"}`;
      }
      if (of.startsWith("citations:tie:")) {
        const work = of.slice("citations:tie:".length);
        return `Citation ${work}: ${after ? `means “${value}…”` : "tied by its names and year again"}`;
      }
      if (of.startsWith("terms:")) return `Different terms: ${of.slice(6).replace("|", ", ")}`;
      if (of.startsWith("overlap:")) return overlapLine(of, after === null ? null : value);
      const title = cardById(of.slice(0, of.indexOf(":")))?.title ?? of;
      const thing = of.slice(of.indexOf(":") + 1);
      return `${title}, ${thing}: ${after ? `“${after}”` : "all forms on purpose"}`;
    }
    case "listed":
      return after === null ? `“${of}” off the word list` : `“${of}” on a word list`;
  }
}

/** What was chosen about overlaps, as one line. */
function overlapLine(of: string, value: string | null): string {
  if (of === LIMIT)
    return value === null || value === NO_LIMIT
      ? "Overlap: no limit"
      : `Overlap: a limit of ${Math.round(Number(value) * 100)}%`;
  if (of === COUNT_POSSIBLE)
    return `Overlap, only possible: ${value === null ? "not counted" : "counted"}`;
  const kind = KEPT_OUT.find((one) => keepingOf(one) === of);
  if (kind) return `Overlap, ${kind}: ${value === keepingValue(true) ? "kept out" : "counted"}`;
  if (value === null) return "Overlap: a passage counts again";
  return `Overlap: a passage is ${value === "own" ? "the writer’s own" : "a stock phrase"}`;
}
