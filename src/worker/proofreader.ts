import type { Version } from "../core/carry/alignment.ts";
import { type CarriedDecisions, carryDecisions } from "../core/carry/carry-decisions.ts";
import { type ComparedRow, compareVersions } from "../core/carry/compare.ts";
import { PASSES, type Pass } from "../core/checks/card.ts";
import { clashesOf } from "../core/checks/house/clashes.ts";
import { listOrders } from "../core/citations/sorted-list.ts";
import { type Cleanup, findCleanup } from "../core/cleanup/cleanup.ts";
import { cleanContext } from "../core/cleanup/context.ts";
import { Engine } from "../core/engine/engine.ts";
import type {
  CheckSettings,
  FormCounted,
  GroupPlace,
  Mark,
  MarkChoice,
  Report,
} from "../core/engine/mark.ts";
import { phrasesInstead } from "../core/engine/phrases-instead.ts";
import { placesBehind, readText, type TextReadings } from "../core/engine/reading.ts";
import {
  type ExampleOutcome,
  failingExamples,
  RuleTrials,
  type Trial,
  tryExamples,
} from "../core/engine/rule-trial.ts";
import type { BlockOrder } from "../core/formats/block-order.ts";
import {
  type Exported,
  type ExportRequest,
  type Problem,
  type ReadResult,
  readDocument,
  writeDocument,
} from "../core/formats/document.ts";
import { FormatProblem } from "../core/formats/problem.ts";
import { type AbbreviationRow, gatherAbbreviations } from "../core/gathered/abbreviations.ts";
import { type CitationTable, gatherCitations } from "../core/gathered/citations.ts";
import type { CollatedCell, OverlapTable } from "../core/gathered/overlaps.ts";
import { gatherQuantities, type KindRow } from "../core/gathered/quantities.ts";
import { type GatheredTerms, gatherTerms } from "../core/gathered/terms.ts";
import type { LearnedDocument } from "../core/house/learn.ts";
import type { HouseRule, Rule, RuleExample } from "../core/house/rules.ts";
import type { Language } from "../core/language/analysis.ts";
import { correctWord } from "../core/language/corrections/corrections.ts";
import type { PartOfSpeech } from "../core/language/meanings/word-net.ts";
import { tokenise } from "../core/language/text/tokens.ts";
import { guessVariety } from "../core/language/text/variety.ts";
import { basesOf, fitLike, formsOf, type WordForm } from "../core/language/words/about-word.ts";
import { withoutPossessive } from "../core/language/words/known.ts";
import type { Decision } from "../core/ledger/decision.ts";
import { withEdits } from "../core/manuscript/layout.ts";
import type { Edit, Manuscript, Variety } from "../core/manuscript/model.ts";
import type { OwnSource } from "../core/originality/compared-sources.ts";
import type { Measured } from "../core/originality/measured.ts";
import { type VoiceStretch, voiceOf } from "../core/originality/voice.ts";
import type { CountPlace, PlaceQuery } from "../core/readings/places.ts";
import type { Scope } from "../core/readings/scope.ts";
import { type CompareProgress, Comparing, type Sent, type ShippedCollection } from "./comparing.ts";
import type { LanguageSource } from "./language-source.ts";

/** The core behind a worker: reading, checking and writing never run in the interface thread. */

/** How many blocks a running check has examined. */
export interface Progress {
  done: number;
  all: number;
}

export interface AboutWord {
  /** Words to look up, the one asked for first. */
  bases: string[];
  forms: { base: string; forms: WordForm[] }[];
  syllables: number;
}

/** The places of a group of forms, in the text after the edit of this number. */
export interface FormPlaces {
  revision: number;
  places: GroupPlace[];
}

/** What is gathered when it is asked for. */
export interface GatheredTables {
  abbreviations: AbbreviationRow[];
  quantities: KindRow[];
  terms: GatheredTerms;
  citations: CitationTable;
  /** Null where the document has not been compared. */
  overlaps: OverlapTable | null;
}

/** A report, and which text it is of. */
export interface Update extends Report {
  /** The number of the edit, as the desk counts them, that the report is of the text after. */
  revision: number;
  /** Passes that could not be read, since their data can't be had just now. */
  unread: readonly Pass[];
}

/** Milliseconds of checking after which messages get a turn. */
const TURN_MS = 24;

/** Milliseconds of trying a rule after which what is found so far is told. */
const TRIAL_MS = 60;

