import type { Check, Fact } from "./check.ts";
import { agreement } from "./grammar/agreement.ts";
import { aOrAn, doubleDeterminer } from "./grammar/articles.ts";
import { calendarCapital, paragraphStart, pronounI, titleCapital } from "./grammar/capitals.ts";
import {
  clauseComma,
  colonAfterVerb,
  dateComma,
  introductoryComma,
  semicolonAfterOpening,
  subjectComma,
  thatComma,
} from "./grammar/commas.ts";
import { adverbForm, comparisonWords, doubleComparison } from "./grammar/comparison.ts";
import { confusedWords, fixedPhrase } from "./grammar/confused-words.ts";
import { eachAgreement, thereAgreement } from "./grammar/each-and-there.ts";
import { compoundHyphen } from "./grammar/hyphens.ts";
import {
  extraWord,
  missingWord,
  reasonBecause,
  reportedQuestion,
  swappedWords,
} from "./grammar/little-words.ts";
import { markSlips, unpaired } from "./grammar/marks.ts";
import { missingArticle } from "./grammar/missing-article.ts";
import { doubleNegative, pairedConjunctions } from "./grammar/negation.ts";
import { apostrophePlural, missingApostrophe, pluralOfFigures } from "./grammar/possessives.ts";
import { requiredPreposition } from "./grammar/prepositions.ts";
import {
  itsOrIts,
  pronounCase,
  reflexive,
  themThose,
  whoWhich,
  whoWhom,
} from "./grammar/pronouns.ts";
import {
  demonstrative,
  fewerLess,
  manyMuch,
  massNoun,
  numberNoun,
  oneOf,
} from "./grammar/quantities.ts";
import { questionMark } from "./grammar/question-mark.ts";
import { finalMark } from "./grammar/sentence-ends.ts";
import {
  adverbSplice,
  commaSplice,
  danglingOpening,
  fragment,
  parallelList,
  tenseShift,
} from "./grammar/sentences.ts";
import { verbForm } from "./grammar/verb-forms.ts";
import {
  bareInfinitive,
  baseForPast,
  gerundAfterPreposition,
  gerundOrInfinitive,
  ifWouldHave,
  loneParticiple,
  modalOf,
  sinceTense,
  usedTo,
} from "./grammar/verb-patterns.ts";
import { dayAndMonth } from "./spelling/day-and-month.ts";
import { doubledWord } from "./spelling/doubled-word.ts";
import { oddName } from "./spelling/odd-name.ts";
import { otherVariety } from "./spelling/other-variety.ts";
import { sentenceStart } from "./spelling/sentence-start.ts";
import { brokenWord, missingSpace } from "./spelling/spacing.ts";
import { capsLock, oddCapitals, twoCapitals } from "./spelling/stray-capitals.ts";
import { unknownWord } from "./spelling/unknown-word.ts";
import { cliche, jargon, lightVerb, outdated, redundant, vague, wordy } from "./wording/phrases.ts";
import { closeRepetition, overusedWord, passiveSection } from "./wording/repetition.ts";
import {
  doubleMeaning,
  expletiveOpening,
  hedge,
  intensifier,
  longSentence,
  negative,
  nounString,
  passiveWithAgent,
  sameOpening,
} from "./wording/sentences.ts";

/** Every check there is, in the order in which their marks are listed. */
export const CHECKS = [
  unknownWord,
  otherVariety,
  doubledWord,
  oddName,
  twoCapitals,
  capsLock,
  oddCapitals,
  sentenceStart,
  dayAndMonth,
  missingSpace,
  brokenWord,
  agreement,
  eachAgreement,
  thereAgreement,
  aOrAn,
  doubleDeterminer,
  missingArticle,
  verbForm,
  modalOf,
  loneParticiple,
  baseForPast,
  bareInfinitive,
  gerundOrInfinitive,
  gerundAfterPreposition,
  usedTo,
  ifWouldHave,
  sinceTense,
  pronounCase,
  reflexive,
  whoWhom,
  whoWhich,
  themThose,
  itsOrIts,
  apostrophePlural,
  missingApostrophe,
  pluralOfFigures,
  massNoun,
  demonstrative,
  oneOf,
  manyMuch,
  fewerLess,
  numberNoun,
  doubleComparison,
  comparisonWords,
  adverbForm,
  doubleNegative,
  pairedConjunctions,
  missingWord,
  swappedWords,
  extraWord,
  reportedQuestion,
  reasonBecause,
  requiredPreposition,
  confusedWords,
  fixedPhrase,
  fragment,
  commaSplice,
  adverbSplice,
  parallelList,
  danglingOpening,
  tenseShift,
  introductoryComma,
  subjectComma,
  thatComma,
  questionMark,
  finalMark,
  markSlips,
  unpaired,
  colonAfterVerb,
  semicolonAfterOpening,
  compoundHyphen,
  dateComma,
  clauseComma,
  pronounI,
  paragraphStart,
  titleCapital,
  calendarCapital,
  wordy,
  redundant,
  lightVerb,
  cliche,
  jargon,
  vague,
  outdated,
  passiveWithAgent,
  expletiveOpening,
  hedge,
  intensifier,
  negative,
  doubleMeaning,
  longSentence,
  nounString,
  sameOpening,
  closeRepetition,
  overusedWord,
  passiveSection,
] as unknown as Check<Fact>[];

/** A check by its id. */
export function checkById(id: string): Check<Fact> | undefined {
  return CHECKS.find((check) => check.id === id);
}
