import { useId } from "react";
import { formChoice } from "../../core/house/form-choices.ts";
import type { RuleDraft } from "../../core/house/rule-draft.ts";
import { RULE_PLACES, type RulePlace, type RuleType } from "../../core/house/rules.ts";
import { KINDS, type Kind } from "../../core/manuscript/model.ts";
import { KIND_LABELS } from "../../core/report/words.ts";

interface FieldsProps {
  draft: RuleDraft;
  set(changes: Partial<RuleDraft>): void;
}

/** The form of a kind of thing: one of those there are, or as it was met. */
function FormField({ draft, set }: FieldsProps) {
  const known = formChoice(draft.not);
  const about = known?.title ?? draft.not.slice(draft.not.indexOf(":") + 1);
  return (
    <label className="block">
      <span className="block pb-0.5 text-[13px] text-soft">
        <b className="font-semibold text-ink">{about}</b>
      </span>
      <select
        className="field font-book text-base"
        value={draft.use}
        onChange={(event) => set({ use: event.target.value })}
      >
        {(known?.forms ?? [draft.use]).map((form) => (
          <option key={form} value={form}>
            {form}
          </option>
        ))}
      </select>
    </label>
  );
}

interface Asked {
  label: string;
  note?: string;
  rows?: number;
}

/** What each kind of rule asks for in its two fields of words. */
const ASKED: Readonly<
  Record<RuleType, { not?: Asked; use?: Asked; exceptions?: boolean; inflects?: boolean }>
> = {
  term: {
    not: { label: "Not written", note: "one word or phrase a line", rows: 3 },
    use: {
      label: "Written instead",
      note: "the first is offered first; none for a word to leave out",
      rows: 2,
    },
    exceptions: true,
    inflects: true,
  },
  wording: {
    not: { label: "To weigh", note: "one word or phrase a line", rows: 3 },
    use: { label: "What may be said instead", note: "or nothing", rows: 2 },
    exceptions: true,
    inflects: true,
  },
  capitals: { use: { label: "Written", note: "with its capitals" }, exceptions: true },
  compound: {
    use: { label: "Written", note: "open, hyphenated or closed" },
    not: { label: "Not", note: "where its other two forms are not all", rows: 2 },
    exceptions: true,
    inflects: true,
  },
  name: {
    use: { label: "Written" },
    not: { label: "Not", note: "one a line; its capitals are looked at anyway", rows: 3 },
  },
  abbreviation: { not: { label: "Abbreviation" }, use: { label: "Short for" } },
  form: {},
  pattern: {
    not: {
      label: "Pattern",
      note: "words and parts of speech; [brackets] around what is marked; => and what to put there",
      rows: 2,
    },
  },
  expression: {
    not: { label: "Finds", note: "a regular expression (RE2)", rows: 2 },
    use: { label: "Put there", note: "$1 is what the first bracket found; or nothing" },
  },
};

/** The fields of a rule: what is written and what is not, why, and where it holds. */
export function RuleFields({ draft, set }: FieldsProps) {
  const { not, use, exceptions, inflects } = ASKED[draft.type];
  const first = draft.type === "capitals" || draft.type === "compound" || draft.type === "name";
  const words = [
    not ? (
      <Words key="not" asked={not} value={draft.not} set={(value) => set({ not: value })} />
    ) : null,
    use ? (
      <Words key="use" asked={use} value={draft.use} set={(value) => set({ use: value })} />
    ) : null,
  ];
  return (
    <div className="space-y-3">
      {first ? words.toReversed() : words}
      {draft.type === "form" ? <FormField draft={draft} set={set} /> : null}
      <Words
        asked={{ label: "Why", note: "said with the mark" }}
        value={draft.reason}
        set={(reason) => set({ reason })}
      />
      {exceptions ? (
        <Words
          asked={{ label: "But not in", note: "phrases in which it may be, one a line", rows: 1 }}
          value={draft.exceptions}
          set={(value) => set({ exceptions: value })}
        />
      ) : null}
      <div className="flex flex-wrap gap-x-6 gap-y-1.5">
        {inflects ? (
          <Tick on={draft.inflects} set={(on) => set({ inflects: on })}>
            plurals and verb forms too
          </Tick>
        ) : null}
        {draft.type === "term" || draft.type === "wording" || draft.type === "expression" ? (
          <Tick on={draft.capitals} set={(on) => set({ capitals: on })}>
            only in these capitals
          </Tick>
        ) : null}
        {draft.type === "abbreviation" ? (
          <Tick on={draft.explained} set={(on) => set({ explained: on })}>
            a text must explain it
          </Tick>
        ) : null}
        <Tick
          on={draft.scope.quotations === true}
          set={(quotations) => set({ scope: { ...draft.scope, quotations } })}
        >
          in quotations too
        </Tick>
      </div>
      <Where draft={draft} set={set} />
    </div>
  );
}

function Words({ asked, value, set }: { asked: Asked; value: string; set(value: string): void }) {
  const { label, note, rows } = asked;
  const id = useId();
  return (
    <div>
      <label htmlFor={id} className="block pb-0.5 text-[13px] text-soft">
        <b className="font-semibold text-ink">{label}</b>
        {note ? ` ${note}` : ""}
      </label>
      {rows === undefined ? (
        <input
          id={id}
          className="field w-full font-book text-base"
          value={value}
          onChange={(event) => set(event.target.value)}
        />
      ) : (
        <textarea
          id={id}
          className="field block w-full font-book text-base"
          rows={rows}
          value={value}
          onChange={(event) => set(event.target.value)}
        />
      )}
    </div>
  );
}

function Tick({
  on,
  set,
  children,
}: {
  on: boolean;
  set(on: boolean): void;
  children: React.ReactNode;
}) {
  return (
    <label className="flex items-baseline gap-2">
      <input
        type="checkbox"
        className="accent-ink"
        checked={on}
        onChange={(event) => set(event.target.checked)}
      />
      {children}
    </label>
  );
}

/** Where a rule holds, and how strongly. */
function Where({ draft, set }: FieldsProps) {
  const { kinds = [], in: places = [] } = draft.scope;
  const scope = (changes: Partial<RuleDraft["scope"]>) =>
    set({ scope: { ...draft.scope, ...changes } });
  return (
    <div className="flex flex-wrap gap-x-5 gap-y-2 text-[13px] text-soft">
      <label>
        For{" "}
        <select
          className="field text-ink"
          value={kinds[0] ?? ""}
          onChange={(event) => {
            const kind = event.target.value as Kind | "";
            scope({ kinds: kind === "" ? [] : [kind] });
          }}
        >
          <option value="">every kind of copy</option>
          {KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {KIND_LABELS[kind].toLowerCase()}
            </option>
          ))}
        </select>
      </label>
      <label>
        in{" "}
        <select
          className="field text-ink"
          value={places[0] ?? ""}
          onChange={(event) => {
            const place = event.target.value as RulePlace | "";
            scope({ in: place === "" ? [] : [place] });
          }}
        >
          <option value="">all of it</option>
          {RULE_PLACES.map((place) => (
            <option key={place} value={place}>
              {place === "text" ? "running text" : place}
            </option>
          ))}
        </select>
      </label>
      <label>
        as{" "}
        <select
          className="field text-ink"
          value={draft.weight}
          onChange={(event) => set({ weight: event.target.value as RuleDraft["weight"] })}
        >
          <option value="">is usual</option>
          <option value="fix">an error</option>
          <option value="settle">a question</option>
          <option value="weigh">advice</option>
        </select>
      </label>
    </div>
  );
}
