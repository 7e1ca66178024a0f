import type { SetPlace, SetSession } from "./set-session.ts";

/** Characters shown on either side of a place. */
const CONTEXT = 48;

interface Props {
  session: SetSession;
  place: Pick<SetPlace, "whole" | "part">;
  /** What stands there is at odds with the others, and underlined. */
  isOdd: boolean;
}

/** A place with the text around it, and the document it is in, to its desk. */
export function PlaceInDocument({ session, place, isOdd }: Props) {
  const { before, text, after } = session.context(place, CONTEXT);
  return (
    <>
      <span className="truncate">
        <span className="text-soft">{before.slice(-36)}</span>
        <b className={isOdd ? "border-b-2 border-pen" : ""}>{text}</b>
        <span className="text-soft">{after}</span>
      </span>
      <a
        className="truncate font-plain text-[13px] text-soft hover:underline"
        href={`/desk?doc=${session.ids[place.part] ?? ""}`}
      >
        {session.titles[place.part] ?? ""}
      </a>
    </>
  );
}
