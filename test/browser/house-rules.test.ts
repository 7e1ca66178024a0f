import assert from "node:assert/strict";
import { readFile } from "node:fs/promises";
import { after, describe, test } from "node:test";
import type { Page } from "playwright-core";
import {
  axeFindings,
  closeBrowser,
  openBrowser,
  openShelf,
  press,
  textOf,
  untilKept,
  untilSettled,
} from "../support/browser.ts";

after(closeBrowser);

/** A document made of pasted text, on the desk with its checks done. */
async function pasted(page: Page, title: string, text: string): Promise<void> {
  await openShelf(page);
  await page.getByRole("button", { name: "Paste text" }).click();
  await page.getByRole("textbox", { name: "Title" }).fill(title);
  await page.getByRole("textbox", { name: "Text", exact: true }).fill(text);
  await page.getByRole("button", { name: "Put on the desk" }).click();
  await page.locator(".cm-content").waitFor();
  await untilSettled(page);
}

async function newHouse(page: Page, name: string): Promise<void> {
  await page.getByRole("link", { name: "House style" }).click();
  await page.getByRole("combobox", { name: "House" }).selectOption("");
  await page.getByLabel("Name").fill(name);
  await page.getByRole("button", { name: "Make the house" }).click();
  await page.getByRole("button", { name: "New term" }).waitFor();
}

