import type { Card } from "../card.ts";

/** What is told of the checks in this folder. */

export const houseTerm: Card = {
  pass: "wording",
  id: "wording/house-term",
  weight: "fix",
  code: "hs",
  title: "A word the house does not write",
  why: "A house settles which word it uses, so that one thing has one name in everything it sends out. Which house has the rule is said with the mark; the rule can be changed there.",
  source: "the rules of the house that the document follows",
  examples: [
    {
      wrong: "She utilises the mareograph.",
      right: "She uses the mareograph.",
    },
    { wrong: "An utmost effort was utilised.", right: "An utmost effort was used." },
    { leave: "They said “we utilise it” and left." },
  ],
  houseRules: [
    {
      id: "use",
      type: "term",
      not: ["utilise"],
      use: ["use"],
      inflects: true,
      exactCapitals: false,
      exceptions: [],
    },
  ],
};

export const houseWording: Card = {
  pass: "wording",
  id: "wording/house-wording",
  weight: "weigh",
  code: "hs",
  title: "Wording the house would weigh",
  why: "Some words are right and still not what a house would say. The reason is the house’s own; where this sentence needs the word, let it stand.",
  source: "the rules of the house that the document follows",
  examples: [
    {
      wrong: "The laymen of Gannet Head met.",
      right: "The residents of Gannet Head met.",
    },
    { leave: "The residents of Gannet Head met." },
  ],
  houseRules: [
    {
      id: "residents",
      type: "wording",
      not: ["layman"],
      use: ["resident"],
      reason: "say who they are, not what they lack",
      inflects: true,
      exactCapitals: false,
      exceptions: [],
    },
  ],
};

export const housePattern: Card = {
  pass: "wording",
  id: "wording/house-pattern",
  weight: "settle",
  code: "hs",
  title: "A pattern of the house",
  why: "What no list of words tells, a house writes as a pattern: words in a row, a part of speech, a shape of letters and figures.",
  source: "the rules of the house that the document follows",
  examples: [
    { wrong: "See Drg. No. 41 for the sluice.", right: "See drawing 41 for the sluice." },
    { leave: "See drawing 41 for the sluice." },
  ],
  houseRules: [
    {
      id: "drawing",
      type: "expression",
      find: "Drg\\. No\\. (\\d+)",
      put: "drawing $1",
      anyCapitals: false,
      reason: "drawings are cited by number alone",
    },
  ],
};

export const wordy: Card = {
  pass: "wording",
  id: "wording/wordy",
  weight: "weigh",
  code: "wdy",
  title: "Long-winded phrase",
  why: "Fewer words say the same, and the reader is there sooner. Where rhythm or tact wants the longer way, let it stand.",
  source: "common practice; the list is data/phrases/wordy.txt",
  examples: [
    { wrong: "It closed due to the fact that it rained.", right: "It closed because it rained." },
    { wrong: "They are able to read it.", right: "They can read it." },
    { wrong: "She made use of the lamp.", right: "She used the lamp." },
    { leave: "He was due to read the fact that she found." },
  ],
  aPage: 4,
};

export const redundant: Card = {
  pass: "wording",
  id: "wording/redundant",
  weight: "weigh",
  code: "red",
  title: "One word says it already",
  why: "“End result”, “past history”, “completely full”: one of the two words holds the other.",
  source: "common practice; the list is data/phrases/redundant.txt",
  examples: [
    { wrong: "The end result was a leak.", right: "The result was a leak." },
    { wrong: "They returned back at noon.", right: "They returned at noon." },
    { leave: "At the end, results came in; they turned back." },
  ],
  aPage: 4,
};

export const lightVerb: Card = {
  pass: "wording",
  id: "wording/light-verb",
  weight: "weigh",
  code: "nom",
  title: "Verb hidden in a noun",
  why: "“Make a decision” says with three words what “decide” says with one, and the action is lost in a noun.",
  source: "common practice; the list is data/phrases/light-verbs.txt",
  examples: [
    { wrong: "They made a decision to stay.", right: "They decided to stay." },
    { wrong: "She conducts a survey of the wells.", right: "She surveys the wells." },
    { leave: "They made a good decision, and a survey was read." },
  ],
  aPage: 4,
};

