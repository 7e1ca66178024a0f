import { requirementOf } from "../../../manuscript/requirements.ts";
import { requirementGap as card } from "./cards.ts";
import { sequenceCheck } from "./sequence.ts";

const READ = new Set(["paragraph", "item", "heading", "cell"]);

/** Requirement ids that leave one out, are there twice, or are out of order. */
export const requirementGap = sequenceCheck({
  ...card,
  thing: "Requirement",
  examine({ kind, text }) {
    const found = READ.has(kind) ? requirementOf(text) : null;
    if (!found) return [];
    const { id, prefix, number } = found;
    const from = text.indexOf(id);
    return [{ from, to: from + id.length, series: prefix, number, label: id }];
  },
  // Ids are given out in blocks of a hundred, or of ten, so that others can be put between.
  begins: (number, isOtherSection) => number % 100 <= 1 || (isOtherSection && number % 10 <= 1),
});
