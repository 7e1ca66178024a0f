import assert from "node:assert/strict";
import { readFile } from "node:fs/promises";
import { after, describe, test } from "node:test";
import type { Page } from "playwright-core";
import {
  axeFindings,
  closeBrowser,
  openText,
  press,
  rail,
  slip,
  textOf,
  untilKept,
  untilSettled,
} from "../support/browser.ts";

after(closeBrowser);

const PAPER = `Soundings at Gannet Head

Mud swallows the lead (Orrin & Vale, 2004), and the trench has worked well (Teesedale, 2019). The mole was lengthened (Penhale, 1982). The pilots knew it (Harkness et al., 1987).

References

Orrin, I., & Vale, T. (2004). Sounding lead and echo sounder on a soft bottom: a comparison. Proceedings of the Gannet Head Tide Observatory, 11, 40–52.

Penhale, R. (1981). The lengthening of the outer mole. Harbour Trustees.

Teesdale, M. (2019). Seven years of the sand trap at Port Carrow. Coastal Works Quarterly, 33(2), 118–131.
`;

async function openPaper(): Promise<Awaited<ReturnType<typeof openText>>> {
  const opened = await openText(PAPER, "paper.txt");
  await untilSettled(opened.page);
  await rail(opened.page)
    .getByRole("button", { name: /^Citations/ })
    .click();
  return opened;
}

const board = (page: Page) => page.getByRole("region", { name: "Citations", exact: true });

