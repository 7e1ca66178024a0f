import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import {
  axeFindings,
  closeBrowser,
  footer,
  openText,
  rail,
  textOf,
  untilRead,
} from "../support/browser.ts";

after(closeBrowser);

const TEXT = [
  "The stilling-well is deep. A stilling-well has a ladder. The old stilling-well is dry.",
  "He closed the stilling well. She saw a stilling well there. He wrote: “the stilling well is foul”.",
  "The Tide Data Centre (TDC) keeps the levels. The TDC opens at nine. Each HRB is kept. The HRB is old.",
  "The wall is 12 m long. The pier is 140 m long. The slip is 90 feet long.",
  "A data logger is here. The data logger stopped. The datalogger was old.",
].join("\n\n");

async function openBoard(text = TEXT) {
  const opened = await openText(text);
  const { page } = opened;
  await untilRead(page);
  await rail(page)
    .getByRole("button", { name: /^Consistency/ })
    .click();
  await page.keyboard.press("b");
  const board = page.getByRole("region", { name: "Settling" });
  await board.getByRole("heading", { level: 2 }).first().waitFor();
  return { ...opened, board };
}

describe("the settling board", () => {
  test("shows a group's forms and places, writes the ticked ones, and takes it back with U", async () => {
    const { page, board, errors, close } = await openBoard();
    await board.getByRole("heading", { name: /^stilling-well, stilling well/ }).waitFor();
    const forms = board.getByRole("radiogroup", { name: "Forms" }).getByRole("radio");
    assert.equal(await forms.count(), 2);
    assert.match((await forms.first().textContent()) ?? "", /stilling-well.*most used here/);
    await board.getByText("To become stilling-well: 2 of 3 ticked").waitFor();
    await board.getByText("One in a quotation keeps its form").waitFor();
    await page.keyboard.press(" ");
    await board.getByText("1 of 3 ticked").waitFor();
    await page.keyboard.press(" ");
    await board.getByRole("button", { name: /Write stilling-well in 2 places/ }).waitFor();
    await page.keyboard.press("Enter");
    await footer(page).getByText("Written in 2 places: “stilling-well”").waitFor();
    assert.match(await textOf(page), /He closed the stilling-well\. She saw a stilling-well/);
    await board.getByRole("heading", { name: /^data logger/ }).waitFor();
    await board.getByRole("button", { name: /^Settled 1/ }).waitFor();
    await page.keyboard.press("u");
    await footer(page).getByText("Undone: the choice of form").waitFor();
    assert.match(await textOf(page), /He closed the stilling well\. She saw/);
    assert.deepEqual(errors, []);
    await close();
  });

  test("has its keys: another form, all on purpose, the next group, the text and back", async () => {
    const { page, board, errors, close } = await openBoard();
    await page.keyboard.press("2");
    await board.getByText("To become stilling well: 3 of 3 ticked").waitFor();
    await page.keyboard.press("ArrowRight");
    await board.getByRole("heading", { name: /^data logger/ }).waitFor();
    await page.keyboard.press("b");
    await board.waitFor({ state: "detached" });
    await page.getByTestId("slip").getByText("“datalogger” here").waitFor();
    await page.keyboard.press("b");
    await board.getByRole("heading", { name: /^data logger/ }).waitFor();
    await board
      .getByRole("checkbox", { name: /^Change/ })
      .first()
      .waitFor();
    await page.keyboard.press("k");
    await footer(page).getByText("All its forms stand on purpose").waitFor();
    await board.getByRole("button", { name: /^Settled 1/ }).click();
    await board.getByText("all forms on purpose").waitFor();
    await board.getByRole("button", { name: "undo" }).click();
    await board.getByText("No group of forms has been settled yet.").waitFor();
    assert.deepEqual(errors, []);
    await close();
  });

  test("asks the author about a place", async () => {
    const { page, board, close } = await openBoard();
    await page.keyboard.press("q");
    await board.getByLabel("Ask the author").fill("Which of the two?");
    await page.keyboard.press("Enter");
    await footer(page)
      .getByText(/question on “stilling well” is noted/)
      .waitFor();
    await close();
  });

  test("gathers abbreviations, quantities and terms, each view reached with V", async () => {
    const { page, board, errors, close } = await openBoard();
    await page.keyboard.press("v");
    await board.getByRole("heading", { name: "HRB" }).waitFor();
    await board
      .getByRole("list", { name: "Abbreviations" })
      .getByText("explained nowhere")
      .waitFor();
    await page.keyboard.press("v");
    await board.getByRole("heading", { name: "length" }).waitFor();
    await board.getByText("more than one system serves it").waitFor();
    await board.getByText("27.4 m").waitFor();
    await page.keyboard.press("2");
    assert.equal(
      await board.getByRole("list", { name: "Places of length" }).getByRole("listitem").count(),
      1,
    );
    await page.keyboard.press("v");
    await board.getByLabel("Search", { exact: false }).fill("logger");
    await board.getByRole("list", { name: "Terms" }).getByText("datalogger").first().waitFor();
    await board.getByLabel("Search", { exact: false }).fill("");
    await board
      .getByRole("list", { name: "Families of terms" })
      .getByText(/logger/)
      .first()
      .waitFor();
    assert.deepEqual(errors, []);
    await close();
  });

  test("passes axe in every view", async () => {
    const { page, board, close } = await openBoard();
    for (const view of ["Forms", "Abbreviations", "Quantities", "Terms", "Settled"]) {
      await board.getByRole("button", { name: new RegExp(`^${view}`) }).click();
      await page.waitForTimeout(400);
      assert.deepEqual(await axeFindings(page), [], view);
    }
    await close();
  });

  test("stays quick with two thousand groups and twenty thousand places", async () => {
    const words = Array.from({ length: 2000 }, (_, at) => nameOf(at));
    const copy = words
      .map((word) => {
        const closed = word.replace("-", "");
        return `The ${word} is here. A ${word} was there. The ${word} went. The ${word} came. That ${word} stood. This ${word} fell. The ${word} rose. A ${word} lay. The ${closed} is old. The ${closed} is new.`;
      })
      .join("\n\n");
    const { page, board, errors, close } = await openBoard(copy);
    await board
      .getByText(/of 2,0\d\d|of 1,9\d\d/)
      .first()
      .waitFor();
    const rows = await board.getByTestId("groups").getByRole("listitem").count();
    assert.ok(rows < 100, `${rows} rows are drawn`);
    const took = await page.evaluate(async () => {
      const start = performance.now();
      for (let at = 0; at < 20; at++) {
        dispatchEvent(new KeyboardEvent("keydown", { key: "ArrowRight", bubbles: true }));
        await new Promise((resolve) => requestAnimationFrame(resolve));
      }
      return performance.now() - start;
    });
    assert.ok(took < 20_000, `${took} ms for twenty groups`);
    assert.deepEqual(errors, []);
    await close();
  });
});

/** Compounds of made-up words, which no dictionary has. */
function nameOf(at: number): string {
  const consonants = "bdfgklmnprst";
  const vowels = "aeiou";
  let rest = at;
  let name = "";
  for (let pair = 0; pair < 4; pair++) {
    name += (consonants[rest % 12] ?? "") + (vowels[(rest + pair) % 5] ?? "");
    rest = Math.floor(rest / 12);
  }
  return `${name}x-${name}n`;
}
