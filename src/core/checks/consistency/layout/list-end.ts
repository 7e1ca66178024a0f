import { type FormFact, formCheck } from "../form-check.ts";
import { listEnd as card } from "./cards.ts";

const NOTHING = "nothing";
const SIGNS: Readonly<Record<string, string>> = {
  ".": "full stop",
  ";": "semicolon",
  ",": "comma",
};
const SIGN_OF: Readonly<Record<string, string>> = {
  "full stop": ".",
  semicolon: ";",
  comma: ",",
  nothing: "",
};
/** The end of an item, with what joins the last but one to the last. */
const END = /([.;,]?)((?:\s+(?:and|or|and\/or))?)\s*$/;
const LEAST_ITEMS = 3;

/** What the items of one list end with. */
export const listEnd = formCheck<FormFact>({
  ...card,
  matter: "layout",
  examine({ text, sentences }) {
    const trimmed = text.trimEnd();
    // An item of several sentences ends as a sentence does; one that leads to another list with a colon.
    if (trimmed === "" || sentences.length > 1 || /[:?!…]["”’)]*$/.test(trimmed)) return [];
    const [, sign = ""] = END.exec(trimmed) ?? [];
    const from = Math.max(0, trimmed.search(/[\p{L}\p{N}]+[^\p{L}\p{N}]*$/u));
    return [{ from, to: trimmed.length, key: "", form: SIGNS[sign] ?? NOTHING }];
  },
  reads: ["item"],
  keyOf: (_fact, { list }) => (list === undefined ? null : `list ${list}`),
  atOdds(_key, counts) {
    const own = [...counts].filter(([, { own: places }]) => places > 0);
    const all = own.reduce((sum, [, { own: places }]) => sum + places, 0);
    // The last item closes the sentence that the others go on with.
    const others = own.filter(([form, { own: places }]) => form !== "full stop" || places > 1);
    const goesOn = others.some(([form]) => form === "semicolon" || form === "comma");
    return all >= LEAST_ITEMS && (goesOn ? others : own).length > 1;
  },
  goesWith: (form, preferred) =>
    form === "full stop" && (preferred === "semicolon" || preferred === "comma"),
  write({ from, to }, form, text) {
    const written = text.slice(from, to);
    const sign = SIGN_OF[form];
    return sign === undefined ? null : written.replace(END, (_whole, _sign, joint) => sign + joint);
  },
});
