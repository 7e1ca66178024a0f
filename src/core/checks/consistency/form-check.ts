import type { AnalysedBlock, Language } from "../../language/analysis.ts";
import type { Block, BlockKind } from "../../manuscript/model.ts";
import type { Card } from "../card.ts";
import type {
  Across,
  Check,
  Circumstances,
  Conclusion,
  Fact,
  Keeping,
  Matter,
  Preference,
  Telling,
  Verdict,
} from "../check.ts";
import { NO_FORMS } from "../check.ts";
import { times } from "../telling.ts";
import { type FormCounts, FormTally } from "./form-counts.ts";
import { textSigns } from "./text-signs.ts";

/** One place where something stands in one of several forms. */
export interface FormFact extends Fact {
  /** What it is a form of; several where it may be compared under each. */
  key: string | readonly string[];
  form: string;
  /** Why it keeps its form whatever is preferred; such places speak for no form. */
  kept?: Keeping;
  /** What it does where it stands, as one letter, where forms are compared by that. */
  role?: string;
}

export interface Preferred {
  form: string;
  by: Preference;
}

/** What a check of forms is made from. */
export interface FormCheckParts<F extends FormFact> extends Card {
  matter: Matter;
  examine(block: AnalysedBlock, language: Language): F[];
  /** What stands above the habit of the text: a standard, the kind of copy, the variety of English. */
  rules?(key: string, counts: FormCounts, circumstances: Circumstances): Preferred | null;
  /** What the dictionary has, which decides where the text has no clear habit. */
  dictionary?(key: string, counts: FormCounts, circumstances: Circumstances): string | null;
  /** Whether forms are at odds though there are two, or though there is one. */
  atOdds?(key: string, counts: FormCounts, circumstances: Circumstances): boolean;
  /** One form alone may be at odds with a rule. */
  isOddAlone?: boolean;
  /** What a fact counts under, where the block it stands in tells: a list, a level of headings. */
  keyOf?(fact: F, block: Block): string | null;
  /** Whether a form may stand beside the preferred one. */
  goesWith?(form: string, preferred: string): boolean;
  /** The roles within which forms are at odds, as letters in one word; "" where in none. */
  rolesAtOdds?(counts: FormCounts): string;
  /** What stands in the place of a fact in another form; null where that can't be told. */
  write(fact: F, form: string, text: string, circumstances: Circumstances): string | null;
  /** How a form is named, where not by itself. */
  label?(form: string): string;
  /** A place is changed only when that is asked for: what it says may be meant. */
  isAsked?: boolean;
  /** Characters of which a block must have one for there to be anything (`text-signs.ts`). */
  needs?: number;
  /** Kinds of blocks it reads beside or instead of running text. */
  reads?: readonly BlockKind[];
}

const RUNNING: readonly BlockKind[] = ["paragraph", "item", "note", "quote", "cell", "caption"];
const NOT_AT_ODDS = { verdict: null };
/** Places of the commonest form for each of the next one, from which on the text has a habit. */
const CLEAR = 2;

/** A check that finds things that stand in several forms, one group a thing. */
export function formCheck<F extends FormFact>(parts: FormCheckParts<F>): Check<F> {
  const {
    matter,
    examine,
    write,
    label = (form: string) => form,
    reads = RUNNING,
    isAsked = false,
    needs,
    isOddAlone = false,
    ...rest
  } = parts;
  const { rules, dictionary, atOdds, rolesAtOdds, keyOf, goesWith, ...card } = rest;
  const kinds = new Set(reads);
  const judging = { rules, dictionary, atOdds, rolesAtOdds };
  const across: Across<F, FormTally> = {
    counting: {
      keysOf: (fact, block) => (keyOf ? keyOf(fact, block) : fact.key),
      start: () => new FormTally(),
      count: (tally, { form, kept, role }, _key, by) =>
        tally.add(form, kept !== undefined, role, by),
    },
    judge: (key, counts, _level, circumstances) =>
      // Most things are written one way.
      counts.size === 1 &&
      !isOddAlone &&
      circumstances.forms === NO_FORMS &&
      circumstances.houseForms === null
        ? NOT_AT_ODDS
        : { verdict: verdictOf(`${card.id}:${key}`, key, counts, circumstances, judging) },
    find: (fact, verdict) =>
      goesWith?.(fact.form, String(verdict.form)) ? null : findingOf(fact, verdict, label),
    tell: (_key, counts, verdict) => [{ ...tellingOf(counts, verdict, label), matter }],
  };
  return {
    ...card,
    examine: (block, language) =>
      kinds.has(block.kind) && (needs === undefined || (textSigns(block) & needs) !== 0)
        ? examine(block, language)
        : [],
    across: across as Across<F>,
    forms: {
      formOf: ({ form }) => form,
      keeping: ({ kept }) => kept ?? null,
      write,
      isAsked,
    },
    choose: () => [],
  };
}

