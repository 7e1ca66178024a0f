import { expose } from "comlink";
import {
  languageNow,
  loadGrammar,
  loadLanguage,
  loadSubjects,
  loadSyllables,
} from "./language-data.ts";
import { Proofreader } from "./proofreader.ts";
import { SHIPPED } from "./shipped-collection.ts";

/** The worker's script: the core, with language data fetched from the server. */
expose(
  new Proofreader(
    {
      base: loadLanguage,
      full: loadGrammar,
      now: languageNow,
      subjects: loadSubjects,
      syllables: loadSyllables,
    },
    SHIPPED,
  ),
);
