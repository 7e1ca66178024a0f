import { type Found, markCheck } from "../mark-check.ts";
import { doubleMeaning as card } from "./cards.ts";

const isLargeNumber = (form: string) => /^(?:billions?|trillion)$/.test(form);

/** Words that mean one thing here and another there. */
export const doubleMeaning = markCheck({
  ...card,
  reason: "“{}” is read in two ways.",
  patterns: [
    "[biweekly|bi-weekly] => every two weeks | twice a week :: “{}” may be every two weeks or twice a week.",
    "[bimonthly|bi-monthly] => every two months | twice a month :: “{}” may be every two months or twice a month.",
    "[biannual|bi-annual] => twice-yearly | two-yearly :: “{}” may be twice a year or every two years.",
    "[biannually] => twice a year | every two years :: “{}” may be twice a year or every two years.",
    "[fortnightly] => every two weeks :: US readers do not know “{}”.",
    "[next] @weekdays => this | on :: “{}”: the coming one, or the one after?",
    "the meeting|vote|motion|bill|question was [tabled] => put forward | put off :: “{}” is put forward in Britain, and put off in the US.",
    "to [table] the motion|bill|question => put forward | put off :: “{}” is to put forward in Britain, and to put off in the US.",
    "[billion|billions|trillion] :: “{}” is a thousand times more in older British and in other European use; a figure leaves no doubt.",
    "[sanction~/VERB] the => approve~1 | punish~1 :: “{}” may mean allowed or punished.",
  ],
  accepts({ bounds }, { words }) {
    // A large number is told of once in a paragraph.
    const unit = bounds[0] ?? 0;
    const { form = "" } = words[unit] ?? {};
    return !isLargeNumber(form) || words.findIndex((word) => word.form === form) === unit;
  },
  unsure: ({ bounds }, { words }) => isLargeNumber(words[bounds[0] ?? 0]?.form ?? ""),
  find(syntax, _language, block) {
    const found: Found[] = [];
    if (!block.text.includes("/")) return found;
    for (const { 0: date, index } of block.text.matchAll(
      /\b(?:0?[1-9]|1[0-2])\/(?:0?[1-9]|1[0-2])\/(?:\d\d)?\d\d\b/g,
    )) {
      const from = syntax.units.findIndex((unit) => unit.to > index);
      const to = syntax.units.findIndex((unit) => unit.from >= index + date.length);
      const [first, second] = date.split("/");
      if (from < 0 || first === second) continue;
      found.push({
        from,
        to: to < 0 ? syntax.units.length : to,
        mends: [],
        reason: `Is “${date}” the day or the month first? Spell the month, or write the year first.`,
      });
    }
    return found;
  },
  groups: true,
});
