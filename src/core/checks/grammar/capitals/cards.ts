import type { Card } from "../../card.ts";

/** What is told of the checks in this folder. */

export const pronounI: Card = {
  pass: "grammar",
  id: "grammar/pronoun-i",
  weight: "fix",
  code: "cap",
  title: "“I” in small letters",
  why: "The pronoun “I” is always a capital, wherever it is in the sentence.",
  source: "common practice",
  examples: [
    { wrong: "When i came in, it was out.", right: "When I came in, it was out." },
    { wrong: "My brother and i read it.", right: "My brother and I read it." },
    { leave: "Part (i) and part i. of the list; an i and an e." },
  ],
};

export const paragraphStart: Card = {
  pass: "grammar",
  id: "grammar/paragraph-start",
  weight: "settle",
  code: "cap",
  title: "Paragraph without a capital",
  why: "A paragraph of whole sentences begins with a capital, and so does a sentence after a question mark.",
  source: "common practice",
  examples: [
    {
      wrong: "the tide turned at noon. They went home.",
      right: "The tide turned at noon. They went home.",
    },
    { wrong: "Was it shut? nobody knew.", right: "Was it shut? Nobody knew." },
    { leave: "iPod sales fell. They rose." },
    { leave: "“Was it shut?” nobody asked." },
    { leave: "see also the log" },
  ],
};

export const titleCapital: Card = {
  pass: "grammar",
  id: "grammar/title-capital",
  weight: "settle",
  code: "cap",
  title: "Capital of a title before a name",
  why: "A title right before a name has a capital: Captain Rusk, Professor Hale. After an article or alone it has none: the captain.",
  source: "common practice",
  examples: [
    { wrong: "We met captain Rusk there.", right: "We met Captain Rusk there." },
    { leave: "We met the captain, and former president Rusk." },
    { leave: "The professor Rusk spoke of was late." },
  ],
};

export const calendarCapital: Card = {
  pass: "grammar",
  id: "grammar/nationality",
  weight: "fix",
  code: "cap",
  title: "Peoples and languages in small letters",
  why: "Names of peoples and languages have a capital in English: French, Polish, a Turkish coin.",
  source: "common practice",
  examples: [
    { wrong: "She speaks french well.", right: "She speaks French well." },
    { leave: "They polish the brass and eat a swede." },
  ],
};
