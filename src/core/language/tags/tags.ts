/**
 * Parts of speech, in the order in which the tagger's model numbers them: the 87 tags of the Brown
 * corpus (Francis and Kučera 1979, "Brown Corpus Manual") folded into 45.
 */
export const TAGS = [
  "DT", // article or determiner
  "PDT", // determiner before another: all, half, such
  "JJ", // adjective, ordinal
  "JJR",
  "JJS",
  "RB", // adverb, qualifier
  "RBR",
  "RBS",
  "RP", // particle: "fill up"
  "NN", // noun, singular or mass
  "NNS",
  "NNP", // name
  "NNPS",
  "VB", // verb, base form (infinitive or present)
  "VBD", // past
  "VBG", // -ing
  "VBN", // past participle
  "VBZ", // third person singular
  "VBP", // am, are
  "MD", // can, will
  "PPS", // he, she, it
  "PPSS", // I, we, they, you
  "PPO", // me, him, them
  "PPL", // -self, -selves
  "PN", // everyone, nothing; mine, yours
  "PRP$", // my, their
  "WP$", // whose
  "WDT", // which, what
  "WP", // who, whom
  "WRB", // when, how
  "CC", // and, or
  "CS", // that, because, than
  "IN", // preposition
  "TO", // to before a verb
  "EX", // there is
  "UH", // oh, yes
  "CD", // number
  "NOT", // not, n't
  ".",
  ",",
  ":",
  "BR", // bracket
  "QT", // quotation mark
  "POS", // possessive ending
  "FW", // foreign word
] as const;

export type Tag = (typeof TAGS)[number];
