import type { Decision } from "../../core/ledger/decision.ts";
import { settingLine } from "../../core/report/words.ts";
import { count, when } from "../parts/words.ts";
import type { DeskSession } from "./session.ts";
import { useSlice } from "./use-slice.ts";

/** Every decision on this document, newest first; each can be taken back. */
export function Decisions({ session }: { session: DeskSession }) {
  const state = useSlice(session, "decisions", "standing", "record", "reading");
  const listed = state.decisions.filter(({ act }) => act !== "undo");
  const comments = <FileComments session={session} />;
  if (listed.length === 0) {
    return (
      <>
        <p className="text-soft">
          Nothing has been decided yet. Every decision is written down here.
        </p>
        {comments}
      </>
    );
  }
  return (
    <>
      <p className="pb-2 text-[13px] text-soft">
        <a className="button-text" href={`/ledger?doc=${state.record?.id ?? ""}`}>
          In the ledger
        </a>{" "}
        <a className="button-text ml-4" href={`/sheet?doc=${state.record?.id ?? ""}`}>
          Style sheet
        </a>
      </p>
      <ol className="-mx-4">
        {listed.toReversed().map((decision) => {
          const standing = state.standing.has(decision.seq);
          return (
            <li key={decision.seq} className="flex gap-3 border-t border-hair px-4 py-2">
              <div className={`min-w-0 grow ${standing ? "" : "text-soft line-through"}`}>
                <p className="font-book leading-snug break-words">{summaryOf(decision)}</p>
                <p className="text-xs text-soft">
                  {actOf(decision)}, {when(decision.at)}
                </p>
              </div>
              {standing && !state.reading ? (
                <button
                  type="button"
                  className="button-text shrink-0 self-start text-[13px]"
                  onClick={() => void session.deciding.undo(decision.seq)}
                >
                  undo
                </button>
              ) : null}
            </li>
          );
        })}
      </ol>
      {comments}
    </>
  );
}

/** The comments that came with the file: shown, and kept as they are. */
function FileComments({ session }: { session: DeskSession }) {
  const comments = useSlice(session, "manuscript").manuscript?.origin.comments ?? [];
  if (comments.length === 0) return null;
  return (
    <section aria-label="Comments in the file" className="pt-5">
      <h2 className="pb-1.5 text-xs font-semibold text-soft">
        {count(comments.length, "comment")} in the file, kept as they are
      </h2>
      <ul className="-mx-4">
        {comments.map(({ author, text, at }, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: they keep their order
          <li key={index} className="border-t border-hair px-4 py-2">
            <p className="font-book leading-snug break-words whitespace-pre-line">{text}</p>
            <p className="text-xs text-soft">
              {author}
              {at === null ? ", not in the text" : ", "}
              {at === null ? null : (
                <button
                  type="button"
                  className="button-text"
                  onClick={() => session.walk.showPlace(at)}
                >
                  show
                </button>
              )}
            </p>
          </li>
        ))}
      </ul>
    </section>
  );
}

const LONGEST = 60;

function summaryOf(decision: Decision): string {
  if (decision.setting) return settingLine(decision.setting);
  const edit = decision.edits[0];
  const back = decision.inverse[0];
  if (decision.act === "query") return `${decision.marks[0]?.text ?? ""}: ${decision.note ?? ""}`;
  if (!edit || !back) return decision.word ?? decision.marks[0]?.text ?? "";
  const old = shorten(back.insert);
  const put = shorten(edit.insert);
  if (!old) return `put in “${put}”`;
  return put ? `${old} → ${put}` : `took out “${old}”`;
}

function shorten(text: string): string {
  return text.length > LONGEST ? `${text.slice(0, LONGEST)}…` : text;
}

function actOf({ act, scope, edits, marks }: Decision): string {
  const places = Math.max(edits.length, marks.length);
  switch (act) {
    case "correct":
      return places > 1 ? `corrected in ${count(places, "place")}` : "corrected";
    case "stet":
      if (scope === "everywhere") return "stet everywhere";
      return places > 1 ? `stet in ${count(places, "place")}` : "stet";
    case "query":
      return "asked the author";
    case "word":
      return "put on the word list";
    case "setting":
      return "setting";
    default:
      return "edited by hand";
  }
}
