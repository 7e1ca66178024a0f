import type { Card } from "../../core/checks/card.ts";
import { APPETITES, type Appetite, type Pass } from "../../core/checks/card.ts";
import { CARDS } from "../../core/checks/cards.ts";
import { APPETITE_LABELS, PASS_LABELS } from "../../core/report/words.ts";
import { figure } from "../parts/words.ts";
import { CitationStyle } from "./CitationStyle.tsx";
import { checksOff } from "./checks-off.ts";
import type { ComparingState } from "./comparing-state.ts";
import { Switch } from "./Switch.tsx";
import type { DeskSession } from "./session.ts";
import type { DeskState } from "./state.ts";
import { useSlice } from "./use-slice.ts";

interface PassProps {
  pass: Pass;
  session: DeskSession;
}

/** How far the reading is. */
const PROGRESS = ["phase", "progress", "readingOn"] as const;
type InProgress = Pick<DeskState, (typeof PROGRESS)[number]>;

/** One pass: what is left in it, and, while it is walked, its checks. */
export function PassEntry({ pass, session }: PassProps) {
  const state = useSlice(
    session,
    ...PROGRESS,
    "passes",
    "pass",
    "unread",
    "record",
    "style",
    "comparing",
  );
  const { open, total } = state.passes[pass];
  const walked = pass === state.pass;
  const reading = isReading(pass, state);
  const isUncompared = pass === "originality" && !state.comparing.done;
  const done = isUncompared ? 0 : total === 0 ? 1 : (total - open) / total;
  return (
    <>
      <button
        type="button"
        aria-current={walked ? "true" : undefined}
        onClick={(event) => {
          session.walk.setPass(pass);
          // After a click the keys belong to the walk again; a keyboard user stays where they are.
          if (event.detail > 0) event.currentTarget.blur();
        }}
        className={`block w-full border-l-3 py-2 pr-3.5 pl-3.5 text-left ${
          walked ? "border-pen bg-sheet" : "border-transparent"
        }`}
      >
        <span className={`flex justify-between ${walked ? "font-semibold" : ""}`}>
          <span>{PASS_LABELS[pass]}</span>
          <span>
            {isUncompared
              ? comparingLabel(state.comparing)
              : leftLabel(pass, state, checksOff(pass, session).length)}
          </span>
        </span>
        <Progress share={reading ? shareOf(state) : done} />
      </button>
      {walked ? (
        <div className="bg-sheet pr-3.5 pl-4.5 empty:hidden">
          <RunControls session={session} />
        </div>
      ) : null}
      {walked && pass === "citations" ? <CitationStyle session={session} /> : null}
      {walked ? <PassChecks pass={pass} session={session} /> : null}
    </>
  );
}

/** The checks of a pass, those with open marks first, and how much of each is wanted. */
function PassChecks({ pass, session }: PassProps) {
  const state = useSlice(session, "open", "tables", "whileTyping", "record", "style");
  const open = new Map<string, number>();
  for (const { mark } of state.open) open.set(mark.rule, (open.get(mark.rule) ?? 0) + 1);
  const own = CARDS.filter((check) => check.pass === pass);
  const found = own.filter(({ id }) => open.has(id));
  const others = own.filter(({ id }) => !open.has(id));
  const rows = pass === "spelling" ? own : [...found, ...others];
  return (
    <details className="px-4.5 pt-3 text-[13px] text-soft">
      <summary className="select-none">Checks in this pass</summary>
      <ul className="mt-2 space-y-2">
        {rows.map((check) => (
          <li key={check.id}>
            {pass === "spelling" ? (
              <Switch
                on={session.settings.appetiteOf(check.id) !== "off"}
                onSwitch={(on) => void session.settings.setAppetite(check.id, on ? "all" : "off")}
                title={<CheckTitle check={check} />}
              />
            ) : (
              <AppetiteRow
                check={check}
                open={open.get(check.id) ?? 0}
                withheld={state.tables?.withheld.get(check.id) ?? 0}
                session={session}
              />
            )}
          </li>
        ))}
        {pass === "spelling" ? (
          <li className="border-t border-rule pt-2">
            <Switch
              on={state.whileTyping}
              onSwitch={(on) => void session.settings.setWhileTyping(on)}
              title="Check while typing"
            />
          </li>
        ) : null}
      </ul>
    </details>
  );
}

