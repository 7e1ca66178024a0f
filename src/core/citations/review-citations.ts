import type { CitedDocument } from "./cited-text.ts";
import type { CitedFinding } from "./text-rules/rule.ts";
import { TEXT_RULES } from "./text-rules/rules.ts";

/** A finding of one rule of the text or the list. */
export interface RuledCitation extends CitedFinding {
  rule: string;
}

/** What the rules of citations and lists find in a document. */
export function reviewCitations(cited: CitedDocument): RuledCitation[] {
  if (cited.references.length === 0) return [];
  return Object.entries(TEXT_RULES).flatMap(([rule, find]) =>
    find(cited).map((finding) => ({ ...finding, rule })),
  );
}
