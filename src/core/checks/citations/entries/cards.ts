import type { Card } from "../../card.ts";

/** The cards of the checks of the entries of a list. */

export const authorForm: Card = {
  id: "citations/author-form",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "A name in the list",
  why: "Each manual has family names and given names in its own order, with initials or without.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nI. Orrin, & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "I. Orrin",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const authorJoining: Card = {
  id: "citations/author-joining",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "Between names in the list",
  why: "What joins the last name to those before it is the manual’s: a comma, “and”, “&”.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., and Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: ", and ",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const authorCount: Card = {
  id: "citations/author-count",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "How many names the list gives",
  why: "A manual says how many authors an entry names before dots or “et al.” take the place of the rest.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Sand comes in on the flood (Weller et al., 2019). The well is rated (Teesdale, 2011).\n\n## References\n\nWeller, P., et al. (2019). Flood sand in the inner harbour. *Estuary Letters*, *26*(4), 112–119.\n\nTeesdale, R. (2011). Rating a stilling well. *Estuary Letters*, *18*(3), 77–90.",
      marked: ", et al.",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const entryYear: Card = {
  id: "citations/entry-year",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "The year of an entry",
  why: "The year has its place and its signs, and is a year in which a work can have appeared.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. 2004. Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: ". 2004. ",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const titleCapitals: Card = {
  id: "citations/title-capitals",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "Capitals of a title",
  why: "A manual has titles with the capitals of a sentence or with those of a headline. In one list all are alike.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding Lead and Echo Sounder on a Soft Bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "Sounding Lead and Echo Sounder on a Soft Bottom",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const titleQuotes: Card = {
  id: "citations/title-quotes",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "Quotation marks around a title",
  why: "Some manuals set titles of articles and chapters between quotation marks, some do not.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). “Sounding lead and echo sounder on a soft bottom”. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "“Sounding lead and echo sounder on a soft bottom”",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const volumeForm: Card = {
  id: "citations/volume-form",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "Volume and issue",
  why: "Volume and issue of a periodical are written as the manual has them: in brackets, with “vol.” and “no.”, or parted by commas.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*, no. 2, 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: ", 11, no. 2",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const pageRange: Card = {
  id: "citations/page-range",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "Pages of an entry",
  why: "Pages have the dash, the digits and the label of the manual, and the second is not before the first.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40-52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "40-52",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const editionForm: Card = {
  id: "citations/edition-form",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "An edition",
  why: "The number of an edition and the word behind it are shortened as the manual has them.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). *Sounding on a soft bottom* (2nd edition). Gannet Press.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "2nd edition",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const publisherPlace: Card = {
  id: "citations/publisher-place",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "The place of a publisher",
  why: "Newer editions of the manuals name the publisher and leave out the place.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016). The well is rated (Teesdale, 2011).\n\n## References\n\nOrrin, I., & Vale, T. (2004). *Sounding on a soft bottom* (2nd ed.). Leetmoor: Gannet Press.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.\n\nTeesdale, R. (2011). Rating a stilling well. *Estuary Letters*, *18*(3), 77–90.",
      marked: "Leetmoor",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const doiForm: Card = {
  id: "citations/doi-form",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "A DOI",
  why: "A DOI leads the reader to the work for good. It begins with “10.”, and the manual says what is written before it.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52. doi:10.5555/el.11.40\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "doi:10.5555/el.11.40",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const addressForm: Card = {
  id: "citations/address-form",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "What leads to an address",
  why: "A manual has words before an address, or none.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016). The well is rated (Teesdale, 2011), and sand comes in (Weller et al., 2019).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52. Retrieved from https://estuary.example/11/40\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.\n\nTeesdale, R. (2011). Rating a stilling well. *Estuary Letters*, *18*(3), 77–90.\n\nWeller, P., Ness, A., & Hay, C. (2019). Flood sand in the inner harbour. *Estuary Letters*, *26*(4), 112–119.",
      marked: "Retrieved from https://estuary.example/11/40",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const entryEnd: Card = {
  id: "citations/entry-end",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "The end of an entry",
  why: "An entry ends with a stop, except where a manual leaves it out behind an address, lest it be taken for a part of that.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "40–52",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const accessDate: Card = {
  id: "citations/access-date",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "When an address was visited",
  why: "A page may be another tomorrow. Some manuals want the day on which it was read, each in its own words.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin and Vale, 2004). The gauge is read twice (Harbour Board, 2019).\n\n## References\n\nHarbour Board (2019) *Tide gauges on the inner mole*. Available at: https://harbour.example/gauges.\n\nOrrin, I. and Vale, T. (2004) ‘Sounding lead and echo sounder on a soft bottom’, *Estuary Letters*, 11(2), pp. 40–52.",
      marked: "https://harbour.example/gauges",
    },
    {
      leave:
        "Mud swallows the lead (Orrin and Vale, 2004). The gauge is read twice (Harbour Board, 2019).\n\n## References\n\nHarbour Board (2019) *Tide gauges on the inner mole*. Available at: https://harbour.example/gauges (Accessed: 12 March 2031).\n\nOrrin, I. and Vale, T. (2004) ‘Sounding lead and echo sounder on a soft bottom’, *Estuary Letters*, 11(2), pp. 40–52.",
    },
  ],
};

export const missingField: Card = {
  id: "citations/missing-field",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "A part that an entry lacks",
  why: "A work of this kind cannot be found without this part: a year, a title, the periodical it is in.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "Orrin, I., & Vale, T.",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const titleItalics: Card = {
  id: "citations/title-italics",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "Italics of a title",
  why: "Names of periodicals and titles of books are set in italics by most manuals. In one list all are alike.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. Estuary Letters, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "Estuary Letters",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const mixedStyles: Card = {
  id: "citations/mixed-styles",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "An entry in another style",
  why: "A list that was put together from several papers shows it: one entry follows another manual than the rest.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016). The well is rated (Teesdale, 2011).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nTeesdale, Ruth. “Rating a Stilling Well.” *Estuary Letters*, vol. 18, no. 3, 2011, pp. 77–90.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "Teesdale, Ruth. “Rating a Stilling Well.” Estuary Letters, v",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};
