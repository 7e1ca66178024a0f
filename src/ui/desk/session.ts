import { LIST_SORTED, SORTED } from "../../core/citations/sorted-list.ts";
import type { Group } from "../../core/engine/mark.ts";
import type { Exported, ExportForm, ExportRequest, Problem } from "../../core/formats/document.ts";
import { layersApart } from "../../core/house/layers.ts";
import type { PartOfSpeech } from "../../core/language/meanings/word-net.ts";
import type { Decision } from "../../core/ledger/decision.ts";
import { sortEdits } from "../../core/manuscript/edits.ts";
import type { Block, Edit, Manuscript } from "../../core/manuscript/model.ts";
import { type Hold, holdDocument } from "../../store/hold.ts";
import { onHousesChanged, readLayers, readSettings } from "../../store/house.ts";
import { readDecisions, writeDecisions } from "../../store/ledger.ts";
import { readOriginal, readRecord, shelve } from "../../store/shelf.ts";
import { readTyped } from "../../store/typing.ts";
import { connectProofreader } from "../../worker/connect.ts";
import type { AboutWord, Update } from "../../worker/proofreader.ts";
import type { BoardMemory } from "./boards/board.ts";
import { anchorOf } from "./choices.ts";
import { CleanUp } from "./clean-up.ts";
import { ANOTHER_TAB, Deciding } from "./deciding.ts";
import { DeskCore } from "./desk-core.ts";
import { DeskDocument } from "./desk-document.ts";
import { DocumentReadings } from "./document-readings.ts";
import { DocumentSettings } from "./document-settings.ts";
import type { GalleyFace } from "./galley-face.ts";
import { HouseRules } from "./house-rules.ts";
import { Outside } from "./outside.ts";
import { Overlaps } from "./overlaps.ts";
import { ReadingAloud, type ReadingScope } from "./reading-aloud.ts";
import { SettingEffects } from "./setting-effects.ts";
import { Settling } from "./settling.ts";
import type { WordAtHand } from "./state.ts";
import { Typing } from "./typing.ts";
import { painted, Walk } from "./walk.ts";

/**
 * One document on the desk, from opening to closing. What is done with it is done in its rooms: the
 * walk from mark to mark, deciding, typing, and the document's settings.
 */
export class DeskSession {
  private readonly core: DeskCore;
  readonly walk: Walk;
  readonly typing: Typing;
  readonly deciding: Deciding;
  readonly settings: DocumentSettings;
  readonly readings: DocumentReadings;
  readonly settling: Settling;
  readonly outside: Outside;
  readonly overlaps: Overlaps;
  readonly house: HouseRules;
  readonly cleanUp: CleanUp;
  /** Where the board of a pass was left. */
  readonly boardMemory: BoardMemory = { group: "", view: "" };
  private hold: Hold | null = null;
  /** Ends hearing of changes to the houses. */
  private unheard: (() => void) | null = null;
  private readonly aloud: ReadingAloud;

  constructor(id: string, worker = connectProofreader()) {
    this.core = new DeskCore(id, worker, {
      delivered: (update, whole) => this.takeMarks(update, whole),
      changed: (blocks) => this.takeChanges(blocks),
      cleared: (decisions) => this.restoreStorage(decisions),
    });
    const { core } = this;
    const effects = new SettingEffects(core);
    this.walk = new Walk(core);
    this.typing = new Typing(core, this.walk);
    this.deciding = new Deciding(core, this.walk, this.typing, effects);
    this.settings = new DocumentSettings(core, this.walk, this.typing, this.deciding, effects);
    this.readings = new DocumentReadings(core);
    this.settling = new Settling(core, this.deciding);
    this.outside = new Outside(core.id);
    this.overlaps = new Overlaps(core, this.settings, (blocks) => this.takeChanges(blocks));
    this.house = new HouseRules(core, this.settings);
    this.cleanUp = new CleanUp(core, this.deciding);
    this.aloud = new ReadingAloud({
      current: () => this.current(),
      show: (spoken) => core.galley?.showSpoken(spoken),
      publish: (changes) => core.publish(changes),
    });
  }

  /** The state, for whoever draws it. */
  get store(): DeskCore["store"] {
    return this.core.store;
  }

  get state(): DeskCore["state"] {
    return this.core.state;
  }

