import { RE2JS } from "re2js";
import type { Range } from "../../manuscript/model.ts";

/**
 * Regular expressions that people write. They are run by an engine whose time grows with the length of
 * the text and never with the ways to match it (RE2), and their size is bounded when they are read.
 */

/** Instructions that an expression may be compiled to. */
const MAX_PROGRAM = 600;
/** Longer texts are searched piece by piece, so that no search is long; a place across two is not found. */
const PIECE = 1500;
/** Milliseconds that an expression may take for one text; one that takes longer is given up. */
const MOST_MS = 25;
/** Places looked for in one text; whatever finds more than that finds everything. */
const MAX_PLACES = 2000;

export interface FoundExpression {
  from: number;
  to: number;
  /** What is put in its place; null where nothing is. */
  put: string | null;
}

export class Expression {
  private givenUp = false;

  private constructor(
    private readonly compiled: RE2JS,
    private readonly put: string | null,
  ) {}

  /** Reads an expression. Throws RangeError with a sentence for one that can't be read or is too large. */
  static read(find: string, put: string | null, anyCapitals: boolean): Expression {
    let compiled: RE2JS;
    try {
      compiled = RE2JS.compile(find, anyCapitals ? RE2JS.CASE_INSENSITIVE : 0);
    } catch (error) {
      throw new RangeError(`This expression can’t be read: ${messageOf(error)}.`);
    }
    if (compiled.programSize() > MAX_PROGRAM) {
      throw new RangeError("This expression is too large: its repeats multiply.");
    }
    if (compiled.testExact("")) {
      throw new RangeError("This expression finds nothing at all: it fits the empty text.");
    }
    return new Expression(compiled, put);
  }

  /** It took too long somewhere, and finds nothing any more. */
  get isTooSlow(): boolean {
    return this.givenUp;
  }

  /** Every place in a text, in order. */
  find(text: string): FoundExpression[] {
    const found: FoundExpression[] = [];
    if (this.givenUp) return found;
    const until = performance.now() + MOST_MS;
    for (const { from, to } of piecesOf(text)) {
      const piece = from === 0 && to === text.length ? text : text.slice(from, to);
      this.findIn(piece, from, until, found);
      if (this.givenUp) return [];
    }
    return found;
  }

  private findIn(piece: string, start: number, until: number, found: FoundExpression[]): void {
    if (!this.compiled.test(piece)) {
      this.givenUp = performance.now() > until;
      return;
    }
    const matcher = this.compiled.matcher(piece);
    while (found.length < MAX_PLACES && matcher.find()) {
      const [from, to] = [matcher.start() + start, matcher.end() + start];
      if (to > from) found.push({ from, to, put: this.filled(matcher) });
      if (performance.now() > until) {
        this.givenUp = true;
        return;
      }
    }
  }

  private filled(matcher: ReturnType<RE2JS["matcher"]>): string | null {
    if (this.put === null) return null;
    return this.put.replace(/\$(\d)/g, (whole, digit: string) => {
      const number = Number(digit);
      return number <= matcher.groupCount() ? (matcher.group(number) ?? "") : whole;
    });
  }
}

/** A text in pieces that end at spaces. */
function piecesOf(text: string): Range[] {
  const pieces: Range[] = [];
  for (let from = 0; from < text.length; ) {
    const most = from + PIECE;
    const space = most < text.length ? text.lastIndexOf(" ", most) : text.length;
    const to = most >= text.length ? text.length : space > from ? space + 1 : most;
    pieces.push({ from, to });
    from = to;
  }
  return pieces;
}

function messageOf(error: unknown): string {
  const message = error instanceof Error ? error.message : String(error);
  return message.replace(/^error parsing regexp: /, "").replace(/\.$/, "");
}
