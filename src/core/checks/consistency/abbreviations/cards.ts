import type { Card } from "../../card.ts";

/** What is told of the checks of abbreviations. */

const ONCE = "common practice of house styles: an abbreviation is explained where it is first used";

export const abbreviationUndefined: Card = {
  id: "consistency/abbreviation-undefined",
  pass: "consistency",
  weight: "settle",
  code: "abb",
  title: "Abbreviation that is explained nowhere",
  why: "A reader who does not know an abbreviation has no way to find out. The expansion is offered where its words are in the text. What dictionaries have as a word, and what readers of this kind of copy know, needs none.",
  source: ONCE,
  examples: [
    {
      wrong: "The mean annual flow was low. We drew the MAF of each year. A low MAF is rare.",
      right:
        "The mean annual flow was low. We drew the mean annual flow (MAF) of each year. A low MAF is rare.",
    },
    {
      leave:
        "The mean annual flow (MAF) was low. The MAF of the UK is not known. A high MAF is rare.",
    },
  ],
};

export const abbreviationBeforeDefinition: Card = {
  id: "consistency/abbreviation-before-definition",
  pass: "consistency",
  weight: "settle",
  code: "abb",
  title: "Abbreviation used before it is explained",
  why: "An abbreviation is explained where it is first used, not later.",
  source: ONCE,
  examples: [
    {
      wrong: "The HSB met. The Harbour Safety Board (HSB) has nine members. The HSB voted.",
      right:
        "The Harbour Safety Board (HSB) met. The Harbour Safety Board (HSB) has nine members. The HSB voted.",
    },
    { leave: "The Harbour Safety Board (HSB) met. The HSB voted. The HSB has nine members." },
  ],
};

export const abbreviationDefinedTwice: Card = {
  id: "consistency/abbreviation-defined-twice",
  pass: "consistency",
  weight: "settle",
  code: "abb",
  title: "Abbreviation explained twice",
  why: "Once it has been explained an abbreviation is enough; a second explanation makes the reader look for a difference. An abstract is a text of its own.",
  source: ONCE,
  examples: [
    {
      wrong:
        "The Harbour Safety Board (HSB) met. The HSB voted. The Harbour Safety Board (HSB) left.",
      right: "The Harbour Safety Board (HSB) met. The HSB voted. The HSB left.",
    },
    { leave: "The Harbour Safety Board (HSB) met. The HSB voted. The HSB left." },
  ],
};

export const abbreviationDefinedDifferently: Card = {
  id: "consistency/abbreviation-defined-differently",
  pass: "consistency",
  weight: "fix",
  code: "abb",
  title: "One abbreviation for two things",
  why: "An abbreviation that means two things in one text can be read as either.",
  source: "common practice",
  examples: [
    {
      wrong:
        "The Tide Survey Group (TSG) met. The TSG voted. The Tidal Services Guild (TSG) left. The TSG is old.",
      marked: "Tidal Services Guild (TSG)",
    },
    { leave: "The Tide Survey Group (TSG) met. The TSG voted, and the TSG left." },
  ],
};

export const abbreviationUnused: Card = {
  id: "consistency/abbreviation-unused",
  pass: "consistency",
  weight: "weigh",
  code: "abb",
  title: "Abbreviation explained and hardly used",
  why: "An abbreviation that is not used again is something to learn for nothing.",
  source: "common practice of house styles, of which some ask for three uses",
  examples: [
    {
      wrong: "The Coastal Birds Register (CBR) was founded in 1971. It has nine members.",
      right: "The Coastal Birds Register was founded in 1971. It has nine members.",
    },
    { leave: "The Coastal Birds Register (CBR) is old. The CBR has members, and the CBR meets." },
  ],
};

export const abbreviationExpandedAgain: Card = {
  id: "consistency/abbreviation-expanded-again",
  pass: "consistency",
  weight: "weigh",
  code: "abb",
  title: "Written in full after its abbreviation was explained",
  why: "A reader who has learned the abbreviation wonders whether the full form is something else.",
  source: ONCE,
  examples: [
    {
      wrong:
        "We read the daily mean level (DML). The DML rose, and the DML fell. In June the daily mean level fell.",
      right:
        "We read the daily mean level (DML). The DML rose, and the DML fell. In June the DML fell.",
    },
    { leave: "We read the daily mean level (DML). The DML rose, and then the DML fell." },
  ],
};
