import { fork } from "node:child_process";
import { readDocument } from "../src/core/formats/document.ts";
import { hostileFiles } from "../test/support/hostile.ts";

const MOST_SECONDS = 5;
const MOST_MEGABYTES = 1000;

/**
 * Each hostile file of the tests is read in a process of its own: the time, the memory beyond what the
 * process had with the file in hand, and whether it was read or refused.
 */
export async function benchHostile(): Promise<void> {
  const index = process.env.HOSTILE_FILE;
  if (index !== undefined) return readOne(Number(index));
  const files = hostileFiles();
  console.log(`\n${files.length} hostile files, each refused or read`);
  let slow = 0;
  let worst = 0;
  const only = new RegExp(process.env.ONLY ?? "");
  for (const [number, { what }] of files.entries()) {
    if (!only.test(what)) continue;
    const result = await inChild(number);
    const { seconds, megabytes, outcome } = result;
    worst = Math.max(worst, seconds);
    const bad = seconds > MOST_SECONDS || megabytes > MOST_MEGABYTES || outcome === "fault";
    if (bad) slow++;
    if (bad || seconds > 1) {
      console.log(
        `${what.padEnd(48)} ${seconds.toFixed(1).padStart(6)} s ${megabytes.toFixed(0).padStart(6)} MB  ${outcome}${bad ? "  NO" : ""}`,
      );
    }
  }
  console.log(
    `  beyond ${MOST_SECONDS} s or ${MOST_MEGABYTES} MB, or with a fault: ${slow}; slowest ${worst.toFixed(1)} s`,
  );
}

interface Outcome {
  seconds: number;
  megabytes: number;
  outcome: string;
}

function inChild(number: number): Promise<Outcome> {
  return new Promise((resolve) => {
    const child = fork(process.argv[1] ?? "", ["hostile"], {
      env: { ...process.env, HOSTILE_FILE: String(number) },
      stdio: ["ignore", "ignore", "inherit", "ipc"],
    });
    const timer = setTimeout(() => child.kill("SIGKILL"), 60_000);
    let outcome: Outcome = { seconds: 60, megabytes: 0, outcome: "fault" };
    child.on("message", (message) => {
      outcome = message as Outcome;
    });
    child.on("exit", () => {
      clearTimeout(timer);
      resolve(outcome);
    });
  });
}

async function readOne(number: number): Promise<void> {
  const file = hostileFiles()[number];
  if (!file) return;
  const bytes = file.make();
  const before = process.memoryUsage().rss;
  // Making the file may have taken more than reading it does.
  const peakBefore = process.resourceUsage().maxRSS * 1024;
  const started = performance.now();
  let outcome = "fault";
  try {
    const read = await readDocument(bytes, file.name, () => "en-GB");
    outcome = "problem" in read ? `refused: ${read.problem.code}` : "read";
  } catch (error) {
    outcome = "fault";
    console.error(file.what, error);
  }
  const seconds = (performance.now() - started) / 1000;
  const peak = process.resourceUsage().maxRSS * 1024;
  const most = Math.max(process.memoryUsage().rss, peak > peakBefore ? peak : 0);
  process.send?.({ seconds, megabytes: (most - before) / 1e6, outcome });
}
