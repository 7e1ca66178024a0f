import { useState } from "react";
import type { Card } from "../../core/checks/card.ts";
import { cardById } from "../../core/checks/cards.ts";
import type { Mark } from "../../core/engine/mark.ts";

/** How many of a check's examples the slip shows. */
const EXAMPLES = 3;

/**
 * Behind “Why”: the rule, wrong and right beside each other, where the rule comes from; and what other
 * checks say of the same mistake.
 */
export function Explanation({ check, also = [] }: { check: Card; also?: Mark["also"] }) {
  const [open, setOpen] = useState(false);
  const wrong = check.examples.flatMap((one) => ("wrong" in one ? [one] : [])).slice(0, EXAMPLES);
  const left = check.examples.find((one) => "leave" in one);
  return (
    <>
      <button
        type="button"
        className="ml-1 text-soft underline underline-offset-2"
        aria-expanded={open}
        onClick={() => setOpen(!open)}
      >
        Why
      </button>
      {open ? (
        <span className="mt-2 block max-w-[60ch] border-l border-rule pl-3">
          <b className="font-semibold">{check.title}.</b> {check.why}
          {wrong.map((one) => (
            <span
              key={one.wrong}
              className="mt-1.5 block whitespace-pre-line font-book leading-snug"
            >
              {"right" in one ? (
                <>
                  <span className="line-through decoration-faint">{one.wrong}</span>
                  <span className="block">{one.right}</span>
                </>
              ) : (
                <Marked {...one} />
              )}
            </span>
          ))}
          {left && "leave" in left ? (
            <span className="mt-1.5 block leading-snug text-soft">
              Left alone: <span className="whitespace-pre-line font-book">{left.leave}</span>
            </span>
          ) : null}
          {also.map(({ rule, reason }) => (
            <span key={rule} className="mt-1.5 block leading-snug">
              <b className="font-semibold">Also: {cardById(rule)?.title.toLowerCase()}.</b> {reason}
            </span>
          ))}
          <span className="mt-1.5 block text-[13px] text-soft">
            Source: {check.source}.{" "}
            <a
              className="underline underline-offset-2"
              href={`/guide/${check.id}`}
              target="_blank"
              rel="noreferrer"
            >
              In the guide
            </a>
          </span>
        </span>
      ) : null}
    </>
  );
}

/** A sentence with the part that is marked, where no one correction fits. */
function Marked({ wrong, marked }: { wrong: string; marked: string }) {
  const at = wrong.indexOf(marked);
  return (
    <>
      {wrong.slice(0, at)}
      <span className="border-b-2 border-dotted border-pen bg-tint">{marked}</span>
      {wrong.slice(at + marked.length)}
    </>
  );
}
