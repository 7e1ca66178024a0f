import { useEffect, useMemo, useState } from "react";
import type { RuleDraft } from "../../core/house/rule-draft.ts";
import type { Rule } from "../../core/house/rules.ts";
import { type HouseStyle, newHouse, OWN } from "../../core/house/style.ts";
import { listHouses } from "../../store/house.ts";
import { RuleEditor } from "../house/RuleEditor.tsx";
import { Modal } from "../parts/Modal.tsx";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

interface Props {
  session: DeskSession;
  /** The rule to begin with; null keeps the dialog closed. */
  draft: RuleDraft | null;
  onClose: () => void;
}

/** Stands for a house that is made with the rule. */
const NEW = "";

/** Makes a house rule of what is at hand on the desk, filled in, with its count in this document. */
export function HouseRuleDialog({ session, draft, onClose }: Props) {
  return (
    <Modal open={draft !== null} onClose={onClose} title="A rule for the house" isWide>
      {draft ? <Form session={session} draft={draft} onClose={onClose} /> : null}
    </Modal>
  );
}

function Form({ session, draft, onClose }: Props & { draft: RuleDraft }) {
  const { record, houses, style } = useSlice(session, "record", "houses", "style");
  const [all, setAll] = useState<readonly HouseStyle[]>([]);
  const [chosen, setChosen] = useState(
    () => session.house.ruleAtHand()?.house ?? houses[0]?.id ?? OWN,
  );
  const [name, setName] = useState("");
  useEffect(() => {
    void listHouses().then(setAll);
  }, []);
  const tried = useMemo(() => session.house.tried(record), [session, record]);
  const house = useMemo(() => {
    if (chosen === OWN) return style;
    return all.find(({ id }) => id === chosen) ?? newHouse("new", name || "the house");
  }, [chosen, all, style, name]);
  const keep = async (rule: Rule) => {
    onClose();
    await session.house.addRule(chosen === NEW ? { name } : { id: chosen }, rule, draft.id);
  };
  const lacksName = chosen === NEW && name.trim() === "";
  return (
    <>
      <div className="mt-3 mb-4 flex items-baseline gap-3">
        <label className="text-soft">
          Kept in{" "}
          <select
            className="field text-ink"
            value={chosen}
            onChange={(event) => setChosen(event.target.value)}
          >
            {all.map(({ id, name: title }) => (
              <option key={id} value={id}>
                {title}
                {houses.some((one) => one.id === id) ? "" : " (not followed yet)"}
              </option>
            ))}
            <option value={OWN}>every document</option>
            <option value={NEW}>a new house</option>
          </select>
        </label>
        {chosen === NEW ? (
          <input
            aria-label="Name of the new house"
            className="field w-56"
            placeholder="its name"
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
          />
        ) : null}
        {lacksName ? <span className="text-[13px] text-soft">Give it a name first.</span> : null}
      </div>
      <RuleEditor
        key={chosen}
        tried={tried}
        style={house}
        start={draft}
        onKeep={(rule) => {
          if (!lacksName) void keep(rule);
        }}
        onRemove={null}
        onClose={onClose}
      />
    </>
  );
}