describe("rules of a house", () => {
  test("are made of words selected in the text, and then of what is at hand again", async () => {
    const { page, errors, close } = await openBrowser();
    await pasted(page, "Words", "The old tide hut stood there. It was a quiet place.");
    await page
      .locator(".cm-line")
      .first()
      .click({ position: { x: 4, y: 8 } });
    await page.keyboard.press("Home");
    await page.keyboard.press("Control+ArrowRight");
    for (let word = 0; word < 3; word++) await page.keyboard.press("Control+Shift+ArrowRight");
    await page.keyboard.press("Escape");
    await page.getByText("is selected: F makes a rule of it.").waitFor();
    await page.keyboard.press("f");
    const dialog = page.getByRole("dialog");
    assert.equal(await dialog.getByLabel(/^Not written/).inputValue(), "old tide hut");
    assert.deepEqual(await axeFindings(page), []);
    await page.keyboard.press("Escape");
    await page.keyboard.press("Escape");
    await page.keyboard.press("f");
    assert.equal(await page.getByRole("dialog").count(), 0, "nothing is at hand any more");
    assert.deepEqual(errors, []);
    await close();
  });

  test("are written with what they do at every key, and followed on the desk", async () => {
    const { page, errors, close } = await openBrowser();
    await pasted(
      page,
      "Weed",
      "The keepers left.\n\nA keeper wrote the log, and the keeper slept.",
    );
    const address = page.url();
    await page.getByRole("link", { name: "Shelf", exact: true }).click();
    await newHouse(page, "Gannet Head Press");
    await page.getByRole("button", { name: "New term" }).click();
    const option = page.getByLabel("Tried on").locator("option", { hasText: "Weed" });
    await page.getByLabel("Tried on").selectOption((await option.getAttribute("value")) ?? "");
    await page.getByText("Say which word is not written.").waitFor();
    await page.getByLabel(/^Not written/).fill("keeper");
    await page.getByText("3 places").waitFor();
    await page.getByLabel(/^Written instead/).fill("warden");
    await page.locator("ins", { hasText: "wardens" }).waitFor();
    await page.getByRole("button", { name: "Add a wrong sentence" }).click();
    await page.getByLabel("Sentence", { exact: true }).fill("Two keepers.");
    await page.getByLabel("Sentence put right").fill("Two warden.");
    await page.getByText("the rule makes “Two wardens.” of it").waitFor();
    await page.getByLabel("Sentence put right").fill("Two wardens.");
    await page.getByText("as it should be").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await page.getByRole("button", { name: "Keep the rule" }).click();
    await page.getByRole("cell", { name: /warden \(not keeper\)/ }).waitFor();
    await page.getByRole("button", { name: "Numbers, dates, marks" }).click();
    await page.getByLabel("Percentages").selectOption("5 per cent");
    assert.deepEqual(await axeFindings(page), []);
    await page.getByRole("button", { name: "Name, followers" }).click();
    await page.getByText("It holds 2 rules.").waitFor();

    await page.goto(address);
    await untilSettled(page);
    await page.getByRole("button", { name: /^House:/ }).click();
    await page.getByRole("menuitemcheckbox", { name: "Gannet Head Press" }).click();
    await page.keyboard.press("Escape");
    const passes = page.getByRole("navigation", { name: "Passes" });
    await passes.getByRole("button", { name: /^Wording\s*3/ }).click();
    await page.getByText(/Gannet Head Press writes “wardens”/).waitFor();
    await press(page, "Enter");
    await untilKept(page);
    assert.match(await textOf(page), /^The wardens left\./);
    assert.deepEqual(errors, []);
    await close();
  });

  test("are made from a mark with F, in a house that is new", async () => {
    const { page, errors, close } = await openBrowser();
    await pasted(page, "Log", "It was recieved at noon.");
    await page.getByTestId("slip").waitFor();
    await press(page, "f");
    const dialog = page.getByRole("dialog", { name: "A rule for the house" });
    assert.equal(await dialog.getByLabel(/^Not written/).inputValue(), "recieved");
    assert.equal(await dialog.getByLabel(/^Written instead/).inputValue(), "received");
    await dialog.getByText("1 place").waitFor();
    await dialog.getByRole("combobox", { name: /^Kept in/ }).selectOption("");
    await dialog.getByLabel("Name of the new house").fill("Skerry Books");
    assert.deepEqual(await axeFindings(page), []);
    await dialog.getByRole("button", { name: "Keep the rule" }).click();
    await page.getByRole("button", { name: /House:.*Skerry Books/ }).waitFor();
    await page.reload();
    await page.getByRole("button", { name: /House:.*Skerry Books/ }).waitFor();
    assert.deepEqual(errors, []);
    await close();
  });

  test("are made of a group on the board with H, filled in", async () => {
    const { page, errors, close } = await openBrowser();
    await pasted(
      page,
      "Wells",
      "The stilling-well is deep. A stilling-well is dug. The stilling well was cleared, and the stilling-well stayed. The old float gauge stopped.",
    );
    await page
      .getByRole("navigation", { name: "Passes" })
      .getByRole("button", { name: /^Consistency/ })
      .click();
    await press(page, "b");
    await page.getByRole("region", { name: "Settling" }).getByRole("heading").first().waitFor();
    await page.keyboard.press("1");
    await page.keyboard.press("h");
    const dialog = page.getByRole("dialog", { name: "A rule for the house" });
    await dialog.getByRole("button", { name: "Keep the rule" }).waitFor();
    const written = await dialog
      .getByRole("textbox")
      .evaluateAll((all) => all.map((one) => (one as HTMLInputElement).value));
    assert.ok(written.includes("stilling-well"), written.join(" | "));
    await page.keyboard.press("Escape");
    await dialog.waitFor({ state: "detached" });
    assert.deepEqual(errors, []);
    await close();
  });

  test("go out as one file, and come in to another house with what contradicts them shown", async () => {
    const { page, errors, close } = await openBrowser();
    await openShelf(page);
    await newHouse(page, "Press");
    const addTerm = async (not: string, use: string) => {
      await page.getByRole("button", { name: "Terms" }).click();
      await page.getByRole("button", { name: "New term" }).click();
      await page.getByLabel(/^Not written/).fill(not);
      await page.getByLabel(/^Written instead/).fill(use);
      await page.getByRole("button", { name: "Keep the rule" }).click();
      await page.getByRole("button", { name: "New term" }).waitFor();
    };
    await addTerm("gauge", "meter");
    await page.getByRole("button", { name: "Import, export" }).click();
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name: ".json" }).last().click(),
    ]);
    const file = await readFile(await download.path());
    assert.equal(download.suggestedFilename(), "press.json");
    assert.equal(JSON.parse(String(file)).version, 2);
    const manual = page.waitForEvent("download");
    await page.getByRole("button", { name: ".docx" }).click();
    assert.equal((await manual).suggestedFilename(), "press-manual.docx");
    await newHouse(page, "Other");
    await addTerm("gauge", "dial");
    await page.getByRole("button", { name: "Import, export" }).click();
    await page
      .getByTestId("import")
      .setInputFiles({ name: "press.json", mimeType: "", buffer: file });
    await page.getByText("meter (not gauge)").click();
    assert.deepEqual(await axeFindings(page), []);
    await page.getByRole("button", { name: "Take in", exact: true }).click();
    await page.getByRole("button", { name: "Terms" }).click();
    await page.getByRole("cell", { name: /meter \(not gauge\)/ }).waitFor();
    assert.deepEqual(errors, []);
    await close();
  });
});

