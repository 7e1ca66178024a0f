import { EditorView } from "@codemirror/view";

/** Side padding of the text: the left one holds the margin codes. */
const LEFT = "66px";
const RIGHT = "34px";
/** The left padding of items, notes, quotations and references. */
const INDENTED = "96px";

const columnRules = Object.fromEntries(
  Array.from({ length: 12 }, (_, index) => [
    `.dr-columns-${index + 1}`,
    {
      gridTemplateColumns:
        index === 0 ? "1fr" : `repeat(${index}, minmax(0, 1fr) 0) minmax(0, 1fr)`,
    },
  ]),
);
const cellRules = Object.fromEntries(
  Array.from({ length: 12 }, (_, index) => [
    `.dr-cell-${index}`,
    { gridColumn: String(2 * index + 1) },
  ]),
);

/** How the copy looks. Lines have padding and never margins, which would break hit-testing. */
export const galleyTheme = EditorView.theme({
  "&": { height: "100%", backgroundColor: "var(--sheet)", color: "var(--ink)" },
  "&.cm-focused": { outline: "none" },
  ".cm-scroller": {
    font: "17px/1.62 var(--font-book)",
    overflowY: "scroll",
    overflowX: "hidden",
    scrollbarWidth: "none",
  },
  ".cm-scroller::-webkit-scrollbar": { display: "none" },
  ".cm-content": { padding: "22px 0 60vh 0", caretColor: "var(--ink)" },
  ".cm-line": {
    "--inset": LEFT,
    padding: `0 ${RIGHT} 12px var(--inset)`,
    position: "relative",
  },
  ".cm-cursor": { borderLeftColor: "var(--ink)", borderLeftWidth: "2px" },
  ".cm-selectionBackground, &.cm-focused .cm-selectionBackground": {
    backgroundColor: "var(--tint-now)",
  },

  ".dr-heading": { fontWeight: "600", lineHeight: "1.3", paddingTop: "16px" },
  ".dr-level-1": { fontSize: "24px", paddingTop: "10px" },
  ".dr-level-2": { fontSize: "20px" },
  ".dr-level-3": { fontSize: "18px" },
  ".dr-level-4": { fontSize: "17px", fontStyle: "italic" },
  ".cm-line.dr-item": {
    "--inset": INDENTED,
    paddingBottom: "5px",
    fontSize: "17px",
  },
  ".cm-line.dr-item.dr-level-2": { "--inset": "122px" },
  ".cm-line.dr-item.dr-level-3": { "--inset": "148px" },
  ".cm-line.dr-item.dr-level-2, .cm-line.dr-item.dr-level-3, .cm-line.dr-item.dr-level-4": {
    fontStyle: "normal",
    paddingTop: "0",
  },
  ".cm-line[data-marker]::before": {
    content: "attr(data-marker)",
    position: "absolute",
    marginLeft: "-30px",
    width: "26px",
    color: "var(--soft)",
    whiteSpace: "nowrap",
  },
  ".cm-line.dr-heading[data-marker]::before": {
    position: "static",
    display: "inline-block",
    width: "auto",
    margin: "0 12px 0 0",
  },
  ".cm-line.dr-note": {
    fontSize: "15px",
    "--inset": INDENTED,
    paddingBottom: "8px",
  },
  ".cm-line.dr-quote": { "--inset": INDENTED, paddingRight: "64px" },
  ".cm-line.dr-caption": { fontSize: "15px", color: "var(--soft)" },
  ".cm-line.dr-code": { font: "14px/1.5 monospace", paddingBottom: "0" },
  ".cm-line.dr-reference": { "--inset": INDENTED, textIndent: "-30px" },
  ".dr-story": {
    padding: `26px ${RIGHT} 10px ${LEFT}`,
    font: "600 12px/1 var(--font-plain)",
    color: "var(--soft)",
  },

  ".cm-line.dr-row": {
    display: "grid",
    padding: "0",
    marginLeft: "0",
    borderBottom: "1px solid var(--hair)",
    fontSize: "15px",
    lineHeight: "1.45",
    width: `calc(100% - ${LEFT} - ${RIGHT})`,
    left: LEFT,
  },
  ".cm-line.dr-row-first": { borderTop: "1px solid var(--soft)", fontWeight: "600" },
  ".dr-sheet-head": { padding: `18px ${RIGHT} 0 ${LEFT}`, font: "12px/1 var(--font-plain)" },
  ".dr-sheet-name": { fontWeight: "600", paddingBottom: "14px" },
  ".dr-sheet-letters": {
    display: "grid",
    color: "var(--soft)",
    paddingBottom: "6px",
    borderBottom: "1px solid var(--soft)",
  },
  ".dr-sheet-letters > span": { paddingLeft: "8px" },
  ".cm-line.dr-sheet-row": { font: "14px/1.4 var(--font-plain)" },
  ".dr-sheet-row::before": {
    content: "attr(data-row)",
    position: "absolute",
    left: "-60px",
    width: "22px",
    padding: "6px 0",
    textAlign: "right",
    color: "var(--soft)",
    fontSize: "12px",
  },
  ".dr-sheet-row .dr-cell": { padding: "5px 8px", borderLeft: "1px solid var(--hair)" },
  ".dr-sheet-row .dr-fixed": { color: "var(--soft)", fontVariantNumeric: "tabular-nums" },
  ".dr-cell": { padding: "5px 10px 5px 0", minWidth: "0", gridRow: "1" },
  ".dr-tab": { overflow: "hidden", width: "0", gridRow: "1" },
  ...columnRules,
  ...cellRules,

  ".dr-emphasis": { fontStyle: "italic" },
  ".dr-strong": { fontWeight: "680" },
  ".dr-super, .dr-note-number": { fontSize: "70%", verticalAlign: "super", lineHeight: "0" },
  ".dr-note-number": { color: "var(--pen)", fontWeight: "600", paddingLeft: "1px" },
  ".dr-sub": { fontSize: "70%", verticalAlign: "sub", lineHeight: "0" },
  ".dr-link": { borderBottom: "1px solid var(--faint)" },
  ".dr-code:not(.cm-line)": { fontFamily: "monospace", fontSize: "85%" },
  ".dr-locked": { color: "var(--soft)" },
  ".dr-inserted": { borderBottom: "1px dotted var(--faint)" },
  ".dr-sign": {
    padding: "0 5px",
    border: "1px solid var(--rule)",
    font: "12px/1.4 var(--font-plain)",
    color: "var(--soft)",
    verticalAlign: "2px",
  },

  ".dr-mark": {
    backgroundColor: "var(--tint)",
    borderBottom: "2px solid var(--pen)",
    paddingBottom: "1px",
    cursor: "pointer",
  },
  ".dr-settle": { borderBottomStyle: "dashed" },
  ".dr-weigh": { borderBottomStyle: "dotted", backgroundColor: "transparent" },
  ".dr-word-for-word": { borderBottomWidth: "3px" },
  ".dr-lightly-changed": { borderBottom: "4px double var(--pen)", paddingBottom: "0" },
  ".dr-reworded": { borderBottomStyle: "dotted" },
  ".dr-possible": { borderBottomStyle: "dashed", backgroundColor: "transparent" },
  ".dr-now": { backgroundColor: "var(--tint-now)" },
  ".dr-now .dr-mark": { backgroundColor: "var(--tint-now)" },
  ".dr-outcome": { boxShadow: "inset 0 -2px 0 var(--ink)", backgroundColor: "var(--tint)" },
  ".dr-spoken": { backgroundColor: "var(--ink)", color: "var(--sheet)" },
  ".dr-struck, .dr-struck .dr-mark": {
    color: "var(--struck)",
    textDecoration: "line-through",
    textDecorationThickness: "1.5px",
  },
  ".dr-put-in": {
    backgroundColor: "var(--tint-now)",
    borderBottom: "2px solid var(--pen)",
    padding: "0 2px 1px 5px",
    fontWeight: "680",
    textDecoration: "none",
  },
  ".dr-slip": {
    display: "block",
    boxSizing: "border-box",
    width: `calc(100% + var(--inset) + ${RIGHT})`,
    margin: `2px -${RIGHT} 6px calc(-1 * var(--inset))`,
    padding: `10px ${RIGHT} 11px ${LEFT}`,
    backgroundColor: "var(--wash)",
    borderTop: "1px solid var(--pen)",
    borderBottom: "1px solid var(--rule)",
    font: "14px/1.45 var(--font-plain)",
    fontStyle: "normal",
    fontWeight: "400",
    textIndent: "0",
    whiteSpace: "normal",
    cursor: "default",
  },
  ".cm-panels": { backgroundColor: "var(--sheet)", color: "var(--ink)" },
  ".cm-panels-top": { borderBottom: "1px solid var(--rule)" },
  ".dr-find": {
    display: "flex",
    alignItems: "center",
    gap: "16px",
    padding: `9px ${RIGHT} 9px ${LEFT}`,
    font: "14px/1.45 var(--font-plain)",
  },
  ".dr-find-field": {
    width: "220px",
    marginLeft: "6px",
    borderBottom: "1px solid var(--faint)",
    padding: "2px 0",
  },
  ".dr-find button": { color: "var(--soft)" },
  ".cm-searchMatch": { backgroundColor: "var(--hair)" },
  ".cm-searchMatch-selected": { backgroundColor: "var(--tint-now)" },
  ".cm-content > .dr-slip": { width: "100%", margin: "0" },
});
