import { type Appetite, PASSES, type Pass } from "../../core/checks/card.ts";
import { cardById } from "../../core/checks/cards.ts";
import { appetiteFor } from "../../core/checks/kinds.ts";
import type { Leave } from "../../core/checks/leave.ts";
import type { CheckSettings } from "../../core/engine/mark.ts";
import type { Exported, ExportForm, Problem } from "../../core/formats/document.ts";
import { findReplacements, replacementBefore } from "../../core/house/replacements.ts";
import type { PartOfSpeech } from "../../core/language/word-net.ts";
import type { Decision, Draft, Setting } from "../../core/ledger/decision.ts";
import { lastRedoable, lastUndoable, undo } from "../../core/ledger/ledger.ts";
import { follow, placeOf, track } from "../../core/ledger/tracking.ts";
import { mapPosition, sortEdits, touches } from "../../core/manuscript/edits.ts";
import type { Block, Edit, Kind, Manuscript, Range, Variety } from "../../core/manuscript/model.ts";
import { checkSettings } from "../../store/check-settings.ts";
import { type Hold, holdDocument } from "../../store/hold.ts";
import { changeStyle, readSettings, readStyle, updateSettings } from "../../store/house.ts";
import { readDecisions, writeDecision, writeDecisions } from "../../store/ledger.ts";
import {
  readOriginal,
  readRecord,
  type ShelfRecord,
  shelve,
  updateRecord,
} from "../../store/shelf.ts";
import { forgetTyped, readTyped, writeTyped } from "../../store/typing.ts";
import { connectProofreader, type ProofreaderLink } from "../../worker/connect.ts";
import type { AboutWord, Update } from "../../worker/proofreader.ts";
import { Checking } from "./checking.ts";
import { anchorOf, choicesFor, correctionsOf } from "./choices.ts";
import { DeskDocument } from "./desk-document.ts";
import { type Decided, Keeper } from "./keeper.ts";
import { edgeNotice, effectName, saidOf } from "./notices.ts";
import { ReadingAloud, type ReadingScope } from "./reading-aloud.ts";
import type { PlacedMark } from "./reported.ts";
import { recordWith, type SettingValue, settingValue, styleWith } from "./settings.ts";
import { type DeskState, OPENING, runOf, type Subject, type WordAtHand } from "./state.ts";
import { afterTyping, outcomeOf } from "./subject.ts";

/** Milliseconds without typing after which what was typed becomes one decision. */
const TYPING_PAUSE_MS = 250;
/** Milliseconds for which the outcome of a correction is shown where it was made. */
const OUTCOME_MS = 320;
/** Milliseconds to wait for the marks that an undo brings back. */
const RECHECK_WAIT_MS = 1500;

const ANOTHER_TAB = "This document is open in another tab, which does the writing.";
const CHANGED_MEANWHILE = "The text changed in the meantime. Look at the place again, then decide.";
const OWN_FAULT =
  "Dry Run met an error of its own, and this step was not made. What was decided before is kept.";

/** What the session asks of the text on screen. */
export interface GalleyFace {
  apply(edits: readonly Edit[]): void;
  redraw(blocks: "all" | readonly number[]): void;
  /** Resolves when the slip stands under the place. */
  show(subject: Exclude<Subject, null>, preview: Edit[]): Promise<void>;
  preview(edits: Edit[]): void;
  hide(): void;
  /** Shows what has just come about at a place, in view. */
  showOutcome(ranges: readonly Range[]): void;
  /** Shows which word is being read aloud; null for none. */
  showSpoken(spoken: Range | null): void;
}

/**
 * One document on the desk: its ledger, its marks, the worker that checks it and the storage that
 * keeps it. Every decision is on disk before the state that shows it is published, and no key decides
 * what has not been drawn: `busy` and `shown` see to that.
 */
export class DeskSession {
  private state: DeskState = OPENING;
  private readonly listeners = new Set<() => void>();
  private readonly worker: ProofreaderLink;
  private readonly checking: Checking;
  private readonly keeper: Keeper;
  private galley: GalleyFace | null = null;
  private bytes: Uint8Array = new Uint8Array();
  private copy = new DeskDocument({ text: "", blocks: [], spans: [] }, []);
  private typingTimer: ReturnType<typeof setTimeout> | undefined;
  private shelfStale = false;
  private noting: Promise<unknown> | null = null;
  private hold: Hold | null = null;
  /** A decision is being written, or its outcome shown. */
  private get busy(): boolean {
    return this.state.deciding;
  }
  private acting: Promise<void> = Promise.resolve();
  /** Ends the showing of an outcome; null while none is shown. */
  private endOutcome: (() => void) | null = null;
  /** What the slip is about, where the worker could give no corrections for it. */
  private unpresented: Subject = null;
  /** The first mark of the pass opens by itself as soon as there is one. */
  private opensFirst = true;
  private lastPlace = 0;
  /** Where the reader was in each pass. */
  private readonly placeIn = new Map<Pass, number>();
  private readonly aloud = new ReadingAloud({
    current: () => this.current(),
    show: (spoken) => this.galley?.showSpoken(spoken),
    publish: (changes) => this.publish(changes),
  });

