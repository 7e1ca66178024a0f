import type { ExampleOutcome } from "../../core/engine/rule-trial.ts";
import type { RuleExample } from "../../core/house/rules.ts";

interface Props {
  examples: readonly RuleExample[];
  outcomes: readonly ExampleOutcome[];
  set(examples: RuleExample[]): void;
}

/** Right and wrong sentences kept beside a rule, each with what the rule makes of it now. */
export function RuleExamples({ examples, outcomes, set }: Props) {
  const put = (index: number, example: RuleExample) =>
    set(examples.map((one, at) => (at === index ? example : one)));
  return (
    <section className="mt-5">
      <h2 className="text-[13px] font-semibold">Right and wrong</h2>
      <ul className="mt-1">
        {examples.map((example, index) => {
          const isWrong = "wrong" in example;
          const text = isWrong ? example.wrong : example.leave;
          return (
            // biome-ignore lint/suspicious/noArrayIndexKey: examples have no names, and are not reordered
            <li key={index} className="border-t border-hair py-1.5">
              <div className="flex items-baseline gap-2">
                <select
                  aria-label="What the sentence shows"
                  className="field shrink-0 text-[13px]"
                  value={isWrong ? "wrong" : "leave"}
                  onChange={(event) =>
                    put(index, event.target.value === "wrong" ? { wrong: text } : { leave: text })
                  }
                >
                  <option value="wrong">wrong</option>
                  <option value="leave">left alone</option>
                </select>
                <input
                  aria-label="Sentence"
                  className="field min-w-0 grow font-book text-[15px]"
                  value={text}
                  onChange={(event) =>
                    put(
                      index,
                      isWrong
                        ? { ...example, wrong: event.target.value }
                        : { leave: event.target.value },
                    )
                  }
                />
                <button
                  type="button"
                  className="button-text shrink-0 text-[13px]"
                  onClick={() => set(examples.filter((_, at) => at !== index))}
                >
                  remove
                </button>
              </div>
              {isWrong ? (
                <input
                  aria-label="Sentence put right"
                  placeholder="put right (or leave empty: marked is enough)"
                  className="field mt-1 w-full font-book text-[15px]"
                  value={example.right ?? ""}
                  onChange={(event) => put(index, { wrong: text, right: event.target.value })}
                />
              ) : null}
              <Outcome outcome={outcomes[index]} />
            </li>
          );
        })}
      </ul>
      <p className="flex gap-4 pt-1">
        <button
          type="button"
          className="button-text text-[13px]"
          onClick={() => set([...examples, { wrong: "" }])}
        >
          Add a wrong sentence
        </button>
        <button
          type="button"
          className="button-text text-[13px]"
          onClick={() => set([...examples, { leave: "" }])}
        >
          Add one to leave alone
        </button>
      </p>
    </section>
  );
}

function Outcome({ outcome }: { outcome: ExampleOutcome | undefined }) {
  if (!outcome) return null;
  const { isRight, made } = outcome;
  return (
    <p className={`pt-0.5 text-[13px] ${isRight ? "text-soft" : "font-semibold text-alarm"}`}>
      {isRight
        ? "as it should be"
        : made === null
          ? "the rule marks nothing here"
          : `the rule makes “${made}” of it`}
    </p>
  );
}
