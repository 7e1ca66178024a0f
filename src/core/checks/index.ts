import type { Check, Fact } from "./check.ts";
import { accessDate } from "./citations/entries/access-date.ts";
import { addressForm } from "./citations/entries/address-form.ts";
import { authorCount } from "./citations/entries/author-count.ts";
import { authorForm } from "./citations/entries/author-form.ts";
import { authorJoining } from "./citations/entries/author-joining.ts";
import { doiForm } from "./citations/entries/doi-form.ts";
import { editionForm } from "./citations/entries/edition-form.ts";
import { entryEnd } from "./citations/entries/entry-end.ts";
import { entryYear } from "./citations/entries/entry-year.ts";
import { missingField } from "./citations/entries/missing-field.ts";
import { mixedStyles } from "./citations/entries/mixed-styles.ts";
import { pageRange } from "./citations/entries/page-range.ts";
import { publisherPlace } from "./citations/entries/publisher-place.ts";
import { titleCapitals } from "./citations/entries/title-capitals.ts";
import { titleItalics } from "./citations/entries/title-italics.ts";
import { titleQuotes } from "./citations/entries/title-quotes.ts";
import { volumeForm } from "./citations/entries/volume-form.ts";
import { bracketOrder } from "./citations/text/bracket-order.ts";
import { citationOrYear } from "./citations/text/citation-or-year.ts";
import { citedComma } from "./citations/text/cited-comma.ts";
import { citedJoining } from "./citations/text/cited-joining.ts";
import { citedNames } from "./citations/text/cited-names.ts";
import { duplicateEntry } from "./citations/text/duplicate-entry.ts";
import { ibidem } from "./citations/text/ibidem.ts";
import { listOrder } from "./citations/text/list-order.ts";
import { nearName } from "./citations/text/near-name.ts";
import { nearYear } from "./citations/text/near-year.ts";
import { neverCited } from "./citations/text/never-cited.ts";
import { noEntry } from "./citations/text/no-entry.ts";
import { noteOrder } from "./citations/text/note-order.ts";
import { numberOrder } from "./citations/text/number-order.ts";
import { numberRange } from "./citations/text/number-range.ts";
import { pinpointForm } from "./citations/text/pinpoint-form.ts";
import { yearLetter } from "./citations/text/year-letter.ts";
import { abbreviationBeforeDefinition } from "./consistency/abbreviations/abbreviation-before-definition.ts";
import { abbreviationDefinedDifferently } from "./consistency/abbreviations/abbreviation-defined-differently.ts";
import { abbreviationDefinedTwice } from "./consistency/abbreviations/abbreviation-defined-twice.ts";
import { abbreviationExpandedAgain } from "./consistency/abbreviations/abbreviation-expanded-again.ts";
import { abbreviationUndefined } from "./consistency/abbreviations/abbreviation-undefined.ts";
import { abbreviationUnused } from "./consistency/abbreviations/abbreviation-unused.ts";
import { captionForm } from "./consistency/layout/caption.ts";
import { headingCase } from "./consistency/layout/heading-case.ts";
import { listCapital } from "./consistency/layout/list-capital.ts";
import { listEnd } from "./consistency/layout/list-end.ts";
import { listGrammar } from "./consistency/layout/list-grammar.ts";
import { dashForm } from "./consistency/marks/dash.ts";
import { ellipsisForm } from "./consistency/marks/ellipsis.ts";
import { quotationMarks } from "./consistency/marks/quotation-marks.ts";
import { serialComma } from "./consistency/marks/serial-comma.ts";
import { figureGap } from "./consistency/numbering/figure-gap.ts";
import { headingNumber } from "./consistency/numbering/heading-number.ts";
import { listNumber } from "./consistency/numbering/list-number.ts";
import { noteGap } from "./consistency/numbering/note-gap.ts";
import { referenceNowhere } from "./consistency/numbering/reference-nowhere.ts";
import { requirementGap } from "./consistency/numbering/requirement-gap.ts";
import { requirementModal } from "./consistency/numbering/requirement-modal.ts";
import { requirementWording } from "./consistency/numbering/requirement-wording.ts";
import { currencyForm } from "./consistency/numbers/currency.ts";
import { dateForm } from "./consistency/numbers/date.ts";
import { decimalForm } from "./consistency/numbers/decimal.ts";
import { eraForm } from "./consistency/numbers/era.ts";
import { numberForm } from "./consistency/numbers/number.ts";
import { percentForm } from "./consistency/numbers/percent.ts";
import { rangeForm } from "./consistency/numbers/range.ts";
import { thousandsMark } from "./consistency/numbers/thousands.ts";
import { timeForm } from "./consistency/numbers/time.ts";
import { conversion } from "./consistency/quantities/conversion.ts";
import { precision } from "./consistency/quantities/precision.ts";
import { rangeUnits } from "./consistency/quantities/range-units.ts";
import { unitPlural } from "./consistency/quantities/unit-plural.ts";
import { unitSpace } from "./consistency/quantities/unit-space.ts";
import { unitStop } from "./consistency/quantities/unit-stop.ts";
import { unitSymbol } from "./consistency/quantities/unit-symbol.ts";
import { unitSystem } from "./consistency/quantities/unit-system.ts";
import { abbreviationPlural } from "./consistency/terms/abbreviation-plural.ts";
import { accent } from "./consistency/terms/accent.ts";
import { termCapitals } from "./consistency/terms/capitals.ts";
import { compound } from "./consistency/terms/compound.ts";
import { contractionHabit } from "./consistency/terms/contraction.ts";
import { fixedCapitals } from "./consistency/terms/fixed-capitals.ts";
import { houseForm } from "./consistency/terms/house-form.ts";
import { italics } from "./consistency/terms/italics.ts";
import { labelForm } from "./consistency/terms/label.ts";
import { personName } from "./consistency/terms/name.ts";
import { abbreviationPoints } from "./consistency/terms/points.ts";
import { possessiveHabit } from "./consistency/terms/possessive.ts";
import { prefix } from "./consistency/terms/prefix.ts";
import { variantSpelling } from "./consistency/terms/spelling.ts";
import { agreement } from "./grammar/agreement/agreement.ts";
import { eachAgreement } from "./grammar/agreement/each-agreement.ts";
import { thereAgreement } from "./grammar/agreement/there-agreement.ts";
import { aOrAn } from "./grammar/articles/a-or-an.ts";
import { doubleDeterminer } from "./grammar/articles/double-determiner.ts";
import { missingArticle } from "./grammar/articles/missing-article.ts";
import { calendarCapital } from "./grammar/capitals/nationality.ts";
import { paragraphStart } from "./grammar/capitals/paragraph-start.ts";
import { pronounI } from "./grammar/capitals/pronoun-i.ts";
import { titleCapital } from "./grammar/capitals/title-capital.ts";
import { clauseComma } from "./grammar/marks/clause-comma.ts";
import { colonAfterVerb } from "./grammar/marks/colon-after-verb.ts";
import { compoundHyphen } from "./grammar/marks/compound-hyphen.ts";
import { dateComma } from "./grammar/marks/date-comma.ts";
import { introductoryComma } from "./grammar/marks/introductory-comma.ts";
import { markSlips } from "./grammar/marks/mark-slips.ts";
import { relativeComma } from "./grammar/marks/relative-comma.ts";
import { semicolonAfterOpening } from "./grammar/marks/semicolon-after-opening.ts";
import { subjectComma } from "./grammar/marks/subject-comma.ts";
import { thatComma } from "./grammar/marks/that-comma.ts";
import { unpaired } from "./grammar/marks/unpaired.ts";
import { apostrophePlural } from "./grammar/nouns/apostrophe-plural.ts";
import { demonstrative } from "./grammar/nouns/demonstrative.ts";
import { fewerLess } from "./grammar/nouns/fewer-less.ts";
import { manyMuch } from "./grammar/nouns/many-much.ts";
import { massNoun } from "./grammar/nouns/mass-noun.ts";
import { missingApostrophe } from "./grammar/nouns/missing-apostrophe.ts";
import { numberNoun } from "./grammar/nouns/number-noun.ts";
import { oneOf } from "./grammar/nouns/one-of.ts";
import { pluralOfFigures } from "./grammar/nouns/plural-of-figures.ts";
import { itsOrIts } from "./grammar/pronouns/its-or-its.ts";
import { pronounCase } from "./grammar/pronouns/pronoun-case.ts";
import { reflexive } from "./grammar/pronouns/reflexive.ts";
import { themThose } from "./grammar/pronouns/them-those.ts";
import { whoWhich } from "./grammar/pronouns/who-which.ts";
import { whoWhom } from "./grammar/pronouns/who-whom.ts";
import { adverbSplice } from "./grammar/sentences/adverb-splice.ts";
import { commaSplice } from "./grammar/sentences/comma-splice.ts";
import { danglingOpening } from "./grammar/sentences/dangling-opening.ts";
import { finalMark } from "./grammar/sentences/final-mark.ts";
import { fragment } from "./grammar/sentences/fragment.ts";
import { missingPart } from "./grammar/sentences/missing-part.ts";
import { parallelList } from "./grammar/sentences/parallel-list.ts";
import { questionMark } from "./grammar/sentences/question-mark.ts";
import { repeatedPart } from "./grammar/sentences/repeated-part.ts";
import { runOn } from "./grammar/sentences/run-on.ts";
import { tenseShift } from "./grammar/sentences/tense-shift.ts";
import { bareInfinitive } from "./grammar/verbs/bare-infinitive.ts";
import { baseForPast } from "./grammar/verbs/base-for-past.ts";
import { clauseVerb } from "./grammar/verbs/clause-verb.ts";
import { clauseWill } from "./grammar/verbs/clause-will.ts";
import { gerundAfterPreposition } from "./grammar/verbs/gerund-after-preposition.ts";
import { gerundOrInfinitive } from "./grammar/verbs/gerund-or-infinitive.ts";
import { ifWouldHave } from "./grammar/verbs/if-would-have.ts";
import { loneParticiple } from "./grammar/verbs/lone-participle.ts";
import { modalOf } from "./grammar/verbs/of-for-have.ts";
import { perfectPast } from "./grammar/verbs/perfect-past.ts";
import { sinceTense } from "./grammar/verbs/since-tense.ts";
import { stateVerb } from "./grammar/verbs/state-verb.ts";
import { usedTo } from "./grammar/verbs/used-to.ts";
import { verbForm } from "./grammar/verbs/verb-form.ts";
import { adverbForm } from "./grammar/words/adverb-form.ts";
import { comparisonWords } from "./grammar/words/comparison-words.ts";
import { confusedWords } from "./grammar/words/confused-words.ts";
import { contraction } from "./grammar/words/contraction.ts";
import { doubleComparison } from "./grammar/words/double-comparison.ts";
import { doubleNegative } from "./grammar/words/double-negative.ts";
import { extraWord } from "./grammar/words/extra-word.ts";
import { fixedPhrase } from "./grammar/words/fixed-phrase.ts";
import { missingWord } from "./grammar/words/missing-word.ts";
import { pairedConjunctions } from "./grammar/words/paired-conjunctions.ts";
import { reasonBecause } from "./grammar/words/reason-because.ts";
import { reportedQuestion } from "./grammar/words/reported-question.ts";
import { requiredPreposition } from "./grammar/words/required-preposition.ts";
import { swappedWords } from "./grammar/words/swapped-words.ts";
import { usage } from "./grammar/words/usage.ts";
import { wordDivision } from "./grammar/words/word-division.ts";
import { lightlyChanged } from "./originality/lightly-changed.ts";
import { possible } from "./originality/possible.ts";
import { reworded } from "./originality/reworded.ts";
import { wordForWord } from "./originality/word-for-word.ts";
import { hardSentence } from "./sentences/hard-sentence.ts";
import { brokenWord } from "./spelling/broken-word.ts";
import { capsLock } from "./spelling/caps-lock.ts";
import { dayAndMonth } from "./spelling/day-and-month.ts";
import { doubledWord } from "./spelling/doubled-word.ts";
import { missingSpace } from "./spelling/missing-space.ts";
import { oddCapitals } from "./spelling/odd-capitals.ts";
import { oddName } from "./spelling/odd-name.ts";
import { otherVariety } from "./spelling/other-variety.ts";
import { sentenceStart } from "./spelling/sentence-start.ts";
import { twoCapitals } from "./spelling/two-capitals.ts";
import { unknownWord } from "./spelling/unknown-word.ts";
import { cliche } from "./wording/cliche.ts";
import { closeRepetition } from "./wording/close-repetition.ts";
import { doubleMeaning } from "./wording/double-meaning.ts";
import { expletiveOpening } from "./wording/expletive-opening.ts";
import { hedge } from "./wording/hedge.ts";
import { housePattern } from "./wording/house-pattern.ts";
import { houseTerm } from "./wording/house-term.ts";
import { houseWording } from "./wording/house-wording.ts";
import { intensifier } from "./wording/intensifier.ts";
import { jargon } from "./wording/jargon.ts";
import { lightVerb } from "./wording/light-verb.ts";
import { negative } from "./wording/negative.ts";
import { nounString } from "./wording/noun-string.ts";
import { outdated } from "./wording/outdated-term.ts";
import { overusedWord } from "./wording/overused-word.ts";
import { passiveWithAgent } from "./wording/passive.ts";
import { passiveSection } from "./wording/passive-section.ts";
import { redundant } from "./wording/redundant.ts";
import { sameOpening } from "./wording/same-opening.ts";
import { vague } from "./wording/vague.ts";
import { wordy } from "./wording/wordy.ts";

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
  clauseVerb,
  baseForPast,
  bareInfinitive,
  gerundOrInfinitive,
  gerundAfterPreposition,
  usedTo,
  ifWouldHave,
  sinceTense,
  perfectPast,
  stateVerb,
  clauseWill,
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
  usage,
  contraction,
  wordDivision,
  fragment,
  repeatedPart,
  missingPart,
  runOn,
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
  relativeComma,
  pronounI,
  paragraphStart,
  titleCapital,
  calendarCapital,
  houseTerm,
  houseWording,
  housePattern,
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
  nounString,
  sameOpening,
  closeRepetition,
  overusedWord,
  passiveSection,
  hardSentence,
  compound,
  prefix,
  variantSpelling,
  accent,
  termCapitals,
  houseForm,
  fixedCapitals,
  abbreviationPoints,
  abbreviationPlural,
  personName,
  contractionHabit,
  possessiveHabit,
  labelForm,
  numberForm,
  thousandsMark,
  decimalForm,
  rangeForm,
  dateForm,
  timeForm,
  eraForm,
  percentForm,
  currencyForm,
  quotationMarks,
  dashForm,
  ellipsisForm,
  serialComma,
  listEnd,
  listCapital,
  listGrammar,
  headingCase,
  captionForm,
  abbreviationUndefined,
  abbreviationBeforeDefinition,
  abbreviationDefinedTwice,
  abbreviationDefinedDifferently,
  abbreviationUnused,
  abbreviationExpandedAgain,
  unitSystem,
  unitSymbol,
  unitSpace,
  unitPlural,
  unitStop,
  rangeUnits,
  precision,
  conversion,
  requirementGap,
  headingNumber,
  figureGap,
  noteGap,
  referenceNowhere,
  requirementModal,
  requirementWording,
  listNumber,
  italics,
  noEntry,
  citationOrYear,
  nearName,
  nearYear,
  yearLetter,
  neverCited,
  citedNames,
  citedJoining,
  citedComma,
  pinpointForm,
  bracketOrder,
  numberOrder,
  numberRange,
  noteOrder,
  ibidem,
  listOrder,
  duplicateEntry,
  authorForm,
  authorJoining,
  authorCount,
  entryYear,
  titleCapitals,
  titleQuotes,
  volumeForm,
  pageRange,
  editionForm,
  publisherPlace,
  doiForm,
  addressForm,
  accessDate,
  entryEnd,
  missingField,
  titleItalics,
  mixedStyles,
  wordForWord,
  lightlyChanged,
  reworded,
  possible,
] as unknown as Check<Fact>[];

const BY_ID = new Map(CHECKS.map((check) => [check.id, check]));

/** A check by its id. */
export function checkById(id: string): Check<Fact> | undefined {
  return BY_ID.get(id);
}
