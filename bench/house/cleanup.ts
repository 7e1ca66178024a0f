import { cleanupEdits, findCleanup } from "../../src/core/cleanup/cleanup.ts";
import { cleanContext } from "../../src/core/cleanup/context.ts";
import { realDocuments } from "../real/documents.ts";

/**
 * What the clean-up changes in real documents, step by step. SHOW prints every change that is
 * made unless someone says otherwise, SHOW=off the others; HALF is tune or test:
 * whether a change is right is judged by reading.
 */
export async function benchCleanup(): Promise<void> {
  const half = process.env.HALF ?? "tune";
  const documents = (await realDocuments()).filter((one) => one.half === half);
  const totals = new Map<string, { on: number; off: number }>();
  let words = 0;
  for (const { name, manuscript, variety } of documents) {
    const origin = {
      format: /\.md$/.test(name) ? "md" : "txt",
      name,
      hash: "",
      warnings: [],
    } as const;
    const whole = { ...manuscript, variety, origin: { ...origin, warnings: [] } };
    const context = cleanContext(whole, []);
    words += manuscript.text.split(/\s+/).length;
    const { lines } = findCleanup(manuscript, context, {});
    for (const { step, isOn, places } of lines) {
      const total = totals.get(step) ?? { on: 0, off: 0 };
      totals.set(step, total);
      total[isOn ? "on" : "off"] += places.length;
      if (!process.env.SHOW || isOn === (process.env.SHOW === "off")) continue;
      for (const { before, text, after, insert } of places) {
        console.log(
          `${step}\t${before.slice(-25)}[${text}→${insert}]${after.slice(0, 25)}\t${name}`.replace(
            /\n/g,
            "⏎",
          ),
        );
      }
    }
    cleanupEdits(lines.filter(({ isOn }) => isOn).map(({ places }) => places));
  }
  console.log(
    `clean-up of ${documents.length} real documents (${half}), ${words} words: on, and off unless asked for`,
  );
  for (const [step, { on, off }] of totals) console.log(`  ${step.padEnd(20)} ${on} ${off}`);
}