export const cliche: Card = {
  pass: "wording",
  id: "wording/cliche",
  weight: "weigh",
  code: "cl",
  title: "Worn phrase",
  why: "The phrase has been used so often that nobody sees the picture in it any more. Say what is meant, or find a picture of your own.",
  source: "common practice; the list is data/phrases/cliches.txt",
  examples: [
    { wrong: "The new gauge is a breath of fresh air.", marked: "a breath of fresh air" },
    { leave: "They saw an iceberg, and its tip was white." },
  ],
  aPage: 3,
};

export const jargon: Card = {
  pass: "wording",
  id: "wording/jargon",
  weight: "weigh",
  code: "jar",
  title: "Office jargon",
  why: "Readers outside the office stumble over such words, and those inside have stopped hearing them.",
  source: "common practice; the list is data/phrases/jargon.txt",
  examples: [
    { wrong: "These are the key takeaways.", right: "These are the main points." },
    { wrong: "They utilized a lamp.", right: "They used a lamp." },
    { leave: "The takeaway food was cold." },
  ],
  aPage: 3,
};

export const vague: Card = {
  pass: "wording",
  id: "wording/vague",
  weight: "weigh",
  code: "vag",
  title: "Vague word",
  why: "“Various factors”, “a number of issues”, “somewhat”: the reader asks which, and how many. A name or a number answers.",
  source: "common practice; the list is data/phrases/vague.txt",
  examples: [
    { wrong: "It depends on a number of factors.", marked: "a number of factors" },
    { leave: "Some of the factors are listed: wind, rain and frost." },
  ],
  aPage: 3,
};

export const outdated: Card = {
  pass: "wording",
  id: "wording/outdated-term",
  weight: "weigh",
  code: "inc",
  title: "Term that excludes or is out of date",
  why: "Words for people change. The mark says why this one may exclude, hurt or sound dated; a quotation or a person’s own title keeps it.",
  source: "common practice of newspapers and public offices; the list is data/phrases/outdated.txt",
  examples: [
    { wrong: "The chairman read it.", right: "The chair read it." },
    { wrong: "They need more manpower.", right: "They need more staff." },
    { leave: "The chair was unmarked." },
  ],
};

export const closeRepetition: Card = {
  id: "wording/close-repetition",
  pass: "wording",
  weight: "weigh",
  code: "rep",
  title: "Word repeated close by",
  why: "An uncommon word that comes back within a line or two catches the ear. Things keep their names, but in stories; words for qualities and doings can be varied or left out.",
  source: "common practice",
  examples: [
    { wrong: "A violent gale met a violent tide.", marked: "violent" },
    { leave: "It was high, and it was wide, and it was old." },
  ],
  aPage: 3,
};

export const overusedWord: Card = {
  id: "wording/overused-word",
  pass: "wording",
  weight: "weigh",
  code: "oft",
  title: "Word used very often",
  why: "The word comes back far more often than in other texts. The subject of the text has to; a favourite word has not. The places are under Occurrences, other words in the word entry.",
  source: "common practice; usual frequencies as in data/README.md",
  examples: [
    {
      wrong:
        "It carefully rose. We carefully read it, carefully wrote it down and carefully left. They carefully came and carefully looked.",
      marked: "carefully",
    },
    { leave: "The tide turned." },
  ],
};

export const passiveSection: Card = {
  id: "wording/passive-section",
  pass: "wording",
  weight: "weigh",
  code: "psv",
  title: "Section mostly in the passive",
  why: "Now and then the passive is the better choice. Where nearly every other verb is passive, the reader no longer knows who does what.",
  source:
    "common practice; the limit of four verbs in ten is a convention of plain-language guides",
  examples: [
    {
      wrong:
        "The log was read. The door was shut. The lamp was lit. The float was lifted. The chain was cut. The well was cleaned. The roof was mended. The key was lost. The plan was drawn. The boat was sold. The rope was tied. The bill was paid.",
      marked: "was read",
    },
    { leave: "The log was read. The keeper shut the door." },
  ],
};

