import type { Card } from "../../card.ts";

/** What is told of the checks in this folder. */

export const subjectComma: Card = {
  pass: "grammar",
  id: "grammar/subject-comma",
  weight: "settle",
  code: "cm",
  title: "Comma between subject and verb",
  why: "However long the subject is, no comma parts it from its verb. Two commas around an insertion are another matter.",
  source: "common practice",
  examples: [
    {
      wrong: "The keeper of the gauge, wrote it down.",
      right: "The keeper of the gauge wrote it down.",
    },
    {
      wrong: "The boats in the harbour, are tied up.",
      right: "The boats in the harbour are tied up.",
    },
    { leave: "The gauge, which is old, was read. In the night, came a storm." },
    { leave: "After the storm, was it shut? In the hall, the lamp was lit." },
  ],
};

export const introductoryComma: Card = {
  pass: "grammar",
  id: "grammar/introductory-comma",
  weight: "settle",
  code: "cm",
  title: "Comma after an opening",
  why: "A clause with “when”, “if” or “although” that opens a sentence ends with a comma, and so do “however”, “therefore”, “for example”. “However” without one means “in whatever way”.",
  source: "common practice",
  examples: [
    { wrong: "However the wall held.", right: "However, the wall held." },
    { wrong: "For example the tap was shut.", right: "For example, the tap was shut." },
    {
      wrong: "If the tap leaks the clerk shuts it.",
      right: "If the tap leaks, the clerk shuts it.",
    },
    { wrong: "In addition they sent a clerk.", right: "In addition, they sent a clerk." },
    { leave: "However hard they tried, it held." },
    { leave: "In addition to the lamp they had a torch." },
  ],
};

export const thatComma: Card = {
  pass: "grammar",
  id: "grammar/that-comma",
  weight: "fix",
  code: "cm",
  title: "Comma before “that”",
  why: "English puts no comma between a verb of saying or thinking and its “that”.",
  source: "common practice",
  examples: [
    { wrong: "The clerk said, that it was lost.", right: "The clerk said that it was lost." },
    { wrong: "We know, that it is weak.", right: "We know that it is weak." },
    { leave: "He said, “That is all.” They know, too, that it is late." },
  ],
};

export const colonAfterVerb: Card = {
  pass: "grammar",
  id: "grammar/colon-after-verb",
  weight: "settle",
  code: "co",
  title: "Colon that parts what belongs together",
  why: "A colon goes after a clause that could end there. After “consists of”, “such as” or “include” the list is the object, and nothing parts it from its verb.",
  source: "common practice",
  examples: [
    { wrong: "It consists of: a lamp and a wire.", right: "It consists of a lamp and a wire." },
    {
      wrong: "We need things such as: rope and nails.",
      right: "We need things such as rope and nails.",
    },
    { leave: "It holds the following: a lamp and a wire." },
  ],
};

export const semicolonAfterOpening: Card = {
  pass: "grammar",
  id: "grammar/semicolon-after-opening",
  weight: "settle",
  code: "sc",
  title: "Semicolon after a subordinate clause",
  why: "A semicolon joins two sentences that could stand alone. After an opening with “although”, “when” or “if” comes a comma.",
  source: "common practice",
  examples: [
    { wrong: "Although it was late; they stayed.", right: "Although it was late, they stayed." },
    { leave: "It was late; although they stayed, it ended." },
    { leave: "When it rains, they wait; when it stops, they go." },
  ],
};

export const dateComma: Card = {
  pass: "grammar",
  id: "grammar/date-comma",
  weight: "settle",
  code: "cm",
  title: "Comma in a date",
  why: "Between day and year in the order month, day, year goes a comma: May 5, 1962.",
  source: "common practice",
  examples: [
    { wrong: "It fell on May 5 1962.", right: "It fell on May 5, 1962." },
    { leave: "On 5 May 1962 and in May 1962; on May 5 1,962 men came." },
  ],
};

export const clauseComma: Card = {
  pass: "grammar",
  id: "grammar/clause-comma",
  weight: "weigh",
  code: "cm",
  title: "Comma before “but” or “so”",
  why: "Where “but” or “so” joins two full clauses with subjects of their own, a comma shows where the first ends. Short clauses may do without.",
  source: "common practice",
  examples: [
    {
      wrong: "The gauge was read twice a day but nobody wrote the figure down.",
      right: "The gauge was read twice a day, but nobody wrote the figure down.",
    },
    { leave: "It came but it went. They rose so that he saw it." },
  ],
  aPage: 2,
};

export const relativeComma: Card = {
  pass: "grammar",
  id: "grammar/relative-comma",
  weight: "fix",
  code: "cm",
  title: "Comma that closes an inserted clause",
  why: "A clause with “which” or “who” that a comma opens in the middle of a sentence ends with a comma too, before the sentence’s own verb.",
  source: "common practice",
  examples: [
    {
      wrong: "The crew, which had worked all night was exhausted.",
      right: "The crew, which had worked all night, was exhausted.",
    },
    {
      wrong: "The keeper, who lives in the tower is old.",
      right: "The keeper, who lives in the tower, is old.",
    },
    { leave: "The keeper, who said he was ill, went home. We met the man, who knew it was late." },
  ],
};

export const markSlips: Card = {
  pass: "grammar",
  id: "grammar/mark-slips",
  weight: "fix",
  code: "pt",
  title: "Marks doubled or out of place",
  why: "A mark is written once, close to the word before it and with a space after it; inside brackets there is none.",
  source: "common practice",
  examples: [
    { wrong: "The wire broke,, and it sank.", right: "The wire broke, and it sank." },
    { wrong: "The lamp was lit ,and they sat.", right: "The lamp was lit, and they sat." },
    { wrong: "The plan ( the old one) is here.", right: "The plan (the old one) is here." },
    { wrong: "Where is it?. Nobody knew.", right: "Where is it? Nobody knew." },
    { leave: "It was … late. See a, b; and 1,000 of f(x,y)." },
  ],
};

export const unpaired: Card = {
  pass: "grammar",
  id: "grammar/unpaired",
  weight: "settle",
  code: "pr",
  title: "Bracket or quotation mark without its partner",
  why: "What is opened is closed. A quotation that runs over several paragraphs opens each and closes only the last.",
  source: "common practice",
  examples: [
    { wrong: "The gauge (see the plan is shut.", marked: "(" },
    { leave: "The gauge (see the plan) is “shut”." },
    { leave: "a) read it, b) write it; “He ran on" },
    { leave: "It lies between 3 (inclusive) and 5." },
  ],
};

export const compoundHyphen: Card = {
  pass: "grammar",
  id: "grammar/compound-hyphen",
  weight: "settle",
  code: "hy",
  title: "Hyphen in a compound before a noun",
  why: "Two words that qualify a noun together are joined by a hyphen before it: a well-known fact, a five-year plan. After the noun, and after an adverb in -ly, there is none.",
  source: "common practice",
  examples: [
    { wrong: "It is a well known fact.", right: "It is a well-known fact." },
    { wrong: "They drew up a five year plan.", right: "They drew up a five-year plan." },
    { wrong: "We took a newly-built boat.", right: "We took a newly built boat." },
    { wrong: "It is a long term problem.", right: "It is a long-term problem." },
    { leave: "The fact is well known, and in the long term it is no problem." },
    { leave: "They stayed five years; a family-owned boat; an early-morning tide." },
  ],
};
