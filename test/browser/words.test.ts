import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import type { Page } from "playwright-core";
import {
  BASE,
  closeBrowser,
  openBrowser,
  openDesk,
  openFile,
  openShelf,
  press,
  slip,
  textOf,
  untilKept,
  untilSettled,
} from "../support/browser.ts";
import { spokenTexts, standInForSpeech } from "../support/speech.ts";

after(closeBrowser);

const entry = (page: Page) => page.getByRole("article");

describe("the word entry", () => {
  test("shows meanings, is followed from word to word and back, and puts a synonym in", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Siltation of the inner harbour");
    await page.keyboard.press("m");
    await entry(page).getByText("come to pass").waitFor();
    assert.match((await entry(page).textContent()) ?? "", /occurred.*2 syllables/);
    assert.match((await entry(page).textContent()) ?? "", /Forms:.*occurs/);
    await entry(page).getByRole("button", { name: "happen", exact: true }).first().click();
    await page.getByRole("heading", { name: "happen" }).waitFor();
    await page.getByRole("button", { name: "Back to occurred" }).click();
    await page.getByRole("heading", { name: "occurred" }).waitFor();
    await entry(page).getByRole("button", { name: "Put “happen” into the text" }).click();
    await untilKept(page);
    await page.waitForFunction(
      () => !document.querySelector(".cm-content")?.textContent?.includes("occured"),
    );
    assert.match(await textOf(page), /Most of the loss happened in two periods/);
    await untilSettled(page);
    await page.keyboard.press("u");
    await page.getByText("Undone: the correction of “occured”").waitFor();
    assert.match(await textOf(page), /Most of the loss occured in two periods/);
    assert.deepEqual(errors, []);
    await close();
  });

  test("leaves the desk whole when the meanings can't be reached", async () => {
    const { page, close } = await openBrowser();
    await page.route("**/api/words/**", (route) => route.abort());
    await openShelf(page);
    await openDesk(page, "Letter instrument maker");
    await page.keyboard.press("m");
    await page.getByText("The meanings can’t be reached just now").waitFor();
    await press(page, "Enter");
    assert.match(await textOf(page), /again until the index/);
    await close();
  });

  test("is answered for ever, and refuses what is no word", async () => {
    const good = await fetch(`${BASE}/api/words/3.1-1/tide`);
    assert.match(good.headers.get("cache-control") ?? "", /immutable/);
    const { senses } = (await good.json()) as { senses: { definition: string }[] };
    assert.match(senses[0]?.definition ?? "", /periodic rise and fall/);
    assert.equal((await fetch(`${BASE}/api/words/3.1-1/%3Cb%3E`)).status, 400);
    assert.equal((await fetch(`${BASE}/api/words/1.0/tide`)).status, 404);
    const none = (await (await fetch(`${BASE}/api/words/3.1-1/quillfrost`)).json()) as {
      senses: unknown[];
    };
    assert.deepEqual(none.senses, []);
  });

  test("reads the word, its letters, its sentence and on from there, each word shown", async () => {
    const { page, close } = await openBrowser();
    await standInForSpeech(page, ["de-DE", "en-US", "en-GB"]);
    await openShelf(page);
    await openDesk(page, "Letter instrument maker");
    await page.keyboard.press("m");
    const aloud = (name: string) => page.getByRole("button", { name, exact: true }).click();
    await aloud("word");
    await aloud("letters");
    await page.waitForFunction(() => (globalThis as unknown as { spoken: [] }).spoken.length >= 2);
    assert.deepEqual((await spokenTexts(page)).slice(0, 2), ["until", "u, n, t, i, l"]);
    await aloud("sentence");
    await page.locator(".dr-spoken").first().waitFor();
    await page.locator(".dr-spoken").first().waitFor({ state: "detached" });
    const [, , sentence] = await spokenTexts(page);
    assert.match(sentence ?? "", /untill the index mark comes round/);
    await aloud("from here on");
    await page.waitForFunction(() => (globalThis as unknown as { spoken: [] }).spoken.length >= 5);
    await page.getByRole("button", { name: "stop", exact: true }).click();
    await page.locator(".dr-spoken").first().waitFor({ state: "detached" });
    await close();
  });

  test("says so when the computer has no voice", async () => {
    const { page, close } = await openBrowser();
    await standInForSpeech(page, []);
    await openShelf(page);
    await openDesk(page, "Letter instrument maker");
    await page.keyboard.press("m");
    await page.getByRole("button", { name: "sentence", exact: true }).click();
    await page.getByText("This computer has no voice for reading aloud").waitFor();
    await close();
  });
});

describe("switches of a document", () => {
  test("a subject list that is switched on is taken for known words", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openFile(page, "n.txt", "The patient had orthopnea and recieved oxygen.\n");
    await page.locator("footer", { hasText: "of 1" }).waitFor();
    await page.getByText("Left alone").click();
    await page.getByRole("checkbox", { name: "Words that look like terms" }).click();
    await page.locator("footer", { hasText: "of 2" }).waitFor();
    await page.getByText("Subject lists").click();
    await page.getByRole("checkbox", { name: "Medicine" }).click();
    await page.locator("footer", { hasText: "of 1" }).waitFor();
    await page.reload();
    await page.locator("footer", { hasText: "of 1" }).waitFor();
    await close();
  });

  test("what is left alone is read when that is switched off", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openFile(page, "n.txt", "The GHTO read it at www.gannet-hed.example and recieved it.\n");
    await page.locator("footer", { hasText: "of 1" }).waitFor();
    await page.getByText("Left alone").click();
    await page.getByRole("checkbox", { name: "Words that look like terms" }).click();
    await page.getByRole("checkbox", { name: "Words in capitals" }).click();
    await page.locator("footer", { hasText: "of 2" }).waitFor();
    await close();
  });
});

describe("a sheet", () => {
  test("is walked cell by cell with addresses, and only what is corrected changes", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    const source = "Item,Name,Count\r\nGH-104,Seperate staff,12\r\nGH-105,Recieved floats,3\r\n";
    await openFile(page, "stock.csv", source);
    await slip(page).getByRole("button", { name: /^1/ }).waitFor();
    assert.match((await page.locator(".dr-margin").textContent()) ?? "", /B2/);
    assert.equal(await page.locator(".dr-sheet-letters").textContent(), "ABC");
    await press(page, "1");
    await page.locator("footer", { hasText: "1 left" }).waitFor();
    await press(page, "Enter");
    await page.getByRole("heading", { name: "The walk is done" }).waitFor();
    await untilKept(page);
    assert.match(await textOf(page), /Received floats/);
    assert.deepEqual(errors, []);
    await close();
  });
});
