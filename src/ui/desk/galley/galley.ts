import { defaultKeymap } from "@codemirror/commands";
import { openSearchPanel, search, searchKeymap } from "@codemirror/search";
import {
  Compartment,
  EditorState,
  type StateEffect,
  type Transaction,
  type TransactionSpec,
} from "@codemirror/state";
import { drawSelection, EditorView, keymap, type ViewUpdate } from "@codemirror/view";
import {
  type Edit,
  LINE_SEPARATOR,
  type Manuscript,
  type Range,
} from "../../../core/manuscript/model.ts";
import {
  type DrawnMark,
  drawMarks,
  type Focus,
  fromDesk,
  placeSlip,
  setFocus,
  setOutcome,
  setSpoken,
} from "./effects.ts";
import { findPanel } from "./find-panel.ts";
import { marginCodes, marginTheme } from "./margin.ts";
import { drawnIn, focusField, marksField, outcomeField, spokenField } from "./marks.ts";
import { slipField, slipPlace } from "./slip.ts";
import { structure } from "./structure.ts";
import { galleyTheme } from "./theme.ts";

/** What the galley tells the desk. */
export interface GalleyEvents {
  /** Typing: edits on the text before them. */
  typed(edits: Edit[]): void;
  /** Why a change cannot be made, or null when it can. */
  refuses(edit: Edit): string | null;
  refused(reason: string): void;
  /** A mark was clicked. */
  picked(markId: string): void;
  /** A stretch of text was selected; returns whether a slip opens for it. */
  selected(from: number, to: number): boolean;
  /** Escape: back from typing to the walk. */
  /** The caret left the text; with what was selected there, if anything was. */
  left(selected: Range | null): void;
  /** The caret went into the text, or out of it. */
  typing(on: boolean): void;
  undo(): void;
  redo(): void;
  /** The text on screen moved: the share of the document at the top and bottom of the view. */
  scrolled(from: number, to: number): void;
}

/** How far down the view the line under decision is kept, as a share of its height. */
const READING_LINE = 0.34;
/** How much of the view a page moves by; what remains is seen again. */
const PAGE_SHARE = 0.85;

/** The text of one document on screen: drawing, scrolling, typing. It decides nothing. */
export class Galley {
  readonly view: EditorView;
  /** The element the slip's contents are rendered into. */
  readonly slip: HTMLElement;
  private readonly editable = new Compartment();
  private focused: Focus | null = null;
  /** The place whose slip opens as soon as its rows can be measured. */
  private opening: Focus | null = null;
  private width = 0;

  constructor(
    parent: HTMLElement,
    manuscript: Pick<Manuscript, "text" | "blocks" | "spans">,
    private readonly events: GalleyEvents,
    nonce: string,
  ) {
    this.slip = document.createElement("span");
    this.slip.className = "dr-slip";
    this.slip.contentEditable = "false";
    const state = EditorState.create({
      doc: manuscript.text,
      extensions: [
        nonce ? EditorView.cspNonce.of(nonce) : [],
        EditorView.lineWrapping,
        drawSelection(),
        search({
          top: true,
          createPanel: findPanel,
          scrollToMatch: (range) => EditorView.scrollIntoView(range, { y: "center" }),
        }),
        keymap.of([
          { key: "Escape", run: () => this.leave() },
          { key: "Mod-z", run: () => this.tell("undo"), preventDefault: true },
          { key: "Mod-y", run: () => this.tell("redo"), preventDefault: true },
          { key: "Mod-Shift-z", run: () => this.tell("redo"), preventDefault: true },
          { key: "Enter", run: (view) => breakLine(view) },
          { key: "Shift-Enter", run: (view) => breakLine(view) },
          ...searchKeymap.filter(({ key }) => key !== "Escape"),
          ...defaultKeymap.filter(({ key }) => key !== "Escape"),
        ]),
        EditorView.contentAttributes.of({
          "aria-label": "Document text",
          tabindex: "0",
          spellcheck: "false",
          autocorrect: "off",
          autocapitalize: "off",
        }),
        this.editable.of(EditorView.editable.of(true)),
        EditorState.transactionFilter.of((transaction) => this.filter(transaction)),
        EditorView.updateListener.of((update) => this.updated(update)),
        EditorView.domEventHandlers({
          mousedown: (event) => this.pressed(event),
          mouseup: (event) => this.released(event),
          // Text is moved by cutting and pasting; what is dropped is the desk's affair.
          dragstart: (event) => {
            event.preventDefault();
            return true;
          },
          keyup: (event) => {
            if (event.shiftKey || event.key === "Shift") this.reportSelection();
          },
        }),
        structure(manuscript),
        marksField,
        focusField,
        outcomeField,
        spokenField,
        slipField(this.slip),
        marginCodes,
        marginTheme,
        galleyTheme,
      ],
    });
    this.view = new EditorView({ state, parent });
    this.view.scrollDOM.addEventListener("scroll", () => this.reportScroll(), { passive: true });
  }

