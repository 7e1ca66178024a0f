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
  examples: [
    {
      wrong:
        "Bring:\n\n- a lamp;\n- a rope;\n- the key.\n\nLeave:\n\n- the dog.\n- the boat.\n- the bell",
      marked: "bell",
    },
    { leave: "Bring:\n\n- a lamp;\n- a rope;\n- the key." },
  ],
};

export const listCapital: Card = {
  id: "consistency/list-capital",
  pass: "consistency",
  weight: "settle",
  code: "li",
  title: "Items of a list with and without a capital",
  why: "The items of one list begin alike, all with a capital or all without.",
  source: "common practice of house styles",
  examples: [
    { wrong: "Bring:\n\n- a lamp\n- a rope\n- The key", marked: "The" },
    { leave: "Bring:\n\n- a lamp\n- a rope\n- the key" },
  ],
};

export const listGrammar: Card = {
  id: "consistency/list-grammar",
  pass: "consistency",
  weight: "weigh",
  code: "li",
  title: "Item of another make than its list",
  why: "The items of a list are read against each other: where all give an order, name a thing or say what is being done, one that does otherwise is stumbled over.",
  source: "common practice",
  examples: [
    {
      wrong:
        "To close the station:\n\n- Lock the door.\n- Stop the pump.\n- The lamps are put out.\n- Hang up the key.",
      marked: "The",
    },
    {
      leave:
        "To close the station:\n\n- Lock the door.\n- Stop the pump.\n- Put out the lamps.\n- Hang up the key.",
    },
  ],
};

export const headingCase: Card = {
  id: "consistency/heading-case",
  pass: "consistency",
  weight: "settle",
  code: "cap",
  title: "Headings of one level with different capitals",
  why: "Headings of one level are capitalised alike: the first word only, each word that counts, or all letters.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "# The old wall\n\nIt fell.\n\n# Rows of stakes\n\nThey rot.\n\n# The New Sea Gate",
      marked: "The New Sea Gate",
    },
    { leave: "# The old wall\n\nIt fell.\n\n# Rows of stakes\n\nThey rot.\n\n# The new sea gate" },
  ],
};

export const captionForm: Card = {
  id: "consistency/caption",
  pass: "consistency",
  weight: "settle",
  code: "li",
  title: "Captions in two forms",
  why: "The label, the sign after its number and the end of captions are the same for all figures, and for all tables.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "Figure 1. The wall\n\nFigure 2. The gate\n\nFigure 3: The bell",
      marked: "Figure 3:",
    },
    { leave: "Figure 1. The wall\n\nFigure 2. The gate\n\nFigure 3. The bell" },
  ],
};
