import { PASSES, type Pass } from "../checks/card.ts";
import {
  type Check,
  type Circumstances,
  type Fact,
  type MarkFact,
  NO_FORMS,
} from "../checks/check.ts";
import type { RefusedRule } from "../checks/house/rule-book.ts";
import { CHECKS } from "../checks/index.ts";
import { appetiteFor } from "../checks/kinds.ts";
import { leftAlone } from "../checks/leave.ts";
import type { CitedDocument } from "../citations/cited-text.ts";
import type { Gathering } from "../gathered/gathering.ts";
import type { AnalysedBlock, Language } from "../language/analysis.ts";
import type { Vocabulary } from "../language/corrections/corrections.ts";
import { hasStraightApostrophes } from "../language/text/apostrophes.ts";
import { DocumentVocabulary } from "../language/words/vocabulary.ts";
import { groupedByBlock, relative } from "../manuscript/by-block.ts";
import { applyEdits, moveEdits } from "../manuscript/edits.ts";
import { copyLayout, shiftBlocks, shiftSpans } from "../manuscript/layout.ts";
import type { Block, Edit, Manuscript, Span } from "../manuscript/model.ts";
import { addCounts, type Counts, NO_COUNTS, subtractCounts } from "../readings/counts.ts";
import { readerOf } from "../readings/readers.ts";
import type { ReadBlock } from "../readings/readings.ts";
import { choicesOf, formChoices } from "./choosing.ts";
import { Citing } from "./citing.ts";
import { areDoubtsWorthIt } from "./doubts.ts";
import { EngineGathering } from "./engine-gathering.ts";
import { type Examined, NOT_EXAMINED, readBlock } from "./examined.ts";
import { Examiner } from "./examiner.ts";
import type { Finder } from "./finder.ts";
import { Findings } from "./findings.ts";
import type {
  CheckSettings,
  FormCounted,
  Group,
  GroupPlace,
  Mark,
  MarkChoice,
  Report,
  Tables,
} from "./mark.ts";
import { errorsAmong, marksOf, sameMarks, speakingIn } from "./marks.ts";
import { haveSameRules, lowerCase, type OpenedHouse, openHouse } from "./opened-house.ts";
import { Overlapping } from "./overlapping.ts";
import { Pages, roomsChanged } from "./pages.ts";
import { Tallies } from "./tallies.ts";
import { ToldTables } from "./told-tables.ts";
import { WholeFindings, wholeSource } from "./whole-findings.ts";

/** Contents kept beyond the current ones, so that undoing an edit costs nothing. */
const SPARE_CACHE = 2000;
/** Blocks examined before others get a turn. */
const BATCH = 64;
const NO_MARKS: readonly Mark[] = [];
const NO_FACTS: Examined["facts"] = new Map();

/**
 * Runs the checks over a manuscript and keeps marks, groups and tables up to date through edits. Each
 * block is examined once for each content it has had (`Examiner`); each check draws its conclusions
 * again only where its facts, or the verdicts they hang on, became others (`Findings`).
 */
export class Engine {
  /** Which of a set of documents this is. */
  readonly document: string;
  private readonly blocks: Block[];
  private readonly spans: Span[];
  private readonly texts: string[];
  private examined: Examined[] = [];
  /** The facts that the findings were drawn from, by block. */
  private drawn: Examined["facts"][] = [];
  /** Of the checks that run, in their order. */
  private findings: readonly Finder[] = [];
  private marks: (readonly Mark[])[] = [];
  private readonly groups = new Map<string, Group>();
  private total: Counts = NO_COUNTS;
  private pages = new Pages(0);
  private words: ReadonlySet<string>;
  private vocabulary: DocumentVocabulary | null = null;
  /** Whether the document writes straight apostrophes; null until it is asked for. */
  private straight: boolean | null = null;
  private lately = 0;
  /** The house rules it follows. */
  private house: OpenedHouse;
  /** Marks that are taken for errors, in all blocks. */
  private errors = 0;
  private doubts = false;
  private citing: Citing;
  /** What it shares with sources, once it has been compared. */
  readonly overlapping: Overlapping;
  private readonly told = new ToldTables();

  constructor(
    manuscript: Pick<Manuscript, "text" | "blocks" | "spans"> & { document?: string },
    private language: Language,
    private settings: CheckSettings,
    /** Knows most blocks of the text before any edit too. */
    readonly examiner = new Examiner(language),
  ) {
    const { blocks, spans } = copyLayout(manuscript);
    this.document = manuscript.document ?? "";
    this.blocks = blocks;
    this.spans = spans;
    this.texts = blocks.map(({ from, to }) => manuscript.text.slice(from, to));
    this.words = lowerCase(settings.words);
    this.house = this.open(language);
    this.citing = this.readCitations();
    this.overlapping = new Overlapping(this.blocks, this.spans, this.texts, () => this.cited);
  }

