import { wordList } from "./word-lists.ts";

// Abbreviations with a full stop; common practice in English copy.

/** Never end a sentence: what follows is always the name or number they belong to. */
export const BEFORE_NAME = wordList("abbreviations/before-name");

/** End a sentence only when a word that usually opens one follows. */
export const ABBREVIATIONS = wordList("abbreviations/abbreviations");

/** Words that open a sentence after an abbreviation far more often than they go on with it. */
export const SENTENCE_STARTERS = wordList("abbreviations/sentence-starters");