  destroy(): void {
    this.view.destroy();
  }

  /** Lets the text be changed by typing, or not. */
  setEditable(editable: boolean): void {
    // A reconfiguration costs as much as a first drawing, so it is made only when it changes something.
    if (editable === this.view.state.facet(EditorView.editable)) return;
    this.view.dispatch({
      effects: this.editable.reconfigure(EditorView.editable.of(editable)),
    });
  }

  /** Makes edits that come from a decision. */
  apply(edits: readonly Edit[]): void {
    this.view.dispatch({ changes: [...edits], annotations: fromDesk.of(true) });
  }

  /** Draws the marks of a stretch of text anew. */
  draw(stretches: readonly { from: number; to: number; marks: DrawnMark[] }[]): void {
    const nothing = this.view.state.field(marksField).size === 0;
    if (nothing && stretches.every(({ marks }) => marks.length === 0)) return;
    this.view.dispatch({ effects: stretches.map((one) => drawMarks.of(one)) });
  }

  /** Brings a place to the reading line, shows it, and opens the slip under its row. */
  async show(focus: Focus): Promise<void> {
    this.focused = focus;
    this.opening = focus;
    this.view.dispatch({
      effects: [
        placeSlip.of(null),
        setOutcome.of([]),
        setFocus.of(focus),
        EditorView.scrollIntoView(focus.from, {
          y: "start",
          yMargin: Math.round(this.view.scrollDOM.clientHeight * READING_LINE),
        }),
      ],
    });
    // Rows can be measured once the scrolled text has been laid out.
    await nextFrame();
    await nextFrame();
    if (this.opening !== focus) return;
    this.opening = null;
    this.openSlip();
  }

  /** Shows another outcome at the same place. */
  preview(edits: Edit[]): void {
    if (!this.focused) return;
    this.focused = { ...this.focused, preview: edits };
    this.view.dispatch({ effects: [placeSlip.of(null), setFocus.of(this.focused)] });
    if (!this.opening) this.openSlip();
  }

  /** Shows the word being read aloud, and keeps it in view. */
  showSpoken(spoken: Range | null): void {
    const length = this.view.state.doc.length;
    const inside = spoken && spoken.to <= length ? spoken : null;
    const effects: StateEffect<unknown>[] = [setSpoken.of(inside)];
    if (inside) effects.push(EditorView.scrollIntoView(inside.from, { y: "nearest", yMargin: 80 }));
    this.view.dispatch({ effects });
  }

  /** Closes the slip. */
  hide(): void {
    this.focused = null;
    this.opening = null;
    this.view.dispatch({ effects: [placeSlip.of(null), setFocus.of(null)] });
  }

  /** Shows what has just come about, the first of it in view. */
  showOutcome(ranges: readonly Range[]): void {
    const { length } = this.view.state.doc;
    const inside = ranges.filter(({ to }) => to <= length);
    const effects: StateEffect<unknown>[] = [setOutcome.of(inside)];
    const [first] = inside;
    if (first) {
      effects.push(EditorView.scrollIntoView(first.from, { y: "nearest", yMargin: 120 }));
    }
    this.view.dispatch({ effects });
  }

  /** Takes the caret out of the text. */
  private blur(): void {
    this.view.contentDOM.blur();
  }

  /** Moves the view: by a page, or to an end of the text. */
  scroll(to: "up" | "down" | "start" | "end"): void {
    const { scrollDOM } = this.view;
    const page = scrollDOM.clientHeight * PAGE_SHARE;
    if (to === "up") scrollDOM.scrollTop -= page;
    else if (to === "down") scrollDOM.scrollTop += page;
    else scrollDOM.scrollTop = to === "start" ? 0 : scrollDOM.scrollHeight;
  }

  /** Puts the caret into the text with a range selected. */
  edit(from: number, to: number): void {
    this.view.focus();
    const { length } = this.view.state.doc;
    this.view.dispatch({
      selection: { anchor: Math.min(from, length), head: Math.min(to, length) },
    });
  }

  /** Opens the find panel. */
  find(): void {
    openSearchPanel(this.view);
  }

