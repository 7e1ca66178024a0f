import {
  ordinalInFigures,
  ordinalInWords,
  valueOfOrdinal,
} from "../../../language/words/number-words.ts";
import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn, withCapitalsOf } from "../places.ts";
import { DIGITS, textSigns } from "../text-signs.ts";
import { eraForm as card } from "./cards.ts";

const ERA =
  /(?<![\p{L}\p{N}])(?:(?<lead>AD|CE)[ \u00a0](?<led>\d{1,4})|(?<year>\d{1,4})[ \u00a0](?<era>BCE?|CE|AD))(?![\p{L}\p{N}])/gu;
const CENTURY =
  /(?<![\p{L}\p{N}])(?:(?<figures>\d{1,2})(?:st|nd|rd|th)|(?<words>(?:twenty-)?(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|eleventh|twelfth|thirteenth|fourteenth|fifteenth|sixteenth|seventeenth|eighteenth|nineteenth)|twentieth))(?=[ \u00a0-]centur(?:y|ies)\b)/giu;
const DECADE =
  /(?<![\p{L}\p{N}])(?:(?<century>1[0-9]|20)(?<tens>\d)0s|['’](?<short>\d)0s)(?!\p{L})/gu;

interface EraFact extends FormFact {
  value: number;
  /** Before year one. */
  before: boolean;
}

/** Eras, centuries and decades. */
export const eraForm = formCheck<EraFact>({
  ...card,
  matter: "dates",
  examine(block) {
    if ((textSigns(block) & DIGITS) === 0 && !block.text.includes("centur")) return [];
    const facts: EraFact[] = [];
    for (const { match, from, to, kept } of matchesIn(block, ERA)) {
      const { lead = "", led = "", year = "", era = "" } = match.groups ?? {};
      const said = lead || era;
      const form = /CE/.test(said) ? "BCE, CE" : "BC, AD";
      facts.push({
        from,
        to,
        key: "era",
        form,
        value: Number(led || year),
        before: said.startsWith("B"),
        ...(kept ? { kept } : {}),
      });
    }
    for (const { match, from, to, kept } of matchesIn(block, CENTURY)) {
      const { figures, words = "" } = match.groups ?? {};
      const value = figures ? Number(figures) : (valueOfOrdinal(words.toLowerCase()) ?? 0);
      if (value < 5) continue;
      const opens = from === 0 || /[.!?]\s+$/.test(block.text.slice(Math.max(0, from - 3), from));
      const keeping = kept ?? (opens && !figures ? "opening" : undefined);
      facts.push({
        from,
        to,
        key: "century",
        form: figures ? "19th century" : "nineteenth century",
        value,
        before: false,
        ...(keeping ? { kept: keeping } : {}),
      });
    }
    for (const { match, from, to, kept } of matchesIn(block, DECADE)) {
      const { century, tens = "", short = "" } = match.groups ?? {};
      const value = century ? Number(century) * 100 + Number(tens) * 10 : Number(short) * 10;
      facts.push({
        from,
        to,
        key: "decade",
        form: century ? "1980s" : "’80s",
        value,
        before: false,
        ...(kept ? { kept } : {}),
      });
    }
    return facts;
  },
  write({ from, to, value, before }, form, text) {
    const written = text.slice(from, to);
    if (form === "BCE, CE")
      return `${value}\u00a0${before ? "BCE" : "CE"}`.replace(
        "\u00a0",
        / /.test(written) ? " " : "\u00a0",
      );
    if (form === "BC, AD") return before ? `${value} BC` : `AD ${value}`;
    if (form === "19th century") return ordinalInFigures(value);
    if (form === "nineteenth century") {
      const words = ordinalInWords(value);
      return words && withCapitalsOf(written, words);
    }
    if (form === "1980s")
      return value >= 100 ? `${value}s` : `19${String(value).padStart(2, "0")}s`;
    return `’${String(value % 100).padStart(2, "0")}s`;
  },
});