  /** What is told of groups of marks, by their ids. */
  get groups(): ReadonlyMap<string, Group> {
    return this.core.copy.reported.groups;
  }

  /** Says something in the line at the foot, until the next thing happens. */
  say(notice: string): void {
    this.core.say(notice);
  }

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
    const [record, bytes] = await Promise.all([
      readRecord(this.core.id),
      readOriginal(this.core.id),
    ]);
    if (!record || !bytes) return this.fail("This document is not on the shelf any more.");
    this.core.bytes = bytes;
    this.hold = await holdDocument(this.core.id);
    this.core.publish({ record, pass: record.pass });
    const read = await this.core.checking.read(bytes, record.fileName);
    if ("problem" in read) return this.fail(read.problem.sentence);
    const manuscript = { ...read.manuscript, title: record.title, kind: record.kind };
    manuscript.variety = record.variety;
    const [layers, { whileTyping, replaceTyping }] = await Promise.all([
      readLayers(record.houses),
      readSettings(),
    ]);
    const { houses, style } = layersApart(layers);
    this.core.publish({ style, houses, whileTyping, replaceTyping });
    this.unheard = onHousesChanged(() => void this.house.refresh());
    this.core.lastPlace = record.place;
    await this.overlaps.prepare();
    await this.restore(manuscript, this.hold.first);
    this.core.publish({ phase: "checking", manuscript, reading: !this.hold.first });
    if (!this.hold.first) void this.hold.granted.then(() => this.takeOver(manuscript));
    // The text first: a check that starts while it is being laid out only holds it up.
    await painted();
    await this.core.checking.whole();
  }

  /** Ends the session: what was typed is kept, the worker and the hold let go. */
  async close(): Promise<void> {
    this.aloud.stop();
    this.unheard?.();
    await this.flush();
    this.core.keeper.stop();
    this.hold?.release();
  }

  /** Has everything that is on its way written now: the page may be gone in a moment. */
  async flush(): Promise<void> {
    void this.core.keeper.noteTyping(this.core.copy);
    const shelf = this.core.keeper.guard(() => this.core.shelf.write());
    await this.typing.flush();
    await shelf;
  }

  /** Whether something is on screen that could not be written down. */
  get holdsPage(): boolean {
    return this.core.state.kept.state === "failed" && this.core.copy.hasTyped;
  }

  /** Connects the text on screen. */
  attach(galley: GalleyFace): void {
    this.core.galley = galley;
    galley.redraw("all");
  }

  /** The manuscript as it stands, for the galley to start from. */
  current(): Pick<Manuscript, "text" | "blocks" | "spans"> {
    return this.core.copy.current();
  }

  blockAt(index: number): Block | undefined {
    return this.core.copy.layout.blocks[index];
  }

  /** Why the reader may not make a change; null when they may. */
  whyRefused(edit: Edit): string | null {
    if (this.core.state.reading) return ANOTHER_TAB;
    return this.core.copy.whyRefused(edit);
  }

  /** The word under decision: what the shown correction would make of it, or as it stands. */
  wordAtHand(): WordAtHand | null {
    const { subject, choices, previewed } = this.core.state;
    if (subject?.kind === "word") return subject.word;
    if (subject?.kind !== "mark") return null;
    const { from, to, mark } = subject.place;
    const label = choices?.[Math.max(0, previewed)]?.label;
    return { word: label && /^[\p{L}'’ -]+$/u.test(label) ? label : mark.text, from, to };
  }

  /** Base forms, inflected forms and syllables of a word. */
  aboutWord(word: string): Promise<AboutWord> {
    return this.core.worker.aboutWord(word, this.core.settings().variety);
  }

  /** Puts a synonym in the place of the word at hand, in its form. */
  async putIn(synonym: string, part: PartOfSpeech): Promise<void> {
    const { subject } = this.core.state;
    const here = this.wordAtHand();
    if (!subject || !here || !this.deciding.mayDecide) return;
    await this.deciding.act(async () => {
      const { variety } = this.core.settings();
      const insert = await this.core.worker.fitSynonym(synonym, here.word, part, variety);
      const marks = subject.kind === "mark" ? [anchorOf(subject.place)] : [];
      const edits = [{ from: here.from, to: here.to, insert }];
      return { act: "correct", scope: "here", marks, edits };
    });
  }

  /** Reads the word, its letters, its sentence or the copy from there aloud. */
  readAloud(scope: ReadingScope, word: string): Promise<void> {
    return this.aloud.start(scope, word, this.core.place(), this.core.settings().variety);
  }

  stopReading(): void {
    this.aloud.stop();
  }

  /** Ends a running check; what is decided and typed stays. */
  stop(): void {
    this.core.checking.stop();
    this.core.publish({ phase: "stopped", readingOn: false });
  }

  /** Checks the document as it stands. */
  run(): Promise<void> {
    return this.core.checking.whole();
  }

  /** Tries once more to write down what could not be. */
  keepAgain(): Promise<void> {
    return this.typing.flush();
  }

  /** Writes the document as it stands. */
  async export(form: ExportForm, author: string): Promise<Exported | { problem: Problem }> {
    await this.typing.flush();
    const { manuscript } = this.core.state;
    if (!manuscript) throw new Error("nothing is open");
    const { edits, queries } = this.core.copy.outcome();
    const isSorted = this.core.state.record?.forms[LIST_SORTED] === SORTED;
    const request: ExportRequest = {
      bytes: this.core.bytes,
      format: manuscript.origin.format,
      current: this.current(),
      edits,
      queries: form === "tracked" ? queries : [],
      form,
      author,
      date: new Date().toISOString(),
    };
    return this.core.worker.write(request, isSorted);
  }

  /**
   * Replays the stored ledger and, in the tab that writes, takes in what was typed and had not become
   * a decision yet. A ledger that does not fit the original is left aside, and said so.
   */
  private async restore(manuscript: Manuscript, writes: boolean): Promise<void> {
    const decisions = await readDecisions(this.core.id);
    try {
      this.core.copy = new DeskDocument(manuscript, decisions, this.core.id);
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      this.core.copy = new DeskDocument(manuscript, [], this.core.id);
      this.core.publish({
        notice: "The stored decisions do not fit this document and were left aside.",
      });
    }
    if (writes) await this.takeInTyped();
    this.core.publish({ decisions: this.core.copy.decisions, standing: this.core.copy.inForce });
  }

  private async takeInTyped(): Promise<void> {
    const note = await readTyped(this.core.id, this.core.copy.decisions);
    if (!note) return;
    try {
      sortEdits(note.typed, this.core.copy.text.length);
    } catch {
      return;
    }
    this.core.copy.type(note.typed);
    await this.core.keeper.guard(() => this.core.keeper.keepTyping(this.core.copy));
  }

  /** The other tab let go: read what it decided, then write from here on. */
  private async takeOver(manuscript: Manuscript): Promise<void> {
    const known = this.core.copy.decisions.length;
    const record = await readRecord(this.core.id);
    await this.restore(manuscript, true);
    for (const { edits } of this.core.copy.decisions.slice(known)) this.core.galley?.apply(edits);
    this.core.publish({
      ...(record ? { record } : {}),
      reading: false,
      subject: null,
      shown: false,
      notice: "The other tab let go; decisions are made here now.",
    });
    this.core.galley?.hide();
    this.walk.opensFirst = true;
    await this.core.checking.whole();
  }

  /** The browser's storage was cleared beneath the desk: everything is written once more. */
  private async restoreStorage(decisions: readonly Decision[]): Promise<void> {
    const { record } = this.core.state;
    if (record) await shelve(record, this.core.bytes);
    await writeDecisions(this.core.id, decisions);
    this.core.say(
      "The browser’s storage had been cleared; this document was written down once more.",
    );
  }

  private takeMarks(update: Update, whole: boolean): void {
    this.core.publish({
      tables: this.core.copy.reported.tables,
      unread: update.unread,
      phase: "ready",
      readingOn: !whole,
      progress: { done: 0, all: 1 },
    });
    this.core.refresh("all");
    this.walk.keepSubject();
    this.walk.openFirst();
    if (!whole) return;
    this.core.shelf.note();
    void this.readings.refresh();
  }

  private takeChanges(blocks: number[]): void {
    this.core.publish({ tables: this.core.copy.reported.tables });
    this.core.refresh(blocks);
    this.walk.keepSubject();
  }

  private fail(problem: string): void {
    this.core.publish({ phase: "missing", problem });
  }
}
