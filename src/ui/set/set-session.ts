import { proxy } from "comlink";
import { EXPLAINED_IN } from "../../core/checks/check.ts";
import type { Group } from "../../core/engine/mark.ts";
import type { AbbreviationRow } from "../../core/gathered/abbreviations.ts";
import { APART, pairKey, pairsApart, termsGroup } from "../../core/gathered/term-pairs.ts";
import type { Family, GatheredTerms, Term } from "../../core/gathered/terms.ts";
import { mergeEdits } from "../../core/gathered/write-term.ts";
import type { Decision, Draft } from "../../core/ledger/decision.ts";
import { enter, undo } from "../../core/ledger/ledger.ts";
import { Combined, type PlaceInPart } from "../../core/manuscript/combined.ts";
import type { Edit, Manuscript } from "../../core/manuscript/model.ts";
import { checkSettings } from "../../store/check-settings.ts";
import { type Hold, holdDocument } from "../../store/hold.ts";
import { readLayers } from "../../store/house.ts";
import { readDecisions, writeDecision } from "../../store/ledger.ts";
import type { DocumentSet } from "../../store/sets.ts";
import { readOriginal, readRecord, type ShelfRecord, updateRecord } from "../../store/shelf.ts";
import type { ProofreaderLink } from "../../worker/connect.ts";
import { DeskDocument } from "../desk/desk-document.ts";
import { Reported } from "../desk/reported.ts";

/** One document of the set, as it stands. */
interface Member {
  record: ShelfRecord;
  manuscript: Manuscript;
  copy: DeskDocument;
  hold: Hold;
}

/** A place of a group, in one of the documents. */
export interface SetPlace extends PlaceInPart {
  /** Where it is in all of them together. */
  whole: { from: number; to: number };
  form: string;
  odd: boolean;
  isSafe: boolean;
  insert: string | null;
}

/** What was done to all documents at once, so that it can be taken back in all of them. */
interface Step {
  label: string;
  /** The decision in each document, by its number among the documents. */
  made: { part: number; seq: number }[];
}

/**
 * Several documents settled as one. They are checked as one text, under the settings of the first; what is
 * written goes to each document's own ledger, from where it can be taken back as well.
 */
export class SetSession {
  private members: Member[] = [];
  private whole = new Combined([]);
  private reported = new Reported([]);
  private readonly steps: Step[] = [];
  /** Titles of documents that could not be opened, with the reason. */
  readonly problems: string[] = [];

  constructor(
    readonly set: DocumentSet,
    private readonly worker: ProofreaderLink,
  ) {}

  get titles(): string[] {
    return this.members.map(({ record }) => record.title);
  }

  get ids(): string[] {
    return this.members.map(({ record }) => record.id);
  }

  /** What can be taken back, the newest last. */
  get done(): readonly string[] {
    return this.steps.map(({ label }) => label);
  }

  /** Opens the documents that nobody else holds. */
  async open(): Promise<void> {
    for (const id of this.set.documents) {
      const [record, bytes] = await Promise.all([readRecord(id), readOriginal(id)]);
      if (!record || !bytes) {
        this.problems.push("One document of the set is not on the shelf any more.");
        continue;
      }
      const hold = await holdDocument(id);
      if (!hold.first) {
        hold.release();
        this.problems.push(`“${record.title}” is open on a desk: close it there first.`);
        continue;
      }
      const read = await this.worker.read(bytes, record.fileName, record.variety);
      if ("problem" in read) {
        hold.release();
        this.problems.push(`“${record.title}”: ${read.problem.sentence}`);
        continue;
      }
      const copy = new DeskDocument(read.manuscript, await readDecisions(id), id);
      this.members.push({ record, manuscript: read.manuscript, copy, hold });
    }
  }

  /** Lets the documents go. */
  close(): void {
    for (const { hold } of this.members) hold.release();
  }

