import { cardById } from "../../core/checks/cards.ts";
import { citingEdit } from "../../core/citations/put-in-list.ts";
import type { Mark } from "../../core/engine/mark.ts";
import type { Anchor, Decision, Draft, Setting } from "../../core/ledger/decision.ts";
import { lastRedoable, lastUndoable, undo } from "../../core/ledger/ledger.ts";
import { follow, placeOf, track } from "../../core/ledger/tracking.ts";
import { mapPosition } from "../../core/manuscript/edits.ts";
import { blockIndexAt } from "../../core/manuscript/layout.ts";
import type { Edit, Range } from "../../core/manuscript/model.ts";
import { anchorOf, choicesAt, correctionsOf } from "./choices.ts";
import type { DeskCore } from "./desk-core.ts";
import type { Decided } from "./keeper.ts";
import { effectName, saidOf } from "./notices.ts";
import type { PlacedMark } from "./reported.ts";
import type { PlacedChoice, Subject } from "./state.ts";
import { outcomeOf } from "./subject.ts";
import type { Typing } from "./typing.ts";
import type { Walk } from "./walk.ts";

/** Milliseconds to wait for the marks that an undo brings back. */
const RECHECK_WAIT_MS = 1500;

export const ANOTHER_TAB = "This document is open in another tab, which does the writing.";
const CHANGED_MEANWHILE = "The text changed in the meantime. Look at the place again, then decide.";

/** What follows from a decision outside the text: word lists and settings. Both throw NotKept. */
export interface Effects {
  listed(word: string): Promise<void>;
  set(setting: Setting, value: Setting["after"]): Promise<void>;
  undone(target: Decision): Promise<void>;
}

/**
 * Decisions and taking them back. Each is on disk before the state that shows it is published, and no
 * key decides what has not been drawn: `busy` and `shown` see to that.
 */
export class Deciding {
  /** What is being decided, or was last. */
  acting: Promise<void> = Promise.resolve();
  private rechecked: Promise<void> = Promise.resolve();

  constructor(
    private readonly core: DeskCore,
    private readonly walk: Walk,
    private readonly typing: Typing,
    private readonly effects: Effects,
  ) {}

  /** Whether a key or a press may decide: the slip was drawn whole, and nothing else is being decided. */
  get mayDecide(): boolean {
    return this.core.state.shown && !this.core.busy;
  }

  /** Makes the choice shown in the line; where none is shown, shows the first instead. */
  async takeShown(everywhere: boolean): Promise<void> {
    const { choices, previewed } = this.core.state;
    if (previewed >= 0) return this.take(previewed, everywhere);
    if (!this.core.state.shown || !choices || choices.length === 0) return;
    this.walk.preview(0);
    this.core.say("Shown in the line. Enter once more takes it.");
  }

  /** Makes a choice at this place, or at every place with the same mistake. */
  async take(index: number, everywhere: boolean): Promise<void> {
    const { subject, choices } = this.core.state;
    const choice = choices?.[index];
    if (!this.mayDecide || !subject || !choice) return;
    if (everywhere) return this.correctAt(this.walk.twins(subject), choice.variant);
    const marks = subject.kind === "mark" ? [anchorOf(subject.place)] : [];
    await this.act(() => ({ act: "correct", scope: "here", marks, edits: choice.edits }));
  }

  /** The corrections of a mark that no slip is open on; null while the worker can't tell them. */
  async correctionsAt(place: PlacedMark): Promise<readonly PlacedChoice[] | null> {
    try {
      return await choicesAt(this.core.worker, place, (block) => this.core.copy.startOf(block));
    } catch (error) {
      void this.core.checking.afterFailure(error);
      return null;
    }
  }

  /** The entry that a mark of the citations pass speaks of. */
  async entryOf(mark: Mark): Promise<string | null> {
    return this.core.worker.entryOf(mark).catch(() => null);
  }

  /** Makes a choice at a place that no slip is open on. */
  async correctOne(place: PlacedMark, { edits }: PlacedChoice): Promise<void> {
    const marks = [anchorOf(place)];
    await this.act(() => ({ act: "correct", scope: "here", marks, edits }));
  }

  /**
   * Makes a choice at each of several places as one decision; one that would change what another changes is
   * left. Gives back how many were made.
   */
  async correctEach(
    chosen: readonly { place: PlacedMark; choice: PlacedChoice }[],
  ): Promise<number> {
    const marks: Anchor[] = [];
    const edits: Edit[] = [];
    for (const { place, choice } of chosen) {
      const meets = choice.edits.some((edit) =>
        edits.some((one) => one.from <= edit.to && one.to >= edit.from),
      );
      if (meets || choice.edits.length === 0) continue;
      marks.push(anchorOf(place));
      edits.push(...choice.edits);
    }
    edits.sort((one, other) => one.from - other.from);
    if (edits.length === 0) return 0;
    await this.act(() => ({ act: "correct", scope: "everywhere", marks, edits }));
    return marks.length;
  }

