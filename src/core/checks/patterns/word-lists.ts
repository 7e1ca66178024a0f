import type { WordLists } from "./pattern.ts";

/** Word lists that patterns name; common practice. "~" stands for all inflected forms. */
const list = (words: string) => words.split(" ");

export const WORD_LISTS: WordLists = {
  modal: list("can could may might must shall should will would 'll ca wo"),
  be: list("be~"),
  have: list("have~"),
  do: list("do does did"),
  copula: list("be~ seem~ appear~ become~ remain~ look~ feel~ sound~"),
  months: list(
    "january february march april may june july august september october november december",
  ),
  weekdays: list("monday tuesday wednesday thursday friday saturday sunday"),
};
