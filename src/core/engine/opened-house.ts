import type { Circumstances } from "../checks/check.ts";
import { houseAbbreviationsOf, houseFormsOf } from "../checks/house/house-forms.ts";
import { type RefusedRule, RuleBook } from "../checks/house/rule-book.ts";
import type { Language } from "../language/analysis.ts";
import type { CheckSettings } from "./mark.ts";

/** The rules of the houses a document follows, made ready for its settings and the language data of the day. */
export interface OpenedHouse {
  /** Rules that find places; null for none. */
  book: RuleBook | null;
  /** Rules that can't be followed, and why. */
  refused: readonly RefusedRule[];
  /** What conclusions may hang on. */
  told: Pick<Circumstances, "houseForms" | "houseAbbreviations">;
}

type Settings = Pick<CheckSettings, "rules" | "kind" | "variety">;

/** Makes rules ready. */
export function openHouse(
  { rules = [], kind, variety }: Settings,
  language: Language,
): OpenedHouse {
  const book = rules.length > 0 ? new RuleBook(rules, language, { kind, variety }) : null;
  return {
    book: book?.isEmpty ? null : book,
    refused: book?.refused ?? [],
    told: {
      houseForms: houseFormsOf(rules, kind),
      houseAbbreviations: houseAbbreviationsOf(rules, kind),
    },
  };
}

/** Whether two settings ask for the same rules to be made ready; they come as copies. */
export function haveSameRules(one: Settings, other: Settings): boolean {
  const [rules = [], others = []] = [one.rules, other.rules];
  if (one.kind !== other.kind || one.variety !== other.variety) {
    return rules.length === 0 && others.length === 0;
  }
  if (rules === others) return true;
  return rules.length === others.length && JSON.stringify(rules) === JSON.stringify(others);
}

/** Listed words as they are compared. */
export function lowerCase(words: readonly string[]): ReadonlySet<string> {
  return new Set(words.map((word) => word.toLowerCase()));
}
