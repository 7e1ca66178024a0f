import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import { markCheck } from "../mark-check.ts";

/** "between you and I", "me and him went". */
export const pronounCase = markCheck({
  id: "grammar/pronoun-case",
  weight: "fix",
  code: "pro",
  title: "Case of a pronoun",
  why: "After a preposition or a verb the pronoun is “me, him, her, us, them”; as a subject “I, he, she, we, they”. A second person joined by “and” changes nothing: between you and me.",
  source: "common practice",
  examples: [
    { wrong: "Between you and I, it is wrong.", right: "Between you and me, it is wrong." },
    { wrong: "Him and his son built it.", right: "He and his son built it." },
    { wrong: "The letter is for he.", right: "The letter is for him." },
    { wrong: "Us keepers have a rule.", right: "We keepers have a rule." },
    { leave: "My sister and I wrote to you and me." },
    { leave: "They knew what he and I had seen, for he had told us." },
  ],
  reason: "Here the pronoun is “{1}”.",
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
      return !/^(?:do|does|did|is|was|were|are|has|had|have|be|said|says|asked|thought|cried|replied|think|say|answered|than|went|came)$/.test(
        words[marked - 1]?.form ?? "",
      );
    }
    if (/^(?:he|she|they|we)$/.test(form) && (TAG_SETS.VERB[after] || after === TAG.MD)) {
      return before === "but" || words[marked - 1]?.form === "but";
    }
    return true;
  },
});

/** "the clerk and myself", "hisself". */
export const reflexive = markCheck({
  id: "grammar/reflexive",
  weight: "fix",
  code: "pro",
  title: "“-self” out of place",
  why: "“Myself” and its like refer back to the subject or stress a noun: I hurt myself; the keeper himself. They do not take the place of “I” or “me”. The forms are “himself”, “themselves”, “ourselves”.",
  source: "common practice",
  examples: [
    { wrong: "The clerk and myself signed it.", right: "The clerk and I signed it." },
    { wrong: "Please write to myself.", right: "Please write to me." },
    { wrong: "We found ourself alone.", right: "We found ourselves alone." },
    { leave: "I did it myself, and she kept it to herself." },
    { leave: "He himself wrote to them." },
  ],
  reason: "Here “{1}” is meant.",
  patterns: [
    "NOUN|NNP|PPSS|PPS and [myself] VERB|MD => I",
    "<s> [myself] and _ => I",
    "write|writes|speak|contact|reply|send|call|ask to? [myself] .|,|at|or|and|by|if|</s> => me",
    "contact|call|ask [myself] or|and|.|,|at|by|if => me",
    "we VERB [ourself] => ourselves",
    "they|them VERB [themself|theirself] => themselves",
  ],
});

/** "to who", "the clerk whom wrote". */
export const whoWhom = markCheck({
  id: "grammar/who-whom",
  weight: "fix",
  code: "pro",
  title: "“who” and “whom”",
  why: "“Who” is a subject, “whom” an object; after a preposition stands “whom”.",
  source: "common practice",
  examples: [
    { wrong: "To who did you send it?", right: "To whom did you send it?" },
    { wrong: "The clerk whom wrote it has left.", right: "The clerk who wrote it has left." },
    { wrong: "Whom is at the door?", right: "Who is at the door?" },
    { leave: "The man whom they met knew who I spoke of." },
    { leave: "It depends on who is there; the one whom, they say, is late." },
  ],
  reason: "Here the pronoun is “{1}”.",
  patterns: [
    "to|for|with|from|by|of|about|against|at|among|behind|beside|through|under|upon|without [who] PRONOUN|the|a|my|his|her|their|our|did|do|does|is|are|was|were => whom",
    "NOUN|one|those|NNP [whom] VBZ|VBD => who",
    "<s> [whom] VBZ|VBD|MD !PRONOUN|DT|PRP$|the => who",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    if (words[marked]?.form === "who") {
      // "depends on who is there": the whole clause is the object.
      const next = words[marked + 1]?.form ?? "";
      // "judged by who you are", "keep track of who did what": a question within the sentence.
      if (/^(?:am|are|is|was|were|be)$/.test(words[marked + 2]?.form ?? "")) return false;
      if (/^(?:did|do|does)$/.test(next) && !TAG_SETS.PRONOUN[tags[marked + 2] ?? 0]) return false;
      if (/^(?:is|are|was|were|did|do|does)$/.test(next)) {
        return marked - 1 === 0 ||
          /^(?:did|do|does)$/.test(next) ||
          TAG_SETS.NOMINAL[tags[marked - 2] ?? 0] === 1
          ? /^(?:did|do|does)$/.test(next)
          : false;
      }
      const before = words[marked - 1]?.form ?? "";
      return before !== "about" && before !== "on";
    }
    return true;
  },
});

