import type { Decision, Setting } from "../../core/ledger/decision.ts";
import { changeStyle, readLayers } from "../../store/house.ts";
import { updateRecord } from "../../store/shelf.ts";
import type { DeskCore } from "./desk-core.ts";
import { recordWith, type SettingValue, styleWith } from "./settings.ts";
import type { DeskState } from "./state.ts";

/** What decisions do outside the text: word lists and settings, on disk and for the checks. */
export class SettingEffects {
  constructor(private readonly core: DeskCore) {}

  /** A word goes on the person's list. Throws NotKept. */
  listed(word: string): Promise<void> {
    return this.followWord(word, true);
  }

  /** A word list or a setting follows the decision about it: back when undone, on again when redone. */
  async undone(target: Decision): Promise<void> {
    const standing = this.core.copy.inForce.has(target.seq);
    if (target.word !== undefined) await this.followWord(target.word, standing);
    const { setting } = target;
    if (setting) await this.set(setting, standing ? setting.after : setting.before);
  }

  private followWord(word: string, listed: boolean): Promise<void> {
    const setting: Setting = { name: "listed", of: word, before: null, after: "personal" };
    return this.set(setting, listed ? setting.after : setting.before);
  }

  /** Sets a setting, on disk and for the checks. Throws NotKept. */
  async set(setting: Setting, value: SettingValue): Promise<void> {
    const { record, manuscript } = this.core.state;
    const changes = record && recordWith(record, setting, value);
    if (changes && record && manuscript) {
      const { variety = manuscript.variety, kind = manuscript.kind } = changes;
      await updateRecord(this.core.id, changes);
      const followed = changes.houses && (await readLayers(changes.houses)).slice(0, -1);
      this.core.publish({
        record: { ...record, ...changes },
        manuscript: { ...manuscript, variety, kind },
        ...(followed ? { houses: followed } : {}),
      });
    } else if (!changes) {
      const now = new Date().toISOString();
      const change = (style: DeskState["style"]) =>
        styleWith(style, setting, value, now, this.core.id);
      this.core.publish({ style: await changeStyle(change) });
    }
    await this.core.checking.configure();
  }
}
