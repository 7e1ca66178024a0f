import type { EntryName } from "../entry.ts";
import { directName, isFamily } from "../name-parts.ts";
import type { AuthorRules } from "../styles/style.ts";
import { type EntryFinding, type EntryRule, replacing } from "./rule.ts";

/** People of antiquity are known by one name. */
const ONE_NAME =
  /^(?:Plato|Aristotle|Homer|Cicero|Virgil|Ovid|Horace|Seneca|Plutarch|Euclid|Confucius|Voltaire|Molière|Stendhal|Tacitus|Livy|Sophocles|Euripides|Aeschylus|Herodotus|Thucydides|Augustine|Anonymous|Anon)$/u;
/** The first letter, or two or three that are shortened as one, such as “Yu.” */
const INITIAL = /^\p{Lu}(?:\p{Ll}{1,2}(?=\.))?/u;

/** How the style writes one name; null where the name as read does not tell. */
function written(name: EntryName, index: number, rules: AuthorRules): string | null {
  const { family, given, suffix } = name;
  if (!family || !given) return null;
  const behind = suffix ? (rules.form === "bare-initials" ? ` ${suffix}` : `, ${suffix}`) : "";
  if (rules.form === "given-names") {
    return index === 0 ? `${family}, ${given}${behind}` : `${given} ${family}${behind}`;
  }
  const initials = initialsOf(given, rules);
  if (initials === null) return null;
  if (rules.form === "initials-first") return `${initials} ${family}${behind}`;
  if (rules.form === "bare-initials") return `${family} ${initials}${behind}`;
  return `${family}, ${initials}${behind}`;
}

/** Given names as the style's initials; particles behind them stay. */
export function initialsOf(given: string, rules: AuthorRules): string | null {
  const parts = given.split(/(?=[\s-])|(?<=\.)(?=\p{Lu})/u).map((part) => part.trim());
  const isBare = /^\p{Lu}{1,4}(?:-?\p{Lu})*$/u.test(given);
  const all = isBare ? [...given.matchAll(/-?\p{Lu}/gu)].map(([one]) => one) : parts;
  let text = "";
  for (const part of all) {
    const hyphen = part.startsWith("-") ? "-" : "";
    const [initial] = INITIAL.exec(part.replace(/^-/, "")) ?? [];
    if (/^\p{Ll}/u.test(part)) {
      text += ` ${part}`;
      continue;
    }
    if (!initial) return null;
    if (rules.form === "bare-initials") text += initial;
    else text += `${hyphen || (text ? rules.betweenInitials : "")}${initial}.`;
  }
  return text || null;
}

/** Names in the style's order, with its initials. */
export const authorForm: EntryRule = (entry, { style, givenOf }) => {
  const { authors } = entry;
  if (!authors || authors.role?.text.includes("edited by")) return [];
  const rules = style.authors;
  const people = authors.names.filter(({ literal }) => literal === undefined).length;
  for (const [index, name] of authors.names.entries()) {
    const text = entry.text.slice(name.from, name.to);
    const found = name.literal === undefined ? ofPerson(name, text, index) : ofLiteral(name, index);
    // One fault of a list of names is often the cause of the next.
    if (found) return [found];
  }
  return [];

  function ofPerson(name: EntryName, text: string, index: number): EntryFinding | null {
    const right = written(name, index, rules);
    // “Jr.” has its place by more than one custom.
    if (right === null || same(text, right) || name.suffix) return null;
    const isOrder =
      name.isDirect ===
      (rules.form === "given-names" ? index === 0 : rules.form !== "initials-first");
    if (isOrder) return replacing(name, right, `${style.name} has this name as “${right}”.`);
    if (rules.form === "given-names") {
      return index > 0 && !name.isDirect && !/^\p{Lu}{1,3}$/u.test(name.given ?? "")
        ? replacing(
            name,
            right,
            `After the first, ${style.name} has given names first: “${right}”.`,
          )
        : null;
    }
    const isInitials =
      /^(?:\p{Lu}\p{Ll}{0,2}\.?[\s-]*)+(?:\s\p{Ll}+)*$/u.test(name.given ?? "") &&
      !/\p{Lu}\p{Ll}{2,}/u.test(name.given ?? "");
    // People of one family name are told apart by their given names.
    if (!isInitials && givenOf(name.family ?? "").size > 1) return null;
    if (isInitials && isSameInitials(text, right)) {
      return replacing(name, right, `${style.name} writes initials as in “${right}”.`);
    }
    return replacing(name, right, `${style.name} has initials for given names: “${right}”.`);
  }

  function ofLiteral(name: EntryName, index: number): EntryFinding | null {
    const literal = name.literal ?? "";
    const alone = authors?.names.length === 1;
    if (rules.form !== "given-names" && isFamily(literal) && !literal.includes(" ")) {
      const isLone =
        alone &&
        (ONE_NAME.test(literal) || !/^\p{Lu}[\p{Ll}’'-]{2,}(?:-\p{Lu}\p{Ll}+)?$/u.test(literal));
      if (isLone || (!alone && people === 0)) return null;
      return {
        from: name.from,
        to: name.to,
        reason: `The initials of “${literal}” are missing.`,
        edits: [],
        ...(alone ? { isDoubtful: true as const } : {}),
      };
    }
    const direct = directName(literal);
    if (!direct || (people === 0 && !alone)) return null;
    if (people === 0 && rules.form !== "given-names") return null;
    if (rules.form === "given-names" && index > 0) return null;
    const right = written({ ...name, ...direct }, index, rules);
    return right === null || right === literal
      ? null
      : replacing(name, right, `${style.name} has this name as “${right}”.`);
  }
};

function same(one: string, other: string): boolean {
  const plain = (text: string) => text.replaceAll(/[\s\u00a0]+/gu, " ").replace(/\.$/u, "");
  return plain(one) === plain(other);
}

function isSameInitials(one: string, other: string): boolean {
  const letters = (text: string) => text.replaceAll(/[\s.,]/gu, "");
  return letters(one) === letters(other);
}
