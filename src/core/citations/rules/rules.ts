import { accessDate } from "./access-date.ts";
import { addressForm } from "./address-form.ts";
import { authorCount } from "./author-count.ts";
import { authorForm } from "./author-form.ts";
import { authorJoining } from "./author-joining.ts";
import { doiForm } from "./doi-form.ts";
import { editionForm } from "./edition-form.ts";
import { entryEnd } from "./entry-end.ts";
import { entryYear } from "./entry-year.ts";
import { missingField } from "./missing-field.ts";
import { mixedStyles } from "./mixed-styles.ts";
import { pageRange } from "./page-range.ts";
import { publisherPlace } from "./publisher-place.ts";
import type { EntryRule } from "./rule.ts";
import { titleCapitals } from "./title-capitals.ts";
import { titleItalics } from "./title-italics.ts";
import { titleQuotes } from "./title-quotes.ts";
import { volumeForm } from "./volume-form.ts";

/** The rules of entries, in the order of an entry's parts, by the last part of their check's id. */
export const ENTRY_RULES: Readonly<Record<string, EntryRule>> = {
  "author-form": authorForm,
  "author-joining": authorJoining,
  "author-count": authorCount,
  "entry-year": entryYear,
  "title-capitals": titleCapitals,
  "title-quotes": titleQuotes,
  "title-italics": titleItalics,
  "volume-form": volumeForm,
  "page-range": pageRange,
  "edition-form": editionForm,
  "publisher-place": publisherPlace,
  "doi-form": doiForm,
  "address-form": addressForm,
  "access-date": accessDate,
  "entry-end": entryEnd,
  "missing-field": missingField,
  "mixed-styles": mixedStyles,
};
