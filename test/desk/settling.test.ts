import assert from "node:assert/strict";
import { describe, test } from "node:test";
import type { DeskSession } from "../../src/ui/desk/session.ts";
import { openSession, reopen, settled } from "../support/desk.ts";

const TEXT = [
  "The stilling-well is deep. A stilling-well has a ladder. The old stilling-well is dry.",
  "He closed the stilling well. She saw a stilling well there. He wrote: “the stilling well is foul”.",
  "At noon the stillingwell was full.",
].join("\n\n");
const GROUP = "consistency/compound:stillingwell";

const open = ({ state }: DeskSession) =>
  state.openOfAll.filter(({ mark }) => mark.group === GROUP).map(({ mark }) => mark.text);

async function placesOf(session: DeskSession, form: string) {
  const places = await session.settling.places(GROUP, form);
  assert.ok(places);
  return places;
}

describe("settling a group of forms", () => {
  test("has one mark for all its places, and each place with what it would be", async () => {
    const { session } = await openSession(TEXT);
    assert.deepEqual(open(session), ["stilling well"]);
    const places = await placesOf(session, "stilling-well");
    const others = places.filter(({ form }) => form !== "stilling-well");
    assert.deepEqual(
      others.map(({ form, insert }) => `${form} > ${insert}`),
      [
        "stilling well > stilling-well",
        "stilling well > stilling-well",
        "stilling well > stilling-well",
        "stillingwell > stilling-well",
      ],
    );
    assert.deepEqual(
      others.map(({ isSafe, keeping }) => `${isSafe} ${keeping}`),
      ["true null", "true null", "false quotation", "true null"],
    );
    await session.close();
  });

  test("writes a form in all ticked places as one decision, which U takes back", async () => {
    const { session, screen, id } = await openSession(TEXT);
    const before = screen.text;
    const places = await placesOf(session, "stilling-well");
    const ticked = places.filter(({ isSafe }) => isSafe);
    await session.settling.write(GROUP, "stilling-well", ticked, []);
    await settled(session);
    assert.equal(screen.text.match(/stilling-well/g)?.length, 6);
    assert.match(screen.text, /“the stilling well is foul”/, "the quotation keeps its form");
    assert.deepEqual(open(session), []);
    assert.match(session.state.notice, /3 places: “stilling-well”/);
    assert.equal(session.state.decisions.length, 1);
    assert.deepEqual(session.state.record?.forms, { [GROUP]: "stilling-well" });
    await session.deciding.undoLast();
    await settled(session);
    assert.equal(screen.text, before);
    assert.deepEqual(open(session), ["stilling well"]);
    assert.deepEqual(session.state.record?.forms, {});
    await session.close();
    const again = await reopen(id);
    assert.deepEqual(open(again.session), ["stilling well"]);
    await again.session.close();
  });

  test("leaves what is not ticked, and asks no more of it", async () => {
    const { session, screen, id } = await openSession(TEXT);
    const places = await placesOf(session, "stilling-well");
    const [first, ...rest] = places.filter(({ isSafe }) => isSafe);
    assert.ok(first);
    await session.settling.write(GROUP, "stilling-well", rest, [first]);
    await settled(session);
    assert.match(screen.text, /He closed the stilling well\. She saw a stilling-well/);
    assert.deepEqual(open(session), []);
    await session.close();
    const again = await reopen(id);
    assert.deepEqual(open(again.session), [], "nor when it is opened anew");
    await again.session.deciding.undoLast();
    await settled(again.session);
    assert.deepEqual(open(again.session), ["stilling well"]);
    await again.session.close();
  });

  test("may prefer another form than most places have, or let all stand", async () => {
    const { session, screen } = await openSession(TEXT);
    const places = await placesOf(session, "stilling well");
    await session.settling.write(
      GROUP,
      "stilling well",
      places.filter(({ isSafe }) => isSafe),
      [],
    );
    await settled(session);
    assert.equal(screen.text.match(/stilling well/g)?.length, 7);
    await session.deciding.undoLast();
    await settled(session);
    await session.settling.keepAll(GROUP, await placesOf(session, "stilling-well"));
    await settled(session);
    assert.deepEqual(open(session), []);
    assert.match(session.state.notice, /on purpose/);
    assert.deepEqual(session.state.record?.forms, { [GROUP]: "" });
    await session.close();
  });

  test("a place let stand in the text leaves the others open", async () => {
    const { session } = await openSession(TEXT);
    const place = session.state.openOfAll.find(({ mark }) => mark.group === GROUP);
    assert.ok(place);
    await session.deciding.stetAt([place]);
    await settled(session);
    const [next] = session.state.openOfAll.filter(({ mark }) => mark.group === GROUP);
    assert.ok(next && next.from > place.from, "another place carries the mark");
    await session.close();
  });

  test("gathers abbreviations, quantities and terms of the text on screen", async () => {
    const { session, screen } = await openSession(
      "The Tide Data Centre (TDC) keeps it. The TDC is 90 feet long, the pier 12 m. The data logger and the datalogger are old.",
    );
    const abbreviations = await session.settling.gathered("abbreviations");
    assert.deepEqual(
      abbreviations?.map(({ abbreviation }) => abbreviation),
      ["TDC"],
    );
    const quantities = await session.settling.gathered("quantities");
    assert.deepEqual(quantities?.[0]?.units.map(({ unit }) => unit).sort(), ["ft", "m"]);
    const terms = await session.settling.gathered("terms");
    const family = terms?.families.find(({ terms: own }) =>
      own.some(({ term }) => term === "datalogger"),
    );
    assert.ok(family);
    const into = family.terms.find(({ term }) => term === "data logger");
    const others = family.terms.filter((one) => one !== into);
    await session.settling.mergeTerms("data logger", others);
    await settled(session);
    assert.match(screen.text, /The data logger and the data logger are old/);
    await session.deciding.undoLast();
    await settled(session);
    await session.settling.partTerms(["data logger|datalogger"]);
    await settled(session);
    const after = await session.settling.gathered("terms");
    assert.ok(
      !after?.families.some(({ terms: own }) => own.some(({ term }) => term === "datalogger")),
    );
    await session.close();
  });
});
