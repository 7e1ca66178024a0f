import assert from "node:assert/strict";
import { spawn } from "node:child_process";
import path from "node:path";
import { after, describe, test } from "node:test";
import {
  BASE,
  closeBrowser,
  decisionsOf,
  openBrowser,
  openFile,
  openShelf,
  openText,
  press,
  textOf,
  untilKept,
  untilRead,
  untilShown,
} from "../support/browser.ts";

after(closeBrowser);

const LETTER = "Letter instrument maker";

describe("nothing is lost", () => {
  test("what was typed right before a reload, and right before the tab goes", async () => {
    const { page, context, close } = await openText("The tide turned.\n");
    await page.locator(".cm-line").first().click();
    await page.keyboard.press("Home");
    await page.keyboard.type("Once ");
    await page.waitForTimeout(100);
    await page.reload();
    await page.locator(".cm-line", { hasText: "Once The tide turned." }).waitFor();
    await page.locator(".cm-line").first().click();
    await page.keyboard.press("Home");
    await page.keyboard.type("And ");
    await page.waitForTimeout(100);
    const address = page.url();
    await page.close();
    const again = await context.newPage();
    await again.goto(address);
    await again.locator(".cm-line", { hasText: "And Once The tide turned." }).waitFor();
    await close();
  });

  test("a worker that stops is started anew, and that is said", async () => {
    const opened = await openBrowser();
    const { page } = opened;
    await page.addInitScript(() => {
      const scope = globalThis as unknown as { workers: Worker[] };
      scope.workers = [];
      const Own = Worker;
      globalThis.Worker = class extends Own {
        constructor(...args: ConstructorParameters<typeof Worker>) {
          super(...args);
          scope.workers.push(this);
        }
      };
    });
    await openShelf(page);
    await openFile(page, "w.txt", "It was recieved.\n\nUsefull boats.\n");
    await page.waitForURL(/desk/);
    await untilRead(page);
    await untilShown(page);
    await page.evaluate(() => {
      const { workers } = globalThis as unknown as { workers: Worker[] };
      const worker = workers.at(-1);
      worker?.terminate();
      worker?.dispatchEvent(new Event("error"));
    });
    await page.keyboard.press("Enter");
    await page.getByText("started anew").waitFor();
    await untilShown(page);
    assert.match(await textOf(page), /received/);
    await press(page, "Enter");
    assert.match(await textOf(page), /Useful boats/);
    await opened.close();
  });

  test("a store that refuses is said on every way into it, and what is on screen holds the page", async () => {
    const { page, close } = await openText("It was recieved.\n\nUsefull boats.\n");
    await untilRead(page);
    await untilShown(page);
    const before = await textOf(page);
    await page.evaluate(() => {
      IDBObjectStore.prototype.put = () => {
        throw new DOMException("full", "QuotaExceededError");
      };
    });
    const alert = page.getByRole("alert");
    for (const key of ["Enter", "s", "w", "Shift+S"]) {
      await page.keyboard.press(key);
      await alert.waitFor();
      await page.locator("main[aria-busy=false]").waitFor();
      assert.equal(await textOf(page), before, key);
    }
    await page.getByLabel("Kind of copy").selectOption("fiction");
    await page.locator("main[aria-busy=false]").waitFor();
    assert.notEqual(await page.getByLabel("Kind of copy").inputValue(), "fiction");
    await page.locator(".cm-line").first().click();
    await page.keyboard.type("x");
    await page.getByTestId("kept").filter({ hasText: "Not kept" }).waitFor();
    await page.waitForTimeout(400);
    const asked = new Promise<string>((resolve) => {
      page.once("dialog", (dialog) => {
        resolve(dialog.type());
        void dialog.dismiss();
      });
    });
    void page.goto(BASE).catch(() => undefined);
    assert.equal(await asked, "beforeunload");
    await close();
  });

  test("storage cleared beneath the desk is written once more", async () => {
    const { page, close } = await openText("It was recieved.\n\nUsefull boats.\n\nIt was wierd.\n");
    await untilRead(page);
    await untilShown(page);
    await press(page, "Enter");
    await page.evaluate(async () => {
      for (const { name = "" } of await indexedDB.databases()) {
        await new Promise((resolve) => {
          const request = indexedDB.deleteDatabase(name);
          request.onsuccess = resolve;
          request.onblocked = resolve;
          request.onerror = resolve;
        });
      }
    });
    await press(page, "Enter");
    await untilKept(page);
    await page.reload();
    await untilShown(page);
    assert.match(await textOf(page), /received.*Useful boats.*wierd/s);
    assert.equal(await decisionsOf(page), 2);
    await close();
  });

  test("everything goes into a backup and comes back from it", async () => {
    const { page, close } = await openText("It was recieved.\n\nUsefull boats.\n");
    await untilShown(page);
    await press(page, "Enter", "w");
    await page.goto(`${BASE}/house?part=backup`);
    const [download] = await Promise.all([
      page.waitForEvent("download"),
      page.getByRole("button", { name: "Back up everything" }).click(),
    ]);
    const file = await download.path();
    await page.getByText("9 documents with every decision").waitFor();
    const other = await openBrowser({ fresh: true });
    await openShelf(other.page);
    await other.page.goto(`${BASE}/house?part=backup`);
    await other.page.getByTestId("backup-picker").setInputFiles({
      name: "wrong.zip",
      mimeType: "",
      buffer: Buffer.from("PK no"),
    });
    await other.page
      .getByRole("status")
      .filter({ hasText: /Check|damaged|no backup/ })
      .waitFor();
    await other.page.getByTestId("backup-picker").setInputFiles(file);
    await other.page.getByText(/9 documents added/).waitFor();
    await other.page.goto(BASE);
    await other.page.getByRole("link", { name: "Copy", exact: true }).click();
    await other.page.locator(".cm-line", { hasText: "It was received." }).waitFor();
    assert.equal(await decisionsOf(other.page), 2);
    await other.close();
    await close();
  });

  test("deleting a list asks, and no dialog has its hand on Delete", async () => {
    const { page, close } = await openBrowser();
    await page.goto(`${BASE}/house`);
    await page.getByRole("button", { name: "New list…" }).click();
    await page.getByRole("dialog").getByRole("textbox").fill("Tides");
    await page.keyboard.press("Enter");
    await page.getByRole("heading", { name: "Tides" }).waitFor();
    await page.getByRole("button", { name: /Delete this list/ }).click();
    const dialog = page.getByRole("dialog");
    await dialog.waitFor();
    assert.equal(await page.evaluate(() => document.activeElement?.textContent), "Keep it");
    await dialog.getByRole("button", { name: "Delete it" }).click();
    await page.getByRole("heading", { name: "Personal list" }).waitFor();
    await openShelf(page);
    await page
      .getByRole("button", { name: /More for/ })
      .first()
      .click();
    await page.getByRole("menuitem", { name: "Delete…" }).click();
    await page.getByRole("dialog").waitFor();
    assert.equal(await page.evaluate(() => document.activeElement?.textContent), "Keep it");
    await close();
  });
});

