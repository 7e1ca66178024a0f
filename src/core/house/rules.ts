import { z } from "zod";
import { KINDS, type Kind } from "../manuscript/model.ts";

/**
 * The rules of a house style, as they stand in its file. Whoever edits a file by hand finds every field
 * described in docs/HOUSE-STYLE.md.
 */

/** Parts of a document that a rule may be kept to. */
export const RULE_PLACES = ["text", "headings", "tables", "captions", "notes"] as const;
export type RulePlace = (typeof RULE_PLACES)[number];

const line = (most: number) => z.string().trim().min(1).max(most);

export const scopeSchema = z.object({
  /** Kinds of copy it is for; all where it names none. */
  kinds: z.array(z.enum(KINDS)).optional(),
  /** Parts of the document it is for; all where it names none. */
  in: z.array(z.enum(RULE_PLACES)).optional(),
  /** It holds between quotation marks too. */
  quotations: z.boolean().optional(),
});
export type Scope = z.infer<typeof scopeSchema>;

/** Right and wrong sentences of a rule, tried whenever it is changed. */
export const ruleExampleSchema = z.union([
  z.object({ wrong: line(400), right: z.string().trim().max(400).optional() }),
  z.object({ leave: line(400) }),
]);
export type RuleExample = z.infer<typeof ruleExampleSchema>;

const base = {
  /** Names it within its house. */
  id: z.string().regex(/^[\w-]{1,64}$/),
  /** Why the house has it, shown with its marks. */
  reason: z.string().trim().max(300).optional(),
  weight: z.enum(["fix", "settle", "weigh"]).optional(),
  scope: scopeSchema.optional(),
  examples: z.array(ruleExampleSchema).max(40).optional(),
  /** Kept, and not followed. */
  off: z.boolean().optional(),
  /** When it was made, ISO 8601. */
  addedAt: z.string().optional(),
};

/** Words the house does not write, and what it writes for them; nothing where they go without one. */
const termSchema = z.object({
  ...base,
  type: z.literal("term"),
  not: z.array(line(120)).min(1).max(60),
  use: z.array(line(120)).max(12).default([]),
  /** Plurals and verb forms are found and put in too. */
  inflects: z.boolean().default(true),
  /** Only with the capitals it is written with here. */
  exactCapitals: z.boolean().default(false),
  /** Phrases in which it may be. */
  exceptions: z.array(line(200)).max(60).default([]),
});

/** Words to weigh, with the reason: advice, never an error. */
const wordingSchema = z.object({
  ...base,
  type: z.literal("wording"),
  not: z.array(line(120)).min(1).max(60),
  use: z.array(line(120)).max(12).default([]),
  reason: line(300),
  inflects: z.boolean().default(true),
  exactCapitals: z.boolean().default(false),
  exceptions: z.array(line(200)).max(60).default([]),
});

/** A term whose capitals are fixed: “Harbour Board”, “internet”. */
const capitalsSchema = z.object({
  ...base,
  type: z.literal("capitals"),
  write: line(120),
  exceptions: z.array(line(200)).max(60).default([]),
});

/** A compound that is open, hyphenated or closed: “tide gauge”, “well-known”, “dataset”. */
const compoundSchema = z.object({
  ...base,
  type: z.literal("compound"),
  write: line(120),
  /** Forms it is not written in, beside the two others that its parts give. */
  not: z.array(line(120)).max(60).default([]),
  inflects: z.boolean().default(true),
  exceptions: z.array(line(200)).max(60).default([]),
});

/** A name, and how it is written wrong. */
const nameSchema = z.object({
  ...base,
  type: z.literal("name"),
  write: line(120),
  not: z.array(line(120)).max(60).default([]),
});

/** An abbreviation with its expansion, and whether a text must explain it. */
const abbreviationSchema = z.object({
  ...base,
  type: z.literal("abbreviation"),
  short: line(24),
  full: line(200),
  explained: z.boolean().default(true),
});

