import { VERB } from "../../language/lexicon.ts";
import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import { markCheck } from "../mark-check.ts";

/** Plurals of nouns that have none; common practice. */
const PLURAL_MASS =
  "informations|advices|equipments|furnitures|luggages|homeworks|softwares|knowledges|feedbacks|machineries|sceneries|poetries";

/** "an information", "all equipments". */
export const massNoun = markCheck({
  id: "grammar/mass-noun",
  weight: "fix",
  code: "num",
  title: "Noun that is not counted",
  why: "Information, advice, equipment, furniture and evidence are not counted in English: no plural, no “a”; “a piece of advice” when one is meant.",
  source: "common practice",
  examples: [
    { wrong: "She gave me an advice.", right: "She gave me some advice." },
    { wrong: "All equipments must be signed for.", right: "All equipment must be signed for." },
    { wrong: "He has an evidence of it.", right: "He has evidence of it." },
    { leave: "An information desk and an advice line; a research paper." },
  ],
  reason: "This noun is not counted: “{1}”.",
  patterns: [
    `[${PLURAL_MASS}/NNS] => $1:NN`,
    "[a|an advice|furniture|luggage|homework] !NOUN|'s => some $2 | $2",
    "[an information|equipment] !NOUN|'s|and => some $2 | $2",
    "[an evidence] !NOUN|'s => $2 | some $2",
    "[many|several|few|these|those informations|advices|equipments] => much $2:NN",
    "two|three|four|many|several|these new|old? [furnitures|equipments|luggages] => pieces of $3:NN",
  ],
});

/** "this readings", "these kind". */
export const demonstrative = markCheck({
  id: "grammar/demonstrative",
  weight: "settle",
  code: "num",
  title: "“this” and “these”, “that” and “those”",
  why: "“This” and “that” go with a singular noun, “these” and “those” with a plural.",
  source: "common practice",
  examples: [
    { wrong: "This readings are new.", right: "These readings are new." },
    { wrong: "These chart is old.", right: "This chart is old." },
    { wrong: "These kind of floats are rare.", right: "This kind of floats are rare." },
    { leave: "That boats leave at noon is known; these kinds of float." },
    { leave: "This sales office; these two-day trips; those we kept." },
  ],
  reason: "“{}” and the noun differ in number: “{1}”.",
  patterns: [
    "[this] ADJ? NNS !NN|NNS|POS => these",
    "IN|VB|VBD|VBG [that] ADJ? NNS => those",
    "<s> [that] NNS VERB not? VERB|ADJ|the|a => those",
    "[these] ADJ? NN !NN|NNS|NNP|'s|-|and|or|,|CC|VBG|POS => this",
    "[those] ADJ? NN !NN|NNS|NNP|'s|-|and|or|,|CC|VBG|POS => that",
    "[these] kind|sort|type of => this | these",
    "[those] kind|sort|type of => that | those",
  ],
  accepts: ({ bounds, pattern }, { words, tags, nounGroups, nounAt, verbAt }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    const group = nounGroups[nounAt[marked] ?? -1];
    if (!group || group.from !== marked) return false;
    const head = words[group.head]?.form ?? "";
    const plural = tags[group.head] === TAG.NNS;
    // "This rounds toward zero", "these default to none": a verb taken for a noun.
    const verbAfter = (verbAt[group.to] ?? -1) >= 0;
    if ((words[group.head]?.traits ?? 0) & VERB && !verbAfter) return false;
    if (form === "this" || form === "that") {
      if (!plural || group.to - group.from > 3) return false;
      if (
        /^(?:means|series|species|news|headquarters|works|mathematics|physics|politics|economics|ethics|crossroads|barracks|lens|gas|bus|data|media)$/.test(
          head,
        )
      )
        return false;
      // "that" opens a clause far more often than it points.
      if (form === "that") {
        const verb = tags[group.to] ?? 0;
        return pattern.source.startsWith("<s>")
          ? TAG_SETS.VERB[verb] === 1
          : !TAG_SETS.VERB[verb] &&
              verb !== TAG.MD &&
              /^(?:on|at|of|by|with|read|saw|took|see|keep)$/.test(words[marked - 1]?.form ?? "");
      }
      return !/ics$/.test(head);
    }
    if (
      plural ||
      /^(?:people|cattle|police|aircraft|fish|sheep|deer|series|species|data|media|few|craft|clergy|vermin|poultry|folk|men|women|children|teeth|feet|swine|offspring|staff|youth|criteria|phenomena|bacteria|algae|larvae)$/.test(
        head,
      )
    )
      return false;
    if (/^(?:kind|sort|type)$/.test(head)) return words[group.to]?.form === "of";
    return (
      group.to - group.from <= 3 &&
      tags[group.head] === TAG.NN &&
      (words[group.head]?.traits ?? 0) !== 0 &&
      !/(?:s|men|ae|a|i)$/.test(head)
    );
  },
});