describe("a drop on the desk", () => {
  test("of a file opens it, of anything else is refused, and the text stays", async () => {
    const { page, close } = await openText("The tide turned.\n");
    await untilRead(page);
    const drop = (kind: "file" | "text" | "link") =>
      page.evaluate((what) => {
        const data = new DataTransfer();
        if (what === "file") data.items.add(new File(["It was recieved."], "dropped.txt"));
        else data.setData(what === "text" ? "text/plain" : "text/uri-list", "https://a.example/");
        const target = document.querySelector(".cm-content");
        for (const type of ["dragover", "drop"]) {
          target?.dispatchEvent(
            new DragEvent(type, { dataTransfer: data, bubbles: true, cancelable: true }),
          );
        }
      }, kind);
    const before = await textOf(page);
    for (const kind of ["text", "link"] as const) {
      await drop(kind);
      await page.getByText("Only files can be dropped here").waitFor();
      assert.equal(await textOf(page), before);
    }
    const address = page.url();
    await drop("file");
    await page.waitForURL((url) => url.href !== address);
    await page.locator(".cm-line", { hasText: /It was recieved/ }).waitFor();
    await close();
  });
});

test("pages load and decisions are kept when the server has stopped", async () => {
  const port = 4395;
  const root = path.resolve(import.meta.dirname, "../..");
  const server = spawn(process.execPath, ["server.mjs"], {
    cwd: root,
    env: { ...process.env, PORT: String(port) },
    stdio: ["ignore", "pipe", "inherit"],
  });
  await new Promise((resolve) => server.stdout.once("data", resolve));
  const { page, close } = await openBrowser({ fresh: true, serviceWorkers: "allow" });
  await page.goto(`http://127.0.0.1:${port}/`);
  await page.getByRole("link", { name: "Start" }).nth(5).waitFor();
  await page.evaluate(async () => {
    const { active } = await navigator.serviceWorker.ready;
    for (let tries = 0; tries < 200 && active?.state !== "activated"; tries++) {
      await new Promise((resolve) => setTimeout(resolve, 50));
    }
  });
  server.kill();
  await new Promise((resolve) => server.once("exit", resolve));
  await page.reload();
  await page.getByRole("link", { name: LETTER }).click();
  await untilShown(page);
  await press(page, "s");
  await page.reload();
  await untilShown(page);
  assert.equal(await decisionsOf(page), 1);
  await close();
});
