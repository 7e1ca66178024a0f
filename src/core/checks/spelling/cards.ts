import type { Card } from "../card.ts";

/** What is told of the checks in this folder. */

export const dayAndMonth: Card = {
  id: "spelling/day-and-month",
  pass: "spelling",
  weight: "fix",
  code: "cap",
  title: "Day or month without a capital",
  why: "English gives the names of days and months a capital. “March”, “May” and “August” are looked at beside a number only, as they are words of their own.",
  source: "common practice",
  examples: [
    { wrong: "It was read each monday.", right: "It was read each Monday." },
    { wrong: "The book ends on 3 may 1984.", right: "The book ends on 3 May 1984." },
    { leave: "They may march past the august house." },
    { leave: "It was read each Monday in June." },
  ],
};

export const doubledWord: Card = {
  id: "spelling/doubled-word",
  pass: "spelling",
  weight: "fix",
  code: "dbl",
  title: "Word written twice",
  why: "The same word comes twice running, often at a line’s end, where the eye passes over it. Where both are meant (“he had had enough”), let it stand.",
  source: "common practice",
  examples: [
    { wrong: "We waited for the the tide.", right: "We waited for the tide." },
    { wrong: "It was read at at noon.", right: "It was read at noon." },
    { leave: "He had had enough of that that week." },
    { leave: "The buoy went ding ding ding all night." },
    { leave: "The gauge fell. Fell by how much, nobody knew." },
    { leave: "Turn to page 12 12 of the log." },
  ],
};

export const oddName: Card = {
  id: "spelling/odd-name",
  pass: "spelling",
  weight: "settle",
  code: "name",
  title: "Name spelled otherwise once",
  why: "A name that no dictionary has is written here with one letter different from how the document spells it in at least three other places.",
  source: "common practice",
  examples: [
    {
      wrong: "Quillfrost, says Quillfrost. To Quillfrost, from Quilfrost.",
      right: "Quillfrost, says Quillfrost. To Quillfrost, from Quillfrost.",
    },
    {
      wrong: "By Leetmoor, of Leetmoor, for Leetmoor and Leetmooor.",
      right: "By Leetmoor, of Leetmoor, for Leetmoor and Leetmoor.",
    },
    { leave: "By Quillfrost and Quilfrost." },
  ],
};

export const otherVariety: Card = {
  id: "spelling/other-variety",
  pass: "spelling",
  weight: "settle",
  code: "var",
  title: "Spelling or word of another variety",
  why: "The word is right in another variety of English than the one this document is read as. One document keeps to one variety.",
  source:
    "The English dictionaries named in data/README.md; pairs of different words: common practice",
  examples: [
    { wrong: "The color of the water changed.", right: "The colour of the water changed." },
    { wrong: "They organize it each year.", right: "They organise it each year." },
    { wrong: "The sidewalk is shut.", right: "The pavement is shut." },
    { leave: "The colour of the harbour at the centre." },
  ],
  takesWords: true,
};

export const sentenceStart: Card = {
  id: "spelling/sentence-start",
  pass: "spelling",
  weight: "fix",
  code: "cap",
  title: "Sentence without a capital",
  why: "A full stop ends a sentence before it, and the next begins with a small letter. Either the capital is missing or the full stop is one too many.",
  source: "common practice",
  examples: [
    { wrong: "The tide turned. we went home.", right: "The tide turned. We went home." },
    { wrong: "It was shut. the key was lost.", right: "It was shut. The key was lost." },
    { leave: "It stood at approx. five metres, i.e. high." },
    { leave: "“Was it shut?” she asked. “It was … open.”" },
    { leave: "The gauge (see p. four) fell ... and rose." },
  ],
};

export const missingSpace: Card = {
  id: "spelling/missing-space",
  pass: "spelling",
  weight: "fix",
  code: "#",
  title: "No space after a stop",
  why: "Words on both sides of a stop run together, as when a line was joined to the next.",
  source: "common practice",
  examples: [
    { wrong: "The tide turned.Then we left.", right: "The tide turned. Then we left." },
    { wrong: "It rose,fell and rose.", right: "It rose, fell and rose." },
    { leave: "See gannet-head.example, p.m., e.g. 3.5 and os.path." },
    { leave: "Read and/or write: it’s up to you." },
  ],
};

export const brokenWord: Card = {
  id: "spelling/broken-word",
  pass: "spelling",
  weight: "fix",
  code: "join",
  title: "Word broken by a line-end hyphen",
  why: "A hyphen that stood at a line’s end stayed when the lines were joined. Hanging hyphens (“pre- and post-war”) are not meant.",
  source: "common practice",
  examples: [
    { wrong: "The obser- vatory is shut.", right: "The observatory is shut." },
    { wrong: "It stood in the har- bour.", right: "It stood in the harbour." },
    { leave: "The pre- and post-war readings agree." },
    { leave: "The well-known gauge - shut now - is old." },
  ],
};

export const unknownWord: Card = {
  id: "spelling/unknown-word",
  pass: "spelling",
  weight: "fix",
  code: "sp",
  title: "Word in no dictionary",
  why: "The word is in no dictionary of the document’s variety of English and in none of your word lists. It may be a slip of the fingers, a spelling of another variety, or a name or term to add to a list.",
  source: "The English dictionaries named in data/README.md",
  examples: [
    {
      wrong: "The book was recieved too wet to read.",
      right: "The book was received too wet to read.",
    },
    { wrong: "They moored beside the pontooon.", right: "They moored beside the pontoon." },
    { leave: "Dr. Orrin Vale read the gauge at the well-known GH-104 mark, 3rd from left." },
    { leave: "See https://gannet-head.example/tydes or write to keper@gannet-head.example." },
    { leave: "Gannets (Morus bassanus) rest on stage xiv, 12 kPa above GHTO datum." },
    { leave: "The unmoored launch went seawards past the lanternless bay." },
  ],
  takesWords: true,
};

export const twoCapitals: Card = {
  id: "spelling/two-capitals",
  pass: "spelling",
  weight: "fix",
  code: "cap",
  title: "Two capitals at the start",
  why: "The shift key was held a moment too long. Plurals of abbreviations (“TVs”) and names (“McKay”) are not meant.",
  source: "common practice",
  examples: [
    { wrong: "THere was no wind.", right: "There was no wind." },
    { wrong: "We read it on SUndays.", right: "We read it on Sundays." },
    { leave: "The PCs and TVs are off; Dr. McKay has a PhD." },
  ],
};

export const capsLock: Card = {
  id: "spelling/caps-lock",
  pass: "spelling",
  weight: "fix",
  code: "cap",
  title: "Caps lock left on",
  why: "Small and capital letters have changed places, as they do when caps lock is on.",
  source: "common practice",
  examples: [
    { wrong: "The log says: tHE index slipped.", right: "The log says: The index slipped." },
    { wrong: "It fell, hARBOUR and all.", right: "It fell, Harbour and all." },
    { leave: "The pH fell, said the RSPB." },
  ],
};

export const oddCapitals: Card = {
  id: "spelling/odd-capitals",
  pass: "spelling",
  weight: "fix",
  code: "cap",
  title: "A capital inside a word",
  why: "A common word has a capital in its middle. Where that is how a thing is named, put it on a word list.",
  source: "common practice",
  examples: [
    { wrong: "The watEr rose again.", right: "The water rose again." },
    { wrong: "It was a grEat tide.", right: "It was a great tide." },
    { leave: "The tideLog writes to readGauge each hour." },
  ],
};