  /** Scrolls to a position without opening anything. */
  scrollTo(position: number): void {
    this.view.dispatch({ effects: EditorView.scrollIntoView(position, { y: "center" }) });
  }

  private openSlip(): void {
    if (!this.focused) return;
    const { to, preview } = this.focused;
    const at = Math.max(to, ...preview.map((edit) => edit.to));
    this.view.dispatch({ effects: placeSlip.of(slipPlace(this.view, at)) });
  }

  private leave(): boolean {
    const { main } = this.view.state.selection;
    this.blur();
    this.events.left(main.empty ? null : { from: main.from, to: main.to });
    return true;
  }

  private tell(what: "undo" | "redo"): boolean {
    this.events[what]();
    return true;
  }

  /** Typing obeys the rules of the manuscript: refused changes are said, line ends stay inside. */
  private filter(transaction: Transaction): TransactionSpec | readonly TransactionSpec[] {
    if (!transaction.docChanged || transaction.annotation(fromDesk)) return transaction;
    const edits: Edit[] = [];
    let multiline = false;
    transaction.changes.iterChanges((from, to, _newFrom, _newTo, inserted) => {
      multiline ||= inserted.lines > 1;
      edits.push({ from, to, insert: inserted.sliceString(0, undefined, LINE_SEPARATOR) });
    });
    for (const edit of edits) {
      const reason = this.events.refuses(edit);
      if (!reason) continue;
      this.events.refused(reason);
      return [];
    }
    if (!multiline) return transaction;
    return [{ changes: edits, userEvent: "input.paste", scrollIntoView: true }];
  }

  private updated(update: ViewUpdate): void {
    if (update.docChanged && this.focused) {
      const { from, to } = this.focused;
      const [start, end] = [update.changes.mapPos(from, 1), update.changes.mapPos(to, -1)];
      this.focused = { ...this.focused, from: start, to: Math.max(start, end) };
    }
    for (const transaction of update.transactions) {
      if (!transaction.docChanged || transaction.annotation(fromDesk)) continue;
      const edits: Edit[] = [];
      transaction.changes.iterChanges((from, to, _newFrom, _newTo, inserted) => {
        edits.push({ from, to, insert: inserted.toString() });
      });
      this.events.typed(edits);
    }
    if (update.focusChanged) {
      const on = this.view.hasFocus;
      queueMicrotask(() => this.events.typing(on));
    }
    const { width } = this.view.contentDOM.getBoundingClientRect();
    if (update.geometryChanged && Math.abs(width - this.width) > 1) {
      this.width = width;
      if (this.focused) queueMicrotask(() => this.reopenSlip());
    }
    if (update.geometryChanged || update.viewportChanged) this.reportScroll();
  }

  private reopenSlip(): void {
    if (!this.focused) return;
    this.view.dispatch({ effects: placeSlip.of(null) });
    this.openSlip();
  }

  /** A single click on a mark opens it and leaves the keys to the walk; elsewhere it sets the caret. */
  private pressed(event: MouseEvent): boolean {
    if (event.detail > 1 || event.button !== 0 || event.shiftKey) return false;
    const target = event.target instanceof Element ? event.target.closest(".dr-mark") : null;
    if (!target) return false;
    const at = this.view.posAtCoords({ x: event.clientX, y: event.clientY });
    if (at === null) return false;
    let id: string | null = null;
    drawnIn(this.view.state, at, at, (_start, mark) => {
      id ??= mark.id;
    });
    if (id === null) return false;
    event.preventDefault();
    this.blur();
    this.events.picked(id);
    return true;
  }

  /** A double click on a word opens its slip and gives the keys to it; a caret set by a click types. */
  private released(event: MouseEvent): void {
    if (this.reportSelection() && event.detail === 2) this.blur();
  }

  /** Tells of a selection; returns whether a slip opened for it. */
  private reportSelection(): boolean {
    const { main } = this.view.state.selection;
    return !main.empty && this.events.selected(main.from, main.to);
  }

  private reportScroll(): void {
    const { scrollTop, clientHeight } = this.view.scrollDOM;
    const first = this.view.lineBlockAtHeight(scrollTop).from;
    const last = this.view.lineBlockAtHeight(scrollTop + clientHeight).to;
    const length = Math.max(1, this.view.state.doc.length);
    this.events.scrolled(first / length, last / length);
  }
}

function breakLine(view: EditorView): boolean {
  view.dispatch(view.state.replaceSelection(LINE_SEPARATOR), { scrollIntoView: true });
  return true;
}

function nextFrame(): Promise<void> {
  return new Promise((resolve) => requestAnimationFrame(() => resolve()));
}