  /**
   * Examines every block for some passes, beside those it was examined for before, a batch at a
   * time, and yields how many are done, so that the caller can report, let others run, or stop.
   * Marks are there once it has run to its end.
   */
  *examineAll(passes: readonly Pass[] = PASSES): Generator<number> {
    this.examiner.add(passes);
    const spansByBlock = groupedByBlock(this.spans, this.blocks);
    for (let index = 0; index < this.blocks.length; index++) {
      this.examined[index] = this.examine(index, spansByBlock.get(index) ?? []);
      if (index % BATCH === BATCH - 1) yield index + 1;
    }
    this.total = addCounts(this.examined.map(({ counts }) => counts));
    this.drawAnew();
    yield this.blocks.length;
  }

  /** Takes in more language data; passes that need it are to be asked for afterwards. */
  learn(language: Language): void {
    this.language = language;
    this.examiner.learn(language);
    this.house = this.open(language);
  }

  /** What is shown beside the marks. */
  tables(): Tables {
    const withheld = new Map<string, number>();
    for (const findings of this.findings) {
      const count = findings.room?.withheld ?? 0;
      if (count > 0) withheld.set(findings.check.id, count);
    }
    return { counts: this.total, withheld };
  }

  /** Words, sentences and characters of the whole document. */
  counts(): Counts {
    return this.total;
  }

  /** The blocks with what readings are made of, as the text stands. */
  readBlocks(): ReadBlock[] {
    return this.blocks.map((block, index) =>
      readBlock(block, this.texts[index] ?? "", this.examined[index] ?? NOT_EXAMINED),
    );
  }

  /** A block of the text as it stands, analysed anew for what is not kept of it. */
  analysed(index: number): { part: AnalysedBlock; from: number }[] {
    const block = this.blocks[index];
    if (!block) return [];
    const own = relative(this.spansOf(index), block.from);
    return this.examiner.analysed(block.kind, this.texts[index] ?? "", own);
  }

  /** Blocks in all. */
  get size(): number {
    return this.blocks.length;
  }

  /** All marks in reading order. */
  allMarks(): Mark[] {
    return this.marks.flat();
  }

  /** All groups of which something is told. */
  allGroups(): ReadonlyMap<string, Group> {
    return this.groups;
  }

  /** Facts looked at for the last edit or change of settings, in whatever block they lie. */
  get visited(): number {
    return this.lately;
  }

  /**
   * Whether doubtful places of the grammar pass are shown: in a text of many errors, and on to the end
   * of its correction, lest they vanish as the errors do.
   */
  get showsItsDoubts(): boolean {
    return this.doubts;
  }

  /** Shows them from the beginning, as another engine did for an earlier state of the text. */
  showDoubts(): void {
    this.doubts = true;
  }

  /** Everything as it stands, blocks without marks included. */
  wholeReport(): Report {
    const marks = new Map(this.blocks.map((_, block) => [block, this.marks[block] ?? NO_MARKS]));
    const { document } = this;
    return { document, whole: true, marks, groups: new Map(this.groups), tables: this.tables() };
  }

  /** The block's text range in the document. */
  blockRange(index: number): { from: number; to: number } {
    const block = this.blocks[index];
    return { from: block?.from ?? 0, to: block?.to ?? 0 };
  }

  /** The block's text as it is now. */
  textOf(index: number): string {
    return this.texts[index] ?? "";
  }

  /**
   * Takes in edits (sorted, each inside one block) and re-checks what they touch. The blocks they lie
   * in are reported whether their marks are others or not: whoever moved marks through the edits may
   * have dropped some.
   */
  edit(edits: readonly Edit[]): Report {
    const byBlock = groupedByBlock(edits, this.blocks);
    for (const [index, own] of byBlock) {
      const { from } = this.blockRange(index);
      const before = this.texts[index] ?? "";
      const after = applyEdits(before, moveEdits(own, -from));
      this.texts[index] = after;
      this.vocabulary?.replace(before, after);
    }
    this.straight = null;
    this.citing.invalidate();
    this.overlapping.invalidate();
    shiftBlocks(this.blocks, edits);
    shiftSpans(this.spans, edits);
    const before = this.visitedSoFar();
    for (const index of byBlock.keys()) {
      const { counts } = this.examined[index] ?? { counts: NO_COUNTS };
      const now = this.examine(index, this.spansOf(index));
      this.examined[index] = now;
      this.total = addCounts([subtractCounts(this.total, counts), now.counts]);
      this.draw(index);
    }
    this.examiner.trim(this.blocks.length + SPARE_CACHE);
    const report = this.settle([...byBlock.keys()]);
    this.lately = this.visitedSoFar() - before;
    return report;
  }