/** "one of the oldest gauge". */
export const oneOf = markCheck({
  id: "grammar/one-of",
  weight: "settle",
  code: "num",
  title: "Plural after “one of”",
  why: "“One of the” picks from several, so the noun is plural: one of the gauges.",
  source: "common practice",
  examples: [
    { wrong: "One of the clerk found it.", right: "One of the clerks found it." },
    { wrong: "It is one of our oldest gauge.", right: "It is one of our oldest gauges." },
    { leave: "One of the crew and one of the oldest gauge houses." },
  ],
  reason: "“One of the” picks from several: “{1}”.",
  patterns: [
    "one of the|these|those|my|his|her|its|our|their ADJ? JJ|JJS? [NN] !NN|NNS|NNP|'s|POS|of|since|itself|- => $6:NNS",
  ],
  accepts: ({ bounds }, { words, tags }, { lexicon, words: table }) => {
    const noun = bounds[10] ?? 0;
    const form = words[noun]?.form ?? "";
    if (!/^[a-z]+$/.test(form) || COLLECTIVE.has(form)) return false;
    const plural = table.inflect(form, "NNS");
    if (plural === form || lexicon.varieties(plural) === 0) return false;
    return tags[noun] === TAG.NN && lexicon.frequency(plural) > lexicon.frequency(form) - 5;
  },
});

const COLLECTIVE = new Set(
  "minority majority flight scope age apartment car crew staff team family group public people police cattle lot rest two three best most kind few same first last world past present future congregation company committee faculty fleet party class set series species data media audience army board council press majority nobility clergy cast band".split(
    " ",
  ),
);

/** "much boats", "many water". */
export const manyMuch = markCheck({
  id: "grammar/many-much",
  weight: "settle",
  code: "num",
  title: "“many” and “much”",
  why: "“Many”, “few” and “several” go with things that are counted, “much” and “little” with what is not.",
  source: "common practice",
  examples: [
    { wrong: "How much visitors came?", right: "How many visitors came?" },
    { wrong: "There is too many water here.", right: "There is too much water here." },
    { wrong: "We found several crack in it.", right: "We found several cracks in it." },
    { leave: "Many a boat; much of the boats’ oil; few if any; a few hundred." },
    { leave: "It is much years later than that." },
  ],
  reason: "What is counted takes “many”, what is not takes “much”: “{1}”.",
  patterns: [
    "how|too|so|as|not|n't|very|without [much] NNS => many",
    "[much] visitors|people|boats|books|things|others|days|men|women|children|problems|questions|ways => many",
    "how|too|so|as|very|not [many] water|information|money|time|work|oil|rain|snow|sand|air|heat|light|food|wood|traffic|advice|evidence|equipment|furniture|noise|damage|trouble|sugar|milk|blood|help|care !NOUN => much",
    "<s> [many] water|information|money|oil|rain|snow|sand|food|traffic|advice|evidence|equipment|furniture|damage !NOUN => much",
    "several|many [NN] in|on|at|of|to|from|with|were|are|have|.|, => $2:NNS",
    "a few [NN] in|on|at|were|are|have|.|, => $3:NNS",
  ],
  accepts: ({ bounds, pattern }, { words, tags }, { lexicon, words: table }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    if (form === "much") {
      const noun = words[bounds[2 * pattern.marked.to] ?? marked + 1]?.form ?? "";
      return !/^(?:news|data|media|means|goods|thanks|works|politics|economics|physics|years|savings|later)$/.test(
        noun,
      );
    }
    if (form === "many") {
      // "many food and drink firms": the noun only leads to another.
      const after = tags[(bounds[2 * pattern.marked.to] ?? marked + 1) + 1] ?? 0;
      return after !== TAG.CC && !TAG_SETS.NOMINAL[after];
    }
    if (tags[marked] !== TAG.NN || !/^[a-z]{3,}$/.test(form)) return false;
    if (
      /^(?:more|less|people|other|others|dozen|hundred|thousand|million|score|enough|respect|few|aircraft|craft|fish|sheep|deer|cattle|series|species|percent|head|offspring|yard|foot|data|many|men|women|children|times|one|time)$/.test(
        form,
      )
    )
      return false;
    const plural = table.inflect(form, "NNS");
    return plural !== form && lexicon.varieties(plural) !== 0 && lexicon.frequency(form) > 8;
  },
});

