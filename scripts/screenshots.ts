import { spawn } from "node:child_process";
import { mkdirSync } from "node:fs";
import path from "node:path";
import type { Page } from "playwright-core";
import {
  closeBrowser,
  openBrowser,
  untilRead,
  untilSettled,
  untilShown,
} from "../test/support/browser.ts";

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

/** The citations pass of the report: a slip with the entry beside it, the list, and the notices. */
async function citations(page: Page): Promise<void> {
  const passes = page.getByRole("navigation", { name: "Passes" });
  await passes.getByRole("button", { name: /^Citations/ }).click();
  await page.getByTestId("pair").waitFor();
  await settle(page);
  await shoot(page, "citation");
  await page.keyboard.press("b");
  await page.getByTestId("list").waitFor();
  await settle(page);
  await shoot(page, "citations");
  const board = page.getByRole("region", { name: "Citations", exact: true });
  await board.getByRole("button", { name: "Notices" }).click();
  await board.getByRole("button", { name: /^Ask about/ }).click();
  await board.getByText("Retracted").waitFor();
  await board.getByRole("button", { name: /^The list/ }).click();
  await page.keyboard.press("Escape");
  await passes.getByRole("button", { name: /^Spelling/ }).click();
  await settle(page);
}

/** A rule with its places, a style sheet, the clean-up, a revised version. */
async function houseShots(page: Page): Promise<void> {
  const at = (path: string) => `http://127.0.0.1:${port}${path}`;
  await page.goto(at("/house?house=gannet-head&part=terms"));
  await page.getByRole("button", { name: "New term" }).click();
  const option = page.getByLabel("Tried on").locator("option", { hasText: "handbook" });
  const handbook = (await option.getAttribute("value")) ?? "";
  await page.getByLabel("Tried on").selectOption(handbook);
  await page.getByLabel(/^Not written/).fill("relief keeper\nduty keeper");
  await page.getByLabel(/^Written instead/).fill("keeper on watch");
  await page.getByLabel(/^Why/).fill("the watch, not the man");
  await page.getByText(/places in/).waitFor();
  await page.getByRole("button", { name: "Add a wrong sentence" }).click();
  await page.getByLabel("Sentence", { exact: true }).fill("Two duty keepers came.");
  await page.getByText("as it should be").waitFor();
  await shoot(page, "house-rule");
  await page.goto(at(`/desk?doc=${handbook}`));
  await page.waitForTimeout(2500);
  await page
    .getByRole("navigation", { name: "Passes" })
    .getByRole("button", { name: /^Consistency/ })
    .click();
  await untilSettled(page);
  await page.keyboard.press("b");
  await page.getByRole("region", { name: "Settling" }).getByRole("heading").first().waitFor();
  await page.getByRole("button", { name: /^stilling-well/ }).click();
  for (let group = 0; group < 6; group++) {
    await page.waitForTimeout(1000);
    await page.keyboard.press("1");
    await page.waitForTimeout(700);
    await page.keyboard.press("Enter");
  }
  await page.waitForTimeout(1000);
  await page.keyboard.press("Escape");
  await settle(page);
  await page.goto(at(`/sheet?doc=${handbook}`));
  await page.getByRole("button", { name: "Print" }).waitFor();
  const form = page.getByRole("form", { name: "Write an entry" });
  await form.getByLabel("Under").selectOption("names");
  await form.getByLabel("Entry").fill("Sara Marlow");
  await form.getByLabel("Note").fill("keeper from 1962; never Sarah");
  await form.getByRole("button", { name: "Add" }).click();
  await settle(page);
  await shoot(page, "style-sheet");
  await page.goto(at("/"));
  await page.getByRole("button", { name: "Paste text" }).click();
  await page.getByRole("textbox", { name: "Title" }).fill("Notes from the gauge house");
  await page.getByRole("textbox", { name: "Text", exact: true }).fill(NOTES);
  await page.getByRole("button", { name: "Put on the desk" }).click();
  await page.waitForTimeout(3000);
  await press(page, "c");
  await page.getByRole("button", { name: /^Spaces before punctuation/ }).click();
  await settle(page);
  await shoot(page, "clean-up");
  await page.goto(at("/"));
  await page.getByRole("button", { name: "More for Notes from the gauge house" }).click();
  const chooser = page.waitForEvent("filechooser");
  await page.getByRole("menuitem", { name: "Open a revised version…" }).click();
  await (await chooser).setFiles({
    name: "notes-second.txt",
    mimeType: "text/plain",
    buffer: Buffer.from(REVISED),
  });
  await page.getByRole("region", { name: "Paragraphs" }).waitFor();
  await settle(page);
}

