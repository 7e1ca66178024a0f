import { existsSync, readFileSync } from "node:fs";

/** One line of a break test: a text and the positions where a break is allowed. */
export interface BreakLine {
  text: string;
  allowed: ReadonlySet<number>;
}

/**
 * Lines of a break test of the Unicode Character Database (Debian's unicode-data package) whose
 * characters all satisfy `applies`. Positions are UTF-16 offsets.
 */
export function breakLines(name: string, applies: (code: number) => boolean): BreakLine[] {
  const file = `/usr/share/unicode/auxiliary/${name}.txt`;
  if (!existsSync(file)) throw new Error("install the package unicode-data");
  return readFileSync(file, "utf8")
    .split("\n")
    .flatMap((line) => {
      const rule = line.split("#")[0] ?? "";
      const steps = [...rule.matchAll(/([÷×])\s*([0-9A-F]+)?/g)];
      const codes = steps.flatMap(([, , hex]) => (hex ? [Number.parseInt(hex, 16)] : []));
      if (codes.length === 0 || !codes.every(applies)) return [];
      const allowed = new Set<number>();
      let position = 0;
      for (const [, sign, hex] of steps) {
        if (sign === "÷") allowed.add(position);
        if (hex) position += String.fromCodePoint(Number.parseInt(hex, 16)).length;
      }
      return [{ text: String.fromCodePoint(...codes), allowed }];
    });
}
