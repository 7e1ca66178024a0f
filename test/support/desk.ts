import "./browser-globals.ts";
import { Syllables } from "../../src/core/language/words/syllables.ts";
import type { Edit } from "../../src/core/manuscript/model.ts";
import { DeskSession } from "../../src/ui/desk/session.ts";
import { takeIn } from "../../src/ui/shelf/intake.ts";
import type { ShippedCollection } from "../../src/worker/comparing.ts";
import type { ProofreaderLink } from "../../src/worker/connect.ts";
import type { LanguageSource } from "../../src/worker/language-source.ts";
import { Proofreader } from "../../src/worker/proofreader.ts";
import { loadLanguage } from "./language.ts";

/** Language data that are there at once; `full` may be made to fail. */
export function languageSource(changes: Partial<LanguageSource> = {}): LanguageSource {
  const language = async () => loadLanguage();
  return {
    base: language,
    full: language,
    now: language,
    subjects: async () => [],
    syllables: async () => new Syllables(""),
    ...changes,
  };
}

/** A collection that can't be reached. */
export const NO_COLLECTION: ShippedCollection = {
  places: () => Promise.reject(new Error("offline")),
  passages: () => Promise.reject(new Error("offline")),
  stockPhrases: async () => "",
};

/** A proofreader in this very process, whose calls answer later as a worker's do. */
export function localProofreader(
  source = languageSource(),
  shipped = NO_COLLECTION,
): ProofreaderLink {
  const proofreader = new Proofreader(source, shipped);
  return new Proxy(proofreader, {
    get(target, name) {
      const member = Reflect.get(target, name);
      if (typeof member !== "function") return undefined;
      return async (...args: unknown[]) => structuredClone(await member.apply(target, plain(args)));
    },
  }) as unknown as ProofreaderLink;
}

/** What goes to a worker is copied; callbacks go as they are. */
function plain(args: unknown[]): unknown[] {
  return args.map((one) => (typeof one === "function" ? one : structuredClone(one)));
}

/** The text on screen, kept by the edits the desk makes in it. */
export class Screen {
  text = "";
  shown: Edit[][] = [];
  outcomes = 0;

  attach(session: DeskSession): void {
    this.text = session.current().text;
    session.attach({
      apply: (edits) => this.apply(edits),
      redraw: () => undefined,
      show: async (_, preview) => void this.shown.push(preview),
      preview: (edits) => void this.shown.push(edits),
      hide: () => undefined,
      showOutcome: () => {
        this.outcomes++;
      },
      showSpoken: () => undefined,
    });
  }

  apply(edits: readonly Edit[]): void {
    for (const { from, to, insert } of [...edits].reverse()) {
      this.text = this.text.slice(0, from) + insert + this.text.slice(to);
    }
  }
}

/** A document of one's own on the desk, read to its end. */
export async function openSession(
  text: string,
  name = "a.txt",
): Promise<{ session: DeskSession; screen: Screen; id: string }> {
  const worker = localProofreader();
  const taken = await takeIn(worker, name, new TextEncoder().encode(text), false);
  if ("problem" in taken) throw new Error(taken.problem);
  return { ...(await reopen(taken.record.id)), id: taken.record.id };
}

/** A document that is on the shelf, on a desk of its own. */
export async function reopen(id: string): Promise<{ session: DeskSession; screen: Screen }> {
  const session = new DeskSession(id, localProofreader());
  const screen = new Screen();
  const opening = session.open();
  await until(() => session.state.manuscript !== null || session.state.phase === "missing");
  screen.attach(session);
  await opening;
  await until(() => session.state.phase !== "ready" || !session.state.readingOn);
  await settled(session);
  return { session, screen };
}

/** Waits until a condition holds. */
export async function until(condition: () => boolean, limit = 60_000): Promise<void> {
  const started = Date.now();
  while (!condition()) {
    if (Date.now() - started > limit) throw new Error("it did not come about");
    await new Promise((resolve) => setTimeout(resolve, 4));
  }
}

/** Waits until nothing is being decided, the slip is drawn, and all is kept. */
export async function settled(session: DeskSession): Promise<void> {
  await until(() => {
    const { deciding, subject, shown, kept } = session.state;
    return !deciding && (subject === null || shown) && kept.state !== "keeping";
  });
}
