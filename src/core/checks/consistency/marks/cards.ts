import type { Card } from "../../card.ts";

/** What is told of the checks of marks that a house sets one way. */

export const quotationMarks: Card = {
  id: "consistency/quotation-marks",
  pass: "consistency",
  weight: "settle",
  code: "qu",
  title: "Quotation marks of two kinds",
  why: "A text has one kind of quotation marks, double or single, curved or straight; the other kind is for what is quoted within a quotation.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "She said “wait” and left. The sign reads “shut”. They call it ‘the bar’ here.",
      right: "She said “wait” and left. The sign reads “shut”. They call it “the bar” here.",
    },
    { leave: "She said “wait for ‘the bar’ here” and left. The keepers’ house is James’s." },
  ],
};

export const dashForm: Card = {
  id: "consistency/dash",
  pass: "consistency",
  weight: "settle",
  code: "da",
  title: "Dashes of two kinds",
  why: "The dash that parts a thought is an em dash without spaces or an en dash with spaces, and the same throughout.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "He came – late. She left – early. It blew -- harder.",
      right: "He came – late. She left – early. It blew – harder.",
    },
    { leave: "He came – late. The years 1981–1990 were dry." },
  ],
};

export const ellipsisForm: Card = {
  id: "consistency/ellipsis",
  pass: "consistency",
  weight: "settle",
  code: "pt",
  title: "Points of omission of two kinds",
  why: "Points of omission are one sign or three stops, and the same throughout.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "He paused… then spoke. She waited… and left. The tide... turned.",
      right: "He paused… then spoke. She waited… and left. The tide… turned.",
    },
    { leave: "He paused… then spoke." },
  ],
};

export const serialComma: Card = {
  id: "consistency/serial-comma",
  pass: "consistency",
  weight: "settle",
  code: "cm",
  title: "Lists with and without the last comma",
  why: "A house sets a comma before the “and” of a list of three, or none; one text does one of the two.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "We saw terns, gulls, and auks. Use hemp, wire, and chain. Take oars, sails and rope.",
      right:
        "We saw terns, gulls, and auks. Use hemp, wire, and chain. Take oars, sails, and rope.",
    },
    {
      leave:
        "We saw terns, gulls, and auks. Reid, a clerk and pilot, came. In May, terns and gulls came.",
    },
  ],
};