type Judging = Pick<FormCheckParts<FormFact>, "rules" | "dictionary" | "atOdds" | "rolesAtOdds">;

function verdictOf(
  group: string,
  key: string,
  all: FormCounts,
  circumstances: Circumstances,
  { rules, dictionary, atOdds, rolesAtOdds }: Judging,
): Verdict | null {
  if (all.size === 0) return null;
  const roles = rolesAtOdds?.(all);
  if (roles === "") return null;
  const counts = roles === undefined ? all : inRoles(all, roles);
  const verdict = (form: string, by: Preference, clear = true): Verdict =>
    roles === undefined ? { form, by, clear } : { form, by, clear, roles };
  const own = [...counts].filter(([, { own: places }]) => places > 0).map(([form]) => form);
  if (own.length === 0) return null;
  const chosen = circumstances.forms[group];
  if (chosen === "") return own.length > 1 ? verdict("", "document") : null;
  if (chosen !== undefined) {
    return own.some((form) => form !== chosen) ? verdict(chosen, "document") : null;
  }
  const { houseForms } = circumstances;
  const ofHouse = houseForms?.[group] ?? houseForms?.[`${group.slice(0, group.indexOf(":"))}:*`];
  if (ofHouse) {
    const { form, house } = ofHouse;
    return own.some((one) => one !== form) ? { ...verdict(form, "house"), house } : null;
  }
  if (!(atOdds?.(key, counts, circumstances) ?? own.length > 1)) return null;
  const house = own.filter((form) => circumstances.words.has(form));
  if (house.length === 1) return verdict(house[0] ?? "", "house");
  const ruled = rules?.(key, counts, circumstances);
  if (ruled) return own.some((form) => form !== ruled.form) ? verdict(ruled.form, ruled.by) : null;
  if (own.length < 2) return null;
  const [first, second] = leadersOf(counts, own);
  const places = (form: string) => counts.get(form)?.own ?? 0;
  if (places(first) >= CLEAR * places(second)) return verdict(first, "majority");
  const known = dictionary?.(key, counts, circumstances) ?? null;
  if (known !== null && own.includes(known)) return verdict(known, "dictionary");
  return verdict(first, "majority", places(first) > places(second));
}

/** The counts of the places that have one of these roles. */
function inRoles(counts: FormCounts, roles: string): FormCounts {
  return new Map(
    [...counts].map(([form, { kept, roles: own }]) => {
      const places = Object.entries(own ?? {}).reduce(
        (sum, [role, number]) => sum + (roles.includes(role) ? number : 0),
        0,
      );
      return [form, { own: places, kept }];
    }),
  );
}

/** The two commonest forms; of equals the first by its letters. */
function leadersOf(counts: FormCounts, own: readonly string[]): [string, string] {
  const places = (form: string) => counts.get(form)?.own ?? 0;
  const [first = "", second = ""] = [...own].sort(
    (one, other) => places(other) - places(one) || (one < other ? -1 : 1),
  );
  return [first, second];
}

const ELSEWHERE: Readonly<Record<Preference, (form: string, house: string) => string>> = {
  document: (form) => `“${form}” was chosen for this document`,
  house: (form, house) => `${house} writes “${form}”`,
  dictionary: (form) => `the dictionary has “${form}”`,
  standard: (form) => `the standard has “${form}”`,
  kind: (form) => `this kind of copy has “${form}”`,
  variety: (form) => `this English has “${form}”`,
  majority: (form) => `elsewhere mostly “${form}”`,
};

function findingOf(
  { from, to, form, kept, role }: FormFact,
  { form: preferred, by, clear, roles, house = "the house" }: Verdict,
  label: (form: string) => string,
): Conclusion | null {
  if (kept || preferred === "" || form === preferred) return null;
  if (roles !== undefined && role !== undefined && !String(roles).includes(role)) return null;
  const told = label(String(preferred));
  const elsewhere = clear
    ? ELSEWHERE[by as Preference](told, String(house))
    : `elsewhere also “${told}”`;
  return { from, to, reason: `“${label(form)}” here; ${elsewhere}.`, gathers: true };
}

function tellingOf(
  counts: FormCounts,
  { form, by, clear, house }: Verdict,
  label: (form: string) => string,
): Omit<Telling, "matter"> {
  const variants = [...counts]
    .sort(([name, one], [other, { own, kept }]) => {
      return own - one.own || kept - one.kept || (name < other ? -1 : 1);
    })
    .map(([name, { own, kept }]) => ({
      text: label(name),
      form: name,
      count: own + kept,
      ...(kept > 0 ? { kept } : {}),
    }));
  const note = variants.map(({ text, count: places }) => `“${text}” ${times(places)}`).join(", ");
  return {
    note: `${note}.`,
    variants,
    ...(form === "" ? { onPurpose: true } : {}),
    ...(clear && form !== ""
      ? {
          preferred: {
            variant: String(form),
            by: by as Preference,
            ...(house === undefined ? {} : { house: String(house) }),
          },
        }
      : {}),
  };
}