/** "less boats", "amount of visitors". */
export const fewerLess = markCheck({
  id: "grammar/fewer-less",
  weight: "settle",
  code: "num",
  title: "“fewer” and “less”, “number” and “amount”",
  why: "In edited English “fewer” and “a number of” go with things that are counted; “less” and “an amount of” with what is not, and with sums, times and distances.",
  source: "common practice",
  examples: [
    { wrong: "There were less boats than before.", right: "There were fewer boats than before." },
    { wrong: "A large amount of letters came.", right: "A large number of letters came." },
    { leave: "It costs less; less than ten miles; ten dollars less." },
    { leave: "Less dangerous gauges; a small amount of oats." },
  ],
  reason: "Things that are counted take “{1}”.",
  patterns: [
    "[less] NNS => fewer",
    "[amount] of people|visitors|letters|boats|books|errors|mistakes|items|files|copies|words|days|users|students|children|men|women|cars|houses|things|questions|problems|readings|readers|changes => number",
    "[amounts] of people|visitors|letters|boats|books|errors|items|files|users|students|children|cars|things => numbers",
  ],
  accepts: ({ bounds }, { words, tags }) => {
    const marked = bounds[0] ?? 0;
    if (
      words[marked]?.form !== "less" &&
      words[marked]?.form !== "amount" &&
      words[marked]?.form !== "amounts"
    )
      return true;
    const noun = words[bounds[2] ?? 0]?.form ?? "";
    const before = words[marked - 1]?.form ?? "";
    if (
      /^(?:dollars|pounds|miles|years|hours|minutes|days|weeks|months|points|feet|means|news|goods|percent|thanks|sales|odds|kilometers|metres|meters|wages|clothes)$/.test(
        noun,
      )
    )
      return false;
    return !/^(?:no|or|any|nothing|much)$/.test(before) && tags[marked - 1] !== TAG.CD;
  },
});

/** "four anchor". */
export const numberNoun = markCheck({
  id: "grammar/number-noun",
  weight: "settle",
  code: "num",
  title: "Plural after a number",
  why: "After a number above one the noun is plural. Before another noun the singular is right: a three-mile walk, a two week break.",
  source: "common practice",
  examples: [
    { wrong: "It is held by four anchor.", right: "It is held by four anchors." },
    { wrong: "They read it five time a day.", right: "They read it five times a day." },
    { leave: "A two-week break, twenty head of cattle, chapter four section two." },
    { leave: "Nineteen forty spring tides; by three we sat." },
  ],
  reason: "After a number above one the noun is plural: “{1}”.",
  patterns: [
    "two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|twenty|thirty|forty|fifty ADJ? [NN] .|,|in|on|at|of|for|to|from|with|asked|came|were|are|have|a|and|ago|later|before => $3:NNS",
  ],
  accepts: ({ bounds }, { words, tags }, { lexicon, words: table }) => {
    const number = bounds[0] ?? 0;
    const noun = bounds[4] ?? 0;
    const form = words[noun]?.form ?? "";
    const before = words[number - 1]?.form ?? "";
    const after = words[noun + 1]?.form ?? "";
    if (!/^[a-z]{3,}$/.test(form) || tags[noun] !== TAG.NN) return false;
    if (TAG_SETS.NOMINAL[tags[number - 1] ?? 0] || tags[number - 1] === TAG.CD) return false;
    if (
      /^(?:a|an|one|the|chapter|section|part|page|at|past|after|before|since|until|till|about|age|aged|number|no|and|-|until|each|every|this|that)$/.test(
        before,
      )
    )
      return false;
    if (
      /^(?:percent|head|foot|dozen|score|hundred|thousand|million|billion|o'clock|people|aircraft|fish|sheep|deer|cattle|series|species|a\.m|p\.m|cent|pound|stone|hundredweight|gross|yoke|brace|horsepower|craft|pm|am|years|men|women|more|less|noon|midnight|sharp|today|tomorrow|yesterday|tonight|part|per|male|female|adult)$/.test(
        form,
      )
    )
      return false;
    if (after === "of" && /^(?:out|by)$/.test(form)) return false;
    if (after === "and" && !TAG_SETS.VERB[tags[noun + 2] ?? 0]) return false;
    const plural = table.inflect(form, "NNS");
    return plural !== form && lexicon.varieties(plural) !== 0 && lexicon.frequency(form) > 8;
  },
});
