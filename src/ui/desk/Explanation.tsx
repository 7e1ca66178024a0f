import { useState } from "react";
import type { Card } from "../../core/checks/card.ts";

/** How many of a check's examples the slip shows. */
const EXAMPLES = 3;

/** Behind “Why”: the rule, wrong and right beside each other, where the rule comes from. */
export function Explanation({ check }: { check: Card }) {
  const [open, setOpen] = useState(false);
  const pairs = check.examples.flatMap((one) => ("wrong" in one ? [one] : [])).slice(0, EXAMPLES);
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
          {pairs.map(({ wrong, right }) => (
            <span key={wrong} className="mt-1.5 block font-book leading-snug">
              <span className="line-through decoration-faint">{wrong}</span>
              <span className="block">{right}</span>
            </span>
          ))}
          {left && "leave" in left ? (
            <span className="mt-1.5 block leading-snug text-soft">
              Left alone: <span className="font-book">{left.leave}</span>
            </span>
          ) : null}
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
