import { fork } from "node:child_process";
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from "node:fs";
import { availableParallelism, tmpdir } from "node:os";
import path from "node:path";
import { deserialize, serialize } from "node:v8";
import { loadLanguage } from "../src/command/checking.ts";
import { matcherFor } from "../src/core/checks/patterns/all-patterns.ts";
import type { ChoiceModel, ChoicesHeader } from "../src/core/language/models/choice-model.ts";
import {
  CHOICES_MAGIC,
  fitOfClass,
  formOf,
  numberForm,
  ownForms,
  WEIGHT_SCALE,
  weigh,
  wordOfClass,
} from "../src/core/language/models/choice-models.ts";
import { featureKey } from "../src/core/language/models/feature-numbers.ts";
import { idsAround } from "../src/core/language/models/fit.ts";
import { HabitCounter, NounHabits } from "../src/core/language/models/noun-habits.ts";
import {
  type NounRecord,
  recordFeature,
  recordIndex,
} from "../src/core/language/models/noun-record.ts";
import {
  ARTICLES,
  NUMBERS,
  OWNERS,
  type Slot,
  SlotFinder,
  STOPS,
} from "../src/core/language/models/slot-finder.ts";
import { followsPreposition, MAX_FEATURES } from "../src/core/language/models/slots.ts";
import { type LearnedFeature, packWeights } from "../src/core/language/models/sparse-weights.ts";
import { SUBJECT_TABLE, SubjectModel } from "../src/core/language/models/subject-model.ts";
import { subjectOf } from "../src/core/language/phrases/clauses.ts";
import { isForeign } from "../src/core/language/phrases/foreign.ts";
import { QUOTED, type Syntax } from "../src/core/language/phrases/syntax.ts";
import { TAG } from "../src/core/language/tags/tag-sets.ts";
import { FORMS } from "../src/core/language/words/words.ts";
import { choiceSets } from "./choice-sets.ts";
import { chooseThresholds, type Judged, type Margin, type Share } from "./choose-thresholds.ts";
import { readSentence, trainingSentences } from "./corpus/sentences.ts";
import { recordInputs } from "./inputs.ts";
import { SubjectLearner } from "./learn-subjects.ts";
import { seeded } from "./seeded.ts";

/**
 * Learns the models that choose between words and forms (`choice-models.ts`) from clean sentences:
 * each place as it stands, and again with another member of its set planted. Thresholds come from
 * models that have not seen the sentence (three folds), within a budget of false alarms a kind.
 *
 * `--margins FILE` keeps what was learned and what the thresholds are chosen from; with `--again` it
 * is used once more and nothing is learned anew, with `--only KIND` only the models of a kind are.
 */
const CAP = {
  words: 50_000,
  number: 120_000,
  form: 60_000,
  article: 400_000,
  stop: 80_000,
  owner: 60_000,
};
/** Places that none of the rarer words' models can do without. */
const LEAST = 12;
/** Shares of the cap that Brown, the general texts and the manuals have a claim to. */
const SOURCE_SHARES = [0.5, 0.3, 0.2] as const;
const FOLDS = 3;
const ROUNDS = 8;
/** Lower where there is much to learn from: higher ones learn single places by heart. */
const RATES = { words: 0.06, number: 0.02, form: 0.03, article: 0.012, stop: 0.03, owner: 0.03 };
/** Share of a place's features left out at each look, so that none is relied on alone (Srivastava et al. 2014). */
const LEFT_OUT = 0.15;
/** From this round on the weights are averaged (Polyak and Juditsky 1992). */
const AVERAGED_FROM = 3;
/** Features that weigh less than so many steps after a few rounds over all of them are given up; the others learn anew. */
const FIRST_ROUNDS = 3;
const WORTH_KEEPING = 0.7;
const SMALLEST_WEIGHT = 0.04;
const DATA = path.resolve(import.meta.dirname, "../data");
/** False alarms per 1,000 words that each kind may cost on sentences its models have not seen. */
const BUDGETS = {
  homophones: 0.08,
  words: 0.05,
  number: 0.15,
  form: 0.1,
  article: 0.06,
  stop: 0.04,
  owner: 0.06,
};
/** The same with the marks that are shown as doubtful. */
const DOUBTFUL = {
  homophones: 0.36,
  words: 0.26,
  number: 2.5,
  form: 0.4,
  article: 1.2,
  stop: 1.2,
  owner: 0.15,
};
/** The margin of a place that no model is asked about. */
const NEVER = -1000;

