import { useEffect, useMemo, useRef, useState } from "react";
import type { AskedWork } from "../../../../core/citations/outside/asking.ts";
import { type Answers, NO_ANSWERS } from "../../../../store/outside.ts";
import type { AskFailure, Outside } from "../../outside.ts";

/** What is asked of outside services, what they answered, and how it goes. */
export interface AskedOutside {
  answers: Answers;
  /** A question is under way. */
  asking: boolean;
  failure: AskFailure | null;
  lookUp(works: readonly AskedWork[]): void;
  askNotices(works: readonly AskedWork[]): void;
  stop(): void;
}

/** Asks only when told to, one question at a time. */
export function useOutside(outside: Outside): AskedOutside {
  const [answers, setAnswers] = useState<Answers>(NO_ANSWERS);
  const [asking, setAsking] = useState(false);
  const [failure, setFailure] = useState<AskFailure | null>(null);
  const abort = useRef<AbortController | null>(null);
  useEffect(() => {
    let current = true;
    void outside.read().then((found) => {
      if (current) setAnswers(found);
    });
    return () => {
      current = false;
      abort.current?.abort();
    };
  }, [outside]);
  return useMemo(() => {
    const run = async (ask: (stop: AbortSignal) => Promise<Answers | AskFailure>) => {
      abort.current?.abort();
      const own = new AbortController();
      abort.current = own;
      setAsking(true);
      setFailure(null);
      const outcome = await ask(own.signal);
      if (abort.current !== own) return;
      setAsking(false);
      if (typeof outcome !== "string") setAnswers(outcome);
      else if (outcome !== "stopped") setFailure(outcome);
    };
    return {
      answers,
      asking,
      failure,
      lookUp: (works) => void run((stop) => outside.lookUp(works, stop)),
      askNotices: (works) => void run((stop) => outside.askNotices(works, stop)),
      stop: () => abort.current?.abort(),
    };
  }, [outside, answers, asking, failure]);
}
