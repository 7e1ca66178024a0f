import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import {
  BASE,
  closeBrowser,
  openBrowser,
  openFile,
  openShelf,
  slip,
  textOf,
} from "../support/browser.ts";

after(closeBrowser);

describe("the way in", () => {
  test("takes pasted text to the desk", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    await page.getByRole("button", { name: "Paste text" }).click();
    await page.getByLabel("Text", { exact: true }).fill("It was recieved.\n\nAnd the the end.");
    await page.getByLabel("Title", { exact: true }).fill("A pasted note");
    await page.getByRole("button", { name: "Put on the desk" }).click();
    await slip(page).waitFor();
    assert.equal(await textOf(page), "It was recieved.\nAnd the the end.");
    await page.getByRole("heading", { name: /A pasted note/ }).waitFor();
    assert.deepEqual(errors, []);
    await close();
  });

  test("takes a file dropped anywhere on the shelf", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await page.evaluate(() => {
      const transfer = new DataTransfer();
      transfer.items.add(new File(["The tide was recieved.\n"], "dropped.md"));
      for (const type of ["dragover", "drop"]) {
        document.body.dispatchEvent(
          new DragEvent(type, { dataTransfer: transfer, bubbles: true, cancelable: true }),
        );
      }
    });
    await slip(page).waitFor();
    assert.equal(await textOf(page), "The tide was recieved.");
    await close();
  });

  test("says of a wrong file what is wrong, and the shelf stays as it was", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    const rows = await page.getByRole("row").count();
    const wrong: [string, string | Uint8Array, RegExp][] = [
      ["empty.docx", "", /empty: 0 bytes/],
      ["text.docx", "plain words", /holds plain text.*Rename/],
      ["scan.txt", Uint8Array.from({ length: 500 }, (_, i) => (i * 31) % 256), /binary data/],
      ["cut.docx", Uint8Array.from([0x50, 0x4b, 3, 4, 20, 0, 0, 0]), /end of this file is missing/],
      ["paper.docx", "%PDF-1.4", /This is a PDF/],
    ];
    for (const [name, contents, sentence] of wrong) {
      await openFile(page, name, contents);
      await page.getByRole("alert").filter({ hasText: sentence }).waitFor();
    }
    assert.equal(await page.getByRole("row").count(), rows);
    await page.getByRole("button", { name: "Dismiss" }).click();
    await page.reload();
    await page.getByRole("link", { name: "Start" }).nth(5).waitFor();
    assert.equal(await page.getByRole("row").count(), rows);
    assert.deepEqual(errors, []);
    await close();
  });

  test("finds, sorts, renames and downloads what is on the shelf", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await page.getByLabel("Find a title").fill("letter");
    assert.equal(await page.locator("tbody").getByRole("row").count(), 2);
    await page.getByLabel("Find a title").fill("");
    await page.getByRole("columnheader", { name: "Words" }).getByRole("button").click();
    assert.match((await page.getByRole("row").nth(1).textContent()) ?? "", /Gauge house spares/);
    await page.getByRole("columnheader", { name: "Words" }).getByRole("button").click();
    assert.match((await page.getByRole("row").nth(1).textContent()) ?? "", /Siltation/);
    await page.getByRole("button", { name: "More for Letter harbour office" }).click();
    await page.getByRole("menuitem", { name: "Rename…" }).click();
    await page.getByLabel("Title", { exact: true }).fill("To Mr. Vale");
    await page.getByRole("button", { name: "Rename" }).click();
    await page.getByRole("link", { name: "To Mr. Vale" }).waitFor();
    await page.getByRole("button", { name: "More for To Mr. Vale" }).click();
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("menuitem", { name: "Download as it came" }).click(),
    ]);
    assert.equal(download.suggestedFilename(), "letter-harbour-office.txt");
    await close();
  });

  test("does not bring deleted demo documents back", async () => {
    const { page, close } = await openBrowser({ fresh: true });
    await openShelf(page);
    await page.getByRole("button", { name: "More for Letter harbour office" }).click();
    await page.getByRole("menuitem", { name: "Delete…" }).click();
    await page.getByRole("button", { name: "Delete" }).click();
    await page.getByRole("link", { name: "Letter harbour office" }).waitFor({ state: "detached" });
    await page.goto(BASE);
    await page.getByRole("link", { name: "Start" }).nth(3).waitFor();
    assert.equal(await page.getByRole("link", { name: "Letter harbour office" }).count(), 0);
    await close();
  });

  test("says so when a document is not there", async () => {
    const { page, close } = await openBrowser();
    await page.goto(`${BASE}/desk?doc=none`);
    await page.getByRole("heading", { name: "This document can’t be shown" }).waitFor();
    const response = await page.goto(`${BASE}/nowhere`);
    assert.equal(response?.status(), 404);
    await page.getByRole("heading", { name: "There is no such page" }).waitFor();
    await close();
  });
});
