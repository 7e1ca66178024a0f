import {
  closeSearchPanel,
  findNext,
  findPrevious,
  getSearchQuery,
  SearchQuery,
  setSearchQuery,
} from "@codemirror/search";
import type { EditorView, Panel } from "@codemirror/view";

/** A line over the galley in which a word of the text is found. */
export function findPanel(view: EditorView): Panel {
  const dom = document.createElement("form");
  dom.className = "dr-find";
  const label = document.createElement("label");
  label.textContent = "Find in the text ";
  const field = document.createElement("input");
  field.type = "search";
  field.className = "dr-find-field";
  field.setAttribute("main-field", "true");
  field.value = getSearchQuery(view.state).search;
  label.append(field);
  const say = document.createElement("span");
  say.setAttribute("aria-live", "polite");
  const close = () => {
    closeSearchPanel(view);
    view.contentDOM.blur();
  };
  const search = () => {
    const query = new SearchQuery({ search: field.value, literal: true });
    view.dispatch({ effects: setSearchQuery.of(query) });
    say.textContent = field.value ? countOf(view, query) : "";
  };
  field.addEventListener("input", search);
  dom.addEventListener("submit", (event) => {
    event.preventDefault();
    search();
    findNext(view);
  });
  dom.addEventListener("keydown", (event) => {
    if (event.key === "Escape") close();
    else if (event.key === "Enter" && event.shiftKey) {
      event.preventDefault();
      findPrevious(view);
    } else return;
    event.stopPropagation();
  });
  dom.append(
    label,
    button("Next", () => findNext(view)),
    button("Previous", () => findPrevious(view)),
    button("Close", close),
    say,
  );
  return { dom, top: true, mount: () => field.select() };
}

function button(name: string, run: () => void): HTMLButtonElement {
  const element = document.createElement("button");
  element.type = "button";
  element.textContent = name;
  element.addEventListener("click", run);
  return element;
}

/** Enough to say; counting on would hold up typing in a long text. */
const MOST_COUNTED = 999;

function countOf(view: EditorView, query: SearchQuery): string {
  const cursor = query.getCursor(view.state);
  let count = 0;
  while (count <= MOST_COUNTED && !cursor.next().done) count++;
  if (count > MOST_COUNTED) return `more than ${MOST_COUNTED} places`;
  return count === 1 ? "1 place" : `${count} places`;
}