interface Place {
  sentence: number;
  slot: Slot;
  /** Right without a model, which is only asked what stands there in its place. */
  plain: boolean;
}

interface Example {
  features: Int32Array;
  fits: Float32Array;
  label: number;
  fold: number;
  typed: number;
  /** See `ownForms`. */
  own: number;
}

const language = loadLanguage();
matcherFor(language);
const { words: table } = language;
const trigrams = language.trigrams;
if (!trigrams) throw new Error("the trigram model is missing: npm run build:trigrams");

const sets = choiceSets(readFileSync(path.join(DATA, "choice-sets.txt"), "utf8"));
const models: ChoiceModel[] = [
  ...sets.map(({ words }): ChoiceModel => ({ ...blank(words), kind: "words" })),
  { ...blank([...NUMBERS]), kind: "number" },
  { ...blank([...FORMS]), kind: "form" },
  { ...blank([...ARTICLES]), kind: "article" },
  { ...blank([...STOPS]), kind: "stop" },
  { ...blank([...OWNERS]), kind: "owner" },
];
const finder = new SlotFinder(models, table, null, null);
/** For each fold one that knows subjects and the habits of nouns without having seen it. */
const finders: SlotFinder[] = [];

function blank(classes: string[]): Omit<ChoiceModel, "kind"> {
  const none = classes.map(() => null);
  return { classes, thresholds: none, doubts: [...none], trigram: 1 };
}

/** A sentence with another class in a slot, read anew; null where the slot is not found again. */
function planted(text: string, syntax: Syntax, slot: Slot, typed: number) {
  const model = models[slot.model];
  const from = syntax.units[slot.from]?.from ?? 0;
  const to = syntax.units[slot.to - 1]?.to ?? from;
  const next = syntax.units[slot.to]?.from ?? text.length;
  let insert = "";
  let end = to;
  if (model?.kind === "article") end = next;
  else {
    const written = text.slice(from, to);
    insert = wordOfClass(model as ChoiceModel, typed, slot, syntax, table) ?? "";
    if (/^\p{Lu}/u.test(written)) insert = insert.slice(0, 1).toUpperCase() + insert.slice(1);
  }
  let changed = text.slice(0, from) + insert + text.slice(end);
  if (insert === "" && from === 0) changed = changed.slice(0, 1).toUpperCase() + changed.slice(1);
  const other = readSentence(changed, language);
  let found: Slot | null = null;
  finder.find(other, (one) => {
    if (one.model === slot.model && other.units[one.from]?.from === from) {
      if ((model?.kind !== "words" && model?.kind !== "owner") || one.typed === typed) found = one;
    }
  });
  return found ? { syntax: other, slot: found as Slot } : null;
}

/** What may be planted in a slot in place of what stands there. */
function alternatives(syntax: Syntax, slot: Slot): number[] {
  const model = models[slot.model] as ChoiceModel;
  const form = syntax.words[slot.from]?.form ?? "";
  switch (model.kind) {
    case "words":
      return model.classes.map((_, one) => one).filter((one) => one !== slot.typed);
    case "number":
      if (slot.typed === 2 || numberForm(form, slot.typed !== 0, table) === form) return [];
      // A command or an infinitive has no number to be wrong in.
      if (slot.typed === 1 && syntax.tags[slot.from] === TAG.VB) {
        const verb = syntax.verbGroups[syntax.verbAt[slot.from] ?? -1];
        if (!verb || !subjectOf(syntax, verb)) return [];
      }
      return [1 - slot.typed];
    case "article":
      return slot.typed === 1 ? [0] : [];
    case "owner":
      return [1 - slot.typed];
    case "stop":
      return [];
    case "form": {
      const own = table.formsOf(form);
      const finite = 0b1110;
      return FORMS.map((_, one) => one).filter((one) => {
        const other = table.formsOf(formOf(form, one, table));
        return (other & own) === 0 && !(other & finite && own & finite);
      });
    }
  }
}

const buffer = new Int32Array(MAX_FEATURES);

