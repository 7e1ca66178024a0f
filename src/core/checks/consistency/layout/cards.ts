import type { Card } from "../../card.ts";

/** What is told of the checks of lists, headings and captions. */

export const listEnd: Card = {
  id: "consistency/list-end",
  pass: "consistency",
  weight: "settle",
  code: "li",
  title: "Items of a list end in two ways",
  why: "The items of one list end alike: with a full stop where they are sentences, with semicolons or commas where they make one sentence together, or with nothing.",
  source: "common practice of house styles",
  examples: [],
};

export const listCapital: Card = {
  id: "consistency/list-capital",
  pass: "consistency",
  weight: "settle",
  code: "li",
  title: "Items of a list with and without a capital",
  why: "The items of one list begin alike, all with a capital or all without.",
  source: "common practice of house styles",
  examples: [],
};

export const listGrammar: Card = {
  id: "consistency/list-grammar",
  pass: "consistency",
  weight: "weigh",
  code: "li",
  title: "Item of another make than its list",
  why: "The items of a list are read against each other: where all give an order, name a thing or say what is being done, one that does otherwise is stumbled over.",
  source: "common practice",
  examples: [],
};

export const headingCase: Card = {
  id: "consistency/heading-case",
  pass: "consistency",
  weight: "settle",
  code: "cap",
  title: "Headings of one level with different capitals",
  why: "Headings of one level are capitalised alike: the first word only, each word that counts, or all letters.",
  source: "common practice of house styles",
  examples: [],
};

export const captionForm: Card = {
  id: "consistency/caption",
  pass: "consistency",
  weight: "settle",
  code: "li",
  title: "Captions in two forms",
  why: "The label, the sign after its number and the end of captions are the same for all figures, and for all tables.",
  source: "common practice of house styles",
  examples: [],
};
