import type { Card } from "../../card.ts";

/** What is told of the checks of numbered things. */

export const requirementGap: Card = {
  id: "consistency/requirement-gap",
  pass: "consistency",
  weight: "settle",
  code: "no",
  title: "Requirement ids with a gap, a repeat or out of order",
  why: "A requirement is referred to by its id: there is one of each, and where one was taken out the text says so.",
  source: "ISO/IEC/IEEE 29148:2018, 5.2.8: a requirement has an identification of its own",
  examples: [
    {
      wrong:
        "GH-1 The pump shall stop.\n\nGH-2 The lamp shall light.\n\nGH-2 The horn shall sound.\n\nGH-3 The bell shall ring.",
      marked: "GH-2",
    },
    {
      leave:
        "GH-1 The pump shall stop.\n\nGH-2 The lamp shall light.\n\nGH-3 The horn shall sound.",
    },
  ],
};

export const headingNumber: Card = {
  id: "consistency/heading-number",
  pass: "consistency",
  weight: "settle",
  code: "no",
  title: "Heading numbers with a gap, a repeat or out of order",
  why: "Numbers before headings count on from one to the next, so that a reader can find a section by its number.",
  source: "ISO 2145:1978, numbering of divisions in written documents (from memory)",
  examples: [
    { wrong: "# 1 Scope\n\nText.\n\n# 2 Terms\n\nText.\n\n# 4 Works\n\nText.", marked: "4" },
    { leave: "# 1 Scope\n\nText.\n\n# 2 Terms\n\nText.\n\n# 3 Works\n\nText." },
  ],
};

export const figureGap: Card = {
  id: "consistency/figure-gap",
  pass: "consistency",
  weight: "settle",
  code: "no",
  title: "Figures or tables with a gap, a repeat or out of order",
  why: "Figures, tables and equations are numbered in the order in which they stand, each number once.",
  source: "common practice of house styles",
  examples: [
    { wrong: "Figure 1. The wall\n\nFigure 2. The gate\n\nFigure 4. The bell", marked: "Figure 4" },
    { leave: "Figure 1. The wall\n\nFigure 2. The gate\n\nFigure 3. The bell" },
  ],
};

export const noteGap: Card = {
  id: "consistency/note-gap",
  pass: "consistency",
  weight: "fix",
  code: "no",
  title: "Note that nothing calls, or call without a note",
  why: "A note is reached by its call; one that nothing calls is not read, and a call without a note leads nowhere.",
  source: "common practice",
  examples: [
    {
      wrong: "The wall fell.[^1] It rose.[^2]\n\n[^1]: The log of May.",
      marked: "[^2]",
    },
    { leave: "The wall fell.[^1] It rose.[^2]\n\n[^1]: The log of May.\n\n[^2]: The log of June." },
  ],
};

export const listNumber: Card = {
  id: "consistency/list-number",
  pass: "consistency",
  weight: "settle",
  code: "no",
  title: "Numbers of a list that do not count on",
  why: "The items of a numbered list are counted from one to the next, each number once.",
  source: "common practice",
  examples: [
    {
      wrong: "1. Lock the door.\n2. Stop the pump.\n4. Hang up the key.\n5. Go.",
      marked: "Hang",
    },
    { leave: "1. Lock the door.\n2. Stop the pump.\n3. Hang up the key." },
  ],
};

export const referenceNowhere: Card = {
  id: "consistency/reference-nowhere",
  pass: "consistency",
  weight: "fix",
  code: "no",
  title: "Reference to something that is not there",
  why: "A figure, table, section or requirement that is referred to has to be in the document; mostly it was renumbered or taken out.",
  source: "common practice",
  examples: [
    {
      wrong: "Levels are in Table 6.\n\nTable 1. Levels\n\nTable 2. Depths",
      marked: "Table 6",
    },
    { leave: "Levels are in Table 1, and Section 3 of the Act applies.\n\nTable 1. Levels" },
  ],
};

export const requirementModal: Card = {
  id: "consistency/requirement-modal",
  pass: "consistency",
  weight: "settle",
  code: "rq",
  title: "Requirements with “shall” and with “must”",
  why: "One word makes a requirement throughout. A reader who meets another asks whether it binds less, or more.",
  source: "ISO/IEC/IEEE 29148:2018, 5.2.4; ISO/IEC Directives, part 2, clause 7",
  examples: [
    {
      wrong: "GH-1 The pump shall stop.\n\nGH-2 The lamp shall light.\n\nGH-3 The horn must sound.",
      marked: "must",
    },
    {
      leave: "GH-1 The pump shall stop.\n\nGH-2 The lamp should be red, and the horn may be loud.",
    },
  ],
};

export const requirementWording: Card = {
  id: "consistency/requirement-wording",
  pass: "consistency",
  weight: "weigh",
  code: "rq",
  title: "Requirement that can’t be tested, or is two",
  why: "A requirement says of one thing what it is to do, in words a test can decide. Two in one can’t be met by half.",
  source: "ISO/IEC/IEEE 29148:2018, 5.2.5 (singular, verifiable) and 5.2.7 (terms to avoid)",
  examples: [
    { wrong: "GH-1 The log shall be user-friendly.", marked: "user-friendly" },
    { wrong: "GH-1 The pump shall stop and the lamp shall light.", marked: "shall" },
    { leave: "GH-1 The pump shall stop within 3 s." },
  ],
};
