import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { stateVerb as card } from "./cards.ts";

const STATES = [...wordList("state-verb/states")].join("|");

/** "The tank is containing oil": a state as if it were going on. */
export const stateVerb = markCheck({
  ...card,
  reason: "A state, not something going on: “{1}”.",
  patterns: [
    `!not|been|be [am|are|'re|'m ${STATES}] => $3:VB`,
    `!not|been|be [is ${STATES}] => $3:VBZ`,
    `[was|were ${STATES}] => $2:VBD`,
    "[am|are wanting] to|a|an|the|some|more => $2:VB",
    "[is wanting] to|a|an|the|some|more => $2:VBZ",
    "[am|are|'m|'re depending] on => $2:VB",
    "[is depending] on => $2:VBZ",
  ],
});