  /** Puts a citation in the sentence where the reader left the text. */
  async cite(citation: string): Promise<void> {
    await this.acting;
    const at = this.walk.placeToEdit()?.to ?? this.core.lastPlace;
    const { blocks } = this.core.copy.current();
    const block = blocks[blockIndexAt(blocks, at)];
    if (!block) return;
    const edit = citingEdit(citation, this.core.copy.text, at, block.to);
    const marks = [{ rule: "citations/put-in", text: "", from: edit.from, to: edit.from }];
    await this.act(() => ({ act: "correct", scope: "here", marks, edits: [edit] }));
    const before = this.core.copy.text.slice(Math.max(block.from, edit.from - 28), edit.from);
    this.core.say(`Put in: “…${before.trimStart()}${edit.insert}”. U takes it back.`);
  }

  /** Puts in an entry what a look-up has found. */
  async putIn(edit: Edit, range: Range): Promise<void> {
    const text = this.core.copy.text.slice(range.from, range.to);
    const marks = [{ rule: "citations/look-up", text, ...range }];
    await this.act(() => ({ act: "correct", scope: "here", marks, edits: [edit] }));
  }

  /** Writes another wording in the place of a passage that stands elsewhere. */
  async reword(range: Range, insert: string): Promise<void> {
    const text = this.core.copy.text.slice(range.from, range.to);
    const marks = [{ rule: "originality/reword", text, ...range }];
    await this.act(() => ({ act: "correct", scope: "here", marks, edits: [{ ...range, insert }] }));
  }

  /** Brings each of the marks to one variant, where it has that to offer. */
  async correctAt(places: readonly PlacedMark[], variant: string): Promise<void> {
    await this.act(async () => {
      const { edits, marks } = await correctionsOf(this.core.worker, places, variant, (block) =>
        this.core.copy.startOf(block),
      );
      if (marks.length === 0) return null;
      const scope = marks.length > 1 ? "everywhere" : "here";
      return { act: "correct", scope, marks: marks.map(anchorOf), edits };
    });
  }

