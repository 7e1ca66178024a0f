import { wordList } from "../../../language/words/word-lists.ts";
import { type Found, markCheck } from "../../mark-check.ts";
import { pluralOfFigures as card } from "./cards.ts";

/** "the 1920's", "CD's". */
export const pluralOfFigures = markCheck({
  ...card,
  reason: "The plural takes no apostrophe: “{1}”.",
  find(syntax) {
    const found: Found[] = [];
    const { units, text } = syntax;
    if (!/[A-Z0]['’]s/.test(text)) return found;
    for (let unit = 0; unit < units.length; unit++) {
      const { from, to } = units[unit] ?? { from: 0, to: 0 };
      const code = text.charCodeAt(from);
      if (!(code >= 48 && code <= 57) && !(code >= 65 && code <= 90)) continue;
      const mark = text.charCodeAt(to);
      if (mark !== 39 && mark !== 0x2019) continue;
      const one = text.slice(from, to);
      const rest = text.slice(to, to + 3);
      const decade = /^(?:1[0-9]|20)\d0$/.exec(one) && /^['’]s\b/.exec(rest);
      if (
        decade &&
        /\b(?:the|early|late|mid|mid-)\s*$/i.test(text.slice(Math.max(0, from - 6), from))
      ) {
        const choice = { label: `${one}s`, edits: [{ from: to, to: to + 2, insert: "s" }] };
        found.push({ from: unit, to: unit + 1, mends: [choice] });
        continue;
      }
      if (
        !/^\p{Lu}{2,4}$/u.test(one) ||
        !/^['’]s$/.test(text.slice(units[unit + 1]?.from ?? 0, units[unit + 1]?.to ?? 0))
      )
        continue;
      const before = syntax.words[unit - 1]?.form ?? "";
      const next = syntax.words[unit + 2]?.form ?? "";
      const counted = COUNTERS.has(before);
      if (counted && (/^(?:and|or|are|were|have|came|in|on|,|\.)$/.test(next) || next === "")) {
        found.push({ from: unit, to: unit + 2, mends: [`${one}s`] });
      }
    }
    return found;
  },
});

const COUNTERS = wordList("plural-of-figures/counters");
