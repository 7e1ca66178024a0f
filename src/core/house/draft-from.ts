import { formChoice } from "./form-choices.ts";
import { emptyDraft, type RuleDraft } from "./rule-draft.ts";

/** A place that a rule is to be made of: a mark with its correction, or words that were chosen. */
export interface RuleSource {
  text: string;
  /** The check and the group of the mark; empty for words without one. */
  check: string;
  group: string;
  /** What would stand there. */
  put: string | null;
  /** The form that is preferred in the group, and the others. */
  preferred: string | null;
  others: readonly string[];
}

/** Checks whose groups are forms of one term, by the kind of rule that settles it. */
const TYPE_OF: Readonly<Record<string, RuleDraft["type"]>> = {
  "consistency/compound": "compound",
  "consistency/prefix": "compound",
  "consistency/capitals": "capitals",
  "consistency/fixed-capitals": "capitals",
  "consistency/name": "name",
  "consistency/abbreviation-undefined": "abbreviation",
  "spelling/capitals": "capitals",
};

/** The rule that a place suggests, filled in as far as it tells. */
export function draftFrom({ text, check, group, put, preferred, others }: RuleSource): RuleDraft {
  const wanted = preferred ?? put;
  const type = TYPE_OF[check];
  if (type === "abbreviation") {
    const full = put?.replace(/\s*\([^)]*\)$/, "") ?? "";
    return { ...emptyDraft(type), not: text, use: full };
  }
  if (type && wanted !== null) {
    const draft = { ...emptyDraft(type), use: wanted };
    return type === "name" ? { ...draft, not: others.join("\n") } : draft;
  }
  if (formChoice(group) && wanted !== null) {
    return { ...emptyDraft("form"), not: group, use: wanted };
  }
  if (check.startsWith("consistency/") && wanted !== null) {
    return { ...emptyDraft("form"), not: group, use: wanted };
  }
  const isText = put !== null && !put.startsWith("leave out “");
  const opens = /^\p{Lu}\p{Ll}+(?:\s\p{Ll}+)*$/u.test(text) && put !== null && /^\p{Lu}/u.test(put);
  const plain = (one: string) => (opens ? one.charAt(0).toLowerCase() + one.slice(1) : one);
  return { ...emptyDraft("term"), not: plain(text), use: isText ? plain(put) : "" };
}