/** A turn of the message queue, without the delay that timers have. */
function otherMessages(): Promise<void> {
  return new Promise((resolve) => {
    const channel = new MessageChannel();
    channel.port1.onmessage = () => {
      channel.port1.close();
      resolve();
    };
    channel.port2.postMessage(null);
  });
}

/** Why there are no marks: nothing to check has been read here, or an edit before this one is missing. */
export type Amiss = "unread" | "missed";

/** An engine, the revision of the text it has seen, and the passes it can't run. */
interface Running {
  engine: Engine;
  revision: number;
  unread: readonly Pass[];
  /** Its text is another than the manuscript that was read. */
  changed: boolean;
}

const AFTER_SPELLING = PASSES.filter((pass) => pass !== "spelling");

/** What became otherwise by the last edit, as a message. */
function updateOf({ revision, unread }: Running, report: Report): Update {
  return { ...report, revision, unread };
}

/** Everything an engine has found, blocks without marks included. */
function wholeUpdate(running: Running): Update {
  return updateOf(running, running.engine.wholeReport());
}

export class Proofreader {
  private running: Running | null = null;
  /** Edits that came while the first pass of a new check was being read. */
  private waiting: { edits: readonly Edit[]; revision: number }[] = [];
  /** The last manuscript read: the one to check, so that it need not be sent back here. */
  private manuscript: Manuscript | null = null;
  private run = 0;
  /** Settings that came while the first pass of a new check was being read. */
  private waitingSettings: CheckSettings | null = null;
  /** What is tried now, and the document as rules were last tried on it. */
  private trialTurn = 0;
  private trials: { key: string; trials: RuleTrials } | null = null;

  private readonly comparing: Comparing;
  private compareTurn = 0;

  constructor(
    private readonly data: LanguageSource,
    shipped: ShippedCollection,
  ) {
    this.comparing = new Comparing(shipped, otherMessages);
  }

  /** Answers, to show that this worker is alive and has nothing long to do. */
  alive(): true {
    return true;
  }

  /** Reads a file; a problem is a value, not an error. */
  async read(bytes: Uint8Array, name: string, fallback: Variety): Promise<ReadResult> {
    const { lexicon } = await this.data.base();
    const result = await readDocument(bytes, name, (text) => guessVariety(text, lexicon, fallback));
    if ("manuscript" in result) this.manuscript = result.manuscript;
    return result;
  }

  /** Takes a manuscript that was put together elsewhere for the one read last. */
  hold(manuscript: Manuscript): void {
    this.manuscript = manuscript;
  }

  /**
   * Checks the manuscript that was read last, a document of this id, with these edits made on its
   * original text, and keeps it for further edits, which are numbered on from `revision`. The spelling pass goes first and its
   * marks are delivered as soon as they are there; the marks of all passes are what is returned. Null
   * when another check was started or this one was stopped meanwhile.
   */
  async check(
    document: string,
    edits: readonly Edit[],
    revision: number,
    settings: CheckSettings,
    report: (progress: Progress) => void,
    deliver: (update: Update) => void,
  ): Promise<Update | Amiss | null> {
    const run = ++this.run;
    this.waiting = [];
    this.waitingSettings = null;
    if (!this.manuscript) return "unread";
    const manuscript = { ...withEdits(this.manuscript, edits), document };
    const engine = new Engine(manuscript, await this.data.now(), await this.withSubjects(settings));
    if (run !== this.run) return null;
    if (!(await this.examine(engine, ["spelling"], run, report))) return null;
    const changed = edits.length > 0;
    const running: Running = { engine, revision, unread: AFTER_SPELLING, changed };
    this.running = running;
    if (this.waitingSettings) engine.configure(this.waitingSettings);
    for (const late of this.waiting) {
      if (this.follow(running, late.edits, late.revision) === "missed") return "missed";
    }
    this.waiting = [];
    deliver(wholeUpdate(running));
    const language = await this.data.full();
    if (run !== this.run) return null;
    if (!language) return wholeUpdate(running);
    engine.learn(language);
    if (!(await this.examine(engine, PASSES, run, report))) return null;
    running.unread = [];
    this.comparing.goOn(engine);
    return wholeUpdate(running);
  }

  /** Runs some passes, giving messages their turns; false when another check was started meanwhile. */
  private async examine(
    engine: Engine,
    passes: readonly Pass[],
    run: number,
    report: (progress: Progress) => void,
  ): Promise<boolean> {
    let since = performance.now();
    for (const done of engine.examineAll(passes)) {
      if (performance.now() - since < TURN_MS) continue;
      report({ done, all: engine.size });
      await otherMessages();
      if (run !== this.run) return false;
      since = performance.now();
    }
    return run === this.run;
  }