function CheckTitle({ check }: { check: Card }) {
  return (
    <>
      {check.title} <span className="font-semibold text-pen">{check.code}</span>
    </>
  );
}

interface AppetiteProps {
  check: Card;
  open: number;
  withheld: number;
  session: DeskSession;
}

function AppetiteRow({ check, open, withheld, session }: AppetiteProps) {
  const appetite = session.settings.appetiteOf(check.id);
  return (
    <div className={appetite === "off" ? "text-soft/70" : ""}>
      <CheckTitle check={check} />
      <span className="flex items-baseline justify-between gap-2">
        <span>
          {open > 0 ? `${figure(open)} open` : ""}
          {withheld > 0 ? `${open > 0 ? ", " : ""}${figure(withheld)} more not shown` : ""}
        </span>
        <select
          aria-label={`How much of: ${check.title}`}
          className="border-b border-dotted border-faint bg-transparent"
          value={appetite}
          onChange={(event) =>
            void session.settings.setAppetite(check.id, event.target.value as Appetite)
          }
        >
          {APPETITES.map((one) => (
            <option key={one} value={one}>
              {APPETITE_LABELS[one]}
            </option>
          ))}
        </select>
      </span>
    </div>
  );
}

/** Stops a running check, starts one that was stopped, or shows what typing has changed. */
function RunControls({ session }: { session: DeskSession }) {
  const state = useSlice(session, "phase", "stale");
  const [label, run] =
    state.phase === "checking"
      ? ["Stop", () => session.stop()]
      : state.phase === "stopped"
        ? ["Run the pass", () => void session.run()]
        : ["Check what was typed", () => void session.run()];
  if (state.phase === "ready" && !state.stale) return null;
  if (state.phase === "opening") return null;
  return (
    <button type="button" className="button-text mt-2 text-[13px]" onClick={run}>
      {label}
    </button>
  );
}

function shareOf({ progress }: InProgress): number {
  return progress.done / Math.max(1, progress.all);
}

/** Whether a pass is still being read: the first alone, then the others together. */
function isReading(pass: Pass, { phase, readingOn }: InProgress): boolean {
  return phase === "checking" ? pass === "spelling" : readingOn && pass !== "spelling";
}

function leftLabel(
  pass: Pass,
  state: InProgress & Pick<DeskState, "passes" | "unread">,
  off: number,
): string {
  if (isReading(pass, state)) return `${Math.round(shareOf(state) * 100)}%`;
  if (state.phase === "stopped") return stoppedLabel(pass, state);
  if (state.phase !== "ready") return "";
  if (state.unread.includes(pass)) return "not read";
  const { open, total } = state.passes[pass];
  if (total === 0) return off > 0 ? `none, ${figure(off)} off` : "none found";
  if (open === 0) return off > 0 ? `done, ${figure(off)} off` : "done";
  return open === total ? figure(total) : `${figure(open)} left of ${figure(total)}`;
}

/** The originality pass compares when it is told to. */
function comparingLabel({ progress }: ComparingState): string {
  if (!progress) return "not compared";
  return `${Math.round((100 * progress.done) / Math.max(1, progress.all))}%`;
}

/** How far a pass had come when it was stopped. */
function stoppedLabel(pass: Pass, state: InProgress): string {
  const share = Math.round(shareOf(state) * 100);
  return pass === "spelling" && share > 0 && share < 100 ? `stopped at ${share}%` : "not read";
}

function Progress({ share }: { share: number }) {
  return (
    <svg className="mt-1.5 block h-0.5 w-full" preserveAspectRatio="none" viewBox="0 0 100 1">
      <title>Progress of the pass</title>
      <rect width="100" height="1" className="fill-hair" />
      <rect width={100 * share} height="1" className="fill-pen" />
    </svg>
  );
}
