import type { Card } from "../../card.ts";

/** The cards of the checks of citations in the text and of lists. */

export const noEntry: Card = {
  id: "citations/no-entry",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "No entry for a citation",
  why: "A reader who wants the work that is cited finds nothing in the list. Either its entry was forgotten, or the citation names it otherwise than the list does.",
  source: "Every manual of citation: each work cited has its entry",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). The pilots knew it (Harkness et al., 1987).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
      marked: "Harkness et al., 1987",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const citationOrYear: Card = {
  id: "citations/citation-or-year",
  pass: "citations",
  weight: "weigh",
  code: "cit",
  title: "A year, or a citation?",
  why: "A year in brackets behind a name may be a citation whose entry is missing, or the year of a film, a ship or a storm. Only the writer knows; let it be, here or everywhere, where it is none.",
  source: "common practice",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). The pilots knew it before Harknessen (1987).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
      marked: "Harknessen (1987)",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). The flood (1953) is another matter.\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
    },
  ],
};

export const nearName: Card = {
  id: "citations/near-name",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "A name that is nearly an entry’s",
  why: "The citation and the entry differ by a letter, a mark on a letter or the order of names. One of the two is wrong, and a search by either finds half of the places.",
  source: "Every manual of citation: the names of citation and entry agree",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orin & Vale, 2004).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
      marked: "Orin & Vale, 2004",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const nearYear: Card = {
  id: "citations/near-year",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "A year that is nearly an entry’s",
  why: "Names agree and the year does not. Either citation or entry has a wrong year, or another work is meant.",
  source: "Every manual of citation: the years of citation and entry agree",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2005).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
      marked: "Orrin & Vale, 2005",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const yearLetter: Card = {
  id: "citations/year-letter",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "A letter behind the year",
  why: "Works of the same authors and the same year are told apart by letters, in the text as in the list. Without the letter nobody knows which is meant.",
  source:
    "Publication manual of the American Psychological Association, 7th edition, section 8.19, from memory",
  examples: [
    {
      wrong:
        "Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nWeller, P. (2016a). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.\n\nWeller, P. (2016b). What the ebb takes away. *Estuary Letters*, *23*(3), 55–60.",
      marked: "Weller, 2016",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const neverCited: Card = {
  id: "citations/never-cited",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "An entry that nothing cites",
  why: "A list of references names what the text draws on. An entry without a citation is left over from an earlier draft, or its citation was lost.",
  source: "Every manual of citation: each entry is cited",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nTeesdale, R. (2011). Rating a stilling well. *Estuary Letters*, *18*(3), 77–90.",
      marked: "Teesdale, R.",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const citedNames: Card = {
  id: "citations/cited-names",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "Names of a citation",
  why: "Each manual says how many names a citation gives before the rest become “et al.”, and that its stop is behind “al”.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Sand comes in on the flood (Weller, Ness, & Hay, 2019).\n\n## References\n\nWeller, P., Ness, A., & Hay, C. (2019). Flood sand in the inner harbour. *Estuary Letters*, *26*(4), 112–119.",
      marked: "Weller, Ness, & Hay",
    },
    {
      leave:
        "Sand comes in on the flood (Weller et al., 2019).\n\n## References\n\nWeller, P., Ness, A., & Hay, C. (2019). Flood sand in the inner harbour. *Estuary Letters*, *26*(4), 112–119.",
    },
  ],
};

export const citedJoining: Card = {
  id: "citations/cited-joining",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "“&” or “and” between names",
  why: "Some manuals join names by “&” within brackets and by “and” in the sentence; others have “and” everywhere.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin and Vale, 2004).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
      marked: "Orrin and Vale",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const citedComma: Card = {
  id: "citations/cited-comma",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "Between name and year",
  why: "A comma, or none, parts the name from the year or the page; each manual has its own.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale 2004).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
      marked: "Orrin & Vale 2004",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const pinpointForm: Card = {
  id: "citations/pinpoint-form",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "A page of a citation",
  why: "The page of a citation has the label that the manual gives it, and a quotation has its page.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004, pg. 44).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
      marked: ", pg. 44",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004, p. 44).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
    },
  ],
};

export const bracketOrder: Card = {
  id: "citations/bracket-order",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "Order of works in brackets",
  why: "Several works in one pair of brackets follow the order of the list.",
  source:
    "Publication manual of the American Psychological Association, 7th edition, section 8.12, from memory",
  examples: [
    {
      wrong:
        "This was known (Weller, 2016; Orrin & Vale, 2004).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
      marked: "(Weller, 2016; Orrin & Vale, 2004)",
    },
    {
      leave:
        "This was known (Orrin & Vale, 2004; Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const numberOrder: Card = {
  id: "citations/number-order",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "Order of numbers",
  why: "Numbers follow the order in which works are first mentioned, so that the reader who goes on meets the next number next.",
  source: "IEEE reference guide, from memory; uniform requirements for medical journals",
  examples: [
    {
      wrong:
        "Mud swallows the lead [1]. Sand is dropped at the turn [3]. The pilots knew it [2].\n\n## References\n\n[1] I. K. Orrin and T. Vale, “Sounding lead and echo sounder on a soft bottom,” *Estuary Lett.*, vol. 11, no. 2, pp. 40–52, 2004.\n\n[2] P. Weller, “Sand on the turn of the tide,” *Estuary Lett.*, vol. 23, no. 1, pp. 9–21, 2016.\n\n[3] A. Ness, “Flood sand in the inner harbour,” *Estuary Lett.*, vol. 26, no. 4, pp. 112–119, 2019.",
      marked: "[3]",
    },
    {
      leave:
        "Mud swallows the lead [1]. Sand is dropped at the turn [2], [3].\n\n## References\n\n[1] I. K. Orrin and T. Vale, “Sounding lead and echo sounder on a soft bottom,” *Estuary Lett.*, vol. 11, no. 2, pp. 40–52, 2004.\n\n[2] P. Weller, “Sand on the turn of the tide,” *Estuary Lett.*, vol. 23, no. 1, pp. 9–21, 2016.\n\n[3] A. Ness, “Flood sand in the inner harbour,” *Estuary Lett.*, vol. 26, no. 4, pp. 112–119, 2019.",
    },
  ],
};

export const numberRange: Card = {
  id: "citations/number-range",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "Numbers in a row",
  why: "Three numbers in a row or more are written as a range, with the signs of the manual.",
  source: "the published style files of the manuals",
  examples: [
    {
      wrong:
        "This was known [1], [2], [3].\n\n## References\n\n[1] I. K. Orrin and T. Vale, “Sounding lead and echo sounder on a soft bottom,” *Estuary Lett.*, vol. 11, no. 2, pp. 40–52, 2004.\n\n[2] P. Weller, “Sand on the turn of the tide,” *Estuary Lett.*, vol. 23, no. 1, pp. 9–21, 2016.\n\n[3] A. Ness, “Flood sand in the inner harbour,” *Estuary Lett.*, vol. 26, no. 4, pp. 112–119, 2019.",
      marked: "[1], [2], [3]",
    },
    {
      leave:
        "Mud swallows the lead [1]. Sand is dropped at the turn [2], [3].\n\n## References\n\n[1] I. K. Orrin and T. Vale, “Sounding lead and echo sounder on a soft bottom,” *Estuary Lett.*, vol. 11, no. 2, pp. 40–52, 2004.\n\n[2] P. Weller, “Sand on the turn of the tide,” *Estuary Lett.*, vol. 23, no. 1, pp. 9–21, 2016.\n\n[3] A. Ness, “Flood sand in the inner harbour,” *Estuary Lett.*, vol. 26, no. 4, pp. 112–119, 2019.",
    },
  ],
};

export const noteOrder: Card = {
  id: "citations/note-order",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "Notes in full and in short",
  why: "A reader meets a work in full first; from then on its author, a short title and the page are enough.",
  source:
    "the notes style of the seventeenth edition of the manual (2017), 14.19 and 14.29 to 14.30, from memory",
  examples: [
    {
      wrong:
        "The mole casts a shadow.[^1] Mud swallows the lead.[^2] The mole was longer.[^3]\n\n[^1]: Lock, *Moles*, 12.\n\n[^2]: Ines Orrin and Tobias Vale, “Sounding Lead on a Soft Bottom,” *Estuary Letters* 11, no. 2 (2004): 145.\n\n[^3]: Mirren Lock, *Moles and Their Shadows* (Leetmoor: Gannet Press, 1989), 14.\n\n## Bibliography\n\nLock, Mirren. *Moles and Their Shadows*. Leetmoor: Gannet Press, 1989.\n\nOrrin, Ines, and Tobias Vale. “Sounding Lead on a Soft Bottom.” *Estuary Letters* 11, no. 2 (2004): 140–52.",
      marked: "Lock, Moles, 12.",
    },
    {
      leave:
        "The mole casts a shadow.[^1] Mud swallows the lead.[^2] The mole was longer.[^3]\n\n[^1]: Mirren Lock, *Moles and Their Shadows* (Leetmoor: Gannet Press, 1989), 12.\n\n[^2]: Ines Orrin and Tobias Vale, “Sounding Lead on a Soft Bottom,” *Estuary Letters* 11, no. 2 (2004): 145.\n\n[^3]: Lock, *Moles*, 14.\n\n## Bibliography\n\nLock, Mirren. *Moles and Their Shadows*. Leetmoor: Gannet Press, 1989.\n\nOrrin, Ines, and Tobias Vale. “Sounding Lead on a Soft Bottom.” *Estuary Letters* 11, no. 2 (2004): 140–52.",
    },
  ],
};

export const ibidem: Card = {
  id: "citations/ibidem",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "What “ibid.” means",
  why: "“Ibid.” means the one work of the note before it. Where that cites none or several, a reader can’t tell which.",
  source: "the notes style of the seventeenth edition of the manual (2017), 14.34, from memory",
  examples: [
    {
      wrong:
        "Both are known.[^1] The mole is longer.[^2] It casts a shadow.[^3]\n\n[^1]: Mirren Lock, *Moles and Their Shadows* (Leetmoor: Gannet Press, 1989), 12; Ines Orrin and Tobias Vale, “Sounding Lead on a Soft Bottom,” *Estuary Letters* 11, no. 2 (2004): 145.\n\n[^2]: Ibid., 14.\n\n[^3]: Petra Weller, “Sand on the Turn of the Tide,” *Estuary Letters* 23, no. 1 (2016): 12.\n\n## Bibliography\n\nLock, Mirren. *Moles and Their Shadows*. Leetmoor: Gannet Press, 1989.\n\nOrrin, Ines, and Tobias Vale. “Sounding Lead on a Soft Bottom.” *Estuary Letters* 11, no. 2 (2004): 140–52.\n\nWeller, Petra. “Sand on the Turn of the Tide.” *Estuary Letters* 23, no. 1 (2016): 9–21.",
      marked: "Ibid., 14.",
    },
    {
      leave:
        "Mud swallows the lead.[^1] So it was told.[^2] The mole is longer.[^3]\n\n[^1]: Ines Orrin and Tobias Vale, “Sounding Lead on a Soft Bottom,” *Estuary Letters* 11, no. 2 (2004): 145.\n\n[^2]: Ibid., 146.\n\n[^3]: Petra Weller, “Sand on the Turn of the Tide,” *Estuary Letters* 23, no. 1 (2016): 12.\n\n## Bibliography\n\nOrrin, Ines, and Tobias Vale. “Sounding Lead on a Soft Bottom.” *Estuary Letters* 11, no. 2 (2004): 140–52.\n\nWeller, Petra. “Sand on the Turn of the Tide.” *Estuary Letters* 23, no. 1 (2016): 9–21.",
    },
  ],
};

export const listOrder: Card = {
  id: "citations/list-order",
  pass: "citations",
  weight: "fix",
  code: "cit",
  title: "An entry out of order",
  why: "The reader looks for a name by the alphabet. An author alone comes before the same author with others, and earlier years before later ones.",
  source:
    "Publication manual of the American Psychological Association, 7th edition, section 9.44, from memory",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016). Sand comes in (Weller et al., 2019). The well is rated (Teesdale, 2011).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.\n\nWeller, P., Ness, A., & Hay, C. (2019). Flood sand in the inner harbour. *Estuary Letters*, *26*(4), 112–119.\n\nTeesdale, R. (2011). Rating a stilling well. *Estuary Letters*, *18*(3), 77–90.",
      marked: "Teesdale, R.",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};

export const duplicateEntry: Card = {
  id: "citations/duplicate-entry",
  pass: "citations",
  weight: "settle",
  code: "cit",
  title: "An entry that is there twice",
  why: "Two entries of one work make the reader ask which of them is cited, and one of them will be mended without the other.",
  source: "common practice",
  examples: [
    {
      wrong:
        "Mud swallows the lead (Orrin & Vale, 2004).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.",
      marked: "Orrin, I., & Vale, T.",
    },
    {
      leave:
        "Mud swallows the lead (Orrin & Vale, 2004). Sand is dropped at the turn (Weller, 2016).\n\n## References\n\nOrrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom. *Estuary Letters*, *11*(2), 40–52.\n\nWeller, P. (2016). Sand on the turn of the tide. *Estuary Letters*, *23*(1), 9–21.",
    },
  ],
};