export const passiveWithAgent: Card = {
  pass: "wording",
  id: "wording/passive",
  weight: "weigh",
  code: "psv",
  title: "Passive voice with its doer",
  why: "Where the sentence names who did it, the active voice is shorter and puts the doer first. The passive is right where the thing done to matters more.",
  source: "common practice",
  examples: [
    { wrong: "The log was read by the keeper.", right: "The keeper read the log." },
    { wrong: "The wires are checked by her.", right: "She checks the wires." },
    { leave: "The log was read by noon, and it was found by the door." },
  ],
  aPage: 3,
};

export const expletiveOpening: Card = {
  pass: "wording",
  id: "wording/expletive-opening",
  weight: "weigh",
  code: "exp",
  title: "Empty opening",
  why: "“There is” and “it is” put off the subject. Often the sentence can begin with it.",
  source: "common practice",
  examples: [
    { wrong: "There are three gauges that need oil.", right: "Three gauges need oil." },
    { wrong: "There is a man who reads it.", right: "A man reads it." },
    { leave: "There are three gauges in the well." },
  ],
  aPage: 2,
};

export const hedge: Card = {
  pass: "wording",
  id: "wording/hedge",
  weight: "weigh",
  code: "hdg",
  title: "Hedged twice",
  why: "One “may” or “perhaps” says that something is not certain. Two make the reader doubt the writer.",
  source: "common practice",
  examples: [
    { wrong: "It may possibly rain.", right: "It may rain." },
    { wrong: "Perhaps it might hold.", right: "Perhaps it will hold." },
    { leave: "It may rain, and perhaps it will hold." },
  ],
};

export const intensifier: Card = {
  pass: "wording",
  id: "wording/intensifier",
  weight: "weigh",
  code: "int",
  title: "Word that only adds force",
  why: "“Very” and “really” seldom add what the next word does not say; a stronger word, or none, says more.",
  source: "common practice",
  examples: [
    { wrong: "The wall is very high.", right: "The wall is high." },
    { wrong: "It was really cold.", right: "It was cold." },
    { leave: "That very day it was not very high." },
  ],
  aPage: 2,
};

export const negative: Card = {
  pass: "wording",
  id: "wording/negative",
  weight: "weigh",
  code: "not",
  title: "Said by its opposite",
  why: "A denial of a denial has to be turned over twice. What is the case reads faster than what is not.",
  source: "common practice",
  examples: [
    { wrong: "Fog is not uncommon here.", right: "Fog is common here." },
    { wrong: "They did not remember the key.", right: "They forgot the key." },
    { leave: "It is not known, and not all of it was unknown." },
  ],
  aPage: 2,
};

export const doubleMeaning: Card = {
  pass: "wording",
  id: "wording/double-meaning",
  weight: "weigh",
  code: "amb",
  title: "Read differently elsewhere",
  why: "Readers of other countries or trades read another day, number or time out of this.",
  source: "common practice; ISO 8601 for dates",
  examples: [
    { wrong: "They meet biweekly.", right: "They meet every two weeks." },
    { leave: "It was read on 13/04/2031 and on 2031-04-05." },
  ],
  aPage: 3,
};

export const nounString: Card = {
  pass: "wording",
  id: "wording/noun-string",
  weight: "weigh",
  code: "ns",
  title: "String of nouns",
  why: "Each noun in a row makes the reader guess anew which belongs to which. Little words (of, for, in) say it.",
  source: "common practice",
  examples: [
    {
      wrong: "We read the tide gauge house roof repair plan.",
      marked: "tide gauge house roof repair plan",
    },
    { leave: "The gauge house door was shut." },
  ],
  aPage: 2,
};

export const sameOpening: Card = {
  pass: "wording",
  id: "wording/same-opening",
  weight: "weigh",
  code: "so",
  title: "Sentences that begin alike",
  why: "Three sentences in a row with the same first word sound like a list. Where it is meant, let it stand.",
  source: "common practice",
  examples: [
    { wrong: "He read the log. He shut the door. He went home.", marked: "He" },
    { leave: "It rained. The tide rose. It fell." },
  ],
};
