import { type FormFact, formCheck } from "../form-check.ts";
import { matchesIn } from "../places.ts";
import { endsSentence } from "../terms/points.ts";
import { DIGITS } from "../text-signs.ts";
import { timeForm as card } from "./cards.ts";

const HALF_DAY =
  /(?<![\p{L}\p{N}_.,:/$£€-])(?<hour>1[0-2]|0?[1-9])(?:(?<sign>[:.])(?<minute>[0-5]\d))?(?<space>[ \u00a0]?)(?<half>[ap]\.? ?m\.?|[AP]\.? ?M\.?)(?![\p{L}\p{N}])/gu;
const WHOLE_DAY =
  /(?<=(?:^|\b(?:at|from|to|until|till|by|before|after|and|between|about|around|since|is|of|–|-)\s))(?<hour>[01]?\d|2[0-3])(?<sign>[:.])(?<minute>[0-5]\d)(?![\p{N}:]|[.,]\d|[ \u00a0]?(?:[ap]\.?m\b|[AP]\.?M\b|%|[a-z]{1,3}\b(?<!\b(?:a|an|and|at|by|in|is|it|of|on|or|the|to|we|he|but|for|as|was|sharp|so))))/gu;

interface TimeFact extends FormFact {
  hour: number;
  minute: string;
  /** "" for a time of the whole day. */
  half: string;
  sign: string;
}

/** Times of day: twelve hours or twenty-four, how the halves are written, and the sign before the minutes. */
export const timeForm = formCheck<TimeFact>({
  ...card,
  matter: "dates",
  needs: DIGITS,
  examine(block) {
    const facts: TimeFact[] = [];
    for (const { match, from, to, kept } of matchesIn(block, HALF_DAY)) {
      const { hour = "", minute = "", half = "", sign = "", space = "" } = match.groups ?? {};
      const shape = half.replace(/^[a]/, "p").replace(/^A/, "P").replace(/ /g, "");
      // A full stop that ends the sentence may be the abbreviation's own.
      const ends = shape.endsWith(".") && !shape.slice(0, -1).includes(".");
      const end = ends ? to - 1 : to;
      const form = `3${space === "" ? "" : " "}${ends ? shape.slice(0, -1) : shape}`;
      const rest = { hour: Number(hour), minute, half: half.charAt(0).toLowerCase(), sign };
      facts.push({
        from,
        to: end,
        key: ["hours", "am and pm"],
        form,
        ...rest,
        ...(kept ? { kept } : {}),
      });
      if (sign)
        facts.push({
          from,
          to: end,
          key: "minutes",
          form: `3${sign}30`,
          ...rest,
          ...(kept ? { kept } : {}),
        });
    }
    for (const { match, from, to, kept } of matchesIn(block, WHOLE_DAY)) {
      const { hour = "", minute = "", sign = "" } = match.groups ?? {};
      const rest = { hour: Number(hour), minute, half: "", sign };
      if (facts.some((one) => one.from < to && one.to > from)) continue;
      facts.push({
        from,
        to,
        key: "hours",
        form: `15${sign}30`,
        ...rest,
        ...(kept ? { kept } : {}),
      });
    }
    return facts;
  },
  reads: ["paragraph", "item", "note"],
  // Which half of the day is meant and how it is written are two questions.
  atOdds(key, counts) {
    const own = [...counts].filter(([, { own: places }]) => places > 0).map(([form]) => form);
    if (key === "hours") {
      const whole = own.filter((form) => form.startsWith("15"));
      return whole.length > 1 || (whole.length > 0 && whole.length < own.length);
    }
    return own.length > 1;
  },
  write({ from, to, hour, minute, half, sign }, form, text) {
    const written = text.slice(from, to);
    if (form.startsWith("15")) {
      const whole = half === "" ? hour : (hour % 12) + (half === "p" ? 12 : 0);
      return `${String(whole).padStart(2, "0")}${form.charAt(2)}${minute || "00"}`;
    }
    if (/^3[.:]30$/.test(form)) return written.replace(/[.:](?=\d\d)/, form.charAt(1));
    const of = half || (hour >= 12 ? "p" : "a");
    const shape = form.slice(1).replace(/[pP]/, (one) => (one === "P" ? of.toUpperCase() : of));
    const hours = half ? hour : hour % 12 || 12;
    const minutes = minute && minute !== "00" ? `${half ? sign : "."}${minute}` : "";
    const own = half && minute === "00" ? `${sign}00` : minutes;
    const out = `${hours}${own}${shape}`;
    // The stop of the sentence is not written twice.
    return out.endsWith(".") && text.charAt(to) === "." && endsSentence(text, to + 1)
      ? out.slice(0, -1)
      : out;
  },
});
