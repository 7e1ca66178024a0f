import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import {
  BASE,
  closeBrowser,
  openBrowser,
  openDesk,
  openFile,
  openProfile,
  openShelf,
  press,
  profileFolder,
  slip,
  textOf,
  untilKept,
  untilShown,
} from "../support/browser.ts";
import { seeded } from "../support/random.ts";

after(closeBrowser);

/** Rounds of killing a tab; the bench of the same name does twenty. */
const KILLS = Number(process.env.KILLS ?? 4);

describe("what is decided is kept", () => {
  test(`through a tab killed at a random moment, ${KILLS} times`, {
    timeout: 600_000,
  }, async () => {
    const random = seeded(11);
    const profile = profileFolder();
    // Each line has a slip of its own to decide on, enough for every round.
    const lines = Array.from(
      { length: 300 * KILLS },
      (_, index) => `On day ${index} it was recieved here.`,
    );
    const text = `${lines.join("\n")}\n`;
    let acknowledged = 0;
    let address = "";
    for (let round = 0; round <= KILLS; round++) {
      const { page, context } = await openProfile(profile.folder);
      if (round === 0) {
        await openShelf(page);
        await openFile(page, "killed.txt", text);
        await page.waitForURL(/desk/);
        address = page.url();
      } else await page.goto(address);
      await slip(page).getByRole("button", { name: /^S/ }).waitFor();
      await page.getByRole("button", { name: "Decisions" }).click();
      const restored = await page.locator("aside li").count();
      assert.ok(
        restored >= acknowledged,
        `round ${round}: ${restored} of ${acknowledged} restored`,
      );
      if (round === KILLS) {
        await context.close();
        break;
      }
      // The page itself counts what it has said to be done; that count is read out as it changes.
      await page.exposeFunction("acknowledge", (count: number) => {
        acknowledged = Math.max(acknowledged, count);
      });
      await page.evaluate(() => {
        const tell = (window as unknown as { acknowledge(count: number): void }).acknowledge;
        const aside = document.querySelector("aside");
        if (!aside) throw new Error("no side sheet");
        new MutationObserver(() => tell(aside.querySelectorAll("li").length)).observe(aside, {
          childList: true,
          subtree: true,
        });
      });
      const killed = new Promise<void>((resolve) => {
        page.on("crash", () => resolve());
        page.on("close", () => resolve());
      });
      const session = await context.newCDPSession(page);
      // The renderer dies at once, with whatever it was doing; the command itself gets no answer.
      setTimeout(
        () => void session.send("Page.crash").catch(() => undefined),
        300 + random() * 2500,
      );
      let alive = true;
      void killed.then(() => {
        alive = false;
      });
      while (alive) await Promise.race([page.keyboard.press("s").catch(() => undefined), killed]);
      await context.close().catch(() => undefined);
    }
    console.log(`${acknowledged} decisions acknowledged over ${KILLS} killed tabs, none lost`);
    assert.ok(acknowledged > 10, `${acknowledged} decisions were acknowledged`);
    profile.remove();
  });

  test("in one tab at a time: the second reads, and takes over when the first lets go", async () => {
    const { page, context, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Letter instrument maker");
    const second = await context.newPage();
    await second.goto(page.url());
    await second.getByText("Another tab has this document open").waitFor();
    await slip(second).waitFor();
    const before = await textOf(second);
    await untilShown(second);
    await second.keyboard.press("Enter");
    await second.getByText("open in another tab, which does").waitFor();
    assert.equal(await textOf(second), before);
    await page.keyboard.press("Enter");
    await untilKept(page);
    await page.waitForTimeout(200);
    const decided = await textOf(page);
    assert.notEqual(decided, before);
    await page.close();
    await second.getByText("The other tab let go").waitFor();
    await untilShown(second);
    assert.equal(await textOf(second), decided);
    await second.keyboard.press("Enter");
    await second.waitForTimeout(400);
    assert.notEqual(await textOf(second), decided);
    await close();
  });

  test("or said at once not to be, with an export at hand, when the disk is full", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openDesk(page, "Letter instrument maker");
    const before = await textOf(page);
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException("full", "QuotaExceededError");
      };
    });
    await page.keyboard.press("Enter");
    const alert = page.getByRole("alert");
    await alert.waitFor();
    assert.match((await alert.textContent()) ?? "", /storage is full.*Export/);
    assert.equal(await textOf(page), before, "what is not kept is not shown as done");
    await alert.getByRole("button", { name: "Export…" }).click();
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("dialog").getByRole("button", { name: "Export" }).click(),
    ]);
    assert.match(download.suggestedFilename(), /letter-instrument-maker/);
    await close();
  });

  test("and gone without a trace when its document is deleted", async () => {
    const { page, close } = await openBrowser();
    await openShelf(page);
    await openFile(page, "secret.txt", "A secrett matter.\n");
    await press(page, "Enter");
    await page.goto(BASE);
    const row = page.getByRole("row", { name: /Secret/ });
    await row.getByRole("button", { name: /More/ }).click();
    await page.getByRole("menuitem", { name: "Delete…" }).click();
    await page.getByRole("button", { name: "Delete", exact: true }).click();
    await row.waitFor({ state: "detached" });
    const left = await page.evaluate(async () => {
      const found: string[] = [];
      for (const { name = "" } of await indexedDB.databases()) {
        const database = await new Promise<IDBDatabase>((resolve, reject) => {
          const request = indexedDB.open(name);
          request.onsuccess = () => resolve(request.result);
          request.onerror = () => reject(request.error);
        });
        for (const store of database.objectStoreNames) {
          const values = await new Promise<unknown[]>((resolve) => {
            const request = database.transaction(store).objectStore(store).getAll();
            request.onsuccess = () => resolve(request.result);
          });
          for (const value of values) {
            const text =
              value instanceof Uint8Array ? new TextDecoder().decode(value) : JSON.stringify(value);
            if (/secret/i.test(text ?? "")) found.push(name);
          }
        }
        database.close();
      }
      return found;
    });
    assert.deepEqual(left, []);
    await close();
  });
});
