import type { Fact } from "../checks/check.ts";
import type { Mark } from "../engine/mark.ts";
import type { AnalysedBlock, Language } from "../language/analysis.ts";
import type { Quantity } from "../language/quantities/quantities.ts";

/** What tables are gathered from: an engine that has examined a document. */
export interface Gathering {
  /** What a check sees, block by block; `start` is where the block begins in the document. */
  factsOf(rule: string): Iterable<{ block: number; start: number; facts: readonly Fact[] }>;
  marks(): readonly Pick<Mark, "rule" | "group" | "block" | "from" | "to" | "reason">[];
  startOf(block: number): number;
  textOf(block: number): string;
  /** The quantities of each block; offsets in its text. */
  quantities(): Iterable<{ block: number; start: number; quantities: readonly Quantity[] }>;
  /** A block analysed, in windows where it is long; `from` is where a window begins in the document. */
  analysed(block: number): readonly { part: AnalysedBlock; from: number }[];
  /** How many blocks there are. */
  size: number;
  language: Language;
}
