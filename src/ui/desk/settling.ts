import { LIST_SORTED, SORTED } from "../../core/citations/sorted-list.ts";
import type { GroupPlace } from "../../core/engine/mark.ts";
import { APART, pairsApart, termsGroup } from "../../core/gathered/term-pairs.ts";
import type { Term } from "../../core/gathered/terms.ts";
import { mergeEdits } from "../../core/gathered/write-term.ts";
import type { Anchor, Draft } from "../../core/ledger/decision.ts";
import type { Range } from "../../core/manuscript/model.ts";
import type { GatheredTables } from "../../worker/proofreader.ts";
import { anchorOf } from "./choices.ts";
import type { Deciding } from "./deciding.ts";
import type { DeskCore } from "./desk-core.ts";
import type { PlacedMark } from "./reported.ts";
import { settingValue } from "./settings.ts";

/** A place of a group of forms, with its range in the document. */
export type FormPlace = GroupPlace & { place: Range };

/** Settling a group of forms: every place of it, and one decision for all of them. */
export class Settling {
  constructor(
    private readonly core: DeskCore,
    private readonly deciding: Deciding,
  ) {}

  /**
   * The places of a group, and what each would be in a form. Null while the worker has nothing to tell, or
   * tells of another text than the one on screen.
   */
  async places(group: string, form: string): Promise<readonly FormPlace[] | null> {
    const { revision } = this.core.copy.reported;
    try {
      const found = await this.core.worker.formPlaces(group, form);
      if (found?.revision !== revision || this.core.copy.reported.revision !== revision)
        return null;
      const { blocks } = this.core.copy.layout;
      return found.places.map((one) => {
        const start = blocks[one.block]?.from ?? 0;
        return { ...one, place: { from: start + one.from, to: start + one.to } };
      });
    } catch (error) {
      void this.core.checking.afterFailure(error);
      return null;
    }
  }

  /** Writes a form in some places of a group, leaves others as they are, and keeps the form for the document. */
  async write(
    group: string,
    form: string,
    places: readonly FormPlace[],
    kept: readonly FormPlace[],
  ): Promise<void> {
    await this.deciding.act(() => {
      const edits = places.flatMap(({ place, insert }) =>
        insert === null ? [] : [{ ...place, insert }],
      );
      const [first = kept[0]] = places;
      return {
        act: edits.length > 0 ? "correct" : "setting",
        scope: "everywhere",
        marks: first ? [this.anchorOf(group, first)] : [],
        edits,
        kept: kept.map((one) => this.anchorOf(group, one)),
        setting: this.chosen(group, form),
      };
    });
  }

  /** Lets all forms of a group stand beside each other. */
  async keepAll(group: string, places: readonly FormPlace[]): Promise<void> {
    await this.deciding.act((): Draft => {
      const marks = places.slice(0, 1).map((one) => this.anchorOf(group, one));
      const setting = this.chosen(group, "");
      return { act: "setting", scope: "everywhere", marks, edits: [], setting };
    });
  }

  /** The abbreviations, quantities or terms; null while the worker has nothing to tell of the text on screen. */
  async gathered<K extends keyof GatheredTables>(what: K): Promise<GatheredTables[K] | null> {
    const { revision } = this.core.copy.reported;
    try {
      const found = await this.core.worker.gathered(
        what,
        pairsApart(this.core.state.record?.forms ?? {}),
      );
      return found?.revision === revision ? (found.table as GatheredTables[K]) : null;
    } catch (error) {
      void this.core.checking.afterFailure(error);
      return null;
    }
  }

  /** Writes one term wherever others stand. */
  async mergeTerms(into: string, others: readonly Term[]): Promise<void> {
    const edits = mergeEdits(into, others);
    if (edits.length === 0) return;
    await this.deciding.act((): Draft => {
      return { act: "correct", scope: "everywhere", marks: [], edits, note: `term: ${into}` };
    });
  }

  /** Remembers that terms are different things. */
  async partTerms(pairs: readonly string[]): Promise<void> {
    for (const pair of pairs) {
      await this.deciding.act((): Draft => {
        const setting = this.chosen(termsGroup(pair), APART);
        return { act: "setting", scope: "everywhere", marks: [], edits: [], setting };
      });
    }
  }

  /** Has the lists of references leave the document in their right order, or as they stand. */
  async sortLists(isSorted: boolean, misplaced: readonly PlacedMark[]): Promise<void> {
    await this.deciding.act((): Draft => {
      const setting = this.chosen(LIST_SORTED, isSorted ? SORTED : "");
      const marks = isSorted ? misplaced.map(anchorOf) : [];
      return { act: "setting", scope: "everywhere", marks, edits: [], setting };
    });
  }

  private chosen(of: string, after: string): NonNullable<Draft["setting"]> {
    const { record, style } = this.core.state;
    const which = { name: "form", of } as const;
    return { ...which, before: record && settingValue(record, style, which), after };
  }

  private anchorOf(group: string, { place }: FormPlace): Anchor {
    const rule = group.slice(0, group.indexOf(":"));
    return { rule, text: this.core.copy.text.slice(place.from, place.to), ...place };
  }
}