function example(
  syntax: Syntax,
  slot: Slot,
  label: number,
  fold: number,
  record: NounRecord | null = null,
): Example {
  const own = finders[fold] as SlotFinder;
  let count = own.features(syntax, slot, buffer, trigrams as NonNullable<typeof trigrams>);
  if (record) buffer[count++] = recordFeature(recordIndex(record));
  const model = models[slot.model] as ChoiceModel;
  const around = idsAround(syntax, slot.from, slot.to, trigrams as NonNullable<typeof trigrams>);
  const fits = Float32Array.from(model.classes, (_, one) =>
    fitOfClass(model, one, slot, around, syntax, trigrams as NonNullable<typeof trigrams>, table),
  );
  const mean = fits.reduce((sum, fit) => sum + fit, 0) / fits.length;
  return {
    features: buffer.slice(0, count).map(featureKey),
    fits: fits.map((fit) => fit - mean),
    label,
    fold,
    typed: slot.typed,
    own: ownForms(model.kind, slot, syntax.words[slot.from]?.form ?? "", table),
  };
}

/** How the texts learned from treat their nouns. */
class NounRecords {
  private readonly records = new Map<string, NounRecord>();

  add(text: number, noun: string, typed: number): void {
    const record = this.recordOf(text, noun);
    if (typed === 1) record.articled++;
    else record.bare++;
    this.records.set(`${text} ${noun}`, record);
  }

  /** The record of a noun in a text but for one place. */
  elsewhere(text: number, noun: string, typed: number): NounRecord {
    const { articled, bare } = this.recordOf(text, noun);
    return typed === 1 ? { articled: articled - 1, bare } : { articled, bare: bare - 1 };
  }

  private recordOf(text: number, noun: string): NounRecord {
    return this.records.get(`${text} ${noun}`) ?? { articled: 0, bare: 0 };
  }
}

const nounRecords = new NounRecords();

/** The noun whose article a slot is. */
function nounOf({ words, nounGroups, nounAt }: Syntax, { to }: Slot): string {
  return words[nounGroups[nounAt[to] ?? -1]?.head ?? -1]?.form ?? "";
}

interface Learned {
  ids: Map<number, number>;
  weights: Float32Array;
  trigram: number;
}

/** A model of few features: those that count for something when all are learned together. */
function learn(
  examples: readonly Example[],
  classes: number,
  leaveOut: number,
  rate: number,
): Learned {
  const own = examples.filter(({ fold }) => fold !== leaveOut);
  const counts = new Map<number, number>();
  for (const { features } of own) {
    for (const feature of features) counts.set(feature, (counts.get(feature) ?? 0) + 1);
  }
  const all = new Map<number, number>();
  const least = Math.max(3, Math.round(own.length / 20_000));
  for (const [feature, count] of counts) if (count >= least) all.set(feature, all.size);
  const first = regress(own, classes, all, FIRST_ROUNDS, rate);
  const ids = new Map<number, number>();
  for (const [feature, id] of all) {
    const weights = first.weights.subarray(id * classes, (id + 1) * classes);
    if (weights.some((weight) => Math.abs(weight) >= WORTH_KEEPING * rate))
      ids.set(feature, ids.size);
  }
  const learned = regress(own, classes, ids, ROUNDS, rate);
  for (const [at, weight] of learned.weights.entries()) {
    const whole = Math.max(-127, Math.min(127, Math.round(weight * WEIGHT_SCALE)));
    learned.weights[at] = Math.abs(weight) < SMALLEST_WEIGHT ? 0 : whole / WEIGHT_SCALE;
  }
  return learned;
}

