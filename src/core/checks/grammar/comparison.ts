import { TAG } from "../../language/tag-sets.ts";
import { markCheck } from "../mark-check.ts";

/** "more better", "most highest". */
export const doubleComparison = markCheck({
  id: "grammar/double-comparison",
  weight: "fix",
  code: "cmp",
  title: "Compared twice",
  why: "“Lighter” says already what “more” says, and “highest” what “most” says. One of the two is enough.",
  source: "common practice",
  examples: [
    { wrong: "The float is more lighter.", right: "The float is lighter." },
    { wrong: "It was the most highest tide.", right: "It was the highest tide." },
    { leave: "Most older boats need more lower taps; the more, the merrier." },
  ],
  reason: "Only one of the two is needed: “{1}”.",
  patterns: ["[more JJR|RBR] => $2", "the|my|his|her|our|their [most JJS|RBS] => $3"],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const second = bounds[2 * pattern.marked.to - 2] ?? 0;
    const form = words[second]?.form ?? "";
    if (
      !/(?:er|est)$/.test(form) ||
      /^(?:other|former|latter|upper|lower|inner|outer|under|over|eager|bitter|clever|proper|tender|sober|slender|elder|modest|honest|earnest)$/.test(
        form,
      )
    )
      return false;
    const after = tags[second + 1] ?? 0;
    const before = words[(bounds[2 * pattern.marked.from] ?? 0) - 1]?.form ?? "";
    // "more younger men", "no more higher walls": more of them.
    if (after === TAG.NNS) return false;
    return !/^(?:no|any|some|many|two|three|even)$/.test(before) || pattern.source.includes("most");
  },
});

/** "as deep than", "bigger as". */
export const comparisonWords = markCheck({
  id: "grammar/comparison-words",
  weight: "fix",
  code: "cmp",
  title: "“than” and “as” in comparisons",
  why: "“As deep” goes with “as”, “deeper” with “than”.",
  source: "common practice",
  examples: [
    { wrong: "It is as deep than the shaft.", right: "It is as deep as the shaft." },
    { wrong: "It is bigger as the old one.", right: "It is bigger than the old one." },
    { wrong: "He is gooder than I am.", right: "He is better than I am." },
    { leave: "It grew bigger as the tide rose; as good as or better than it." },
    { leave: "Less as a rule than as a habit." },
  ],
  reason: "The comparison goes on with “{1}”.",
  patterns: [
    "as|so JJ|RB [than] => as",
    "JJR|more [as] the|a|an|my|his|her|our|their ADJ? one|ones|NN .|, => than",
    "JJR|RBR RB? RB? [then] the|at|in|on|a|an|my|his|her|our|their|any|all|CD|PRONOUN|we|it|he|she|they|i|you => than",
    "more|less [then] CD|a|the|half|twice => than",
    "[gooder] => better",
    "[badder] => worse",
    "[bestest] => best",
    "[worser] => worse",
    "equally [as] JJ => - :: “Equally” says what “as” says.",
    "[equally as JJ] as => as $3 :: “Equally” says what “as” says.",
    "[so] a|an JJ NN that => such",
    "be~|seem~|feel~|look~|get~|become~ [such] JJ|late|tired that => so",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    if (form === "as" && pattern.source.startsWith("JJR")) {
      // "grew bigger as the old one sank": a clause goes on.
      const verb = words[marked - 2]?.form ?? "";
      return /^(?:is|are|was|were|be|been|'s)$/.test(verb);
    }
    if (form === "than")
      return (
        !/^(?:rather|other|more|less|different)$/.test(words[marked - 1]?.form ?? "") &&
        tags[marked - 1] !== TAG.JJR
      );
    if (form === "then" && pattern.source.startsWith("JJR"))
      return !/^(?:later|earlier|sooner|longer|farther|further|other|former|latter)$/.test(
        words[marked - 1]?.form ?? "",
      );
    return true;
  },
});

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

/** "runs very quiet", "real cold". */
export const adverbForm = markCheck({
  id: "grammar/adverb-form",
  weight: "fix",
  code: "adv",
  title: "Adjective for an adverb",
  why: "A verb or an adjective is qualified by an adverb: it runs quietly, really cold, they played well.",
  source: "common practice",
  examples: [
    { wrong: "The pump runs very quiet.", right: "The pump runs very quietly." },
    { wrong: "It was real cold.", right: "It was really cold." },
    { wrong: "They played good.", right: "They played well." },
    { leave: "It looks good, feels real, and the sea ran high; drive slow." },
    { leave: "A real old chart hung there. It was kept quiet." },
  ],
  reason: "A verb or an adjective is qualified by an adverb: “{1}”.",
  patterns: [
    "be~|feel~|look~ [real] cold|hot|good|bad|nice|careful|hard|easy|late|early|tired|happy|sad|big|small|fast|slow => really",
    "do~|did|play~|work~|sing~|write~|cook~|sleep~ [good] .|,|</s>|and => well",
    "do~|did it [real] RB|JJ => really",
    ...ADVERBS.map((pair) => {
      const [adjective, adverb] = pair.split(" ");
      return `run~|runs|move~|speak~|work~|play~|walk~|drive~|read~|write~|sing~|breathe~|answer~|listen~|behave~ very|so|too|quite|real|really? [${adjective}] .|,|through|in|on|at|and|when|</s> => ${adverb}`;
    }),
    "do~|did it real|really|very [careful] => carefully",
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
