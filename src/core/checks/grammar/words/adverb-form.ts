import { TAG } from "../../../language/tags/tag-sets.ts";
import { markCheck } from "../../mark-check.ts";
import { adverbForm as card } from "./cards.ts";

const ADVERBS: readonly string[] = [
  "quiet quietly",
  "careful carefully",
  "slow slowly",
  "quick quickly",
  "bad badly",
  "easy easily",
  "loud loudly",
  "clear clearly",
  "perfect perfectly",
  "different differently",
  "serious seriously",
  "proper properly",
];

/** What something may smell, sound or seem: an adjective follows. */
const LOOKS: readonly string[] = [
  "bad",
  "beautiful",
  "nice",
  "wonderful",
  "strange",
  "different",
  "correct",
  "incorrect",
  "perfect",
  "normal",
];

/** "runs very quiet", "real cold". */
export const adverbForm = markCheck({
  ...card,
  reason: "An adverb is wanted: “{1}”.",
  patterns: [
    "be~|feel~|look~ [real] cold|hot|good|bad|nice|careful|hard|easy|late|early|tired|happy|sad|big|small|fast|slow => really",
    "do~|did|play~|work~|sing~|write~|cook~|sleep~ [good] .|,|</s>|and => well",
    "do~|did it [real] RB|JJ => really",
    ...ADVERBS.map((pair) => {
      const [adjective, adverb] = pair.split(" ");
      return `run~|runs|move~|speak~|work~|play~|walk~|drive~|read~|write~|sing~|breathe~|answer~|listen~|behave~|row~|rowed|go~|went|talk~|swim~|sail~ very|so|too|quite|real|really? [${adjective}] .|,|through|to|towards|along|past|in|on|at|and|when|</s> => ${adverb}`;
    }),
    "do~|did it real|really|very [careful] => carefully",
    "work~|works|fit~|fits|function~|run~ [perfect] .|,|now|again|together|with|for|and|</s> => perfectly",
    "speak~|speaks|spoke|write~|read~ english|french|spanish|german|russian|italian|chinese|arabic very|so|quite|really? [good] => well",
    "rise~|rose|fall~|fell|drive~|drove|react~|respond~|behave~|act~|change~|increase~|decrease~|move~|flow~|breathe~ [quick|slow|careful|correct|normal|different|regular|proper|perfect|immediate|sudden] in|on|at|during|along|after|when|with|through|to|from|by => $2ly",
    ...LOOKS.map(
      (adjective) =>
        `smell~|smells|taste~|tastes|sound~|sounds|seem~|seems|appear~|appears [${adjective}ly] .|,|and|but|after|at|in|to|today|now|</s> => ${adjective}`,
    ),
    "look~|looks [beautifully] .|,|and|but|at|in|today|</s> => beautiful",
    "look~|looks [wonderfully] .|,|and|but|at|in|today|</s> => wonderful",
    "look~|looks [terribly] .|,|and|but|at|in|today|</s> => terrible",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    const verb = bounds[0] ?? 0;
    if (
      /^(?:run|work|play|walk|drive|read)$/.test(words[verb]?.form ?? "") &&
      tags[verb] === TAG.NN
    )
      return false;
    // "Drive slow" and "work easy" alone are idioms; with "very" there is no doubt.
    if (/^(?:slow|easy|loud|clear)$/.test(form) && pattern.source.startsWith("run~")) {
      return (bounds[3] ?? 0) > (bounds[2] ?? 0) || words[marked + 1]?.form === "through";
    }
    return true;
  },
});
