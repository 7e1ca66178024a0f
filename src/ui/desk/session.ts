import { proxy } from "comlink";
import { type Appetite, PASSES, type Pass } from "../../core/checks/check.ts";
import { checkById } from "../../core/checks/index.ts";
import { appetiteFor } from "../../core/checks/kinds.ts";
import type { Leave } from "../../core/checks/leave.ts";
import type { CheckSettings } from "../../core/engine.ts";
import type { Exported, ExportForm, Problem } from "../../core/formats/document.ts";
import { findReplacements, replacementBefore } from "../../core/house/replacements.ts";
import { EMPTY_STYLE, type HouseStyle } from "../../core/house/style.ts";
import type { PartOfSpeech } from "../../core/language/word-net.ts";
import type { Decision, Draft } from "../../core/ledger/decision.ts";
import { lastRedoable, lastUndoable, undo } from "../../core/ledger/ledger.ts";
import type { Block, Edit, Manuscript, Range, Variety } from "../../core/manuscript/model.ts";
import { checkSettings } from "../../store/check-settings.ts";
import { type Hold, holdDocument } from "../../store/hold.ts";
import {
  addWord,
  changeStyle,
  readSettings,
  readStyle,
  removeWord,
  updateSettings,
} from "../../store/house.ts";
import { readDecisions } from "../../store/ledger.ts";
import { readOriginal, readRecord, type ShelfRecord, updateRecord } from "../../store/shelf.ts";
import { connectProofreader, type ProofreaderLink } from "../../worker/connect.ts";
import type { AboutWord, Update } from "../../worker/proofreader.ts";
import { anchorOf, choicesFor, correctionsOf } from "./choices.ts";
import { DeskDocument } from "./desk-document.ts";
import { Keeper } from "./keeper.ts";
import type { PlacedMark } from "./marks-board.ts";
import { ReadingAloud, type ReadingScope } from "./reading-aloud.ts";
import { type DeskState, NO_PASSES, runOf, type Subject, type WordAtHand } from "./state.ts";

/** Milliseconds without typing after which what was typed becomes one decision. */
const TYPING_PAUSE_MS = 250;
/** Milliseconds after the last decision at which the shelf learns the new counts. */
const SHELF_DELAY_MS = 600;

const ANOTHER_TAB = "This document is open in another tab, which does the writing.";

/** What the session asks of the text on screen. */
export interface GalleyFace {
  apply(edits: readonly Edit[]): void;
  redraw(blocks: "all" | readonly number[]): void;
  show(subject: Exclude<Subject, null>, preview: Edit[]): void;
  preview(edits: Edit[]): void;
  hide(): void;
  /** Shows which word is being read aloud; null for none. */
  showSpoken(spoken: Range | null): void;
}

/**
 * One document on the desk: its ledger, its marks, the worker that checks it and the storage that
 * keeps it. Every decision is on disk before the state that shows it is published.
 */
export class DeskSession {
  private state: DeskState = {
    phase: "opening",
    problem: "",
    progress: { done: 0, all: 1 },
    record: null,
    manuscript: null,
    counts: null,
    open: [],
    total: 0,
    openOfAll: [],
    pass: "spelling",
    passes: NO_PASSES,
    withheld: new Map(),
    readingOn: false,
    subject: null,
    choices: null,
    previewed: -1,
    decisions: [],
    standing: new Set(),
    kept: { state: "kept", at: null },
    reading: false,
    notice: "",
    whileTyping: true,
    stale: false,
    style: EMPTY_STYLE,
    replaceTyping: false,
    speaking: false,
    voiceless: "",
  };
  private readonly listeners = new Set<() => void>();
  private readonly worker: ProofreaderLink = connectProofreader();
  private galley: GalleyFace | null = null;
  private copy = new DeskDocument({ text: "", blocks: [], spans: [] }, []);
  private typingTimer: ReturnType<typeof setTimeout> | undefined;
  private shelfTimer: ReturnType<typeof setTimeout> | undefined;
  private readonly keeper: Keeper;
  private hold: Hold | null = null;
  private lastLess: Promise<void> = Promise.resolve();
  private readonly aloud = new ReadingAloud({
    current: () => this.current(),
    show: (spoken) => this.galley?.showSpoken(spoken),
    publish: (changes) => this.publish(changes),
  });

