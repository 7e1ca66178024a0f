import type { Fact } from "../checks/check.ts";
import { CHECKS } from "../checks/index.ts";
import type { Gathering } from "../gathered/gathering.ts";
import type { AnalysedBlock, Language } from "../language/analysis.ts";
import { type Quantity, quantitiesIn } from "../language/quantities/quantities.ts";
import type { Examined } from "./examined.ts";
import type { Mark } from "./mark.ts";

/** What is asked of an engine to gather from. */
interface Source {
  readonly size: number;
  allMarks(): Mark[];
  blockRange(block: number): { from: number };
  textOf(block: number): string;
  analysed(block: number): { part: AnalysedBlock; from: number }[];
}

/** What was examined, as tables are gathered from it. */
export class EngineGathering implements Gathering {
  constructor(
    private readonly engine: Source,
    readonly language: Language,
    private readonly examinedAt: (block: number) => Examined | undefined,
  ) {}

  get size(): number {
    return this.engine.size;
  }

  *factsOf(rule: string): Generator<{ block: number; start: number; facts: readonly Fact[] }> {
    const order = CHECKS.findIndex(({ id }) => id === rule);
    for (let block = 0; block < this.size; block++) {
      const facts = this.examinedAt(block)?.facts.get(order);
      if (facts) yield { block, start: this.startOf(block), facts };
    }
  }

  *quantities(): Generator<{ block: number; start: number; quantities: Quantity[] }> {
    for (let block = 0; block < this.size; block++) {
      const quantities = quantitiesIn(this.textOf(block));
      if (quantities.length > 0) yield { block, start: this.startOf(block), quantities };
    }
  }

  marks(): Mark[] {
    return this.engine.allMarks();
  }

  startOf(block: number): number {
    return this.engine.blockRange(block).from;
  }

  textOf(block: number): string {
    return this.engine.textOf(block);
  }

  analysed(block: number): readonly { part: AnalysedBlock; from: number }[] {
    return this.engine
      .analysed(block)
      .map(({ part, from }) => ({ part, from: from + this.startOf(block) }));
  }
}
