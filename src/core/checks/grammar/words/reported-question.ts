import { markCheck } from "../../mark-check.ts";
import { reportedQuestion as card } from "./cards.ts";

/** Question order in a reported question: "asked what time was it". */
export const reportedQuestion = markCheck({
  ...card,
  reason: "In a reported question the subject comes first: “{1}”.",
  patterns: [
    "ask~|know~|wonder~|tell~ me|him|her|us|them? what time [is|was it] => it $5",
    "ask~|wonder~|know~|tell~|understand~|see~ me|him|her|us|them? where|when|why|how [is|are|was|were he|she|it|they|this|that] .|,|</s> => $5 $4",
    "ask~|wonder~|know~|tell~|understand~ me|him|her|us|them? where|when|why|how [is|are|was|were the|a|my|his|her|our|their ADJ? NOUN] .|, => $5 $6 $7 $4",
    "ask~|wonder~|know~|tell~|understand~ me|him|her|us|them? where|when|why|how [is|are|was|were the|a|my|his|her|our|their ADJ? NOUN] </s> => $5 $6 $7 $4",
    "ask~|wonder~|know~|knows|tell~ me|him|her|us|them? what [is|are|was|were the answer|price|reason|cost|name|number|meaning] .|, => $5 $6 $4",
    "ask~|wonder~|know~|tell~ me|him|her|us|them? what [is|are|was|were the answer|price|reason|cost|name|number|meaning] </s> => $5 $6 $4",
  ],
});