/** Logistic regression with rates that shrink where much was learned (Duchi et al. 2011, AdaGrad). */
function regress(
  own: readonly Example[],
  classes: number,
  ids: Map<number, number>,
  rounds: number,
  rate: number,
): Learned {
  const weights = new Float32Array(ids.size * classes);
  const squares = new Float32Array(ids.size * classes);
  const sums = new Float32Array(ids.size * classes);
  const rows = own.map(({ features }) =>
    Int32Array.from([...features].flatMap((feature) => ids.get(feature) ?? [])),
  );
  let trigram = 0.7;
  let trigramSquares = 1;
  const scores = new Float64Array(classes);
  const random = seeded(7);
  const none = new Int32Array(0);
  const kept = new Int32Array(MAX_FEATURES);
  /** What is left of the features speaks for all. */
  const made = 1 / (1 - LEFT_OUT);
  const order = own.map((_, index) => index);
  for (let round = 0; round < rounds; round++) {
    for (let index = order.length - 1; index > 0; index--) {
      const other = Math.floor(random() * (index + 1));
      [order[index], order[other]] = [order[other] ?? 0, order[index] ?? 0];
    }
    for (const at of order) {
      const full = rows[at] ?? none;
      let count = 0;
      for (const id of full) if (random() >= LEFT_OUT) kept[count++] = id;
      const row = kept.subarray(0, count);
      const { fits, label } = own[at] as Example;
      let most = Number.NEGATIVE_INFINITY;
      for (let one = 0; one < classes; one++) {
        let score = 0;
        for (const id of row) score += weights[id * classes + one] ?? 0;
        score = score * made + trigram * (fits[one] ?? 0);
        scores[one] = score;
        most = Math.max(most, score);
      }
      let sum = 0;
      for (let one = 0; one < classes; one++) {
        scores[one] = Math.exp((scores[one] ?? 0) - most);
        sum += scores[one] ?? 0;
      }
      let byTrigram = 0;
      for (let one = 0; one < classes; one++) {
        const slope = (scores[one] ?? 0) / sum - (one === label ? 1 : 0);
        byTrigram += slope * (fits[one] ?? 0);
        if (Math.abs(slope) < 1e-4) continue;
        for (const id of row) {
          const place = id * classes + one;
          const step = slope * made + 1e-5 * (weights[place] ?? 0);
          const square = (squares[place] ?? 0) + step * step;
          squares[place] = square;
          weights[place] = (weights[place] ?? 0) - (rate * step) / Math.sqrt(square + 0.1);
        }
      }
      trigramSquares += byTrigram * byTrigram;
      trigram -= (0.05 * byTrigram) / Math.sqrt(trigramSquares);
    }
    if (round >= AVERAGED_FROM) {
      for (const [at, weight] of weights.entries()) sums[at] = (sums[at] ?? 0) + weight;
    }
  }
  if (rounds > AVERAGED_FROM) {
    for (const [at, sum] of sums.entries()) weights[at] = sum / (rounds - AVERAGED_FROM);
  }
  return { ids, weights, trigram: Math.max(0, trigram) };
}

function valuesBy({ ids, weights }: Learned, features: Int32Array, classes: number): number[] {
  const values = new Array<number>(classes).fill(0);
  for (const feature of features) {
    const id = ids.get(feature);
    if (id === undefined) continue;
    for (let one = 0; one < classes; one++) {
      values[one] = (values[one] ?? 0) + (weights[id * classes + one] ?? 0);
    }
  }
  return values;
}

interface Shown {
  /** Not asked about when the thresholds are chosen. */
  plain: boolean;
  example: Example;
  weight: number;
  planted: boolean;
  prose: boolean;
}

/** Sentences run together without the first one's stop, each with the slot between them. */
function joinedSentences(model: number, sources: readonly string[][]): Shown[] {
  const shown: Shown[] = [];
  const random = seeded(model + 1);
  let start = 0;
  for (const [source, sentences] of sources.entries()) {
    const share = Math.min(1, (CAP.stop * (SOURCE_SHARES[source] ?? 0)) / sentences.length);
    for (const [index, first] of sentences.entries()) {
      const second = sentences[index + 1];
      if (random() > share || !second || !first.endsWith(".")) continue;
      const text = `${first.slice(0, -1)} ${second}`;
      const syntax = readSentence(text, language);
      finder.find(syntax, (slot) => {
        if (slot.model !== model || syntax.units[slot.from]?.from !== first.length) return;
        shown.push({
          example: example(syntax, slot, 1, foldOf(start + index)),
          weight: 1 / share,
          planted: true,
          plain: false,
          prose: source === 0,
        });
      });
    }
    start += sentences.length;
  }
  return shown;
}

const foldOf = (sentence: number) => Math.floor(sentence / 150) % FOLDS;

/** A sample of a class's places from one source, each place as likely as another (Vitter 1985). */
class Reservoir {
  readonly places: Place[] = [];
  seen = 0;
  private readonly random;

  constructor(
    private readonly size: number,
    seed: number,
  ) {
    this.random = seeded(seed);
  }

