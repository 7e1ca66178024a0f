import type { Kind } from "../manuscript/model.ts";
import type { Appetite, Card } from "./card.ts";

/**
 * Which checks run, and how strictly, for each kind of copy. A check that is not named runs at full
 * appetite. Common practice: advice on style has little place in a brief, and none in a sheet.
 */
const HARDLY_USED = { "consistency/abbreviation-unused": "sure" } as const;
/** Copy whose readers know one another, or are told a story: nothing is explained there. */
const NOT_EXPLAINED = {
  "consistency/abbreviation-undefined": "off",
  "consistency/abbreviation-before-definition": "off",
  "consistency/abbreviation-unused": "off",
  "consistency/abbreviation-expanded-again": "off",
} as const;

const TABLE: Readonly<Record<Kind, Readonly<Record<string, Appetite>>>> = {
  paper: {
    ...HARDLY_USED,
    "wording/passive": "off",
    "wording/passive-section": "off",
    "wording/close-repetition": "off",
    "wording/same-opening": "off",
  },
  report: { ...HARDLY_USED },
  general: {
    ...HARDLY_USED,
    "consistency/abbreviation-undefined": "sure",
    "wording/overused-word": "off",
    "grammar/final-mark": "off",
    "grammar/paragraph-start": "off",
    "grammar/fragment": "off",
  },
  specification: {
    ...HARDLY_USED,
    "consistency/abbreviation-undefined": "sure",
    "wording/close-repetition": "off",
    "wording/overused-word": "off",
    "wording/same-opening": "off",
    "wording/passive-section": "off",
    "wording/noun-string": "off",
    "wording/cliche": "off",
    "wording/wordy": "sure",
    "grammar/missing-article": "sure",
    "grammar/agreement": "sure",
    "grammar/final-mark": "off",
    "grammar/paragraph-start": "off",
    "grammar/fragment": "off",
    "grammar/missing-apostrophe": "off",
    "grammar/question-mark": "off",
    "grammar/unpaired": "off",
  },
  brief: {
    ...HARDLY_USED,
    "wording/wordy": "off",
    "wording/passive": "off",
    "wording/passive-section": "off",
    "wording/close-repetition": "off",
    "wording/overused-word": "off",
    "wording/noun-string": "off",
    "wording/intensifier": "off",
    "wording/same-opening": "off",
    "wording/negative": "off",
  },
  clinical: {
    ...HARDLY_USED,
    "wording/passive": "off",
    "wording/passive-section": "off",
    "wording/close-repetition": "off",
    "wording/noun-string": "off",
    "wording/overused-word": "off",
    "grammar/missing-article": "sure",
    "grammar/fragment": "off",
  },
  fiction: {
    ...NOT_EXPLAINED,
    "sentences/hard-sentence": "off",
    "wording/wordy": "off",
    "wording/passive": "off",
    "wording/passive-section": "off",
    "wording/outdated-term": "off",
    "wording/vague": "off",
    "wording/hedge": "off",
    "wording/expletive-opening": "off",
    "wording/negative": "off",
    "wording/same-opening": "off",
    "wording/double-meaning": "off",
    "grammar/fragment": "off",
    "grammar/comma-splice": "off",
    "grammar/clause-comma": "off",
    "grammar/dangling-opening": "off",
    "grammar/introductory-comma": "off",
    "grammar/missing-article": "sure",
    "grammar/agreement": "sure",
  },
  letter: {
    ...NOT_EXPLAINED,
    "wording/passive-section": "off",
    "wording/overused-word": "off",
    "wording/noun-string": "off",
    "grammar/fragment": "off",
  },
  sheet: Object.fromEntries(
    [
      "wordy redundant light-verb cliche jargon vague passive expletive-opening hedge intensifier",
      "negative double-meaning noun-string same-opening close-repetition",
      "overused-word passive-section sentences/hard-sentence",
    ]
      .join(" ")
      .split(" ")
      .map((name) => [name.includes("/") ? name : `wording/${name}`, "off"]),
  ),
};

/** How much of a check is wanted in a kind of copy unless somebody said otherwise. */
export function usualAppetite(check: Pick<Card, "id">, kind: Kind): Appetite {
  return TABLE[kind][check.id] ?? "all";
}

/** How much of a check is wanted: what was chosen, or what is usual. */
export function appetiteFor(
  check: Pick<Card, "id">,
  settings: { kind: Kind; appetites: Readonly<Record<string, Appetite>> },
): Appetite {
  return settings.appetites[check.id] ?? usualAppetite(check, settings.kind);
}
