import type { Card } from "../../card.ts";

/** What is told of the checks of terms and names that stand in several forms. */

export const houseForm: Card = {
  pass: "consistency",
  id: "consistency/house-form",
  weight: "fix",
  code: "hs",
  title: "A name or compound not as the house has it",
  why: "A house settles how names, capitals and compounds are written, whatever a text’s own habit is. Which house has the rule is said with the mark; the rule can be changed there.",
  source: "the rules of the house that the document follows",
  examples: [
    { wrong: "The gannet-watch moved twice.", right: "The gannetwatch moved twice." },
    { wrong: "Two Gannet Watches met.", right: "Two Gannetwatches met." },
    { leave: "The gannetwatch moved twice." },
  ],
  houseRules: [
    {
      id: "gannetwatch",
      type: "compound",
      write: "gannetwatch",
      not: ["gannet watch", "gannet-watch"],
      inflects: true,
      exceptions: [],
    },
  ],
};

export const compound: Card = {
  id: "consistency/compound",
  pass: "consistency",
  weight: "settle",
  code: "hy",
  title: "Compound in several forms",
  why: "One compound is written one way throughout: in two words, with a hyphen, or in one piece. What it does in the sentence counts: a follow-up is a noun, to follow up a verb; a well-known rock is well known.",
  source: "common practice of house styles; forms in one piece and with a hyphen: WordNet 3.1",
  examples: [
    {
      wrong: "The logbook was wet, a second logbook dry. The old log-book is lost.",
      right: "The logbook was wet, a second logbook dry. The old logbook is lost.",
    },
    { leave: "We follow up each fault; a follow-up comes later. The follow-up took a week." },
    { leave: "A well-known rock lies there. The rock is well known." },
  ],
};

export const prefix: Card = {
  id: "consistency/prefix",
  pass: "consistency",
  weight: "settle",
  code: "hy",
  title: "Prefix with and without a hyphen",
  why: "A word with a prefix is written one way throughout. A hyphen that tells two words apart (re-cover, recover) stays.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "A subcommittee met. The subcommittee left. A sub-committee came.",
      right: "A subcommittee met. The subcommittee left. A subcommittee came.",
    },
    { leave: "They recover the money and re-cover the chairs." },
  ],
};

export const variantSpelling: Card = {
  id: "consistency/spelling",
  pass: "consistency",
  weight: "settle",
  code: "sp",
  title: "Word spelled in two ways",
  why: "Where a dictionary has two spellings, one document keeps to one of them; words in -ise and -ize go together.",
  source: "common practice of house styles; spellings by variety: SCOWL",
  examples: [
    {
      wrong: "An adviser came. Our adviser agreed. The second advisor did not.",
      right: "An adviser came. Our adviser agreed. The second adviser did not.",
    },
    { leave: "An adviser came, and our adviser agreed." },
  ],
};

export const accent: Card = {
  id: "consistency/accent",
  pass: "consistency",
  weight: "settle",
  code: "sp",
  title: "Word with and without its accents",
  why: "A word taken from another language, or a name, keeps its accents everywhere or nowhere.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "The café is shut. A café opened. The cafe sells tea.",
      right: "The café is shut. A café opened. The café sells tea.",
    },
    { leave: "The café is shut, and a café opened." },
  ],
};

export const termCapitals: Card = {
  id: "consistency/capitals",
  pass: "consistency",
  weight: "settle",
  code: "cap",
  title: "Term with and without capitals",
  why: "A term, a title or an office has a capital everywhere or nowhere. What belongs to a name (Director Hale, Part 3) is another thing.",
  source: "common practice of house styles",
  examples: [
    {
      wrong:
        "We asked the Harbour Office. Then the Harbour Office wrote. Later the harbour office closed at noon.",
      right:
        "We asked the Harbour Office. Then the Harbour Office wrote. Later the Harbour Office closed at noon.",
    },
    { leave: "We asked the director. Before him, Director Hale had said so." },
  ],
};

export const fixedCapitals: Card = {
  id: "consistency/fixed-capitals",
  pass: "consistency",
  weight: "settle",
  code: "cap",
  title: "Name with capitals inside, written otherwise",
  why: "A name with a capital inside, such as of a program or a substance, is written with the same capitals everywhere.",
  source: "common practice",
  examples: [
    {
      wrong: "Start LibTide. Then LibTide stops. Close Libtide.",
      right: "Start LibTide. Then LibTide stops. Close LibTide.",
    },
    { leave: "Start LibTide. Then LibTide stops." },
  ],
};