  constructor(
    private readonly id: string,
    worker: ProofreaderLink = connectProofreader(),
  ) {
    this.worker = worker;
    this.keeper = new Keeper(
      {
        writeDecision: (decision) => writeDecision(id, decision),
        writeTyped: (typed) => writeTyped(id, typed),
        forgetTyped: (after) => forgetTyped(id, after),
        restore: (decisions) => this.restoreStorage(decisions),
      },
      {
        kept: (kept) => this.publish({ kept }),
        fault: (error) => this.tellFault(error),
      },
    );
    this.checking = new Checking(worker, {
      copy: () => this.copy,
      settings: () => this.settings(),
      file: () => ({ bytes: this.bytes, name: this.state.record?.fileName ?? "" }),
      began: () => this.publish({ phase: "checking", stale: false, progress: { done: 0, all: 1 } }),
      progressed: (progress) => this.publish({ progress }),
      delivered: (update, whole) => this.takeMarks(update, whole),
      changed: (blocks) => this.takeChanges(blocks),
      amiss: (sentence, over) =>
        this.publish({ notice: sentence, ...(over ? { phase: "stopped", readingOn: false } : {}) }),
    });
  }

  getSnapshot = (): DeskState => this.state;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Opens the document: the hold, the original, its ledger, then the checks. */
  async open(): Promise<void> {
    try {
      await this.openDocument();
    } catch (error) {
      console.error(error);
      this.fail(
        "Dry Run met an error of its own while opening it. The document and every decision are still kept in this browser; reload the page to try once more.",
      );
    }
  }

  private async openDocument(): Promise<void> {
    const [record, bytes] = await Promise.all([readRecord(this.id), readOriginal(this.id)]);
    if (!record || !bytes) return this.fail("This document is not on the shelf any more.");
    this.bytes = bytes;
    this.hold = await holdDocument(this.id);
    this.publish({ record, pass: record.pass });
    const read = await this.checking.read(bytes, record.fileName);
    if ("problem" in read) return this.fail(read.problem.sentence);
    const manuscript = { ...read.manuscript, title: record.title, kind: record.kind };
    manuscript.variety = record.variety;
    const [style, { whileTyping, replaceTyping }] = await Promise.all([
      readStyle(),
      readSettings(),
    ]);
    this.publish({ style, whileTyping, replaceTyping });
    this.lastPlace = record.place;
    await this.restore(manuscript, this.hold.first);
    this.publish({ phase: "checking", manuscript, reading: !this.hold.first });
    if (!this.hold.first) void this.hold.granted.then(() => this.takeOver(manuscript));
    // The text first: a check that starts while it is being laid out only holds it up.
    await painted();
    await this.checking.whole();
  }

  /** Ends the session: what was typed is kept, the worker and the hold let go. */
  async close(): Promise<void> {
    this.aloud.stop();
    await this.flush();
    this.keeper.stop();
    this.hold?.release();
  }

  /** Has everything that is on its way written now: the page may be gone in a moment. */
  async flush(): Promise<void> {
    void this.keeper.noteTyping(this.copy);
    const shelf = this.keeper.guard(() => this.writeShelf());
    await this.flushTyping();
    await shelf;
  }

  /** Whether something is on screen that could not be written down. */
  get holdsPage(): boolean {
    return this.state.kept.state === "failed" && this.copy.hasTyped;
  }

  /** Connects the text on screen. */
  attach(galley: GalleyFace): void {
    this.galley = galley;
    galley.redraw("all");
  }

  /** The manuscript as it stands, for the galley to start from. */
  current(): Pick<Manuscript, "text" | "blocks" | "spans"> {
    return this.copy.current();
  }

  blockAt(index: number): Block | undefined {
    return this.copy.layout.blocks[index];
  }

  /** What is told of a group of marks beside their reason; empty for nothing. */
  toldOf(group: string): string {
    return this.copy.reported.groups.get(group)?.note ?? "";
  }

  /** Why the reader may not make a change; null when they may. */
  whyRefused(edit: Edit): string | null {
    if (this.state.reading) return ANOTHER_TAB;
    return this.copy.whyRefused(edit);
  }

  say(notice: string): void {
    this.publish({ notice });
  }

  // Walking

  /** Opens the mark with this id. */
  goTo(markId: string): void {
    const place = this.state.open.find(({ mark }) => mark.id === markId);
    if (place) this.focus({ kind: "mark", place });
  }

  /** Opens the next open mark; at the last one says so, and goes round when asked again. */
  next(): void {
    if (this.cutOutcome()) return;
    const { open, edge } = this.state;
    const here = this.openIndex();
    const place = here >= 0 ? open[here + 1] : open.find(({ from }) => from >= this.place());
    if (place) this.focus({ kind: "mark", place });
    else if (edge === "end") this.goRound(open[0]);
    else this.tellEdge("end");
  }

  /** Opens the open mark before the present place; at the first one says so, then goes round. */
  previous(): void {
    if (this.cutOutcome()) return;
    const { open, edge } = this.state;
    const here = this.openIndex();
    const place = here >= 0 ? open[here - 1] : open.findLast(({ from }) => from < this.place());
    if (place) this.focus({ kind: "mark", place });
    else if (edge === "start") this.goRound(open.at(-1));
    else this.tellEdge("start");
  }

  private tellEdge(edge: "start" | "end"): void {
    const { open } = this.state;
    if (open.length > 0) this.publish({ edge, notice: edgeNotice(open.length, edge) });
  }

  private goRound(place: PlacedMark | undefined): void {
    if (place) this.focus({ kind: "mark", place });
    else this.focus(null);
  }

