import type { NounGroup, Syntax } from "../../../language/phrases/syntax.ts";
import { TAG, TAG_SETS } from "../../../language/tags/tag-sets.ts";

/** Groups that stand without an article as they are; common practice. */
const PHRASES = new Set(
  (
    "next door|fiscal year|city hall|town hall|city center|center city|center stage|stage left|stage right|old hat|high tide|low tide|" +
    "high water|low water|sea level|ground level|eye level|high school|graduate school|college|middle age|old age|common sense|common knowledge|" +
    "real life|full time|part time|full speed|top speed|half price|first class|second class|first place|second place|last place|last week|next week|" +
    "last month|next month|last year|next year|last night|late summer|early summer|late spring|early spring|late autumn|early autumn|late winter|" +
    "summer|winter|spring|autumn|fog|mist|rain|snow|ice|frost|daylight|daybreak|dawn|dusk|nightfall|sunrise|sunset|midnight|midday|noon|breakfast|lunch|dinner|supper|" +
    "best man|mother|father|grandmother|grandfather|mom|dad|aunt|uncle|heaven|hell|parliament|congress"
  ).split("|"),
);

/** A preposition or a verb with a noun that it takes bare; common practice. */
const PAIRS = new Set(
  (
    "on end|on deck|on stage|on board|on shore|on land|on foot|on hand|on guard|on duty|on call|on trial|on record|on paper|on purpose|on time|" +
    "in place|in back|in process|in point|in search|in need|in pursuit|in support|in memory|in honour|in honor|in bed|in hand|in mind|in fact|in line|in front|in turn|in school|in prison|in court|in church|in debt|in doubt|in danger|in part|in person|" +
    "in stock|in step|in store|in tow|in tune|in view|in charge|in office|in port|at sea|at hand|at heart|at home|at work|at school|at war|at stake|" +
    "at bay|at anchor|at risk|at ease|at fault|at length|at rest|by hand|by heart|by name|by way|by mistake|by accident|by chance|by ear|by trade|" +
    "to bed|to school|to church|to court|to sea|to shore|to port|to hand|to mind|to date|to scale|from memory|from scratch|from end|for sale|for hire|" +
    "under way|under fire|under guard|within range|within reach|within earshot|within sight|out of order|off guard|off duty|off balance|off course|" +
    "keep house|keeps house|kept house|keep watch|kept watch|keep pace|kept pace|keep track|give voice|gave voice|give way|gave way|take part|takes part|" +
    "took part|take place|takes place|took place|take shape|took shape|take heart|took heart|take aim|took aim|take root|took root|make way|made way|" +
    "make sense|makes sense|made sense|set sail|set foot|set fire|lay siege|lose face|lose heart|lose sight|lost sight|catch fire|caught fire|hold sway|" +
    "change hands|drop anchor|dropped anchor|play host|played host|pay heed|had issue|take issue|took issue"
  ).split("|"),
);

/** Offices that one holds: "as moderator", "turned pilot". */
const OFFICE = /(?:er|or|ist|ian|ant|man|woman|chief)$/;
const HOLDING = /^(?:as|turned|become|becomes|became|appointed|elected|named)$/;

/** Whether a noun group without an article stands as custom has it. */
export function isBareByCustom(syntax: Syntax, group: NounGroup): boolean {
  const { words, tags, sentenceFrom } = syntax;
  const { from, to, head } = group;
  const form = (unit: number) => words[unit]?.form ?? "";
  const noun = form(head);
  const length = to - from;
  if (length === 1 && (PHRASES.has(noun) || PAIRS.has(`${form(from - 1)} ${noun}`))) return true;
  if (length === 2 && PHRASES.has(`${form(from)} ${noun}`)) return true;
  // "Year by year", "from pier to pier".
  if (form(from - 2) === noun || form(to + 1) === noun) return true;
  if (isWay(syntax, group) || sharesDeterminer(syntax, group)) return true;
  if (HOLDING.test(form(from - 1)) && OFFICE.test(noun)) return true;
  // "Orrin Vale, keeper of the gauge"; "…; care of the log; repair of the float".
  const start = sentenceFrom[from] ?? 0;
  const before = tags[from - 1] ?? 0;
  if (from - 2 <= start) return false;
  if (before === TAG[","] && TAG_SETS.NAME[tags[from - 2] ?? 0]) return true;
  return form(from - 1) === ";" && form(to) === "of";
}

/** "The lamp and float", "their absence or presence": the second of two takes the first one's determiner. */
function sharesDeterminer({ tags, nounAt, nounGroups }: Syntax, { from, to }: NounGroup): boolean {
  if (tags[from - 1] !== TAG.CC || to - from > 1) return false;
  const other = nounGroups[nounAt[from - 2] ?? -1];
  return other !== undefined && other.determiner >= 0 && other.to - other.from === 2;
}

/** "From door to quay": both ends of a way, the other one bare as well. */
function isWay({ words, nounAt, nounGroups }: Syntax, { from, to }: NounGroup): boolean {
  const form = (unit: number) => words[unit]?.form ?? "";
  const bare = (unit: number) => (nounGroups[nounAt[unit] ?? -1]?.determiner ?? 0) < 0;
  if (form(from - 1) === "from" && form(to) === "to") return bare(to + 1);
  if (form(from - 1) !== "to") return false;
  const other = nounGroups[nounAt[from - 2] ?? -1];
  return other !== undefined && other.determiner < 0 && form(other.from - 1) === "from";
}