describe("clean-up", () => {
  test("shows every change first, makes them at once, and takes them back at once", async () => {
    const { page, errors, close } = await openBrowser();
    const text = "It  rained , then it stopped.. A ﬂoat sank.";
    await pasted(page, "Rain", text);
    await press(page, "c");
    const board = page.getByRole("main", { name: "Clean-up" });
    await board.getByRole("button", { name: /^Double spaces/ }).waitFor();
    await board.getByRole("checkbox", { name: "Ligatures as characters" }).uncheck();
    await board.getByRole("button", { name: /^Spaces before punctuation/ }).click();
    assert.deepEqual(await axeFindings(page), []);
    await board.getByRole("button", { name: "Make 3 changes" }).click();
    await untilKept(page);
    assert.equal(await textOf(page), "It rained, then it stopped. A ﬂoat sank.");
    await press(page, "u");
    await untilKept(page);
    assert.equal(await textOf(page), text);
    assert.deepEqual(errors, []);
    await close();
  });
});

describe("a style sheet", () => {
  test("has what was decided, takes entries by hand, and goes out as a file", async () => {
    const { page, errors, close } = await openBrowser();
    await pasted(page, "Place", "It was recieved at noon.");
    await page.getByTestId("slip").waitFor();
    await press(page, "w");
    await untilKept(page);
    const id = new URL(page.url()).searchParams.get("doc") ?? "";
    await page.goto(new URL(`/sheet?doc=${id}`, page.url()).href);
    await page.getByRole("heading", { name: "Words, A to Z" }).waitFor();
    const form = page.getByRole("form", { name: "Write an entry" });
    await form.getByLabel("Under").selectOption("names");
    await form.getByLabel("Entry").fill("Maren Aldous");
    await form.getByRole("button", { name: "Add" }).click();
    await page.getByRole("heading", { name: "Names and places" }).waitFor();
    assert.deepEqual(await axeFindings(page), []);
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name: ".md" }).click(),
    ]);
    assert.match(
      String(await readFile(await download.path())),
      /## Names and places\n\n- Maren Aldous/,
    );
    await page.getByRole("button", { name: "house rule", exact: true }).click();
    await page.getByText("“Maren Aldous” is a house rule now.").waitFor();
    await page.reload();
    await page.getByText("Maren Aldous", { exact: true }).first().waitFor();
    assert.deepEqual(errors, []);
    await close();
  });
});

