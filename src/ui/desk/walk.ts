import { PASSES, type Pass } from "../../core/checks/card.ts";
import { mapPosition, touches } from "../../core/manuscript/edits.ts";
import type { Edit, Range } from "../../core/manuscript/model.ts";
import { choicesFor } from "./choices.ts";
import type { DeskCore } from "./desk-core.ts";
import { edgeNotice } from "./notices.ts";
import type { PlacedMark } from "./reported.ts";
import type { Subject } from "./state.ts";
import { rangeOf } from "./subject.ts";

/** Milliseconds for which the outcome of a correction is shown where it was made. */
const OUTCOME_MS = 320;

/** Going from mark to mark: which slip is open, what it shows, and what comes next. */
export class Walk {
  /** The first mark of the pass opens by itself as soon as there is one. */
  opensFirst = true;
  /** Ends the showing of an outcome; null while none is shown. */
  endOutcome: (() => void) | null = null;
  /** What the slip is about, where the worker could give no corrections for it. */
  private unpresented: Subject = null;
  /** Where the reader was in each pass. */
  private readonly placeIn = new Map<Pass, number>();

  constructor(private readonly core: DeskCore) {}

  /** Opens the mark with this id. */
  goTo(markId: string): void {
    const place = this.core.state.open.find(({ mark }) => mark.id === markId);
    if (place) this.focus({ kind: "mark", place });
  }

  /** Goes to a mark, in whatever pass it is. */
  open(place: PlacedMark): void {
    if (this.core.busy) return;
    if (place.mark.pass !== this.core.state.pass) this.showPass(place.mark.pass);
    this.focus({ kind: "mark", place });
  }

  /** Opens the next open mark; at the last one says so, and goes round when asked again. */
  next(): void {
    if (this.cutOutcome()) return;
    const { open, edge } = this.core.state;
    const here = this.openIndex();
    const place = here >= 0 ? open[here + 1] : open.find(({ from }) => from >= this.core.place());
    if (place) this.focus({ kind: "mark", place });
    else if (edge === "end") this.goRound(open[0]);
    else this.tellEdge("end");
  }

  /** Opens the open mark before the present place; at the first one says so, then goes round. */
  previous(): void {
    if (this.cutOutcome()) return;
    const { open, edge } = this.core.state;
    const here = this.openIndex();
    const place =
      here >= 0 ? open[here - 1] : open.findLast(({ from }) => from < this.core.place());
    if (place) this.focus({ kind: "mark", place });
    else if (edge === "start") this.goRound(open.at(-1));
    else this.tellEdge("start");
  }

  private tellEdge(edge: "start" | "end"): void {
    const { open } = this.core.state;
    if (open.length > 0) this.core.publish({ edge, notice: edgeNotice(open.length, edge) });
  }

  private goRound(place: PlacedMark | undefined): void {
    if (place) this.focus({ kind: "mark", place });
    else this.focus(null);
  }

