import { type Syntax, type VerbGroup, written } from "../../language/syntax.ts";
import { TAG, TAG_SETS } from "../../language/tag-sets.ts";
import { type Found, markCheck } from "../mark-check.ts";

const NOT_SENTENCES = ["heading", "cell", "caption", "item", "quote"] as const;

/** The sentences of a block, as units [from, to). */
export function* sentencesOf({
  sentenceTo,
  units,
}: Syntax): Generator<{ from: number; to: number }> {
  for (
    let from = 0;
    from < units.length;
    from = Math.max(from + 1, sentenceTo[from] ?? units.length)
  ) {
    yield { from, to: sentenceTo[from] ?? units.length };
  }
}

const finiteIn = ({ verbGroups }: Syntax, from: number, to: number): VerbGroup[] =>
  verbGroups.filter((verb) => verb.finite >= from && verb.to <= to);

/** "Because the wire was broken.": a subordinate clause that stands alone. */
export const fragment = markCheck({
  id: "grammar/fragment",
  weight: "settle",
  code: "fr",
  title: "Half a sentence",
  why: "A clause with “because”, “although”, “whereas” or “which” leans on another. Alone it leaves the reader waiting. In answers, notes and for effect it may be meant.",
  source: "common practice",
  examples: [
    { wrong: "It stopped. Because the wire broke.", right: "It stopped because the wire broke." },
    { leave: "Because the wire broke, it stopped." },
    { leave: "Why did it stop? Because the wire broke." },
    { leave: "When will it stop? It stopped. If it rains they wait." },
  ],
  reason: "This clause leans on another and stands alone.",
  notIn: NOT_SENTENCES,
  at: ["<s> because|although|whereas|until|unless|which"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, text, units } = syntax;
    let previousEnd = -1;
    let previousMark = "";
    for (const { from, to } of sentencesOf(syntax)) {
      const opener = words[from]?.form ?? "";
      const mark = written(syntax, to - 1);
      const before = previousEnd;
      const asked = previousMark === "?";
      previousEnd = to;
      previousMark = mark;
      if (mark !== "." || to - from < 5 || to - from > 22 || asked) continue;
      const sure = opener === "because" || opener === "although" || opener === "whereas";
      if (!sure && opener !== "until" && opener !== "unless" && opener !== "which") continue;
      if (opener === "because" && words[from + 1]?.form === "of") continue;
      // Any comma or second finite verb may bring the main clause.
      let commas = 0;
      for (let unit = from; unit < to; unit++)
        if (tags[unit] === TAG[","] || tags[unit] === TAG[":"]) commas++;
      if (commas > 0) continue;
      const verbs = finiteIn(syntax, from, to);
      if (opener === "which") {
        if (
          verbs.length === 0 ||
          verbs[0]?.finite !== from + 1 ||
          TAG_SETS.NOMINAL[tags[from + 1] ?? 0]
        )
          continue;
        found.push({ from, to: from + 1, mends: ["this"] });
        continue;
      }
      if (verbs.length !== 1) continue;
      if (before < 0) {
        found.push({ from, to: from + 1, mends: [] });
        continue;
      }
      const stop = units[before - 1];
      const first = units[from];
      if (!stop || !first || text[stop.from] !== ".") {
        found.push({ from, to: from + 1, mends: [] });
        continue;
      }
      const joined = sure && opener !== "because" ? `, ${opener}` : ` ${opener}`;
      const label = `… ${written(syntax, before - 2)}${joined}`;
      found.push({
        from,
        to: from + 1,
        mends: [{ label, edits: [{ from: stop.from, to: first.to, insert: joined }] }],
      });
    }
    return found;
  },
});

const SUBJECT_PRONOUNS = new Set("i he she it we they you there this nobody everyone".split(" "));
const SUBORDINATORS = new Set(
  "if when while although though because since as after before until unless once whereas where whenever wherever whether that who which what how why than lest however no whatever whoever even just only".split(
    " ",
  ),
);

/** "Every time it turned, we went home." */
const OPENS_CLAUSE = /^(?:way|time|moment|day|minute|instant|year)$/;

