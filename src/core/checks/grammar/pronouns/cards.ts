import type { Card } from "../../card.ts";

/** What is told of the checks in this folder. */

export const pronounCase: Card = {
  pass: "grammar",
  id: "grammar/pronoun-case",
  weight: "fix",
  code: "pro",
  title: "Case of a pronoun",
  why: "After a preposition or a verb the pronoun is “me, him, her, us, them”; as a subject “I, he, she, we, they”. A second person joined by “and” changes nothing: between you and me.",
  source: "common practice",
  examples: [
    { wrong: "Between you and I, it is wrong.", right: "Between you and me, it is wrong." },
    { wrong: "Him and his son built it.", right: "He and his son built it." },
    { wrong: "The letter is for he.", right: "The letter is for him." },
    { wrong: "Us keepers have a rule.", right: "We keepers have a rule." },
    { leave: "My sister and I wrote to you and me." },
    { leave: "They knew what he and I had seen, for he had told us." },
  ],
};

export const reflexive: Card = {
  pass: "grammar",
  id: "grammar/reflexive",
  weight: "fix",
  code: "pro",
  title: "“-self” out of place",
  why: "“Myself” and its like refer back to the subject or stress a noun: I hurt myself; the keeper himself. They do not take the place of “I” or “me”. The forms are “himself”, “themselves”, “ourselves”.",
  source: "common practice",
  examples: [
    { wrong: "The clerk and myself signed it.", right: "The clerk and I signed it." },
    { wrong: "Please write to myself.", right: "Please write to me." },
    { wrong: "We found ourself alone.", right: "We found ourselves alone." },
    { leave: "I did it myself, and she kept it to herself." },
    { leave: "He himself wrote to them." },
  ],
};

export const whoWhom: Card = {
  pass: "grammar",
  id: "grammar/who-whom",
  weight: "fix",
  code: "pro",
  title: "“who” and “whom”",
  why: "“Who” is a subject, “whom” an object; after a preposition it is “whom”.",
  source: "common practice",
  examples: [
    { wrong: "To who did you send it?", right: "To whom did you send it?" },
    { wrong: "The clerk whom wrote it has left.", right: "The clerk who wrote it has left." },
    { wrong: "Whom is at the door?", right: "Who is at the door?" },
    { leave: "The man whom they met knew who I spoke of." },
    { leave: "It depends on who is there; the one whom, they say, is late." },
  ],
};

export const whoWhich: Card = {
  pass: "grammar",
  id: "grammar/who-which",
  weight: "settle",
  code: "pro",
  title: "“which” for people",
  why: "People take “who”; “which” is for things.",
  source: "common practice",
  examples: [
    { wrong: "The people which live there know.", right: "The people who live there know." },
    { wrong: "The keeper which read it was tired.", right: "The keeper who read it was tired." },
    { leave: "The number of people which the hall holds." },
    { leave: "The letters from the men, which came late, are here." },
  ],
};

export const themThose: Card = {
  pass: "grammar",
  id: "grammar/them-those",
  weight: "fix",
  code: "pro",
  title: "“them” for “those”",
  why: "Before a noun it is “those”; “them” has no noun after it.",
  source: "common practice",
  examples: [
    { wrong: "Them charts are old.", right: "Those charts are old." },
    { wrong: "We read them figures twice.", right: "We read those figures twice." },
    { leave: "They gave them books and told them things." },
  ],
};

export const itsOrIts: Card = {
  pass: "grammar",
  id: "grammar/its-or-its",
  weight: "fix",
  code: "ap",
  title: "“its” and “it’s”",
  why: "“It’s” is short for “it is” or “it has”. “Its” without an apostrophe is the possessive, like “his”.",
  source: "common practice",
  examples: [
    { wrong: "The boat lay on it’s side.", right: "The boat lay on its side." },
    { wrong: "Its not the first time.", right: "It’s not the first time." },
    { wrong: "Each well has it’s own tap.", right: "Each well has its own tap." },
    { wrong: "The day is at it’s shortest.", right: "The day is at its shortest." },
    { leave: "It’s cold, and its own tap is shut; it’s all over." },
    { leave: "It’s side by side with the old one." },
  ],
};
