import assert from "node:assert/strict";
import { readFile } from "node:fs/promises";
import { after, describe, test } from "node:test";
import type { Page } from "playwright-core";
import {
  axeFindings,
  BASE,
  closeBrowser,
  openBrowser,
  openDesk,
  openShelf,
  press,
  textOf,
  untilKept,
  untilSettled,
} from "../support/browser.ts";

after(closeBrowser);

async function addWord(page: Page, word: string): Promise<void> {
  await page.getByLabel("Word to add").fill(word);
  await page.keyboard.press("Enter");
  await page.getByRole("cell", { name: word, exact: true }).waitFor();
}

async function takeIn(page: Page, name: string, text: string): Promise<void> {
  await page.getByTestId("import").setInputFiles({ name, mimeType: "", buffer: Buffer.from(text) });
}

describe("house style", () => {
  test("keeps words with notes, counts them in a document, and gives them up again", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    await page.getByRole("link", { name: "House style" }).click();
    await addWord(page, "siltation");
    await addWord(page, "quillfrost");
    await page
      .getByLabel("Counted in")
      .selectOption({ label: "Siltation of the inner harbour, 1981–2030" });
    const row = page.getByRole("row", { name: /siltation/ });
    await row.getByRole("cell", { name: /^\d+$/ }).waitFor();
    await page.getByLabel("Note on siltation").fill("as in the title");
    await page.keyboard.press("Tab");
    await page.getByLabel("Word to add").fill("Siltation");
    await page.keyboard.press("Enter");
    await page.getByText("is on a list already").waitFor();
    await page.getByLabel("Find a word or note").fill("title");
    await page
      .getByRole("cell", { name: "quillfrost", exact: true })
      .waitFor({ state: "detached" });
    await page.getByLabel("Find a word or note").fill("");
    await page.reload();
    assert.equal(await page.getByLabel("Note on siltation").inputValue(), "as in the title");
    await page.getByRole("button", { name: "take off quillfrost" }).click();
    await page
      .getByRole("cell", { name: "quillfrost", exact: true })
      .waitFor({ state: "detached" });
    await page.getByLabel("List of siltation").selectOption("house");
    await page.getByRole("button", { name: /^House/ }).click();
    await page.getByRole("cell", { name: "siltation", exact: true }).waitFor();
    assert.deepEqual(errors, []);
    await close();
  });

  test("makes every one of several changes that come in one breath", async () => {
    const { page, errors, close } = await openBrowser();
    await page.goto(`${BASE}/house`);
    for (const word of ["ebb-stone", "siltation", "stilling-well", "quillfrost"]) {
      await addWord(page, word);
    }
    await page.getByRole("button", { name: /^take off (?!quillfrost)/ }).evaluateAll((buttons) => {
      for (const button of buttons) (button as HTMLElement).click();
    });
    await page.getByText("1 word.").waitFor();
    await page.reload();
    await page.getByRole("cell", { name: "quillfrost", exact: true }).waitFor();
    assert.equal(await page.getByLabel(/^Note on/).count(), 1);
    assert.deepEqual(errors, []);
    await close();
  });

  test("takes a file in, shows what contradicts, and gives lists out", async () => {
    const { page, close } = await openBrowser();
    await page.goto(`${BASE}/house`);
    await addWord(page, "mole");
    await page.getByLabel("Note on mole").fill("the outer one");
    await page.keyboard.press("Tab");
    await page.getByRole("button", { name: "Import, export" }).click();
    await takeIn(page, "list.csv", "word,note\nmole,the inner one\nebb-stone,\n");
    await page.getByText("the inner one").click();
    await page.getByRole("button", { name: "Take in" }).click();
    await page.getByText("1 entry taken in").waitFor();
    await takeIn(page, "broken.json", '{"words":');
    await page.getByText("it can’t be read to its end").waitFor();
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name: ".txt" }).click(),
    ]);
    assert.equal(download.suggestedFilename(), "personal-list.txt");
    assert.equal(await readFile(await download.path(), "utf8"), "ebb-stone\nmole\n");
    await page.getByRole("button", { name: "Personal" }).click();
    assert.equal(await page.getByLabel("Note on mole").inputValue(), "the inner one");
    await close();
  });

  test("replaces in a document with each place seen first, and while typing", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await page.goto(`${BASE}/house?part=replacements`);
    for (const [from, to] of [
      ["recieved", "received"],
      ["gh", "Gannet Head"],
    ] as const) {
      await page.getByLabel("Typed").fill(from);
      await page.getByLabel("Meant").fill(to);
      await page.keyboard.press("Enter");
      await page.getByRole("cell", { name: from, exact: true }).waitFor();
    }
    await page.goto(BASE);
    await openDesk(page, "Siltation of the inner harbour");
    await page.getByText("Replacements").click();
    await page.getByRole("button", { name: "Replace in this document…" }).click();
    const dialog = page.getByRole("dialog");
    assert.equal(await dialog.getByRole("checkbox").count(), 4);
    await dialog.getByRole("checkbox").first().uncheck();
    await dialog.getByRole("button", { name: "Replace 3 places" }).click();
    await page.getByText("3 places corrected.").waitFor();
    await untilKept(page);
    assert.equal((await textOf(page)).match(/recieved/g)?.length, 1);
    await untilSettled(page);
    await page.keyboard.press("u");
    await page.getByText("Undone: the replacements.").waitFor();
    assert.equal((await textOf(page)).match(/recieved/g)?.length, 4);
    await page.getByRole("checkbox", { name: "Replace while typing" }).click();
    await page.locator("body").press("e");
    await page.keyboard.press("End");
    await page.keyboard.type(" at gh ");
    await page.getByText("Replaced by “Gannet Head”.").waitFor();
    assert.match(await textOf(page), / at Gannet Head /);
    await close();
  });

  test("a sound rule finds what is written by ear", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await page.goto(`${BASE}/house?part=sounds`);
    await page.getByLabel("Typed").fill("kw");
    await page.getByLabel("Meant").fill("qu");
    await page.keyboard.press("Enter");
    await page.getByText("kw → qu").waitFor();
    await page.goto(BASE);
    await page.getByTestId("file-picker").setInputFiles({
      name: "k.txt",
      mimeType: "",
      buffer: Buffer.from("It was a kwestion of time.\n"),
    });
    await page
      .getByTestId("slip")
      .getByRole("button", { name: /^1 ?question/ })
      .waitFor();
    await close();
  });
});

