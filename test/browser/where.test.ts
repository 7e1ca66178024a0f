import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import {
  BASE,
  closeBrowser,
  decisionsOf,
  footer,
  openBrowser,
  openDesk,
  openShelf,
  openText,
  press,
  rail,
  slip,
  textOf,
  untilRead,
  untilSettled,
  untilShown,
} from "../support/browser.ts";

after(closeBrowser);

describe("less like this", () => {
  test("asks what is meant where the check is what the pass is for, and U takes the answer back", async () => {
    const { page, close } = await openText("It was recieved.\n\nIt was recieved. Usefull boats.\n");
    await untilShown(page);
    await page.keyboard.press("d");
    await slip(page).getByText("Less of what?").waitFor();
    const text = (await slip(page).textContent()) ?? "";
    assert.match(text, /stand everywhere in this document: 2 places/);
    assert.match(text, /hides 3 marks/);
    await page.keyboard.press("Escape");
    await untilShown(page);
    assert.equal(await decisionsOf(page), 0);
    await page.keyboard.press("d");
    await slip(page).getByText("Less of what?").waitFor();
    await page.keyboard.press("3");
    await page.getByText("off in this document: 3 hidden").waitFor();
    await rail(page)
      .getByRole("button", { name: /^Spelling none, 1 off/ })
      .waitFor();
    await page.getByRole("heading", { name: "Nothing open among what was looked for" }).waitFor();
    await page.getByText("Not looked for, since off: Word in no dictionary").waitFor();
    await press(page, "u");
    await footer(page).getByText("Mark 1 of 3").waitFor();
    await close();
  });
});

describe("undo and redo", () => {
  test("go to the place, open it and say what came back, also in another pass", async () => {
    const { page, close } = await openText(
      "It was recieved.\n\nUsefull boats.\n\nThe level of the tides are high.\n",
    );
    await untilRead(page);
    await untilShown(page);
    await press(page, "Enter", "Enter", "p");
    await page.keyboard.press("u");
    await footer(page).getByText("Undone: the correction of “Usefull”.").waitFor();
    await untilShown(page);
    assert.match((await slip(page).textContent()) ?? "", /Usefull/);
    await rail(page).locator("[aria-current=true]", { hasText: "Spelling" }).waitFor();
    await page.keyboard.press("Shift+U");
    await footer(page).getByText("Redone: the correction of “Usefull”.").waitFor();
    assert.match(await textOf(page), /Useful boats/);
    assert.equal(await page.getByText("0 places").count(), 0);
    await close();
  });

  test("take back settings that changed the marks: variety, kind of copy, a switch", async () => {
    const { page, close } = await openText("The colour of it was recieved.\n");
    await untilRead(page);
    await untilShown(page);
    const variety = page.getByLabel("Variety of English");
    const kind = page.getByLabel("Kind of copy");
    const [first, sort] = [await variety.inputValue(), await kind.inputValue()];
    await variety.selectOption("en-US");
    await footer(page).getByText("of 2").waitFor();
    await untilSettled(page);
    await kind.selectOption("fiction");
    await untilSettled(page);
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    await press(page, "u");
    assert.equal(await kind.inputValue(), sort);
    await press(page, "u");
    assert.equal(await variety.inputValue(), first);
    await footer(page).getByText("of 1").waitFor();
    await close();
  });
});

describe("marks without corrections", () => {
  test("offer none anywhere", async () => {
    const { page, close } = await openText(
      "The violent gale met a violent tide. A violent wave came in.\n",
    );
    await untilRead(page);
    await rail(page)
      .getByRole("button", { name: /^Wording/ })
      .click();
    await untilShown(page);
    const text = (await slip(page).textContent()) ?? "";
    assert.match(text, /No rewrite fits every case/);
    assert.doesNotMatch(text, /⇧1|all \d+ places(?<!stet all \d+ places)/);
    await page.getByRole("button", { name: "Occurrences", exact: true }).click();
    assert.equal(await page.getByRole("button", { name: /^Correct / }).count(), 0);
    await page.getByRole("button", { name: /^Let \d+ ticked stand/ }).waitFor();
    await close();
  });
});

describe("where one is", () => {
  test("the last mark says so before the walk goes round; an end leads on, the last to the export", async () => {
    const { page, close } = await openText("It was recieved.\n\nUsefull boats.\n");
    await untilRead(page);
    await untilShown(page);
    await press(page, "ArrowDown");
    await footer(page).getByText("Mark 2 of 2, 2 left").waitFor();
    await page.keyboard.press("ArrowDown");
    await footer(page).getByText("This is the last open mark of the pass").waitFor();
    await footer(page).getByText("Mark 2 of 2").waitFor();
    await page.keyboard.press("ArrowDown");
    await footer(page).getByText("Mark 1 of 2").waitFor();
    await press(page, "ArrowDown", "s");
    await page.getByRole("heading", { name: "The end of the text" }).waitFor();
    await page.getByText("goes back to 1 mark left open").waitFor();
    await press(page, "ArrowDown", "s");
    await page.getByRole("heading", { name: "The walk is done" }).waitFor();
    await page.keyboard.press("Enter");
    await page.getByRole("dialog", { name: "Export" }).waitFor();
    await close();
  });

  test("a reload comes back to the same pass and place", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Siltation of the inner harbour");
    await untilRead(page);
    await page.keyboard.press("p");
    await untilShown(page);
    await press(page, "ArrowDown", "ArrowDown");
    const [place, reason] = [await footer(page).textContent(), await slip(page).textContent()];
    await page.reload();
    await untilShown(page);
    assert.equal(await slip(page).textContent(), reason);
    const at = (line: string | null) => /Mark \d+ of \d+/.exec(line ?? "")?.[0];
    await untilRead(page);
    assert.equal(at(await footer(page).textContent()), at(place));
    await close();
  });

  test("the export counts what is open in all passes, and what is off", async () => {
    const { page, close } = await openText(
      "It was recieved.\n\nThe level of the tides are high.\n\nIt closed due to the fact that it rained.\n",
    );
    await untilRead(page);
    await page.getByRole("button", { name: "Export…" }).first().click();
    const about = page.getByRole("dialog");
    await about
      .getByText("3 marks still open: 1 in spelling, 1 in grammar, 1 in wording.")
      .waitFor();
    await close();
  });

  test("the kind of copy is changed on the shelf, and the counts follow a change of house style", async () => {
    const { page, close } = await openText("It was recieved by the stilling-wel.\n");
    await untilRead(page);
    await page.goto(BASE);
    const row = page.getByRole("row", { name: /Copy/ });
    await row.getByRole("combobox").selectOption("fiction");
    await page.waitForTimeout(300);
    await page.reload();
    assert.equal(await row.getByRole("combobox").inputValue(), "fiction");
    const marks = () => row.locator("td").nth(3).textContent();
    const before = await marks();
    await page.goto(`${BASE}/house`);
    await page.getByLabel("Word to add").fill("recieved");
    await page.keyboard.press("Enter");
    await page.getByRole("cell", { name: "recieved", exact: true }).waitFor();
    await page.goto(BASE);
    for (let tries = 0; tries < 100 && (await marks()) === before; tries++) {
      await page.waitForTimeout(100);
    }
    assert.notEqual(await marks(), before);
    await close();
  });
});