  add(place: Place): void {
    this.seen++;
    if (this.places.length < this.size) this.places.push(place);
    else {
      const at = Math.floor(this.random() * this.seen);
      if (at < this.size) this.places[at] = place;
    }
  }
}

/** Brown first; what it leaves of the cap is shared by the other sources. */
function sampled(sources: readonly Reservoir[], cap: number) {
  let left = cap;
  let shares = SOURCE_SHARES.reduce((sum, share) => sum + share, 0);
  return sources.map(({ places, seen }, source) => {
    const share = SOURCE_SHARES[source] ?? 0;
    const count = Math.min(places.length, Math.round((left * share) / shares));
    left -= count;
    shares -= share;
    return { places: places.slice(0, count), weight: seen / Math.max(1, count) };
  });
}

/** Whether no mark is made in a place, whatever the models say. */
function isLeftAlone(syntax: Syntax, { from }: Slot): boolean {
  return ((syntax.places[from] ?? 0) & QUOTED) !== 0 || isForeign(syntax, from);
}

/** Trains one model and judges its places by models that have not seen them. */
function train(
  model: number,
  places: Reservoir[][],
  sources: readonly string[][],
  textOf: readonly number[],
) {
  const sentences = sources.flat();
  const definition = models[model] as ChoiceModel;
  const classes = definition.classes.length;
  const random = seeded(model + 1);
  const scarce =
    definition.kind === "words" &&
    places.some((own) => own.reduce((sum, { seen }) => sum + seen, 0) < LEAST);
  const shown: Shown[] = [];
  const missed: Margin[] = [];
  for (const [label, own] of places.entries()) {
    for (const [source, { places, weight }] of sampled(own, CAP[definition.kind]).entries()) {
      const prose = source === 0;
      for (const { sentence, slot, plain } of places) {
        const text = sentences[sentence] ?? "";
        const syntax = readSentence(text, language);
        const fold = foldOf(sentence);
        const leftAlone = isLeftAlone(syntax, slot);
        const record =
          definition.kind === "article"
            ? nounRecords.elsewhere(textOf[sentence] ?? 0, nounOf(syntax, slot), label)
            : null;
        shown.push({
          example: example(syntax, slot, label, fold, record),
          weight,
          plain: plain || leftAlone,
          planted: false,
          prose,
        });
        const others = alternatives(syntax, slot);
        const typed = others[Math.floor(random() * others.length)];
        if (typed === undefined) continue;
        const changed = planted(text, syntax, slot, typed);
        if (!changed) {
          // Taken for plainly right, it will not be found.
          if ((prose || definition.kind === "words") && !leftAlone)
            missed.push({ typed, label, best: typed, margin: NEVER, weight });
          continue;
        }
        shown.push({
          example: example(changed.syntax, changed.slot, label, fold, record),
          weight,
          plain: leftAlone,
          planted: true,
          prose,
        });
      }
    }
  }
  if (definition.kind === "stop") shown.push(...joinedSentences(model, sources));
  const examples = shown.map((one) => one.example);
  const judged: Judged = { gold: [], planted: missed };
  const rate = RATES[definition.kind];
  const proseShare = countWords(sources[0] ?? []) / countWords(sentences);
  const learned: Learned = scarce
    ? { ids: new Map(), weights: new Float32Array(0), trigram: SCARCE_TRIGRAM }
    : learn(examples, classes, -1, rate);
  for (let fold = 0; fold < FOLDS; fold++) {
    const out = scarce ? learned : learn(examples, classes, fold, rate);
    const asked = { kind: definition.kind, trigram: out.trigram };
    for (const { example, plain, planted, weight, prose } of shown) {
      if (example.fold !== fold || plain) continue;
      // Slips are counted on Brown alone, but for those of words, each of which weighs alike.
      const everywhere = definition.kind === "words";
      if (!prose && !everywhere) continue;
      const { features, typed, own, fits, label } = example;
      const values = valuesBy(out, features, classes);
      const fit = (one: number) => fits[one] ?? 0;
      const better = weigh(asked, typed, own, values, fit, Number.NEGATIVE_INFINITY);
      if (!better) continue;
      const share = everywhere ? weight * proseShare : weight;
      (planted ? judged.planted : judged.gold).push({ typed, label, ...better, weight: share });
    }
  }
  return { learned, judged };
}

