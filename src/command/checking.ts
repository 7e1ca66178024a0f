import { existsSync, readFileSync } from "node:fs";
import path from "node:path";
import type { Pass } from "../core/checks/card.ts";
import type { Choice, Matter, Preference } from "../core/checks/check.ts";
import { matcherFor } from "../core/checks/patterns/all-patterns.ts";
import { STYLE_IDS } from "../core/citations/styles/style.ts";
import { Engine } from "../core/engine/engine.ts";
import type { CheckSettings, Mark } from "../core/engine/mark.ts";
import { type PlacedQuantity, quantitiesOfDocument } from "../core/gathered/quantities.ts";
import {
  knownWords,
  layeredAppetites,
  layeredCitations,
  layeredSoundRules,
  rulesOf,
} from "../core/house/layers.ts";
import type { HouseStyle } from "../core/house/style.ts";
import {
  baseLanguage,
  fullLanguage,
  joinedBytes,
  type Language,
} from "../core/language/analysis.ts";
import { Rewrites } from "../core/language/corrections/rewrites.ts";
import { Trigrams } from "../core/language/models/trigrams.ts";
import { PHRASE_LISTS } from "../core/language/phrases/phrase-lists.ts";
import { Tagger } from "../core/language/tags/tagger.ts";
import { CompoundWords } from "../core/language/words/compounds.ts";
import { IrregularForms } from "../core/language/words/lemmas.ts";
import { Lexicon } from "../core/language/words/lexicon.ts";
import { Syllables } from "../core/language/words/syllables.ts";
import { WordClasses } from "../core/language/words/word-classes.ts";
import { moveEdits } from "../core/manuscript/edits.ts";
import type { Edit, Kind, Manuscript, Range, Variety } from "../core/manuscript/model.ts";
import { Comparison } from "../core/originality/comparison.ts";
import type { StockPhrases } from "../core/originality/regions.ts";
import type { TextSources } from "../core/originality/text-sources.ts";

/** The folder of the data that ship. */
export const DATA = path.resolve(import.meta.dirname, "../../data");

/** The choice models, in files of a size that is easily kept. */
const CHOICES = ["choices-1.bin", "choices-2.bin"];

let loaded: Language | null = null;

/** The language data that ships in data/, loaded once. */
export function loadLanguage(): Language {
  const bytes = (name: string) => new Uint8Array(readFileSync(path.join(DATA, name)));
  const text = (name: string) => readFileSync(path.join(DATA, name), "utf8");
  if (loaded) return loaded;
  const lexicon = new Lexicon(bytes("lexicon.bin"));
  const trigrams = new Trigrams(bytes("pairs.bin"), bytes("triples.bin"));
  const base = baseLanguage({
    lexicon,
    tagger: new Tagger(bytes("tagger.bin"), (word) => lexicon.traitsInText(word)),
    irregular: new IrregularForms(text("irregular.txt")),
    rewrites: new Rewrites(text("rewrites.txt")),
    terms: new Set(text("terms.txt").split("\n")),
  });
  loaded = fullLanguage(base, {
    trigrams,
    classes: new WordClasses(bytes("word-classes.bin"), trigrams),
    syllables: new Syllables(text("syllables.txt")),
    compounds: new CompoundWords(text("compounds.txt")),
    phrases: new Map(PHRASE_LISTS.map((name) => [name, text(`phrases/${name}.txt`)])),
    choices: CHOICES.every((name) => existsSync(path.join(DATA, name)))
      ? joinedBytes(CHOICES.map(bytes))
      : null,
  });
  matcherFor(loaded);
  return loaded;
}

/** What texts are compared with. */
export interface ComparedWith {
  sources: TextSources;
  stock: StockPhrases;
}

/** A mark with offsets in the whole text, as the command prints it. */
export interface PrintedMark {
  rule: string;
  pass: Pass;
  weight: Mark["weight"];
  from: number;
  to: number;
  text: string;
  reason: string;
  /** What other checks say of the same mistake. */
  also?: Mark["also"];
  choices: Choice[];
}