  /** Settings with the words of the shipped subject lists among the others. */
  private async withSubjects(settings: CheckSettings): Promise<CheckSettings> {
    const words = await this.data.subjects(settings.subjects ?? []);
    return words.length === 0 ? settings : { ...settings, words: [...settings.words, ...words] };
  }

  /** Ends a running check. */
  stop(): void {
    this.run++;
  }

  /**
   * Re-checks what edits touch. Null when nothing has been checked yet; the edits then wait for the
   * check that runs. "missed" when the edits before these never came here.
   */
  edit(edits: readonly Edit[], revision: number): Update | Amiss | null {
    if (!this.manuscript) return "unread";
    this.waiting.push({ edits, revision });
    if (!this.running) return null;
    const report = this.follow(this.running, edits, revision);
    return report === "missed" ? "missed" : updateOf(this.running, report);
  }

  private follow(running: Running, edits: readonly Edit[], revision: number): Report | "missed" {
    if (revision !== running.revision + 1) {
      this.running = null;
      return "missed";
    }
    running.revision = revision;
    running.changed ||= edits.length > 0;
    return running.engine.edit(edits);
  }

  /** Applies other settings to what was examined. */
  async configure(settings: CheckSettings): Promise<Update | Amiss | null> {
    if (!this.manuscript) return "unread";
    const whole = await this.withSubjects(settings);
    const { running } = this;
    this.waitingSettings = whole;
    return running && updateOf(running, running.engine.configure(whole));
  }

  /** How often each word stands in the manuscript that was read last, with these edits made. */
  countWords(edits: readonly Edit[], words: readonly string[]): Map<string, number> {
    const counts = new Map(words.map((word) => [word.toLowerCase(), 0]));
    if (!this.manuscript) return counts;
    const { text } = withEdits(this.manuscript, edits);
    for (const { kind, from, to } of tokenise(text)) {
      if (kind === "punctuation") continue;
      const word = withoutPossessive(text.slice(from, to).replaceAll("’", "'")).toLowerCase();
      const known = counts.get(word);
      if (known !== undefined) counts.set(word, known + 1);
    }
    return counts;
  }

  /**
   * Tries a rule that is being written on the manuscript read last, with these edits made, and tells what is
   * found as it goes; what is told last is whole. Null where nothing was read, or another rule is tried.
   */
  async tryRule(
    rule: HouseRule,
    edits: readonly Edit[],
    settings: Pick<CheckSettings, "kind" | "variety">,
    tell: (trial: Trial) => void,
  ): Promise<Trial | null> {
    const turn = ++this.trialTurn;
    const language = (await this.data.full()) ?? (await this.data.now());
    if (turn !== this.trialTurn || !this.manuscript) return null;
    const trials = this.trialsOf(this.manuscript, edits, settings, language);
    let last: Trial | null = null;
    for (const trial of trials.places(rule, TRIAL_MS)) {
      last = trial;
      if (trial.isWhole) break;
      tell(trial);
      await otherMessages();
      if (turn !== this.trialTurn) return null;
    }
    return last;
  }

  /** The document as rules are tried on it, kept for the next one. */
  private trialsOf(
    manuscript: Manuscript,
    edits: readonly Edit[],
    settings: Pick<CheckSettings, "kind" | "variety">,
    language: Language,
  ): RuleTrials {
    const { kind, variety } = settings;
    const key = JSON.stringify([manuscript.origin.hash, edits.length, edits.at(-1), kind, variety]);
    if (this.trials?.key === key) return this.trials.trials;
    const trials = new RuleTrials(withEdits(manuscript, edits), language, settings);
    this.trials = { key, trials };
    return trials;
  }

  /** How often each of a house's rules speaks in the manuscript read last; null where nothing was read. */
  async countRules(
    rules: readonly HouseRule[],
    edits: readonly Edit[],
    settings: Pick<CheckSettings, "kind" | "variety">,
  ): Promise<Map<string, number> | null> {
    const language = (await this.data.full()) ?? (await this.data.now());
    if (!this.manuscript) return null;
    return this.trialsOf(this.manuscript, edits, settings, language).counts(rules);
  }

  /** What a rule makes of its right and wrong sentences. */
  async tryExamples(
    rule: HouseRule,
    examples: readonly RuleExample[],
    settings: Pick<CheckSettings, "kind" | "variety">,
  ): Promise<ExampleOutcome[]> {
    const language = (await this.data.full()) ?? (await this.data.now());
    return tryExamples(rule, examples, language, settings);
  }

