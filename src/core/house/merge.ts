import type { Imported } from "./exchange.ts";
import { newRuleId, type Rule, saidBy, titleOf } from "./rules.ts";
import type { HouseStyle, ListedWord, Replacement } from "./style.ts";

/** Taking an imported list into a house style, with what contradicts it shown first. */

/** Something the style has otherwise than the file. */
export type Conflict =
  | { kind: "word"; word: string; mine: ListedWord; theirs: ListedWord }
  | { kind: "replacement"; word: string; mine: Replacement; theirs: Replacement }
  | { kind: "rule"; word: string; mine: Rule; theirs: Rule };

export interface Merge {
  /** The style with everything that contradicts nothing taken in. */
  style: HouseStyle;
  added: number;
  /** What was there already, just the same. */
  known: number;
  conflicts: Conflict[];
}

/**
 * Merges what was imported into a style. Words come on `list`; those of a whole style keep theirs.
 * A word with another note or on another list, and a slip that is replaced otherwise, is a conflict.
 */
export function merge(style: HouseStyle, imported: Imported, list: string, now: string): Merge {
  const words = new Map(style.words.map((one) => [one.word.toLowerCase(), one]));
  const replacements = new Map(style.replacements.map((one) => [one.from.toLowerCase(), one]));
  const conflicts: Conflict[] = [];
  let added = 0;
  let known = 0;
  const theirWords = imported.style
    ? imported.style.words
    : imported.words.map((one): ListedWord => ({ ...one, list, addedAt: now }));
  for (const theirs of theirWords) {
    const key = theirs.word.toLowerCase();
    const mine = words.get(key);
    if (!mine) {
      words.set(key, theirs);
      added++;
    } else if (mine.list !== theirs.list || (theirs.note ?? mine.note) !== mine.note) {
      conflicts.push({ kind: "word", word: mine.word, mine, theirs });
    } else known++;
  }
  const theirReplacements =
    imported.style?.replacements ?? imported.replacements.map((one) => ({ ...one, addedAt: now }));
  for (const theirs of theirReplacements) {
    const key = theirs.from.toLowerCase();
    const mine = replacements.get(key);
    if (!mine) {
      replacements.set(key, theirs);
      added++;
    } else if (mine.to !== theirs.to || mine.exceptions.join() !== theirs.exceptions.join()) {
      conflicts.push({ kind: "replacement", word: mine.from, mine, theirs });
    } else known++;
  }
  const rules = new Map(style.rules.map((rule) => [subjectOf(rule), rule]));
  const ids = new Set(style.rules.map(({ id }) => id));
  for (const theirs of imported.style?.rules ?? imported.rules ?? []) {
    const mine = rules.get(subjectOf(theirs));
    if (!mine) {
      const id = ids.has(theirs.id) ? newRuleId(ids, theirs.id) : theirs.id;
      ids.add(id);
      rules.set(subjectOf(theirs), { ...theirs, id });
      added++;
    } else if (saidBy(mine) === saidBy(theirs)) known++;
    else conflicts.push({ kind: "rule", word: titleOf(mine), mine, theirs });
  }
  const lists = [...style.lists];
  for (const one of imported.style?.lists ?? []) {
    if (!lists.some(({ id }) => id === one.id)) lists.push(one);
  }
  const soundRules = [...style.soundRules];
  for (const rule of imported.style?.soundRules ?? []) {
    const same = (other: typeof rule) => other.typed === rule.typed && other.meant === rule.meant;
    if (!soundRules.some(same)) soundRules.push(rule);
  }
  return {
    style: {
      ...style,
      words: [...words.values()],
      lists,
      replacements: [...replacements.values()],
      rules: [...rules.values()],
      soundRules,
      appetites: { ...imported.style?.appetites, ...style.appetites },
      kinds: { ...imported.style?.kinds, ...style.kinds },
      cleanup: { ...imported.style?.cleanup, ...style.cleanup },
      overlapLimits: { ...imported.style?.overlapLimits, ...style.overlapLimits },
      citations: {
        ...imported.style?.citations,
        ...style.citations,
        overrides: { ...imported.style?.citations.overrides, ...style.citations.overrides },
      },
    },
    added,
    known,
    conflicts,
  };
}

/** What a rule is about: two rules of one house that have it alike say the same or contradict each other. */
function subjectOf(rule: Rule): string {
  switch (rule.type) {
    case "term":
    case "wording":
      return `${rule.type}:${rule.not
        .map((one) => one.toLowerCase())
        .sort()
        .join("|")}`;
    case "abbreviation":
      return `${rule.type}:${rule.short}`;
    case "form":
      return `${rule.type}:${rule.of}`;
    case "pattern":
      return `${rule.type}:${rule.pattern}`;
    case "expression":
      return `${rule.type}:${rule.find}`;
    default:
      return `${rule.type}:${rule.write.toLowerCase().replace(/[\s-]+/g, "")}`;
  }
}

/** A style with the file's side of some conflicts taken. */
export function takeTheirs(style: HouseStyle, conflicts: readonly Conflict[]): HouseStyle {
  let { words, replacements, rules } = style;
  for (const conflict of conflicts) {
    if (conflict.kind === "word") {
      words = words.map((one) => (one.word === conflict.mine.word ? conflict.theirs : one));
    } else if (conflict.kind === "rule") {
      rules = rules.map((one) =>
        one.id === conflict.mine.id ? { ...conflict.theirs, id: one.id } : one,
      );
    } else {
      replacements = replacements.map((one) =>
        one.from === conflict.mine.from ? conflict.theirs : one,
      );
    }
  }
  return { ...style, words, replacements, rules };
}