  /** Checks all documents as one. */
  async check(progressed: (share: number) => void): Promise<void> {
    const [first] = this.members;
    if (!first) return;
    this.whole = new Combined(
      this.members.map(({ record, copy }) => ({
        id: record.id,
        title: record.title,
        ...copy.current(),
      })),
    );
    const { record, manuscript } = first;
    const forms = Object.assign({}, ...this.members.toReversed().map((one) => one.record.forms));
    const layers = await readLayers(record.houses);
    await this.worker.hold({ ...manuscript, ...this.wholeManuscript(), title: this.set.name });
    this.reported = new Reported(this.whole.blocks, this.set.id);
    const update = await this.worker.check(
      this.set.id,
      [],
      0,
      { ...checkSettings(record, layers), forms },
      proxy(({ done, all }) => progressed(done / Math.max(1, all))),
      proxy(() => undefined),
    );
    if (!update || typeof update === "string") return;
    this.reported.report(update, update.revision);
  }

  private wholeManuscript(): Pick<Manuscript, "text" | "blocks" | "spans"> {
    const { text, blocks, spans } = this.whole;
    return { text, blocks: [...blocks], spans: [...spans] };
  }

  /** Groups of forms, with how many places are at odds and in how many documents they are. */
  groups(): { group: Group; odd: number; documents: number }[] {
    const found = new Map<string, { odd: number; documents: Set<number> }>();
    for (const { mark, from, to } of this.reported.all()) {
      const known = found.get(mark.group) ?? { odd: 0, documents: new Set<number>() };
      known.odd++;
      known.documents.add(this.whole.placeOf({ from, to }).part);
      found.set(mark.group, known);
    }
    return [...this.reported.groups.values()].flatMap((group) => {
      const own = found.get(group.id);
      if (!own || !group.matter || (group.variants?.length ?? 0) < 2) return [];
      return [{ group, odd: own.odd, documents: own.documents.size }];
    });
  }

  /** Open marks of each document, by pass. */
  counts(): Record<string, number>[] {
    const counts = this.members.map((): Record<string, number> => ({}));
    for (const { mark, from, to } of this.reported.all()) {
      if (mark.follows) continue;
      const own = counts[this.whole.placeOf({ from, to }).part];
      if (own) own[mark.pass] = (own[mark.pass] ?? 0) + 1;
    }
    return counts;
  }

  /** The places of a group in all documents, and what each would be in a form. */
  async places(group: string, form: string): Promise<SetPlace[]> {
    const found = await this.worker.formPlaces(group, form);
    return (found?.places ?? []).map(({ block, from, to, form: own, odd, isSafe, insert }) => {
      const start = this.whole.blocks[block]?.from ?? 0;
      const whole = { from: start + from, to: start + to };
      return { ...this.whole.placeOf(whole), whole, form: own, odd, isSafe, insert };
    });
  }

  /** The text around a place. */
  context(
    { whole }: Pick<SetPlace, "whole">,
    width: number,
  ): { before: string; text: string; after: string } {
    const { text } = this.whole;
    return {
      before: text.slice(Math.max(0, whole.from - width), whole.from),
      text: text.slice(whole.from, whole.to),
      after: text.slice(whole.to, whole.to + width),
    };
  }

  /** The abbreviations of all documents together. */
  async abbreviations(): Promise<{ row: AbbreviationRow; documents: number[] }[]> {
    const found = await this.worker.gathered("abbreviations", []);
    const rows = (found?.table ?? []) as AbbreviationRow[];
    return rows.map((row) => ({
      row,
      documents: [...new Set(row.places.map((place) => this.whole.placeOf(place).part))],
    }));
  }

  /** Families of terms over all documents, with the documents each is in, the likeliest first. */
  async families(): Promise<{ family: Family; documents: number[] }[]> {
    const apart = this.members.flatMap(({ record }) => pairsApart(record.forms));
    const found = await this.worker.gathered("terms", apart);
    const { families } = (found?.table ?? { families: [] }) as Pick<GatheredTerms, "families">;
    return families.map((family) => {
      const places = family.terms.flatMap((term) => term.places);
      const documents = new Set(places.map((place) => this.whole.placeOf(place).part));
      return { family, documents: [...documents].sort((one, other) => one - other) };
    });
  }

  /** Where a term stands, each place with the document it is in. */
  placesOf({ places }: Term): Pick<SetPlace, "whole" | "part">[] {
    return places.map(({ from, to }) => {
      const whole = { from, to };
      return { whole, part: this.whole.placeOf(whole).part };
    });
  }

