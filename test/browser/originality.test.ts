import assert from "node:assert/strict";
import { after, describe, test } from "node:test";
import type { Page } from "playwright-core";
import {
  axeFindings,
  BASE,
  closeBrowser,
  openBrowser,
  openText,
  press,
  rail,
  textOf,
  untilKept,
  untilSettled,
} from "../support/browser.ts";

after(closeBrowser);

const COPIED =
  "Hang a staff beside the well, on the open face of the quay, and read the two together through one whole tide.";
const DRAFT = `On wells

Wells are good, and this sentence is our own. ${COPIED} We did so in the spring of that year, and nobody fell in.

It was raining when the second keeper came down to the harbour with the oar and the lamp.
`;

const board = (page: Page) => page.getByRole("region", { name: "Originality", exact: true });

async function openBoard(): Promise<Awaited<ReturnType<typeof openText>>> {
  const opened = await openText(DRAFT, "wells.txt");
  await untilSettled(opened.page);
  await rail(opened.page)
    .getByRole("button", { name: /^Originality/ })
    .click();
  await press(opened.page, "b");
  await opened.page.getByTestId("ask-compare").waitFor();
  return opened;
}

async function compare(page: Page): Promise<void> {
  await board(page).getByRole("button", { name: "Compare with all sources" }).click();
  await page.getByTestId("compared").waitFor();
  await page.getByTestId("collation").waitFor();
}

describe("the originality pass", () => {
  test("says what is sent, compares, and sends no word of the draft", async () => {
    const { page, errors, close } = await openBoard();
    assert.match((await board(page).textContent()) ?? "", /No word of the draft leaves/);
    assert.deepEqual(await axeFindings(page), []);
    const sent: { body: Buffer; address: string }[] = [];
    page.context().on("request", (request) => {
      const body = request.postDataBuffer();
      if (body) sent.push({ body, address: request.url() });
    });
    await compare(page);
    assert.match(
      (await page.getByTestId("overlap-figure").textContent()) ?? "",
      /^22 of \d+ words stand elsewhere$/,
    );
    const asked = sent.filter(({ address }) => address.includes("/api/sources/"));
    assert.ok(asked.length >= 2);
    for (const { body } of asked) {
      for (const word of DRAFT.match(/\p{L}{5,}/gu) ?? [])
        assert.ok(!body.toString("latin1").includes(word), word);
    }
    assert.deepEqual(await axeFindings(page), []);
    assert.deepEqual(errors, []);
    await close();
  });

  test("mends a passage: quoted and cited, taken back, reworded with the overlap measured", async () => {
    const { page, errors, close } = await openBoard();
    await compare(page);
    await page.getByRole("button", { name: /quote and cite/ }).waitFor();
    await press(page, "1");
    await untilKept(page);
    assert.ok((await textOf(page)).includes(`“${COPIED.slice(0, -1)}” (Teesdale, 2021).`));
    await page.getByText("Kept out: quotations with a citation.").waitFor();
    await press(page, "u");
    await untilKept(page);
    assert.ok((await textOf(page)).includes(COPIED));
    await page.getByText("Neither quoted nor cited here.").waitFor();
    await press(page, "r");
    const dialog = page.getByRole("dialog");
    await dialog.getByText("22 of 22 words still stand there in a row").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await dialog
      .getByLabel("Your text")
      .fill("A pole on the quay beside it is read with the well from low water to low water");
    await dialog.getByText(/^0 of 18 words/).waitFor();
    await dialog.getByRole("button", { name: "Put it in the text" }).click();
    await untilKept(page);
    await board(page)
      .getByText(/^0 of \d+ words stand elsewhere$/)
      .waitFor();
    assert.deepEqual(errors, []);
    await close();
  });

  test("says a passage is one's own, sets a limit, shows the whole source, the report and the voice", async () => {
    const { page, errors, close } = await openBoard();
    await compare(page);
    await board(page).getByLabel("Limit, % of the words").fill("5");
    await board(page).getByLabel("Limit, % of the words").press("Enter");
    await board(page)
      .getByText(/over the limit of 5.0% by \d+ words/)
      .waitFor();
    await page.getByTestId("first-to-do").waitFor();
    await press(page, "m");
    await board(page).getByText("You said these are your own words").waitFor();
    await board(page)
      .getByText(/within the limit/)
      .waitFor();
    await press(page, "u");
    await board(page).getByText("Neither quoted nor cited here.").waitFor();
    await press(page, "o");
    await page.getByTestId("whole-source").getByText("A stilling well lies.").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await press(page, "o");
    await press(page, "v");
    await page.getByTestId("overlap-report").getByText("How the figure is made").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await press(page, "v");
    await page.getByTestId("voice").getByText("at least 1,250 words").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await press(page, "v");
    await press(page, "b");
    // In the text: the mark, its source's number in the margin, and the source beneath.
    await page.locator(".dr-word-for-word").first().waitFor();
    await page.locator(".dr-margin-code", { hasText: "ov 1" }).waitFor();
    await page.getByTestId("collation").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    assert.deepEqual(errors, []);
    await close();
  });
});

describe("the sources", () => {
  test("are added, named, closed for good, compared with and removed", async () => {
    const { page, errors, close } = await openBrowser();
    await page.goto(`${BASE}/sources`);
    await page.getByTestId("shipped-sources").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await page
      .locator("input[type=file]")
      .first()
      .setInputFiles([
        { name: "notes.txt", mimeType: "text/plain", buffer: Buffer.from(`Notes\n\n${DRAFT}`) },
        { name: "broken.docx", mimeType: "application/zip", buffer: Buffer.from("no document") },
      ]);
    await page.getByText("1 source added.").waitFor();
    await page.getByText(/^broken\.docx: /).waitFor();
    await page.getByTestId("own-sources").waitFor();
    assert.deepEqual(await axeFindings(page), []);
    await page.getByRole("button", { name: "Close", exact: true }).click();
    await page.getByRole("button", { name: "Close it for good" }).click();
    await page.getByTestId("own-sources").getByText("closed").waitFor();
    await page.getByLabel("Find a source by title or origin").fill("thesis 88");
    await page.getByText("1 found").waitFor();
    await page.getByRole("button", { name: "Remove", exact: true }).click();
    await page.getByRole("button", { name: "Remove it for good" }).click();
    await page.getByText("You have no sources of your own yet.").waitFor();
    assert.deepEqual(errors, []);
    await close();
  });
});
