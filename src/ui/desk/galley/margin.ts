import { EditorView, type LayerMarker, layer } from "@codemirror/view";
import { drawMarks } from "./effects.ts";
import { drawnIn } from "./marks.ts";

/** The trade's short codes in the margin, beside the visual row each mark stands in. */
class MarginCode implements LayerMarker {
  constructor(
    readonly top: number,
    readonly label: string,
  ) {}

  eq(other: LayerMarker): boolean {
    return other instanceof MarginCode && other.top === this.top && other.label === this.label;
  }

  draw(): HTMLElement {
    const element = document.createElement("div");
    element.className = "dr-margin-code";
    element.textContent = this.label;
    element.style.top = `${this.top}px`;
    return element;
  }
}

export const marginCodes = layer({
  above: false,
  class: "dr-margin",
  update: (update) =>
    update.docChanged ||
    update.viewportChanged ||
    update.geometryChanged ||
    update.transactions.some(({ effects }) => effects.some((effect) => effect.is(drawMarks))),
  markers(view) {
    const base = view.scrollDOM.getBoundingClientRect().top - view.scrollDOM.scrollTop;
    const rows = new Map<number, Set<string>>();
    for (const { from, to } of view.visibleRanges) {
      drawnIn(view.state, from, to, (at, { code }) => {
        const place = view.coordsAtPos(at, 1);
        if (!place) return;
        const top = Math.round((place.top + place.bottom) / 2 - base);
        const codes = rows.get(top);
        if (codes) codes.add(code);
        else rows.set(top, new Set([code]));
      });
    }
    return [...rows].map(([top, codes]) => new MarginCode(top, [...codes].join(" ")));
  },
});

export const marginTheme = EditorView.theme({
  ".dr-margin-code": {
    position: "absolute",
    left: "0",
    width: "52px",
    height: "16px",
    marginTop: "-8px",
    textAlign: "right",
    font: "600 12px/16px var(--font-plain)",
    color: "var(--pen)",
  },
});
