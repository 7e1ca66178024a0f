import { isForeign } from "../phrases/foreign.ts";
import type { Syntax } from "../phrases/syntax.ts";
import { PAST, PRESENT, THIRD, type WordTable } from "../words/words.ts";
import { type ChoiceModel, headerSchema } from "./choice-model.ts";
import { featureKey } from "./feature-numbers.ts";
import { type Around, fitOf, fitOfEnd, idsAround } from "./fit.ts";
import { ownerForm } from "./mark-slots.ts";
import { NounHabits } from "./noun-habits.ts";
import { type NounRecord, RECORDS, recordFeature, recordIndex } from "./noun-record.ts";
import { finiteVerbAt } from "./number-slots.ts";
import { likelierArticle, type Slot, SlotFinder } from "./slot-finder.ts";
import { followsPreposition, MAX_FEATURES, nearFeatures } from "./slots.ts";
import { SparseWeights } from "./sparse-weights.ts";
import { SUBJECT_TABLE, SubjectModel } from "./subject-model.ts";
import type { Trigrams } from "./trigrams.ts";

/**
 * Models that say which of several words or forms belongs in a place: logistic regression over the
 * features of the place (`slots.ts`), with what the trigram model thinks of each word beside them.
 * One threshold for each word typed says how far ahead another must be before it is worth a mark.
 *
 * The file: magic and the byte length of what follows as little-endian 32-bit numbers, a list of
 * the models as JSON (`modelSchema`), then the weights of each (`sparse-weights.ts`), then those of
 * the model of subjects (`subject-model.ts`) and the habits of nouns (`noun-habits.ts`).
 */
export const CHOICES_MAGIC = 0x43485244;
/** Weights are stored as whole numbers, this many to 1. */
export const WEIGHT_SCALE = 24;

/** A class that fits a place better than what stands there. */
export interface BetterChoice extends Slot {
  best: number;
  /** How far ahead it is. */
  margin: number;
  /** Far enough to be sure. */
  sure: boolean;
}

/** A lead by what stands next to the place that the other features hardly ever make up for; chosen on the tuning part. */
const CLEAR_LEAD = { words: 0.58, stop: 1.6, owner: 0.5, number: 0.7, article: 0.45, form: 1.7 };
/** The same once those of the kind are added, before those that lie farther out. */
const CLEARER_LEAD = { words: 1, stop: 2.6, owner: 0.9, number: 1.2, article: 0, form: 4 };

/** Log odds of a subject's number beyond which its verb is not asked about; chosen on the tuning part. */
const CLEAR_ODDS = 2;
/** Leads by the place alone from which on the other places of a noun may make an article lack. */
const LEAST_FOR_ARTICLE = 0.6;

/** Log odds beyond which a noun that stands bare is not asked about; likewise. */
const MOSTLY_BARE = 0.5;

