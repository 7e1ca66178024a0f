import type { ReactNode } from "react";
import { TYPE_TITLES } from "../../core/house/rule-titles.ts";
import type { RuleType } from "../../core/house/rules.ts";
import { HOUSE, type HouseStyle, OWN, PERSONAL } from "../../core/house/style.ts";
import { figure } from "../parts/words.ts";

interface Props {
  style: HouseStyle;
  houses: readonly HouseStyle[];
  part: string;
  open(part: string): void;
  choose(house: string): void;
  onNewHouse(): void;
  onNewList(): void;
}

/** The parts that show rules, each with the kinds of rules it shows. */
export const RULE_PARTS = {
  terms: ["term"],
  wording: ["wording"],
  capitals: ["capitals"],
  compounds: ["compound"],
  names: ["name"],
  abbreviations: ["abbreviation"],
  patterns: ["pattern", "expression"],
} as const satisfies Record<string, readonly RuleType[]>;
export type RulePart = keyof typeof RULE_PARTS;

export function isRulePart(part: string): part is RulePart {
  return part in RULE_PARTS;
}

/** Which house is open, and the parts of it. */
export function HouseNav({ style, houses, part, open, choose, onNewHouse, onNewList }: Props) {
  const listed = (id: string) => style.words.filter(({ list }) => list === id).length;
  const ruled = (types: readonly RuleType[]) =>
    style.rules.filter(({ type }) => types.includes(type)).length;
  const item = (id: string, title: string, number?: number) => (
    <Item key={id} title={title} count={number} on={part === id} run={() => open(id)} />
  );
  const isOwn = style.id === OWN;
  return (
    <nav aria-label="House style" className="pt-9">
      <label className="block px-3 pb-5">
        <span className="block pb-1 text-xs font-semibold text-soft">House</span>
        <select
          className="field w-full"
          value={style.id}
          onChange={(event) =>
            event.target.value === "" ? onNewHouse() : choose(event.target.value)
          }
        >
          <option value={OWN}>For every document</option>
          {houses.map(({ id, name }) => (
            <option key={id} value={id}>
              {name}
            </option>
          ))}
          <option value="">New house…</option>
        </select>
      </label>
      <Group title="Rules">
        {Object.entries(RULE_PARTS).map(([id, types]) =>
          item(id, TYPE_TITLES[types[0]], ruled(types)),
        )}
        {item("forms", TYPE_TITLES.form, ruled(["form"]))}
        {item("citations", "Citations", Object.keys(style.citations.overrides).length)}
      </Group>
      <Group title="Word lists">
        {isOwn ? item(PERSONAL, "Personal", listed(PERSONAL)) : null}
        {item(HOUSE, "House", listed(HOUSE))}
      </Group>
      {isOwn ? (
        <>
          <Group title="Subject lists">
            {item("subjects", "Those that ship")}
            {style.lists.map(({ id, name }) => item(id, name, listed(id)))}
            <li>
              <button
                type="button"
                className="button-text my-1.5 ml-3 text-[13px]"
                onClick={onNewList}
              >
                New list…
              </button>
            </li>
          </Group>
          <Group title="Typing">
            {item("replacements", "Replacements", style.replacements.length)}
            {item("sounds", "Sound rules", style.soundRules.length)}
          </Group>
        </>
      ) : null}
      <Group title="Checks">
        {item("checks", "How much of each", Object.keys(style.appetites).length)}
        {item("cleanup", "Clean-up", Object.keys(style.cleanup).length)}
      </Group>
      <Group title="The house">
        {item("house-itself", "Name, followers")}
        {item("learn", "Learn from documents")}
        {item("files", "Import, export")}
        {isOwn ? item("backup", "Backup") : null}
      </Group>
    </nav>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <section className="pb-4">
      <h2 className="px-3 pb-1 text-xs font-semibold text-soft">{title}</h2>
      <ul>{children}</ul>
    </section>
  );
}

interface ItemProps {
  title: string;
  count: number | undefined;
  on: boolean;
  run: () => void;
}

function Item({ title, count, on, run }: ItemProps) {
  return (
    <li>
      <button
        type="button"
        aria-current={on ? "true" : undefined}
        className={`flex w-full justify-between gap-3 border-l-3 px-3 py-1 text-left ${
          on ? "border-pen bg-sheet font-semibold" : "border-transparent"
        }`}
        onClick={run}
      >
        <span className="min-w-0 truncate">{title}</span>
        {count === undefined ? null : (
          <span className="font-normal text-soft">{figure(count)}</span>
        )}
      </button>
    </li>
  );
}
