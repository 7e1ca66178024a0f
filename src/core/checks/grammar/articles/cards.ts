import type { Card } from "../../card.ts";

/** What is told of the checks in this folder. */

export const aOrAn: Card = {
  pass: "grammar",
  id: "grammar/a-or-an",
  weight: "fix",
  code: "art",
  title: "“a” or “an”",
  why: "“An” goes before a vowel sound and “a” before a consonant sound. The sound decides, not the letter: an hour, an MP, a unit, a one-way street.",
  source: "common practice; tested against the pronunciations of the CMU Pronouncing Dictionary",
  examples: [
    { wrong: "We waited for a hour.", right: "We waited for an hour." },
    { wrong: "It is an unique record.", right: "It is a unique record." },
    { wrong: "They saw an harbour seal.", right: "They saw a harbour seal." },
    { leave: "An MP and a UN envoy saw an 18-foot boat and a one-way street." },
    { leave: "An historic hotel stands by a historic quay." },
  ],
};

export const doubleDeterminer: Card = {
  pass: "grammar",
  id: "grammar/double-determiner",
  weight: "fix",
  code: "art",
  title: "Two determiners",
  why: "An article, a possessive and “this” or “that” exclude each other: the book, my book, this book, but not “the my book”.",
  source: "common practice",
  examples: [
    { wrong: "She lost the her key.", right: "She lost her key." },
    { wrong: "We used a the spare wire.", right: "We used the spare wire." },
    { wrong: "He wrote an a letter.", right: "He wrote a letter." },
    { leave: "That the gauge fell is known; all the men saw it." },
    { leave: "Such a day, and half the crew away." },
  ],
};

export const missingArticle: Card = {
  pass: "grammar",
  id: "grammar/missing-article",
  weight: "settle",
  code: "art",
  title: "Article missing",
  why: "A singular noun for a thing that can be counted is hardly ever alone: it takes “a”, “the”, a possessive or the like. Titles, headlines, lists of parts and fixed phrases (“by hand”) do without, and so does a noun that the text uses bare elsewhere.",
  source: "common practice; the places are found by a model learned from edited prose",
  examples: [
    { wrong: "They built wall along the quay.", right: "They built a wall along the quay." },
    { leave: "They went by boat and were in good health." },
    { leave: "He is in charge of Harbour House." },
  ],
};
