import { numberOf, subjectOf } from "../phrases/clauses.ts";
import { isPlainNumber, isPlainPlural, isPlainWord } from "../phrases/plain-places.ts";
import type { Syntax } from "../phrases/syntax.ts";
import { TAG, TAG_SETS, tagSet } from "../tags/tag-sets.ts";
import { VERB } from "../words/lexicon.ts";
import { wordList } from "../words/word-lists.ts";
import { BARE, ING, PARTICIPLE, PAST, PRESENT, THIRD, type WordTable } from "../words/words.ts";
import type { ChoiceModel } from "./choice-model.ts";
import { mayOpen, ownerFeatures, ownerUnits, stopFeatures } from "./mark-slots.ts";
import type { NounHabits } from "./noun-habits.ts";
import { articleOf } from "./noun-record.ts";
import { numberFeatures } from "./number-slots.ts";
import {
  clauseFeatures,
  groupFeatures,
  nearFeatures,
  unitBefore,
  verbFeatures,
  wideFeatures,
} from "./slots.ts";
import type { SubjectModel } from "./subject-model.ts";
import type { Trigrams } from "./trigrams.ts";

/** A place that a model has something to say about. */
export interface Slot {
  /** Index of the model. */
  model: number;
  /** Units, [from, to). */
  from: number;
  to: number;
  /** The class of what stands there; what the model is asked to beat. */
  typed: number;
}

export const NUMBERS = ["singular", "plural", "noun"] as const;
export const ARTICLES = ["none", "article"] as const;
/** Whether a sentence goes on before a capital, or ends there. */
export const STOPS = ["on", "stop"] as const;
/** Whether a noun in s is a plural or owns what follows. */
export const OWNERS = ["plural", "owner"] as const;

/** Finds the slots of a text for a list of models. */
export class SlotFinder {
  /** By the number of a set's first word: its models and classes, and the clitic or word that must follow. */
  private readonly byWord: ({ model: number; typed: number; tail: string }[] | undefined)[] = [];
  private readonly number: number;
  private readonly form: number;
  private readonly article: number;
  private readonly stop: number;
  private readonly owner: number;

