import type { Syntax } from "../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tags/tag-sets.ts";
import { wordList } from "../../language/words/word-lists.ts";
import { type Found, markCheck } from "../mark-check.ts";
import { replaceBy } from "../patterns/mend.ts";
import { passiveWithAgent as card } from "./cards.ts";

/** A passive with its doer named: the active voice is one move away. */
export const passiveWithAgent = markCheck({
  ...card,
  reason: "Passive; active it would be “{1}”.",
  find(syntax, { words: table }) {
    const found: Found[] = [];
    const { words, tags, nounGroups, nounAt, verbGroups, text, units } = syntax;
    for (const verb of verbGroups) {
      if (!verb.passive || verb.finite < 0 || words[verb.to]?.form !== "by") continue;
      // One auxiliary only: "was read", "are checked".
      if (verb.main !== verb.finite + 1 || verb.from !== verb.finite) continue;
      const agent = nounGroups[nounAt[verb.to + 1] ?? -1];
      const subject = nounGroups[nounAt[verb.from - 1] ?? -1];
      if (!agent || !subject || agent.from !== verb.to + 1 || subject.to !== verb.from) continue;
      const start = syntax.sentenceFrom[verb.from] ?? 0;
      if (subject.from !== start || TAG_SETS.NAME[tags[subject.head] ?? 0]) continue;
      if (!isDoer(syntax, agent.head, agent.pronoun)) continue;
      const end = syntax.sentenceTo[verb.from] ?? agent.to;
      if (!TAG_SETS.STOP[tags[agent.to] ?? TAG["."]] && agent.to < end) continue;
      const lemma = table.verb(words[verb.main]?.form ?? "");
      const past = verb.tense === "past";
      const doer = caseOf(text.slice(units[agent.from]?.from, units[agent.to - 1]?.to), SUBJECTIVE);
      const plural =
        agent.number === "plural" ||
        words[agent.head]?.form === "me" ||
        words[agent.head]?.form === "you";
      const active = past
        ? table.inflect(lemma, "VBD")
        : plural
          ? lemma
          : table.inflect(lemma, "VBZ");
      const thing = caseOf(
        text.slice(units[subject.from]?.from, units[subject.to - 1]?.to),
        OBJECTIVE,
      );
      const small =
        /^(?:The|A|An|This|That|These|Those|His|Her|Its|Their|Our|My|All|Each|Every|Both|No|Some)\b/.test(
          thing,
        )
          ? thing.slice(0, 1).toLowerCase() + thing.slice(1)
          : thing;
      const whole = `${doer.slice(0, 1).toUpperCase()}${doer.slice(1)} ${active} ${small}`;
      const from = units[subject.from]?.from ?? 0;
      const to = units[agent.to - 1]?.to ?? from;
      found.push({ from: subject.from, to: agent.to, mends: [replaceBy(text, from, to, whole)] });
    }
    return found;
  },
});

const SUBJECTIVE: Record<string, string> = {
  me: "I",
  him: "he",
  her: "she",
  us: "we",
  them: "they",
};
const OBJECTIVE: Record<string, string> = {
  i: "me",
  he: "him",
  she: "her",
  we: "us",
  they: "them",
};

function caseOf(text: string, cases: Record<string, string>): string {
  return cases[text.toLowerCase()] ?? text;
}

/** Whether a noun can do something: not a time, a place or a way. */
function isDoer({ words, tags }: Syntax, head: number, pronoun: boolean): boolean {
  if (pronoun) return tags[head] === TAG.PPO;
  const form = words[head]?.form ?? "";
  if (tags[head] === TAG.CD || /ing$/.test(form)) return false;
  return !NOT_DOERS.has(form);
}

const NOT_DOERS = wordList("passive/not-doers");
