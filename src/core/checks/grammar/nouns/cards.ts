import type { Card } from "../../card.ts";

/** What is told of the checks in this folder. */

export const massNoun: Card = {
  pass: "grammar",
  id: "grammar/mass-noun",
  weight: "fix",
  code: "num",
  title: "Noun that is not counted",
  why: "Information, advice, equipment, furniture and evidence are not counted in English: no plural, no “a”; “a piece of advice” when one is meant.",
  source: "common practice",
  examples: [
    { wrong: "She gave me an advice.", right: "She gave me some advice." },
    { wrong: "All equipments must be signed for.", right: "All equipment must be signed for." },
    { wrong: "He has an evidence of it.", right: "He has evidence of it." },
    { leave: "An information desk and an advice line; a research paper." },
  ],
};

export const demonstrative: Card = {
  pass: "grammar",
  id: "grammar/demonstrative",
  weight: "settle",
  code: "num",
  title: "“this” and “these”, “that” and “those”",
  why: "“This” and “that” go with a singular noun, “these” and “those” with a plural.",
  source: "common practice",
  examples: [
    { wrong: "This readings are new.", right: "These readings are new." },
    { wrong: "These chart is old.", right: "This chart is old." },
    { wrong: "These kind of floats are rare.", right: "This kind of floats are rare." },
    { leave: "That boats leave at noon is known; these kinds of float." },
    { leave: "This sales office; these two-day trips; those we kept." },
  ],
};

export const oneOf: Card = {
  pass: "grammar",
  id: "grammar/one-of",
  weight: "settle",
  code: "num",
  title: "Plural after “one of”",
  why: "“One of the” picks from several, so the noun is plural: one of the gauges.",
  source: "common practice",
  examples: [
    { wrong: "One of the clerk found it.", right: "One of the clerks found it." },
    { wrong: "It is one of our oldest gauge.", right: "It is one of our oldest gauges." },
    { leave: "One of the crew and one of the oldest gauge houses." },
  ],
};

export const manyMuch: Card = {
  pass: "grammar",
  id: "grammar/many-much",
  weight: "settle",
  code: "num",
  title: "“many” and “much”",
  why: "“Many”, “few” and “several” go with things that are counted, “much” and “little” with what is not.",
  source: "common practice",
  examples: [
    { wrong: "How much visitors came?", right: "How many visitors came?" },
    { wrong: "There is too many water here.", right: "There is too much water here." },
    { wrong: "We found several crack in it.", right: "We found several cracks in it." },
    { leave: "Many a boat; much of the boats’ oil; few if any; a few hundred." },
    { leave: "It is much years later than that." },
  ],
};

export const fewerLess: Card = {
  pass: "grammar",
  id: "grammar/fewer-less",
  weight: "settle",
  code: "num",
  title: "“fewer” and “less”, “number” and “amount”",
  why: "In edited English “fewer” and “a number of” go with things that are counted; “less” and “an amount of” with what is not, and with sums, times and distances.",
  source: "common practice",
  examples: [
    { wrong: "There were less boats than before.", right: "There were fewer boats than before." },
    { wrong: "A large amount of letters came.", right: "A large number of letters came." },
    { leave: "It costs less; less than ten miles; ten dollars less." },
    { leave: "Less dangerous gauges; a small amount of oats." },
  ],
};

export const numberNoun: Card = {
  pass: "grammar",
  id: "grammar/number-noun",
  weight: "settle",
  code: "num",
  title: "Plural after a number",
  why: "After a number above one the noun is plural. Before another noun the singular is right: a three-mile walk, a two week break.",
  source: "common practice",
  examples: [
    { wrong: "It is held by four anchor.", right: "It is held by four anchors." },
    { wrong: "They read it five time a day.", right: "They read it five times a day." },
    { leave: "A two-week break, twenty head of cattle, chapter four section two." },
    { leave: "Nineteen forty spring tides; by three we sat." },
  ],
};

export const apostrophePlural: Card = {
  pass: "grammar",
  id: "grammar/apostrophe-plural",
  weight: "settle",
  code: "ap",
  title: "Apostrophe in a plural",
  why: "A plural takes no apostrophe: two gauges, the boats. An apostrophe shows who or what something belongs to.",
  source: "common practice",
  examples: [
    { wrong: "The gauge’s were read at noon.", right: "The gauges were read at noon." },
    { wrong: "Two lamp’s were broken.", right: "Two lamps were broken." },
    { wrong: "We sell chart’s and maps.", right: "We sell charts and maps." },
    { leave: "The gauge’s float is worn, and the log’s lost." },
    { leave: "It is a friend of my sister’s. We went to the clerk’s." },
  ],
};

export const missingApostrophe: Card = {
  pass: "grammar",
  id: "grammar/missing-apostrophe",
  weight: "settle",
  code: "ap",
  title: "Possessive without apostrophe",
  why: "What belongs to the keeper is the keeper’s, and to several keepers the keepers’. A plain plural before a noun is right in some compounds (sales office, sports ground).",
  source: "common practice",
  examples: [
    { wrong: "They sat in the mens room.", right: "They sat in the men’s room." },
    { wrong: "Yesterdays tide was high.", right: "Yesterday’s tide was high." },
    { wrong: "The womens room is shut.", right: "The women’s room is shut." },
    { wrong: "She gave two weeks notice.", right: "She gave two weeks’ notice." },
    { leave: "The sales office keeps the customs forms and the arms store." },
    { leave: "The gauges stand there; the gauges need oil." },
  ],
};

export const pluralOfFigures: Card = {
  pass: "grammar",
  id: "grammar/plural-of-figures",
  weight: "weigh",
  code: "ap",
  title: "Apostrophe in decades and abbreviations",
  why: "Decades and abbreviations take a plain s: the 1920s, two MPs. Many older styles set an apostrophe; one document keeps to one form.",
  source: "common practice",
  examples: [
    { wrong: "It was built in the 1890’s.", right: "It was built in the 1890s." },
    { wrong: "The shop sells CD’s and books.", right: "The shop sells CDs and books." },
    { leave: "The 1920s and two MPs; NATO’s plan; mind your p’s and q’s." },
  ],
};
