import assert from "node:assert/strict";
import { describe, test } from "node:test";
import { cleanupEdits, findCleanup } from "../../src/core/cleanup/cleanup.ts";
import { cleanContext } from "../../src/core/cleanup/context.ts";
import { type CleanContext, STEPS } from "../../src/core/cleanup/steps.ts";
import { readMd } from "../../src/core/formats/md/format.ts";
import { ruleSchema } from "../../src/core/house/rules.ts";
import { applyEdits } from "../../src/core/manuscript/edits.ts";
import { linesManuscript } from "../../src/core/manuscript/lines.ts";

const CONTEXT: CleanContext = {
  format: "docx",
  variety: "en-GB",
  dash: "a – b",
  ellipsis: "…",
  isCurved: true,
  isPlain: false,
};

/** A text with one step made everywhere. */
function cleaned(step: string, text: string, changes: Partial<CleanContext> = {}): string {
  const { lines } = findCleanup(linesManuscript(text), { ...CONTEXT, ...changes }, {});
  const line = lines.find((one) => one.step === step);
  return applyEdits(text, cleanupEdits(line ? [line.places] : []));
}

/** By step: as it stands, and as it should be; the same twice is left alone. Common practice of copy-editors. */
const CASES: Readonly<Record<string, readonly (readonly [string, string])[]>> = {
  invisible: [
    ["The ti\u200bde\ufeff turned.", "The tide turned."],
    ["A family 👩‍👧 came.", "A family 👩‍👧 came."],
    ["A page \u0097 and \u0093more\u0094.", "A page — and “more”."],
  ],
  "soft-hyphens": [["The ob\u00adserv\u00adatory.", "The observatory."]],
  ligatures: [["The ﬁrst eﬃcient ﬂoat.", "The first efficient float."]],
  "look-alikes": [
    ["The tіde gаuge.", "The tide gauge."],
    ["Мир and μm and Δt stay.", "Мир and μm and Δt stay."],
  ],
  "unicode-forms": [["A cafe\u0301 and 5 \u212b.", "A café and 5 Å."]],
  "edge-spaces": [[" The tide. ", "The tide."]],
  "double-spaces": [
    ["It rained.  It stopped.", "It rained. It stopped."],
    ["A\u00a0 B", "A\u00a0B"],
    ["Languages:  en  |  fr  |  ja", "Languages:  en  |  fr  |  ja"],
    ["Kept since Mon Apr  7 09:57 2031.", "Kept since Mon Apr  7 09:57 2031."],
    ["Gauge::Ferry:    Reader", "Gauge::Ferry:    Reader"],
    ["It stopped.   Then it rained.", "It stopped. Then it rained."],
    ["low  0.40 m and high  4.10 m", "low  0.40 m and high  4.10 m"],
  ],
  "space-before-marks": [
    ["It rained , then stopped .", "It rained, then stopped."],
    ["Why ? ( because )", "Why? (because)"],
    ["It cost .5 more ; see .bashrc and ./run ;-)", "It cost .5 more; see .bashrc and ./run ;-)"],
    ["Wait . . . and [ ] done", "Wait . . . and [ ] done"],
    ["Put . on a line, and use ! sparingly.", "Put . on a line, and use ! sparingly."],
    ["for $i ( 1 .. 10 ) {", "for $i ( 1 .. 10 ) {"],
    [
      'In "gauge" : "gauges", and n == 1 ? it stays.',
      'In "gauge" : "gauges", and n == 1 ? it stays.',
    ],
    ["It runs (read $tide ; log it) each hour.", "It runs (read $tide ; log it) each hour."],
    ["took ( 0.25 read +  0.10 sent =  0.35 s)", "took ( 0.25 read +  0.10 sent =  0.35 s)"],
  ],
  tabs: [["A\tB", "A B"]],
  "double-stops": [
    ["It ended.. Then,, it began.", "It ended. Then, it began."],
    ["Wait... see ../log and 1..5", "Wait... see ../log and 1..5"],
  ],
  ellipses: [
    ["And then... nothing.", "And then… nothing."],
    ["See ../.. and ....", "See ../.. and ...."],
    ["Between A...B and a...b it stays.", "Between A...B and a...b it stays."],
  ],
  quotes: [
    ['He said "no" and "yes".', "He said “no” and “yes”."],
    ["He said 'no' to 'em.", "He said ‘no’ to 'em."],
    ['A 12" plank and "one', 'A 12" plank and "one'],
    ['The function "cmd_" stays.', 'The function "cmd_" stays.'],
    ['Type "tides --from $day" there.', 'Type "tides --from $day" there.'],
  ],
  apostrophes: [
    ["It isn't the keepers' boat.", "It isn’t the keepers’ boat."],
    ["'Tis the '90s.", "’Tis the ’90s."],
  ],
  primes: [
    ["At 50°12'30\" N.", "At 50°12′30″ N."],
    ["A man of 5'10\".", "A man of 5′10″."],
    ["The keepers' 2 boats.", "The keepers' 2 boats."],
  ],
  ranges: [
    ["See pp. 12-18 and pages 103-4.", "See pp. 12–18 and pages 103–4."],
    ["It is missing from 8859-1, as ever.", "It is missing from 8859-1, as ever."],
    ["Part GH-031-2, page 4-A, 2031-03-12.", "Part GH-031-2, page 4-A, 2031-03-12."],
  ],
  dashes: [
    ["It came - at last - to us.", "It came – at last – to us."],
    ["It came--at last.", "It came – at last."],
    ["Use --quiet, or 3 - 2.", "Use --quiet, or 3 - 2."],
    ['It knows "--depth" and more.', 'It knows "--depth" and more.'],
  ],
  minus: [
    ["It fell to -5 °C, or -2%.", "It fell to −5 °C, or −2%."],
    ["Run it with -5 or GH-5 m.", "Run it with -5 or GH-5 m."],
  ],
  multiplication: [
    ["A room of 3 x 4 m.", "A room of 3 × 4 m."],
    ["At 0x41 and model x 4.", "At 0x41 and model x 4."],
  ],
  ordinals: [
    ["The 2 nd and the 3RD.", "The 2nd and the 3rd."],
    ["THE 3RD EDITION", "THE 3RD EDITION"],
    ["The 2nd at 4 the", "The 2nd at 4 the"],
  ],
  fractions: [["It took 3 1/2 hours on 3/4.", "It took 3½ hours on 3/4."]],
  "no-break": [
    [
      "It rose 5 mm by § 4, p. 12, says J. R. Marlow.",
      "It rose 5\u00a0mm by §\u00a04, p.\u00a012, says J.\u00a0R.\u00a0Marlow.",
    ],
    ["In 5 minutes. A. Then", "In 5 minutes. A.\u00a0Then"],
    ["A. Any addition, %Q. It is", "A. Any addition, %Q. It is"],
    ["from 11:00, N/A", "from 11:00, N/A"],
  ],
};

