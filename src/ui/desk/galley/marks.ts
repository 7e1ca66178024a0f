import { type EditorState, type Range, StateField } from "@codemirror/state";
import { Decoration, type DecorationSet, EditorView, WidgetType } from "@codemirror/view";
import {
  type DrawnMark,
  drawMarks,
  type Focus,
  setFocus,
  setOutcome,
  setSpoken,
} from "./effects.ts";

/** The marks in the text: a tint with a rule under it, whose style tells the weight. */

const MARK_DECORATIONS = {
  fix: Decoration.mark({ class: "dr-mark dr-fix" }),
  settle: Decoration.mark({ class: "dr-mark dr-settle" }),
  weigh: Decoration.mark({ class: "dr-mark dr-weigh" }),
};

/** Passages that stand elsewhere have rules of their own, which tell how they agree. */
const OVERLAPS: Readonly<Record<string, Decoration>> = Object.fromEntries(
  ["word-for-word", "lightly-changed", "reworded", "possible"].map((tier) => [
    `originality/${tier}`,
    Decoration.mark({ class: `dr-mark dr-${tier}` }),
  ]),
);

function decorationOf(mark: DrawnMark): Range<Decoration> {
  const base = OVERLAPS[mark.rule] ?? MARK_DECORATIONS[mark.weight];
  const decoration = Decoration.mark({ ...base.spec, mark: { id: mark.id, code: mark.code } });
  return decoration.range(mark.from, mark.to);
}

export const marksField = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(value, transaction) {
    let marks = value.map(transaction.changes);
    for (const effect of transaction.effects) {
      if (!effect.is(drawMarks)) continue;
      const { from, to, marks: added } = effect.value;
      marks = marks.update({
        filterFrom: from,
        filterTo: to,
        filter: (start, end) => end < from || start > to,
        add: added.filter((mark) => mark.to > mark.from).map(decorationOf),
        sort: true,
      });
    }
    return marks;
  },
  provide: (field) => EditorView.decorations.from(field),
});

/** What the margin needs of the marks drawn in a range. */
export function drawnIn(
  state: EditorState,
  from: number,
  to: number,
  visit: (at: number, mark: { id: string; code: string }) => void,
): void {
  state.field(marksField).between(from, to, (start, _end, value) => {
    const mark = value.spec["mark"] as { id: string; code: string } | undefined;
    if (mark) visit(start, mark);
  });
}

/** Text that a choice would put in, beside what it would strike. */
class InsertedText extends WidgetType {
  constructor(readonly text: string) {
    super();
  }

  override eq(other: InsertedText): boolean {
    return other.text === this.text;
  }

  toDOM(): HTMLElement {
    const element = document.createElement("ins");
    element.className = "dr-put-in";
    element.textContent = this.text;
    return element;
  }
}

export const focusField = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(value, transaction) {
    let focus = value.map(transaction.changes);
    for (const effect of transaction.effects) {
      if (effect.is(setFocus))
        focus = effect.value ? focusDecorations(effect.value) : Decoration.none;
    }
    return focus;
  },
  provide: (field) => EditorView.decorations.from(field),
});

/** The outcome of the latest decision, until something else is looked at or typed. */
export const outcomeField = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(value, transaction) {
    let outcome = transaction.docChanged ? Decoration.none : value;
    for (const effect of transaction.effects) {
      if (!effect.is(setOutcome)) continue;
      const seen = effect.value.filter(({ from, to }) => to > from);
      outcome = Decoration.set(
        seen.map(({ from, to }) => OUTCOME.range(from, to)),
        true,
      );
    }
    return outcome;
  },
  provide: (field) => EditorView.decorations.from(field),
});
const OUTCOME = Decoration.mark({ class: "dr-outcome" });

/** The word that is being read aloud. */
export const spokenField = StateField.define<DecorationSet>({
  create: () => Decoration.none,
  update(value, transaction) {
    let spoken = value.map(transaction.changes);
    for (const effect of transaction.effects) {
      if (!effect.is(setSpoken)) continue;
      const word = effect.value;
      spoken =
        word && word.to > word.from
          ? Decoration.set([SPOKEN.range(word.from, word.to)])
          : Decoration.none;
    }
    return spoken;
  },
  provide: (field) => EditorView.decorations.from(field),
});
const SPOKEN = Decoration.mark({ class: "dr-spoken" });

function focusDecorations({ from, to, preview }: Focus): DecorationSet {
  const ranges: Range<Decoration>[] = [];
  if (to > from) ranges.push(Decoration.mark({ class: "dr-now" }).range(from, to));
  for (const edit of preview) {
    if (edit.to > edit.from) {
      ranges.push(Decoration.mark({ class: "dr-struck" }).range(edit.from, edit.to));
    }
    if (edit.insert) {
      const widget = new InsertedText(edit.insert);
      ranges.push(Decoration.widget({ widget, side: 1 }).range(edit.to));
    }
  }
  return Decoration.set(ranges, true);
}