export class ChoiceModels {
  readonly models: readonly ChoiceModel[];
  readonly subjects: SubjectModel;
  private readonly habits: NounHabits;
  /** For each model its own: what one place asks for lies close together in memory. */
  private readonly weights: SparseWeights[] = [];
  private readonly finder: SlotFinder;
  private readonly features = new Int32Array(MAX_FEATURES);
  private readonly scores = new Int32Array(64);
  private readonly values: number[] = [];
  /** What each record of a noun adds to the lead of an article. */
  private readonly recordLeads = new Float32Array(RECORDS);
  /** The place whose features are at hand; where the near ones end, those of words' own, and all; 0 for those not yet there. */
  private contextOf = -1;
  private near = 0;
  private own = 0;
  private far = 0;

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
    let after = 8 + length;
    for (const size of sizes) {
      const weights = new SparseWeights(bytes.subarray(after), size);
      this.weights.push(weights);
      after += weights.byteLength;
    }
    this.subjects = SubjectModel.read(bytes.subarray(after));
    this.habits = new NounHabits(bytes.subarray(after + SUBJECT_TABLE));
    this.finder = new SlotFinder(models, table, this.subjects, this.habits);
    this.readRecordLeads();
  }

  /** The model of articles; null where there is none. */
  get articles(): ChoiceModel | null {
    return this.models.find(({ kind }) => kind === "article") ?? null;
  }

  /** What the other places of a noun in its text add to the lead of an article before it. */
  leadOfRecord(record: NounRecord): number {
    return this.recordLeads[recordIndex(record)] ?? 0;
  }

  private readRecordLeads(): void {
    const weights = this.weights[this.models.findIndex(({ kind }) => kind === "article")];
    const scores = new Int32Array(2);
    for (let index = 0; index < RECORDS; index++) {
      scores.fill(0);
      weights?.add(scores, featureKey(recordFeature(index)));
      this.recordLeads[index] = ((scores[1] ?? 0) - (scores[0] ?? 0)) / WEIGHT_SCALE;
    }
  }

  /**
   * The places where something else fits better, by more than its threshold; those that lack an
   * article by any lead at all, since the other places of the noun count too (`leadOfRecord`).
   */
  better(syntax: Syntax, trigrams: Trigrams): BetterChoice[] {
    const found: BetterChoice[] = [];
    this.contextOf = -1;
    this.finder.find(syntax, (slot) => {
      const model = this.models[slot.model];
      if (!model) return;
      const sure = model.thresholds[slot.typed] ?? Number.POSITIVE_INFINITY;
      const threshold = Math.min(sure, model.doubts[slot.typed] ?? Number.POSITIVE_INFINITY);
      const least = model.kind === "article" ? LEAST_FOR_ARTICLE : threshold;
      if (threshold === Number.POSITIVE_INFINITY) return;
      if (model.kind === "number" && this.hasItsNumber(syntax, slot)) return;
      if (model.kind === "article" && this.isMostlyBare(syntax, slot)) return;
      const better = this.judge(syntax, slot, model, trigrams, least);
      if (better && better.margin > least && !isForeign(syntax, slot.from))
        found.push({ ...better, sure: better.margin > sure });
    });
    return found;
  }

  /** Whether the subject of a verb is clearly of the number that the verb is written in. */
  private hasItsNumber(syntax: Syntax, { from, typed }: Slot): boolean {
    if (typed === 2) return false;
    const lemma = this.table.word(this.table.verb(syntax.words[from]?.form ?? ""));
    const odds = this.subjects.pluralOdds(syntax, from, finiteVerbAt(syntax, from), lemma);
    return (typed === 0 ? -odds : odds) > CLEAR_ODDS;
  }

  /** Whether the noun of a group without an article seldom has one. */
  private isMostlyBare(syntax: Syntax, { from, to, typed }: Slot): boolean {
    const head = syntax.words[syntax.nounGroups[syntax.nounAt[to] ?? -1]?.head ?? -1];
    if (typed !== 0 || !head) return false;
    return this.habits.bareOdds(head, followsPreposition(syntax, from)) > MOSTLY_BARE;
  }

  private addWeights(model: number, from: number, to: number): void {
    const weights = this.weights[model];
    if (!weights) return;
    for (let index = from; index < to; index++) {
      weights.add(this.scores, featureKey(this.features[index] ?? 0));
    }
  }

  /** Whether what stands there is so far ahead already that nothing will overtake it. */
  private isHopeless(typed: number, classes: number, lead: number): boolean {
    const least = (this.scores[typed] ?? 0) - lead * WEIGHT_SCALE;
    for (let one = 0; one < classes; one++) {
      if (one !== typed && (this.scores[one] ?? 0) > least) return false;
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
    const { kind } = model;
    // Several sets of words may ask about the same place.
    const place = slot.from * 8 + (slot.to - slot.from) * 2 + (kind === "words" ? 1 : 0);
    if (place !== this.contextOf) {
      this.near = nearFeatures(syntax, slot.from, slot.to, features);
      this.contextOf = place;
      this.own = 0;
    }
    this.addWeights(slot.model, 0, this.near);
    if (this.isHopeless(slot.typed, classes, CLEAR_LEAD[kind])) return null;
    if (kind !== "words" || this.own === 0) {
      this.own = this.finder.ownFeatures(syntax, slot, features, this.near, trigrams);
      this.far = 0;
    }
    this.addWeights(slot.model, this.near, this.own);
    if (this.isHopeless(slot.typed, classes, CLEARER_LEAD[kind])) return null;
    if (this.far === 0) this.far = this.finder.farFeatures(syntax, slot, features, this.own);
    this.addWeights(slot.model, this.own, this.far);
    const { values } = this;
    values.length = classes;
    for (let one = 0; one < classes; one++) values[one] = (scores[one] ?? 0) / WEIGHT_SCALE;
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
    case "stop":
      return one === 0 ? "" : ".";
    case "owner":
      return ownerForm(form, one === 1, table);
  }
}