describe("the clean-up", () => {
  for (const { id, title } of STEPS) {
    test(`${title}: what is wrong and what stays`, () => {
      const cases = CASES[id] ?? [];
      assert.ok(cases.length > 0, id);
      for (const [before, after] of cases) assert.equal(cleaned(id, before), after);
    });
  }

  test("touches nothing in code, addresses and figures of tables", () => {
    const text = "See https://gannet.example/a--b..c and mail a..b@gannet.example or `x  -  y`.";
    const { lines } = findCleanup(linesManuscript(text), CONTEXT, {});
    assert.deepEqual(
      lines.map(({ step }) => step),
      [],
    );
    const table = '| a | b |\n| - | - |\n| -5 % | 12-18 |\n\n```\na  b..c "d"\n```\n';
    const manuscript = readMd(new TextEncoder().encode(table), "t.md");
    assert.deepEqual(findCleanup(manuscript, CONTEXT, {}).lines, []);
  });

  test("goes by the document’s habits, and by the house above them", () => {
    const text = "It came – at last – and “so” it’s here… and… Then -- at “last” -- it went.";
    const manuscript = linesManuscript(text);
    const origin = { format: "txt" as const, name: "a.txt", hash: "", warnings: [] };
    const whole = { ...manuscript, origin, variety: "en-GB" as const };
    const own = cleanContext(whole, []);
    assert.deepEqual([own.dash, own.ellipsis, own.isCurved], ["a – b", "…", true]);
    const rule = ruleSchema.parse({
      id: "d",
      type: "form",
      of: "consistency/dash:dash",
      form: "a—b",
    });
    assert.equal(cleanContext(whole, [{ rule, house: "h" }]).dash, "a—b");
    const { lines } = findCleanup(manuscript, own, { dashes: false });
    assert.deepEqual(
      lines.map(({ step, isOn }) => [step, isOn]),
      [["dashes", false]],
    );
  });

  test("makes of places that overlap the one of the earlier step", () => {
    const text = "It rained  , then.";
    const { lines } = findCleanup(linesManuscript(text), CONTEXT, {});
    const edits = cleanupEdits(lines.map(({ places }) => places));
    assert.equal(edits.length, 1);
  });

  test("counts empty paragraphs, which it can’t take out", () => {
    assert.equal(findCleanup(linesManuscript("A.\n\n \nB."), CONTEXT, {}).empty, 2);
  });
});