/** Which form of one kind of thing the house has: numbers, dates, marks, headings and so on. */
const formSchema = z.object({
  ...base,
  type: z.literal("form"),
  /** The group of forms: the check's id, a colon, and what it is about. */
  of: line(200),
  form: line(200),
});

/** A line of the pattern language. */
const patternSchema = z.object({
  ...base,
  type: z.literal("pattern"),
  pattern: line(400),
  reason: line(300),
});

/** A regular expression (RE2 syntax), and what stands in the place of what it finds. */
const expressionSchema = z.object({
  ...base,
  type: z.literal("expression"),
  find: line(400),
  /** “$1” stands for what the first bracket found; left out where there is nothing to put in. */
  put: z.string().max(400).optional(),
  anyCapitals: z.boolean().default(false),
  reason: line(300),
});

export const ruleSchema = z.discriminatedUnion("type", [
  termSchema,
  wordingSchema,
  capitalsSchema,
  compoundSchema,
  nameSchema,
  abbreviationSchema,
  formSchema,
  patternSchema,
  expressionSchema,
]);
export type Rule = z.infer<typeof ruleSchema>;
export type RuleType = Rule["type"];
export type RuleOf<T extends RuleType> = Extract<Rule, { type: T }>;
/** A rule as one writes it, with what has a default left out. */
export type WrittenRule = z.input<typeof ruleSchema>;

export const RULE_TYPES = [
  "term",
  "wording",
  "capitals",
  "compound",
  "name",
  "abbreviation",
  "form",
  "pattern",
  "expression",
] as const satisfies readonly RuleType[];

/** A rule, and the house it is of. */
export interface HouseRule {
  rule: Rule;
  /** The house's name, as a mark says it. */
  house: string;
}

/** A new name for a rule that no other has. */
export function newRuleId(taken: ReadonlySet<string>, wanted: string): string {
  const plain = wanted
    .toLowerCase()
    .normalize("NFD")
    .replace(/[^a-z0-9]+/g, "-")
    .replace(/^-+|-+$/g, "")
    .slice(0, 40);
  const stem = plain === "" ? "rule" : plain;
  for (let number = 1; ; number++) {
    const id = number === 1 ? stem : `${stem}-${number}`;
    if (!taken.has(id)) return id;
  }
}

/** What a rule is about, in a few words: its headword in lists. */
export function titleOf(rule: Rule): string {
  switch (rule.type) {
    case "term":
    case "wording":
      return rule.use.length > 0
        ? `${rule.use.join(", ")} (not ${rule.not.join(", ")})`
        : `not ${rule.not.join(", ")}`;
    case "capitals":
    case "compound":
    case "name":
      return rule.write;
    case "abbreviation":
      return `${rule.short}: ${rule.full}`;
    case "form":
      return rule.form;
    case "pattern":
      return rule.pattern;
    case "expression":
      return rule.find;
  }
}

/** A rule in one line: what it is about, what it leaves alone, where it holds, why. */
export function ruleLine(rule: Rule): string {
  const parts = [titleOf(rule)];
  if (rule.type === "form") parts.unshift(rule.of.slice(rule.of.indexOf(":") + 1));
  if ("exceptions" in rule && rule.exceptions.length > 0) {
    parts.push(`but not in ${rule.exceptions.join("; ")}`);
  }
  const { kinds = [], in: places = [], quotations } = rule.scope ?? {};
  const where = [...kinds, ...places];
  if (where.length > 0) parts.push(`in ${where.join(", ")}`);
  if (quotations) parts.push("in quotations too");
  if (rule.reason) parts.push(rule.reason);
  return parts.join(", ");
}

/** What a rule says, without its name in the house and when it was made. */
export function saidBy({ id: _id, addedAt: _addedAt, ...rule }: Rule): string {
  return JSON.stringify(Object.entries(rule).sort(([one], [other]) => (one < other ? -1 : 1)));
}

/** Whether a scope is for a kind of copy. */
export function isForKind({ kinds = [] }: Scope = {}, kind: Kind): boolean {
  return kinds.length === 0 || kinds.includes(kind);
}
