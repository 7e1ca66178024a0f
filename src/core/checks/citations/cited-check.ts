import type { CitedDocument } from "../../citations/cited-text.ts";
import { entryFindings } from "../../citations/review-entries.ts";
import type { EntryRule } from "../../citations/rules/rule.ts";
import { asRuleSpeaks } from "../../citations/styles/overrides.ts";
import type { CitedFinding, TextRule } from "../../citations/text-rules/rule.ts";
import type { Card } from "../card.ts";
import type { Check } from "../check.ts";

/** A check of citations or of the list as a whole: it looks at the document and at no block by itself. */
export function citedCheck(card: Card, find: TextRule): Check {
  const rule = card.id.slice(card.id.indexOf("/") + 1);
  return { ...card, examine: () => [], cited: (cited) => find(asSpoken(cited, rule)) };
}

/** A document whose style goes by the house's name where the rule speaks for a point of the house. */
function asSpoken(cited: CitedDocument, rule: string): CitedDocument {
  const style = asRuleSpeaks(cited.style, rule);
  return style === cited.style ? cited : { ...cited, style };
}

/** A check of the entries of the lists, one by one. */
export function entryCheck(card: Card, find: EntryRule): Check {
  return { ...card, examine: () => [], cited: (cited) => inEntries(cited, find) };
}

/** What a rule finds in each entry, at its place in the document. */
function inEntries(cited: CitedDocument, find: EntryRule): CitedFinding[] {
  return entryFindings(cited, find).flatMap(({ finding, reference }) => {
    const place = cited.references[reference]?.place;
    if (!place) return [];
    const { from, to, reason, edits, isDoubtful } = finding;
    const moved = edits.map((edit) => ({
      block: place.block,
      from: edit.from + place.from,
      to: edit.to + place.from,
      insert: edit.insert,
    }));
    const label = edits.length === 1 ? (edits[0]?.insert.trim() ?? "") : "as the style has it";
    return [
      {
        block: place.block,
        from: place.from + from,
        to: place.from + to,
        reason,
        choices: edits.length > 0 ? [{ label: label || "leave it out", edits: moved }] : [],
        reference,
        ...(isDoubtful ? { isAdvice: true as const } : {}),
      },
    ];
  });
}
