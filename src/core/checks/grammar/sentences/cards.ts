import type { Card } from "../../card.ts";

/** What is told of the checks in this folder. */

export const fragment: Card = {
  pass: "grammar",
  id: "grammar/fragment",
  weight: "settle",
  code: "fr",
  title: "Half a sentence",
  why: "A clause with “because”, “although”, “whereas” or “which” leans on another. Alone it leaves the reader waiting. In answers, notes and for effect it may be meant.",
  source: "common practice",
  examples: [
    { wrong: "It stopped. Because the wire broke.", right: "It stopped because the wire broke." },
    { leave: "Because the wire broke, it stopped." },
    { leave: "Why did it stop? Because the wire broke." },
    { leave: "When will it stop? It stopped. If it rains, they wait." },
  ],
};

export const commaSplice: Card = {
  pass: "grammar",
  id: "grammar/comma-splice",
  weight: "settle",
  code: "cs",
  title: "Two sentences joined by a comma",
  why: "Two clauses that could each stand alone need more than a comma: a full stop, a semicolon, or “and”, “but”, “so”.",
  source: "common practice",
  examples: [
    { wrong: "The tide turned, we went home.", right: "The tide turned; we went home." },
    {
      wrong: "The wire broke, it had been worn for years.",
      right: "The wire broke; it had been worn for years.",
    },
    { leave: "When the tide turned, we went home." },
    { leave: "It came, it turned, it went." },
    { leave: "The tide, we know, turned; they said, she went." },
  ],
};

export const adverbSplice: Card = {
  pass: "grammar",
  id: "grammar/adverb-splice",
  weight: "settle",
  code: "cs",
  title: "“however”, “therefore” between two sentences",
  why: "“However”, “therefore”, “moreover” and their like are adverbs; they cannot join two sentences with a comma. A semicolon or a full stop goes before them and a comma after.",
  source: "common practice",
  examples: [
    { wrong: "It was high, however the wall held.", right: "It was high; however, the wall held." },
    {
      wrong: "The pump failed, therefore the well filled.",
      right: "The pump failed; therefore, the well filled.",
    },
    { leave: "It was, however, high; they wait, however late it is." },
  ],
};

export const parallelList: Card = {
  pass: "grammar",
  id: "grammar/parallel-list",
  weight: "weigh",
  code: "par",
  title: "List in different forms",
  why: "The members of a list read best in one form: reading, walking and swimming; to paint, to mend and to buy.",
  source: "common practice",
  examples: [
    {
      wrong: "She likes reading, walking and to swim.",
      right: "She likes reading, walking and swimming.",
    },
    {
      wrong: "They plan to paint it, to mend it and buying a lamp.",
      right: "They plan to paint it, to mend it and to buy a lamp.",
    },
    { leave: "They stopped reading and walking to look at it." },
    { leave: "He likes walking, and to swim is dear to him." },
  ],
};

export const danglingOpening: Card = {
  pass: "grammar",
  id: "grammar/dangling-opening",
  weight: "weigh",
  code: "dm",
  title: "Opening that hangs in the air",
  why: "A phrase such as “Walking along the quay,” belongs to the subject that follows. Here that is a thing that did not walk.",
  source: "common practice",
  examples: [
    { wrong: "Walking along the quay, the lamp was seen by us.", marked: "Walking along the quay" },
    { leave: "Walking along the quay, we saw the lamp." },
    { leave: "Using a lamp, the keeper read the gauge." },
    { leave: "Considering the hour, the tide was high." },
  ],
};

export const tenseShift: Card = {
  pass: "grammar",
  id: "grammar/tense-shift",
  weight: "weigh",
  code: "tns",
  title: "Tense changes within a sentence",
  why: "Verbs joined by “and” under one subject tell one story and are mostly in one tense.",
  source: "common practice",
  examples: [
    { wrong: "She opened the door and walks in.", right: "She opened the door and walked in." },
    {
      wrong: "He takes the key and opened the gate.",
      right: "He takes the key and opens the gate.",
    },
    { leave: "He said that it works and left." },
    { leave: "The book was written there and is now lost." },
  ],
};

export const finalMark: Card = {
  pass: "grammar",
  id: "grammar/final-mark",
  weight: "settle",
  code: "fs",
  title: "Sentence without its full stop",
  why: "A sentence of running text ends with a full stop, a question mark or an exclamation mark.",
  source: "common practice",
  examples: [
    {
      wrong: "The tide turned at noon. They all went home",
      right: "The tide turned at noon. They all went home.",
    },
    { leave: "The tide turned at noon. See also:" },
    { leave: "Yours sincerely" },
    { leave: "They saw three things: a lamp, a float, a wire" },
  ],
};

export const questionMark: Card = {
  pass: "grammar",
  id: "grammar/question-mark",
  weight: "settle",
  code: "qm",
  title: "Question without a question mark",
  why: "A direct question ends with a question mark; a reported one with a full stop: she asked where it was.",
  source: "common practice",
  examples: [
    { wrong: "Where is the spare key.", right: "Where is the spare key?" },
    { wrong: "Did they know the keeper.", right: "Did they know the keeper?" },
    { wrong: "They asked where the gauge was?", right: "They asked where the gauge was." },
    { leave: "What they saw was a lamp. How lovely it was." },
    { leave: "Had they known, they would have come. Did she ask where it was?" },
  ],
};

export const repeatedPart: Card = {
  pass: "grammar",
  id: "grammar/repeated-part",
  weight: "fix",
  code: "tw",
  title: "Subject or object named twice",
  why: "A pronoun takes the place of a noun; beside it, it says the same again. In a clause with “that” or “which” the noun before it is the object already.",
  source: "common practice",
  examples: [
    { wrong: "The keeper he told us the time.", right: "The keeper told us the time." },
    { wrong: "Here is the lamp that we bought it.", right: "Here is the lamp that we bought." },
    { leave: "The house he built us is old." },
    { leave: "The news that he had it came late." },
  ],
};

export const missingPart: Card = {
  pass: "grammar",
  id: "grammar/missing-part",
  weight: "fix",
  code: "sv",
  title: "Sentence without subject or verb",
  why: "An English sentence names its subject, if only as “it”, and has a finite verb. Notes and headings may do without.",
  source: "common practice",
  examples: [
    { wrong: "Is useful to read it twice.", right: "It is useful to read it twice." },
    { wrong: "The keeper not read it today.", right: "The keeper does not read it today." },
    { wrong: "The shaft too deep for us.", right: "The shaft is too deep for us." },
    { leave: "Is it useful to read it twice?" },
    { leave: "Not the keeper but his wife read it." },
  ],
};

export const runOn: Card = {
  pass: "grammar",
  id: "grammar/run-on",
  weight: "settle",
  code: "ro",
  title: "Two sentences with nothing between",
  why: "Where a second sentence begins with its own subject and verb, a full stop, a semicolon or a word like “and” parts it from the first.",
  source: "common practice",
  examples: [
    { wrong: "The wire broke we went home.", right: "The wire broke; we went home." },
    { leave: "We knew they went home." },
    { leave: "The day we left was cold." },
  ],
};
