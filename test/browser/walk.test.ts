import assert from "node:assert/strict";
import { readFile } from "node:fs/promises";
import { after, describe, test } from "node:test";
import type { Page } from "playwright-core";
import { readDocx } from "../../src/core/formats/docx/read.ts";
import {
  closeBrowser,
  openBrowser,
  openDesk,
  openFile,
  openShelf,
  press,
  slip,
  textOf,
  untilKept,
  untilShown,
} from "../support/browser.ts";
import { docx, paragraph, partOf } from "../support/docx.ts";
import { resolveChanges } from "../support/resolve-changes.ts";

after(closeBrowser);

async function reason(page: Page): Promise<string> {
  return (await slip(page).locator("p").first().textContent()) ?? "";
}

/** "Mark 3 of 18" of the status line. */
const placeOf = (line: string | null) => /Mark \d+ of \d+/.exec(line ?? "")?.[0];

async function exported(page: Page, form: string): Promise<{ name: string; bytes: Uint8Array }> {
  await page.getByRole("button", { name: "Export…" }).first().click();
  await page.getByRole("radio", { name: new RegExp(form) }).check();
  const name = page.getByLabel("Your name");
  if (await name.isVisible()) await name.fill("R. Penhale");
  const [download] = await Promise.all([
    page.waitForEvent("download"),
    page.getByRole("dialog").getByRole("button", { name: "Export" }).click(),
  ]);
  const bytes = new Uint8Array(await readFile(await download.path()));
  await page.getByRole("button", { name: "Done" }).click();
  return { name: download.suggestedFilename(), bytes };
}