/** "The tide turned, we went home." */
export const commaSplice = markCheck({
  id: "grammar/comma-splice",
  weight: "settle",
  code: "cs",
  title: "Two sentences joined by a comma",
  why: "Two clauses that could each stand alone need more than a comma: a full stop, a semicolon, or “and”, “but”, “so”.",
  source: "common practice",
  examples: [
    { wrong: "The tide turned, we went home.", right: "The tide turned; we went home." },
    {
      wrong: "The wire broke, it had been worn for years.",
      right: "The wire broke; it had been worn for years.",
    },
    { leave: "When the tide turned, we went home." },
    { leave: "It came, it turned, it went." },
    { leave: "The tide, we know, turned; they said, she went." },
  ],
  reason: "Both halves are sentences; a comma is too little between them.",
  notIn: NOT_SENTENCES,
  at: [", i|he|she|it|we|they|you|there|this|nobody|everyone"],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, units, text } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      if (to - from < 6 || to - from > 40 || written(syntax, to - 1) !== ".") continue;
      const commas: number[] = [];
      let other = false;
      for (let unit = from; unit < to - 1; unit++) {
        if (tags[unit] === TAG[","]) commas.push(unit);
        const stop = tags[unit] === TAG[":"] || words[unit]?.form === ";";
        if (stop || tags[unit] === TAG.QT || tags[unit] === TAG.BR) other = true;
      }
      const comma = commas[0] ?? -1;
      if (commas.length !== 1 || other) continue;
      const opener = words[from]?.form ?? "";
      if (
        SUBORDINATORS.has(opener) ||
        TAG_SETS.WH[tags[from] ?? 0] ||
        tags[from] === TAG.VBG ||
        tags[from] === TAG.VBN ||
        tags[from] === TAG.TO
      )
        continue;
      if (
        tags[from] === TAG.IN ||
        tags[from] === TAG.CS ||
        tags[from] === TAG.CC ||
        tags[from] === TAG.RB
      )
        continue;
      // A subject that opens the sentence, and a finite verb before the comma.
      const first = syntax.nounGroups[syntax.nounAt[from] ?? -1];
      const verb = finiteIn(syntax, from, comma)[0];
      if (!first || first.from !== from || !verb || verb.finite > first.to + 2) continue;
      // "Every time it turned, …", "the way they read it, …": a clause of time or manner.
      if (OPENS_CLAUSE.test(words[first.head]?.form ?? "") && verb.finite > first.to) continue;
      // The second half: a pronoun subject right after the comma with its finite verb.
      const second = words[comma + 1]?.form ?? "";
      if (!SUBJECT_PRONOUNS.has(second)) continue;
      const after =
        syntax.verbGroups[syntax.verbAt[comma + 2] ?? -1] ??
        syntax.verbGroups[syntax.verbAt[comma + 3] ?? -1];
      if (!after || after.finite < 0 || after.finite > comma + 3) continue;
      if (tags[comma + 1] === TAG.PPS && words[comma + 2]?.form.startsWith("'") && to - comma < 5)
        continue;
      // "…, she said", "…, I think": the first half is what is said or thought.
      const main = words[after.main]?.form ?? "";
      if (
        to - after.to <= 1 ||
        /^(?:said|says|say|think|thought|believe|believes|suppose|supposes|know|knows|hope|hopes|fear|feared|guess|wrote|added|asked|mused|felt|feel|explained|reported|claimed|argued|insisted|noted|replied|told|tell|declared|suggested|admitted|concluded|observed|remarked|recalled|agreed|answered|warned|predicted|maintained|contended)$/.test(
          main,
        )
      )
        continue;
      // The more it rains, the more; half questions; short pairs for effect.
      if (
        words[from]?.form === "the" &&
        /^(?:more|less|better|longer|JJR)$/.test(words[from + 1]?.form ?? "")
      )
        continue;
      if (finiteIn(syntax, from, comma).length > 1) continue;
      if (
        /^(?:tell|told|think|say|said|know|believe|suppose|mind|mean|see|look)$/.test(
          words[verb.main]?.form ?? "",
        )
      )
        continue;
      let subordinate = false;
      for (let unit = from; unit < comma; unit++)
        if (SUBORDINATORS.has(words[unit]?.form ?? "") || tags[unit] === TAG.CS) subordinate = true;
      if (subordinate) continue;
      // "so cold, it hurt", "such a day, they left".
      if (
        /\b(?:so|such|not|never|hardly|scarcely)\b/.test(
          text.slice(units[from]?.from ?? 0, units[comma]?.from ?? 0),
        )
      )
        continue;
      const at = units[comma];
      const next = units[comma + 1];
      if (!at || !next) continue;
      const word = text.slice(next.from, next.to);
      const capital = word.slice(0, 1).toUpperCase() + word.slice(1);
      found.push({
        from: comma - 1,
        to: comma + 2,
        mends: [
          edit(syntax, comma, { from: at.from, to: at.to, insert: ";" }),
          edit(syntax, comma, { from: at.from, to: next.to, insert: `. ${capital}` }),
          edit(syntax, comma, { from: at.to, to: at.to, insert: " and" }),
        ],
      });
    }
    return found;
  },
});

/** A choice that edits around a comma, labelled with the words on both sides. */
function edit(
  { text, units }: Syntax,
  comma: number,
  one: { from: number; to: number; insert: string },
) {
  const from = units[comma - 1]?.from ?? 0;
  const to = units[comma + 1]?.to ?? 0;
  const label = text.slice(from, one.from) + one.insert + text.slice(one.to, to);
  return { label, edits: [one] };
}

