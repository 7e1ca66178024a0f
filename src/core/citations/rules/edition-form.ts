import { type EntryRule, replacing } from "./rule.ts";

/** How an edition is written. */
export const editionForm: EntryRule = ({ fields }, { style }) => {
  const { edition } = fields;
  const found = edition && /^(.+?)\s(ed|edn|edition|ed\.|edn\.)$/u.exec(edition.text);
  if (!edition || !found) return [];
  const [, number = "", word = ""] = found;
  const right = `${number} ${style.edition}`;
  return word.replace(/\.$/u, "") === style.edition.replace(/\.$/u, "")
    ? []
    : [replacing(edition, right, `${style.name} writes “${right}”.`)];
};
