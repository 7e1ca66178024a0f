import { z } from "zod";
import { VERB } from "./lexicon.ts";
import {
  contextFeatures,
  groupFeatures,
  MAX_FEATURES,
  mixHashes,
  numberFeatures,
  verbFeatures,
} from "./slots.ts";
import { SparseWeights } from "./sparse-weights.ts";
import type { NounGroup, Syntax } from "./syntax.ts";
import { TAG, TAG_SETS } from "./tag-sets.ts";
import type { Trigrams } from "./trigrams.ts";
import { hashText, type WordTable } from "./words.ts";

/**
 * Models that say which of several words or forms belongs in a place: logistic regression over the
 * features of the place (`slots.ts`), with what the trigram model thinks of each word beside them.
 * One threshold for each word typed says how far ahead another must be before it is worth a mark.
 *
 * The file: magic and the byte length of what follows as little-endian 32-bit numbers, a list of
 * the models as JSON (`modelSchema`), then the weights (`sparse-weights.ts`).
 */
export const CHOICES_MAGIC = 0x43485244;
/** Weights are stored as whole numbers, this many to 1. */
export const WEIGHT_SCALE = 24;

const modelSchema = z.object({
  /** What is chosen between: words of a set, verbs by number, forms of a verb, articles. */
  kind: z.enum(["words", "number", "form", "article"]),
  /** The words, or the names of the forms. */
  classes: z.array(z.string()).min(2),
  /** For each class, how far ahead another must be where this one stands; null never marks. */
  thresholds: z.array(z.number().nullable()),
  /** The same for a doubtful mark. */
  doubts: z.array(z.number().nullable()),
  /** How much a unit of the trigram model's log10 adds. */
  trigram: z.number(),
});
const headerSchema = z.object({
  models: z.array(modelSchema),
  sizes: z.object({ features: z.number(), keyBytes: z.number(), weights: z.number() }),
});
export type ChoiceModel = z.infer<typeof modelSchema>;
export type ChoicesHeader = z.infer<typeof headerSchema>;

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

/** A class that fits a place better than what stands there. */
export interface BetterChoice extends Slot {
  best: number;
  /** How far ahead it is. */
  margin: number;
  /** Far enough to be sure. */
  sure: boolean;
}

export const FORMS = ["bare", "present", "third", "past", "participle", "ing"] as const;
export const NUMBERS = ["singular", "plural", "noun"] as const;
export const ARTICLES = ["none", "article"] as const;
const [BARE, PRESENT, THIRD, PAST, PARTICIPLE, ING] = [0, 1, 2, 3, 4, 5];

/** Finds the slots of a text for a list of models. */
export class SlotFinder {
  /** By the number of a set's word: its models and classes, and the clitic that must follow. */
  private readonly byWord: ({ model: number; typed: number; clitic: string }[] | undefined)[] = [];
  private readonly cliticsAfter = new Set<number>();
  private readonly number: number;
  private readonly form: number;
  private readonly article: number;

  constructor(
    readonly models: readonly ChoiceModel[],
    private readonly table: WordTable,
  ) {
    for (const [model, { kind, classes }] of models.entries()) {
      if (kind !== "words") continue;
      for (const [typed, word] of classes.entries()) {
        const cut = word.indexOf("'");
        const clitic = cut < 0 ? "" : word.slice(cut);
        const id = table.intern(cut < 0 ? word : word.slice(0, cut));
        const entries = this.byWord[id] ?? [];
        entries.push({ model, typed, clitic });
        this.byWord[id] = entries;
        if (clitic !== "") this.cliticsAfter.add(id);
      }
    }
    const of = (kind: ChoiceModel["kind"]) => models.findIndex((model) => model.kind === kind);
    this.number = of("number");
    this.form = of("form");
    this.article = of("article");
  }

  /** Calls back with every slot of a text. */
  find(syntax: Syntax, found: (slot: Slot) => void): void {
    const { words, tags } = syntax;
    for (let at = 0; at < words.length; at++) {
      const word = words[at];
      if (!word) continue;
      const entries = word.id > 0 ? this.byWord[word.id] : undefined;
      if (entries) {
        const next = words[at + 1]?.form ?? "";
        const clitic = next.startsWith("'") ? next : "";
        for (const entry of entries) {
          if (entry.clitic !== "" ? clitic !== entry.clitic : clitic !== "" && clitic !== "'s")
            continue;
          const to = at + (entry.clitic === "" ? 1 : 2);
          found({ model: entry.model, from: at, to, typed: entry.typed });
        }
      }
      const tag = tags[at] ?? 0;
      if (this.number >= 0) {
        const typed = numberTyped(syntax, at, tag);
        if (typed >= 0) found({ model: this.number, from: at, to: at + 1, typed });
      }
      if (this.form >= 0 && isGoverned(syntax, at, tag)) {
        found({ model: this.form, from: at, to: at + 1, typed: formTyped(syntax, at, tag) });
      }
    }
    if (this.article < 0) return;
    for (const group of syntax.nounGroups) {
      const slot = articleSlot(syntax, group);
      if (slot) found({ model: this.article, ...slot });
    }
  }