  constructor(private readonly id: string) {
    this.keeper = new Keeper(id, (kept) => this.publish({ kept }));
  }

  getSnapshot = (): DeskState => this.state;

  subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Opens the document: the hold, the original, its ledger, then the checks. */
  async open(): Promise<void> {
    const [record, bytes] = await Promise.all([readRecord(this.id), readOriginal(this.id)]);
    if (!record || !bytes) return this.fail("This document is not on the shelf any more.");
    this.hold = await holdDocument(this.id);
    const read = await this.worker.read(bytes, record.fileName, record.variety);
    if ("problem" in read) return this.fail(read.problem.sentence);
    const manuscript = { ...read.manuscript, title: record.title, kind: record.kind };
    manuscript.variety = record.variety;
    const [style, { whileTyping, replaceTyping }] = await Promise.all([
      readStyle(),
      readSettings(),
    ]);
    this.publish({ style, whileTyping, replaceTyping });
    await this.restore(manuscript);
    this.publish({
      phase: "checking",
      record,
      manuscript,
      reading: !this.hold.first,
    });
    if (!this.hold.first) void this.hold.granted.then(() => this.takeOver(manuscript));
    // The text first: a check that starts while it is being laid out only holds it up.
    await painted();
    await this.check();
  }

  /** Ends the session: what was typed is kept, the worker and the hold let go. */
  async close(): Promise<void> {
    this.aloud.stop();
    await this.flushTyping();
    this.hold?.release();
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

  /** Opens the next open mark after the present place, going round at the end. */
  next(): void {
    const { open } = this.state;
    const here = this.openIndex();
    const next = here >= 0 ? open[here + 1] : open.find(({ from }) => from >= this.place());
    const place = next ?? open[0];
    this.focus(place ? { kind: "mark", place } : null);
  }

  /** Opens the open mark before the present place, going round at the start. */
  previous(): void {
    const { open } = this.state;
    const here = this.openIndex();
    const previous = here >= 0 ? open[here - 1] : open.findLast(({ from }) => from < this.place());
    const place = previous ?? open.at(-1);
    if (place) this.focus({ kind: "mark", place });
  }

  /** Opens the slip for a word without a mark, or the mark that stands there. */
  async atHand(from: number, to: number): Promise<void> {
    const word = this.copy.text.slice(from, to);
    if (!/^[\p{L}\p{M}'’-]+$/u.test(word)) return;
    const marked = this.state.open.find((place) => place.from < to && place.to > from);
    if (marked) this.focus({ kind: "mark", place: marked });
    else this.focus({ kind: "word", word: { word, from, to } });
  }

  /** Shows the outcome of a choice in the line. */
  preview(index: number): void {
    const choice = this.state.choices?.[index];
    if (index === this.state.previewed) return;
    this.publish({ previewed: choice ? index : -1 });
    this.galley?.preview(choice?.edits ?? []);
  }

  /** Closes the slip. */
  dismiss(): void {
    this.focus(null);
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
  putIn(synonym: string, part: PartOfSpeech): Promise<void> {
    return this.keeper.enqueue(async () => {
      const { subject } = this.state;
      const here = this.wordAtHand();
      if (!subject || !here) return;
      const { variety } = this.settings();
      const insert = await this.worker.fitSynonym(synonym, here.word, part, variety);
      const marks = subject.kind === "mark" ? [anchorOf(subject.place)] : [];
      const edits = [{ from: here.from, to: here.to, insert }];
      await this.decide({ act: "correct", scope: "here", marks, edits });
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

  /** Makes a choice at this place, or at every place with the same mistake. */
  take(index: number, everywhere: boolean): Promise<void> {
    return this.keeper.enqueue(async () => {
      // A key pressed while the worker reads on waits for the corrections instead of being lost.
      if (this.state.choices === null) await this.loading;
      const { subject, choices } = this.state;
      const choice = choices?.[index];
      if (!subject || !choice) return;
      if (everywhere) {
        await this.correctPlaces(this.twins(subject), choice.label);
        return;
      }
      const marks = subject.kind === "mark" ? [anchorOf(subject.place)] : [];
      await this.decide({ act: "correct", scope: "here", marks, edits: choice.edits });
    });
  }

  /** Makes the correction with this label at each of the marks. */
  correctAt(places: readonly PlacedMark[], label: string): Promise<void> {
    return this.keeper.enqueue(() => this.correctPlaces(places, label));
  }

  /** Lets the mark stand, here or wherever the same is found in this document. */
  stet(everywhere: boolean): Promise<void> {
    return this.keeper.enqueue(async () => {
      const { subject } = this.state;
      if (subject?.kind !== "mark") return;
      const marks = [anchorOf(subject.place)];
      const scope = everywhere ? "everywhere" : "here";
      await this.decide({ act: "stet", scope, marks, edits: [] });
    });
  }

  /** Lets each of these marks stand. */
  stetAt(places: readonly PlacedMark[]): Promise<void> {
    return this.keeper.enqueue(() =>
      this.decide({ act: "stet", scope: "here", marks: places.map(anchorOf), edits: [] }),
    );
  }

  /** Asks the author about this place. */
  query(note: string): Promise<void> {
    return this.keeper.enqueue(async () => {
      const { subject } = this.state;
      if (!subject) return;
      const anchor =
        subject.kind === "mark"
          ? anchorOf(subject.place)
          : {
              rule: "query",
              text: subject.word.word,
              from: subject.word.from,
              to: subject.word.to,
            };
      await this.decide({ act: "query", scope: "here", marks: [anchor], edits: [], note });
    });
  }

  /** Puts the word on the word list. */
  listWord(): Promise<void> {
    return this.keeper.enqueue(async () => {
      const { subject, record } = this.state;
      if (subject?.kind !== "mark" || !record) return;
      if (!checkById(subject.place.mark.rule)?.takesWords) {
        this.say("Only a word that no dictionary has goes on the word list.");
        return;
      }
      const word = subject.place.mark.text;
      const marks = [anchorOf(subject.place)];
      const decided = await this.decide({
        act: "word",
        scope: "everywhere",
        marks,
        edits: [],
        word,
      });
      if (!decided) return;
      await this.takeStyle(() => addWord(word, this.id));
      this.next();
    });
  }

  /** Takes back the newest decision. */
  undoLast(): Promise<void> {
    return this.keeper.enqueue(async () => {
      const decision = lastUndoable(this.copy.history);
      if (decision) await this.undoNow(decision.seq);
      else this.say("There is nothing to undo.");
    });
  }

  /** Takes back one decision, however old. */
  undo(seq: number): Promise<void> {
    return this.keeper.enqueue(() => this.undoNow(seq));
  }

  /** Takes back the newest undo. */
  redo(): Promise<void> {
    return this.keeper.enqueue(async () => {
      const decision = lastRedoable(this.copy.history);
      if (decision) await this.undoNow(decision.seq);
      else this.say("There is nothing to redo.");
    });
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
    this.copy.type(edits);
    if (this.state.whileTyping) this.recheck(edits);
    else this.publish({ stale: true });
    this.publish({ kept: { state: "keeping" }, subject: null, choices: null, notice: "" });
    clearTimeout(this.typingTimer);
    this.typingTimer = setTimeout(() => void this.flushTyping(), TYPING_PAUSE_MS);
  }

  /** Makes a decision of what was typed. */
  flushTyping(): Promise<void> {
    clearTimeout(this.typingTimer);
    return this.keeper.enqueue(() => this.keepTyping());
  }

  // Settings and export

  /** Ends a running check; what is decided and typed stays. */
  stop(): void {
    void this.worker.stop();
    this.publish({ phase: "stopped", readingOn: false });
  }

  /** Checks the document as it stands. */
  async run(): Promise<void> {
    this.publish({ phase: "checking", stale: false, progress: { done: 0, all: 1 } });
    await this.check();
  }

  /** Has typing checked at once, or only when asked for. */
  async setWhileTyping(whileTyping: boolean): Promise<void> {
    this.publish({ whileTyping });
    if (whileTyping && this.state.stale) await this.run();
    await this.keeper.guard(() => updateSettings({ whileTyping }));
  }

  /** Takes a word off the word list. */
  unlistWord(word: string): Promise<void> {
    return this.keeper.enqueue(() => this.takeStyle(() => removeWord(word)));
  }

  /** How much of a check is wanted in this document. */
  async setAppetite(rule: string, appetite: Appetite): Promise<void> {
    const { record } = this.state;
    if (!record) return;
    const off = record.off.filter((one) => one !== rule);
    await this.changeRecord({ off, appetites: { ...record.appetites, [rule]: appetite } });
  }

  /** How much of a check is wanted as things stand. */
  appetiteOf(rule: string): Appetite {
    return appetiteFor({ id: rule }, this.settings());
  }

  /** Asks for less of what the open mark's check finds: only when it is sure, then nothing; a step for each call. */
  lessLikeThis(inEvery: boolean): Promise<void> {
    const step = this.lastLess.then(() => this.takeLess(inEvery));
    this.lastLess = step.catch(() => undefined);
    return step;
  }

  private async takeLess(inEvery: boolean): Promise<void> {
    const { subject } = this.state;
    if (subject?.kind !== "mark") return;
    const { rule } = subject.place.mark;
    const check = checkById(rule);
    if (!check) return;
    const next = this.appetiteOf(rule) === "all" && check.pass !== "spelling" ? "sure" : "off";
    if (inEvery) {
      const changed = (style: HouseStyle) => ({
        ...style,
        appetites: { ...style.appetites, [rule]: next } as HouseStyle["appetites"],
      });
      await this.keeper.enqueue(() => this.takeStyle(() => changeStyle(changed)));
      const { record } = this.state;
      // The document's own choice would stand above the house's.
      const { [rule]: _own, ...appetites } = record?.appetites ?? {};
      await this.changeRecord({ appetites });
    } else await this.setAppetite(rule, next);
    const where = inEvery ? "every document" : "this document";
    const how = next === "sure" ? "only when it is sure" : "off";
    if (this.openIndex() < 0) this.next();
    this.say(`“${check.title}”: ${how}, in ${where}.`);
  }

  /** Has a kind of unknown word left alone in this document, or not. */
  async switchLeave(leave: Leave, on: boolean): Promise<void> {
    const { record } = this.state;
    if (record) await this.changeRecord({ leave: { ...record.leave, [leave]: on } });
  }

  /** Switches a subject list on or off for this document. */
  async switchSubject(id: string, on: boolean): Promise<void> {
    const { record } = this.state;
    if (!record) return;
    const others = record.subjects.filter((one) => one !== id);
    await this.changeRecord({ subjects: on ? [...others, id] : others });
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
  applyReplacements(edits: readonly Edit[]): Promise<void> {
    return this.keeper.enqueue(async () => {
      if (edits.length === 0) return;
      const done = await this.decide({
        act: "correct",
        scope: edits.length > 1 ? "everywhere" : "here",
        marks: [],
        edits: [...edits],
        note: "automatic replacement",
      });
      if (done) this.say(`${edits.length} replaced. U takes them back together.`);
    });
  }

  /** Reads the document as another variety of English. */
  async setVariety(variety: Variety): Promise<void> {
    const { record, manuscript } = this.state;
    if (!record || !manuscript) return;
    this.publish({ manuscript: { ...manuscript, variety } });
    await this.changeRecord({ variety });
    if (this.state.subject) this.focus(this.state.subject);
  }

  /** Writes the document as it stands. */
  async export(form: ExportForm, author: string): Promise<Exported | { problem: Problem }> {
    await this.flushTyping();
    const bytes = await readOriginal(this.id);
    const { manuscript } = this.state;
    if (!bytes || !manuscript) throw new Error("nothing is open");
    const { edits, queries } = this.copy.outcome();
    return this.worker.write({
      bytes,
      format: manuscript.origin.format,
      current: this.current(),
      edits,
      queries: form === "tracked" ? queries : [],
      form,
      author,
      date: new Date().toISOString(),
    });
  }

  // Inside

  private fail(problem: string): void {
    this.publish({ phase: "missing", problem });
  }

  private publish(changes: Partial<DeskState>): void {
    this.state = { ...this.state, ...changes };
    for (const listener of this.listeners) listener();
  }

  /** Replays the stored ledger; one that does not fit the original is left aside, and said so. */
  private async restore(manuscript: Manuscript): Promise<void> {
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
    this.publish({ decisions: this.copy.decisions, standing: this.copy.inForce });
  }

  /** The other tab let go: read what it decided, then write from here on. */
  private async takeOver(manuscript: Manuscript): Promise<void> {
    const known = this.copy.decisions.length;
    await this.restore(manuscript);
    for (const { edits } of this.copy.decisions.slice(known)) this.galley?.apply(edits);
    this.publish({ reading: false, notice: "The other tab let go; decisions are made here now." });
    await this.check();
  }

  private async changeRecord(changes: Partial<ShelfRecord>): Promise<void> {
    const { record } = this.state;
    if (!record) return;
    this.publish({ record: { ...record, ...changes } });
    await this.keeper.guard(() => updateRecord(this.id, changes));
    await this.configure();
    // The mark under decision may be one that is made no more.
    if (this.state.subject?.kind === "mark" && this.openIndex() < 0) this.next();
  }

  private settings(): CheckSettings {
    const { record, style } = this.state;
    if (record) return checkSettings(record, style);
    return { variety: "en-US", kind: "report", appetites: {}, words: [] };
  }

  private async check(): Promise<void> {
    const { board } = this.copy;
    const { revision } = board;
    const stale = () => this.copy.board !== board;
    const update = await this.worker.check(
      this.copy.editsSoFar(),
      this.settings(),
      proxy((progress) => this.publish({ progress })),
      proxy((first) => {
        if (stale() || board.revision !== revision) return;
        this.takeMarks(first, revision);
        this.publish({ phase: "ready", readingOn: true, progress: { done: 0, all: 1 } });
        this.openFirst();
      }),
    );
    if (!update) return;
    if (stale() || (this.state.phase !== "ready" && board.revision !== revision)) {
      return this.check();
    }
    this.takeMarks(update, revision);
    this.publish({ phase: "ready", readingOn: false });
    this.noteOnShelf();
    this.openFirst();
  }

  private takeMarks(update: Update, revision: number): void {
    this.copy.board.report(update.marks, revision);
    this.publish({ counts: update.counts, withheld: update.withheld });
    this.refresh("all");
  }

  /** Opens the first mark after the place the reader left, unless a slip is open already. */
  private openFirst(): void {
    const place = this.state.record?.place ?? 0;
    const { open } = this.state;
    const start = open.find(({ from }) => from >= place) ?? open[0];
    if (start && !this.state.subject) this.focus({ kind: "mark", place: start });
  }

  private async configure(): Promise<void> {
    const { revision } = this.copy.board;
    this.takeReport(await this.worker.configure(this.settings()), revision);
  }

  private takeReport(update: Update | null, revision: number): void {
    if (!update) return;
    const changed = this.copy.board.report(update.marks, revision);
    this.publish({ counts: update.counts, withheld: update.withheld });
    this.refresh(changed);
  }

  /** Publishes the open marks and has the changed ones drawn. */
  private refresh(blocks: "all" | readonly number[]): void {
    const openOfAll = this.copy.openMarks().filter(({ mark }) => !mark.follows);
    const all = this.copy.board.all().filter(({ mark }) => !mark.follows);
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

  /** Goes over to another pass: its marks are drawn and walked. */
  setPass(pass: Pass): void {
    if (pass === this.state.pass) return;
    this.publish({ pass, subject: null, choices: null });
    this.galley?.hide();
    this.refresh("all");
    const { open } = this.state;
    const start = open[0];
    if (start) this.focus({ kind: "mark", place: start });
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

  private lastPlace = -1;
  /** The corrections of the open slip, on their way. */
  private loading: Promise<void> = Promise.resolve();

  private focus(subject: Subject): void {
    this.publish({ subject, choices: null, previewed: -1, notice: "" });
    if (!subject) {
      this.galley?.hide();
      return;
    }
    this.lastPlace = this.place();
    this.galley?.show(subject, []);
    this.loading = this.loadChoices(subject);
  }

  private async loadChoices(subject: Exclude<Subject, null>): Promise<void> {
    const choices = await choicesFor(this.worker, subject, this.settings());
    if (this.state.subject !== subject) return;
    // What is probably a name is not shown struck out.
    const first =
      subject.kind === "mark" && subject.place.mark.weight === "fix" ? choices[0] : null;
    this.publish({ choices, previewed: first ? 0 : -1 });
    this.galley?.preview(first?.edits ?? []);
  }

  /** Open marks with the same cause as the subject's. */
  twins(subject: Subject): PlacedMark[] {
    if (subject?.kind !== "mark") return [];
    const { group } = subject.place.mark;
    return this.copy.openMarks().filter(({ mark }) => mark.group === group);
  }

  private async correctPlaces(places: readonly PlacedMark[], label: string): Promise<void> {
    const { edits, marks } = await correctionsOf(this.worker, places, label);
    if (marks.length === 0) return;
    const scope = marks.length > 1 ? "everywhere" : "here";
    await this.decide({ act: "correct", scope, marks: marks.map(anchorOf), edits });
  }

  /** Writes a decision down, then shows it and moves on. */
  private async decide(draft: Draft): Promise<boolean> {
    await this.keepTyping();
    const refusal = this.state.reading
      ? ANOTHER_TAB
      : draft.edits.map((edit) => this.whyRefused(edit)).find(Boolean);
    if (refusal) {
      this.say(refusal);
      return false;
    }
    const decision = await this.keeper.decide(this.copy, draft);
    if (decision.edits.length > 0) {
      this.recheck(decision.edits);
      this.galley?.apply(decision.edits);
    }
    this.publishLedger();
    const wide = draft.act === "undo" || draft.scope === "everywhere";
    this.refresh(wide ? "all" : this.copy.blocksOf(decision));
    if (draft.act !== "undo" && draft.act !== "word") this.next();
    return true;
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

  private async undoNow(seq: number): Promise<void> {
    await this.keepTyping();
    const result = undo(this.copy.history, seq);
    if ("refusal" in result) {
      this.say(result.refusal);
      return;
    }
    const target = this.copy.decisions[seq - 1];
    if (!(await this.decide(result.draft))) return;
    await this.followWord(target);
    const place = target?.marks[0]?.from ?? result.draft.edits[0]?.from ?? this.place();
    const { open } = this.state;
    const nearest = open.find(({ from, to }) => from <= place && to >= place);
    if (nearest) this.focus({ kind: "mark", place: nearest });
    else this.lastPlace = place;
    this.say("Undone.");
  }

  /** A word list follows the decision that added to it: off when undone, on again when redone. */
  private async followWord(target: Decision | undefined): Promise<void> {
    const decision =
      target?.act === "undo" ? this.copy.decisions[(target.undoes ?? 0) - 1] : target;
    if (decision?.act !== "word" || decision.word === undefined) return;
    const { word } = decision;
    await this.takeStyle(() =>
      this.state.standing.has(decision.seq) ? addWord(word, this.id) : removeWord(word),
    );
  }

  private async takeStyle(change: () => Promise<HouseStyle>): Promise<void> {
    this.publish({ style: await change() });
    await this.configure();
  }

  /** Has the worker look again at what edits touched. */
  private recheck(edits: readonly Edit[]): void {
    const { revision } = this.copy.board;
    void this.worker.edit([...edits]).then((update) => this.takeReport(update, revision));
  }

  private noteOnShelf(): void {
    clearTimeout(this.shelfTimer);
    this.shelfTimer = setTimeout(
      () => void this.keeper.guard(() => this.writeShelf()),
      SHELF_DELAY_MS,
    );
  }

  private async writeShelf(): Promise<void> {
    const run = this.state.reading ? null : runOf(this.state);
    if (run) await updateRecord(this.id, { place: Math.max(0, this.lastPlace), run });
  }
}

/** Resolves when what was just published has been drawn. */
function painted(): Promise<void> {
  return new Promise((resolve) => {
    requestAnimationFrame(() => setTimeout(resolve, 0));
    // A page in the background draws nothing.
    setTimeout(resolve, 500);
  });
}
