import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import {
  axeFindings,
  closeBrowser,
  footer,
  openText,
  slip,
  textOf,
  untilRead,
  untilSettled,
  untilShown,
} from "../support/browser.ts";

after(closeBrowser);

const TEXT =
  "It was recieved.\n\nThe level of the tides are high. They was late.\n\nIt closed due to the fact that it rained. It was usefull.\n";

describe("the board of all marks", () => {
  test("lists the marks of all passes; B goes to the place of one, in its pass, and back", async () => {
    const { page, errors, close } = await openText(TEXT);
    await untilRead(page);
    await untilShown(page);
    await page.keyboard.press("b");
    const board = page.getByRole("region", { name: "All marks" });
    await board.waitFor();
    const rows = board.getByTestId("marks").getByRole("listitem");
    const listed = await rows.count();
    await board.getByText(`${listed} open marks`).waitFor();
    assert.match((await rows.first().textContent()) ?? "", /recieved/);
    assert.equal(await slip(page).isVisible(), true, "the text lies beneath as it was");
    await page.keyboard.press("ArrowDown");
    await board.locator("footer").getByText("Subject and verb disagree").waitFor();
    assert.equal(await page.getByText("all keys").count(), 0, "the walk's keys rest");
    await page.keyboard.press("b");
    await board.waitFor({ state: "detached" });
    await untilShown(page);
    assert.match((await slip(page).textContent()) ?? "", /“level” is singular/);
    await footer(page).getByText("Mark 1 of 2").waitFor();
    await page.keyboard.press("b");
    await board.waitFor();
    assert.match((await board.locator("[aria-current=true]").textContent()) ?? "", /are high/);
    await page.keyboard.press("Escape");
    await board.waitFor({ state: "detached" });
    assert.equal(await textOf(page), TEXT.trim().replaceAll("\n\n", "\n"));
    assert.deepEqual(errors, []);
    await close();
  });

  test("is filtered by pass, weight and check, and lets marks stand", async () => {
    const { page, close } = await openText(TEXT);
    await untilRead(page);
    await untilShown(page);
    await page.getByRole("button", { name: "All marks" }).click();
    const board = page.getByRole("region", { name: "All marks" });
    const rows = board.getByTestId("marks").getByRole("listitem");
    const all = await rows.count();
    await board.getByLabel("Pass").selectOption("spelling");
    await board.getByText(`2 of ${all} open marks`).waitFor();
    assert.equal(await rows.count(), 2);
    await page.locator("body").press("s");
    await untilSettled(page);
    await board.getByText(`1 of ${all - 1} open marks`).waitFor();
    assert.match((await rows.first().textContent()) ?? "", /usefull/);
    await page.locator("body").press("u");
    await untilSettled(page);
    await board.getByText(`2 of ${all} open marks`).waitFor();
    await board.getByLabel("Pass").selectOption("");
    await board.getByLabel("Weight").selectOption("weigh");
    for (const text of await rows.allTextContents()) assert.match(text, /weigh/);
    await board.getByLabel("Weight").selectOption("");
    await board.getByLabel("Check").selectOption("grammar/agreement");
    for (const text of await rows.allTextContents()) assert.match(text, /^agr/);
    await close();
  });

  for (const theme of ["light", "dark"] as const) {
    test(`axe finds nothing on it in the ${theme} theme`, async () => {
      const { page, close } = await openText(TEXT);
      await page.emulateMedia({ colorScheme: theme });
      await untilRead(page);
      await untilShown(page);
      await page.keyboard.press("b");
      await page.getByRole("region", { name: "All marks" }).waitFor();
      assert.deepEqual(await axeFindings(page), []);
      await close();
    });
  }
});