  /** Fills in the features of a slot and returns how many there are. */
  features(syntax: Syntax, slot: Slot, features: Int32Array, trigrams: Trigrams): number {
    const { from, to } = slot;
    const kind = this.models[slot.model]?.kind;
    const reach = kind === "words" ? undefined : 0;
    const count = contextFeatures(syntax, from, to, features, reach);
    if (kind === "number") return numberFeatures(syntax, from, features, count);
    if (kind === "article") return groupFeatures(syntax, from, to, features, count, trigrams);
    if (kind === "words") return count;
    const form = syntax.words[from]?.form ?? "";
    return verbFeatures(syntax, from, hashText(this.table.verb(form)), features, count);
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
  if (!TAG_SETS.NOMINAL[before] && before !== TAG.PPS && before !== TAG.PPSS && before !== TAG.PN) {
    return -1;
  }
  if (TAG_SETS.NOMINAL[tags[at + 1] ?? 0] || tags[at + 1] === TAG.POS) return -1;
  return 2;
}

/** Whether a unit may be a verb whose form an auxiliary or "to" before it decides. */
function isGoverned(syntax: Syntax, at: number, tag: number): boolean {
  const { words, tags } = syntax;
  const verb = TAG_SETS.VERB[tag] === 1;
  if (!verb && tag !== TAG.NNS) return false;
  const word = words[at];
  if (!word || (!verb && (word.traits & VERB) === 0) || word.form.startsWith("'")) return false;
  const start = syntax.sentenceFrom[at] ?? 0;
  let before = at - 1;
  while (before >= start && (TAG_SETS.ADV[tags[before] ?? 0] || tags[before] === TAG.NOT)) before--;
  if (before < start) return false;
  const governor = tags[before] ?? 0;
  if (governor === TAG.MD || governor === TAG.TO) return true;
  return verb && AUXILIARY.has(words[before]?.form ?? "") && TAG_SETS.VERB[governor] === 1;
}

const AUXILIARY = new Set(
  "have has had 've be is was were been being am are do does did".split(" "),
);

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

/** The forms that a verb as written may be, as bits of FORMS. */
export function formsOfWritten(form: string, table: WordTable): number {
  const lemma = table.verb(form);
  let bits = 0;
  if (form === lemma) bits |= (1 << BARE) | (1 << PRESENT);
  if (form === table.inflect(lemma, "VBZ")) bits |= 1 << THIRD;
  if (form === table.inflect(lemma, "VBD")) bits |= 1 << PAST;
  if (form === table.inflect(lemma, "VBN")) bits |= 1 << PARTICIPLE;
  if (form === table.inflect(lemma, "VBG")) bits |= 1 << ING;
  return bits;
}

/** Where an article stands or could stand in a noun group. */
function articleSlot(syntax: Syntax, group: NounGroup): Omit<Slot, "model"> | null {
  const { words, tags } = syntax;
  if (group.pronoun || tags[group.head] !== TAG.NN) return null;
  const first = words[group.from]?.form ?? "";
  if (first === "the" || first === "a" || first === "an") {
    return { from: group.from, to: group.from + 1, typed: 1 };
  }
  if (group.determiner >= 0) return null;
  const tag = tags[group.from] ?? 0;
  if (TAG_SETS.NAME[tag] || tag === TAG.CD || tag === TAG.POS) return null;
  for (let at = group.from; at < group.to; at++) if (tags[at] === TAG.POS) return null;
  const before = tags[group.from - 1] ?? 0;
  if (group.from > (syntax.sentenceFrom[group.from] ?? 0) && before === TAG.POS) return null;
  return { from: group.from, to: group.from, typed: 0 };
}

const SIDE = 2;

/** The ids of the words around some units, clitics joined to their words; "<s>" before, "</s>" after. */
export function idsAround(
  { words, tags, sentenceFrom, sentenceTo }: Syntax,
  from: number,
  to: number,
  trigrams: Trigrams,
): { before: [number, number]; after: [number, number] } {
  const start = sentenceFrom[Math.min(from, words.length - 1)] ?? 0;
  const end = sentenceTo[Math.min(from, words.length - 1)] ?? words.length;
  const before: number[] = [];
  let tail = "";
  for (let at = from - 1; at >= start && before.length < SIDE; at--) {
    if (TAG_SETS.STOP[tags[at] ?? 0]) continue;
    const form = words[at]?.form ?? "";
    if (form.startsWith("'") || form === "n't") {
      tail = form + tail;
      continue;
    }
    before.push(trigrams.id(form + tail));
    tail = "";
  }
  if (before.length < SIDE) before.push(trigrams.id("<s>"));
  while (before.length < SIDE) before.push(-1);
  const after: number[] = [];
  for (let at = to; at < end && after.length < SIDE; at++) {
    if (TAG_SETS.STOP[tags[at] ?? 0]) continue;
    let form = words[at]?.form ?? "";
    const next = words[at + 1]?.form ?? "";
    if (at + 1 < end && (next.startsWith("'") || next === "n't")) {
      form += next;
      at++;
    }
    after.push(trigrams.id(form));
  }
  if (after.length < SIDE) after.push(trigrams.id("</s>"));
  while (after.length < SIDE) after.push(-1);
  return {
    before: [before[1] ?? -1, before[0] ?? -1],
    after: [after[0] ?? -1, after[1] ?? -1],
  };
}

/** log10 of how well a word, or none for "", fits between others. */
export function fitOf(
  word: string,
  { before: [b2, b1], after: [a1, a2] }: ReturnType<typeof idsAround>,
  trigrams: Trigrams,
): number {
  if (word === "") {
    let sum = 0;
    if (a1 >= 0) sum += trigrams.score(b2, b1, a1);
    if (a2 >= 0) sum += trigrams.score(b1, a1, a2);
    // A word more always costs something; this is what "the" and "a" cost on the average.
    return sum + ABSENT_COST;
  }
  const id = trigrams.id(word);
  let sum = trigrams.score(b2, b1, id);
  if (a1 >= 0) sum += trigrams.score(b1, id, a1);
  if (a2 >= 0) sum += trigrams.score(id, a1, a2);
  return sum;
}

const ABSENT_COST = -1.2;

/** Features after which a first look is taken: the nearest words and their parts of speech. */
const FIRST_LOOK = 18;
/** A lead, in stored weights, that the other features hardly ever make up for; see the grammar bench. */
const CLEAR_LEAD = 5 * WEIGHT_SCALE;

export class ChoiceModels {
  readonly models: readonly ChoiceModel[];
  private readonly weights: SparseWeights;
  private readonly finder: SlotFinder;
  private readonly features = new Int32Array(MAX_FEATURES);
  private readonly scores = new Int32Array(64);
  /** The place whose features are at hand, and how many they are. */
  private contextOf = -1;
  private counted = 0;

