import { spawn } from "node:child_process";
import path from "node:path";
import type { Page } from "playwright-core";
import { closeBrowser, openBrowser } from "../test/support/browser.ts";
import { benchDocument } from "./documents.ts";
import { median, report } from "./timing.ts";

/**
 * What a person waits for, in Chromium on this machine: a .docx chosen on the shelf to its text on
 * the desk, the marks, the longest stretch without a frame after the text is there, a key typed to
 * its letter and its mark on screen, a decision, an export.
 */
export async function benchBrowser(): Promise<void> {
  const port = 4378;
  const root = path.resolve(import.meta.dirname, "..");
  const server = spawn(process.execPath, ["server.mjs"], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: ["ignore", "pipe", "inherit"],
  });
  await new Promise((resolve) => server.stdout.once("data", resolve));
  try {
    report(
      "desk opened anew: text on screen to first mark, data loaded",
      await firstMarks(`http://127.0.0.1:${port}`),
      400,
    );
    for (const words of [3_000, 100_000]) {
      console.log(`\n${words} words in the browser`);
      const runs: Record<string, number[]> = {};
      for (let run = 0; run < RUNS; run++) {
        for (const [what, ms] of Object.entries(await measure(words, `http://127.0.0.1:${port}`))) {
          runs[what] = [...(runs[what] ?? []), ms];
        }
      }
      for (const [what, times] of Object.entries(runs)) {
        report(
          what,
          times.sort((a, b) => a - b),
          GOALS[what],
        );
      }
    }
  } finally {
    await closeBrowser();
    server.kill();
  }
}

const RUNS = 3;

/**
 * A document of the shelf opened with nothing in the browser's cache: from its text on screen to its
 * first mark, with all the language data that needs. One time a run, sorted.
 */
async function firstMarks(base: string): Promise<number[]> {
  const times: number[] = [];
  for (let run = 0; run < RUNS; run++) {
    const { page, context, close } = await openBrowser();
    await page.goto(base);
    await page.getByRole("link", { name: "Start" }).nth(5).waitFor();
    const link = page.getByRole("link", { name: "Siltation of the inner harbour" }).first();
    const address = await link.getAttribute("href");
    await page.close();
    const fresh = await context.newPage();
    const session = await context.newCDPSession(fresh);
    await session.send("Network.clearBrowserCache");
    await fresh.addInitScript("globalThis.__name = (named) => named");
    await fresh.addInitScript(() => {
      const store = window as unknown as { textAt: number; markAt: number };
      const tick = () => {
        if (!store.textAt && document.querySelector(".cm-line")) store.textAt = performance.now();
        if (!store.markAt && document.querySelector(".dr-mark")) store.markAt = performance.now();
        else requestAnimationFrame(tick);
      };
      requestAnimationFrame(tick);
    });
    await fresh.goto(`${base}${address}`);
    await fresh.locator(".dr-mark").first().waitFor();
    times.push(
      await fresh.evaluate(() => {
        const { textAt, markAt } = window as unknown as { textAt: number; markAt: number };
        return markAt - textAt;
      }),
    );
    await close();
  }
  return times.sort((a, b) => a - b);
}

const GOALS: Record<string, number> = {
  "file chosen to text on screen": 3000,
  "H pressed to the readings drawn, read anew": 300,
  "longest gap between frames after the text is there": 200,
  "letter typed to its mark gone or there, on screen": 50,
};

async function measure(words: number, base: string): Promise<Record<string, number>> {
  const { page, close } = await openBrowser();
  const buffer = Buffer.from(await benchDocument(words));
  // The loader that runs this file wraps named functions in a helper that pages do not have.
  await page.addInitScript("globalThis.__name = (named) => named");
  await page.addInitScript(() => {
    const frames: number[] = [];
    const store = window as unknown as { frames: number[]; textAt: number; marksAt: number };
    store.frames = frames;
    // The time at which the frame is made: the one it is handed may lie before work that held it up.
    const tick = () => {
      const now = performance.now();
      frames.push(now);
      if (!store.textAt && document.querySelector(".cm-line"))
        store.textAt = performance.timeOrigin + now;
      if (!store.marksAt && document.querySelector("[data-testid=slip] button")) {
        store.marksAt = performance.timeOrigin + now;
      }
      requestAnimationFrame(tick);
    };
    requestAnimationFrame(tick);
  });
  await page.goto(base);
  await page.getByRole("link", { name: "Start" }).nth(5).waitFor();
  const chosen = Date.now();
  await page.getByTestId("file-picker").setInputFiles({ name: "long.docx", mimeType: "", buffer });
  await page.getByTestId("slip").getByRole("button", { name: /^1/ }).waitFor({ timeout: 60_000 });
  await page.waitForTimeout(1500);
  const seen = await page.evaluate(() => {
    const { frames, textAt, marksAt } = window as unknown as {
      frames: number[];
      textAt: number;
      marksAt: number;
    };
    const after = frames.filter((at) => performance.timeOrigin + at >= textAt);
    const gaps = after.slice(1).map((at, index) => at - (after[index] ?? at));
    return { textAt, marksAt, gap: Math.max(...gaps) };
  });
  if (process.env.BENCH_VERBOSE) console.log(JSON.stringify(seen));
  const typed = await typeAndSee(page);
  const decided = await decide(page);
  const exported = await exportTracked(page);
  const board = await openReadings(page);
  await close();
  return {
    "file chosen to text on screen": seen.textAt - chosen,
    "file chosen to first mark open": seen.marksAt - chosen,
    "longest gap between frames after the text is there": seen.gap,
    "letter typed to its mark gone or there, on screen": median(typed),
    "decision to the next mark open": median(decided),
    "export asked to file": exported,
    "H pressed to the readings drawn, read anew": board,
  };
}

