import type { Card } from "../../card.ts";

/** What is told of the checks in this folder. */

export const verbForm: Card = {
  pass: "grammar",
  id: "grammar/verb-form",
  weight: "fix",
  code: "vb",
  title: "Form of the verb",
  why: "An auxiliary decides the form of the verb after it: “must read”, “to read”, “has written”, “is written”, “is writing”, “did not write”.",
  source: "common practice; less plain places are found by a model learned from edited prose",
  examples: [
    { wrong: "The keeper must reads the gauge.", right: "The keeper must read the gauge." },
    { wrong: "The crew has went home.", right: "The crew has gone home." },
    { wrong: "She did not went to the quay.", right: "She did not go to the quay." },
    { wrong: "The log was wrote in pencil.", right: "The log was written in pencil." },
    { leave: "He had had to go, and they look forward to reading it." },
    { leave: "What it did was make them wait." },
  ],
};

export const modalOf: Card = {
  pass: "grammar",
  id: "grammar/of-for-have",
  weight: "fix",
  code: "vb",
  title: "“of” heard for “have”",
  why: "In speech “could have” sounds like “could of”, but the word is “have”.",
  source: "common practice",
  examples: [
    { wrong: "It could of been worse.", right: "It could have been worse." },
    { wrong: "You should of asked.", right: "You should have asked." },
    { wrong: "They must not of seen it.", right: "They must not have seen it." },
    { leave: "What he could of course not know was the hour." },
  ],
};

export const loneParticiple: Card = {
  pass: "grammar",
  id: "grammar/lone-participle",
  weight: "fix",
  code: "vb",
  title: "Participle without “have”",
  why: "“Seen”, “done”, “gone”, “been” and “written” need “have” before them; alone the past is “saw”, “did”, “went”, “was”, “wrote”.",
  source: "common practice",
  examples: [
    { wrong: "I seen the lamp go out.", right: "I saw the lamp go out." },
    { wrong: "They done the work.", right: "They did the work." },
    { wrong: "We been here since noon.", right: "We have been here since noon." },
    { leave: "The work they had done; the man I had seen." },
    { leave: "As seen from the quay, the work done was good." },
  ],
};

export const clauseVerb: Card = {
  pass: "grammar",
  id: "grammar/clause-verb",
  weight: "fix",
  code: "vb",
  title: "Verb that its clause can’t take",
  why: "Each clause has a verb that goes with its subject: “they look”, “we spoke”, “she is going”, “how does it look”. Where the only word that could be one has another form, that is a slip.",
  source: "common practice",
  examples: [
    {
      wrong: "The posters came and they looks fine.",
      right: "The posters came and they look fine.",
    },
    { wrong: "In the morning we spoken to him.", right: "In the morning we spoke to him." },
    { wrong: "How does it looks now?", right: "How does it look now?" },
    { wrong: "The keeper notice that it rains.", right: "The keeper notices that it rains." },
    { leave: "Had they spoken before it began?" },
    { leave: "The notice that he wrote was lost." },
  ],
};

export const baseForPast: Card = {
  pass: "grammar",
  id: "grammar/base-for-past",
  weight: "settle",
  code: "vb",
  title: "Present form beside a time in the past",
  why: "With “yesterday”, “last week” or “an hour ago” the verb is in the past.",
  source: "common practice",
  examples: [
    { wrong: "They finish the wall yesterday.", right: "They finished the wall yesterday." },
    { wrong: "She writes to us last week.", right: "She wrote to us last week." },
    { wrong: "The tide turns an hour ago.", right: "The tide turned an hour ago." },
    { leave: "They know that the wall fell yesterday." },
    { leave: "They know it is a year ago." },
  ],
};

export const bareInfinitive: Card = {
  pass: "grammar",
  id: "grammar/bare-infinitive",
  weight: "fix",
  code: "vb",
  title: "Infinitive after “let” and “make”",
  why: "“Let” and “make” take the infinitive without “to”: they let him stay, it makes us feel safe.",
  source: "common practice",
  examples: [
    { wrong: "They let him to stay.", right: "They let him stay." },
    { wrong: "It makes us to feel safe.", right: "It makes us feel safe." },
    { wrong: "She let the boys goes first.", right: "She let the boys go first." },
    { leave: "He was made to sign, and it was made to last." },
    { leave: "They made him a boat to sail in." },
  ],
};

