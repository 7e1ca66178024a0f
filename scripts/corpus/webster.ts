import { existsSync, readFileSync } from "node:fs";
import { gunzipSync } from "node:zlib";
import { regularForms } from "../../src/core/language/words/lemmas.ts";

/**
 * Webster's Revised Unabridged Dictionary of 1913, which is in the public domain, out of Debian's
 * package `dict-gcide`. Later additions of that edition are left out: each note of origin in an entry
 * must be one of 1913.
 */
const FILE = "/usr/share/dictd/gcide.dict.dz";

interface Entry {
  /** Headwords as spelled: "Agister", "Agistor". */
  heads: string[];
  text: string;
}

function entries(): Entry[] {
  if (!existsSync(FILE)) throw new Error(`${FILE} is missing; install the package dict-gcide`);
  return gunzipSync(readFileSync(FILE))
    .toString("latin1")
    .split(/\n(?=\S[^\n\\]* \\)/)
    .flatMap((text) => {
      const origins = [...text.matchAll(/\[([^[\]]*)\]\s*$/gm)].map(([, origin = ""]) => origin);
      const old = origins.filter((one) => /1913/.test(one));
      const later = origins.filter((one) => /^(?:PJC|WordNet|AS|RP|Century)/.test(one));
      if (old.length === 0 || later.length > 0) return [];
      const heads = [...text.matchAll(/(?:^|,\s)([^\s\\][^\\,]*?) \\[^\\]+\\/g)];
      return [{ heads: heads.map(([, head = ""]) => head), text }];
    });
}

/**
 * Forms an entry gives: "[imp. & p. p. {Disseized}; p. pr. & vb. n. {Disseizing}.]". Those of verbs are
 * taken where they are regular, since some are misprinted.
 */
const GIVEN = /\b(imp|p\. ?p|p\. ?pr|pl)\.[^{};[\]]{0,25}\{([^{}]+)\}/g;

const VERB_FORMS = ["VBD", "VBG"] as const;

/** Whether a headword of several words is Latin or French: "Audita querela [L., …]". */
const FOREIGN = /\[(?:L|LL|NL|F|OF|Law L|Law F)\.[,\s]/;

/**
 * Words under a field of knowledge, "(Scots Law)" by `/\bLaws?\b/`, with the forms an entry gives and
 * regular plurals; nothing obsolete.
 */
export function websterWords(field: RegExp): Set<string> {
  const words = new Set<string>();
  for (const { heads, text } of entries()) {
    const labels = [...text.matchAll(/\(([A-Z][A-Za-z&.\s]*)\)/g)].map(([, label = ""]) => label);
    if (!labels.some((label) => field.test(label))) continue;
    if (/\[Obs\.?\]/.test(text)) continue;
    const noun = /\\[^\n]*,\s+n\.(?!\s*pl)/.test(text) && !/\bpl\.\s+[EL]?\.?\s*\{/.test(text);
    for (const head of heads) {
      if (/^\p{L}+$/u.test(head)) {
        words.add(head.toLowerCase());
        if (noun) for (const form of regularForms(head.toLowerCase(), "NNS")) words.add(form);
      } else if (FOREIGN.test(text)) {
        for (const word of head.split(/[\s-]+/)) words.add(word.toLowerCase());
      }
    }
    const regular = new Set(
      heads.flatMap((head) =>
        VERB_FORMS.flatMap((inflection) => regularForms(head.toLowerCase(), inflection)),
      ),
    );
    for (const [, part, given = ""] of text.matchAll(GIVEN)) {
      const form = given.toLowerCase();
      if (part === "pl" || regular.has(form)) words.add(form);
    }
  }
  return words;
}