describe("the citations pass", () => {
  test("is tied by hand to an entry, everywhere, and untied by undoing", async () => {
    const { page, errors, close } = await openPaper();
    await slip(page).getByText("The nearest entry is “Teesdale, 2019”").waitFor();
    await page.getByLabel("The entry that is meant").selectOption({ label: "Penhale, 1981" });
    await untilKept(page);
    // The next mark opens: the year of Penhale.
    await slip(page).getByText("The nearest entry is “Penhale, 1981”").waitFor();
    await press(page, "u");
    await untilKept(page);
    await slip(page).getByText("The nearest entry is “Teesdale, 2019”").waitFor();
    assert.deepEqual(errors, []);
    await close();
  });

  test("shows the entry beside the citation, and corrects either", async () => {
    const { page, errors, close } = await openPaper();
    await slip(page).getByText("The nearest entry is “Teesdale, 2019”").waitFor();
    await page.getByTestId("pair").waitFor();
    assert.match((await page.getByTestId("pair").textContent()) ?? "", /Teesdale, M\. \(2019\)/);
    assert.deepEqual(await axeFindings(page), []);
    await press(page, "1");
    await untilKept(page);
    assert.match(await textOf(page), /\(Teesdale, 2019\)/);
    // The next: the year, mended in the entry, which is another paragraph.
    await slip(page).getByText("The nearest entry is “Penhale, 1981”").waitFor();
    await page.getByTestId("pair").waitFor();
    await press(page, "2");
    await untilKept(page);
    assert.match(await textOf(page), /Penhale, R\. \(1982\)\./);
    await press(page, "u");
    await untilKept(page);
    assert.match(await textOf(page), /Penhale, R\. \(1981\)\./);
    assert.deepEqual(errors, []);
    await close();
  });

  test("reads the list as an index, from which places are decided and gone to", async () => {
    const { page, errors, close } = await openPaper();
    await slip(page).waitFor();
    await press(page, "b");
    await board(page).getByText("4 citations, 3 entries, 3 open").waitFor();
    await board(page).getByText("no entry", { exact: true }).waitFor();
    assert.equal(await board(page).getByText("nearly tied").count(), 2);
    assert.deepEqual(await axeFindings(page), []);
    await page.getByLabel("Find a name or year").fill("penhale");
    await board(page).getByText("cited once").waitFor();
    assert.equal(await board(page).locator("[data-testid=list] li[data-index]").count(), 1);
    await page.getByLabel("Find a name or year").fill("");
    await page.getByLabel("Find a name or year").press("Enter");
    await page.getByLabel("Which entries").selectOption({ label: "No entry for a citation: 1" });
    await board(page).getByText("No entry of the list is “Harkness et al., 1987”.").waitFor();
    await page.getByLabel("Which entries").selectOption("");
    await page.keyboard.press("Home");
    await press(page, "ArrowDown");
    await board(page)
      .getByRole("button", { name: /1981, in the text/ })
      .waitFor();
    await board(page)
      .getByRole("button", { name: /1981, in the text/ })
      .click();
    await board(page).getByText("4 citations, 3 entries, 2 open").waitFor();
    await untilKept(page);
    await page.keyboard.press("Escape");
    assert.match(await textOf(page), /\(Penhale, 1981\)/);
    assert.deepEqual(errors, []);
    await close();
  });

  test("follows the style that is named, and says what tells the one that is written", async () => {
    const { page, close } = await openPaper();
    await slip(page).waitFor();
    const style = page.getByRole("region", { name: "Style of citations" });
    await style
      .getByRole("option", { name: "APA, 7th edition, as written" })
      .waitFor({ state: "attached" });
    await style.getByText("What tells it").click();
    await style.getByText(/the year in brackets and a stop behind the names: 3 times/).waitFor();
    await style.getByRole("combobox").selectOption("harvard");
    await untilKept(page);
    await style.getByText("The list looks like APA, 7th edition").waitFor();
    await page.waitForFunction(() =>
      /Citations\s*1\d/.test(document.querySelector("nav[aria-label=Passes]")?.textContent ?? ""),
    );
    await page.keyboard.press("u");
    await style.getByText("What tells it").waitFor();
    await close();
  });

  test("looks entries up when it is told to, says what is sent, and puts in what was found", async () => {
    const { page, errors, close } = await openPaper();
    await slip(page).waitFor();
    const sent: string[] = [];
    page.on("request", (request) => {
      if (request.method() === "POST") sent.push(request.postData() ?? "");
    });
    await press(page, "b");
    await board(page).getByText("3 entries").waitFor();
    await page.keyboard.press("l");
    await board(page)
      .getByText(/title, its first author and its year are sent/)
      .waitFor();
    assert.deepEqual(sent, []);
    await board(page).getByRole("button", { name: "Look up all 3 entries" }).click();
    await board(page)
      .getByText(/differ, .* agree/)
      .waitFor();
    assert.equal(sent.length, 1);
    assert.doesNotMatch(sent[0] ?? "", /swallows|pilots|Coastal/);
    assert.deepEqual(await axeFindings(page), []);
    await board(page).getByRole("button", { name: "put it in" }).first().click();
    await untilKept(page);
    await page.keyboard.press("v");
    await board(page).getByRole("button", { name: "Ask about all 3 entries" }).click();
    await board(page).getByText("Retracted").waitFor();
    await board(page).getByText("11 March 2024").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await page.keyboard.press("Escape");
    assert.match(await textOf(page), /40–52\. https:\/\/doi\.org\/10\.5555\/ghto\.11\.40/);
    assert.deepEqual(errors, []);
    await close();
  });

  test("writes the list in another style, and makes references from elsewhere", async () => {
    const { page, errors, close } = await openPaper();
    await slip(page).waitFor();
    await press(page, "b");
    await board(page).getByText("3 entries").waitFor();
    await board(page).getByRole("button", { name: "Other forms" }).click();
    const forms = page.getByTestId("other-forms");
    await forms.getByRole("combobox", { name: "In the style" }).selectOption("vancouver");
    await forms
      .getByText(
        "3. Teesdale M. Seven years of the sand trap at Port Carrow. Coastal Works Quarterly. 2019;33(2):118–31.",
      )
      .waitFor();
    await forms.getByText("lacks: place").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    const source = forms.getByRole("textbox", { name: "A DOI, or BibTeX, RIS or CSL-JSON" });
    await source.fill("10.5555/cwq.33.118");
    await forms.getByRole("button", { name: "Make the reference" }).click();
    await page.getByTestId("made").getByText("in the text: (1)").waitFor();
    await source.fill(
      "@article{a, author = {Weller, Piers}, title = {{Sand}}, journal = {Estuary Letters}, year = {2016}, volume = {23}, pages = {9--21}}",
    );
    await forms.getByRole("button", { name: "Make the reference" }).click();
    await page
      .getByTestId("made")
      .getByText("1. Weller P. Sand. Estuary Letters. 2016;23:9–21.")
      .waitFor();
    await source.fill("The tide fell.");
    await forms.getByRole("button", { name: "Make the reference" }).click();
    await forms.getByRole("alert").getByText("no BibTeX, RIS or CSL-JSON").waitFor();
    const [saved] = await Promise.all([
      page.waitForEvent("download"),
      forms.getByRole("button", { name: "RIS", exact: true }).click(),
    ]);
    assert.equal(saved.suggestedFilename(), "references.ris");
    assert.deepEqual(errors, []);
    await close();
  });

  test("makes corrections all at once after they were seen, and sorts the list on the way out", async () => {
    const { page, errors, close } = await openText(
      PAPER.replace(/(Orrin, I\., & Vale[^\n]*)\n\n(Penhale[^\n]*)/, "$2\n\n$1"),
      "unsorted.txt",
    );
    await untilSettled(page);
    await rail(page)
      .getByRole("button", { name: /^Citations/ })
      .click();
    await slip(page).waitFor();
    await press(page, "b");
    await board(page).getByRole("button", { name: "All at once" }).click();
    const batch = page.getByTestId("all-at-once");
    await batch.getByText(/^Penhale, 1981 before Teesdale, 2019|^Orrin.* before Penhale/).waitFor();
    const make = batch.getByRole("button", { name: /^Make \d+ changes? of this kind/ }).first();
    await make.waitFor();
    assert.deepEqual(await axeFindings(page), []);
    assert.ok((await batch.locator("ins").count()) > 0);
    const before = await textOf(page);
    await make.click();
    await page.getByText(/changes? made\. U takes all of it back\./).waitFor();
    assert.notEqual(await textOf(page), before);
    await press(page, "u");
    await untilKept(page);
    assert.equal(await textOf(page), before);
    await batch.getByRole("button", { name: "Sort it: 1 entry moved" }).click();
    await batch.getByText("The list leaves in its right order").waitFor();
    await press(page, "Escape");
    await page.getByRole("button", { name: "Export" }).first().click();
    const [saved] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("dialog").getByRole("button", { name: "Export" }).click(),
    ]);
    const text = await readFile(await saved.path(), "utf8");
    assert.ok(text.indexOf("Orrin, I., & Vale, T. (2004)") < text.indexOf("Penhale, R. (1981)"));
    assert.deepEqual(errors, []);
    await close();
  });

  test("takes a work typed into a form, and puts it and its citation in", async () => {
    const { page, errors, close } = await openPaper();
    await slip(page).waitFor();
    await press(page, "b");
    await board(page).getByRole("button", { name: "Other forms" }).click();
    const forms = page.getByTestId("other-forms");
    await forms.getByRole("button", { name: "Type it into a form…" }).click();
    await forms.getByLabel("Authors").fill("Weller, P.");
    await forms.getByLabel("Year", { exact: true }).fill("16");
    await forms.getByLabel("Title", { exact: true }).fill("Sand on the turn");
    await forms.getByLabel(/^Periodical/).fill("Estuary Letters");
    await forms.getByRole("button", { name: "Make it from these" }).click();
    await forms.getByRole("alert").getByText("“16” is no year").waitFor();
    await forms.getByLabel("Year", { exact: true }).fill("2016");
    assert.deepEqual(await axeFindings(page), []);
    await forms.getByRole("button", { name: "Make it from these" }).click();
    const made = page.getByTestId("made");
    await made.getByText("Weller, P. (2016). Sand on the turn. Estuary Letters.").waitFor();
    await made.getByRole("button", { name: "Put the reference in the list" }).click();
    await untilKept(page);
    assert.match(await textOf(page), /118–131\.\s*Weller, P\. \(2016\)/);
    await made.getByRole("button", { name: "Put the citation where you left the text" }).click();
    await page.getByText("Put in: “").waitFor();
    await untilKept(page);
    assert.match(await textOf(page), /\(Teesedale, 2019\) \(Weller, 2016\)\./);
    assert.deepEqual(errors, []);
    await close();
  });

  test("follows the points that a house has otherwise, and says whose they are", async () => {
    const { page, close } = await openPaper();
    await slip(page).waitFor();
    const address = page.url();
    await page.goto(new URL("/house?part=citations", address).href);
    await page.getByLabel("Before the last name").selectOption("and");
    assert.deepEqual(await axeFindings(page), []);
    await page.waitForTimeout(400);
    await page.goto(address);
    await untilSettled(page);
    await rail(page)
      .getByRole("button", { name: /^Citations/ })
      .click();
    await press(page, "b");
    await page.getByLabel("Which entries").selectOption({ label: "Between names in the list: 1" });
    await board(page)
      .getByText(/The house \(before the last name: and\) has “, and”/)
      .waitFor();
    await close();
  });

  test("says so when the service can’t be reached, and keeps what there was", async () => {
    const { page, close } = await openPaper();
    await slip(page).waitFor();
    await page.route("**/api/works", (route) => route.abort());
    await press(page, "b");
    await board(page).getByText("3 entries").waitFor();
    await page.keyboard.press("l");
    await board(page).getByRole("button", { name: "Look up all 3 entries" }).click();
    await board(page).getByRole("alert").getByText("can’t be reached").waitFor();
    await page.unroute("**/api/works");
    await page.route("**/api/works", (route) => route.fulfill({ status: 500, body: "{}" }));
    await board(page).getByRole("button", { name: "Look up all 3 entries" }).click();
    await board(page).getByRole("alert").getByText("could not answer").waitFor();
    await close();
  });
});