  constructor(
    readonly models: readonly ChoiceModel[],
    private readonly table: WordTable,
    private readonly subjects: SubjectModel | null,
    private readonly habits: NounHabits | null,
  ) {
    for (const [model, { kind, classes }] of models.entries()) {
      if (kind !== "words") continue;
      for (const [typed, word] of classes.entries()) {
        const cut = word.search(/[ ']/);
        const tail = cut < 0 ? "" : word.slice(cut).trim();
        const id = table.intern(cut < 0 ? word : word.slice(0, cut));
        const entries = this.byWord[id] ?? [];
        entries.push({ model, typed, tail });
        this.byWord[id] = entries;
      }
    }
    const of = (kind: ChoiceModel["kind"]) => models.findIndex((model) => model.kind === kind);
    this.number = of("number");
    this.form = of("form");
    this.article = of("article");
    this.stop = of("stop");
    this.owner = of("owner");
  }

  /**
   * Calls back with every slot of a text that is worth judging; with those that are plainly right as
   * well where it is to be learned from.
   */
  find(syntax: Syntax, found: (slot: Slot, plain: boolean) => void, plainToo = false): void {
    const { words, tags } = syntax;
    for (let at = 0; at < words.length; at++) {
      const word = words[at];
      if (!word) continue;
      const entries = word.id > 0 ? this.byWord[word.id] : undefined;
      const plain = entries !== undefined && isPlainWord(syntax, at);
      if (entries) {
        const next = words[at + 1]?.form ?? "";
        const clitic = next.startsWith("'") ? next : "";
        for (const entry of entries) {
          const whole = entry.tail !== "";
          if (whole ? next !== entry.tail : clitic !== "" && clitic !== "'s") continue;
          // What is plain of a word alone is not so of one run together with the next.
          const right = plain && !whole;
          const slot = {
            model: entry.model,
            from: at,
            to: at + (whole ? 2 : 1),
            typed: entry.typed,
          };
          if (plainToo || !right) found(slot, right);
        }
      }
      const tag = tags[at] ?? 0;
      if (this.number >= 0) {
        const typed = numberTyped(syntax, at, tag);
        const right =
          typed >= 0 && (isPlainNumber(syntax, at, typed) || agreesPlainly(syntax, at, typed));
        if (typed >= 0 && (plainToo || !right)) {
          found({ model: this.number, from: at, to: at + 1, typed }, right);
        }
      }
      if (this.form >= 0 && isGoverned(syntax, at, tag)) {
        const right = this.isPlainForm(syntax, at, tag);
        const slot = { model: this.form, from: at, to: at + 1, typed: formTyped(syntax, at, tag) };
        if (plainToo || !right) found(slot, right);
      }
      if (this.stop >= 0 && mayOpen(syntax, at)) {
        found({ model: this.stop, from: at, to: at, typed: 0 }, false);
      }
      if (this.owner >= 0 && TAG_SETS.NOUN[tag]) {
        const units = ownerUnits(syntax, at, this.table);
        const right = units === 1 && isPlainPlural(syntax, at);
        if (units > 0 && (plainToo || !right)) {
          found({ model: this.owner, from: at, to: at + units, typed: units - 1 }, right);
        }
      }
    }
    if (this.article < 0) return;
    for (const group of syntax.nounGroups) {
      const typed = articleOf(syntax, group);
      if (typed < 0) continue;
      const { from } = group;
      found({ model: this.article, from, to: from + typed, typed }, false);
    }
  }

  /** "To read", "must read", "is reading", "has read": the form that is wanted. */
  private isPlainForm({ words, tags }: Syntax, at: number, tag: number): boolean {
    const governor = tags[at - 1];
    if (governor === TAG.MD || governor === TAG.TO)
      return tag === TAG.VB && this.table.isForm(words[at]?.form ?? "", BARE);
    if (!AUXILIARY.has(words[at - 1]?.form ?? "")) return false;
    if (tag === TAG.VBG) return true;
    return tag === TAG.VBN && this.table.isForm(words[at]?.form ?? "", PARTICIPLE);
  }

  /** Fills in all features of a slot and returns how many there are. */
  features(syntax: Syntax, slot: Slot, features: Int32Array, trigrams: Trigrams): number {
    const near = nearFeatures(syntax, slot.from, slot.to, features);
    const own = this.ownFeatures(syntax, slot, features, near, trigrams);
    return this.farFeatures(syntax, slot, features, own);
  }

  /** Adds to what stands right next to a slot the features of its kind. */
  ownFeatures(
    syntax: Syntax,
    slot: Slot,
    features: Int32Array,
    counted: number,
    trigrams: Trigrams,
  ): number {
    const { table } = this;
    const { from, to } = slot;
    const lemma = () => table.word(table.verb(syntax.words[from]?.form ?? ""));
    switch (this.models[slot.model]?.kind) {
      case "words":
        return clauseFeatures(syntax, from, to, features, counted);
      case "number":
        return numberFeatures(syntax, from, lemma(), features, counted, this.subjects);
      case "form":
        return verbFeatures(syntax, from, lemma(), features, counted);
      case "article":
        return groupFeatures(syntax, from, to, features, counted, trigrams, table, this.habits);
      case "stop":
        return stopFeatures(syntax, from, features, counted);
      case "owner":
        return ownerFeatures(syntax, from, to, features, counted, table);
      default:
        return counted;
    }
  }

  /** Adds those that lie farther out. */
  farFeatures(syntax: Syntax, slot: Slot, features: Int32Array, counted: number): number {
    const reach = this.models[slot.model]?.kind === "words" ? undefined : 0;
    return wideFeatures(syntax, slot.from, slot.to, features, counted, reach);
  }
}

/** Whether a unit may be a finite verb in a number, by 0 for singular and 1 for plural; or -1. */
function numberTyped(syntax: Syntax, at: number, tag: number): number {
  const { words, tags, verbAt, verbGroups } = syntax;
  const form = words[at]?.form ?? "";
  if (tag === TAG.VBZ) return form.startsWith("'") ? -1 : 0;
  if (tag === TAG.VBP) return form === "are" ? 1 : -1;
  if (tag === TAG.VBD) return form === "was" ? 0 : form === "were" ? 1 : -1;
  if (tag === TAG.VB) {
    const group = verbGroups[verbAt[at] ?? -1];
    return group?.finite === at && form !== "be" ? 1 : -1;
  }
  if (tag !== TAG.NN && tag !== TAG.NNS) return -1;
  // "The keeper walk to the mark": a verb of the wrong number is easily taken for a noun.
  if (((words[at]?.traits ?? 0) & VERB) === 0) return -1;
  const before = tags[at - 1] ?? 0;
  if (at <= (syntax.sentenceFrom[at] ?? 0)) return -1;
  const one = before === TAG.DT && ONE_THING.has(words[at - 1]?.form ?? "");
  if (!MAY_BE_SUBJECT[before] && !one) return -1;
  if (TAG_SETS.NOMINAL[tags[at + 1] ?? 0] || tags[at + 1] === TAG.POS) return -1;
  return 2;
}

/** Units within which a noun that might be a verb is followed by its own. */
const VERB_REACH = 5;

/** Another finite verb in the same sentence, less than `reach` units on. */
export function hasVerbWithin(
  { verbGroups, verbAt, sentenceTo }: Syntax,
  unit: number,
  reach: number,
): boolean {
  const end = Math.min(unit + reach, sentenceTo[unit] ?? 0);
  for (let at = unit + 1; at < end; at++) {
    if (verbGroups[verbAt[at] ?? -1]?.finite === at) return true;
  }
  return false;
}

/** A verb right after its subject, which is of its number: "the lamps are"; a noun before its verb. */
function agreesPlainly(syntax: Syntax, at: number, typed: number): boolean {
  if (typed === 2) return hasVerbWithin(syntax, at, VERB_REACH);
  const verb = syntax.verbGroups[syntax.verbAt[at] ?? -1];
  if (verb?.finite !== at) return false;
  const before = syntax.nounGroups[syntax.nounAt[at - 1] ?? -1];
  if (!before || numberOf(syntax, before) !== (typed === 0 ? "singular" : "plural")) return false;
  const subject = subjectOf(syntax, verb);
  return subject?.near === true && subject.group === before;
}

const MAY_BE_SUBJECT = tagSet("NN", "NNS", "NNP", "NNPS", "PPS", "PPSS", "PN", "CD", "VBG");
const ONE_THING = new Set(["this", "that"]);

/** Whether a unit may be a verb whose form an auxiliary or "to" before it decides. */
function isGoverned(syntax: Syntax, at: number, tag: number): boolean {
  const { words, tags } = syntax;
  const verb = TAG_SETS.VERB[tag] === 1;
  if (!verb && tag !== TAG.NNS && tag !== TAG.NN) return false;
  const word = words[at];
  if (!word || (!verb && (word.traits & VERB) === 0) || word.form.startsWith("'")) return false;
  const start = syntax.sentenceFrom[at] ?? 0;
  const before = unitBefore(syntax, at);
  if (before < start) return false;
  const governor = tags[before] ?? 0;
  if (governor === TAG.MD || governor === TAG.TO) return tag !== TAG.NN || governor === TAG.MD;
  // "Choose to works", "it is hard to spoke": an inflected verb makes a preposition of "to".
  if (before === at - 1 && words[before]?.form === "to") {
    return tag === TAG.VBZ || tag === TAG.VBD || tag === TAG.NNS;
  }
  // "It was drop": a verb in its base form is taken for a noun.
  if (!verb && (tag !== TAG.NN || before !== at - 1)) return false;
  return AUXILIARY.has(words[before]?.form ?? "") && TAG_SETS.VERB[governor] === 1;
}

const AUXILIARY = wordList("slot-finder/auxiliary");

/** What stands before a noun more often, "the" or "a", as the words around have it. */
export function likelierArticle({ to }: Pick<Slot, "to">, { words, tags }: Syntax): string {
  const before = tags[to - 1] ?? 0;
  const follows = words[to]?.form ?? "";
  if (/^(?:same|other|only|first|last|next|whole|entire|former|latter)$/.test(follows))
    return "the";
  return before === TAG.IN || before === TAG.TO ? "the" : "a";
}

/** The form a verb has as it stands, as an index into FORMS. */
export function formTyped(syntax: Syntax, at: number, tag: number): number {
  switch (tag) {
    case TAG.VBZ:
      return THIRD;
    case TAG.VBD:
      return PAST;
    case TAG.VBN:
      return PARTICIPLE;
    case TAG.VBG:
      return ING;
    case TAG.VB: {
      const group = syntax.verbGroups[syntax.verbAt[at] ?? -1];
      return group && group.finite === at ? PRESENT : BARE;
    }
    default: {
      const form = syntax.words[at]?.form ?? "";
      if (form.endsWith("ing")) return ING;
      return tag === TAG.NNS ? THIRD : tag === TAG.JJ ? PARTICIPLE : BARE;
    }
  }
}