  /** Changes what is checked; blocks need no second look. */
  configure(settings: CheckSettings): Report {
    const before = this.settings;
    this.settings = settings;
    if (settings.words !== before.words) {
      this.words = lowerCase(settings.words);
      this.vocabulary = null;
    }
    if (!haveSameRules(settings, before)) {
      this.house = this.open(this.language);
      const spansByBlock = groupedByBlock(this.spans, this.blocks);
      for (const index of this.blocks.keys()) {
        this.examined[index] = this.examine(index, spansByBlock.get(index) ?? []);
      }
    }
    return this.drawAnew();
  }

  /** The ways to mend a mark, worked out when asked for. Offsets in the block's text. */
  choices(mark: Pick<Mark, "rule" | "block" | "from" | "to" | "group">): MarkChoice[] {
    const order = CHECKS.findIndex(({ id }) => id === mark.rule);
    const text = this.texts[mark.block] ?? "";
    const facts = this.examined[mark.block]?.facts.get(order) ?? [];
    const cited = this.citedBy(mark.rule)?.choices(mark.block, mark.from, mark.to);
    if (cited) return cited.map((choice) => ({ ...choice, variant: choice.label }));
    const { forms } = CHECKS[order] ?? {};
    if (forms)
      return formChoices(
        forms,
        this.groups.get(mark.group),
        mark,
        text,
        facts,
        this.circumstances(),
      );
    return choicesOf(mark, text, facts as readonly MarkFact[], this.circumstances(), () => {
      this.straight ??= hasStraightApostrophes(this.texts);
      return this.straight;
    });
  }

  /** What tables are gathered from. */
  gathering(): Gathering {
    return new EngineGathering(this, this.language, (block) => this.examined[block]);
  }

  /** Every place of a group of forms, in reading order, beside one form or the one that is preferred. */
  placesOf(group: string, form?: string): GroupPlace[] {
    const at = group.indexOf(":");
    const findings = this.findings.find(({ check }) => check.id === group.slice(0, at));
    return findings?.placesOf(group.slice(at + 1), (block) => this.textOf(block), form) ?? [];
  }

  /** How often each form of everything that has forms stands in the document. */
  formCounts(): FormCounted[] {
    return this.findings.flatMap((findings) => [...findings.formCounts()]);
  }

  /** The entry that a mark of the citations pass speaks of, by its number. */
  referenceOf({ rule, block, from, to }: Omit<Parameters<Engine["choices"]>[0], "group">) {
    return this.citedBy(rule)?.referenceAt(block, from, to) ?? null;
  }

  /** The citations and lists as the text stands. */
  get cited(): CitedDocument {
    return this.citing.cited;
  }

  /** Takes over what the document was compared with; null ends comparing. */
  compare(compared: Parameters<Overlapping["compare"]>[0]): Report {
    this.overlapping.compare(compared);
    return this.settle([]);
  }

  /** House rules that can’t be followed. */
  get refusedRules(): readonly RefusedRule[] {
    return this.house.refused;
  }

  private examine(index: number, spans: Span[]): Examined {
    const block = this.blocks[index];
    if (!block) return NOT_EXAMINED;
    const own = relative(spans, block.from);
    return this.examiner.examine(block.kind, this.texts[index] ?? "", own);
  }

  private readCitations(): Citing {
    return new Citing(this.blocks, this.spans, this.texts, this.settings, this.language);
  }

  private citedBy(rule: string): WholeFindings | null {
    const found = this.findings.find(({ check }) => check.id === rule);
    return found instanceof WholeFindings ? found : null;
  }

  private circumstances(): Circumstances {
    const { variety, kind, leave, soundRules, reader, forms } = this.settings;
    return {
      variety,
      kind,
      words: this.words,
      language: this.language,
      leave: leftAlone(kind, leave ?? {}),
      vocabulary: () => this.vocabularyNow(),
      soundRules: soundRules ?? [],
      reader: readerOf(reader, kind),
      forms: forms && Object.keys(forms).length > 0 ? forms : NO_FORMS,
      ...this.house.told,
    };
  }

  /** Made when first asked for after a change. */
  private vocabularyNow(): Vocabulary {
    this.vocabulary ??= new DocumentVocabulary(
      this.texts,
      this.settings.words,
      this.language.lexicon,
    );
    return this.vocabulary;
  }

