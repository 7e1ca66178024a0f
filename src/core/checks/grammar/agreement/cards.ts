import type { Card } from "../../card.ts";

/** What is told of the checks in this folder. */

export const agreement: Card = {
  pass: "grammar",
  id: "grammar/agreement",
  weight: "fix",
  code: "agr",
  title: "Subject and verb disagree",
  why: "A singular subject takes a singular verb and a plural one a plural verb. What is between them does not count: the level of the tides is read.",
  source: "common practice; less plain places are found by a model learned from edited prose",
  examples: [
    { wrong: "The level of the tides are high.", right: "The level of the tides is high." },
    { wrong: "The keepers writes the hour down.", right: "The keepers write the hour down." },
    { wrong: "She have the only copy.", right: "She has the only copy." },
    { leave: "The keeper and her brother live by the quay." },
    { leave: "If it were shut, we would wait." },
    { leave: "A number of boats are in." },
    { leave: "Three metres of water is enough, and ten dollars was too much." },
  ],
};

export const eachAgreement: Card = {
  pass: "grammar",
  id: "grammar/each-agreement",
  weight: "fix",
  code: "agr",
  title: "Verb after “each of”, “one of”, “everyone in”",
  why: "“Each”, “every one”, “either”, “neither” and “one” are singular, whatever plural follows “of”; so are “everyone”, “somebody” and “nobody”.",
  source: "common practice",
  examples: [
    { wrong: "Each of the gauges have a log.", right: "Each of the gauges has a log." },
    {
      wrong: "Every one of the panels were cleaned.",
      right: "Every one of the panels was cleaned.",
    },
    { wrong: "Nobody on the boats were hurt.", right: "Nobody on the boats was hurt." },
    { leave: "Each of the gauges has a log, and they have marks." },
    { leave: "They each have a key." },
  ],
};

export const thereAgreement: Card = {
  pass: "grammar",
  id: "grammar/there-agreement",
  weight: "fix",
  code: "agr",
  title: "Verb after “there”",
  why: "In “there is” and “there are” the verb goes with the noun that follows.",
  source: "common practice",
  examples: [
    { wrong: "There is many ways in.", right: "There are many ways in." },
    { wrong: "There are a crack in the wall.", right: "There is a crack in the wall." },
    { wrong: "There was three lamps.", right: "There were three lamps." },
    { leave: "There is a lot of them, and there are a number of ways." },
    { leave: "There is bread and cheese; there were a few." },
  ],
};