export const abbreviationPoints: Card = {
  id: "consistency/points",
  pass: "consistency",
  weight: "settle",
  code: "abb",
  title: "Abbreviation with and without points",
  why: "Full stops in an abbreviation are a habit of the house: one abbreviation has them everywhere or nowhere.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "Boats of the UK came. The UK rules apply. Goods leave the U.K. by sea.",
      right: "Boats of the UK came. The UK rules apply. Goods leave the UK by sea.",
    },
    { leave: "We saw Dr Marlow. Dr Hale came too." },
  ],
};

export const abbreviationPlural: Card = {
  id: "consistency/abbreviation-plural",
  pass: "consistency",
  weight: "settle",
  code: "abb",
  title: "Plural of an abbreviation with an apostrophe",
  why: "The plural of an abbreviation or a decade takes a plain s; the apostrophe shows an owner.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "The CDs are here. Old CDs fail. The CD’s were lost.",
      right: "The CDs are here. Old CDs fail. The CDs were lost.",
    },
    { leave: "The CDs are here, and the UK’s ports are shut." },
  ],
};

export const personName: Card = {
  id: "consistency/name",
  pass: "consistency",
  weight: "settle",
  code: "sp",
  title: "Name in two spellings",
  why: "Two full names that differ by a letter are mostly one person’s. Names are asked about, since two people may have them.",
  source: "common practice",
  examples: [
    {
      wrong: "So Sara Marlowe wrote. A note by Sara Marlowe came. We met Sara Marlow.",
      right: "So Sara Marlowe wrote. A note by Sara Marlowe came. We met Sara Marlowe.",
    },
    { leave: "So Sara Marlowe wrote, and Jon Marlowe read it." },
  ],
};

export const contractionHabit: Card = {
  id: "consistency/contraction",
  pass: "consistency",
  weight: "settle",
  code: "con",
  title: "Short form in formal copy",
  why: "Papers, reports, specifications and briefs write “is not”, not “isn’t”, outside quotations.",
  source: "common practice of house styles",
  examples: [
    {
      wrong:
        "It does not rain. It is not cold. It was not late. We do not row. The pump isn’t dry.",
      right:
        "It does not rain. It is not cold. It was not late. We do not row. The pump is not dry.",
    },
    { leave: "It does not rain, and it is not cold." },
  ],
};

export const possessiveHabit: Card = {
  id: "consistency/possessive",
  pass: "consistency",
  weight: "settle",
  code: "ap",
  title: "Owner in s written in two ways",
  why: "After a name in s a house writes ’s or the apostrophe alone, and keeps to it.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "We kept James’s boat and Thomas’s map. Then Charles’ log was lost.",
      right: "We kept James’s boat and Thomas’s map. Then Charles’s log was lost.",
    },
    { leave: "We kept James’s boat; the keepers’ house is old." },
  ],
};

export const labelForm: Card = {
  id: "consistency/label",
  pass: "consistency",
  weight: "settle",
  code: "abb",
  title: "Label of a figure or table in two forms",
  why: "“Figure 3”, “figure 3” and “Fig. 3” are one reference: a text keeps to one form in running text and one in brackets. At the start of a sentence it is written in full.",
  source: "common practice of house styles",
  examples: [
    {
      wrong: "As in Figure 3, it fell. The dots in Figure 4 are old. The bars in Fig. 5 are new.",
      right: "As in Figure 3, it fell. The dots in Figure 4 are old. The bars in Figure 5 are new.",
    },
    { leave: "The wall fell (Fig. 3). The dots in Figure 4 are old." },
  ],
};

export const italics: Card = {
  id: "consistency/italics",
  pass: "consistency",
  weight: "weigh",
  code: "it",
  title: "Term in italics and without",
  why: "A word of another language, or a term that is set apart, is in italics throughout or nowhere. Italics are set where the document was made: this place is shown, not changed.",
  source: "common practice of house styles",
  examples: [
    {
      wrong:
        "It was read *in situ*. The float stays *in situ* too.\n\nThe drum was left in situ then.",
      marked: "in situ",
    },
    {
      leave: "It was read *in situ*.\n\nThe float stays *in situ* too.",
    },
  ],
};