/** A group of forms with offsets in the whole text, as the command prints it. */
export interface PrintedGroup {
  id: string;
  rule: string;
  /** What it is about: compounds, numbers, abbreviations and so on. */
  kind: Matter;
  variants: { form: string; count: number; places: Range[] }[];
  /** Null where neither form is preferred. */
  preferred: string | null;
  preferredBy: Preference | null;
}

export interface Checked {
  words: number;
  marks: PrintedMark[];
  /** Where the consistency pass is asked for. */
  groups?: PrintedGroup[];
  /** Worked out when asked for. */
  quantities?: () => PlacedQuantity[];
}

/** Runs the passes asked for over a text. */
export function checkText(
  manuscript: Pick<Manuscript, "text" | "blocks" | "spans">,
  language: Language,
  options: {
    variety: Variety;
    kind: Kind;
    passes: readonly Pass[];
    /** The house styles to read it under, the strongest first. */
    houses?: readonly HouseStyle[];
    /** What it is compared with, for the originality pass. */
    compared?: ComparedWith;
  },
): Checked {
  const { variety, kind, houses = [] } = options;
  const citing = layeredCitations(houses);
  const settings: CheckSettings = {
    citationStyle: STYLE_IDS.find((id) => id === citing.style) ?? null,
    citationPoints: citing,
    variety,
    kind,
    appetites: layeredAppetites(houses, kind),
    words: knownWords(houses, []),
    soundRules: layeredSoundRules(houses),
    rules: rulesOf(houses),
  };
  const engine = new Engine(manuscript, language, settings);
  for (const _done of engine.examineAll(options.passes));
  const { compared } = options;
  if (compared)
    engine.compare({
      comparison: new Comparison(compared.sources, compared.stock),
      names: compared.sources,
    });
  const marks = engine
    .allMarks()
    .filter((mark) => options.passes.includes(mark.pass) && !mark.follows)
    .map((mark) => printed(engine, mark));
  const { words } = engine.counts();
  if (!options.passes.includes("consistency")) return { words, marks };
  const quantities = () => quantitiesOfDocument(engine.gathering());
  return { words, marks, groups: printedGroups(engine), quantities };
}

function printedGroups(engine: Engine): PrintedGroup[] {
  return [...engine.allGroups().values()].flatMap((group): PrintedGroup[] => {
    const { id, rule, matter, variants, preferred } = group;
    if (!matter || !variants) return [];
    const places = engine.placesOf(id);
    return [
      {
        id,
        rule,
        kind: matter,
        variants: variants.map(({ text, form = text, count }) => ({
          form,
          count,
          places: places
            .filter((place) => place.form === form)
            .map(({ block, from, to }) => {
              const start = engine.blockRange(block).from;
              return { from: start + from, to: start + to };
            }),
        })),
        preferred: preferred?.variant ?? null,
        preferredBy: preferred?.by ?? null,
      },
    ];
  });
}

/** A mark as it is printed. */
export function printed(engine: Engine, mark: Mark): PrintedMark {
  const { from } = engine.blockRange(mark.block);
  return {
    rule: mark.rule,
    pass: mark.pass,
    weight: mark.weight,
    from: mark.from + from,
    to: mark.to + from,
    text: mark.text,
    reason: [mark.reason, engine.allGroups().get(mark.group)?.note ?? ""].join(" ").trim(),
    ...(mark.also ? { also: mark.also } : {}),
    choices: engine.choices(mark).map((one) => ({
      ...one,
      edits: moveEdits(
        one.edits,
        one.block === undefined ? from : engine.blockRange(one.block).from,
      ),
    })),
  };
}

/** Edits of the first choice of every mark of weight fix; of marks that overlap, the first. */
export function firstChoices(marks: readonly PrintedMark[]): Edit[] {
  const edits: Edit[] = [];
  let last = -1;
  for (const mark of marks) {
    const choice = mark.choices[0];
    if (mark.weight !== "fix" || !choice || mark.from < last) continue;
    edits.push(...choice.edits);
    last = mark.to;
  }
  return edits;
}
