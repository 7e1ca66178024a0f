import { spawn } from "node:child_process";
import { mkdirSync } from "node:fs";
import path from "node:path";
import type { Page } from "playwright-core";
import { closeBrowser, openBrowser, untilSettled } from "../test/support/browser.ts";

/** Takes the pictures in docs/screenshots of the built application with its demo documents. */
const root = path.resolve(import.meta.dirname, "..");
const folder = path.join(root, "docs/screenshots");
mkdirSync(folder, { recursive: true });
const port = 4379;
const server = spawn(process.execPath, ["server.mjs"], {
  cwd: root,
  env: { ...process.env, PORT: String(port) },
  stdio: ["ignore", "pipe", "inherit"],
});
await new Promise((resolve) => server.stdout.once("data", resolve));

const shoot = (page: Page, name: string) =>
  page.screenshot({ path: path.join(folder, `${name}.png`) });
const settle = (page: Page) => page.waitForTimeout(500);

async function press(page: Page, ...keys: string[]): Promise<void> {
  for (const key of keys) {
    await untilSettled(page);
    await page.keyboard.press(key);
    await page.waitForTimeout(350);
  }
}

try {
  const { page, close } = await openBrowser();
  await page.goto(`http://127.0.0.1:${port}`);
  await page.getByRole("link", { name: "Start" }).nth(5).waitFor();
  await settle(page);
  await page.getByRole("link", { name: "Letter instrument maker" }).first().click();
  await settle(page);
  await settle(page);
  await press(page, "Enter", "Enter", "s");
  await settle(page);
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await settle(page);
  await shoot(page, "shelf");
  await page.getByRole("link", { name: "The station handbook" }).first().click();
  await page.waitForTimeout(2500);
  await page
    .getByRole("navigation", { name: "Passes" })
    .getByRole("button", { name: /^Consistency/ })
    .click();
  await settle(page);
  await page.keyboard.press("b");
  await page.getByRole("region", { name: "Settling" }).getByRole("heading").first().waitFor();
  await page.getByRole("button", { name: /^stilling-well/ }).click();
  await settle(page);
  await shoot(page, "settling");
  for (const view of ["abbreviations", "quantities", "terms"]) {
    await page.keyboard.press("v");
    await settle(page);
    await shoot(page, view);
  }
  await page.keyboard.press("Escape");
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await settle(page);
  await page.getByRole("link", { name: "Come and see" }).first().click();
  await page.waitForTimeout(2500);
  const passes = page.getByRole("navigation", { name: "Passes" });
  await passes.getByRole("button", { name: /^Grammar/ }).click();
  await settle(page);
  await page.getByRole("button", { name: "Why" }).click();
  await settle(page);
  await shoot(page, "grammar");
  await passes.getByRole("button", { name: /^Wording/ }).click();
  await settle(page);
  await press(page, "ArrowDown");
  await page.getByText("Checks in this pass").click();
  await settle(page);
  await shoot(page, "wording");
  await page.goto(`http://127.0.0.1:${port}/guide`);
  await settle(page);
  await shoot(page, "guide");
  await page.goto(`http://127.0.0.1:${port}/house?part=checks`);
  await page.getByLabel("Kind of copy").selectOption("fiction");
  await page.getByRole("heading", { name: "Grammar" }).scrollIntoViewIfNeeded();
  await settle(page);
  await shoot(page, "checks");
  await page.goto(`http://127.0.0.1:${port}`);
  await settle(page);
  await page.getByRole("link", { name: "Siltation of the inner harbour" }).first().click();
  await settle(page);
  await settle(page);
  await press(page, "s", "Enter");
  await settle(page);
  await shoot(page, "desk");
  await passes.getByRole("button", { name: /^Sentences/ }).click();
  await settle(page);
  await press(page, "ArrowDown");
  await settle(page);
  await shoot(page, "hard-sentence");
  await page.keyboard.press("h");
  await page.getByTestId("readings").waitFor();
  await settle(page);
  await shoot(page, "readings");
  await page.keyboard.press("Escape");
  const address = page.url();
  await page.goto(address.replace("/desk?", "/report?"));
  await page.getByRole("heading", { name: "What was not checked" }).waitFor();
  await shoot(page, "report");
  await page.goto(address);
  await untilSettled(page);
  await settle(page);
  await passes.getByRole("button", { name: /^Wording/ }).click();
  await settle(page);
  await press(page, "ArrowDown");
  await settle(page);
  await passes.getByRole("button", { name: /^Spelling/ }).click();
  await settle(page);
  await page.keyboard.press("b");
  await settle(page);
  await shoot(page, "all-marks");
  await page.keyboard.press("Escape");
  await press(page, "ArrowDown", "Enter", "s", "Enter", "Shift+S");
  await page.getByRole("button", { name: "Decisions" }).click();
  await settle(page);
  // The first mark from here whose word has an entry.
  const meaning = page.getByRole("article").getByRole("listitem").first();
  for (let tries = 0; tries < 5; tries++) {
    await press(page, "m");
    await settle(page);
    if (await meaning.isVisible()) break;
    await press(page, "ArrowDown");
  }
  await meaning.waitFor();
  await settle(page);
  await shoot(page, "word-entry");
  await page.getByRole("button", { name: "Export…" }).click();
  await settle(page);
  await shoot(page, "export");
  await page.keyboard.press("Escape");
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await page.getByRole("link", { name: "Gauge house spares" }).first().click();
  await settle(page);
  await settle(page);
  await shoot(page, "sheet");
  await press(page, "Enter", "Enter");
  await page.goto(`http://127.0.0.1:${port}/ledger`);
  await page.getByRole("table").waitFor();
  await settle(page);
  await shoot(page, "ledger");
  await page.goto(`http://127.0.0.1:${port}/house`);
  for (const word of ["stilling-well", "siltation", "shoalest", "berthing-master", "campaign"]) {
    await page.getByLabel("Word to add").fill(word);
    await page.keyboard.press("Enter");
  }
  await page.getByLabel("Note on siltation").fill("of the basin; never “silting-up”");
  await page.getByLabel("Note on stilling-well").fill("hyphen as in the requirements");
  await page.keyboard.press("Tab");
  await page.getByLabel("Counted in").selectOption({ index: 0 });
  await settle(page);
  await settle(page);
  await shoot(page, "house-style");
  await close();
} finally {
  await closeBrowser();
  server.kill();
}
