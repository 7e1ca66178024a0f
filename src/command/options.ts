import { parseArgs } from "node:util";
import { PASSES, type Pass } from "../core/checks/card.ts";
import { KINDS, type Kind, VARIETIES, type Variety } from "../core/manuscript/model.ts";

/** Thrown for a call that cannot be understood; its message is for the person who made it. */
export class UsageError extends Error {}

type Specification = Record<string, { type: "string" | "boolean" }>;

/** Options every command that checks takes. */
export const CHECK_OPTIONS = {
  variety: { type: "string" },
  kind: { type: "string" },
  passes: { type: "string" },
} as const;

/** Parses arguments; throws UsageError for unknown or incomplete ones. */
export function parseOptions<S extends Specification>(args: readonly string[], options: S) {
  try {
    return parseArgs({ args: [...args], options, allowPositionals: true, strict: true });
  } catch (error) {
    throw new UsageError(error instanceof Error ? error.message : String(error));
  }
}

/** One of a list of words, or undefined when none is given. */
export function oneOf<T extends string>(
  name: string,
  value: string | undefined,
  allowed: readonly T[],
): T | undefined {
  if (value === undefined) return undefined;
  const found = allowed.find((one) => one === value);
  if (!found) throw new UsageError(`--${name} takes one of: ${allowed.join(", ")}.`);
  return found;
}

export interface CheckOptions {
  variety: Variety | undefined;
  kind: Kind | undefined;
  passes: Pass[];
}

/** The common options, checked. */
export function checkOptions(values: {
  variety?: string | undefined;
  kind?: string | undefined;
  passes?: string | undefined;
}): CheckOptions {
  const passes = values.passes?.split(",").map((one) => {
    const pass = oneOf("passes", one.trim(), PASSES);
    if (!pass) throw new UsageError("--passes takes a list.");
    return pass;
  });
  return {
    variety: oneOf("variety", values.variety, VARIETIES),
    kind: oneOf("kind", values.kind, KINDS),
    passes: passes ?? [...PASSES],
  };
}
