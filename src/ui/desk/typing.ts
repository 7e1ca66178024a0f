import { replacementBefore } from "../../core/house/replacements.ts";
import type { Edit, Range } from "../../core/manuscript/model.ts";
import type { DeskCore } from "./desk-core.ts";
import { afterTyping } from "./subject.ts";
import type { Walk } from "./walk.ts";

/** Milliseconds without typing after which what was typed becomes one decision. */
const TYPING_PAUSE_MS = 250;

const KEYS_TYPE = "Keys type in the text now. Esc gives them back.";

/** What is typed into the text: on screen at once, noted as it comes, a decision after a pause. */
export class Typing {
  private timer: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly core: DeskCore,
    private readonly walk: Walk,
  ) {}

  /** The caret went into the text, or out of it: keys type there, and decide nothing. */
  set(typing: boolean): void {
    if (typing === this.core.state.typing) return;
    // A question that keys would answer is gone with them.
    if (typing) this.core.publish({ typing, phrase: "", notice: KEYS_TYPE, less: null });
    else {
      const { notice } = this.core.state;
      this.core.publish({ typing, notice: notice === KEYS_TYPE ? "" : notice, less: null });
    }
  }

  /**
   * The reader leaves the text: what was typed is kept, an open slip stays and takes the keys. Words that
   * were selected there can be made a rule of, until something else comes to hand.
   */
  async leave(selected: Range | null = null): Promise<void> {
    await this.flush();
    const phrase = selected ? this.core.copy.text.slice(selected.from, selected.to).trim() : "";
    if (isPhrase(phrase)) {
      this.core.publish({ phrase });
      this.core.say(`“${phrase}” is selected: F makes a rule of it.`);
    } else if (!this.core.state.subject) {
      this.core.say("Keys belong to the walk again: ↓ goes to the next mark.");
    }
  }

  /** Takes in what was typed; it becomes a decision when the typing pauses. */
  type(edits: Edit[]): void {
    this.takeIn(edits);
    const replaced = this.core.state.replaceTyping ? this.replacementTyped(edits) : null;
    if (!replaced) return;
    this.core.galley?.apply([replaced]);
    this.takeIn([replaced]);
    this.core.say(`Replaced by “${replaced.insert}”.`);
  }

  /** The replacement for the word that was just ended by a space or a stop. */
  private replacementTyped(edits: readonly Edit[]): Edit | null {
    const [edit] = edits;
    if (!edit || edits.length > 1 || !/^[\s.,;:!?)\]”’"]$/.test(edit.insert)) return null;
    const found = replacementBefore(
      this.core.copy.text,
      edit.from,
      this.core.state.style.replacements,
    );
    return found && this.core.copy.whyRefused(found) === null ? found : null;
  }

  private takeIn(edits: Edit[]): void {
    const kept = afterTyping(this.core.state, edits);
    this.core.copy.type(edits);
    void this.core.recheck(edits);
    this.core.lastPlace = edits[0]?.from ?? this.core.lastPlace;
    this.walk.opensFirst = false;
    this.core.publish({
      kept: { state: "keeping" },
      stale: this.core.state.stale || !this.core.state.whileTyping,
      ...kept,
      less: null,
      edge: null,
      notice: "",
    });
    if (kept.subject === null)
      queueMicrotask(() => this.core.state.subject ?? this.core.galley?.hide());
    void this.core.keeper.noteTyping(this.core.copy);
    clearTimeout(this.timer);
    this.timer = setTimeout(() => void this.flush(), TYPING_PAUSE_MS);
  }

  /** Makes a decision of what was typed. */
  flush(): Promise<void> {
    clearTimeout(this.timer);
    return this.core.keeper.enqueue(() => this.keep());
  }

  async keep(): Promise<void> {
    if (!(await this.core.keeper.keepTyping(this.core.copy))) return;
    this.core.publishLedger();
    this.core.refresh([]);
  }
}

/** Most characters of words that a rule is made of. */
const LONGEST_PHRASE = 80;

/** Whether selected text is a word or a few, and not a passage. */
function isPhrase(text: string): boolean {
  return text.length <= LONGEST_PHRASE && /^[\p{L}\p{N}][^\n\t\u2028.!?]*$/u.test(text);
}
