import type { Syntax } from "../../language/phrases/syntax.ts";
import { TAG } from "../../language/tags/tag-sets.ts";
import type { Inflection } from "../../language/words/lemmas.ts";
import { INFLECTIONS } from "../../language/words/lemmas.ts";
import { openingSound } from "../../language/words/sounds.ts";
import type { WordTable } from "../../language/words/words.ts";
import type { Choice } from "../check.ts";
import type { Match } from "./matcher.ts";
import type { Mend } from "./pattern.ts";

/** The marked text of a match: offsets in the block's text, and the units, [from, to). */
export function markedRange({ pattern, bounds }: Match, { units }: Syntax) {
  const first = bounds[2 * pattern.marked.from] ?? 0;
  const last = bounds[2 * pattern.marked.to - 1] ?? 0;
  return { from: units[first]?.from ?? 0, to: units[last - 1]?.to ?? 0, first, last };
}

/** The ways to mend a match, each fit to stand in the place of the marked text. */
export function choicesOf(match: Match, syntax: Syntax, table: WordTable): Choice[] {
  const { from, to, first, last } = markedRange(match, syntax);
  const choices: Choice[] = [];
  for (const mend of match.pattern.mends) {
    const text = mendText(mend, match, syntax, table);
    const next = text === "" ? (syntax.words[last]?.form ?? "") : text;
    const choice = withArticle(replaceBy(syntax.text, from, to, text), next, syntax, first);
    if (!choices.some(({ label }) => label === choice.label)) choices.push(choice);
  }
  return choices;
}

/** "an actual fact" becomes "a fact": the article before what is changed goes with what follows it now. */
function withArticle(choice: Choice, next: string, { units, text }: Syntax, first: number): Choice {
  const article = units[first - 1];
  if (!article) return choice;
  const { from, to } = article;
  const written = text.slice(from, to);
  const [word = ""] = /^[\p{L}’'-]+/u.exec(next) ?? [];
  if (!/^an?$/i.test(written) || word === "") return choice;
  const opening = openingSound(word);
  const fitting =
    opening === "vowel" ? "an" : opening === "consonant" ? "a" : written.toLowerCase();
  if (fitting === written.toLowerCase()) return choice;
  const insert = written.startsWith("A") ? capitalised(fitting) : fitting;
  return { ...choice, edits: [{ from, to, insert }, ...choice.edits] };
}

function mendText(mend: Mend, { bounds }: Match, syntax: Syntax, table: WordTable): string {
  let text = "";
  for (const part of mend) {
    let piece = "";
    if (part.kind === "text") piece = part.text;
    else {
      const first = bounds[2 * part.element] ?? 0;
      const last = bounds[2 * part.element + 1] ?? first;
      if (part.kind === "copy") {
        const range = { from: syntax.units[first]?.from ?? 0, to: syntax.units[last - 1]?.to ?? 0 };
        piece = last > first ? syntax.text.slice(range.from, range.to) : "";
        if (part.inflection && piece !== "") piece = reinflect(piece, part.inflection, table);
      } else piece = table.inflect(part.lemma, inflectionAt(syntax, first, part.lemma, table));
    }
    if (piece === "") continue;
    const attached =
      part.glued || text === "" || /^(?:n?['’]|[,.;:?!)])/.test(piece) || /[(-]$/.test(text);
    text += attached ? piece : ` ${piece}`;
  }
  return text;
}

const IS_INFLECTION = new Set<string>(INFLECTIONS);

const OBJECTIVE: Record<string, string> = {
  i: "me",
  he: "him",
  she: "her",
  we: "us",
  they: "them",
  who: "whom",
};
const SUBJECTIVE: Record<string, string> = {
  me: "I",
  him: "he",
  her: "she",
  us: "we",
  them: "they",
  whom: "who",
};

/**
 * A word as written in another form of its base: an inflection, "VB" or "NN" for the base form, "OBJ"
 * and "SUBJ" for the case of a pronoun, "CAP" for a capital.
 */
export function reinflect(written: string, inflection: string, table: WordTable): string {
  const lower = written.toLowerCase().replaceAll("’", "'");
  if (inflection === "CAP") return capitalised(written);
  if (inflection === "VBZ" && lower === "were") return "was";
  if (inflection === "OBJ") return OBJECTIVE[lower] ?? lower;
  if (inflection === "SUBJ") return SUBJECTIVE[lower] ?? lower;
  const noun = inflection === "NN" || inflection === "NNS";
  const lemma = noun ? table.noun(lower) : table.verb(lower);
  const wanted = IS_INFLECTION.has(inflection) ? (inflection as Inflection) : null;
  const form = table.inflect(lemma, wanted);
  return /^\p{Lu}/u.test(written) ? capitalised(form) : form;
}

/** The inflection that a unit has, told by its part of speech. */
function inflectionAt({ tags, words }: Syntax, unit: number, lemma: string, table: WordTable) {
  const form = words[unit]?.form ?? "";
  switch (tags[unit]) {
    case TAG.NNS:
      return "NNS";
    case TAG.VBZ:
      return "VBZ";
    case TAG.VBD:
      return "VBD";
    case TAG.VBN:
      return "VBN";
    case TAG.VBG:
      return "VBG";
    default:
      // A tagger may take "making" for a noun; the ending tells what is meant.
      if (form.endsWith("ing") && table.verb(form) !== form && !lemma.endsWith("ing")) return "VBG";
      return null;
  }
}

/** A text with its first letter a capital. */
export function capitalised(text: string): string {
  return text.slice(0, 1).toUpperCase() + text.slice(1);
}

/**
 * A choice that puts a text in the place of another with capitals and spaces kept right: a
 * replacement takes the first letter's case, and a deletion takes a space along.
 */
export function replaceBy(text: string, from: number, to: number, insert: string): Choice {
  const marked = text.slice(from, to);
  if (insert !== "") {
    const opens = /^\p{Lu}/u.test(marked) && !/^I(?:\b|['’])/.test(marked);
    const fitted = opens ? capitalised(insert) : insert;
    return { label: fitted, edits: [{ from, to, insert: fitted }] };
  }
  const before = text[from - 1] ?? "";
  const after = text[to] ?? "";
  const edits = [{ from, to, insert: "" }];
  const [edit] = edits;
  const label = `leave out “${marked}”`;
  if (!edit) return { label, edits };
  if (/^\p{Lu}/u.test(marked) && /\s/.test(after)) {
    // What follows opens the sentence now.
    const next = /^\s+(\p{Ll})/u.exec(text.slice(to));
    if (next) {
      edit.to = to + next[0].length;
      edit.insert = (next[1] ?? "").toUpperCase();
      return { label, edits };
    }
  }
  if (/\s/.test(before) && (/[\s,.;:?!)]/.test(after) || after === "")) edit.from--;
  else if ((before === "" || /[\s(“‘"]/.test(before)) && /\s/.test(after)) edit.to++;
  return { label, edits };
}