  /** Lets the mark stand, here or wherever the same is found in this document. */
  async stet(everywhere: boolean): Promise<void> {
    const { subject } = this.core.state;
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

  /** Asks the author about a range of the text. */
  async ask(rule: string, range: Range, note: string): Promise<void> {
    const anchor = { rule, text: this.core.copy.text.slice(range.from, range.to), ...range };
    await this.act(() => ({ act: "query", scope: "here", marks: [anchor], edits: [], note }));
  }

  /** Puts the word on the word list. */
  async listWord(): Promise<void> {
    const { subject } = this.core.state;
    if (!this.mayDecide || subject?.kind !== "mark") return;
    if (!cardById(subject.place.mark.rule)?.takesWords) {
      this.core.say("Only a word that no dictionary has goes on the word list.");
      return;
    }
    const word = subject.place.mark.text;
    const marks = [anchorOf(subject.place)];
    await this.act(() => ({ act: "word", scope: "everywhere", marks, edits: [], word }));
  }

  /** Takes back the newest decision. */
  undoLast(): Promise<void> {
    return this.takeBack(
      () => lastUndoable(this.core.copy.history)?.seq,
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
      () => lastRedoable(this.core.copy.history)?.seq,
      "There is nothing to redo.",
      "Redone",
    );
  }

  /**
   * Makes one decision and goes on. What it is to be may have to be asked of the worker first; where
   * the text changes before it is written, it is dropped, since it was made for another text.
   */
  async act(propose: () => Draft | null | Promise<Draft | null>): Promise<void> {
    const { revision } = this.core.copy.reported;
    const place = this.core.place();
    await this.alone(async () => {
      const draft = await this.proposed(propose);
      if (!draft) return;
      const made = await this.core.keeper.enqueue(async () => {
        await this.typing.keep();
        if (this.core.copy.reported.revision !== revision) {
          this.core.say(CHANGED_MEANWHILE);
          return null;
        }
        const decided = await this.decide(draft);
        if (decided && draft.word !== undefined) await this.effects.listed(draft.word);
        if (decided && draft.setting) await this.effects.set(draft.setting, draft.setting.after);
        return decided;
      });
      if (made) await this.afterDecision(made, place);
    });
  }

  /** Runs something during which nothing else is decided; does nothing while another such runs. */
  async alone(step: () => Promise<void>): Promise<void> {
    if (this.core.busy) return;
    this.core.publish({ deciding: true });
    this.acting = step().finally(() => {
      this.core.publish({ deciding: false });
      this.walk.keepSubject();
      this.walk.openFirst();
    });
    await this.acting;
  }

  private async proposed(
    propose: () => Draft | null | Promise<Draft | null>,
  ): Promise<Draft | null> {
    try {
      return await propose();
    } catch (error) {
      this.core.tellFault(error);
      return null;
    }
  }

  private async afterDecision({ decision, edits }: Decided, place: number): Promise<void> {
    const notice = saidOf(decision);
    if (edits.length > 0) {
      this.core.galley?.hide();
      this.core.publish({ shown: false, notice });
      await this.walk.showOutcome(outcomeOf(edits));
    }
    this.core.lastPlace = mapPosition(place, edits, "before");
    this.walk.goOn(notice);
  }

  /** Writes a decision down, then makes and shows it; null when it may not be made. */
  async decide(draft: Draft): Promise<Decided | null> {
    const refusal = this.core.state.reading
      ? ANOTHER_TAB
      : draft.edits.map((edit) => this.core.copy.whyRefused(edit)).find(Boolean);
    if (refusal) {
      this.core.say(refusal);
      return null;
    }
    const made = await this.core.keeper.decide(this.core.copy, draft);
    if (made.edits.length > 0) {
      this.rechecked = this.core.recheck(made.edits);
      this.core.galley?.apply(made.edits);
      this.walk.carrySubject(made.edits);
    }
    this.core.publishLedger();
    const wide = draft.act === "undo" || draft.scope === "everywhere";
    this.core.refresh(wide ? "all" : this.core.copy.blocksOf(made.decision));
    return made;
  }

  /** Takes one decision back, goes to its place and opens what is marked there again. */
  private async takeBack(
    which: () => number | undefined,
    nothing: string,
    said: string,
  ): Promise<void> {
    // While an outcome is shown it is the last thing seen; while it is still being written, it is not.
    if (this.walk.endOutcome) {
      this.walk.endOutcome();
      await this.acting;
    }
    await this.alone(async () => {
      const made = await this.core.keeper.enqueue(async () => {
        await this.typing.keep();
        const seq = which();
        if (seq === undefined) {
          this.core.say(nothing);
          return null;
        }
        const result = undo(this.core.copy.history, seq);
        if ("refusal" in result) {
          this.core.say(result.refusal);
          return null;
        }
        const target = this.effectOf(seq);
        const decided = await this.decide(result.draft);
        if (decided && target) await this.effects.undone(target);
        return decided && target ? { ...decided, target } : null;
      });
      if (!made) return;
      await Promise.race([this.rechecked, pause(RECHECK_WAIT_MS)]);
      this.goBackTo(made.target, made.edits, `${said}: ${effectName(made.target)}.`);
    });
  }

  /** The decision whose effect comes or goes when an entry is taken back: its own, or the undone one's. */
  private effectOf(seq: number): Decision | undefined {
    const decision = this.core.copy.decisions[seq - 1];
    return decision?.undoes === undefined ? decision : this.effectOf(decision.undoes);
  }

  /** Opens the mark at the place of a decision that was taken back, in its pass, or shows the place. */
  private goBackTo(target: Decision, edits: readonly Edit[], notice: string): void {
    const place = this.placeOfDecision(target, edits);
    const rule = target.marks[0]?.rule;
    const at =
      place &&
      this.core.state.openOfAll.filter(({ from, to }) => from <= place.to && to >= place.from);
    const mark = at?.find(({ mark }) => mark.rule === rule) ?? at?.[0];
    if (mark) {
      if (mark.mark.pass !== this.core.state.pass) this.walk.showPass(mark.mark.pass);
      this.walk.focus({ kind: "mark", place: mark }, notice);
      return;
    }
    this.walk.focus(null, notice);
    if (!place) return;
    this.core.lastPlace = place.from;
    this.core.galley?.showOutcome([place]);
  }

  private placeOfDecision({ seq, marks }: Decision, edits: readonly Edit[]): Range | null {
    const [edit] = outcomeOf(edits);
    if (edit) return edit;
    const [anchor] = marks;
    if (!anchor) return null;
    return placeOf(this.core.copy.decisions.slice(seq - 1).reduce(follow, track(anchor, false)));
  }
}

function pause(milliseconds: number): Promise<void> {
  return new Promise((resolve) => setTimeout(resolve, milliseconds));
}