  /** How many sentences of each rule it does not treat as they say any more, by the rules' ids. */
  async failingExamples(
    rules: readonly HouseRule[],
    settings: Pick<CheckSettings, "kind" | "variety">,
  ): Promise<Map<string, number>> {
    const language = (await this.data.full()) ?? (await this.data.now());
    return failingExamples(rules, language, settings);
  }

  /** What a rule has against others and against words that are listed as right. */
  clashes(rule: Rule, others: readonly Rule[], words: readonly string[]): string[] {
    return clashesOf(rule, others, new Set(words));
  }

  /** What the clean-up would change in the manuscript read last, with these edits made; null where nothing was read. */
  cleanUp(
    edits: readonly Edit[],
    rules: readonly HouseRule[],
    wanted: Readonly<Record<string, boolean>>,
  ): Cleanup | null {
    if (!this.manuscript) return null;
    const { origin, variety } = this.manuscript;
    const manuscript = withEdits(this.manuscript, edits);
    return findCleanup(manuscript, cleanContext({ ...manuscript, origin, variety }, rules), wanted);
  }

  /** What a house may learn from the document that was checked; null where none was. */
  learned(title: string): LearnedDocument | null {
    const { running } = this;
    if (!running) return null;
    const abbreviations = gatherAbbreviations(running.engine.gathering()).map(
      ({ abbreviation, expansions, places }) => ({
        short: abbreviation,
        full: expansions[0] ?? "",
        uses: places.length,
      }),
    );
    return { title, forms: running.engine.formCounts(), abbreviations };
  }

  /** How often each form stands in what was checked, settled or not; null where nothing was. */
  formCounts(): FormCounted[] | null {
    return this.running?.engine.formCounts() ?? null;
  }

  /** Takes the decisions on one version of a document onto a revised one. */
  carry(old: Version, decisions: readonly Decision[], now: Version): CarriedDecisions {
    return carryDecisions(old, decisions, now);
  }

  /** Two versions side by side. */
  compare(old: Version, now: Version): ComparedRow[] {
    return compareVersions(old, now);
  }

  /** Corrections for each mark, in order; null when nothing has been checked here. */
  choices(marks: Mark[]): MarkChoice[][] | null {
    const { running } = this;
    return running && marks.map((mark) => running.engine.choices(mark));
  }

  /** The entry that a mark of the citations pass speaks of; null where it speaks of none. */
  entryOf(mark: Mark): string | null {
    const reference = this.running?.engine.referenceOf(mark) ?? null;
    if (reference === null) return null;
    return this.running?.engine.cited.references[reference]?.entry.text ?? null;
  }

  /** The abbreviations, quantities, terms or citations of the document; null where nothing was checked. */
  async gathered<K extends keyof GatheredTables>(
    what: K,
    apart: readonly string[],
  ): Promise<{ revision: number; table: GatheredTables[K] } | null> {
    const { running } = this;
    if (!running) return null;
    const { engine } = running;
    const source = engine.gathering();
    const tables: {
      [Name in keyof GatheredTables]: () => GatheredTables[Name] | Promise<GatheredTables[Name]>;
    } = {
      abbreviations: () => gatherAbbreviations(source),
      quantities: () => gatherQuantities(source),
      terms: () => gatherTerms(source, new Set(apart)),
      overlaps: () => this.comparing.tableOf(engine, running.changed ? this.manuscript : null),
      citations: () => gatherCitations(engine.cited, (block) => engine.blockRange(block).from),
    };
    const { revision } = running;
    return { revision, table: await tables[what]() };
  }

  /**
   * Compares the document with the person's own sources and, where that is asked for, with the collection
   * that ships. Null where nothing was checked yet, or it was stopped.
   */
  async compareWithSources(
    own: readonly OwnSource[],
    asks: boolean,
    tell: (progress: CompareProgress) => void,
  ): Promise<{ update: Update; sent: Sent } | null> {
    const turn = ++this.compareTurn;
    const { running } = this;
    if (!running) return null;
    const isWanted = () => turn === this.compareTurn && running === this.running;
    const found = await this.comparing.compare(running.engine, own, asks, tell, isWanted);
    return found && { update: updateOf(running, found.report), sent: found.sent };
  }

  /** Ends a running comparison; what was compared before stays. */
  stopComparing(): void {
    this.compareTurn++;
  }

