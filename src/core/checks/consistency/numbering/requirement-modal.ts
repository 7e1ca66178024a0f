import { requirementOf } from "../../../manuscript/requirements.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { requirementModal as card } from "./cards.ts";

const MODAL = /(?<![\p{L}’'-])(?<modal>shall|must|will)(?= (?!not be (?:read|taken))\p{L})/gu;

/** The word that makes a requirement: one of them throughout. What should or may be is another thing. */
export const requirementModal = formCheck<FormFact>({
  ...card,
  matter: "numbering",
  examine({ text }) {
    const found = requirementOf(text);
    if (!found) return [];
    return [...text.matchAll(MODAL)].slice(0, 1).map(({ 0: form, index: from }) => ({
      from,
      to: from + form.length,
      key: "requirements",
      form,
    }));
  },
  write: (_fact, form) => form,
  reads: ["paragraph", "item", "cell"],
});
