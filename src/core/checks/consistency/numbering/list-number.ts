import type { Block } from "../../../manuscript/model.ts";
import { listNumber as card } from "./cards.ts";
import { bySeries, type NumberedFact, sequenceCheck } from "./sequence.ts";

/** Numbers of the items of one list that leave one out or are there twice. */
export const listNumber = sequenceCheck<NumberedFact>({
  ...card,
  thing: "Number",
  // What begins anew is another list, which the file does not tell apart.
  isWhole: ({ numbers }) =>
    numbers.every(({ number }, index) => number >= (numbers[index - 1]?.number ?? 0)),
  examine({ kind, text }) {
    if (kind !== "item") return [];
    const to = Math.max(1, text.search(/\s|$/));
    return [{ from: 0, to, series: "", number: 0, label: "" }];
  },
  counting: bySeries(
    (_fact, block) =>
      block.list === undefined || Number.isNaN(markerNumber(block))
        ? null
        : `list ${block.list} ${(block.marker ?? "").replace(/\d+/, "1")}`,
    (_fact, block) => markerNumber(block),
    (_fact, { marker = "" }) => marker,
  ),
});

/** The number that stands before an item; NaN for a mark that is none. */
function markerNumber({ marker = "" }: Block): number {
  return Number(/^\(?(\d{1,4})[.)]?$/.exec(marker)?.[1] ?? Number.NaN);
}
