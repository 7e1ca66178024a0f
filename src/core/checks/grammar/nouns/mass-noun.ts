import { markCheck } from "../../mark-check.ts";
import { massNoun as card } from "./cards.ts";

/** Plurals of nouns that have none; common practice. */
const PLURAL_MASS =
  "informations|advices|equipments|furnitures|luggages|homeworks|softwares|knowledges|feedbacks|machineries|sceneries|poetries";

/** "an information", "all equipments". */
export const massNoun = markCheck({
  ...card,
  reason: "“{}” is not counted: “{1}”.",
  patterns: [
    `[${PLURAL_MASS}/NNS] => $1:NN`,
    "[a|an advice|furniture|luggage|homework] !NOUN|'s => some $2 | $2",
    "[an information|equipment] !NOUN|'s|and => some $2 | $2",
    "[an evidence] !NOUN|'s => $2 | some $2",
    "[many|several|few|these|those informations|advices|equipments] => much $2:NN",
    "two|three|four|many|several|these new|old? [furnitures|equipments|luggages] => pieces of $3:NN",
  ],
});
