import { EditorSelection, StateField } from "@codemirror/state";
import { Decoration, type DecorationSet, EditorView, WidgetType } from "@codemirror/view";
import { placeSlip } from "./effects.ts";

/**
 * The slip: one element for the whole life of the galley, moved under the row it concerns. In a
 * paragraph it is an inline widget as wide as the text at the end of a visual row, so that the
 * paragraph goes on below it; under a table row it is a block.
 */
class SlipWidget extends WidgetType {
  constructor(
    readonly host: HTMLElement,
    readonly below: boolean,
  ) {
    super();
  }

  override eq(other: SlipWidget): boolean {
    return other.host === this.host && other.below === this.below;
  }

  override get estimatedHeight(): number {
    return this.below ? 130 : -1;
  }

  toDOM(): HTMLElement {
    return this.host;
  }

  override ignoreEvent(): boolean {
    return true;
  }
}

/** The field that shows `host` where `placeSlip` says. */
export function slipField(host: HTMLElement): StateField<DecorationSet> {
  return StateField.define<DecorationSet>({
    create: () => Decoration.none,
    update(value, transaction) {
      let slip = value.map(transaction.changes);
      for (const effect of transaction.effects) {
        if (!effect.is(placeSlip)) continue;
        if (!effect.value) {
          slip = Decoration.none;
          continue;
        }
        const { at, below } = effect.value;
        const widget = new SlipWidget(host, below);
        slip = Decoration.set([Decoration.widget({ widget, side: 2, block: below }).range(at)]);
      }
      return slip;
    },
    provide: (field) => EditorView.decorations.from(field),
  });
}

/** Where the slip for a place belongs, measured while it is closed. */
export function slipPlace(view: EditorView, at: number): { at: number; below: boolean } {
  const line = view.state.doc.lineAt(at);
  if (view.domAtPos(at).node.parentElement?.closest(".dr-row")) return { at: line.to, below: true };
  const row = view.moveToLineBoundary(EditorSelection.cursor(at, -1), true, true);
  const end = Math.min(Math.max(row.head, at), line.to);
  // After the last row an inline widget would leave an empty one behind it.
  return { at: end, below: end === line.to };
}