describe("a revised version", () => {
  test("comes in with what was decided, and beside the version before", async () => {
    const { page, errors, close } = await openBrowser();
    await pasted(page, "First", "It was recieved at noon.\n\nThe keeper left.\n\nThe tide turned.");
    await page.getByTestId("slip").waitFor();
    await press(page, "s");
    await untilKept(page);
    await page.getByRole("link", { name: "Shelf", exact: true }).click();
    await page.getByRole("button", { name: "More for First" }).click();
    const chooser = page.waitForEvent("filechooser");
    await page.getByRole("menuitem", { name: "Open a revised version…" }).click();
    const revised = "A new opening here.\n\nThe tide turned.\n\nIt was recieved at noon.";
    await (await chooser).setFiles({
      name: "second.txt",
      mimeType: "text/plain",
      buffer: Buffer.from(revised),
    });
    await page.getByText(/1 decision carried over/).waitFor();
    await page.getByText(/1 new, 1 gone/).waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await page.getByRole("link", { name: "To the desk" }).click();
    await untilSettled(page);
    const passes = page.getByRole("navigation", { name: "Passes" });
    await passes.getByRole("button", { name: /^Spelling/ }).waitFor();
    await page.getByText("No open marks", { exact: false }).first().waitFor();
    assert.deepEqual(errors, []);
    await close();
  });
});

describe("several documents as one", () => {
  test("are settled across, each place in its own document, and taken back from there", async () => {
    const { page, errors, close } = await openBrowser();
    await pasted(page, "One", "The stilling-well froze. He closed the stilling-well.");
    await pasted(page, "Two", "A stilling-well froze. The stilling well was dry.");
    await openShelf(page);
    await page.getByRole("button", { name: "New set…" }).click();
    const dialog = page.getByRole("dialog", { name: "Several documents as one" });
    await dialog.getByLabel("Name").fill("The book");
    for (const title of ["One", "Two"]) {
      const option = dialog.getByRole("option", { name: title, exact: true });
      await dialog.getByLabel("Add").selectOption((await option.getAttribute("value")) ?? "");
    }
    assert.deepEqual(await axeFindings(page), []);
    await dialog.getByRole("button", { name: "Keep 2 documents as one" }).click();
    await page.getByRole("link", { name: "The book" }).click();
    await page.getByRole("heading", { name: /stilling/ }).waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await page.getByRole("button", { name: "Write stilling-well in 1 place" }).click();
    await page.getByText("“stilling-well” written in 1 place of 1 document.").waitFor();
    await page.getByText("The documents write everything one way.").waitFor();
    await page.getByRole("tab", { name: "Documents" }).click();
    await page.getByRole("link", { name: "Two" }).click();
    await page.locator(".cm-content").waitFor();
    await untilSettled(page);
    assert.match(await textOf(page), /The stilling-well was dry/);
    await press(page, "u");
    await untilKept(page);
    assert.match(await textOf(page), /The stilling well was dry/);
    assert.deepEqual(errors, []);
    await close();
  });

  test("have terms of their own, of which one is written in all documents", async () => {
    const { page, errors, close } = await openBrowser();
    await pasted(page, "Three", "The data logger is old. A data logger has a clock.");
    await pasted(page, "Four", "The datalogger stopped. A data logger did not.");
    await openShelf(page);
    await page.getByRole("button", { name: "New set…" }).click();
    const dialog = page.getByRole("dialog", { name: "Several documents as one" });
    await dialog.getByLabel("Name").fill("The loggers");
    for (const title of ["Three", "Four"]) {
      const option = dialog.getByRole("option", { name: title, exact: true });
      await dialog.getByLabel("Add").selectOption((await option.getAttribute("value")) ?? "");
    }
    await dialog.getByRole("button", { name: "Keep 2 documents as one" }).click();
    await page.getByRole("link", { name: "The loggers" }).click();
    await page.getByRole("tab", { name: "Terms" }).click();
    await page
      .getByRole("button", { name: "write it in the other 1 place: data logger" })
      .waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await page.getByRole("button", { name: "write it in the other 1 place: data logger" }).click();
    await page.getByText("“data logger” written in 1 place.").waitFor();
    await page.getByText("No two terms look like one thing.").waitFor();
    await page.getByRole("button", { name: "Take the last back" }).click();
    await page.getByRole("button", { name: "different for good" }).click();
    await page.getByText("Told apart for good.").waitFor();
    await page.getByText("No two terms look like one thing.").waitFor();
    assert.deepEqual(errors, []);
    await close();
  });
});
