import { SUBJECTS } from "../../core/house/subjects.ts";

/** The subject lists that ship, and how they are switched on. */
export function SubjectsPart() {
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">Subject lists</h1>
      <p className="mt-1 max-w-[62ch] text-soft">
        Words of a subject that the general dictionaries do not have. A list counts only for the
        documents it is switched on for: open one, and choose under “Subject lists” at its left.
      </p>
      <dl className="mt-6 max-w-[62ch]">
        {SUBJECTS.map(({ id, title, note }) => (
          <div key={id} className="grid grid-cols-[140px_1fr] border-t border-hair py-2.5">
            <dt className="font-semibold">{title}</dt>
            <dd className="text-soft">{note}</dd>
          </div>
        ))}
      </dl>
    </>
  );
}
