import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import {
  axeFindings,
  BASE,
  closeBrowser,
  openBrowser,
  openDesk,
  openShelf,
  press,
} from "../support/browser.ts";

after(closeBrowser);

for (const theme of ["light", "dark"] as const) {
  describe(`in the ${theme} theme`, () => {
    test("axe finds nothing on the shelf and its dialogs", async () => {
      const { page, errors, close } = await openBrowser();
      await page.emulateMedia({ colorScheme: theme });
      await openShelf(page);
      assert.deepEqual(await axeFindings(page), []);
      await page.getByRole("button", { name: "Paste text" }).click();
      assert.deepEqual(await axeFindings(page), []);
      await page.keyboard.press("Escape");
      await page.getByRole("button", { name: "More for Letter harbour office" }).click();
      await page.getByRole("menuitem", { name: "Delete…" }).waitFor();
      assert.deepEqual(await axeFindings(page), []);
      await page.getByRole("menuitem", { name: "Delete…" }).click();
      assert.deepEqual(await axeFindings(page), []);
      assert.deepEqual(errors, []);
      await close();
    });

    test("axe finds nothing on the desk, whatever is open", async () => {
      const { page, errors, close } = await openBrowser();
      await page.emulateMedia({ colorScheme: theme });
      await openShelf(page);
      await openDesk(page, "Siltation of the inner harbour");
      await page.keyboard.press("ArrowDown");
      await page.keyboard.press("ArrowDown");
      await page.waitForTimeout(300);
      assert.deepEqual(await axeFindings(page), []);
      await page.keyboard.press("s");
      await page.getByRole("button", { name: "Decisions" }).click();
      await page.getByText("Checks in this pass").click();
      assert.deepEqual(await axeFindings(page), []);
      await page.keyboard.press("Escape");
      await page.keyboard.press("/");
      await page.keyboard.type("tide");
      assert.deepEqual(await axeFindings(page), []);
      await page.keyboard.press("Escape");
      await page.keyboard.press("q");
      assert.deepEqual(await axeFindings(page), []);
      await page.keyboard.press("Escape");
      await page.locator("body").press("?");
      await page.getByRole("dialog", { name: "Keys" }).waitFor();
      assert.deepEqual(await axeFindings(page), []);
      await page.keyboard.press("Escape");
      await page.getByRole("button", { name: "Export…" }).click();
      assert.deepEqual(await axeFindings(page), []);
      assert.deepEqual(errors, []);
      await close();
    });

    test("axe finds nothing at the end of the walk and where nothing is", async () => {
      const { page, close } = await openBrowser();
      await page.emulateMedia({ colorScheme: theme });
      await openShelf(page);
      await openDesk(page, "Letter instrument maker");
      await press(page, "s", "s", "s");
      await page.getByRole("heading", { name: "The walk is done" }).waitFor();
      assert.deepEqual(await axeFindings(page), []);
      await page.goto(`${BASE}/desk?doc=none`);
      await page.getByRole("heading", { name: "This document can’t be shown" }).waitFor();
      assert.deepEqual(await axeFindings(page), []);
      await page.goto(`${BASE}/nowhere`);
      assert.deepEqual(await axeFindings(page), []);
      await close();
    });
  });
}

test("pages carry a policy without exceptions for inline code", async () => {
  for (const place of ["/", "/desk"]) {
    const response = await fetch(`${BASE}${place}`);
    const policy = response.headers.get("content-security-policy") ?? "";
    assert.match(policy, /default-src 'none'/);
    assert.equal(policy.includes("unsafe"), false);
    assert.equal(response.headers.get("x-content-type-options"), "nosniff");
  }
});

test("the chosen theme comes with the page", async () => {
  const { page, close } = await openBrowser();
  await openShelf(page);
  await page.getByRole("button", { name: "Dark" }).click();
  await page.reload();
  assert.equal(await page.evaluate(() => document.documentElement.dataset.theme), "dark");
  await close();
});
