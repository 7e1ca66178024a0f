import { unitBySymbol } from "../../../language/quantities/units.ts";
import { conversion as card } from "./cards.ts";
import { agree, inUnit, statedTwice } from "./conversions.ts";
import { quantityCheck, writtenOf } from "./facts.ts";

/** A quantity said in two units that are not the same. */
export const conversion = quantityCheck(card, function* (quantities, text) {
  for (const stated of statedTwice(quantities, text)) {
    if (agree(stated)) continue;
    const { first, second } = stated;
    const from = first.from;
    const to = second.to + (/^[^()[\]]{0,12}[)\]]/.exec(text.slice(second.to))?.[0].length ?? 0);
    const unit = second.written ? unitBySymbol(writtenOf(text, second.written))?.unit : undefined;
    const known = unit ?? { factor: second.factor, offset: second.offset };
    const right = inUnit(first, known);
    const whole = writtenOf(text, { from, to });
    const mend =
      whole.slice(0, second.number.from - from) + right + whole.slice(second.number.to - from);
    const reason = `“${writtenOf(text, first)}” is ${right} ${second.unit}, not “${writtenOf(text, second)}”.`;
    yield { from, to, reason, mends: [mend] };
  }
});