/** Where there is too little text to learn from, the trigram model speaks alone. */
const SCARCE_TRIGRAM = 1.3;

function argument(name: string): string | null {
  const at = process.argv.indexOf(name);
  return at < 0 ? null : (process.argv[at + 1] ?? null);
}

/** All that is learned of one model. */
interface LearnedModel {
  trigram: number;
  judged: Judged;
  features: LearnedFeature[];
}

/** All that is learned. */
interface Kept {
  proseWords: number;
  models: LearnedModel[];
  /** What features ask of whole texts. */
  lexical: Uint8Array;
}

const countWords = (texts: readonly string[]) =>
  texts.reduce((sum, text) => sum + text.split(" ").length, 0);

/** Brown's texts, the general ones and the manuals, each a list of sentences. */
function textsToLearnFrom(): string[][][] {
  const { prose, general, manuals } = trainingSentences();
  return [prose, general, manuals];
}

/** Learns the models it is told to, one message each, and answers with the file that holds one. */
function learnOnDemand(folder: string): void {
  for (let fold = 0; fold < FOLDS; fold++) {
    const bytes = readFileSync(path.join(folder, `${LEXICAL}${fold}`));
    const habits = new NounHabits(bytes.subarray(SUBJECT_TABLE));
    finders.push(new SlotFinder(models, table, SubjectModel.read(bytes), habits));
  }
  const texts = textsToLearnFrom();
  const sources = texts.map((source) => source.flat());
  const textOf = texts.flat().flatMap((sentences, text) => sentences.map(() => text));
  const places = models.map(({ classes, kind }, model) =>
    classes.map((_, one) => sources.map(() => new Reservoir(CAP[kind], model * 8 + one))),
  );
  let sentence = 0;
  for (const [source, sentences] of sources.entries()) {
    for (const text of sentences) {
      const syntax = readSentence(text, language);
      finder.find(
        syntax,
        (slot, plain) => {
          places[slot.model]?.[slot.typed]?.[source]?.add({ sentence, slot, plain });
          if (models[slot.model]?.kind === "article")
            nounRecords.add(textOf[sentence] ?? 0, nounOf(syntax, slot), slot.typed);
        },
        true,
      );
      sentence++;
    }
  }
  process.on("message", (index: number) => {
    const { learned, judged } = train(index, places[index] ?? [], sources, textOf);
    const trigram = Math.round(learned.trigram * 100) / 100;
    const features = featuresOf(learned, models[index]?.classes.length ?? 0);
    const file = path.join(folder, `${index}`);
    writeFileSync(file, serialize({ trigram, judged, features } satisfies LearnedModel));
    process.send?.(index);
  });
  process.send?.(-1);
}

function featuresOf({ ids, weights }: Learned, classes: number): LearnedFeature[] {
  const features: LearnedFeature[] = [];
  for (const [feature, id] of ids) {
    const one: LearnedFeature = {
      key: feature,
      classes: [],
      values: [],
    };
    for (let at = 0; at < classes; at++) {
      const value = Math.round((weights[id * classes + at] ?? 0) * WEIGHT_SCALE);
      if (value === 0) continue;
      one.classes.push(at);
      one.values.push(value);
    }
    if (one.classes.length > 0) features.push(one);
  }
  return features;
}

const LEXICAL = "lexical";

/**
 * What features ask of whole texts: the model of subjects, then the habits of nouns, as they follow
 * the weights in the file. For each fold as learned without it, then from all.
 */
function learnLexical(sentences: readonly string[]): Uint8Array[] {
  const learner = new SubjectLearner(table);
  const counters = Array.from({ length: FOLDS + 1 }, () => new HabitCounter());
  for (const [sentence, text] of sentences.entries()) {
    const syntax = readSentence(text, language);
    const own = foldOf(sentence);
    finder.find(
      syntax,
      (slot, plain) => {
        const kind = models[slot.model]?.kind;
        if (kind === "number") learner.add(syntax, slot, plain, own);
        if (kind !== "article") return;
        const noun = syntax.words[syntax.nounGroups[syntax.nounAt[slot.to] ?? -1]?.head ?? -1];
        if (!noun) return;
        const afterPreposition = followsPreposition(syntax, slot.from);
        for (const [fold, counter] of counters.entries()) {
          if (fold !== own) counter.add(noun, afterPreposition, slot.typed === 0);
        }
      },
      true,
    );
  }
  return counters.map((counter, fold) => {
    const weights = learner.weights(fold);
    const steps = counter.steps(trigrams as NonNullable<typeof trigrams>);
    return Buffer.concat([Buffer.from(weights.buffer), Buffer.from(steps.buffer)]);
  });
}

