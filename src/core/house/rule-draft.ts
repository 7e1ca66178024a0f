import {
  newRuleId,
  type Rule,
  type RuleExample,
  type RuleType,
  ruleSchema,
  type Scope,
} from "./rules.ts";

/** A rule while it is being written: every field as text, as it stands in a form. */
export interface RuleDraft {
  type: RuleType;
  /** The rule's name in its house; empty for a new one. */
  id: string;
  /** What is not written, one a line; for an abbreviation its letters. */
  not: string;
  /** What is written instead, or the pattern, the expression, the expansion. */
  use: string;
  reason: string;
  exceptions: string;
  weight: Rule["weight"] | "";
  inflects: boolean;
  /** Capitals as they are written: of a term, those it is found by; of an expression, any. */
  capitals: boolean;
  /** An abbreviation that a text must explain. */
  explained: boolean;
  scope: Scope;
  examples: RuleExample[];
  off: boolean;
}

export function emptyDraft(type: RuleType): RuleDraft {
  return {
    type,
    id: "",
    not: "",
    use: "",
    reason: "",
    exceptions: "",
    weight: "",
    inflects: true,
    capitals: false,
    explained: true,
    scope: {},
    examples: [],
    off: false,
  };
}

const NO_FIELDS = {
  not: "",
  use: "",
  exceptions: "",
  inflects: true,
  capitals: false,
  explained: true,
};
const lines = (all: readonly string[] = []) => all.join("\n");

/** A rule as its form shows it. */
export function draftOf(rule: Rule): RuleDraft {
  const common = {
    type: rule.type,
    id: rule.id,
    reason: rule.reason ?? "",
    weight: rule.weight ?? ("" as const),
    scope: rule.scope ?? {},
    examples: rule.examples ?? [],
    off: rule.off ?? false,
    ...NO_FIELDS,
  };
  switch (rule.type) {
    case "term":
    case "wording":
      return {
        ...common,
        not: lines(rule.not),
        use: lines(rule.use),
        exceptions: lines(rule.exceptions),
        inflects: rule.inflects,
        capitals: rule.exactCapitals,
      };
    case "capitals":
      return { ...common, use: rule.write, exceptions: lines(rule.exceptions) };
    case "compound":
      return {
        ...common,
        use: rule.write,
        not: lines(rule.not),
        exceptions: lines(rule.exceptions),
        inflects: rule.inflects,
      };
    case "name":
      return { ...common, use: rule.write, not: lines(rule.not) };
    case "abbreviation":
      return { ...common, not: rule.short, use: rule.full, explained: rule.explained };
    case "form":
      return { ...common, not: rule.of, use: rule.form };
    case "pattern":
      return { ...common, not: rule.pattern };
    case "expression":
      return { ...common, not: rule.find, use: rule.put ?? "", capitals: !rule.anyCapitals };
  }
}

/**
 * The rule that a draft comes to, or what it lacks, in a sentence. `taken` are the names of the other rules
 * of the house.
 */
export function ruleOf(
  draft: RuleDraft,
  taken: ReadonlySet<string>,
  now: string,
): { rule: Rule } | { lacks: string } {
  const { type, use, reason } = draft;
  const lacks = whatLacks(draft);
  if (lacks !== "") return { lacks };
  const scope = plainScope(draft.scope);
  const all = {
    type,
    id: draft.id || newRuleId(taken, headOf(draft)),
    addedAt: now,
    ...(reason.trim() === "" ? {} : { reason }),
    ...(draft.weight === "" ? {} : { weight: draft.weight }),
    ...(scope ? { scope } : {}),
    ...(draft.examples.length > 0 ? { examples: draft.examples } : {}),
    ...(draft.off ? { off: true } : {}),
  };
  const not = linesOf(draft.not);
  const exceptions = linesOf(draft.exceptions);
  const { inflects } = draft;
  const fields: Record<RuleType, object> = {
    term: { not, use: linesOf(use), inflects, exactCapitals: draft.capitals, exceptions },
    wording: { not, use: linesOf(use), inflects, exactCapitals: draft.capitals, exceptions },
    capitals: { write: use, exceptions },
    compound: { write: use, not, inflects, exceptions },
    name: { write: use, not },
    abbreviation: { short: draft.not, full: use, explained: draft.explained },
    form: { of: draft.not, form: use },
    pattern: { pattern: draft.not },
    expression: {
      find: draft.not,
      anyCapitals: !draft.capitals,
      ...(use === "" ? {} : { put: use }),
    },
  };
  const parsed = ruleSchema.safeParse({ ...all, ...fields[type] });
  if (parsed.success) return { rule: parsed.data };
  const [issue] = parsed.error.issues;
  return { lacks: `${issue?.path.join(" ") ?? "This"}: ${issue?.message ?? "not a rule"}.` };
}

function headOf({ not, use, type }: RuleDraft): string {
  const written = type === "capitals" || type === "compound" || type === "name";
  return (written ? use : not).split("\n")[0] ?? "";
}

/** What a draft still needs before it can be a rule; empty for nothing. */
function whatLacks({ type, not, use, reason }: RuleDraft): string {
  const [without, withUse] = [not.trim() === "", use.trim() === ""];
  switch (type) {
    case "term":
      return without ? "Say which word is not written." : "";
    case "wording":
      if (without) return "Say which word is to be weighed.";
      return reason.trim() === "" ? "Say why, for whoever meets the mark." : "";
    case "capitals":
    case "compound":
    case "name":
      return withUse ? "Say how it is written." : "";
    case "abbreviation":
      return without || withUse ? "Say the abbreviation and what it is short for." : "";
    case "form":
      return without || withUse ? "Choose a form." : "";
    default:
      if (without) return type === "pattern" ? "Write the pattern." : "Write the expression.";
      return reason.trim() === "" ? "Say why, for whoever meets the mark." : "";
  }
}

function linesOf(text: string): string[] {
  return text
    .split("\n")
    .map((one) => one.trim())
    .filter((one) => one !== "");
}

/** A scope without what says nothing; null where it is everywhere. */
function plainScope({ kinds = [], in: places = [], quotations }: Scope): Scope | null {
  const scope: Scope = {
    ...(kinds.length > 0 ? { kinds } : {}),
    ...(places.length > 0 ? { in: places } : {}),
    ...(quotations ? { quotations } : {}),
  };
  return Object.keys(scope).length > 0 ? scope : null;
}
