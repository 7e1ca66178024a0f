import { proxy } from "comlink";
import type { CheckSettings } from "../../core/engine/mark.ts";
import type { ReadResult } from "../../core/formats/document.ts";
import type { Edit } from "../../core/manuscript/model.ts";
import { type ProofreaderLink, WorkerGone } from "../../worker/connect.ts";
import type { Progress, Update } from "../../worker/proofreader.ts";
import type { DeskDocument } from "./desk-document.ts";

/** What checking asks of the desk, and tells it. */
export interface CheckingHost {
  copy(): DeskDocument;
  settings(): CheckSettings;
  /** The file, for a worker that has not read it. */
  file(): { bytes: Uint8Array; name: string };
  /** A whole check began. */
  began(): void;
  progressed(progress: Progress): void;
  /** The spelling pass is read, or all are. */
  delivered(update: Update, whole: boolean): void;
  /** Marks of some blocks are others now. */
  changed(blocks: number[]): void;
  /** The worker had to be started anew, or could not finish; a sentence for the reader. */
  amiss(sentence: string, over: boolean): void;
}

/** Whole checks that may fail one after the other before the reader is asked. */
const MOST_FAILURES = 3;
/** Milliseconds after which passes that could not be read are tried again. */
const UNREAD_RETRY_MS = 15_000;

/**
 * The conversation with the worker. Whatever goes amiss in it, a worker that stopped, an edit it never
 * saw, an answer for a text that is no more, leads to a whole check of the document as it stands.
 */
export class Checking {
  private run = 0;
  private failures = 0;
  private later: ReturnType<typeof setTimeout> | undefined;

  constructor(
    private readonly worker: ProofreaderLink,
    private readonly host: CheckingHost,
    private readonly retryAfter = UNREAD_RETRY_MS,
  ) {}

  /** Has the worker read the file. A worker that stops at it is a problem like any other. */
  async read(bytes: Uint8Array, name: string): Promise<ReadResult> {
    try {
      return await this.worker.read(bytes, name, this.host.settings().variety);
    } catch (error) {
      if (!(error instanceof WorkerGone)) throw error;
      return { problem: { code: "too-large", sentence: UNREADABLE } };
    }
  }

  /** Checks the document as it stands, whatever was being checked before. */
  async whole(): Promise<void> {
    clearTimeout(this.later);
    const run = ++this.run;
    this.host.began();
    try {
      await this.attempt(run);
      this.failures = 0;
    } catch (error) {
      if (run !== this.run) return;
      await this.afterFailure(error);
    }
  }

  /** Ends a running check. */
  stop(): void {
    clearTimeout(this.later);
    this.run++;
    void this.worker.stop().catch(() => undefined);
  }

  /** Has the worker look again at what edits touched; they are in the document already. */
  async edit(edits: readonly Edit[]): Promise<void> {
    const copy = this.host.copy();
    const { revision } = copy.reported;
    await this.follow(copy, () => this.worker.edit([...edits], revision));
  }

  /** Has other settings applied to what was examined. */
  async configure(): Promise<void> {
    await this.follow(this.host.copy(), () => this.worker.configure(this.host.settings()));
  }

  private async follow(
    copy: DeskDocument,
    ask: () => Promise<Update | "unread" | "missed" | null>,
  ): Promise<void> {
    const { run } = this;
    try {
      const update = await ask();
      if (copy !== this.host.copy() || run !== this.run || update === null) return;
      if (typeof update === "string") {
        if (update === "unread") this.host.amiss(STARTED_ANEW, false);
        return await this.whole();
      }
      this.host.changed(copy.reported.report(update, update.revision));
    } catch (error) {
      if (run === this.run) await this.afterFailure(error);
    }
  }

  private async attempt(run: number): Promise<void> {
    const copy = this.host.copy();
    const take = (update: Update, whole: boolean) => {
      if (run !== this.run || copy !== this.host.copy()) return;
      copy.reported.report(update, update.revision);
      this.host.delivered(update, whole);
    };
    const ask = () =>
      this.worker.check(
        copy.id,
        copy.editsSoFar(),
        copy.reported.revision,
        this.host.settings(),
        proxy((progress) => run === this.run && this.host.progressed(progress)),
        proxy((first) => take(first, false)),
      );
    let update = await ask();
    // A worker started anew has read nothing yet.
    if (update === "unread") {
      const { bytes, name } = this.host.file();
      await this.worker.read(bytes, name, this.host.settings().variety);
      if (run !== this.run) return;
      update = await ask();
    }
    if (run !== this.run || update === null) return;
    if (typeof update === "string") throw new Error(`the check ended: ${update}`);
    take(update, true);
    if (update.unread.length > 0) {
      this.later = setTimeout(() => void this.whole(), this.retryAfter);
    }
  }

  /** The worker failed at something: it is started anew with a whole check, a few times. */
  async afterFailure(error: unknown): Promise<void> {
    console.error(error);
    this.failures++;
    if (this.failures >= MOST_FAILURES) {
      this.failures = 0;
      this.run++;
      this.host.amiss(GIVEN_UP, true);
      return;
    }
    this.host.amiss(STARTED_ANEW, false);
    await this.whole();
  }
}

const STARTED_ANEW = "The checks stopped and were started anew; the marks are being read again.";
const GIVEN_UP =
  "The checks stopped three times on this document. The text and every decision are safe; run the pass to try once more.";
/** For a file at which the reader stopped. */
export const UNREADABLE =
  "Reading this file took too long or too much memory, so it was ended. Split the file, or save it again in the program it came from, and open that copy.";
