import { wordList } from "../../../language/words/word-lists.ts";

/** Prefixes that are written with a hyphen or without. */
export const PREFIXES = wordList("prefix/prefixes");

/** Prefixes that are no words themselves: "non linear" can only be a compound. */
export const ONLY_PREFIXES = wordList("prefix/only-prefixes");

/** Words that mean something else with a hyphen: "re-cover", "recover". Letters only. */
export const TOLD_APART = wordList("prefix/told-apart");
