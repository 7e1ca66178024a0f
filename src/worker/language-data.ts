import choicesUrl from "../../data/choices-1.bin?url";
import moreChoicesUrl from "../../data/choices-2.bin?url";
import compoundsUrl from "../../data/compounds.txt?url";
import irregularUrl from "../../data/irregular.txt?url";
import lexiconUrl from "../../data/lexicon.bin?url";
import pairsUrl from "../../data/pairs.bin?url";
import rewritesUrl from "../../data/rewrites.txt?url";
import computingUrl from "../../data/subjects/computing.txt?url";
import geographyUrl from "../../data/subjects/geography.txt?url";
import lawUrl from "../../data/subjects/law.txt?url";
import medicineUrl from "../../data/subjects/medicine.txt?url";
import sciencesUrl from "../../data/subjects/sciences.txt?url";
import syllablesUrl from "../../data/syllables.txt?url";
import taggerUrl from "../../data/tagger.bin?url";
import termsUrl from "../../data/terms.txt?url";
import triplesUrl from "../../data/triples.bin?url";
import classesUrl from "../../data/word-classes.bin?url";
import { matcherFor } from "../core/checks/patterns/all-patterns.ts";
import { isSubject, type Subject } from "../core/house/subjects.ts";
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

/** The language data in the worker: what the spelling pass starts with, and what follows later. */

let loading: Promise<Language> | null = null;
let full: Language | null = null;
let following: Promise<Language> | null = null;

/** What every check needs, fetched once; a failed fetch is tried again the next time. */
export function loadLanguage(): Promise<Language> {
  loading ??= fetchLanguage();
  loading.catch(() => {
    loading = null;
  });
  return loading;
}

/** Milliseconds to wait before a failed fetch is tried again. */
const RETRIES_MS = [500, 2500];

/**
 * The language data with what the grammar and wording passes need beside: the trigram model, the choice
 * models, the phrase lists. A failed fetch is tried again; null when they can't be had now, and asking
 * later tries anew.
 */
export async function loadGrammar(): Promise<Language | null> {
  for (const wait of [...RETRIES_MS, null]) {
    following ??= fetchGrammar();
    try {
      return await following;
    } catch {
      following = null;
    }
    if (wait !== null) await new Promise((resolve) => setTimeout(resolve, wait));
  }
  return null;
}

/** The most that has arrived: corrections are better with the trigram model, and do without. */
export async function languageNow(): Promise<Language> {
  return full ?? loadLanguage();
}

const SUBJECT_URLS: Record<Subject, string> = {
  medicine: medicineUrl,
  law: lawUrl,
  sciences: sciencesUrl,
  computing: computingUrl,
  geography: geographyUrl,
};
const subjects = new Map<Subject, Promise<string[]>>();

/** The words of the shipped subject lists with these ids; others are passed over. */
export async function loadSubjects(ids: readonly string[]): Promise<string[]> {
  const lists = ids.filter(isSubject).map((id) => {
    const known = subjects.get(id) ?? fetchText(SUBJECT_URLS[id]).then((text) => text.split("\n"));
    subjects.set(id, known);
    known.catch(() => subjects.delete(id));
    return known;
  });
  return (await Promise.all(lists)).flat();
}

let counting: Promise<Syllables> | null = null;

/** The syllables of words, for the word entry and the readings. */
export function loadSyllables(): Promise<Syllables> {
  counting ??= fetchText(syllablesUrl).then((text) => new Syllables(text));
  counting.catch(() => {
    counting = null;
  });
  return counting;
}

async function fetchLanguage(): Promise<Language> {
  const [words, model, irregular, rewrites, terms] = await Promise.all([
    fetchBytes(lexiconUrl),
    fetchBytes(taggerUrl),
    fetchText(irregularUrl),
    fetchText(rewritesUrl),
    fetchText(termsUrl),
  ]);
  const lexicon = new Lexicon(words);
  return baseLanguage({
    lexicon,
    tagger: new Tagger(model, (word) => lexicon.traitsInText(word)),
    irregular: new IrregularForms(irregular),
    rewrites: new Rewrites(rewrites),
    terms: new Set(terms.split("\n")),
  });
}

/** Where the phrase lists are, by their names. */
const PHRASE_URLS: Record<string, string> = Object.fromEntries(
  Object.entries(
    import.meta.glob<string>("../../data/phrases/*.txt", {
      query: "?url",
      import: "default",
      eager: true,
    }),
  ).map(([file, url]) => [file.replace(/^.*\/|\.txt$/g, ""), url]),
);

async function fetchGrammar(): Promise<Language> {
  const base = await loadLanguage();
  const lists = Promise.all(
    PHRASE_LISTS.map(async (name) => [name, await fetchText(PHRASE_URLS[name] ?? "")] as const),
  );
  const [pairs, triples, classes, choices, phrases, syllables, compounds] = await Promise.all([
    fetchBytes(pairsUrl),
    fetchBytes(triplesUrl),
    fetchBytes(classesUrl),
    Promise.all([fetchBytes(choicesUrl), fetchBytes(moreChoicesUrl)]),
    lists,
    loadSyllables(),
    fetchText(compoundsUrl),
  ]);
  const trigrams = new Trigrams(pairs, triples);
  const parts = {
    trigrams,
    classes: new WordClasses(classes, trigrams),
    phrases: new Map(phrases),
    syllables,
    compounds: new CompoundWords(compounds),
  };
  const made = fullLanguage(base, { ...parts, choices: joinedBytes(choices) });
  matcherFor(made);
  full = made;
  return made;
}

async function fetchBytes(url: string): Promise<Uint8Array> {
  return new Uint8Array(await (await fetchGood(url)).arrayBuffer());
}

async function fetchText(url: string): Promise<string> {
  return (await fetchGood(url)).text();
}

async function fetchGood(url: string): Promise<Response> {
  const response = await fetch(url);
  if (!response.ok) throw new Error(`the language data could not be loaded (${response.status})`);
  return response;
}
