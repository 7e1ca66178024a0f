import type { AnalysedBlock } from "../../../language/analysis.ts";
import { requirementOf } from "../../../manuscript/requirements.ts";
import type { Check, Fact } from "../../check.ts";
import { keepingAt } from "../places.ts";
import { DIGITS, LONE_CAPITAL, textSigns } from "../text-signs.ts";
import { referenceNowhere as card } from "./cards.ts";
import { captionNumber } from "./figure-gap.ts";
import { headingNumberOf, kindCalled, REFERENCES } from "./labels.ts";

interface ReferenceFact extends Fact {
  /** Things that are numbered alike: figures, sections, requirements of one prefix. */
  kind: string;
  target: string;
  label: string;
  /** It is the thing itself, not a reference to it. */
  isTarget: boolean;
}

interface Targets {
  there: Map<string, number>;
  called: Map<string, number>;
}

/** Things in another document: "Section 3 of the Act", "Table 2 in GH-SPEC-028". */
const ELSEWHERE =
  /^\s*(?:of|in|to)\s+(?:(?:the|that|this) )?(?:“|\p{Lu}|\[|its\b|his\b|their\b|act\b|said\b|annex)/u;
/** A document has at least so many before it is said that one is missing. */
const LEAST = 2;
const ID =
  /(?<![\p{L}\p{N}-])[A-Z][A-Z0-9]{0,7}(?:[-_][A-Z][A-Z0-9]{0,7}){0,3}[-_]\d{1,5}(?![\p{L}\p{N}-])/gu;

/** References to figures, tables, sections and the like that are not there. */
export const referenceNowhere: Check<ReferenceFact> = {
  ...card,
  examine: (block) => [...targetsIn(block), ...referencesIn(block)],
  across: {
    counting: {
      keysOf: ({ kind }) => kind,
      start: (): Targets => ({ there: new Map(), called: new Map() }),
      count(tally, { isTarget, target }, _key, by) {
        const { there, called } = tally as Targets;
        const map = isTarget ? there : called;
        const left = (map.get(target) ?? 0) + by;
        if (left === 0) map.delete(target);
        else map.set(target, left);
      },
    },
    judge(kind, tally) {
      const { there, called } = tally as Targets;
      const least = kind === "appendix" || kind === "equation" ? 1 : LEAST;
      if (there.size < Math.min(least, kind === "table" || kind === "figure" ? 1 : least))
        return { verdict: null };
      const missing = [...called.keys()].filter((target) => !isThere(target, there));
      return { verdict: missing.length > 0 ? { missing: missing.sort().join("|") } : null };
    },
    speaks: ({ isTarget }) => !isTarget,
    find({ from, to, target, label }, { missing }) {
      if (!String(missing).split("|").includes(target)) return null;
      return { from, to, reason: `“${label}” is not in this document.`, group: null };
    },
  },
  choose: () => [],
};

/** Whether a target is there, or a part of it: "section 3" where only 3.1 and 3.2 have numbers. */
function isThere(target: string, there: ReadonlyMap<string, number>): boolean {
  return there.has(target) || [...there.keys()].some((one) => one.startsWith(`${target}.`));
}

function* targetsIn({ kind, text }: AnalysedBlock): Generator<ReferenceFact> {
  const heading = kind === "heading" ? headingNumberOf(text) : null;
  if (heading) {
    const { from, to, target, label } = heading;
    yield { from, to, kind: target.slice(0, target.indexOf(" ")), target, label, isTarget: true };
  }
  const requirement = requirementOf(text);
  if (requirement) {
    const { id, prefix } = requirement;
    yield { from: 0, to: id.length, kind: prefix, target: id, label: id, isTarget: true };
  }
  if (kind !== "paragraph" && kind !== "caption") return;
  const caption = captionNumber(text, kind === "caption");
  if (!caption) return;
  const { from, to, target, label } = caption;
  yield { from, to, kind: target.slice(0, target.indexOf(" ")), target, label, isTarget: true };
}

const READ = new Set(["paragraph", "item", "note", "cell"]);

function* referencesIn(block: AnalysedBlock): Generator<ReferenceFact> {
  const { kind, text } = block;
  // Nothing is referred to without its number or letter.
  if (!READ.has(kind) || (textSigns(block) & (DIGITS | LONE_CAPITAL)) === 0) return;
  const caption = kind === "paragraph" ? captionNumber(text, false) : null;
  for (const match of text.matchAll(REFERENCES)) {
    const { index: from } = match;
    const to = from + match[0].length;
    if (caption && from < caption.to) continue;
    if (ELSEWHERE.test(text.slice(to, to + 24)) || keepingAt(block, from, to)) continue;
    const { word = "", first = "", second, joint = "" } = match.groups ?? {};
    const called = kindCalled(word);
    const numbers = second === undefined || /to|[–-]/.test(joint) ? [first] : [first, second];
    for (const number of numbers) {
      const start = from + match[0].indexOf(number, word.length);
      const place =
        number === first
          ? { from, to: start + number.length }
          : { from: start, to: start + number.length };
      const target = `${called} ${number.toUpperCase()}`;
      yield {
        ...place,
        kind: called,
        target,
        label: text.slice(place.from, place.to),
        isTarget: false,
      };
    }
  }
  if (!/[-_]\d/.test(text)) return;
  const own = requirementOf(text)?.id;
  for (const { 0: id, index: from } of text.matchAll(ID)) {
    if (id === own && from <= 1) continue;
    const prefix = id.slice(0, id.search(/\d+$/));
    yield { from, to: from + id.length, kind: prefix, target: id, label: id, isTarget: false };
  }
}