/** log10 of how well a class fits between the words around its slot. */
export function fitOfClass(
  model: ChoiceModel,
  one: number,
  slot: Slot,
  around: Around,
  syntax: Syntax,
  trigrams: Trigrams,
  table: WordTable,
): number {
  if (model.kind === "stop") return fitOfEnd(one === 1, around, trigrams);
  const word = wordOfClass(model, one, slot, syntax, table);
  return word === null ? 0 : fitOf(word, around, trigrams);
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

/** The forms a verb is written in, as bits of FORMS; for a noun that might be a verb, the number it would have. */
export function ownForms(kind: ChoiceModel["kind"], slot: Slot, form: string, table: WordTable) {
  if (kind === "form") return table.formsOf(form);
  return kind === "number" && slot.typed === 2 && form === table.verb(form) ? 1 : 0;
}

/** Weighs the classes of a slot in its sentence; see `weigh`. */
export function decide(
  model: ChoiceModel,
  slot: Slot,
  values: number[],
  syntax: Syntax,
  trigrams: Trigrams,
  table: WordTable,
  threshold: number,
): Omit<BetterChoice, "sure"> | null {
  const own = ownForms(model.kind, slot, syntax.words[slot.from]?.form ?? "", table);
  let around: Around | null = null;
  const fit = (one: number) => {
    around ??= idsAround(syntax, slot.from, slot.to, trigrams);
    return fitOfClass(model, one, slot, around, syntax, trigrams, table);
  };
  const found = weigh(model, slot.typed, own, values, fit, threshold);
  return found && { ...slot, ...found };
}

/**
 * The best class but the one that stands there, and how far it is ahead; null where none can reach
 * the threshold. `values` are the model's own; those of verb forms that are spelled alike count as
 * one, and finite forms are not weighed against each other: that is tense or number.
 */
export function weigh(
  { kind, trigram }: Pick<ChoiceModel, "kind" | "trigram">,
  written: number,
  own: number,
  values: number[],
  fit: (one: number) => number,
  threshold: number,
): { best: number; margin: number } | null {
  let typed = written;
  let allowed = (1 << values.length) - 1;
  if (kind === "form") {
    if (own === 0) return null;
    allowed &= ~own;
    if (own & FINITE_FORMS) allowed &= ~FINITE_FORMS;
    // What the tagger makes of it need not be a form that it is written in.
    if ((own & (1 << typed)) === 0) typed = 31 - Math.clz32(own);
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
  } else if (kind === "number" && typed === 2) {
    // As a verb it would be in the number that its form has.
    if ((values[own] ?? 0) > (values[2] ?? 0)) typed = own;
    allowed &= ~(1 << 2) & ~(1 << own);
  } else allowed &= kind === "number" ? ~(1 << 2) & ~(1 << typed) : ~(1 << typed);
  const leadOver = (one: number) => (values[one] ?? 0) - (values[typed] ?? 0);
  let lead = Number.NEGATIVE_INFINITY;
  for (let one = 0; one < values.length; one++) {
    if (allowed & (1 << one)) lead = Math.max(lead, leadOver(one));
  }
  if (lead + MOST_BY_TRIGRAMS * trigram < threshold) return null;
  const ownFit = fit(typed);
  let best = -1;
  let margin = Number.NEGATIVE_INFINITY;
  for (let one = 0; one < values.length; one++) {
    if ((allowed & (1 << one)) === 0) continue;
    const ahead = leadOver(one) + trigram * (fit(one) - ownFit);
    if (ahead > margin) {
      margin = ahead;
      best = one;
    }
  }
  return best < 0 ? null : { best, margin };
}

const FINITE_FORMS = (1 << PRESENT) | (1 << THIRD) | (1 << PAST);
/** Hardly ever does the trigram model put one word further ahead of another, in log10. */
const MOST_BY_TRIGRAMS = 5;
