import { draftFrom } from "../../core/house/draft-from.ts";
import { layersApart } from "../../core/house/layers.ts";
import { draftOf, type RuleDraft } from "../../core/house/rule-draft.ts";
import { newRuleId, type Rule } from "../../core/house/rules.ts";
import { type HouseStyle, houseName, OWN } from "../../core/house/style.ts";
import { addHouse, changeHouse, readLayers } from "../../store/house.ts";
import type { ShelfRecord } from "../../store/shelf.ts";
import type { Tried } from "../house/use-tried.ts";
import type { DeskCore } from "./desk-core.ts";
import type { DocumentSettings } from "./document-settings.ts";

/** Words without a mark, as what a rule is made of. */
const PLAIN = { check: "", group: "", put: null, preferred: null, others: [] };

/** The houses that a document follows, and rules made for them on the desk. */
export class HouseRules {
  constructor(
    private readonly core: DeskCore,
    private readonly settings: DocumentSettings,
  ) {}

  /** Has the document follow these houses, in this order. */
  async follow(houses: readonly Pick<HouseStyle, "id" | "name">[]): Promise<void> {
    await this.settings.followHouses(houses.map(({ id }) => id));
    const names = houses.map(({ name }) => name).join(", then ");
    this.core.say(
      names === "" ? "Follows no house. U takes it back." : `Follows ${names}. U takes it back.`,
    );
  }

  /** The rule that the selected words, the mark or the word at hand suggest; null where nothing is. */
  draft(): RuleDraft | null {
    const { phrase } = this.core.state;
    if (phrase !== "") return draftFrom({ ...PLAIN, text: phrase });
    const known = this.ruleAtHand();
    if (known) return draftOf(known.rule);
    const { subject, choices, previewed } = this.core.state;
    if (!subject) return null;
    if (subject.kind === "word") return draftFrom({ ...PLAIN, text: subject.word.word });
    const { mark } = subject.place;
    const group = this.core.copy.reported.groups.get(mark.group);
    const choice = choices?.[Math.max(0, previewed)];
    const preferred = group?.preferred?.variant ?? choice?.variant ?? null;
    const others = (group?.variants ?? [])
      .map(({ text, form = text }) => form)
      .filter((form) => form !== preferred);
    return draftFrom({
      text: mark.text,
      check: mark.rule,
      group: mark.group,
      put: choice?.label ?? null,
      preferred: group?.matter ? preferred : null,
      others,
    });
  }

  /** The rule that the open mark speaks for, and its house; null for a mark of another kind. */
  ruleAtHand(): { rule: Rule; house: string } | null {
    const { subject, houses, style } = this.core.state;
    if (subject?.kind !== "mark") return null;
    const { group } = subject.place.mark;
    for (const layer of [...houses, style]) {
      const rule = layer.rules.find(({ id }) => group.endsWith(`:${houseName(layer)}/${id}`));
      if (rule) return { rule, house: layer.id };
    }
    return null;
  }

  /** The rule that a group of forms suggests, with one of its forms. */
  draftOfGroup(id: string, form: string): RuleDraft {
    const group = this.core.copy.reported.groups.get(id);
    const others = (group?.variants ?? [])
      .map(({ text, form: own = text }) => own)
      .filter((one) => one !== form);
    const check = id.slice(0, id.indexOf(":"));
    return draftFrom({ text: form, check, group: id, put: null, preferred: form, others });
  }

  /** What rules are tried on: the document as it stands here. */
  tried(record: ShelfRecord | null): Tried {
    const edits = this.core.copy.editsSoFar();
    return {
      worker: this.core.worker,
      documents: [],
      record,
      edits,
      choose: () => undefined,
      chosen: record?.id ?? "",
      readAnother: async () => null,
    };
  }

  /** Adds a rule to a house, or puts it in the place of one of this id: in a new house where it has only a name, and has the document follow that. */
  async addRule(
    house: { id: string } | { name: string },
    rule: Rule,
    replaced: string,
  ): Promise<void> {
    await this.core.keeper.guard(async () => {
      const made = "id" in house ? null : await addHouse(house.name.trim());
      const id = made?.id ?? ("id" in house ? house.id : OWN);
      const style = await changeHouse(id, (now) => {
        const others = now.rules.filter((one) => one.id !== replaced);
        const taken = new Set(others.map((one) => one.id));
        const own = taken.has(rule.id) ? newRuleId(taken, rule.id) : rule.id;
        return { ...now, rules: [...others, { ...rule, id: own }] };
      });
      const followed = this.core.state.record?.houses ?? [];
      if (id !== OWN && !followed.includes(id)) await this.settings.followHouses([...followed, id]);
      else await this.refresh();
      this.core.say(`The rule is kept in ${style.name || "the style of every document"}.`);
    });
  }

  /** Reads the houses again, and checks by what they have now. */
  async refresh(): Promise<void> {
    const { record } = this.core.state;
    if (!record) return;
    this.core.publish(layersApart(await readLayers(record.houses)));
    await this.core.checking.configure();
  }
}