/** Types letters into a word; each makes or unmakes a mark, which is timed inside the page. */
async function typeAndSee(page: Page): Promise<number[]> {
  const times: number[] = [];
  await page.keyboard.press("e");
  await page.keyboard.press("End");
  await page.keyboard.type(" zq");
  await page.waitForTimeout(600);
  for (let round = 0; round < 10; round++) {
    await page.evaluate(() => {
      const store = window as unknown as { started: number; took: Promise<number> };
      const content = document.querySelector(".cm-content");
      store.took = new Promise((resolve) => {
        setTimeout(() => resolve(Number.NaN), 3000);
        content?.addEventListener(
          "beforeinput",
          () => {
            store.started = performance.now();
            const before = document.querySelectorAll(".dr-mark").length;
            const text = content.textContent;
            const look = () => {
              const changed = document.querySelectorAll(".dr-mark").length !== before;
              if (changed && content.textContent !== text)
                resolve(performance.now() - store.started);
              else if (performance.now() - store.started > 2000) resolve(Number.NaN);
              else requestAnimationFrame(look);
            };
            requestAnimationFrame(look);
          },
          { once: true },
        );
      });
    });
    await page.keyboard.type(round % 2 ? "zq" : " ");
    const took = await page.evaluate(() => (window as unknown as { took: Promise<number> }).took);
    if (!Number.isNaN(took)) times.push(took);
    await page.waitForTimeout(400);
  }
  await page.keyboard.press("Escape");
  return times.sort((a, b) => a - b);
}

/** Opens the readings; the time from the key to the charts on screen. */
async function openReadings(page: Page): Promise<number> {
  await page.keyboard.press("Escape");
  const took = await page.evaluate(
    () =>
      new Promise<number>((resolve) => {
        const started = performance.now();
        const look = () => {
          const bars = document.querySelectorAll("[data-testid=readings] svg rect").length;
          if (bars > 100) resolve(performance.now() - started);
          else requestAnimationFrame(look);
        };
        dispatchEvent(new KeyboardEvent("keydown", { key: "h" }));
        requestAnimationFrame(look);
      }),
  );
  if (process.env.BENCH_VERBOSE) {
    console.log(await page.locator("[data-testid=readings] *").count(), "elements");
  }
  return took;
}

async function decide(page: Page): Promise<number[]> {
  const times: number[] = [];
  await page.keyboard.press("ArrowDown");
  await page.waitForTimeout(500);
  for (let round = 0; round < 10; round++) {
    const took = await page.evaluate(
      () =>
        new Promise<number>((resolve) => {
          const place = document.querySelector("footer span")?.textContent;
          const started = performance.now();
          const look = () => {
            const moved = document.querySelector("footer span")?.textContent !== place;
            if (moved && document.querySelector(".cm-content [data-testid=slip] button")) {
              resolve(performance.now() - started);
            } else if (performance.now() - started > 4000) resolve(Number.NaN);
            else requestAnimationFrame(look);
          };
          window.dispatchEvent(new KeyboardEvent("keydown", { key: "s" }));
          requestAnimationFrame(look);
        }),
    );
    if (!Number.isNaN(took)) times.push(took);
    await page.waitForTimeout(200);
  }
  return times.sort((a, b) => a - b);
}

async function exportTracked(page: Page): Promise<number> {
  await page.getByRole("button", { name: "Export…" }).first().click();
  await page.waitForTimeout(300);
  const started = Date.now();
  const [download] = await Promise.all([
    page.waitForEvent("download", { timeout: 60_000 }),
    page.getByRole("dialog").getByRole("button", { name: "Export" }).click(),
  ]);
  await download.path();
  return Date.now() - started;
}