/** "the people which". */
export const whoWhich = markCheck({
  id: "grammar/who-which",
  weight: "settle",
  code: "pro",
  title: "“which” for people",
  why: "People take “who”; “which” is for things.",
  source: "common practice",
  examples: [
    { wrong: "The people which live there know.", right: "The people who live there know." },
    { wrong: "The keeper which read it was tired.", right: "The keeper who read it was tired." },
    { leave: "The number of people which the hall holds." },
    { leave: "The letters from the men, which came late, are here." },
  ],
  reason: "People take “who”.",
  patterns: [
    "people|man|men|woman|women|person|persons|child|children|boy|boys|girl|girls|keeper|keepers|clerk|clerks|visitor|visitors|author|authors|reader|readers|student|students|patient|patients|customer|customers|worker|workers|teacher|teachers|doctor|doctors|members|friend|friends [which] VBD|VBZ|VB|MD => who",
  ],
  accepts: ({ bounds }, { words }) =>
    !/^(?:of|in|from|for|by)$/.test(words[(bounds[0] ?? 0) - 1]?.form ?? "") &&
    !/^(?:of|in|from|for|by)$/.test(words[(bounds[0] ?? 0) - 2]?.form ?? ""),
});

/** "them charts". */
export const themThose = markCheck({
  id: "grammar/them-those",
  weight: "fix",
  code: "pro",
  title: "“them” for “those”",
  why: "Before a noun stands “those”; “them” stands alone.",
  source: "common practice",
  examples: [
    { wrong: "Them charts are old.", right: "Those charts are old." },
    { wrong: "We read them figures twice.", right: "We read those figures twice." },
    { leave: "They gave them books and told them things." },
  ],
  reason: "Before a noun stands “those”.",
  patterns: [
    "<s> [them] ADJ? NNS VERB => those",
    "<s> [them] are => those",
    "IN|VB|VBD|put/VB [them] NNS => those",
  ],
  accepts: ({ bounds, pattern }, { words, tags, units }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    if (marked === 0) return true;
    const before = words[marked - 1]?.form ?? "";
    // Verbs that take two objects: "gave them books".
    if (
      /^(?:give|gave|tell|told|send|sent|show|showed|teach|taught|bring|brought|buy|bought|make|made|offer|offered|get|got|call|called|pay|paid|allow|allowed|ask|asked|cost|lend|lent|read|find|found|consider|considered|wish|wished|leave|left|save|saved|hand|handed|feed|fed|owe|owed|deny|denied|write|wrote|have|had|do|did)$/.test(
        before,
      )
    ) {
      return before === "read" && units.length - marked > 2 && tags[marked - 1] === TAG.VBD;
    }
    if (tags[marked - 1] === TAG.IN) return /^(?:in|on|from|of|with|left)$/.test(before) && false;
    return (
      TAG_SETS.VERB[tags[marked - 1] ?? 0] === 1 &&
      /^(?:left|put|saw|see|took|take|like|want|use|need)$/.test(before)
    );
  },
});

/** "its" and "it's" where there is no doubt. */
export const itsOrIts = markCheck({
  id: "grammar/its-or-its",
  weight: "fix",
  code: "ap",
  title: "“its” and “it’s”",
  why: "“It’s” is short for “it is” or “it has”. “Its” without an apostrophe is the possessive, like “his”.",
  source: "common practice",
  examples: [
    { wrong: "The boat lay on it’s side.", right: "The boat lay on its side." },
    { wrong: "Its not the first time.", right: "It’s not the first time." },
    { wrong: "Each well has it’s own tap.", right: "Each well has its own tap." },
    { wrong: "The day is at it’s shortest.", right: "The day is at its shortest." },
    { leave: "It’s cold, and its own tap is shut; it’s all over." },
    { leave: "It’s side by side with the old one." },
  ],
  reason: "Here “{1}” is meant.",
  patterns: [
    "has|have|had|lost|lose|loses|kept|on|in|of|by|with|from|for|to|at|under|into|has|changed [it 's] ADJ? own|NOUN !that|who|which|when => its",
    "[it 's] own => its",
    "at [it 's] JJS => its",
    "<s> [its] not|been|a|an|the|too|very|never|always|only|just|going|time|raining|like|almost|clear|possible|true|important => it’s",
    ",|and|but|that|think|thinks|say|says|said|hope|know|knows|because|if|when|though [its] not|been|a|an|the|too|very|never|going|always|raining => it’s",
  ],
  accepts: ({ bounds, pattern }, { words, tags }) => {
    const marked = bounds[2 * pattern.marked.from] ?? 0;
    const end = bounds[2 * pattern.marked.to - 1] ?? 0;
    if (words[marked]?.form === "it") {
      const before = tags[marked - 1] ?? 0;
      const form = words[marked - 1]?.form ?? "";
      if (words[end]?.form === "own") return true;
      // "in it's a pity", "to it's time": only what cannot be a clause.
      if (tags[end] === TAG.DT || words[end]?.form === "time") return false;
      if (/^(?:for|by|of|in|on|with|from|to|at|under|into)$/.test(form) && before === TAG.CS)
        return false;
      return TAG_SETS.NOUN[tags[end] ?? 0] === 1 || TAG_SETS.ADJ[tags[end] ?? 0] === 1;
    }
    return true;
  },
});
