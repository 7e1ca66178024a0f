import { newRuleId, type Rule, ruleSchema } from "./rules.ts";

/** Rules of terms as rows of a table, for people who keep theirs in a sheet. */

export const TERM_COLUMNS = ["not", "use", "kind", "reason", "exceptions", "inflects"] as const;
type Column = (typeof TERM_COLUMNS)[number];

/** The rows of a house's terms and wording to weigh. */
export function termRows(rules: readonly Rule[]): string[][] {
  return rules.flatMap((rule) => {
    if (rule.type !== "term" && rule.type !== "wording") return [];
    const { not, use, type, reason = "", exceptions, inflects } = rule;
    return [
      [
        not.join("; "),
        use.join("; "),
        type,
        reason,
        exceptions.join("; "),
        inflects ? "yes" : "no",
      ],
    ];
  });
}

/** Reads such rows; what can't be read is passed over and said. */
export function readTerms(
  head: readonly string[],
  rows: readonly (readonly string[])[],
): { rules: Rule[]; notes: string[] } {
  const rules: Rule[] = [];
  const notes: string[] = [];
  const ids = new Set<string>();
  for (const [number, row] of rows.entries()) {
    const value = (name: Column | "write") => row[head.indexOf(name)]?.trim() ?? "";
    const list = (name: Column | "write") =>
      value(name)
        .split(";")
        .map((one) => one.trim())
        .filter((one) => one !== "");
    const not = list("not");
    if (not.length === 0) continue;
    const reason = value("reason");
    const isWording = value("kind") === "wording" && reason !== "";
    const id = newRuleId(ids, not[0] ?? "");
    const parsed = ruleSchema.safeParse({
      id,
      type: isWording ? "wording" : "term",
      not,
      use: head.includes("use") ? list("use") : list("write"),
      ...(reason === "" ? {} : { reason }),
      exceptions: list("exceptions"),
      inflects: !/^(?:no|false|0)$/i.test(value("inflects")),
    });
    if (parsed.success) {
      ids.add(id);
      rules.push(parsed.data);
    } else if (notes.length < 5) notes.push(`Line ${number + 2} is no rule and was passed over.`);
  }
  return { rules, notes };
}