/** The chapter that leans on two sources: the board, a slip, rewording, the report, the sources. */
async function originality(page: Page): Promise<void> {
  const at = (path: string) => `http://127.0.0.1:${port}${path}`;
  await page.goto(at("/"));
  await page.getByRole("link", { name: "Why stilling wells silt up" }).first().click();
  await page.waitForTimeout(2500);
  await untilSettled(page);
  await page
    .getByRole("navigation", { name: "Passes" })
    .getByRole("button", { name: /^Originality/ })
    .click();
  await page.keyboard.press("b");
  await page.getByRole("button", { name: "Compare with all sources" }).click();
  await page.getByTestId("collation").waitFor();
  await press(page, "ArrowDown");
  await settle(page);
  await shoot(page, "originality");
  await press(page, "r");
  await page.getByTestId("measured").waitFor();
  await page.getByLabel("Your text").fill(REWORDED);
  await page.getByLabel("Your text").press("Home");
  await settle(page);
  await settle(page);
  await shoot(page, "reword");
  await page.keyboard.press("Escape");
  await settle(page);
  await press(page, "v");
  await page.getByTestId("overlap-report").waitFor();
  await settle(page);
  await shoot(page, "overlap-report");
  await press(page, "v", "v", "b");
  await page.getByTestId("collation").waitFor();
  await settle(page);
  await shoot(page, "overlap");
  await page.goto(at("/sources"));
  await page.getByTestId("shipped-sources").waitFor();
  await page.getByLabel("Add a document from the shelf").selectOption({ index: 2 });
  await page.getByTestId("own-sources").waitFor();
  await settle(page);
  await shoot(page, "sources");
}

const REWORDED =
  "When weed and mussels have narrowed it the curve is as smooth as ever, but its high waters come late and are slightly too low";

/** Three documents settled as one. */
async function setShot(page: Page): Promise<void> {
  await page.goto(`http://127.0.0.1:${port}/`);
  await page.getByRole("button", { name: "New set…" }).click();
  const dialog = page.getByRole("dialog", { name: "Several documents as one" });
  await dialog.getByLabel("Name").fill("The papers of the station");
  for (const title of [/handbook/, /requirements/, /Siltation/]) {
    const option = dialog.getByRole("option", { name: title });
    await dialog.getByLabel("Add").selectOption((await option.getAttribute("value")) ?? "");
  }
  await dialog.getByRole("button", { name: "Keep 3 documents as one" }).click();
  await page.getByRole("link", { name: "The papers of the station" }).click();
  await page.getByRole("radiogroup", { name: "Forms" }).waitFor();
  await settle(page);
  await settle(page);
  await shoot(page, "set");
}

const NOTES = [
  "The tide  gauge at Gannet Head , built in 1962 , is read at 9 am - and again at noon...",
  "Its ﬂoat rides “well” in a well of 3 x 4 m , says the keeper’s log... It fell to -5 °C on the 2 nd of March.. See pp. 12-18.",
  "The old ob\u00adservatory is not in use -- its roof leaked ... and the tіde came in.",
  "A house – the “old” house – is near by – so they say…",
].join("\n\n");
const REVISED = [
  "Nobody lives at the head now.",
  "A house – the “old” house – is near by – so they say…",
  "The tide gauge at Gannet Head, built in 1962, is read at 9 am – and twice again before dusk…",
  "Its float rides well in a well of 3 × 4 m, says the log of the keeper… It fell to −5 °C on the 2nd of March.",
].join("\n\n");

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
  await page.goto(`http://127.0.0.1:${port}`);
  await settle(page);
  await page.getByRole("link", { name: "Siltation of the inner harbour" }).first().click();
  await settle(page);
  await settle(page);
  await press(page, "s", "Enter");
  await settle(page);
  await untilRead(page);
  await untilShown(page);
  await shoot(page, "desk");
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
  await citations(page);
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
  await page.getByRole("link", { name: "Shelf", exact: true }).click();
  await page.getByRole("link", { name: "Gauge house spares" }).first().click();
  await settle(page);
  await settle(page);
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
  await houseShots(page);
  await setShot(page);
  await originality(page);
  await close();
} finally {
  await closeBrowser();
  server.kill();
}
