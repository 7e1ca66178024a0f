import type { Check, Conclusion } from "../checks/check.ts";
import type { Finder } from "./finder.ts";
import type { Mark } from "./mark.ts";
import { oneForEach } from "./one-mistake.ts";

/** The block that marks are made for. */
export interface MarkedBlock {
  index: number;
  /** Its name in the ids of its marks. */
  id: string;
  text: string;
}

/**
 * The marks of a block: what its checks find in it and a page has room for, in reading order; doubtful
 * ones only of the checks whose doubts are shown, and of several on one mistake the strongest.
 */
export function marksOf(
  block: MarkedBlock,
  all: readonly Finder[],
  showsDoubts: (check: Check) => boolean,
): Mark[] {
  const marks: Mark[] = [];
  const gathering = new Set<Mark>();
  for (const findings of all) {
    const found = findings.in(block.index);
    if (found.length === 0) continue;
    const doubts = showsDoubts(findings.check);
    const follows = findings.followsIn(block.index);
    let room = findings.room?.shownIn(block.index) ?? Number.POSITIVE_INFINITY;
    for (const [at, conclusion] of found.entries()) {
      if (conclusion.unsure && !doubts) continue;
      const follower = follows[at] ?? false;
      if (!follower && room-- <= 0) continue;
      const mark = markOf(block, findings.check, conclusion, follower);
      marks.push(mark);
      if (conclusion.gathers) gathering.add(mark);
    }
  }
  marks.sort((a, b) => a.from - b.from || a.to - b.to);
  name(marks, block.id);
  return oneForEach(marks, (mark) => gathering.has(mark));
}

/** How many marks of a block are taken for errors: what tells whether a writer makes many. */
export function errorsAmong(marks: readonly Mark[]): number {
  return marks.reduce(
    (sum, { weight, pass, follows }) =>
      sum + (weight !== "weigh" && pass !== "wording" && !follows ? 1 : 0),
    0,
  );
}

/** By block, the findings that have something to say there. */
export function speakingIn(all: readonly Finder[]): (Finder[] | undefined)[] {
  const speaking: (Finder[] | undefined)[] = [];
  for (const findings of all) {
    for (const block of findings.blocks()) {
      const known = speaking[block];
      if (known) known.push(findings);
      else speaking[block] = [findings];
    }
  }
  return speaking;
}

function markOf(
  block: MarkedBlock,
  check: Check,
  { from, to, reason, weight, group, unsure, code }: Conclusion,
  follows: boolean,
): Mark {
  return {
    id: "",
    rule: check.id,
    pass: check.pass,
    weight: unsure ? "weigh" : (weight ?? check.weight),
    code: code ?? check.code,
    block: block.index,
    from,
    to,
    text: block.text.slice(from, to),
    reason,
    follows,
    group: group ?? `${check.id}:${block.index}:${from}`,
  };
}

/** A mark's id: its rule, block and text, and which of equals it is in the block. */
function name(marks: Mark[], block: string): void {
  const seen = new Map<string, number>();
  for (const mark of marks) {
    const base = `${mark.rule}@${block}:${mark.text}`;
    const order = seen.get(base) ?? 0;
    seen.set(base, order + 1);
    mark.id = `${base}#${order}`;
  }
}

/** What other checks say beside a mark; most marks have nothing beside them. */
function reasonsOf(also: Mark["also"]): string {
  return also ? also.map(({ reason }) => reason).join() : "";
}

/** Whether two lists of marks show and say the same. */
export function sameMarks(one: readonly Mark[], other: readonly Mark[]): boolean {
  return (
    one.length === other.length &&
    one.every((mark, index) => {
      const twin = other[index];
      return (
        twin !== undefined &&
        mark.id === twin.id &&
        mark.from === twin.from &&
        mark.to === twin.to &&
        mark.weight === twin.weight &&
        mark.code === twin.code &&
        mark.group === twin.group &&
        mark.follows === twin.follows &&
        mark.reason === twin.reason &&
        reasonsOf(mark.also) === reasonsOf(twin.also)
      );
    })
  );
}
