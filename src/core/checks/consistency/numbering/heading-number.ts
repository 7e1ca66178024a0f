import { headingNumber as card } from "./cards.ts";
import { headingNumberOf } from "./labels.ts";
import { sequenceCheck } from "./sequence.ts";

/** Numbers typed before headings that leave one out, are there twice, or are out of order. */
export const headingNumber = sequenceCheck({
  ...card,
  thing: "Heading",
  examine({ kind, text }) {
    const found = kind === "heading" ? headingNumberOf(text) : null;
    return found ? [found] : [];
  },
});
