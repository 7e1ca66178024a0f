import assert from "node:assert/strict";
import { readFileSync } from "node:fs";
import { after, describe, test } from "node:test";
import type { Page } from "playwright-core";
import {
  axeFindings,
  BASE,
  closeBrowser,
  openBrowser,
  openDesk,
  openShelf,
  openText,
  rail,
  slip,
  textOf,
  untilRead,
  untilSettled,
  untilShown,
} from "../support/browser.ts";

after(closeBrowser);

const HARD =
  "The keeper who had read the gauge that was set in the well which the office had dug in the dry summer of the long war said nothing of it.";
const LONG =
  "The crew took the soundings along all nine lines of the inner harbour before the storm came in from the north that night and broke the staff at the end of the old pier, and the office entered the depths in the long table by the end of the following week, when the ink had dried and the letters had been read.";
const COPY = `# The gauge\n\nThe log was recieved wet. ${HARD}\n\n# The harbour\n\nIt rained. ${LONG} The tide came in.\n`;

const board = (page: Page) => page.getByRole("region", { name: "How it reads", exact: true });

async function openBoard(page: Page): Promise<void> {
  await untilRead(page);
  await untilShown(page);
  await page.keyboard.press("h");
  await board(page).getByTestId("readings").waitFor();
}

async function saved(page: Page, press: () => Promise<void>): Promise<Buffer> {
  const [download] = await Promise.all([page.waitForEvent("download"), press()]);
  return readFileSync(await download.path());
}

describe("the sentences pass", () => {
  test("walks the hard sentences with the keys of any pass; a split is a correction", async () => {
    const { page, errors, close } = await openText(COPY, "copy.md");
    await untilRead(page);
    await untilShown(page);
    await rail(page)
      .getByRole("button", { name: /^Sentences/ })
      .click();
    await untilShown(page);
    assert.match((await slip(page).textContent()) ?? "", /words between subject and verb/);
    await page.keyboard.press("ArrowDown");
    await untilShown(page);
    assert.match((await slip(page).textContent()) ?? "", /End the sentence after “pier”/);
    await page.keyboard.press("Enter");
    await untilSettled(page);
    assert.match(await textOf(page), /old pier\. The office entered/);
    await page.keyboard.press("u");
    await untilSettled(page);
    assert.match(await textOf(page), /old pier, and the office entered/);
    assert.deepEqual(errors, []);
    await close();
  });
});