export const gerundOrInfinitive: Card = {
  pass: "grammar",
  id: "grammar/gerund-or-infinitive",
  weight: "settle",
  code: "vb",
  title: "“-ing” or “to” after a verb",
  why: "Some verbs take “-ing” after them (avoid, enjoy, finish, suggest) and others “to” (decide, refuse, hope, manage).",
  source: "common practice",
  examples: [
    { wrong: "They avoided to meet us.", right: "They avoided meeting us." },
    { wrong: "She enjoys to read the logs.", right: "She enjoys reading the logs." },
    { wrong: "The crew refused leaving.", right: "The crew refused to leave." },
    { leave: "They suggested to him that it was late." },
    { leave: "They stopped to look, and he finished, to be exact, at noon." },
  ],
};

export const gerundAfterPreposition: Card = {
  pass: "grammar",
  id: "grammar/gerund-after-preposition",
  weight: "fix",
  code: "vb",
  title: "“-ing” after a preposition",
  why: "A verb after a preposition takes “-ing”: without saying, instead of waiting, looking forward to meeting.",
  source: "common practice",
  examples: [
    { wrong: "She left without say a word.", right: "She left without saying a word." },
    { wrong: "We look forward to see you.", right: "We look forward to seeing you." },
    { wrong: "Thank you for send the charts.", right: "Thank you for sending the charts." },
    { leave: "They came for help and left without delay." },
    { leave: "It is about to start, and nothing but wait is left." },
  ],
};

export const usedTo: Card = {
  pass: "grammar",
  id: "grammar/used-to",
  weight: "fix",
  code: "vb",
  title: "“used to”, “supposed to”",
  why: "The d of “used to” and “supposed to” is hardly heard, but it is written. After “did” comes the plain form: did not use to.",
  source: "common practice",
  examples: [
    { wrong: "We use to read it by candle.", right: "We used to read it by candle." },
    { wrong: "You are suppose to sign.", right: "You are supposed to sign." },
    { wrong: "She didn’t used to live here.", right: "She didn’t use to live here." },
    { leave: "The lamps we use to read by; it is used to measure." },
  ],
};

export const ifWouldHave: Card = {
  pass: "grammar",
  id: "grammar/if-would-have",
  weight: "settle",
  code: "vb",
  title: "“would have” after “if” or “wish”",
  why: "In written English the condition is in the past perfect, without “would”: if I had known, I would have come.",
  source: "common practice",
  examples: [
    {
      wrong: "If I would have known, I would have come.",
      right: "If I had known, I would have come.",
    },
    { wrong: "I wish they would have asked.", right: "I wish they had asked." },
    { leave: "They asked if it would have helped." },
  ],
};

export const sinceTense: Card = {
  pass: "grammar",
  id: "grammar/since-tense",
  weight: "settle",
  code: "vb",
  title: "Tense with “since” and “for”",
  why: "What began in the past and goes on takes the perfect: we have been waiting since noon. A span of time takes “for”, its beginning “since”.",
  source: "common practice",
  examples: [
    { wrong: "We are waiting since noon.", right: "We have been waiting since noon." },
    { wrong: "He works there since May.", right: "He has worked there since May." },
    { wrong: "It has stood here since five years.", right: "It has stood here for five years." },
    { leave: "It is long since noon, and since five years had passed, they went." },
  ],
};

export const stateVerb: Card = {
  pass: "grammar",
  id: "grammar/state-verb",
  weight: "fix",
  code: "st",
  title: "State as if it were going on",
  why: "Verbs of knowing, having and being hardly ever take the form in -ing after “be”: what they say is a state, not something that goes on.",
  source: "common practice",
  examples: [
    { wrong: "The box is containing four lamps.", right: "The box contains four lamps." },
    { leave: "Knowing the tides, she waited." },
  ],
};

export const perfectPast: Card = {
  pass: "grammar",
  id: "grammar/perfect-past",
  weight: "fix",
  code: "pp",
  title: "Perfect with a time that is over",
  why: "With “yesterday”, “two days ago” or a year that is over the verb is in the past; the perfect leaves open when.",
  source: "common practice",
  examples: [
    { wrong: "They have left an hour ago.", right: "They left an hour ago." },
    { wrong: "It has been closed in 1998.", right: "It was closed in 1998." },
    { leave: "It has been closed since 1998." },
    { leave: "They had left an hour ago." },
  ],
};

export const clauseWill: Card = {
  pass: "grammar",
  id: "grammar/clause-will",
  weight: "fix",
  code: "cw",
  title: "“Will” and “would” after “if” and “when”",
  why: "A clause of time or condition has the present where the main clause speaks of the future, and the past where it says what would be. After “ask” or “know” it is a question, and “will” is right.",
  source: "common practice",
  examples: [
    {
      wrong: "Ring the bell when the tide will turn.",
      right: "Ring the bell when the tide turns.",
    },
    {
      wrong: "If she would live here, she would know.",
      right: "If she lived here, she would know.",
    },
    { leave: "She asked when the tide would turn." },
    { leave: "We do not know if it will rain." },
  ],
};