  /** Opens the slip for a word without a mark, or the mark that stands there; returns whether one opens. */
  atHand(from: number, to: number): boolean {
    const word = this.copy.text.slice(from, to);
    if (this.busy || !/^[\p{L}\p{M}'’-]+$/u.test(word)) return false;
    const marked = this.state.open.find((place) => place.from < to && place.to > from);
    if (marked) this.focus({ kind: "mark", place: marked });
    else this.focus({ kind: "word", word: { word, from, to } });
    return true;
  }

  /** Shows the outcome of a choice in the line. */
  preview(index: number): void {
    const choice = this.state.choices?.[index];
    if (index === this.state.previewed) return;
    this.publish({ previewed: choice ? index : -1 });
    this.galley?.preview(choice?.edits ?? []);
  }

  /** Brings a place of the original text into view, where it is now. */
  showPlace(at: number): void {
    const now = mapPosition(at, this.copy.editsSoFar(), "before");
    this.focus(null);
    this.lastPlace = now;
    const word = /^\S+/.exec(this.copy.text.slice(now, now + 60))?.[0].length ?? 1;
    this.galley?.showOutcome([{ from: now, to: Math.min(now + word, this.copy.text.length) }]);
  }

  /** Closes the slip. */
  dismiss(): void {
    if (this.state.less) this.publish({ less: null });
    else this.focus(null);
  }

  /** The caret went into the text, or out of it: keys type there, and decide nothing. */
  setTyping(typing: boolean): void {
    if (typing === this.state.typing) return;
    const notice = typing ? "Keys type in the text now. Esc gives them back." : "";
    this.publish({ typing, notice });
  }

  /** The reader leaves the text: what was typed is kept, an open slip stays and takes the keys. */
  async leaveText(): Promise<void> {
    await this.flushTyping();
    if (!this.state.subject) this.say("Keys belong to the walk again: ↓ goes to the next mark.");
  }

  // Words

  /** The word under decision: what the shown correction would make of it, or as it stands. */
  wordAtHand(): WordAtHand | null {
    const { subject, choices, previewed } = this.state;
    if (subject?.kind === "word") return subject.word;
    if (subject?.kind !== "mark") return null;
    const { from, to, mark } = subject.place;
    const label = choices?.[Math.max(0, previewed)]?.label;
    return { word: label && /^[\p{L}'’ -]+$/u.test(label) ? label : mark.text, from, to };
  }

  /** Base forms, inflected forms and syllables of a word. */
  aboutWord(word: string): Promise<AboutWord> {
    return this.worker.aboutWord(word, this.settings().variety);
  }

  /** Puts a synonym in the place of the word at hand, in its form. */
  async putIn(synonym: string, part: PartOfSpeech): Promise<void> {
    const { subject } = this.state;
    const here = this.wordAtHand();
    if (!subject || !here || this.busy) return;
    await this.act(async () => {
      const { variety } = this.settings();
      const insert = await this.worker.fitSynonym(synonym, here.word, part, variety);
      const marks = subject.kind === "mark" ? [anchorOf(subject.place)] : [];
      const edits = [{ from: here.from, to: here.to, insert }];
      return { act: "correct", scope: "here", marks, edits };
    });
  }

  /** Reads the word, its letters, its sentence or the copy from there aloud. */
  readAloud(scope: ReadingScope, word: string): Promise<void> {
    return this.aloud.start(scope, word, this.place(), this.settings().variety);
  }

  stopReading(): void {
    this.aloud.stop();
  }

  // Deciding

  /** Whether a key or a press may decide: the slip was drawn whole, and nothing else is being decided. */
  get mayDecide(): boolean {
    return this.state.shown && !this.busy;
  }

  /** Makes the choice shown in the line; where none is shown, shows the first instead. */
  async takeShown(everywhere: boolean): Promise<void> {
    const { choices, previewed } = this.state;
    if (previewed >= 0) return this.take(previewed, everywhere);
    if (!this.state.shown || !choices || choices.length === 0) return;
    this.preview(0);
    this.say("Shown in the line. Enter once more takes it.");
  }

  /** Makes a choice at this place, or at every place with the same mistake. */
  async take(index: number, everywhere: boolean): Promise<void> {
    const { subject, choices } = this.state;
    const choice = choices?.[index];
    if (!this.mayDecide || !subject || !choice) return;
    if (everywhere) return this.correctAt(this.twins(subject), choice.label);
    const marks = subject.kind === "mark" ? [anchorOf(subject.place)] : [];
    await this.act(() => ({ act: "correct", scope: "here", marks, edits: choice.edits }));
  }

  /** Makes the correction with this label at each of the marks. */
  async correctAt(places: readonly PlacedMark[], label: string): Promise<void> {
    await this.act(async () => {
      const { edits, marks } = await correctionsOf(this.worker, places, label);
      if (marks.length === 0) return null;
      const scope = marks.length > 1 ? "everywhere" : "here";
      return { act: "correct", scope, marks: marks.map(anchorOf), edits };
    });
  }

  /** Lets the mark stand, here or wherever the same is found in this document. */
  async stet(everywhere: boolean): Promise<void> {
    const { subject } = this.state;
    if (!this.mayDecide || subject?.kind !== "mark") return;
    const marks = [anchorOf(subject.place)];
    await this.act(() => ({
      act: "stet",
      scope: everywhere ? "everywhere" : "here",
      marks,
      edits: [],
    }));
  }

  /** Lets each of these marks stand. */
  async stetAt(places: readonly PlacedMark[]): Promise<void> {
    const marks = places.map(anchorOf);
    await this.act(() => ({ act: "stet", scope: "here", marks, edits: [] }));
  }

  /** Asks the author about a place: the one whose slip the question was written in. */
  async query(subject: Exclude<Subject, null>, note: string): Promise<void> {
    const anchor =
      subject.kind === "mark"
        ? anchorOf(subject.place)
        : {
            rule: "query",
            text: subject.word.word,
            from: subject.word.from,
            to: subject.word.to,
          };
    await this.act(() => ({ act: "query", scope: "here", marks: [anchor], edits: [], note }));
  }

  /** Puts the word on the word list. */
  async listWord(): Promise<void> {
    const { subject } = this.state;
    if (!this.mayDecide || subject?.kind !== "mark") return;
    if (!cardById(subject.place.mark.rule)?.takesWords) {
      this.say("Only a word that no dictionary has goes on the word list.");
      return;
    }
    const word = subject.place.mark.text;
    const marks = [anchorOf(subject.place)];
    await this.act(() => ({ act: "word", scope: "everywhere", marks, edits: [], word }));
  }

  /** Takes back the newest decision. */
  undoLast(): Promise<void> {
    return this.takeBack(
      () => lastUndoable(this.copy.history)?.seq,
      "There is nothing to undo.",
      "Undone",
    );
  }

  /** Takes back one decision, however old. */
  undo(seq: number): Promise<void> {
    return this.takeBack(() => seq, "", "Undone");
  }

  /** Takes back the newest undo. */
  redo(): Promise<void> {
    return this.takeBack(
      () => lastRedoable(this.copy.history)?.seq,
      "There is nothing to redo.",
      "Redone",
    );
  }

  /** Takes in what was typed; it becomes a decision when the typing pauses. */
  type(edits: Edit[]): void {
    this.takeTyping(edits);
    const replaced = this.state.replaceTyping ? this.replacementTyped(edits) : null;
    if (!replaced) return;
    this.galley?.apply([replaced]);
    this.takeTyping([replaced]);
    this.say(`Replaced by “${replaced.insert}”.`);
  }

  /** The replacement for the word that was just ended by a space or a stop. */
  private replacementTyped(edits: readonly Edit[]): Edit | null {
    const [edit] = edits;
    if (!edit || edits.length > 1 || !/^[\s.,;:!?)\]”’"]$/.test(edit.insert)) return null;
    const found = replacementBefore(this.copy.text, edit.from, this.state.style.replacements);
    return found && this.copy.whyRefused(found) === null ? found : null;
  }

  private takeTyping(edits: Edit[]): void {
    const kept = afterTyping(this.state, edits);
    this.copy.type(edits);
    void this.recheck(edits);
    this.lastPlace = edits[0]?.from ?? this.lastPlace;
    this.opensFirst = false;
    this.publish({
      kept: { state: "keeping" },
      stale: this.state.stale || !this.state.whileTyping,
      ...kept,
      less: null,
      edge: null,
      notice: "",
    });
    if (kept.subject === null) queueMicrotask(() => this.state.subject ?? this.galley?.hide());
    void this.keeper.noteTyping(this.copy);
    clearTimeout(this.typingTimer);
    this.typingTimer = setTimeout(() => void this.flushTyping(), TYPING_PAUSE_MS);
  }

  /** Makes a decision of what was typed. */
  flushTyping(): Promise<void> {
    clearTimeout(this.typingTimer);
    return this.keeper.enqueue(() => this.keepTyping());
  }

  /** Tries once more to write down what could not be. */
  keepAgain(): Promise<void> {
    return this.flushTyping();
  }

  // Settings and export

  /** Ends a running check; what is decided and typed stays. */
  stop(): void {
    this.checking.stop();
    this.publish({ phase: "stopped", readingOn: false });
  }

  /** Checks the document as it stands. */
  run(): Promise<void> {
    return this.checking.whole();
  }

  /** Has typing checked at once, or only when asked for. */
  async setWhileTyping(whileTyping: boolean): Promise<void> {
    this.publish({ whileTyping });
    if (whileTyping && this.state.stale) await this.run();
    await this.keeper.guard(() => updateSettings({ whileTyping }));
  }

  /** Takes a word off the word list. */
  async unlistWord(word: string): Promise<void> {
    await this.turn({ name: "listed", of: word }, null);
    this.say(`“${word}” is off the list. U puts it back.`);
  }

  /** How much of a check is wanted in this document. */
  async setAppetite(rule: string, appetite: Appetite): Promise<void> {
    await this.turn({ name: "appetite", of: rule }, appetite);
  }

  /** How much of a check is wanted as things stand. */
  appetiteOf(rule: string): Appetite {
    return appetiteFor({ id: rule }, this.settings());
  }

  /**
   * Asks for less of what the open mark's check finds: only when it is sure, then nothing. Where the
   * check is what the pass is for, asks first what is meant.
   */
  async lessLikeThis(inEvery: boolean): Promise<void> {
    const { subject } = this.state;
    if (!this.mayDecide || subject?.kind !== "mark") return;
    const { mark } = subject.place;
    if (!cardById(mark.rule)?.takesWords) return this.takeLess(mark.rule, inEvery);
    const less = {
      text: mark.text,
      places: this.twins(subject).length,
      hides: this.openOf(mark.rule),
      inEvery,
    };
    this.publish({ less });
  }

  /** Answers what "less like this" meant: let the word stand, list it, or switch the check off. */
  async answerLess(answer: number): Promise<void> {
    const { subject, less } = this.state;
    if (!less || subject?.kind !== "mark" || answer < 0 || answer > 2) return;
    this.publish({ less: null });
    if (answer === 0) await this.stet(true);
    else if (answer === 1) await this.listWord();
    else await this.takeLess(subject.place.mark.rule, less.inEvery);
  }

  private openOf(rule: string): number {
    return this.state.openOfAll.filter(({ mark }) => mark.rule === rule).length;
  }

  private async takeLess(rule: string, inEvery: boolean): Promise<void> {
    const { record } = this.state;
    const check = cardById(rule);
    if (!check || !record) return;
    const spells = check.pass === "spelling";
    const after = this.appetiteOf(rule) === "all" && !spells ? "sure" : "off";
    const before = this.openOf(rule);
    // The document's own choice would stand above the house's.
    if (inEvery) await this.turn({ name: "appetite", of: rule }, null);
    await this.turn({ name: inEvery ? "house-appetite" : "appetite", of: rule }, after);
    const left = this.openOf(rule);
    const where = inEvery ? "every document" : "this document";
    const outcome =
      after === "sure"
        ? `only when sure, in ${where}: ${left === 1 ? "1 stays" : `${left} stay`}, ${before - left} hidden`
        : `off in ${where}: ${before - left} hidden`;
    this.say(`“${check.title}” ${outcome}. U takes it back.`);
  }

  /** Has a kind of unknown word left alone in this document, or not. */
  async switchLeave(leave: Leave, on: boolean): Promise<void> {
    await this.turn({ name: "leave", of: leave }, on);
  }

  /** Switches a subject list on or off for this document. */
  async switchSubject(id: string, on: boolean): Promise<void> {
    await this.turn({ name: "subject", of: id }, on);
  }

  /** Reads the document as another variety of English. */
  async setVariety(variety: Variety): Promise<void> {
    await this.turn({ name: "variety" }, variety);
  }

  /** Takes the document for another kind of copy. */
  async setKind(kind: Kind): Promise<void> {
    await this.turn({ name: "kind" }, kind);
  }

  /** Has replacements made while typing, or not. */
  async setReplaceTyping(replaceTyping: boolean): Promise<void> {
    this.publish({ replaceTyping });
    await this.keeper.guard(() => updateSettings({ replaceTyping }));
  }

  /** The places in the text at which replacements apply. */
  replacementPlaces(): Edit[] {
    return findReplacements(this.copy.text, this.state.style.replacements).filter(
      (edit) => this.copy.whyRefused(edit) === null,
    );
  }

  /** Makes replacements as one decision. */
  async applyReplacements(edits: readonly Edit[]): Promise<void> {
    if (edits.length === 0) return;
    await this.act(() => ({
      act: "correct",
      scope: edits.length > 1 ? "everywhere" : "here",
      marks: [],
      edits: [...edits],
      note: "automatic replacement",
    }));
  }

  /** Writes the document as it stands. */
  async export(form: ExportForm, author: string): Promise<Exported | { problem: Problem }> {
    await this.flushTyping();
    const { manuscript } = this.state;
    if (!manuscript) throw new Error("nothing is open");
    const { edits, queries } = this.copy.outcome();
    return this.worker.write({
      bytes: this.bytes,
      format: manuscript.origin.format,
      current: this.current(),
      edits,
      queries: form === "tracked" ? queries : [],
      form,
      author,
      date: new Date().toISOString(),
    });
  }

  // Inside: state

  private fail(problem: string): void {
    this.publish({ phase: "missing", problem });
  }

  private publish(changes: Partial<DeskState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }

  private tellFault(error: unknown): void {
    console.error(error);
    const kept = this.state.kept.state === "keeping" && !this.copy.hasTyped;
    this.publish({
      notice: OWN_FAULT,
      ...(kept ? { kept: { state: "kept", at: new Date() } } : {}),
    });
  }

  /**
   * Replays the stored ledger and, in the tab that writes, takes in what was typed and had not become
   * a decision yet. A ledger that does not fit the original is left aside, and said so.
   */
  private async restore(manuscript: Manuscript, writes: boolean): Promise<void> {
    const decisions = await readDecisions(this.id);
    try {
      this.copy = new DeskDocument(manuscript, decisions);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      this.copy = new DeskDocument(manuscript, []);
      this.publish({
        notice: "The stored decisions do not fit this document and were left aside.",
      });
    }
    if (writes) await this.takeInTyped();
    this.publish({ decisions: this.copy.decisions, standing: this.copy.inForce });
  }

  private async takeInTyped(): Promise<void> {
    const note = await readTyped(this.id, this.copy.decisions);
    if (!note) return;
    try {
      sortEdits(note.typed, this.copy.text.length);
    } catch {
      return;
    }
    this.copy.type(note.typed);
    await this.keeper.guard(() => this.keeper.keepTyping(this.copy));
  }

  /** The other tab let go: read what it decided, then write from here on. */
  private async takeOver(manuscript: Manuscript): Promise<void> {
    const known = this.copy.decisions.length;
    const record = await readRecord(this.id);
    await this.restore(manuscript, true);
    for (const { edits } of this.copy.decisions.slice(known)) this.galley?.apply(edits);
    this.publish({
      ...(record ? { record } : {}),
      reading: false,
      subject: null,
      shown: false,
      notice: "The other tab let go; decisions are made here now.",
    });
    this.galley?.hide();
    this.opensFirst = true;
    await this.checking.whole();
  }

  /** The browser's storage was cleared beneath the desk: everything is written once more. */
  private async restoreStorage(decisions: readonly Decision[]): Promise<void> {
    const { record } = this.state;
    if (record) await shelve(record, this.bytes);
    await writeDecisions(this.id, decisions);
    this.say("The browser’s storage had been cleared; this document was written down once more.");
  }

  private settings(): CheckSettings {
    const { record, style } = this.state;
    if (!record) return { variety: "en-US", kind: "general", appetites: {}, words: [] };
    if (this.settled?.record !== record || this.settled.style !== style) {
      this.settled = { record, style, settings: checkSettings(record, style) };
    }
    return this.settled.settings;
  }

  /** The settings made last, and what of. */
  private settled: {
    record: ShelfRecord;
    style: DeskState["style"];
    settings: CheckSettings;
  } | null = null;

  // Inside: marks

  private takeMarks(update: Update, whole: boolean): void {
    this.publish({
      tables: this.copy.reported.tables,
      unread: update.unread,
      phase: "ready",
      readingOn: !whole,
      progress: { done: 0, all: 1 },
    });
    this.refresh("all");
    this.keepSubject();
    this.openFirst();
    if (whole) this.noteOnShelf();
  }

  private takeChanges(blocks: number[]): void {
    this.publish({ tables: this.copy.reported.tables });
    this.refresh(blocks);
    this.keepSubject();
  }

  /** Opens the first mark after the place the reader left, unless they have gone elsewhere since. */
  private openFirst(): void {
    const { open, subject, typing, notice } = this.state;
    if (!this.opensFirst || subject || typing || this.busy) return;
    const start = open.find(({ to }) => to > this.lastPlace) ?? open[0];
    if (start) this.focus({ kind: "mark", place: start }, notice);
  }

  /** The slip follows its mark: to where it stands now, on to the next when it is made no more. */
  private keepSubject(): void {
    const { subject, openOfAll, notice } = this.state;
    if (subject?.kind !== "mark" || this.busy) return;
    const { mark, from, to } = subject.place;
    const same = openOfAll.find((one) => one.mark.id === mark.id && one.from === from);
    if (same && this.unpresented !== subject) return;
    const here =
      same ??
      openOfAll.find((one) => one.mark.rule === mark.rule && one.from === from && one.to === to);
    // Where one types nothing is moved about.
    if (this.state.typing) {
      this.publish(here ? { subject: { kind: "mark", place: here } } : { subject: null });
      if (!here) this.galley?.hide();
      return;
    }
    if (here) {
      this.focus({ kind: "mark", place: here }, notice);
      return;
    }
    this.lastPlace = from;
    this.goOn(notice);
  }

  /** Publishes the open marks and has the changed ones drawn. */
  private refresh(blocks: "all" | readonly number[]): void {
    const openOfAll = this.copy.openMarks().filter(({ mark }) => !mark.follows);
    const all = this.copy.reported.all().filter(({ mark }) => !mark.follows);
    const corrected = this.copy.correctedByPass();
    const passes = Object.fromEntries(
      PASSES.map((pass) => {
        const of = (places: readonly PlacedMark[]) =>
          places.filter(({ mark }) => mark.pass === pass).length;
        return [pass, { open: of(openOfAll), total: of(all) + (corrected.get(pass) ?? 0) }];
      }),
    ) as DeskState["passes"];
    const { pass } = this.state;
    const open = openOfAll.filter(({ mark }) => mark.pass === pass);
    this.publish({ open, openOfAll, passes, total: passes[pass].total });
    this.galley?.redraw(blocks);
  }

  /** Goes over to another pass: its marks are drawn and walked from where they were left. */
  setPass(pass: Pass): void {
    if (pass === this.state.pass || this.busy) return;
    this.showPass(pass);
    this.opensFirst = true;
    this.lastPlace = this.placeIn.get(pass) ?? 0;
    this.openFirst();
    this.noteOnShelf();
  }

  /** The next pass in working order, or the one before. */
  stepPass(by: 1 | -1): void {
    const at = PASSES.indexOf(this.state.pass) + by;
    const pass = PASSES[(at + PASSES.length) % PASSES.length];
    if (pass) this.setPass(pass);
  }

  private showPass(pass: Pass): void {
    this.placeIn.set(this.state.pass, this.place());
    this.publish({
      pass,
      subject: null,
      choices: null,
      shown: false,
      less: null,
      edge: null,
      notice: "",
    });
    this.galley?.hide();
    this.refresh("all");
  }

  /** Where the open slip's mark stands among the open marks; -1 when it does not. */
  private openIndex(): number {
    const { subject, open } = this.state;
    if (subject?.kind !== "mark") return -1;
    return open.findIndex(({ mark }) => mark.id === subject.place.mark.id);
  }

  private place(): number {
    const { subject } = this.state;
    if (subject?.kind === "mark") return subject.place.from;
    if (subject?.kind === "word") return subject.word.from;
    return this.lastPlace;
  }

  private focus(subject: Subject, notice = ""): void {
    this.opensFirst = false;
    this.publish({
      subject,
      choices: null,
      previewed: -1,
      shown: false,
      less: null,
      edge: null,
      notice,
    });
    if (!subject) {
      this.galley?.hide();
      return;
    }
    this.lastPlace = this.place();
    this.noteOnShelf();
    const drawn = this.galley?.show(subject, []) ?? Promise.resolve();
    void this.keeper.guard(() => this.present(subject, drawn));
  }

  /** Shows the corrections of what the slip is about; keys decide once all of it has been drawn. */
  private async present(subject: Exclude<Subject, null>, drawn: Promise<void>): Promise<void> {
    const choices = await choicesFor(this.worker, subject, this.settings()).catch(
      (error: unknown) => {
        this.unpresented = subject;
        void this.checking.afterFailure(error);
        return null;
      },
    );
    if (this.state.subject !== subject || choices === null) return;
    // What is probably a name is not shown struck out.
    const first =
      subject.kind === "mark" && subject.place.mark.weight !== "settle" ? choices[0] : null;
    this.publish({ choices, previewed: first ? 0 : -1 });
    this.galley?.preview(first?.edits ?? []);
    await drawn;
    await painted();
    if (this.state.subject === subject) this.publish({ shown: true });
  }

  /** Open marks with the same cause as the subject's. */
  twins(subject: Subject): PlacedMark[] {
    if (subject?.kind !== "mark") return [];
    const { group } = subject.place.mark;
    return this.copy.openMarks().filter(({ mark }) => mark.group === group);
  }

  // Inside: deciding

  /**
   * Makes one decision and goes on. What it is to be may have to be asked of the worker first; where
   * the text changes before it is written, it is dropped, since it was made for another text.
   */
  private async act(propose: () => Draft | null | Promise<Draft | null>): Promise<void> {
    const { revision } = this.copy.reported;
    const place = this.place();
    await this.alone(async () => {
      const draft = await this.proposed(propose);
      if (!draft) return;
      const made = await this.keeper.enqueue(async () => {
        await this.keepTyping();
        if (this.copy.reported.revision !== revision) {
          this.say(CHANGED_MEANWHILE);
          return null;
        }
        const decided = await this.decide(draft);
        if (decided && draft.word !== undefined) await this.followWord(draft.word, true);
        return decided;
      });
      if (made) await this.afterDecision(made, place);
    });
  }

  /** Runs something during which nothing else is decided; does nothing while another such runs. */
  private async alone(step: () => Promise<void>): Promise<void> {
    if (this.busy) return;
    this.publish({ deciding: true });
    this.acting = step().finally(() => {
      this.publish({ deciding: false });
      this.keepSubject();
      this.openFirst();
    });
    await this.acting;
  }

  private async proposed(
    propose: () => Draft | null | Promise<Draft | null>,
  ): Promise<Draft | null> {
    try {
      return await propose();
    } catch (error) {
      this.tellFault(error);
      return null;
    }
  }

  private async afterDecision({ decision, edits }: Decided, place: number): Promise<void> {
    const notice = saidOf(decision);
    if (edits.length > 0) {
      this.galley?.hide();
      this.publish({ shown: false, notice });
      await this.showOutcome(outcomeOf(edits));
    }
    this.lastPlace = mapPosition(place, edits, "before");
    this.goOn(notice);
  }

  /** Shows what came about where it was made, until a moment is over or the reader goes on. */
  private async showOutcome(ranges: readonly Range[]): Promise<void> {
    this.galley?.showOutcome(ranges);
    await new Promise<void>((resolve) => {
      this.endOutcome = resolve;
      setTimeout(resolve, OUTCOME_MS);
    });
    this.endOutcome = null;
  }

  /** Cuts the showing of an outcome short; true when a decision was on its way. */
  private cutOutcome(): boolean {
    this.endOutcome?.();
    return this.busy;
  }

  /** On to the next open mark after the place; past the last one, the end of the pass is shown. */
  private goOn(notice: string): void {
    const { open } = this.state;
    const place = open.find(({ from }) => from >= this.lastPlace);
    this.focus(place ? { kind: "mark", place } : null, notice);
    if (!place && open.length > 0) this.publish({ edge: "end" });
  }

  /** Writes a decision down, then makes and shows it; null when it may not be made. */
  private async decide(draft: Draft): Promise<Decided | null> {
    const refusal = this.state.reading
      ? ANOTHER_TAB
      : draft.edits.map((edit) => this.whyRefused(edit)).find(Boolean);
    if (refusal) {
      this.say(refusal);
      return null;
    }
    const made = await this.keeper.decide(this.copy, draft);
    if (made.edits.length > 0) {
      this.rechecked = this.recheck(made.edits);
      this.galley?.apply(made.edits);
      this.carrySubject(made.edits);
    }
    this.publishLedger();
    const wide = draft.act === "undo" || draft.scope === "everywhere";
    this.refresh(wide ? "all" : this.copy.blocksOf(made.decision));
    return made;
  }

  private rechecked: Promise<void> = Promise.resolve();

  /** An open slip moves with its text; when its own text is changed, it is not about it any more. */
  private carrySubject(edits: readonly Edit[]): void {
    const { subject } = this.state;
    if (!subject) return;
    const range = subject.kind === "mark" ? subject.place : subject.word;
    const from = mapPosition(range.from, edits, "after");
    const to = mapPosition(range.to, edits, "before");
    if (edits.some((edit) => touches(edit, range))) {
      this.publish({ choices: null, previewed: -1, shown: false });
    } else if (from !== range.from && subject.kind === "word") {
      this.publish({
        subject: { kind: "word", word: { ...subject.word, from, to } },
        choices: null,
        shown: false,
      });
    } else if (from !== range.from && subject.kind === "mark") {
      const { mark } = subject.place;
      const place = this.copy.reported
        .all()
        .find((one) => one.from === from && one.to === to && one.mark.rule === mark.rule);
      this.publish({
        subject: place ? { kind: "mark", place } : subject,
        choices: null,
        shown: false,
      });
    }
  }

  private async keepTyping(): Promise<void> {
    if (!(await this.keeper.keepTyping(this.copy))) return;
    this.publishLedger();
    this.refresh([]);
  }

  private publishLedger(): void {
    this.publish({ decisions: this.copy.decisions, standing: this.copy.inForce });
    this.noteOnShelf();
  }

  /** Takes one decision back, goes to its place and opens what is marked there again. */
  private async takeBack(
    which: () => number | undefined,
    nothing: string,
    said: string,
  ): Promise<void> {
    // While an outcome is shown it is the last thing seen; while it is still being written, it is not.
    if (this.endOutcome) {
      this.endOutcome();
      await this.acting;
    }
    await this.alone(async () => {
      const made = await this.keeper.enqueue(async () => {
        await this.keepTyping();
        const seq = which();
        if (seq === undefined) {
          this.say(nothing);
          return null;
        }
        const result = undo(this.copy.history, seq);
        if ("refusal" in result) {
          this.say(result.refusal);
          return null;
        }
        const target = this.effectOf(seq);
        const decided = await this.decide(result.draft);
        if (decided && target) await this.followUndo(target);
        return decided && target ? { ...decided, target } : null;
      });
      if (!made) return;
      await Promise.race([this.rechecked, pause(RECHECK_WAIT_MS)]);
      this.goBackTo(made.target, made.edits, `${said}: ${effectName(made.target)}.`);
    });
  }

  /** The decision whose effect comes or goes when an entry is taken back: its own, or the undone one's. */
  private effectOf(seq: number): Decision | undefined {
    const decision = this.copy.decisions[seq - 1];
    return decision?.undoes === undefined ? decision : this.effectOf(decision.undoes);
  }

  /** Opens the mark at the place of a decision that was taken back, in its pass, or shows the place. */
  private goBackTo(target: Decision, edits: readonly Edit[], notice: string): void {
    const place = this.placeOfDecision(target, edits);
    const rule = target.marks[0]?.rule;
    const at =
      place && this.state.openOfAll.filter(({ from, to }) => from <= place.to && to >= place.from);
    const mark = at?.find(({ mark }) => mark.rule === rule) ?? at?.[0];
    if (mark) {
      if (mark.mark.pass !== this.state.pass) this.showPass(mark.mark.pass);
      this.focus({ kind: "mark", place: mark }, notice);
      return;
    }
    this.focus(null, notice);
    if (!place) return;
    this.lastPlace = place.from;
    this.galley?.showOutcome([place]);
  }

  private placeOfDecision({ seq, marks }: Decision, edits: readonly Edit[]): Range | null {
    const [edit] = outcomeOf(edits);
    if (edit) return edit;
    const [anchor] = marks;
    if (!anchor) return null;
    return placeOf(this.copy.decisions.slice(seq - 1).reduce(follow, track(anchor, false)));
  }

  /** A word list or a setting follows the decision about it: back when undone, on again when redone. */
  private async followUndo(target: Decision): Promise<void> {
    const standing = this.copy.inForce.has(target.seq);
    if (target.word !== undefined) await this.followWord(target.word, standing);
    const { setting } = target;
    if (setting) await this.set(setting, standing ? setting.after : setting.before);
  }

  private followWord(word: string, listed: boolean): Promise<void> {
    const setting: Setting = { name: "listed", of: word, before: null, after: "personal" };
    return this.set(setting, listed ? setting.after : setting.before);
  }

  /** Turns a setting as a decision, after what is being decided: in the ledger, and taken back like any other. */
  private async turn(which: Pick<Setting, "name" | "of">, after: SettingValue): Promise<void> {
    while (this.busy) await this.acting;
    const { record, style } = this.state;
    if (!record) return;
    const before = settingValue(record, style, which);
    if (before === after) return;
    const setting: Setting = { ...which, before, after };
    await this.alone(async () => {
      await this.keeper.enqueue(async () => {
        await this.keepTyping();
        const { subject } = this.state;
        const marks = subject?.kind === "mark" ? [anchorOf(subject.place)] : [];
        const draft: Draft = { act: "setting", scope: "here", marks, edits: [], setting };
        if (await this.decide(draft)) await this.set(setting, setting.after);
      });
    });
  }

  /** Sets a setting, on disk and for the checks. Throws NotKept. */
  private async set(setting: Setting, value: SettingValue): Promise<void> {
    const { record, manuscript } = this.state;
    const changes = record && recordWith(record, setting, value);
    if (changes && record && manuscript) {
      const { variety = manuscript.variety, kind = manuscript.kind } = changes;
      await updateRecord(this.id, changes);
      this.publish({
        record: { ...record, ...changes },
        manuscript: { ...manuscript, variety, kind },
      });
    } else if (!changes) {
      const now = new Date().toISOString();
      const change = (style: DeskState["style"]) => styleWith(style, setting, value, now, this.id);
      this.publish({ style: await changeStyle(change) });
    }
    await this.checking.configure();
  }

  /** Has the worker look again at what edits touched. */
  private recheck(edits: readonly Edit[]): Promise<void> {
    // What was typed and is not to be checked yet stands between: the next run reads it all.
    if (!this.state.whileTyping && (this.state.stale || this.copy.hasTyped)) {
      return Promise.resolve();
    }
    return this.checking.edit(edits);
  }

  /** Has the shelf know the place and the counts at once; while one note is written the next waits. */
  private noteOnShelf(): void {
    this.shelfStale = true;
    this.noting ??= this.keeper.guard(async () => {
      try {
        while (this.shelfStale) {
          this.shelfStale = false;
          await this.writeShelf();
        }
      } finally {
        this.noting = null;
      }
    });
  }

  private async writeShelf(): Promise<void> {
    const { reading, pass, phase } = this.state;
    if (reading || phase === "opening" || phase === "missing") return;
    const run = runOf(this.state);
    await updateRecord(this.id, {
      place: Math.max(0, this.place()),
      pass,
      ...(run ? { run } : {}),
    });
  }
}

function pause(milliseconds: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}

/** Resolves when what was just published has been drawn. */
function painted(): Promise<void> {
  return new Promise((resolve) => {
    requestAnimationFrame(() => setTimeout(resolve, 0));
    // A page in the background draws nothing.
    setTimeout(resolve, 500);
  });
}
