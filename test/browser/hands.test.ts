import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import type { Page } from "playwright-core";
import {
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

/** Has every write to the browser's storage wait until it is let go. */
async function holdStorage(page: Page): Promise<() => Promise<void>> {
  await page.evaluate(() => {
    const scope = globalThis as unknown as { held: (() => void)[] | null };
    scope.held = [];
    const { put } = IDBObjectStore.prototype;
    // A request cannot wait, but the transaction's end can be told late.
    IDBObjectStore.prototype.put = function (...args: Parameters<typeof put>) {
      const { transaction } = this;
      const told = Object.getOwnPropertyDescriptor(IDBTransaction.prototype, "oncomplete");
      Object.defineProperty(transaction, "oncomplete", {
        set(listener: (event: Event) => void) {
          told?.set?.call(transaction, (event: Event) => {
            if (scope.held) scope.held.push(() => listener.call(transaction, event));
            else listener.call(transaction, event);
          });
        },
      });
      return put.apply(this, args);
    };
  });
  return () =>
    page.evaluate(() => {
      const scope = globalThis as unknown as { held: (() => void)[] | null };
      const waiting = scope.held ?? [];
      scope.held = null;
      for (const go of waiting) go();
    });
}

const LETTER = "Letter instrument maker";

describe("keys and text", () => {
  test("a double click gives the keys to the word's slip, and none of them goes into the copy", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, LETTER);
    const before = await textOf(page);
    const line = page.locator(".cm-line", { hasText: "I enclose the traces" });
    await line.dblclick({ position: { x: 95, y: 12 } });
    await slip(page).filter({ hasText: "carries no mark" }).waitFor();
    await untilShown(page);
    assert.equal(await slip(page).getAttribute("data-keys"), "slip");
    await page.keyboard.press("m");
    await page.getByRole("article").getByRole("heading").first().waitFor();
    assert.equal(await textOf(page), before);
    await close();
  });

  test("a click into the text while a slip is open says that keys type, and Escape gives them back", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, LETTER);
    await page.locator(".cm-line", { hasText: "I enclose the traces" }).click();
    await page.getByTestId("keys").filter({ hasText: "Keys type in the text" }).waitFor();
    assert.equal(await slip(page).getAttribute("data-keys"), "typing");
    assert.equal(
      await slip(page)
        .locator("kbd:visible")
        .allTextContents()
        .then((all) => all.join()),
      "Esc",
    );
    const before = await textOf(page);
    await page.keyboard.press("Escape");
    await page.getByTestId("keys").filter({ hasText: /^$/ }).waitFor({ state: "attached" });
    await untilShown(page);
    await page.keyboard.press("s");
    await untilSettled(page);
    assert.equal(await textOf(page), before);
    assert.equal(await decisionsOf(page), 1);
    await close();
  });

  test("a lock on capitals, Ctrl F, paging and the keys of the passes do what they should", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Siltation of the inner harbour");
    await untilRead(page);
    // "S" without Shift is what a lock on capitals sends.
    await press(page, "S");
    assert.equal(await decisionsOf(page), 1);
    const top = () => page.evaluate(() => document.querySelector(".cm-scroller")?.scrollTop ?? 0);
    await page.evaluate(() => (document.activeElement as HTMLElement | null)?.blur());
    const start = await top();
    await page.keyboard.press("PageDown");
    const paged = await top();
    assert.ok(paged > start + 200, `${start} to ${paged}`);
    await page.keyboard.press("End");
    await page.waitForTimeout(200);
    assert.ok((await top()) > paged);
    await page.keyboard.press("Home");
    await page.waitForTimeout(200);
    assert.equal(await top(), 0);
    await page.keyboard.press("p");
    await rail(page).locator("[aria-current=true]", { hasText: "Grammar" }).waitFor();
    await page.keyboard.press("Shift+P");
    await rail(page).locator("[aria-current=true]", { hasText: "Spelling" }).waitFor();
    await page.keyboard.press("Control+f");
    await page.getByLabel("Find in the text").waitFor();
    await close();
  });

  test("the first letter typed below an open slip leaves its line where it is", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Siltation of the inner harbour");
    const box = await page.locator(".cm-line", { hasText: "Most of the loss" }).boundingBox();
    assert.ok(box);
    await page.mouse.click(box.x + 200, box.y + box.height - 20);
    await page.keyboard.press("End");
    const caret = () =>
      page.evaluate(
        () => document.querySelector(".cm-cursor-primary")?.getBoundingClientRect().top,
      );
    await page.waitForTimeout(200);
    const before = await caret();
    await page.keyboard.type("x");
    await page.waitForTimeout(300);
    const moved = Math.abs(((await caret()) ?? 0) - (before ?? 0));
    assert.ok(moved <= 2, `moved by ${moved} px`);
    await close();
  });
});

