/**
 * Abbreviations with a full stop, common practice in English copy. Kept as data here because the
 * three lists are the splitter's rules themselves; the long lists come with the language data.
 */
const words = (list: string) => new Set(list.split(" "));

/** Never end a sentence: what follows is always the name or number they belong to. */
export const BEFORE_NAME = words(
  "mr mrs ms mx dr drs prof rev hon gen col capt lt sgt maj cmdr adm gov sen rep pres supt st mt fig figs eq eqs no nos vol vols p pp ch chap sec secs cf vs e.g i.e viz approx ref refs ed eds tab app art cl",
);

/** End a sentence only when a word that usually opens one follows. */
export const ABBREVIATIONS = words(
  "etc al jr sr esq inc ltd co corp bros dept est a.m p.m b.c a.d u.s u.k d.c m.d ph.d b.a m.a b.sc m.sc jan feb mar apr jun jul aug sept sep oct nov dec mon tue tues wed thu thurs fri sat sun ave blvd rd sq ibid op cit ca c in ft lb lbs oz min max hr hrs avg temp lat long incl excl",
);

/** Words that open a sentence after an abbreviation far more often than they go on with it. */
export const SENTENCE_STARTERS = words(
  "The A An In On At It He She They We You I This That These Those But And For If When While As After Before There Here However His Her Its Their Our My Your What Who How Why Where Then Yet So Or Nor Not No Some Many Most Such Since Although Though With To From By One Two Both All Each Every Another Even Now Once Thus Also Perhaps Let",
);
