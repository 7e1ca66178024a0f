import lists from "../../../../data/word-lists.json" with { type: "json" };

/** The lists of data/word-lists.json, each named by the file that uses it and what it is there. */
export type WordListName = keyof typeof lists;

/**
 * The words of a list, lower case unless the list is of capitalised words. Lists of phrases are
 * parted by bars, the others by spaces.
 */
export function wordList(name: WordListName): ReadonlySet<string> {
  const list = lists[name];
  return new Set(list.split(list.includes("|") ? "|" : " "));
}