  /** A passage word above word beside its source; null where the source is closed. */
  collation(passage: number): CollatedCell[] | null {
    return this.running && this.comparing.collation(this.running.engine, passage);
  }

  /** The same of the passage that a mark is of. */
  collationAt(mark: Mark): CollatedCell[] | null {
    return this.running && this.comparing.collationAt(this.running.engine, mark);
  }

  /** How much of a new wording still stands where a passage has it from. */
  measureAgainst(passage: number, text: string): Measured | null {
    return this.running && this.comparing.measure(this.running.engine, passage, text);
  }

  /** How alike the stretches of a text are. */
  voice(text: string): VoiceStretch[] {
    return voiceOf(text);
  }

  /** Shorter ways for long-winded phrases of a sentence; offsets in it. */
  async phrasesInstead(sentence: string, settings: CheckSettings) {
    const language = await this.data.full();
    return language ? phrasesInstead(sentence, language, settings) : [];
  }

  /** The whole text of an open source of the person's own; null for any other. */
  sourceText(source: string): string | null {
    return this.comparing.sources.textOf(source);
  }

  /** The places of a group of forms, and what each would be in one form; null where nothing was checked. */
  formPlaces(group: string, form: string): FormPlaces | null {
    const { running } = this;
    if (!running) return null;
    const { engine, revision } = running;
    return { revision, places: engine.placesOf(group, form) };
  }

  /**
   * How the text reads, as it stands and before it was changed; null while the passes that count it
   * have not been read.
   */
  async readings(scope: Scope): Promise<TextReadings | null> {
    const { running, manuscript } = this;
    const language = await this.data.full();
    if (!running || running !== this.running || !manuscript || !language) return null;
    if (running.unread.includes("sentences")) return null;
    return readText(running.engine, language, scope, running.changed ? manuscript : null);
  }

  /** The places behind a count; null likewise. */
  async places(scope: Scope, query: PlaceQuery): Promise<CountPlace[] | null> {
    const { running } = this;
    const language = await this.data.full();
    if (!running || running !== this.running || !language) return null;
    return placesBehind(running.engine, language, scope, query);
  }

  /** Words near a word that carries no mark. */
  async wordsNear(
    word: string,
    { variety, soundRules }: Pick<CheckSettings, "variety" | "soundRules">,
    limit: number,
  ): Promise<string[]> {
    return correctWord(word, { ...(await this.data.now()), variety, soundRules }, limit);
  }

  /** What the word entry shows of a word beside its meanings. */
  async aboutWord(word: string, variety: Variety): Promise<AboutWord> {
    const [language, syllables] = await Promise.all([this.data.now(), this.data.syllables()]);
    const bases = basesOf(word, language);
    return {
      bases,
      forms: bases.map((base) => ({ base, forms: formsOf(base, language, variety) })),
      syllables: syllables.count(word),
    };
  }

  /** A synonym in the form that a word as written has. */
  async fitSynonym(
    synonym: string,
    written: string,
    part: PartOfSpeech,
    variety: Variety,
  ): Promise<string> {
    return fitLike(synonym, written, part, await this.data.now(), variety);
  }

  /** Writes a document in the form asked for. */
  write(request: ExportRequest, isSorted = false): Exported | { problem: Problem } {
    try {
      const { orders, unmoved } = isSorted ? this.orders(request) : { orders: [], unmoved: [] };
      const written = writeDocument({ ...request, orders });
      return { ...written, unmoved: [...unmoved, ...(written.unmoved ?? [])] };
    } catch (error) {
      if (!(error instanceof FormatProblem)) throw error;
      return { problem: { code: error.code, sentence: error.sentence } };
    }
  }

  /** How the lists of a document that is written are to stand, and why some can't be sorted. */
  private orders({ current }: ExportRequest): { orders: BlockOrder[]; unmoved: string[] } {
    const cited = this.running?.engine.cited;
    const isOfIt = cited?.blocks.every(
      ({ text }, at) =>
        text === current.text.slice(current.blocks[at]?.from ?? 0, current.blocks[at]?.to ?? 0),
    );
    if (!cited || !isOfIt || cited.blocks.length !== current.blocks.length) {
      return {
        orders: [],
        unmoved: ["The list is not sorted: it has not been read as it is now."],
      };
    }
    const found = listOrders(cited);
    return {
      orders: found.flatMap((one) => ("refusal" in one ? [] : [one])),
      unmoved: found.flatMap((one) => ("refusal" in one ? [one.refusal] : [])),
    };
  }
}
