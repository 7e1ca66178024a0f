import { structureOf } from "../language/text/structure.ts";
import type { Block, Range, Span } from "../manuscript/model.ts";

/** Where the clean-up may change anything: running text outside code and addresses. */

/** Web addresses, addresses of mail, numbers of things and of telephones: letters that mean themselves. */
const ADDRESS = new RegExp(
  [
    "(?:https?|ftp|file|mailto|doi|urn)[:/]\\S+",
    "\\bwww\\.\\S+",
    "\\S+@\\S+\\.\\S+",
    "\\b(?:ISBN|ISSN|DOI|PMID|ISO|IEC|EN|BS|RFC)[ :-]*[\\dXx./:-]+",
    "(?:\\btel\\.?|\\bfax\\.?|\\bphone)[ :]*\\+?[\\d ()/-]{6,}",
    "\\+\\d[\\d ()-]{6,}",
    "\\b10\\.\\d{4,}/\\S+",
  ].join("|"),
  "giu",
);

/** A line of a program that has too few signs to be told as one by their share. */
const LINE_OF_CODE =
  /^\s*(?:(?:for|foreach|if|while|my|use|return|print|say|const|let|var|def|import)\b.*[;{]|[^.!?]*[$@%][\p{L}_]\w*.*[;{(])\s*$|\bqw\(|[;,]\s{2,}#|\)\s*\{\s*$|^=\w+ |^\s*\w+\s*=>\s.*,\s*$/mu;

/** A block that may be changed, and what in it may not; offsets in its text. */
export interface CleanBlock {
  text: string;
  from: number;
  kind: Block["kind"];
  /** Figures of a table: only what can't be seen is changed. */
  isFigures: boolean;
  isSpared(from: number, to: number): boolean;
}

/** A block as the clean-up sees it; null where nothing in it is to be touched. */
export function cleanBlock(block: Block, text: string, spans: readonly Span[]): CleanBlock | null {
  if (block.kind === "code" || block.fixed !== undefined || text.trim() === "") return null;
  if (LINE_OF_CODE.test(text)) return null;
  const { shape, code } = structureOf(block.kind, text, [...spans], []);
  if (shape !== "text" && shape !== "foreign") return null;
  const spared: Range[] = [...code];
  for (const match of text.matchAll(ADDRESS)) {
    spared.push({ from: match.index, to: match.index + match[0].length });
  }
  const isFigures = block.kind === "cell" && !/\p{L}{3}/u.test(text);
  return {
    text,
    from: block.from,
    kind: block.kind,
    isFigures,
    isSpared: (from, to) =>
      spared.some((one) => one.from < Math.max(to, from + 1) && one.to > from),
  };
}
