import { mkdtempSync, readFileSync, rmSync } from "node:fs";
import { createRequire } from "node:module";
import { tmpdir } from "node:os";
import path from "node:path";
import { type Browser, type BrowserContext, chromium, type Page } from "playwright-core";

export const BASE = process.env.TEST_URL ?? "http://127.0.0.1:4377";

const OPTIONS = {
  executablePath: "/usr/bin/chromium",
  args: [
    "--headless",
    "--no-sandbox",
    "--disable-gpu",
    "--disable-quic",
    "--no-first-run",
    "--disable-background-networking",
    "--disable-component-update",
    "--disable-sync",
  ],
};
/** How long a test waits for what should come at once, in ms: a busy machine stalls for long. */
const PATIENCE = 120_000;

const CONTEXT = {
  viewport: { width: 1280, height: 800 },
  colorScheme: "light",
  locale: "en-GB",
  // Pages kept for a stopped server would answer for the one under test; one test lets them.
  serviceWorkers: "block",
} as const;

export interface Opened {
  page: Page;
  context: BrowserContext;
  /** Errors the pages have logged or thrown. */
  errors: string[];
  close(): Promise<void>;
}

let shared: Browser | null = null;

/**
 * A profile of its own in a shared browser: as it is once the demo documents have been read, which
 * takes longer than most tests, or `fresh`, with nothing in it.
 */
export async function openBrowser({
  fresh = false,
  ...options
}: {
  fresh?: boolean;
  serviceWorkers?: "allow" | "block";
} = {}): Promise<Opened> {
  shared ??= await chromium.launch(OPTIONS);
  const filled = fresh ? undefined : process.env.TEST_SHELF;
  const context = await shared.newContext({
    ...CONTEXT,
    ...options,
    ...(filled && { storageState: filled }),
  });
  context.setDefaultTimeout(PATIENCE);
  const page = await context.newPage();
  const errors: string[] = [];
  watch(page, errors);
  context.on("page", (other) => watch(other, errors));
  return { page, context, errors, close: () => context.close() };
}

/** Ends the shared browser. */
export async function closeBrowser(): Promise<void> {
  await shared?.close();
  shared = null;
}

/** A browser with a profile on disk, which outlives the browser's death. */
export async function openProfile(folder: string): Promise<Opened> {
  const context = await chromium.launchPersistentContext(folder, { ...OPTIONS, ...CONTEXT });
  context.setDefaultTimeout(PATIENCE);
  const page = context.pages()[0] ?? (await context.newPage());
  const errors: string[] = [];
  watch(page, errors);
  return { page, context, errors, close: () => context.close() };
}

/** A folder for a profile, and its removal. */
export function profileFolder(): { folder: string; remove(): void } {
  const folder = mkdtempSync(path.join(tmpdir(), "dry-run-profile-"));
  return { folder, remove: () => rmSync(folder, { recursive: true, force: true }) };
}

function watch(page: Page, errors: string[]): void {
  page.on("pageerror", (error) => errors.push(error.message));
  page.on("console", (message) => {
    if (message.type() === "error") errors.push(message.text());
  });
}

/** The shelf with the demo documents read once. */
export async function openShelf(page: Page): Promise<void> {
  await page.goto(BASE);
  await page.getByRole("link", { name: "Start" }).nth(5).waitFor();
}

/** Writes into a file what a profile keeps once its demo documents have been read. */
export async function fillShelf(file: string): Promise<void> {
  const { page, context, close } = await openBrowser({ fresh: true });
  await openShelf(page);
  const { files } = (await (await fetch(`${BASE}/demo/index.json`)).json()) as { files: string[] };
  await page
    .getByRole("link", { name: "Start" })
    .nth(files.length - 1)
    .waitFor();
  await context.storageState({ path: file, indexedDB: true });
  await close();
  await closeBrowser();
}

/** The desk of a document on the shelf, its first mark open. */
export async function openDesk(page: Page, title: string): Promise<void> {
  await page.getByRole("link", { name: title }).first().click();
  await slip(page).waitFor();
  await untilShown(page);
}