describe("the readings board", () => {
  test("leads from the hardest sentence into the text, and back", async () => {
    const { page, errors, close } = await openText(COPY, "copy.md");
    await openBoard(page);
    const hardest = board(page).getByRole("region", { name: "The sentences that cost most" });
    const current = hardest.locator("[aria-current=true]");
    assert.match((await current.textContent()) ?? "", /soundings|gauge/);
    await page.keyboard.press("ArrowDown");
    const second = await current.textContent();
    await page.keyboard.press("b");
    await board(page).waitFor({ state: "detached" });
    await untilShown(page);
    assert.match((await slip(page).textContent()) ?? "", /words/);
    await page.keyboard.press("b");
    await board(page).getByTestId("readings").waitFor();
    assert.equal(await current.textContent(), second, "where it was left");
    await page.keyboard.press("Escape");
    await board(page).waitFor({ state: "detached" });
    assert.deepEqual(errors, []);
    await close();
  });

  test("opens every count to its places, and a place to the text", async () => {
    const { page, errors, close } = await openText(COPY, "copy.md");
    await openBoard(page);
    const counts = board(page).getByRole("region", { name: "Counts" }).getByRole("button");
    const names = (await counts.allTextContents()).filter((name) => !name.startsWith(".csv"));
    assert.equal(names.length, 19);
    for (const name of names) {
      const number = Number(/([\d,]+)$/.exec(name)?.[1]?.replace(",", ""));
      const label = name.replace(/[\d,]+$/, "");
      await counts.filter({ hasText: label }).first().click();
      const places = board(page).getByRole("region", { name: `Places of: ${label}` });
      await places.getByText("Looking…").waitFor({ state: "detached" });
      const shown = await places.getByRole("listitem").count();
      if (/^(?:Words|Sentences|Paragraphs|Passives|Questions|Negations)$/.test(label)) {
        assert.equal(shown, number, label);
      }
      await page.keyboard.press("Escape");
    }
    await board(page)
      .getByRole("button", { name: /^office/ })
      .click();
    await board(page).getByTestId("places").getByRole("button").first().click();
    await board(page).waitFor({ state: "detached" });
    assert.deepEqual(errors, []);
    await close();
  });

  test("reads for another reader, whose bounds may be one's own", async () => {
    const { page, close } = await openText(COPY, "copy.md");
    await openBoard(page);
    await board(page).getByLabel("Reader:").selectOption("teenager");
    await board(page).getByText("this reader’s ease: 6 to 20 words").waitFor();
    await board(page)
      .getByText(/beyond this reader’s reach/)
      .waitFor();
    await board(page).getByLabel("Reader:").selectOption("own");
    const dialog = page.getByRole("dialog", { name: "A reader of your own" });
    await dialog.getByLabel("to", { exact: true }).fill("3");
    await dialog.getByRole("alert").waitFor();
    await dialog.getByLabel("to", { exact: true }).fill("90");
    await dialog.getByLabel("Highest school grade").fill("25");
    await dialog.getByRole("button", { name: "Read for this reader" }).click();
    await board(page).getByText("this reader’s ease: 6 to 90 words").waitFor();
    await board(page).getByText("Every section is within this reader’s reach.").waitFor();
    await rail(page)
      .getByRole("button", { name: /^Sentences ?none/ })
      .waitFor();
    await page.locator("body").press("u");
    await board(page).getByText("this reader’s ease: 6 to 20 words").waitFor();
    await close();
  });

  test("says what a switch of the parts that are counted changes", async () => {
    const { page, close } = await openText(COPY, "copy.md");
    await openBoard(page);
    await board(page)
      .getByRole("button", { name: /^Left out: headings/ })
      .click();
    const parts = page.getByRole("dialog", { name: "Parts that are counted" });
    await parts.getByText("4 words left out").waitFor();
    await parts.getByText("Headings").click();
    await parts.getByText("4 words counted").waitFor();
    await close();
  });

  test("shows its charts as tables, and gives both as files", async () => {
    const { page, errors, close } = await openText(COPY, "copy.md");
    await openBoard(page);
    const figure = board(page).getByRole("region", { name: "Lengths of sentences" });
    const svg = await saved(page, () => figure.getByRole("button", { name: /^\.svg/ }).click());
    assert.match(svg.toString(), /^<svg[^>]*xmlns="http:\/\/www\.w3\.org\/2000\/svg"/);
    assert.doesNotMatch(svg.toString(), /var\(--|class=/);
    const png = await saved(page, () => figure.getByRole("button", { name: /^\.png/ }).click());
    assert.deepEqual([...png.subarray(0, 4)], [0x89, 0x50, 0x4e, 0x47]);
    const csv = await saved(page, () => figure.getByRole("button", { name: /^\.csv/ }).click());
    assert.match(csv.toString(), /^Words,How many\r\n1 to 5,/);
    await page.locator("body").press("t");
    const table = figure.getByRole("table");
    await table.waitFor();
    const rows = (await table.getByRole("row").count()) - 1;
    assert.equal(rows, csv.toString().trim().split("\r\n").length - 1, "the same rows");
    assert.deepEqual(errors, []);
    await close();
  });

  test("draws a long text in few elements", async () => {
    const many = `# Log\n\nIt was recieved.\n\n${Array.from({ length: 300 }, (_, day) => `On day ${day} the keeper read the gauge. It rained. ${HARD}`).join("\n\n")}\n`;
    const { page, close } = await openText(many, "log.md");
    await openBoard(page);
    const nodes = await board(page).evaluate((element) => element.querySelectorAll("*").length);
    assert.ok(nodes < 5000, `${nodes} elements`);
    await board(page)
      .getByText(/each bar is the hardest of 3 sentences/)
      .waitFor();
    await close();
  });

  for (const theme of ["light", "dark"] as const) {
    test(`axe finds nothing on it in the ${theme} theme, as charts and as tables`, async () => {
      const { page, close } = await openText(COPY, "copy.md");
      await page.emulateMedia({ colorScheme: theme });
      await openBoard(page);
      assert.deepEqual(await axeFindings(page), []);
      await page.keyboard.press("t");
      await board(page).getByRole("table").nth(3).waitFor();
      assert.deepEqual(await axeFindings(page), []);
      await close();
    });
  }
});

describe("the report", () => {
  test("tells what was decided, and leaves as a file in each form", async () => {
    const { page, errors, close } = await openText(COPY, "copy.md");
    await untilRead(page);
    await untilShown(page);
    await page.keyboard.press("Enter");
    await untilSettled(page);
    const id = new URL(page.url()).searchParams.get("doc");
    await page.goto(new URL(`/report?doc=${id}`, page.url()).href);
    await page.getByRole("heading", { name: "What was not checked" }).waitFor();
    await page.getByText(/marks: 1 corrected, 0 let stand/).waitFor();
    await page.getByText("With every decision".toLowerCase()).click();
    await page.getByRole("cell", { name: "received", exact: true }).waitFor();
    assert.deepEqual(await axeFindings(page), []);
    const form = (name: string) => page.getByRole("button", { name, exact: true });
    const html = await saved(page, () => form(".html").click());
    assert.match(html.toString(), /<h2>Every decision<\/h2>/);
    const csv = await saved(page, () => form(".csv").click());
    assert.match(csv.toString(), /Every decision,Decisions,/);
    const docx = await saved(page, () => form(".docx").click());
    assert.deepEqual([...docx.subarray(0, 2)], [0x50, 0x4b]);
    assert.deepEqual(errors, []);
    await close();
  });

  test("prints without what is for the screen, on numbered pages", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Letter harbour office");
    const id = new URL(page.url()).searchParams.get("doc");
    await page.goto(new URL(`/report?doc=${id}`, page.url()).href);
    await page.getByRole("heading", { name: "What was not checked" }).waitFor();
    await page.emulateMedia({ media: "print" });
    assert.equal(await page.getByRole("button", { name: "Print" }).isVisible(), false);
    const pdf = await page.pdf({ preferCSSPageSize: true });
    assert.match(pdf.toString("latin1"), /^%PDF/);
    await close();
  });

  test("of a document that is not on the shelf says so", async () => {
    const { page, close } = await openBrowser();
    await page.goto(new URL("/report?doc=nothing", BASE).href);
    await page.getByText("This document is not on the shelf any more.").waitFor();
    await close();
  });
});

