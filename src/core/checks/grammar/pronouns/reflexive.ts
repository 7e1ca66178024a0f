import { markCheck } from "../../mark-check.ts";
import { reflexive as card } from "./cards.ts";

/** "the clerk and myself", "hisself". */
export const reflexive = markCheck({
  ...card,
  reason: "“{1}” is meant.",
  patterns: [
    "NOUN|NNP|PPSS|PPS and [myself] VERB|MD => I",
    "<s> [myself] and _ => I",
    "write|writes|speak|contact|reply|send|call|ask to? [myself] .|,|at|or|and|by|if|</s> => me",
    "contact|call|ask [myself] or|and|.|,|at|by|if => me",
    "we VERB [ourself] => ourselves",
    "they|them VERB [themself|theirself] => themselves",
  ],
});