/** Waits until the slip has been drawn with its corrections and nothing is being decided: keys decide. */
export async function untilShown(page: Page): Promise<void> {
  await page.locator("main[aria-busy=false] [data-testid=slip][data-shown=true]").waitFor();
}

/** Waits until nothing is on its way: no decision, no slip half drawn, nothing unkept. */
export async function untilSettled(page: Page): Promise<void> {
  await page.locator("main[aria-busy=false]").waitFor();
  await untilKept(page);
}

/** Presses keys of the walk, each when the one before has had its effect and the next slip is drawn. */
export async function press(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) {
    await untilSettled(page);
    const before = await slipText(page);
    await page.keyboard.press(key);
    for (let tries = 0; tries < 30 && (await slipText(page)) === before; tries++) {
      await page.waitForTimeout(50);
    }
    await untilSettled(page);
  }
}

async function slipText(page: Page): Promise<string> {
  return page.evaluate(() => document.querySelector("[data-testid=slip]")?.textContent ?? "");
}

/** A fresh profile with a text of one's own on the desk. */
export async function openText(text: string, name = "copy.txt"): Promise<Opened> {
  const opened = await openBrowser();
  await openShelf(opened.page);
  await openFile(opened.page, name, text);
  await opened.page.waitForURL(/desk/);
  return opened;
}

export const footer = (page: Page) => page.locator("footer");
export const rail = (page: Page) => page.getByRole("navigation", { name: "Passes" });

/** Waits until all passes are read. */
export async function untilRead(page: Page): Promise<void> {
  await page.waitForFunction(() => {
    const passes = document.querySelector("nav[aria-label=Passes]")?.textContent ?? "";
    return /Wording(?:none|done|\d+(?![\d%])|not)/.test(passes) && !/\d%/.test(passes);
  });
}

/** How many decisions the side sheet lists. */
export async function decisionsOf(page: Page): Promise<number> {
  await page.getByRole("button", { name: "Decisions" }).click();
  return page.locator("aside li").count();
}

/** Puts a file on the shelf, which opens it on the desk. */
export async function openFile(
  page: Page,
  name: string,
  contents: Uint8Array | string,
): Promise<void> {
  const buffer = Buffer.from(contents);
  await page.getByTestId("file-picker").setInputFiles({ name, mimeType: "", buffer });
}

export const slip = (page: Page) => page.getByTestId("slip");

/** Waits until the last decision is said to be kept. */
export async function untilKept(page: Page): Promise<void> {
  await page.getByTestId("kept").filter({ hasText: /^Kept/ }).waitFor();
}

/** The text on the desk, whole, read from the editor's document. */
export async function textOf(page: Page): Promise<string> {
  return page.evaluate(() => {
    const content = document.querySelector(".cm-content") as unknown as {
      cmTile?: { root?: { view?: { state: { doc: { toString(): string } } } } };
    } | null;
    const text = content?.cmTile?.root?.view?.state.doc.toString();
    if (text === undefined) throw new Error("no editor");
    return text;
  });
}

const axeSource = createRequire(import.meta.url).resolve("axe-core/axe.min.js");

/** What axe finds wrong on the screen, by the rules of WCAG 2.2 A and AA and its best practices. */
export async function axeFindings(page: Page): Promise<string[]> {
  await page.evaluate(readFileSync(axeSource, "utf8"));
  return page.evaluate(async () => {
    const { axe } = window as unknown as {
      axe: {
        run(): Promise<{
          violations: { id: string; nodes: { html: string; failureSummary: string }[] }[];
        }>;
      };
    };
    const { violations } = await axe.run();
    return violations.flatMap(({ id, nodes }) =>
      nodes.map(
        ({ html, failureSummary }) =>
          `${id}: ${html.slice(0, 160)} ${failureSummary.slice(0, 200)}`,
      ),
    );
  });
}
