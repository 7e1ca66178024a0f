import type { Card } from "../../card.ts";

/** What is told of the checks in this folder. */

export const confusedWords: Card = {
  pass: "grammar",
  id: "grammar/confused-words",
  weight: "settle",
  code: "ww",
  title: "Right word, wrong place",
  why: "The word exists, but another that looks or sounds like it fits here: form and from, their and there, affect and effect. The dictionary cannot tell; what is around it can.",
  source:
    "sets of words that are confused are common practice (data/choice-sets.txt); a model learned from edited prose weighs them",
  examples: [
    {
      wrong: "The letter came form the harbour office.",
      right: "The letter came from the harbour office.",
    },
    { wrong: "The keeper wood not go home.", right: "The keeper would not go home." },
    { wrong: "The water was to cold for them.", right: "The water was too cold for them." },
    { leave: "The form came from there, and then they went to their well." },
  ],
};

export const fixedPhrase: Card = {
  pass: "grammar",
  id: "grammar/fixed-phrase",
  weight: "fix",
  code: "ww",
  title: "Fixed phrase misheard",
  why: "Some phrases keep an old word that is easily heard as another: bated breath, a moot point, toe the line.",
  source: "common practice; the list is data/phrases/fixed-phrases.txt",
  examples: [
    { wrong: "It was a mute point.", right: "It was a moot point." },
    { wrong: "She waited with baited breath.", right: "She waited with bated breath." },
    {
      wrong: "For all intensive purposes it is shut.",
      right: "For all intents and purposes it is shut.",
    },
    { leave: "A mute swan, a baited hook and an intensive course." },
  ],
};

export const missingWord: Card = {
  pass: "grammar",
  id: "grammar/missing-word",
  weight: "fix",
  code: "mw",
  title: "Little word missing",
  why: "“To”, “of”, “be” and their like are left out easily, since the eye fills them in.",
  source: "common practice",
  examples: [
    { wrong: "It is one the oldest wells.", right: "It is one of the oldest wells." },
    { wrong: "They are going be late.", right: "They are going to be late." },
    { wrong: "We were able open it.", right: "We were able to open it." },
    { wrong: "A lot people came.", right: "A lot of people came." },
    { leave: "They want peace, and one that the men saw." },
    { leave: "She helped carry it, and they go see the boat." },
  ],
};

export const swappedWords: Card = {
  pass: "grammar",
  id: "grammar/swapped-words",
  weight: "settle",
  code: "tr",
  title: "Words changed about",
  why: "Two words have changed places in typing, which the eye easily passes over.",
  source: "common practice",
  examples: [
    { wrong: "It is the in drawer.", right: "It is in the drawer." },
    { wrong: "He is one the of oldest men.", right: "He is one of the oldest men." },
    { wrong: "We went the to quay.", right: "We went to the quay." },
    { leave: "The in crowd, the on switch and the to-do list; the by now old man." },
  ],
};

export const extraWord: Card = {
  pass: "grammar",
  id: "grammar/extra-word",
  weight: "fix",
  code: "xw",
  title: "Little word too many",
  why: "Two words that exclude each other are side by side, often because one was put in and the other not taken out.",
  source: "common practice",
  examples: [
    { wrong: "He is was tired.", right: "He was tired." },
    { wrong: "They will can come.", right: "They will come." },
    { leave: "What it is is hard to say." },
    { leave: "That that is, is." },
  ],
};

export const reportedQuestion: Card = {
  pass: "grammar",
  id: "grammar/reported-question",
  weight: "settle",
  code: "wo",
  title: "Order of a reported question",
  why: "In a question that is reported the subject comes before the verb: she asked what time it was.",
  source: "common practice",
  examples: [
    { wrong: "I asked what time was it.", right: "I asked what time it was." },
    { wrong: "Tell me where is the key.", right: "Tell me where the key is." },
    { leave: "She asked who was there. Ask what is the matter." },
  ],
};

export const reasonBecause: Card = {
  pass: "grammar",
  id: "grammar/reason-because",
  weight: "settle",
  code: "cj",
  title: "“the reason is because”",
  why: "“Reason” and “because” say the same; the reason is that … .",
  source: "common practice",
  examples: [
    { wrong: "The reason is because it broke.", right: "The reason is that it broke." },
    {
      wrong: "The reason they left is because it rained.",
      right: "The reason they left is that it rained.",
    },
    { leave: "It is because the reason was known. The reason is because of fog." },
  ],
};

export const requiredPreposition: Card = {
  pass: "grammar",
  id: "grammar/required-preposition",
  weight: "settle",
  code: "prp",
  title: "Preposition",
  why: "Many verbs, nouns and adjectives ask for one preposition: depend on, interested in, capable of, responsible for. Some ask for none: discuss a plan.",
  source: "common practice; the list is data/phrases/prepositions.txt",
  examples: [
    { wrong: "It depends of the wind.", right: "It depends on the wind." },
    { wrong: "They discussed about the plan.", right: "They discussed the plan." },
    { wrong: "She is capable to do it.", right: "She is capable of doing it." },
    { wrong: "In the other hand, it is cheap.", right: "On the other hand, it is cheap." },
    { leave: "It depends in part on the wind, and consists mainly of sand." },
    { leave: "They are interested, for the most part, in maps." },
  ],
};