  /** Opens the slip for a word without a mark, or the mark that stands there; returns whether one opens. */
  atHand(from: number, to: number): boolean {
    const word = this.core.copy.text.slice(from, to);
    if (this.core.busy || !/^[\p{L}\p{M}'’-]+$/u.test(word)) return false;
    const marked = this.core.state.open.find((place) => place.from < to && place.to > from);
    if (marked) this.focus({ kind: "mark", place: marked });
    else this.focus({ kind: "word", word: { word, from, to } });
    return true;
  }

  /** Shows the outcome of a choice in the line. */
  preview(index: number): void {
    const choice = this.core.state.choices?.[index];
    if (index === this.core.state.previewed) return;
    this.core.publish({ previewed: choice ? index : -1 });
    this.core.galley?.preview(choice?.edits ?? []);
  }

  /** Where the open slip is about; null without one, and while its text may be another in a moment. */
  placeToEdit(): Range | null {
    const { subject } = this.core.state;
    return subject && !this.core.busy ? rangeOf(subject) : null;
  }

  /** Brings a place of the original text into view, where it is now. */
  showPlace(at: number): void {
    const now = mapPosition(at, this.core.copy.editsSoFar(), "before");
    this.focus(null);
    this.core.lastPlace = now;
    const word = /^\S+/.exec(this.core.copy.text.slice(now, now + 60))?.[0].length ?? 1;
    this.core.galley?.showOutcome([
      { from: now, to: Math.min(now + word, this.core.copy.text.length) },
    ]);
  }

  /** Brings a range of the text as it stands into view; the mark of a pass that lies there opens. */
  showRange(range: Range, pass: Pass): void {
    const place = this.core.state.openOfAll.find(
      ({ mark, from, to }) => mark.pass === pass && from < range.to && to > range.from,
    );
    if (place) {
      this.open(place);
      return;
    }
    this.focus(null);
    this.core.lastPlace = range.from;
    this.core.galley?.showOutcome([range]);
  }

  /** Closes the slip. */
  dismiss(): void {
    if (this.core.state.less) this.core.publish({ less: null });
    else this.focus(null);
  }

  /** Open marks with the same cause as the subject's. */
  twins(subject: Subject): PlacedMark[] {
    if (subject?.kind !== "mark") return [];
    const { group } = subject.place.mark;
    return this.core.copy.openMarks().filter(({ mark }) => mark.group === group);
  }

  /** Goes over to another pass: its marks are drawn and walked from where they were left. */
  setPass(pass: Pass): void {
    if (pass === this.core.state.pass || this.core.busy) return;
    this.showPass(pass);
    this.opensFirst = true;
    this.core.lastPlace = this.placeIn.get(pass) ?? 0;
    this.openFirst();
    this.core.shelf.note();
  }

  /** The next pass in working order, or the one before. */
  stepPass(by: 1 | -1): void {
    const at = PASSES.indexOf(this.core.state.pass) + by;
    const pass = PASSES[(at + PASSES.length) % PASSES.length];
    if (pass) this.setPass(pass);
  }

  /** Opens the first mark after the place the reader left, unless they have gone elsewhere since. */
  openFirst(): void {
    const { open, subject, typing, notice } = this.core.state;
    if (!this.opensFirst || subject || typing || this.core.busy) return;
    const start = open.find(({ to }) => to > this.core.lastPlace) ?? open[0];
    if (start) this.focus({ kind: "mark", place: start }, notice);
  }

  /** The slip follows its mark: to where it stands now, on to the next when it is made no more. */
  keepSubject(): void {
    const { subject, openOfAll, notice } = this.core.state;
    if (subject?.kind !== "mark" || this.core.busy) return;
    const { mark, from, to } = subject.place;
    const same = openOfAll.find((one) => one.mark.id === mark.id && one.from === from);
    if (same && this.unpresented !== subject) return;
    const here =
      same ??
      openOfAll.find((one) => one.mark.rule === mark.rule && one.from === from && one.to === to);
    // Where one types nothing is moved about.
    if (this.core.state.typing) {
      this.core.publish(here ? { subject: { kind: "mark", place: here } } : { subject: null });
      if (!here) this.core.galley?.hide();
      return;
    }
    if (here) {
      this.focus({ kind: "mark", place: here }, notice);
      return;
    }
    this.core.lastPlace = from;
    this.goOn(notice);
  }

  /** An open slip moves with its text; when its own text is changed, it is not about it any more. */
  carrySubject(edits: readonly Edit[]): void {
    const { subject } = this.core.state;
    if (!subject) return;
    const range = rangeOf(subject);
    const from = mapPosition(range.from, edits, "after");
    const to = mapPosition(range.to, edits, "before");
    if (edits.some((edit) => touches(edit, range))) {
      this.core.publish({ choices: null, previewed: -1, shown: false });
    } else if (from !== range.from && subject.kind === "word") {
      this.core.publish({
        subject: { kind: "word", word: { ...subject.word, from, to } },
        choices: null,
        shown: false,
      });
    } else if (from !== range.from && subject.kind === "mark") {
      const { mark } = subject.place;
      const place = this.core.copy.reported
        .all()
        .find((one) => one.from === from && one.to === to && one.mark.rule === mark.rule);
      this.core.publish({
        subject: place ? { kind: "mark", place } : subject,
        choices: null,
        shown: false,
      });
    }
  }

  showPass(pass: Pass): void {
    this.placeIn.set(this.core.state.pass, this.core.place());
    this.core.publish({
      pass,
      subject: null,
      phrase: "",
      choices: null,
      shown: false,
      less: null,
      edge: null,
      notice: "",
    });
    this.core.galley?.hide();
    this.core.refresh("all");
  }

  /** On to the next open mark after the place; past the last one, the end of the pass is shown. */
  goOn(notice: string): void {
    const { open } = this.core.state;
    const place = open.find(({ from }) => from >= this.core.lastPlace);
    this.focus(place ? { kind: "mark", place } : null, notice);
    if (!place && open.length > 0) this.core.publish({ edge: "end" });
  }

  /** Shows what came about where it was made, until a moment is over or the reader goes on. */
  async showOutcome(ranges: readonly Range[]): Promise<void> {
    this.core.galley?.showOutcome(ranges);
    await new Promise<void>((resolve) => {
      this.endOutcome = resolve;
      setTimeout(resolve, OUTCOME_MS);
    });
    this.endOutcome = null;
  }

  /** Cuts the showing of an outcome short; true when a decision was on its way. */
  private cutOutcome(): boolean {
    this.endOutcome?.();
    return this.core.busy;
  }

  /** Where the open slip's mark stands among the open marks; -1 when it does not. */
  private openIndex(): number {
    const { subject, open } = this.core.state;
    if (subject?.kind !== "mark") return -1;
    return open.findIndex(({ mark }) => mark.id === subject.place.mark.id);
  }

  focus(subject: Subject, notice = ""): void {
    this.opensFirst = false;
    this.core.publish({
      subject,
      phrase: "",
      choices: null,
      previewed: -1,
      shown: false,
      less: null,
      edge: null,
      notice,
    });
    if (!subject) {
      this.core.galley?.hide();
      return;
    }
    this.core.lastPlace = this.core.place();
    this.core.shelf.note();
    const drawn = this.core.galley?.show(subject, []) ?? Promise.resolve();
    void this.core.keeper.guard(() => this.present(subject, drawn));
  }

  /** Shows the corrections of what the slip is about; keys decide once all of it has been drawn. */
  private async present(subject: Exclude<Subject, null>, drawn: Promise<void>): Promise<void> {
    const choices = await choicesFor(this.core.worker, subject, this.core.settings(), (block) =>
      this.core.copy.startOf(block),
    ).catch((error: unknown) => {
      this.unpresented = subject;
      void this.core.checking.afterFailure(error);
      return null;
    });
    if (this.core.state.subject !== subject || choices === null) return;
    // What is probably a name is not shown struck out.
    const first =
      subject.kind === "mark" && subject.place.mark.weight !== "settle" ? choices[0] : null;
    this.core.publish({ choices, previewed: first ? 0 : -1 });
    this.core.galley?.preview(first?.edits ?? []);
    await drawn;
    await painted();
    if (this.core.state.subject === subject) this.core.publish({ shown: true });
  }
}

/** Resolves when what was just published has been drawn. */
export function painted(): Promise<void> {
  return new Promise((resolve) => {
    requestAnimationFrame(() => setTimeout(resolve, 0));
    // A page in the background draws nothing.
    setTimeout(resolve, 500);
  });
}