  /** Throws RangeError when the bytes are no models of this version. */
  constructor(
    bytes: Uint8Array,
    private readonly table: WordTable,
  ) {
    const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
    if (bytes.length < 8 || view.getUint32(0, true) !== CHOICES_MAGIC) {
      throw new RangeError("not the choice models");
    }
    const length = view.getUint32(4, true);
    const text = new TextDecoder().decode(bytes.subarray(8, 8 + length));
    const { models, sizes } = headerSchema.parse(JSON.parse(text));
    this.models = models;
    this.weights = new SparseWeights(bytes.subarray(8 + length), sizes);
    this.finder = new SlotFinder(models, table);
  }

  /** The places where something else fits better, by more than its threshold. */
  better(syntax: Syntax, trigrams: Trigrams): BetterChoice[] {
    const found: BetterChoice[] = [];
    this.contextOf = -1;
    this.finder.find(syntax, (slot) => {
      const model = this.models[slot.model];
      if (!model) return;
      const sure = model.thresholds[slot.typed] ?? Number.POSITIVE_INFINITY;
      const threshold = Math.min(sure, model.doubts[slot.typed] ?? Number.POSITIVE_INFINITY);
      if (threshold === Number.POSITIVE_INFINITY) return;
      const better = this.judge(syntax, slot, model, trigrams, threshold);
      if (better && better.margin > threshold)
        found.push({ ...better, sure: better.margin > sure });
    });
    return found;
  }

  /** Whether what stands there is so far ahead already that nothing will overtake it. */
  private isHopeless(typed: number, classes: number): boolean {
    const own = this.scores[typed] ?? 0;
    for (let one = 0; one < classes; one++) {
      if (one !== typed && (this.scores[one] ?? 0) > own - CLEAR_LEAD) return false;
    }
    return true;
  }