/** Shares the models out among as many processes as there are processors; those of other kinds are taken as they were. */
async function learnAll(only: string | null, before: Kept | null): Promise<Kept> {
  const folder = mkdtempSync(path.join(tmpdir(), "choices-"));
  const texts = textsToLearnFrom();
  const lexical = learnLexical(texts.flat(2));
  for (const [fold, bytes] of lexical.entries()) {
    writeFileSync(path.join(folder, `${LEXICAL}${fold}`), bytes);
  }
  // Those of the grammar take longest.
  const wanted = (index: number) => only === null || models[index]?.kind === only;
  const queue = models.flatMap((_, index) => (wanted(index) ? [index] : [])).reverse();
  const workers = Array.from({ length: availableParallelism() }, () =>
    fork(import.meta.filename, ["--learn-into", folder]),
  );
  await Promise.all(
    workers.map(
      (worker) =>
        new Promise<void>((resolve, reject) => {
          worker.on("message", (done: number) => {
            if (done >= 0) console.log(`${done} ${models[done]?.classes.join(" ")}`);
            const next = queue.shift();
            if (next === undefined) {
              worker.disconnect();
              resolve();
            } else worker.send(next);
          });
          worker.on("exit", (code) => code !== 0 && reject(new Error(`stopped with ${code}`)));
        }),
    ),
  );
  const learned = models.map((_, index): LearnedModel => {
    const old = before?.models[index];
    return old && !wanted(index) ? old : deserialize(readFileSync(path.join(folder, `${index}`)));
  });
  rmSync(folder, { recursive: true });
  return {
    proseWords: countWords(texts[0]?.flat() ?? []),
    models: learned,
    lexical: lexical[FOLDS] as Uint8Array,
  };
}

/** Whose budget a model draws on. */
function shareOf(model: ChoiceModel): Share {
  const alike = sets[models.indexOf(model)]?.soundAlike;
  return model.kind === "words" && alike ? "homophones" : model.kind;
}

function writeModels({ proseWords, models: learned, lexical }: Kept): void {
  for (const [index, { trigram }] of learned.entries())
    (models[index] as ChoiceModel).trigram = trigram;
  const packed = learned.map(({ features }) => packWeights(features));
  const all = learned.map(({ judged }) => judged);
  for (const line of [
    ...chooseThresholds(models, all, proseWords, BUDGETS, "thresholds", shareOf),
    ...chooseThresholds(models, all, proseWords, DOUBTFUL, "doubts", shareOf),
  ]) {
    console.log(line);
  }
  const sizes = packed.map((one) => one.sizes);
  const text = Buffer.from(JSON.stringify({ models, sizes } satisfies ChoicesHeader));
  const header = Buffer.alloc(8);
  header.writeUInt32LE(CHOICES_MAGIC, 0);
  header.writeUInt32LE(text.length, 4);
  const parts = [header, text, ...packed.map(({ bytes }) => bytes), lexical];
  const whole = Buffer.concat(parts);
  const half = Math.floor(whole.length / 2);
  writeFileSync(path.join(DATA, "choices-1.bin"), whole.subarray(0, half));
  writeFileSync(path.join(DATA, "choices-2.bin"), whole.subarray(half));
  recordInputs("choices-1.bin", "choices-2.bin");
  console.log(`${parts.reduce((sum, part) => sum + part.length, 0)} bytes`);
}

const folder = argument("--learn-into");
const kept = argument("--margins");
const only = argument("--only");
const before = (): Kept | null => (kept ? deserialize(readFileSync(kept)) : null);
if (folder) learnOnDemand(folder);
else if (process.argv.includes("--again")) writeModels(before() as Kept);
else {
  const learned = await learnAll(only, only === null ? null : before());
  if (kept) writeFileSync(kept, serialize(learned));
  writeModels(learned);
}
