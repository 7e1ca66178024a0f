import type { Kind } from "../manuscript/model.ts";
import type { Assembled } from "./assemble.ts";

/**
 * The kind of copy, guessed from its form and its set phrases; the editor can say otherwise. Common
 * practice of each kind of writing; where nothing tells, it is general copy.
 */
export function guessKind(assembled: Assembled): Kind {
  const { text } = assembled;
  const words = Math.max(1, text.split(/\s+/).length);
  const often = (pattern: RegExp) => text.match(pattern)?.length ?? 0;
  const share = (pattern: RegExp) => often(pattern) / words;
  if (isLetter(text)) return "letter";
  if (often(LEGAL) >= LEAST_SIGNS && share(LEGAL) > LEGAL_SHARE) return "brief";
  const shall = often(/\bshall\b/g);
  if (shall >= LEAST_SHALL && shall / words > SHALL_SHARE) return "specification";
  if (often(CLINICAL) >= LEAST_CLINICAL && share(CLINICAL) > CLINICAL_SHARE) {
    return isPaper(assembled) ? "paper" : "clinical";
  }
  if (isTechnical(text, words)) return "specification";
  if (isNamedReport(assembled)) return "report";
  if (isPaper(assembled)) return "paper";
  if (isReport(assembled)) return "report";
  return isFiction(assembled) ? "fiction" : "general";
}

/** How often signs of a kind must come, and their share of all words, so that a chance mention tells nothing. */
const LEAST_SIGNS = 3;
const LEGAL_SHARE = 0.008;
const LEAST_SHALL = 8;
const SHALL_SHARE = 0.006;
const LEAST_CLINICAL = 5;
const CLINICAL_SHARE = 0.015;

const LEGAL =
  /\b(?:herein(?:after|before)?|hereby|thereof|thereto|thereunder|hereunder|whereas|aforesaid|indemnif\w+|plaintiffs?|defendants?|appellants?|respondents?|claimants?|licensors?|licensees?|lessors?|lessees?|the parties|party of the|pursuant to|governing law|in witness|without prejudice|force majeure|warrant(?:y|ies)|liab(?:le|ility)|clause \d|arbitration|severab\w+|this agreement|licen[sc]e[ds]?|copyright(?:ed)?|derivative|disclaim\w+|notwithstanding|hereof|redistribut\w+)\b/gi;
const CLINICAL =
  /\b(?:patients?|subjects? were|doses?|dosage|\d+ ?mg|placebo|randomi[sz]ed|adverse events?|clinical|diagnos\w+|symptoms?|inclusion criteria|exclusion criteria|informed consent|screening visit|investigators?|ward|nurses?)\b/gi;

/** Names in programs, options, commits and paths: what manuals and notes on releases are full of. */
const TECHNICAL =
  /`[^`\n]{1,80}`|(?<![\w-])--?[a-z][\w-]{2,30}|\b\w{1,40}\(\)|\b[a-z]\w{0,40}_\w{1,40}\b|\b[a-z]{1,20}[A-Z]\w{1,40}|\/\w{1,40}\/\w{1,40}|\b[A-Z]<[^>\n]{1,80}>|\w::\w|(?<=\()#\d{2,6}|\b(?=[a-f]*\d)[\da-f]{7,40}\b/g;
const LEAST_TECHNICAL = 6;
const TECHNICAL_SHARE = 0.02;

function isTechnical(text: string, words: number): boolean {
  const found = text.match(TECHNICAL)?.length ?? 0;
  return found >= LEAST_TECHNICAL && found / words > TECHNICAL_SHARE;
}

/** How far from either end a letter's set phrases stand, in characters. */
const LETTER_OPENING = 1500;
const LETTER_CLOSING = 400;

function isLetter(text: string): boolean {
  return (
    /^\s*(?:dear|to whom it may concern)\b/im.test(text.slice(0, LETTER_OPENING)) ||
    /^\s*(?:yours (?:sincerely|faithfully|truly)|sincerely|(?:kind|best|warm) regards),?\s*$/im.test(
      text.slice(-LETTER_CLOSING),
    )
  );
}

/** Headings of a research paper, of which it has three or more. */
const PAPER_HEADING =
  /^[\d.\s]*(?:abstract|introduction|background|(?:materials and )?methods?|methodology|results|discussion|conclusions?|references|acknowledge?ments?|literature review|related work)$/i;
const LEAST_HEADINGS = 3;

function isPaper({ text, blocks }: Assembled): boolean {
  const opening = text.slice(0, 4000);
  const hasAbstract = /^\s*abstract\b/im.test(opening);
  if (hasAbstract && blocks.some(({ kind }) => kind === "reference")) return true;
  if (/\bdoi:\s*10\.|doi\.org\/10\.|^\s*keywords?:/im.test(opening) && hasAbstract) return true;
  const headings = new Set(
    headingsOf({ text, blocks }).filter((heading) => PAPER_HEADING.test(heading)),
  );
  return headings.size >= LEAST_HEADINGS;
}

const REPORT_HEADING =
  /^[\d.\s]*(?:executive summary|summary|findings|recommendations?|terms of reference|scope|next steps|outlook)$/i;

/** A title, or a short line near the top, calls it a report. */
function isNamedReport({ text }: Assembled): boolean {
  return /^(?!.*\bwe report\b).{0,60}\breport\b.{0,60}$/im.test(text.slice(0, 300));
}

function isReport({ text, blocks }: Assembled): boolean {
  const headings = headingsOf({ text, blocks }).filter((heading) => REPORT_HEADING.test(heading));
  return headings.length >= 2;
}

/** Blocks in which headings are looked for: a hundred pages tell what kind it is. */
const BLOCKS_LOOKED_AT = 3000;

/** Headings, and short lines that stand alone as headings do. */
function headingsOf({ text, blocks }: Pick<Assembled, "text" | "blocks">): string[] {
  return blocks
    .slice(0, BLOCKS_LOOKED_AT)
    .filter(({ kind, from, to }) => kind === "heading" || (to > from && to - from < 40))
    .map(({ from, to }) => text.slice(from, to).trim().toLowerCase());
}

/** The least number of blocks, and the share of them with speech, of a story. */
const STORY_BLOCKS = 20;
const SPEECH_SHARE = 0.3;

function isFiction({ text, blocks }: Pick<Assembled, "text" | "blocks">): boolean {
  const quoted = text.match(/[“"][^”"\n]{2,200}[,.?!][”"]/g)?.length ?? 0;
  return blocks.length > STORY_BLOCKS && quoted > blocks.length * SPEECH_SHARE;
}