export const doubleNegative: Card = {
  pass: "grammar",
  id: "grammar/double-negative",
  weight: "settle",
  code: "neg",
  title: "Denied twice",
  why: "In standard English two negatives cancel each other out; one is meant: we don’t have any oil. “Hardly” and “scarcely” deny as well.",
  source: "common practice",
  examples: [
    { wrong: "We don’t have no oil.", right: "We don’t have any oil." },
    { wrong: "She can’t hardly see it.", right: "She can hardly see it." },
    { wrong: "They didn’t find nothing.", right: "They didn’t find anything." },
    { leave: "It is not for nothing; not that no one knew; I don’t know, no." },
    { leave: "Nothing could not be sold, and there is no doubt it isn’t no." },
  ],
};

export const pairedConjunctions: Card = {
  pass: "grammar",
  id: "grammar/paired-conjunctions",
  weight: "fix",
  code: "cj",
  title: "“neither … nor”, “either … or”, “both … and”",
  why: "These go in pairs: neither … nor, either … or, both … and.",
  source: "common practice",
  examples: [
    { wrong: "It is neither cheap or safe.", right: "It is neither cheap nor safe." },
    { wrong: "Neither the pump or the tap works.", right: "Neither the pump nor the tap works." },
    { wrong: "He is both tired or cold.", right: "He is both tired and cold." },
    { leave: "Neither of the two or three taps works. Both men or women may come." },
  ],
};

export const doubleComparison: Card = {
  pass: "grammar",
  id: "grammar/double-comparison",
  weight: "fix",
  code: "cmp",
  title: "Compared twice",
  why: "“Lighter” says already what “more” says, and “highest” what “most” says. One of the two is enough.",
  source: "common practice",
  examples: [
    { wrong: "The float is more lighter.", right: "The float is lighter." },
    { wrong: "It was the most highest tide.", right: "It was the highest tide." },
    { leave: "Most older boats need more lower taps; the more, the merrier." },
  ],
};

export const comparisonWords: Card = {
  pass: "grammar",
  id: "grammar/comparison-words",
  weight: "fix",
  code: "cmp",
  title: "“than” and “as” in comparisons",
  why: "“As deep” goes with “as”, “deeper” with “than”.",
  source: "common practice",
  examples: [
    { wrong: "It is as deep than the shaft.", right: "It is as deep as the shaft." },
    { wrong: "It is bigger as the old one.", right: "It is bigger than the old one." },
    { wrong: "He is gooder than I am.", right: "He is better than I am." },
    { leave: "It grew bigger as the tide rose; as good as or better than it." },
    { leave: "Less as a rule than as a habit." },
  ],
};

export const adverbForm: Card = {
  pass: "grammar",
  id: "grammar/adverb-form",
  weight: "fix",
  code: "adv",
  title: "Adjective for an adverb",
  why: "A verb or an adjective is qualified by an adverb: it runs quietly, really cold, they played well.",
  source: "common practice",
  examples: [
    { wrong: "The pump runs very quiet.", right: "The pump runs very quietly." },
    { wrong: "It was real cold.", right: "It was really cold." },
    { wrong: "They played good.", right: "They played well." },
    { leave: "It looks good, feels real, and the sea ran high; drive slow." },
    { leave: "A real old chart hung there. It was kept quiet." },
  ],
};

export const wordDivision: Card = {
  pass: "grammar",
  id: "grammar/word-division",
  weight: "fix",
  code: "div",
  title: "One word or two",
  why: "Custom writes some words as one and others apart: “a lot”, “instead of”. Written the other way they are read twice.",
  source: "common practice",
  examples: [
    { wrong: "We saw alot of gulls.", right: "We saw a lot of gulls." },
    { wrong: "Take tea in stead of coffee.", right: "Take tea instead of coffee." },
    { wrong: "No body knew it.", right: "Nobody knew it." },
    { leave: "Every one of the boats was out. In their stead came others. No body was found." },
  ],
};

export const contraction: Card = {
  pass: "grammar",
  id: "grammar/contraction",
  weight: "fix",
  code: "ap",
  title: "Contraction without its apostrophe",
  why: "The apostrophe goes where letters were left out: “do not” becomes “don’t”.",
  source: "common practice",
  examples: [
    { wrong: "They dont know.", right: "They don’t know." },
    { wrong: "It’s late, and thats all.", right: "It’s late, and that’s all." },
    { leave: "He spoke, as is his wont, of tides." },
  ],
};

export const usage: Card = {
  pass: "grammar",
  id: "grammar/usage",
  weight: "fix",
  code: "us",
  title: "Construction English has not",
  why: "Other languages build such phrases, English does not: it says “must go” without “to”, and “for three weeks” of how long.",
  source: "common practice",
  examples: [
    { wrong: "You must to read it.", right: "You must read it." },
    { wrong: "I have lived here since three years.", right: "I have lived here for three years." },
    { wrong: "She is such tired.", right: "She is so tired." },
    { leave: "It has rained since three. More cheap boats came. Can, to me, means may." },
  ],
};
