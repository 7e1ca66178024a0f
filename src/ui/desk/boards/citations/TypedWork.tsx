import { useState } from "react";
import { WORK_TYPES, type WorkType } from "../../../../core/citations/entry.ts";
import { type TypedFields, workFromFields } from "../../../../core/citations/typed-work.ts";
import type { Work } from "../../../../core/citations/work.ts";

/** The fields of the form, in the order of a reference, and where their names alone say too little an example. */
const FIELDS: readonly { name: keyof TypedFields; label: string; hint?: string; wide?: true }[] = [
  {
    name: "authors",
    label: "Authors",
    hint: "one to a line: Family, Given; a group as it is",
    wide: true,
  },
  { name: "year", label: "Year", hint: "2031, or n.d." },
  { name: "title", label: "Title", wide: true },
  { name: "container", label: "Periodical, or the book it is in", wide: true },
  { name: "volume", label: "Volume" },
  { name: "issue", label: "Issue" },
  { name: "pages", label: "Pages", hint: "40–52" },
  { name: "edition", label: "Edition", hint: "2" },
  { name: "publisher", label: "Publisher" },
  { name: "place", label: "Place" },
  { name: "doi", label: "DOI" },
  { name: "url", label: "Address" },
];

/** A form for a work that no record is at hand of. */
export function TypedWork({ onMade }: { onMade: (work: Work) => void }) {
  const [type, setType] = useState<WorkType>("article");
  const [fields, setFields] = useState<TypedFields>({ authors: "", year: "", title: "" });
  const [problem, setProblem] = useState("");
  const submit = (event: { preventDefault(): void }) => {
    event.preventDefault();
    const made = workFromFields(type, fields);
    setProblem("problem" in made ? made.problem : "");
    if (!("problem" in made)) onMade(made);
  };
  return (
    <form
      className="mt-3 grid grid-cols-3 gap-x-5 gap-y-2 border-l-3 border-rule pl-4"
      onSubmit={submit}
    >
      <label className="text-[13px] text-soft">
        Kind of work
        <select
          className="field mt-0.5 block w-full text-sm text-ink"
          value={type}
          onChange={({ target }) => setType(target.value as WorkType)}
        >
          {WORK_TYPES.map((one) => (
            <option key={one}>{one}</option>
          ))}
        </select>
      </label>
      {FIELDS.map(({ name, label, hint, wide }) => (
        <div key={name} className={`text-[13px] text-soft ${wide ? "col-span-2" : ""}`}>
          <label htmlFor={`work-${name}`}>{label}</label>
          {name === "authors" ? (
            <textarea
              id="work-authors"
              className="field mt-0.5 block h-16 w-full text-sm text-ink"
              placeholder={hint}
              value={fields.authors}
              onChange={({ target }) => setFields({ ...fields, authors: target.value })}
            />
          ) : (
            <input
              id={`work-${name}`}
              className="field mt-0.5 block w-full text-sm text-ink"
              placeholder={hint}
              value={fields[name] ?? ""}
              onChange={({ target }) => setFields({ ...fields, [name]: target.value })}
            />
          )}
        </div>
      ))}
      <p className="col-span-3 flex items-baseline gap-4">
        <button type="submit" className="button-plain text-sm">
          Make it from these
        </button>
        <span role="alert">{problem}</span>
      </p>
    </form>
  );
}
