import {
  type AskedWork,
  indexAnswerSchema,
  MOST_ASKED,
  registerAnswerSchema,
} from "../../core/citations/outside/asking.ts";
import { type Answers, keepAnswers, readAnswers } from "../../store/outside.ts";

/** How asking an outside service ended, where it gave no answer. */
export type AskFailure = "offline" | "slow" | "failed" | "stopped";

/** Milliseconds after which a service is taken to be too slow. */
const PATIENCE_MS = 12_000;

/** What a work is kept under: what was asked of it. */
export function keyOfWork({ title, author, year }: AskedWork): string {
  return `${author}|${year ?? ""}|${title}`;
}

/** The answers of outside services about one document: asked for only when the person says so, and kept. */
export class Outside {
  constructor(private readonly document: string) {}

  /** What was answered before. */
  read(): Promise<Answers> {
    return readAnswers(this.document);
  }

  /** Looks works up in the index. */
  async lookUp(works: readonly AskedWork[], stop: AbortSignal): Promise<Answers | AskFailure> {
    const asked = works.slice(0, MOST_ASKED);
    const answer = await this.ask("/api/works", asked, stop);
    if (typeof answer === "string") return answer;
    const parsed = indexAnswerSchema.safeParse(answer.body);
    if (!parsed.success || parsed.data.works.length !== asked.length) return "failed";
    const before = await this.read();
    const found = { ...before.works?.found };
    for (const [at, work] of parsed.data.works.entries()) {
      const one = asked[at];
      if (one) found[keyOfWork(one)] = work;
    }
    return this.keep({ ...before, works: { at: new Date().toISOString(), found } });
  }

  /** Asks the register for notices on works. */
  async askNotices(works: readonly AskedWork[], stop: AbortSignal): Promise<Answers | AskFailure> {
    const asked = works.slice(0, MOST_ASKED);
    const answer = await this.ask("/api/notices", asked, stop);
    if (typeof answer === "string") return answer;
    const parsed = registerAnswerSchema.safeParse(answer.body);
    if (!parsed.success || parsed.data.notices.length !== asked.length) return "failed";
    const before = await this.read();
    const found = Object.fromEntries(
      parsed.data.notices.flatMap((notices, at) => {
        const one = asked[at];
        return one ? [[keyOfWork(one), notices] as const] : [];
      }),
    );
    const notices = { at: new Date().toISOString(), found, before: before.notices?.found ?? null };
    return this.keep({ ...before, notices });
  }

  private async keep(answers: Answers): Promise<Answers> {
    await keepAnswers(this.document, answers);
    return answers;
  }

  private async ask(
    address: string,
    works: readonly AskedWork[],
    stop: AbortSignal,
  ): Promise<{ body: unknown } | AskFailure> {
    if (!navigator.onLine) return "offline";
    const patience = AbortSignal.timeout(PATIENCE_MS);
    try {
      const response = await fetch(address, {
        method: "POST",
        headers: { "content-type": "application/json" },
        body: JSON.stringify({ works }),
        signal: AbortSignal.any([stop, patience]),
      });
      if (!response.ok) return "failed";
      return { body: await response.json() };
    } catch {
      if (stop.aborted) return "stopped";
      return patience.aborted ? "slow" : "offline";
    }
  }
}