  /** Draws all conclusions from nothing. */
  private drawAnew(): Report {
    const circumstances = this.circumstances();
    this.citing = this.readCitations();
    this.overlapping.follow(this.settings);
    const shared = new Map<unknown, Tallies>();
    this.findings = [...CHECKS.entries()].flatMap(([order, check]): Finder[] => {
      const appetite = appetiteFor(check, this.settings);
      if (appetite === "off" || !this.examiner.has(check.pass)) return [];
      const whole = wholeSource(check, () => this.citing, this.overlapping);
      if (whole) return [new WholeFindings(check, order, whole)];
      const host = {
        block: (index: number) => this.blocks[index],
        facts: (index: number): readonly Fact[] | undefined => this.drawn[index]?.get(order),
      };
      const counting = check.across?.counting;
      const tallies = counting && (shared.get(counting) ?? new Tallies(counting, circumstances));
      if (counting && tallies) shared.set(counting, tallies);
      return [new Findings(check, order, appetite, circumstances, host, tallies)];
    });
    this.drawn = [];
    this.pages = new Pages(this.blocks.length);
    const gone = new Map([...this.groups.keys()].map((id) => [id, null]));
    this.groups.clear();
    for (let index = 0; index < this.blocks.length; index++) this.draw(index);
    const report = this.settle([], true);
    this.lately = this.visitedSoFar();
    return { ...report, groups: new Map([...gone, ...report.groups]) };
  }

  /** Puts the facts that a block has now in the place of those it had. */
  private draw(index: number): void {
    const before = this.drawn[index] ?? NO_FACTS;
    const now = this.examined[index]?.facts ?? NO_FACTS;
    this.drawn[index] = now;
    for (const findings of this.findings) {
      const had = before.get(findings.order);
      const has = now.get(findings.order);
      if (had || has) findings.replace(index, had, has);
    }
  }

  /** Brings marks, groups and tables up to date; `all` looks at every block. */
  private settle(reported: readonly number[], all = false): Report {
    const stale = new Set<number>(all ? this.blocks.keys() : reported);
    const groups: Report["groups"] = new Map();
    const pages = this.pages.update((block) => this.examined[block]?.counts.words ?? 0);
    for (const findings of this.findings) {
      const changed = new Set<number>();
      findings.settle(
        (block) => changed.add(block),
        (id, group) => this.tell(id, group, groups),
      );
      for (const block of roomsChanged(findings, changed, pages, this.pages)) stale.add(block);
      for (const block of changed) stale.add(block);
    }
    const marks: Report["marks"] = new Map();
    const speaking = all ? speakingIn(this.findings) : null;
    this.makeMarks(
      [...stale].sort((a, b) => a - b),
      speaking,
      marks,
    );
    if (!this.doubts && areDoubtsWorthIt(this.total.words, this.errors)) {
      this.doubts = true;
      this.makeMarks([...this.blocks.keys()], speaking ?? speakingIn(this.findings), marks);
    }
    for (const index of reported) marks.set(index, this.marks[index] ?? NO_MARKS);
    const { document } = this;
    return { document, whole: false, marks, groups, tables: this.told.changed(this.tables()) };
  }

  private makeMarks(
    blocks: readonly number[],
    speaking: (Finder[] | undefined)[] | null,
    changed: Report["marks"],
  ): void {
    for (const index of blocks) {
      const before = this.marks[index] ?? NO_MARKS;
      const now = this.marksIn(index, speaking ? (speaking[index] ?? []) : this.findings);
      if (sameMarks(before, now)) continue;
      this.errors += errorsAmong(now) - errorsAmong(before);
      this.marks[index] = now;
      changed.set(index, now);
    }
  }

  /**
   * Whether a check's doubtful places are shown; those of a check asked for in full always are, and
   * those of a check that weighs the whole text itself.
   */
  private showsDoubts({ id, pass, across }: Check): boolean {
    if (this.doubts || pass !== "grammar" || across?.totals) return true;
    return this.settings.appetites[id] === "all";
  }

  private tell(id: string, group: Group | null, groups: Report["groups"]): void {
    const before = this.groups.get(id);
    if (!before && !group) return;
    if (before && group && JSON.stringify(before) === JSON.stringify(group)) return;
    if (group) this.groups.set(id, group);
    else this.groups.delete(id);
    groups.set(id, group);
  }

  private marksIn(index: number, findings: readonly Finder[]): readonly Mark[] {
    if (findings.length === 0) return NO_MARKS;
    const block = { index, id: this.blocks[index]?.id ?? "", text: this.texts[index] ?? "" };
    return marksOf(block, findings, (check) => this.showsDoubts(check));
  }

  private visitedSoFar(): number {
    return this.findings.reduce((sum, { visited }) => sum + visited, 0);
  }

  private open(language: Language): OpenedHouse {
    const house = openHouse(this.settings, language);
    this.examiner.follow(house.book);
    return house;
  }

  private spansOf(index: number): Span[] {
    const { from, to } = this.blockRange(index);
    return this.spans.filter((span) => span.from >= from && span.to <= to);
  }
}