describe("the ledger", () => {
  test("lists decisions, filters them, gives them out, and has a slip replaced from now on", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Siltation of the inner harbour");
    await press(page, "s");
    await page.getByTestId("slip").filter({ hasText: "recieved" }).waitFor();
    await press(page, "Shift+Enter");
    await page.getByTestId("slip").filter({ hasText: "twice" }).waitFor();
    await page.goto(`${BASE}/ledger`);
    await page.getByRole("cell", { name: "recieved", exact: true }).waitFor();
    assert.equal(await page.getByRole("row").count(), 3);
    await page.getByLabel("Decision", { exact: true }).selectOption("stet");
    await page.getByRole("cell", { name: "recieved", exact: true }).waitFor({ state: "detached" });
    await page.getByLabel("Decision", { exact: true }).selectOption("");
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name: ".csv" }).click(),
    ]);
    assert.match(
      await readFile(await download.path(), "utf8"),
      /recieved,received,Word in no dictionary,corrected,4/,
    );
    await page.getByRole("button", { name: /replace from now on/ }).click();
    await page.getByText("replaced from now on").waitFor();
    await page.goto(`${BASE}/house?part=replacements`);
    await page.getByRole("cell", { name: "recieved", exact: true }).waitFor();
    assert.deepEqual(errors, []);
    await close();
  });
});

for (const theme of ["light", "dark"] as const) {
  test(`axe finds nothing on house style, ledger and word entry in the ${theme} theme`, async () => {
    const { page, close } = await openBrowser();
    await page.emulateMedia({ colorScheme: theme });
    await openShelf(page);
    await openDesk(page, "Siltation of the inner harbour");
    await press(page, "Enter");
    await page.keyboard.press("m");
    await page.getByRole("article").getByRole("heading").first().waitFor();
    for (const part of ["Left alone", "Subject lists", "Replacements"]) {
      await page.getByText(part, { exact: true }).click();
    }
    assert.deepEqual(await axeFindings(page), []);
    await untilKept(page);
    await page.goto(`${BASE}/house`);
    await addWord(page, "quillfrost");
    assert.deepEqual(await axeFindings(page), []);
    for (const part of ["subjects", "replacements", "sounds", "files"]) {
      await page.goto(`${BASE}/house?part=${part}`);
      await page.getByRole("heading", { level: 1 }).waitFor();
      assert.deepEqual(await axeFindings(page), [], part);
    }
    await page.goto(`${BASE}/ledger`);
    await page.getByRole("table").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await close();
  });
}