  /** The best other class of a slot; null where it cannot reach the threshold. */
  private judge(
    syntax: Syntax,
    slot: Slot,
    model: ChoiceModel,
    trigrams: Trigrams,
    threshold: number,
  ): Omit<BetterChoice, "sure"> | null {
    const { scores, features } = this;
    const classes = model.classes.length;
    scores.fill(0, 0, classes);
    const words = model.kind === "words";
    // Several sets may ask about the same place.
    const place = slot.from * 4 + (slot.to - slot.from);
    if (!words || place !== this.contextOf) {
      this.counted = this.finder.features(syntax, slot, features, trigrams);
      this.contextOf = words ? place : -1;
    }
    const count = this.counted;
    for (let index = 0; index < count; index++) {
      this.weights.add(scores, mixHashes(slot.model + 1, features[index] ?? 0));
      if (index === FIRST_LOOK && words && this.isHopeless(slot.typed, classes)) return null;
    }
    const values = Array.from({ length: classes }, (_, one) => (scores[one] ?? 0) / WEIGHT_SCALE);
    return decide(model, slot, values, syntax, trigrams, this.table, threshold);
  }
}

/** Words that a class stands for in a slot, for the trigram model; null where it has none. */
export function wordOfClass(
  model: ChoiceModel,
  one: number,
  slot: Slot,
  syntax: Syntax,
  table: WordTable,
): string | null {
  const form = syntax.words[slot.from]?.form ?? "";
  switch (model.kind) {
    case "words":
      return model.classes[one] ?? null;
    case "article":
      return one === 0 ? "" : likelierArticle(slot, syntax);
    case "number":
      if (one === 2) return form;
      return numberForm(form, one === 0, table);
    case "form":
      return formOf(form, one, table);
  }
}

/** A finite verb in the other number: "was" and "were", "reads" and "read". */
export function numberForm(form: string, singular: boolean, table: WordTable): string {
  if (form === "was" || form === "were") return singular ? "was" : "were";
  if (form === "is" || form === "are") return singular ? "is" : "are";
  const lemma = table.verb(form);
  return singular ? table.inflect(lemma, "VBZ") : lemma;
}

/** A verb in one of FORMS. */
export function formOf(form: string, one: number, table: WordTable): string {
  const lemma = table.verb(form);
  const inflection = ([null, null, "VBZ", "VBD", "VBN", "VBG"] as const)[one] ?? null;
  return table.inflect(lemma, inflection);
}

/**
 * Weighs the classes of a slot. `values` are the model's own; those of verb forms that are spelled
 * alike count as one. Finite forms are not weighed against each other: that is tense or number.
 */
export function decide(
  model: ChoiceModel,
  slot: Slot,
  values: number[],
  syntax: Syntax,
  trigrams: Trigrams,
  table: WordTable,
  threshold: number,
): Omit<BetterChoice, "sure"> | null {
  let { typed } = slot;
  const form = syntax.words[slot.from]?.form ?? "";
  let allowed = (1 << values.length) - 1;
  if (model.kind === "form") {
    const own = formsOfWritten(form, table);
    if (own === 0) return null;
    allowed &= ~own;
    if (own & FINITE_FORMS) allowed &= ~FINITE_FORMS;
    for (let one = 0; one < values.length; one++) {
      if (own & (1 << one) && (values[one] ?? 0) > (values[typed] ?? 0)) typed = one;
    }
    // Where a finite verb may stand, which one is not this model's question.
    if (own & FINITE_FORMS) {
      for (let one = 0; one < values.length; one++) {
        if (FINITE_FORMS & (1 << one) && (values[one] ?? 0) > (values[typed] ?? 0)) {
          values[typed] = values[one] ?? 0;
        }
      }
    }
  } else if (model.kind === "number" && typed === 2) {
    // As a verb it would be in the number that its form has.
    const own = form === table.verb(form) ? 1 : 0;
    if ((values[own] ?? 0) > (values[2] ?? 0)) typed = own;
    allowed &= ~(1 << 2) & ~(1 << own);
  } else allowed &= model.kind === "number" ? ~(1 << 2) & ~(1 << typed) : ~(1 << typed);
  const leadOver = (one: number) => (values[one] ?? 0) - (values[typed] ?? 0);
  let lead = Number.NEGATIVE_INFINITY;
  for (let one = 0; one < values.length; one++) {
    if (allowed & (1 << one)) lead = Math.max(lead, leadOver(one));
  }
  if (lead + MOST_BY_TRIGRAMS * model.trigram < threshold) return null;
  const around = idsAround(syntax, slot.from, slot.to, trigrams);
  const fit = (one: number) => {
    const word = wordOfClass(model, one, slot, syntax, table);
    return word === null ? 0 : fitOf(word, around, trigrams);
  };
  const own = fit(typed);
  let best = -1;
  let margin = Number.NEGATIVE_INFINITY;
  for (let one = 0; one < values.length; one++) {
    if ((allowed & (1 << one)) === 0) continue;
    const ahead = leadOver(one) + model.trigram * (fit(one) - own);
    if (ahead > margin) {
      margin = ahead;
      best = one;
    }
  }
  return best < 0 ? null : { ...slot, best, margin };
}

const FINITE_FORMS = (1 << PRESENT) | (1 << THIRD) | (1 << PAST);
/** Hardly ever does the trigram model put one word further ahead of another, in log10. */
const MOST_BY_TRIGRAMS = 5;