describe("nothing changes unseen", () => {
  test("where no correction is shown in the line, Enter shows it, and takes it the second time", async () => {
    const { page, close } = await openText("We met Kitchenn by the lock.\n");
    await untilShown(page);
    const before = await textOf(page);
    assert.equal(await page.locator(".dr-struck").count(), 0);
    await page.keyboard.press("Enter");
    await page.locator(".dr-struck").waitFor();
    assert.equal(await textOf(page), before);
    await page.keyboard.press("Enter");
    await page.waitForFunction(() => !document.querySelector(".dr-struck"));
    await untilSettled(page);
    assert.notEqual(await textOf(page), before);
    await close();
  });

  test("what a correction made is seen where it was made", async () => {
    const { page, close } = await openText("It was recieved.\n\nThe boats are usefull.\n");
    await untilShown(page);
    await page.keyboard.press("Enter");
    await page.locator(".dr-outcome", { hasText: "received" }).waitFor();
    await footer(page).getByText("“recieved” is “received” now.").waitFor();
    await close();
  });

  test("keys pressed while a decision is being written decide nothing", async () => {
    const { page, close } = await openText("It was recieved.\n\nUsefull boats.\n\nIt was wierd.\n");
    await untilShown(page);
    const letGo = await holdStorage(page);
    for (const key of ["Enter", "Enter", "s", "1", "w", "q", "d", "Enter"]) {
      await page.keyboard.press(key);
    }
    await page.waitForTimeout(200);
    assert.match(await textOf(page), /recieved/, "not shown before it is kept");
    await letGo();
    await untilShown(page);
    assert.match(await textOf(page), /received.*Usefull.*wierd/s);
    assert.equal(await decisionsOf(page), 1);
    await close();
  });

  test("keys pressed before the next slip is drawn decide nothing", async () => {
    const { page, close } = await openText("It was recieved.\n\nUsefull boats.\n\nIt was wierd.\n");
    await untilShown(page);
    // The worker's answers are held back: the slip has no corrections to show yet.
    await page.evaluate(() => {
      const scope = globalThis as unknown as { slow: boolean };
      scope.slow = true;
      const { postMessage } = Worker.prototype;
      Worker.prototype.postMessage = function (...args: unknown[]) {
        setTimeout(() => postMessage.apply(this, args as Parameters<typeof postMessage>), 1500);
      };
    });
    await page.keyboard.press("Enter");
    await page.locator("[data-testid=slip][data-shown=false]").waitFor();
    for (const key of ["Enter", "s", "1", "w"]) await page.keyboard.press(key);
    await untilShown(page);
    assert.match(await textOf(page), /received.*Usefull.*wierd/s);
    assert.equal(await decisionsOf(page), 1);
    await close();
  });

  test("a walk of 14 marks by first choices takes 14 keys, and one to go on", async () => {
    const slips = "recieved usefull wierd untill occured beleive seperate definately goverment";
    const words = `${slips} existance harrassed independant neccessary priviledge`.split(" ");
    const text = words.map((word) => `It was ${word} by them all.`).join("\n\n");
    const { page, close } = await openText(`${text}\n\nThe level of the tides are high.\n`);
    await untilRead(page);
    await untilShown(page);
    await footer(page).getByText("Mark 1 of 14, 14 left").waitFor();
    let keys = 0;
    for (let mark = 0; mark < 14; mark++) {
      await untilShown(page);
      const shown = (await page.locator(".dr-put-in, .dr-struck").count()) > 0;
      await page.keyboard.press(shown ? "Enter" : "1");
      keys++;
      await untilSettled(page);
    }
    await page.getByRole("heading", { name: "The walk is done" }).waitFor();
    await page.keyboard.press("Enter");
    keys++;
    await rail(page).locator("[aria-current=true]", { hasText: "Grammar" }).waitFor();
    assert.equal(keys, 15);
    await close();
  });
});
