import { loadLanguage } from "../src/command/checking.ts";
import { CHECKS } from "../src/core/checks/index.ts";
import { parsePattern } from "../src/core/checks/patterns/pattern.ts";
import { WORD_LISTS } from "../src/core/checks/patterns/word-lists.ts";
import { phraseLines } from "../src/core/language/phrase-lists.ts";

const l = loadLanguage();
for (const c of CHECKS)
  for (const line of [
    ...(c.patterns ?? []),
    ...(c.phraseList ? phraseLines(l.phrases.get(c.phraseList) ?? "") : []),
  ]) {
    try {
      parsePattern(line, l.words, WORD_LISTS);
    } catch (e) {
      console.log(c.id, String(e));
    }
  }