/** "…, however the wall held": an adverb is no conjunction. */
export const adverbSplice = markCheck({
  id: "grammar/adverb-splice",
  weight: "settle",
  code: "cs",
  title: "“however”, “therefore” between two sentences",
  why: "“However”, “therefore”, “moreover” and their like are adverbs; they cannot join two sentences with a comma. A semicolon or a full stop stands before them and a comma after.",
  source: "common practice",
  examples: [
    { wrong: "It was high, however the wall held.", right: "It was high; however, the wall held." },
    {
      wrong: "The pump failed, therefore the well filled.",
      right: "The pump failed; therefore, the well filled.",
    },
    { leave: "It was, however, high; they wait, however late it is." },
  ],
  reason: "An adverb cannot join two sentences with a comma.",
  notIn: NOT_SENTENCES,
  patterns: [
    "VERB|NOUN|ADJ|RB|PPO [, however|therefore|moreover|nevertheless|furthermore|consequently|nonetheless] PPS|PPSS VERB|MD => ; $3,",
    "VERB|NOUN|ADJ|RB|PPO [, however|therefore|moreover|nevertheless|furthermore|consequently|nonetheless] the|a|his|her|their|our|its|this|these NOUN VERB|MD => ; $3,",
    "VERB|NOUN|ADJ|RB|PPO [, however|therefore|moreover|nevertheless|furthermore|consequently|nonetheless ,] PPS|PPSS VERB|MD => ; $3,",
    "VERB|NOUN|ADJ|RB|PPO [, however|therefore|moreover|nevertheless|furthermore|consequently|nonetheless ,] the|a|his|her|their|our|its|this|these NOUN VERB|MD => ; $3,",
  ],
  accepts: ({ bounds }, syntax) => {
    const comma = bounds[2] ?? 0;
    const from = syntax.sentenceFrom[comma] ?? 0;
    if (SUBORDINATORS.has(syntax.words[from]?.form ?? "") || syntax.tags[from] === TAG.CC)
      return false;
    for (let unit = from; unit < comma; unit++)
      if (syntax.tags[unit] === TAG[","] || syntax.tags[unit] === TAG.CS) return false;
    return finiteIn(syntax, from, comma).length > 0;
  },
});

/** "walking, fishing and to row". */
export const parallelList = markCheck({
  id: "grammar/parallel-list",
  weight: "weigh",
  code: "par",
  title: "List in different forms",
  why: "The members of a list read best in one form: reading, walking and swimming; to paint, to mend and to buy.",
  source: "common practice",
  examples: [
    {
      wrong: "She likes reading, walking and to swim.",
      right: "She likes reading, walking and swimming.",
    },
    {
      wrong: "They plan to paint it, to mend it and buying a lamp.",
      right: "They plan to paint it, to mend it and to buy a lamp.",
    },
    { leave: "They stopped reading and walking to look at it." },
    { leave: "He likes walking, and to swim is dear to him." },
  ],
  reason: "The other members of the list have another form: “{1}”.",
  patterns: [
    "like~|enjoy~|love~|hate~|prefer~|start~|stop~|include~|avoid~ VBG NOUN? , VBG ,? and|or [to VB] => $9:VBG",
    "like~|enjoy~|love~|hate~|prefer~ VBG and|or [to VB] => $5:VBG",
    "VB DT|PRP$? NOUN|PPO? , to VB DT|PRP$? NOUN|PPO? and|or [VBG] => to $10:VB",
    "to VB , to VB ,? and|or [VBG] => to $8:VB",
  ],
});