test("the guide tells how things are counted, every measure and every reader", async () => {
  const { page, errors, close } = await openBrowser();
  await page.goto(new URL("/guide/readings", BASE).href);
  await page.getByRole("heading", { name: "Gunning fog" }).waitFor();
  assert.equal(await page.getByRole("heading", { level: 3 }).count(), 11);
  assert.deepEqual(await axeFindings(page), []);
  assert.deepEqual(errors, []);
  await close();
});

describe("the shelf", () => {
  test("shows the columns that are chosen, keeps the choice, and adds up what is found", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await page.getByRole("button", { name: "Columns" }).click();
    await page.getByRole("menuitemcheckbox", { name: "Decided" }).click();
    await page.getByRole("menuitemcheckbox", { name: "Last run" }).click();
    await page.keyboard.press("Escape");
    const heads = page.getByRole("columnheader");
    assert.ok((await heads.allTextContents()).includes("Decided"));
    await page.reload();
    await page.getByRole("button", { name: "Decided" }).waitFor();
    assert.ok(!(await heads.allTextContents()).some((head) => head.startsWith("Last run")));
    const foot = page.locator("tfoot");
    assert.match((await foot.textContent()) ?? "", /8 documents6,892/);
    await page.getByLabel("Find a title").fill("letter");
    assert.match((await foot.textContent()) ?? "", /2 documents675/);
    assert.deepEqual(await axeFindings(page), []);
    await close();
  });
});
