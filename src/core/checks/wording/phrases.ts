import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import { markCheck } from "../mark-check.ts";

/** Checks that are a list of phrases, each in a file of data/phrases. */

export const wordy = markCheck({
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
  reason: "Shorter: “{1}”.",
  phraseList: "wordy",
  aPage: 4,
  groups: true,
});

export const redundant = markCheck({
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
  reason: "“{1}” says it already.",
  phraseList: "redundant",
  aPage: 4,
  groups: true,
});

export const lightVerb = markCheck({
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
  reason: "The verb alone says it: “{1}”.",
  phraseList: "light-verbs",
  aPage: 4,
});

export const cliche = markCheck({
  id: "wording/cliche",
  weight: "weigh",
  code: "cl",
  title: "Worn phrase",
  why: "The phrase has been used so often that nobody sees the picture in it any more. Say what is meant, or find a picture of your own.",
  source: "common practice; the list is data/phrases/cliches.txt",
  examples: [{ leave: "They saw an iceberg, and its tip was white." }],
  reason: "“{}” is worn; plain words say more.",
  phraseList: "cliches",
  aPage: 3,
  groups: true,
});

export const jargon = markCheck({
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
  reason: "“{}” is jargon for most readers.",
  phraseList: "jargon",
  accepts: ({ bounds }, { words, tags }) => {
    const last = (bounds[1] ?? 1) - 1;
    return words[last]?.form !== "takeaway" || tags[last + 1] !== TAG.NN;
  },
  aPage: 3,
  groups: true,
});

export const vague = markCheck({
  id: "wording/vague",
  weight: "weigh",
  code: "vag",
  title: "Vague word",
  why: "“Various factors”, “a number of issues”, “somewhat”: the reader asks which, and how many. A name or a number answers.",
  source: "common practice; the list is data/phrases/vague.txt",
  examples: [{ leave: "Some of the factors are listed: wind, rain and frost." }],
  reason: "“{}” could be said of anything: which, and how many?",
  phraseList: "vague",
  aPage: 3,
  groups: true,
});

export const outdated = markCheck({
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
  reason: "Many readers object to this term.",
  phraseList: "outdated",
  accepts: ({ bounds, pattern }, { words, tags, text, units }) => {
    const first = bounds[2 * pattern.marked.from] ?? 0;
    const last = (bounds[2 * pattern.marked.to - 1] ?? 1) - 1;
    // "the poor harvest", "the elderly boat": an adjective before its noun.
    if (words[first]?.form === "the" && last === first + 1) {
      const next = tags[last + 1] ?? 0;
      if (TAG_SETS.NOMINAL[next] || TAG_SETS.ADJ[next] || tags[last] === TAG.RB) return false;
    }
    return !/^\p{Lu}/u.test(text.slice(units[first]?.from ?? 0)) || first === 0;
  },
  groups: true,
});