/** "Walking along the quay, the lamp came into view." */
export const danglingOpening = markCheck({
  id: "grammar/dangling-opening",
  weight: "weigh",
  code: "dm",
  title: "Opening that hangs in the air",
  why: "A phrase such as “Walking along the quay,” belongs to the subject that follows. Here that is a thing that did not walk.",
  source: "common practice",
  examples: [
    { leave: "Walking along the quay, we saw the lamp." },
    { leave: "Using a lamp, the keeper read the gauge." },
    { leave: "Considering the hour, the tide was high." },
  ],
  reason: "The opening belongs to “{subject}”, which can hardly be meant.",
  notIn: NOT_SENTENCES,
  at: [
    "walking|looking|reading|having|opening|closing|running|driving|sitting|standing|turning|entering|arriving|leaving|coming|going|hearing|seeing|waiting|climbing|sailing",
  ],
  find(syntax) {
    const found: Found[] = [];
    const { words, tags, nounGroups, nounAt } = syntax;
    for (const { from, to } of sentencesOf(syntax)) {
      const first =
        tags[from] === TAG.VBG
          ? from
          : /^(?:after|before|while|when|by)$/.test(words[from]?.form ?? "") &&
              tags[from + 1] === TAG.VBG
            ? from + 1
            : -1;
      if (first < 0) continue;
      const form = words[first]?.form ?? "";
      if (
        !/^(?:walking|looking|reading|having|opening|closing|running|driving|sitting|standing|turning|entering|arriving|leaving|coming|going|hearing|seeing|waiting|climbing|sailing)$/.test(
          form,
        )
      )
        continue;
      if (form === "having" && tags[first + 1] !== TAG.VBN) continue;
      let comma = first;
      while (comma < to && tags[comma] !== TAG[","]) comma++;
      if (
        comma >= to ||
        comma - first > 12 ||
        syntax.verbGroups.some((verb) => verb.finite > first && verb.finite < comma)
      )
        continue;
      const subject = nounGroups[nounAt[comma + 1] ?? -1];
      if (!subject || subject.from !== comma + 1 || subject.pronoun) continue;
      const head = words[subject.head]?.form ?? "";
      if (tags[subject.head] === TAG.NNP || tags[subject.head] === TAG.NNPS) continue;
      const verb = syntax.verbGroups[syntax.verbAt[subject.to] ?? -1];
      if (!verb || verb.finite < 0) continue;
      const thing = THINGS.test(head);
      const unmoved =
        verb.passive ||
        /^(?:came|seemed|looked|appeared|was|were|is|are|stopped|fell)$/.test(
          words[verb.main]?.form ?? "",
        );
      if (!thing || !unmoved) continue;
      const reason = `The opening belongs to “${written(syntax, subject.head)}”, which can hardly be meant.`;
      found.push({ from, to: comma, mends: [], reason });
    }
    return found;
  },
});

/** Heads that neither walk nor read; common practice. */
const THINGS =
  /^(?:lamp|error|errors|boats|boat|water|house|door|wall|tower|light|gauge|view|results|result|error|problem|road|sea|town|building|data|figures|log|report|book|mistake|answer|weather|window|picture|room|train|bus|temperature|pressure|key|letter|tide|river|sky|moon|sun|hill|station|experiment|test|test|analysis|method)$/;

/** "She opened the door and walks in." */
export const tenseShift = markCheck({
  id: "grammar/tense-shift",
  weight: "weigh",
  code: "tns",
  title: "Tense changes within a sentence",
  why: "Verbs joined by “and” under one subject tell one story and mostly stand in one tense.",
  source: "common practice",
  examples: [
    { wrong: "She opened the door and walks in.", right: "She opened the door and walked in." },
    {
      wrong: "He takes the key and opened the gate.",
      right: "He takes the key and opens the gate.",
    },
    { leave: "He said that it works and left." },
    { leave: "The book was written there and is now lost." },
  ],
  reason: "The verb before it stands in another tense: “{1}”.",
  at: ["and VBD|VBZ"],
  find(syntax, { words: table }) {
    const found: Found[] = [];
    const { words, tags, verbGroups } = syntax;
    for (const [index, verb] of verbGroups.entries()) {
      const unit = verb.finite;
      if (unit < 0 || words[unit - 1]?.form !== "and" || verb.finite !== verb.main) continue;
      const before = verbGroups[index - 1];
      if (!before || before.finite < 0 || before.finite !== before.main) continue;
      if ((syntax.sentenceFrom[unit] ?? 0) !== (syntax.sentenceFrom[before.finite] ?? 0)) continue;
      if (unit - before.to > 9) continue;
      const one = tags[before.finite];
      const two = tags[unit];
      const shifted = (one === TAG.VBD && two === TAG.VBZ) || (one === TAG.VBZ && two === TAG.VBD);
      if (!shifted) continue;
      const form = words[unit]?.form ?? "";
      const other = words[before.finite]?.form ?? "";
      if (STATES.has(form) || STATES.has(other) || form.startsWith("'")) continue;
      // Only where the first verb's own subject is the only one.
      let clear = true;
      for (let at = before.to; at < unit - 1; at++) {
        if (
          tags[at] === TAG.CS ||
          TAG_SETS.WH[tags[at] ?? 0] ||
          tags[at] === TAG.PPS ||
          tags[at] === TAG.PPSS ||
          tags[at] === TAG[":"] ||
          tags[at] === TAG.QT
        )
          clear = false;
      }
      if (!clear) continue;
      const lemma = table.verb(form);
      const past = two === TAG.VBZ;
      const mend = table.inflect(lemma, past ? "VBD" : "VBZ");
      if (mend === form) continue;
      found.push({ from: unit, to: unit + 1, mends: [mend] });
    }
    return found;
  },
});

/** Verbs whose tense says more of the fact than of the story. */
const STATES = new Set(
  "is was are were has had does did says said remains remained means meant includes included contains contained stands stood lies lay knows knew believes believed becomes became shows showed".split(
    " ",
  ),
);