  /** Writes one term wherever others stand, each place in its own document. */
  async mergeTerms(into: string, others: readonly Term[]): Promise<number> {
    const edits = mergeEdits(into, others);
    const made: Step["made"] = [];
    for (const [part, own] of this.whole.apart(edits)) {
      const note = `term: ${into}, in “${this.set.name}”`;
      const draft: Draft = { act: "correct", scope: "everywhere", marks: [], edits: own, note };
      made.push({ part, seq: await this.decide(part, draft) });
    }
    this.steps.push({ label: `“${into}” in ${edits.length} places`, made });
    return edits.length;
  }

  /** Remembers in every document that the terms of a family are different things. */
  async partTerms({ evidence }: Family): Promise<void> {
    const made: Step["made"] = [];
    for (const { one, other } of evidence) {
      const of = termsGroup(pairKey(one, other));
      for (const [part, { record }] of this.members.entries()) {
        const before = record.forms[of] ?? null;
        const setting = { name: "form", of, before, after: APART } as const;
        const draft: Draft = { act: "setting", scope: "everywhere", marks: [], edits: [], setting };
        made.push({ part, seq: await this.decide(part, draft) });
        await this.setForm(part, of, APART);
      }
    }
    this.steps.push({ label: "terms told apart", made });
  }

  /** Writes a form in these places, each in its own document, and keeps the form for all documents. */
  async write(group: string, form: string, places: readonly SetPlace[]): Promise<void> {
    const edits = places.flatMap(({ whole, insert }): Edit[] =>
      insert === null ? [] : [{ ...whole, insert }],
    );
    const apart = this.whole.apart(edits);
    const made: Step["made"] = [];
    for (const [part, { record }] of this.members.entries()) {
      const own = apart.get(part) ?? [];
      const [first] = places.filter((place) => place.part === part);
      const rule = group.slice(0, group.indexOf(":"));
      const isOfAll = group !== EXPLAINED_IN;
      const before = record.forms[group] ?? null;
      const draft: Draft = {
        act: own.length > 0 ? "correct" : "setting",
        scope: "everywhere",
        marks: first ? [{ rule, text: first.form, from: first.from, to: first.to }] : [],
        edits: own,
        ...(isOfAll ? { setting: { name: "form", of: group, before, after: form } } : {}),
        note: `in “${this.set.name}”`,
      };
      made.push({ part, seq: await this.decide(part, draft) });
      await this.setForm(part, group, form);
    }
    this.steps.push({ label: `“${form}” in ${edits.length} places`, made });
  }

  /** Takes the last thing done here back, in every document. Returns a sentence where one refuses. */
  async undoLast(): Promise<string> {
    const step = this.steps.pop();
    if (!step) return "There is nothing to take back here.";
    for (const { part, seq } of step.made.toReversed()) {
      const member = this.members[part];
      if (!member) continue;
      const result = undo(member.copy.history, seq);
      if ("refusal" in result) return `“${member.record.title}”: ${result.refusal}`;
      const taken = member.copy.decisions[seq - 1];
      await this.decide(part, result.draft);
      const { setting } = taken ?? {};
      if (setting?.of) await this.setForm(part, setting.of, setting.before);
    }
    return `Taken back: ${step.label}.`;
  }

  private async setForm(part: number, group: string, form: unknown): Promise<void> {
    const member = this.members[part];
    if (!member) return;
    const { [group]: _before, ...others } = member.record.forms;
    const forms = typeof form === "string" ? { ...others, [group]: form } : others;
    member.record = { ...member.record, forms };
    await updateRecord(member.record.id, { forms });
  }

  /** Enters a decision in a document's ledger, on disk first; its number there. */
  private async decide(part: number, draft: Draft): Promise<number> {
    const member = this.members[part];
    if (!member) return 0;
    const decision: Decision = enter(member.copy.history, draft, new Date().toISOString());
    await writeDecision(member.record.id, decision);
    const decisions = [...member.copy.decisions, decision];
    member.copy = new DeskDocument(member.manuscript, decisions, member.record.id);
    return decision.seq;
  }
}