describe("the walk", () => {
  test("goes from the first start to the end by keyboard, and out again", async () => {
    const { page, errors, close } = await openBrowser({ fresh: true });
    await openShelf(page);
    await openDesk(page, "Letter harbour office");
    const before = await textOf(page);
    assert.match(await reason(page), /the” twice/);
    await press(page, "s");
    assert.match(await reason(page), /usefull/);
    await press(page, "1");
    assert.match(await reason(page), /Febuary/);
    await press(page, "Enter");
    assert.match(await reason(page), /convienient/);
    await untilShown(page);
    await page.keyboard.press("w");
    await page.getByRole("heading", { name: "The walk is done" }).waitFor();
    const end = await page.getByLabel("End of the walk").textContent();
    assert.match(end ?? "", /2 places corrected, 1 let stand, 1 word put on the word list/);
    assert.match(end ?? "", /can’t see/);
    const wanted = before.replace("usefull", "useful").replace("Febuary", "February");
    assert.equal(await textOf(page), wanted);
    const { name, bytes } = await exported(page, "Corrected copy");
    assert.equal(name, "letter-harbour-office corrected.txt");
    const original = await readFile("public/demo/letter-harbour-office.txt", "utf8");
    const text = new TextDecoder().decode(bytes);
    assert.equal(text.split("\n").length, original.split("\n").length);
    assert.equal(
      text.replace(/\s+/g, " "),
      original.replace("usefull", "useful").replace("Febuary", "February").replace(/\s+/g, " "),
    );
    assert.deepEqual(errors, []);
    await close();
  });

  test("finds everything as it was after the tab is closed", async () => {
    const { page, context, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Siltation of the inner harbour");
    await press(page, "s", "Enter", "Shift+Enter");
    const text = await textOf(page);
    const address = page.url();
    const status = await page.locator("footer").textContent();
    await page.close();
    const again = await context.newPage();
    await again.goto(address);
    await slip(again).getByRole("button", { name: /^1/ }).waitFor();
    assert.equal(await textOf(again), text);
    assert.match(status ?? "", /Mark \d+ of 12, 9 left/);
    assert.equal(placeOf(await again.locator("footer").textContent()), placeOf(status));
    await again.getByRole("button", { name: "Decisions" }).click();
    assert.equal(await again.locator("aside li").count(), 3);
    await close();
  });

  test("takes back any decision, also an old one, and says when it can't", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Come and see the tide turn");
    const before = await textOf(page);
    await press(page, "Enter", "s", "s", "Enter");
    await page.getByRole("button", { name: "Decisions" }).click();
    await page.locator("aside li").last().getByRole("button", { name: "undo" }).click();
    await page.getByText(/^Undone: /).waitFor();
    assert.match(await textOf(page), /beleive[\s\S]*receive/);
    await page.keyboard.press("Escape");
    await press(page, "u", "u", "u");
    assert.equal(await textOf(page), before);
    await page.keyboard.press("Shift+U");
    await page.waitForTimeout(300);
    await untilKept(page);
    await page.keyboard.press("u");
    await page.waitForTimeout(300);
    assert.equal(await textOf(page), before);
    await close();
  });

  test("corrects every place at once, each seen and ticked first", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Siltation of the inner harbour");
    await press(page, "ArrowDown");
    assert.match(await reason(page), /recieved.*3 other places/);
    const rows = page.locator("aside li");
    assert.equal(await rows.count(), 4);
    await rows.nth(1).getByRole("checkbox").uncheck();
    await page.getByRole("button", { name: "Correct 3 ticked" }).click();
    await page.waitForFunction(
      () => !document.querySelector("aside")?.textContent?.includes("4 places"),
    );
    await untilKept(page);
    const text = await textOf(page);
    assert.equal(text.match(/recieved/g)?.length, 1);
    assert.equal(text.match(/received/g)?.length, 3);
    await close();
  });

  test("re-checks what is typed, and what is typed survives", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Letter instrument maker");
    await press(page, "e");
    await page.keyboard.type("untilll");
    await page.keyboard.press("Escape");
    await untilKept(page);
    await page.keyboard.press("ArrowUp");
    await page.keyboard.press("ArrowDown");
    assert.match(await textOf(page), /again untilll the index/);
    await page.reload();
    await slip(page).waitFor();
    assert.match(await textOf(page), /again untilll the index/);
    await close();
  });

  test("offers other words at one that carries no mark, and takes the one pressed", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Letter instrument maker");
    const line = page.locator(".cm-line", { hasText: "I enclose the traces" });
    await line.dblclick({ position: { x: 95, y: 12 } });
    await slip(page).filter({ hasText: "carries no mark" }).waitFor();
    await slip(page).filter({ hasText: "Other words for it" }).waitFor();
    await untilShown(page);
    const first = await slip(page).locator("button .font-book").first().textContent();
    assert.ok(first && first !== "enclose", String(first));
    await page.keyboard.press("1");
    await line
      .page()
      .locator(".cm-line", { hasText: `I ${first} the traces` })
      .waitFor();
    await page.keyboard.press("u");
    await page.locator(".cm-line", { hasText: "I enclose the traces" }).waitFor();
    await close();
  });

  test("asks the author, and the question leaves as a comment beside the tracked change", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    const original = docx(
      paragraph("It was recieved in a seperate office.") + paragraph("The end."),
    );
    await openFile(page, "note.docx", original);
    await untilShown(page);
    await press(page, "Enter");
    await untilShown(page);
    await page.keyboard.press("q");
    await page.getByLabel(/Ask the author/).fill("Is this the right name?");
    await page.keyboard.press("Enter");
    await page.getByRole("heading", { name: "The walk is done" }).waitFor();
    const { name, bytes } = await exported(page, "Tracked changes");
    assert.equal(name, "note tracked.docx");
    assert.equal(readDocx(bytes, name).text, "It was received in a seperate office.\nThe end.");
    const rejected = resolveChanges(bytes, "R. Penhale", "reject");
    assert.equal(readDocx(rejected, name).text, readDocx(original, name).text);
    assert.match(partOf(bytes, "word/comments.xml"), /Is this the right name\?/);
    const markdown = await exported(page, "Markdown");
    assert.equal(
      new TextDecoder().decode(markdown.bytes),
      "It was received in a seperate office.\n\nThe end.\n",
    );
    assert.deepEqual(errors, []);
    await close();
  });

  test("switches a check off and on, and every total follows", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Tide gauge house");
    const rail = page.getByRole("navigation", { name: "Passes" });
    assert.match((await rail.textContent()) ?? "", /Spelling7/);
    await page.getByText("Checks in this pass").click();
    await page.getByRole("checkbox", { name: /Word in no dictionary/ }).click();
    const spelling = rail.getByRole("button", { name: /^Spelling 1 / });
    await spelling.waitFor();
    await page.reload();
    await spelling.waitFor();
    await close();
  });

  test("reads the document as another variety when told to", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openFile(page, "v.txt", "The colour of the harbour at the centre was recieved.\n");
    await untilShown(page);
    assert.match(await reason(page), /recieved/);
    await page.getByLabel("Variety of English").selectOption("en-US");
    await page.locator("footer", { hasText: "of 4" }).waitFor();
    await close();
  });

  test("checks what is typed only when asked, once that is switched so", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Letter instrument maker");
    await page.getByText("Checks in this pass").click();
    await page.getByRole("checkbox", { name: "Check while typing" }).click();
    await page.locator("body").press("e");
    await page.keyboard.press("End");
    await page.keyboard.type(" hapened ");
    await page.keyboard.press("Escape");
    await untilKept(page);
    const rail = page.getByRole("navigation", { name: "Passes" });
    assert.match((await rail.textContent()) ?? "", /Spelling3/);
    await rail.getByRole("button", { name: "Check what was typed" }).click();
    await rail.getByRole("button", { name: /^Spelling 4 / }).waitFor();
    await close();
  });

  test("shows the word list, from which a word can be taken again", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Letter instrument maker");
    await press(page, "w");
    await page.locator("footer", { hasText: "of 2" }).waitFor();
    await page.getByRole("button", { name: "Lists" }).click();
    await page.getByRole("button", { name: "take off untill" }).click();
    await page.locator("footer", { hasText: "of 3" }).waitFor();
    await close();
  });

  test("lets a word stand everywhere, and no place of it stays marked", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Come and see the tide turn");
    assert.match(await reason(page), /beleive/);
    await press(page, "Shift+S");
    const drawn = await page.locator(".dr-mark").allTextContents();
    assert.deepEqual(
      drawn.filter((text) => text === "beleive"),
      [],
    );
    await press(page, "u");
    assert.ok((await page.locator(".dr-mark").allTextContents()).includes("beleive"));
    await close();
  });
});
