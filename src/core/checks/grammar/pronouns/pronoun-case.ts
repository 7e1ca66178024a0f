import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";
import { wordList } from "../../../language/words/word-lists.ts";
import { markCheck } from "../../mark-check.ts";
import { pronounCase as card } from "./cards.ts";

/** "between you and I", "me and him went". */
export const pronounCase = markCheck({
  ...card,
  reason: "Not “{}” here: “{1}”.",
  patterns: [
    "between|for|with|to|from|by|about|against|beside|except|without|like|near|behind you|me|him|her|us|them and [i] !'ve|'m|'ll|'d|VERB|MD|RB => me",
    "between|for|with|to|from|by|about|against|beside|except|without|near|behind my|his|her|your|our|the NOUN and [i] !'ve|'m|'ll|'d|VERB|MD|RB => me",
    "between|for|with|to|from|by|about|against|beside|except|without [i] and => me",
    "between|for|with|to|from|by|about|against|beside|without|behind|of [he] .|,|and|</s> => him",
    "between|for|with|to|from|by|about|against|beside|without|behind|of [he] </s> => him",
    "for|with|to|from|by|about|against|beside|without|behind|of [she] .|, => her",
    "for|with|to|from|by|about|against|beside|without|behind|of|among [they] .|, => them",
    "for|with|to|from|by|about|against|beside|without|behind|of|between [we] .|, => us",
    "to|with|for|from [she|he|they] and her|his|my|the|their NOUN .|, => $2:OBJ",
    "gave|give|gives|told|tell|tells|sent|send|sends|showed|shows|show|asked|invited|saw|met|helped you|me|him|her|us|them and [i] .|, => me",
    "gave|told|sent|showed|asked|invited|met|helped my|his|her|our NOUN and [i] .|, => me",
    "nobody|everybody|everyone|anyone|none but [they|he|she|we] VBD|VBZ => $3:OBJ",
    "it|them|him|her|letters|NOUN to NNP and [i] .|,|</s> => me",
    "between NNP and [i] .|,|</s> => me",
    "it|them|him|her|letters|NOUN to NNP and [i.] => me.",
    "between NNP and [i.] => me.",
    "<s> [me and my NOUN] VERB => my $4 and I",
    "<s> [him|them] and PPSS|PPO|NNP|NOUN VBD|VBZ => $2:SUBJ",
    "<s> [him|her] and his|her|my|their|our NOUN VBD|VBZ|VB|MD => $2:SUBJ",
    "<s> my|his|her|our NOUN and [me|him|them] VBD|VBZ|VB|MD => $5:SUBJ",
    "<s> [us] NNS VB|VBD|MD => we",
    "<s> [him|them|us|me] VBD|VBZ|MD => $2:SUBJ",
    "<s> [her] VBD|MD|was|is|has => she",
    "that|because|when|while|if|which|what|where|as|but|and [him|them|us] VBD|VBZ|MD => $2:SUBJ",
    "VBD|VBG|VB|VBZ [he|they|we] .|</s> => $2:OBJ",
    "to|for|with|from|beside|between my|his|her|our|the NOUN and [i.] => me.",
    "beside|between|with|for|to you|him|her|them and [i.] => me.",
    "gave|told|sent|showed|asked|invited|met|helped my|his|her|our NOUN and [i.] => me.",
    "<s> [him|them] and the NOUN VBD|VBZ|MD => $2:SUBJ",
    "<s> [her] and i VERB|MD => she",
    "<s> [me] and him|her|them|you VERB|MD => I",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const form = words[marked]?.form ?? "";
    const before = words[(bounds[0] ?? 0) - 1]?.form ?? "";
    // "the best of what he", "for he had": a clause follows.
    const after = tags[bounds[2 * pattern.marked.to - 1] ?? 0] ?? 0;
    if (/^(?:him|them|us|me)$/.test(form) && !pattern.source.startsWith("<s>")) {
      // "saw that him and", "made them and let them go": a causative verb takes an object.
      const first = words[marked - 1]?.form ?? "";
      if (/^(?:and|but|as)$/.test(first)) return false;
      return (
        tags[marked + 1] !== TAG.VBD ||
        !/ed$/.test(words[marked + 1]?.form ?? "") ||
        first !== "which"
      );
    }
    if (/^(?:he|they|we)$/.test(form) && pattern.source.startsWith("VBD")) {
      return !PUTS_SUBJECT_AFTER.has(words[marked - 1]?.form ?? "");
    }
    if (/^(?:he|she|they|we)$/.test(form) && (TAG_SETS.VERB[after] || after === TAG.MD)) {
      return before === "but" || words[marked - 1]?.form === "but";
    }
    return true;
  },
});

const PUTS_SUBJECT_AFTER = wordList("pronoun-case/puts-subject-after");
