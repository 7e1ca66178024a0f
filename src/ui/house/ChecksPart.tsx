import { useState } from "react";
import { APPETITES, type Appetite, PASSES } from "../../core/checks/card.ts";
import { CARDS } from "../../core/checks/cards.ts";
import { usualAppetite } from "../../core/checks/kinds.ts";
import type { HouseStyle } from "../../core/house/style.ts";
import { KINDS, type Kind } from "../../core/manuscript/model.ts";
import { APPETITE_LABELS, KIND_LABELS, PASS_LABELS } from "../../core/report/words.ts";
import type { ChangeStyle } from "./change-style.ts";

/** All documents, or the documents of one kind. */
type Scope = Kind | "all";

/** How much of each check is wanted, for every document or for a kind of copy. */
export function ChecksPart({ style, change }: { style: HouseStyle; change: ChangeStyle }) {
  const [scope, setScope] = useState<Scope>("all");
  const own = scope === "all" ? style.appetites : (style.kinds[scope] ?? {});
  const set = (id: string, appetite: Appetite | "") =>
    change((now) => {
      const before = scope === "all" ? now.appetites : (now.kinds[scope] ?? {});
      const { [id]: _before, ...others } = before;
      const after = appetite === "" ? others : { ...others, [id]: appetite };
      return scope === "all"
        ? { ...now, appetites: after }
        : { ...now, kinds: { ...now.kinds, [scope]: after } };
    });
  return (
    <section>
      <h1 className="font-book text-2xl font-semibold">Checks</h1>
      <p className="mt-2 max-w-[70ch] text-soft">
        “When sure” leaves doubtful marks out. What is set for all documents goes before what is set
        for a kind of copy; a document’s own choice, made on the desk, goes before both.
      </p>
      <label className="mt-5 flex items-baseline gap-3">
        <span>For</span>
        <select
          aria-label="Kind of copy"
          className="field"
          value={scope}
          onChange={(event) => setScope(event.target.value as Scope)}
        >
          <option value="all">all documents</option>
          {KINDS.map((kind) => (
            <option key={kind} value={kind}>
              {KIND_LABELS[kind].toLowerCase()}
            </option>
          ))}
        </select>
      </label>
      {PASSES.map((pass) => (
        <section key={pass} className="mt-7">
          <h2 className="border-b border-rule pb-1.5 font-semibold">{PASS_LABELS[pass]}</h2>
          <ul>
            {CARDS.filter((check) => check.pass === pass).map((check) => {
              const usual = scope === "all" ? null : usualAppetite(check, scope);
              return (
                <li
                  key={check.id}
                  className="grid grid-cols-[52px_minmax(0,1fr)_auto] items-baseline gap-3 border-b border-hair py-1.5"
                >
                  <span className="text-[13px] font-semibold text-pen">{check.code}</span>
                  <a className="hover:underline" href={`/guide/${check.id}`}>
                    {check.title}
                  </a>
                  <select
                    aria-label={`How much of: ${check.title}`}
                    className="field"
                    value={own[check.id] ?? ""}
                    onChange={(event) => set(check.id, event.target.value as Appetite | "")}
                  >
                    <option value="">
                      {usual ? `as usual: ${APPETITE_LABELS[usual]}` : "as the kind of copy has it"}
                    </option>
                    {APPETITES.map((one) => (
                      <option key={one} value={one}>
                        {APPETITE_LABELS[one]}
                      </option>
                    ))}
                  </select>
                </li>
              );
            })}
          </ul>
        </section>
      ))}
    </section>
  );
}
