import { TAG } from "../../language/tags/tag-sets.ts";
import { markCheck } from "../mark-check.ts";
import { jargon as card } from "./cards.ts";

export const jargon = markCheck({
  ...card,
  reason: "“{}” is jargon for most readers.",
  phraseList: "jargon",
  accepts: ({ bounds }, { words, tags }) => {
    const last = (bounds[1] ?? 1) - 1;
    return words[last]?.form !== "takeaway" || tags[last + 1] !== TAG.NN;
  },
  groups: true,
});
