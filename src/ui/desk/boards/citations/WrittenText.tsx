import type { WrittenReference } from "../../../../core/citations/write-reference.ts";

/** A reference as it is written, with its italics. */
export function WrittenText({ written: { text, italics } }: { written: WrittenReference }) {
  let at = 0;
  const parts = italics.flatMap(({ from, to }) => {
    const before = { from: at, text: text.slice(at, from), italic: false };
    at = to;
    return [before, { from, text: text.slice(from, to), italic: true }];
  });
  parts.push({ from: at, text: text.slice(at), italic: false });
  return (
    <p className="pl-5.5 -indent-5.5 font-book text-base">
      {parts.map(({ from, text: part, italic }) =>
        italic ? <i key={from}>{part}</i> : <span key={from}>{part}</span>,
      )}
    </p>
  );
}
