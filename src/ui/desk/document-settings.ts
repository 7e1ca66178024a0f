import type { Appetite } from "../../core/checks/card.ts";
import { cardById } from "../../core/checks/cards.ts";
import { EACH_SECTION, EXPLAINED_IN } from "../../core/checks/check.ts";
import { appetiteFor } from "../../core/checks/kinds.ts";
import type { Leave } from "../../core/checks/leave.ts";
import type { StyleId } from "../../core/citations/styles/style.ts";
import { findReplacements } from "../../core/house/replacements.ts";
import type { Draft, Setting } from "../../core/ledger/decision.ts";
import type { Edit, Kind, Variety } from "../../core/manuscript/model.ts";
import type { ReaderSetting } from "../../core/readings/readers.ts";
import { updateSettings } from "../../store/house.ts";
import { anchorOf } from "./choices.ts";
import type { Deciding } from "./deciding.ts";
import type { DeskCore } from "./desk-core.ts";
import type { SettingEffects } from "./setting-effects.ts";
import { type SettingValue, settingValue } from "./settings.ts";
import type { Typing } from "./typing.ts";
import type { Walk } from "./walk.ts";

/** Settings that change which marks there are: each is a decision, in the ledger and taken back like any. */
export class DocumentSettings {
  constructor(
    private readonly core: DeskCore,
    private readonly walk: Walk,
    private readonly typing: Typing,
    private readonly deciding: Deciding,
    private readonly effects: SettingEffects,
  ) {}

  /** Takes a word off the word list. */
  async unlistWord(word: string): Promise<void> {
    await this.turn({ name: "listed", of: word }, null);
    this.core.say(`“${word}” is off the list. U puts it back.`);
  }

  /** Has abbreviations explained in each section of this document, or once in all of it. */
  async explainInEach(each: boolean): Promise<void> {
    await this.turn({ name: "form", of: EXPLAINED_IN }, each ? EACH_SECTION : null);
  }

  /** Chooses something for this document, by its name; null goes back to what is usual. */
  async choose(of: string, value: string | null): Promise<void> {
    await this.turn({ name: "form", of }, value);
  }

  /** How much of a check is wanted in this document. */
  async setAppetite(rule: string, appetite: Appetite): Promise<void> {
    await this.turn({ name: "appetite", of: rule }, appetite);
  }

  /** How much of a check is wanted as things stand. */
  appetiteOf(rule: string): Appetite {
    return appetiteFor({ id: rule }, this.core.settings());
  }

  /**
   * Asks for less of what the open mark's check finds: only when it is sure, then nothing. Where the
   * check is what the pass is for, asks first what is meant.
   */
  async lessLikeThis(inEvery: boolean): Promise<void> {
    const { subject } = this.core.state;
    if (!this.deciding.mayDecide || subject?.kind !== "mark") return;
    const { mark } = subject.place;
    if (!cardById(mark.rule)?.takesWords) return this.takeLess(mark.rule, inEvery);
    const less = {
      text: mark.text,
      places: this.walk.twins(subject).length,
      hides: this.openOf(mark.rule),
      inEvery,
    };
    this.core.publish({ less });
  }

  /** Answers what "less like this" meant: let the word stand, list it, or switch the check off. */
  async answerLess(answer: number): Promise<void> {
    const { subject, less } = this.core.state;
    if (!less || subject?.kind !== "mark" || answer < 0 || answer > 2) return;
    this.core.publish({ less: null });
    if (answer === 0) await this.deciding.stet(true);
    else if (answer === 1) await this.deciding.listWord();
    else await this.takeLess(subject.place.mark.rule, less.inEvery);
  }

  private openOf(rule: string): number {
    return this.core.state.openOfAll.filter(({ mark }) => mark.rule === rule).length;
  }

  private async takeLess(rule: string, inEvery: boolean): Promise<void> {
    const { record } = this.core.state;
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
    this.core.say(`“${check.title}” ${outcome}. U takes it back.`);
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

  /** Reads the document as for another reader. */
  async setReader(reader: ReaderSetting): Promise<void> {
    await this.turn({ name: "reader" }, reader);
  }

  /** Takes the document for another kind of copy. */
  async setKind(kind: Kind): Promise<void> {
    await this.turn({ name: "kind" }, kind);
  }

  /** Has citations and lists read by a style; null for the one that the list tells. */
  async setCitationStyle(style: StyleId | null): Promise<void> {
    await this.turn({ name: "citations" }, style);
  }

  /** Has the document read under these houses, the first heard first. */
  async followHouses(ids: readonly string[]): Promise<void> {
    await this.turn({ name: "houses" }, ids.length > 0 ? ids.join(" ") : null);
  }

  /** Has replacements made while typing, or not. */
  async setReplaceTyping(replaceTyping: boolean): Promise<void> {
    this.core.publish({ replaceTyping });
    await this.core.keeper.guard(() => updateSettings({ replaceTyping }));
  }

  /** Has typing checked at once, or only when asked for. */
  async setWhileTyping(whileTyping: boolean): Promise<void> {
    this.core.publish({ whileTyping });
    if (whileTyping && this.core.state.stale) await this.core.checking.whole();
    await this.core.keeper.guard(() => updateSettings({ whileTyping }));
  }

  /** The places in the text at which replacements apply. */
  replacementPlaces(): Edit[] {
    return findReplacements(this.core.copy.text, this.core.state.style.replacements).filter(
      (edit) => this.core.copy.whyRefused(edit) === null,
    );
  }

  /** Makes replacements as one decision. */
  async applyReplacements(edits: readonly Edit[]): Promise<void> {
    if (edits.length === 0) return;
    await this.deciding.act(() => ({
      act: "correct",
      scope: edits.length > 1 ? "everywhere" : "here",
      marks: [],
      edits: [...edits],
      note: "automatic replacement",
    }));
  }

  /** Turns a setting as a decision, after what is being decided: in the ledger, and taken back like any other. */
  private async turn(which: Pick<Setting, "name" | "of">, after: SettingValue): Promise<void> {
    while (this.core.busy) await this.deciding.acting;
    const { record, style } = this.core.state;
    if (!record) return;
    const before = settingValue(record, style, which);
    if (before === after) return;
    const setting: Setting = { ...which, before, after };
    await this.deciding.alone(async () => {
      await this.core.keeper.enqueue(async () => {
        await this.typing.keep();
        const { subject } = this.core.state;
        const marks = subject?.kind === "mark" ? [anchorOf(subject.place)] : [];
        const draft: Draft = { act: "setting", scope: "here", marks, edits: [], setting };
        if (await this.deciding.decide(draft)) await this.effects.set(setting, setting.after);
      });
    });
  }
}
