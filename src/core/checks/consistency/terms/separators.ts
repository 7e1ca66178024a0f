/** Compounds by their letters: how one that is written apart, with a hyphen or in one piece is written otherwise. */

const SEPARATOR = /[\s\u00a0\u2010\u2011-]/;

/** The letters of a compound, lower case, whatever parts them. */
export function lettersOf(text: string): string {
  return text.toLowerCase().replace(/[\s\u00a0\u2010\u2011-]+/g, "");
}

/** A compound as a form, with plain separators: lower case. */
export function formOf(text: string): string {
  return text
    .toLowerCase()
    .replace(/[\s\u00a0]+/g, " ")
    .replace(/[\u2010\u2011]/g, "-");
}

/**
 * A compound with the separators of another form of it, its own capitals and endings kept; null where the
 * form has other letters.
 */
export function withSeparatorsOf(form: string, text: string): string | null {
  const letters = [...text].filter((one) => !SEPARATOR.test(one));
  if (!letters.join("").toLowerCase().startsWith(stemOf(form))) return null;
  let written = "";
  let at = 0;
  for (const one of form) {
    if (SEPARATOR.test(one)) written += one;
    else written += letters[at++] ?? "";
  }
  return written + letters.slice(at).join("");
}

/** The letters of a form without an ending that another place may lack. */
function stemOf(form: string): string {
  return lettersOf(form).slice(0, -1);
}
