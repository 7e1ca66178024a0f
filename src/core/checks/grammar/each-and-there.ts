import { TAG } from "../../language/tag-sets.ts";
import { markCheck } from "../mark-check.ts";
import { SUMS } from "./amounts.ts";

/** "Each of the gauges have": the verb goes with "each". */
export const eachAgreement = markCheck({
  id: "grammar/each-agreement",
  weight: "fix",
  code: "agr",
  title: "Verb after “each of”, “one of”, “everyone in”",
  why: "“Each”, “every one”, “either”, “neither” and “one” are singular, whatever plural follows “of”; so are “everyone”, “somebody” and “nobody”.",
  source: "common practice",
  examples: [
    { wrong: "Each of the gauges have a log.", right: "Each of the gauges has a log." },
    {
      wrong: "Every one of the panels were cleaned.",
      right: "Every one of the panels was cleaned.",
    },
    { wrong: "Nobody on the boats were hurt.", right: "Nobody on the boats was hurt." },
    { leave: "Each of the gauges has a log, and they have marks." },
    { leave: "They each have a key." },
  ],
  reason: "The verb goes with the singular “each”, “one” or “nobody”: “{1}”.",
  patterns: [
    "each|either|neither of the|these|those|our|their|them|us ADJ|CD? NNS? [are|were|have|do] => $6:VBZ",
    "one of the|these|those|our|their ADJ? NNS [are|have|do] => $6:VBZ",
    "each|every|either|neither one? of the|these|those|our|their ADJ? NNS [are|were|have|do] => $7:VBZ",
    "everyone|everybody|nobody|somebody|someone|anyone|anybody IN the|these|our ADJ? NOUN [are|were|have|do] => $6:VBZ",
    "<s> everyone|everybody|nobody|somebody|someone [are|were|have|do] => $3:VBZ",
    "<s> each|every NN [are|were|have|do] => $4:VBZ",
    "each|either|neither of the|these|those|our|their ADJ|CD? NNS [VB] => $6:VBZ",
    "everyone|everybody|nobody IN the|these|our ADJ? NOUN [VB] => $6:VBZ",
  ],
  accepts: ({ bounds, pattern }, { words, sentenceFrom, tags }) => {
    const first = bounds[0] ?? 0;
    // "the types for each of the wells are": the subject stands before.
    if (first > (sentenceFrom[first] ?? 0) && tags[first - 1] === TAG.IN) return false;
    const verb = bounds[2 * pattern.marked.from] ?? 0;
    const before = words[first - 1]?.form ?? "";
    const opens =
      first === sentenceFrom[first] ||
      /^[,;:“"(]$/.test(before) ||
      tags[first - 1] === TAG.CC ||
      tags[first - 1] === TAG.CS;
    if (!opens && tags[verb] === TAG.VB && words[verb]?.form !== "have") return false;
    return !/^(?:and|or|than|with|do|does|did|if)$/.test(before) || opens;
  },
});

/** "There is many": the verb goes with what follows. */
export const thereAgreement = markCheck({
  id: "grammar/there-agreement",
  weight: "fix",
  code: "agr",
  title: "Verb after “there”",
  why: "In “there is” and “there are” the verb goes with the noun that follows.",
  source: "common practice",
  examples: [
    { wrong: "There is many ways in.", right: "There are many ways in." },
    { wrong: "There are a crack in the wall.", right: "There is a crack in the wall." },
    { wrong: "There was three lamps.", right: "There were three lamps." },
    { leave: "There is a lot of them, and there are a number of ways." },
    { leave: "There is bread and cheese; there were a few." },
  ],
  reason: "After “there” the verb goes with what follows: “{1}”.",
  patterns: [
    "there [is] no|some|any|ADJ? ADJ? NNS !'s|NN|NNS => are",
    "there [is] lots|plenty of NNS => are",
    "there [is] ADV? about|nearly|almost|over|around|roughly CD NNS => are",
    "there [is] ADV? more|fewer than CD NNS => are",
    "there [are] also|still|perhaps a|an|another|the ADJ? NN !of|and|or|,|NN|NNS => is",
    "there [is] many|several|few|two|three|four|five|these|those|various => are",
    "there [was] many|several|few|two|three|four|five|these|those|various => were",
    "there [was] no|some|any|ADJ? ADJ? NNS !'s|NN|NNS => were",
    "there [has] been many|several|few|two|three|four|five => have",
    "there [has] been ADJ? NNS !NN|NNS => have",
    "there [are] a|an|another ADJ? NN !of|and|or|,|NN|NNS => is",
    "there [are] only one => is",
    "there [were] only one => was",
    "there [were] a|an|another ADJ? NN !of|and|or|,|NN|NNS => was",
    "there [have] been a|an|one ADJ? NN !of|and|or|, => has",
  ],
  accepts: ({ bounds, pattern }, syntax) => {
    const verb = bounds[2 * pattern.marked.from] ?? 0;
    const form = syntax.words[verb]?.form ?? "";
    const last = (bounds[2 * pattern.elements.length - 1] ?? 1) - 1;
    const before = syntax.words[verb - 2]?.form ?? "";
    if (/^(?:if|wish|though)$/.test(before) && form === "were") return false;
    // "the data in there is", "from there are": a place.
    if (syntax.tags[verb - 2] === TAG.IN) return false;
    // "There is lots to do".
    if (syntax.words[last]?.form === "lots") return false;
    // Sums of money, time and distance are singular: "there is five pounds in it".
    if (form === "is" || form === "was" || form === "'s") {
      for (let at = verb + 1; at <= last; at++) {
        if (SUMS.test(syntax.words[at]?.form ?? "")) return false;
      }
      if (form === "'s") return false;
    }
    return !/^(?:few|lot|number|couple|variety|series|range|handful|dozen|majority|great|good|pair|host|total|hundred|thousand|million)$/.test(
      syntax.words[verb + 2]?.form ?? "",
    );
  },
});
