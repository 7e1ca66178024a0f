import { useMemo, useState } from "react";
import { indexedWorkSchema } from "../../../../core/citations/outside/asking.ts";
import { putInList } from "../../../../core/citations/put-in-list.ts";
import { readEntry } from "../../../../core/citations/read-entry.ts";
import type { CitationStyle, StyleId } from "../../../../core/citations/styles/style.ts";
import { STYLES, styleOf } from "../../../../core/citations/styles/styles.ts";
import { type Work, workOf } from "../../../../core/citations/work.ts";
import {
  type WrittenReference,
  writeCitation,
  writeReference,
} from "../../../../core/citations/write-reference.ts";
import type { CitationTable } from "../../../../core/gathered/citations.ts";
import { saveText } from "../../../parts/save-file.ts";
import type { BoardDeciding } from "../board.ts";
import { TypedWork } from "./TypedWork.tsx";
import { WrittenText } from "./WrittenText.tsx";

interface OtherFormsProps {
  table: CitationTable;
  text: string;
  deciding: BoardDeciding;
  /** Another tab does the writing. */
  reading: boolean;
}

/** The list in another style or as a file, and references made from elsewhere. */
export function OtherForms({ table, text, deciding, reading }: OtherFormsProps) {
  const { say } = deciding;
  const [id, setId] = useState<StyleId>(table.style);
  const style = styleOf(id);
  const works = useMemo(() => worksOf(table, text), [table, text]);
  const written = useMemo(
    () => works.map((work, at) => writeReference(work, style, at + 1)),
    [works, style],
  );
  const copy = (all: readonly WrittenReference[]) => {
    void navigator.clipboard.writeText(all.map((one) => one.text).join("\n"));
    say(all.length === 1 ? "The reference is copied." : "The list is copied.");
  };
  const put = ({ text: reference }: WrittenReference) => {
    const list = table.entries.filter((entry) => entry.list === 0);
    const found = putInList(reference, text, list, style);
    if (!found) return;
    deciding.putIn(found.edit, found.beside);
    say("The reference stands in the list, as a line beside its neighbour. U takes it back.");
  };
  return (
    <div className="min-h-0 grow overflow-auto px-8 py-4" data-testid="other-forms">
      <label className="flex items-baseline gap-3">
        In the style
        <select
          className="field w-72"
          value={id}
          onChange={({ target }) => setId(target.value as StyleId)}
        >
          {STYLES.map((one) => (
            <option key={one.id} value={one.id}>
              {one.name}
            </option>
          ))}
        </select>
      </label>
      <FromElsewhere
        style={id}
        acts={{
          copy: (one) => copy([one]),
          copyCitation: (cited) => {
            void navigator.clipboard.writeText(cited);
            say("The citation is copied.");
          },
          putInList: reading || table.entries.length === 0 ? null : put,
          cite: reading ? null : deciding.cite,
        }}
      />
      <h3 className="mt-6 flex flex-wrap items-baseline gap-4 border-b border-rule pb-1.5 font-semibold">
        The whole list
        <button type="button" className="button-text font-normal" onClick={() => copy(written)}>
          Copy
        </button>
        <Files works={works} />
      </h3>
      <ol>
        {written.map((one, at) => (
          <li key={table.entries[at]?.reference ?? at} className="border-b border-hair py-2">
            <WrittenText written={one} />
            <Lacking written={one} />
          </li>
        ))}
      </ol>
    </div>
  );
}

/** The works of a list, the names of a dash resolved. */
function worksOf(table: CitationTable, text: string): Work[] {
  const style = styleOf(table.style);
  let before: Work | null = null;
  return table.entries.map(({ from, to, italics }) => {
    const own = italics.map((one) => ({ from: one.from - from, to: one.to - from }));
    const entry = readEntry(text.slice(from, to), style, own);
    const read = workOf(entry, entry.authors?.names ?? []);
    const work: Work = entry.repeated && before ? { ...read, authors: before.authors } : read;
    before = work;
    return work;
  });
}

function Lacking({ written }: { written: WrittenReference }) {
  if (written.lacking.length === 0) return null;
  return <p className="text-[13px] text-pen">lacks: {written.lacking.join(", ")}</p>;
}

/** The list as files that reference managers read. */
function Files({ works }: { works: readonly Work[] }) {
  const save = async (form: "bib" | "ris" | "json") => {
    const { writeBibtex, writeCslJson, writeRis } = await import(
      "../../../../core/citations/records/write-records.ts"
    );
    const write = { bib: writeBibtex, ris: writeRis, json: writeCslJson }[form];
    saveText(write(works), `references.${form}`);
  };
  return (
    <>
      {(["bib", "ris", "json"] as const).map((form) => (
        <button
          key={form}
          type="button"
          className="button-text font-normal"
          onClick={() => void save(form)}
        >
          {{ bib: "BibTeX", ris: "RIS", json: "CSL-JSON" }[form]}
        </button>
      ))}
    </>
  );
}

/** What can be done with a reference that was made. */
interface MadeActs {
  copy(written: WrittenReference): void;
  copyCitation(cited: string): void;
  /** Null where there is no list to put it in, or another tab writes. */
  putInList: ((written: WrittenReference) => void) | null;
  cite: ((cited: string) => void) | null;
}

interface FromElsewhereProps {
  style: StyleId;
  acts: MadeActs;
}

/** References typed in, from a DOI, or from what a reference manager wrote. */
function FromElsewhere({ style: id, acts }: FromElsewhereProps) {
  const [source, setSource] = useState("");
  const [works, setWorks] = useState<readonly Work[]>([]);
  const [problem, setProblem] = useState("");
  const [typing, setTyping] = useState(false);
  const make = async () => {
    setProblem("");
    try {
      setWorks(await worksFrom(source.trim()));
    } catch (error) {
      setWorks([]);
      setProblem(error instanceof Error ? error.message : String(error));
    }
  };
  return (
    <section className="mt-4">
      <label className="block">
        A DOI, or BibTeX, RIS or CSL-JSON
        <textarea
          className="field mt-1 block h-20 w-full font-mono text-[13px]"
          value={source}
          onChange={({ target }) => setSource(target.value)}
        />
      </label>
      <p className="mt-2 flex items-baseline gap-4 text-[13px] text-soft">
        <button
          type="button"
          className="button-main text-sm"
          disabled={source.trim() === ""}
          onClick={() => void make()}
        >
          Make the reference
        </button>
        <label className="button-text cursor-pointer">
          Open a file…
          <input
            type="file"
            accept=".bib,.ris,.json,.txt"
            className="sr-only"
            onChange={({ target }) => void target.files?.[0]?.text().then(setSource)}
          />
        </label>
        <button type="button" className="button-text" onClick={() => setTyping(!typing)}>
          {typing ? "Close the form" : "Type it into a form…"}
        </button>
        <span>Of a DOI nothing but itself is sent to the index.</span>
      </p>
      {typing ? <TypedWork onMade={(work) => setWorks([work])} /> : null}
      {problem ? (
        <p role="alert" className="mt-2">
          {problem}
        </p>
      ) : null}
      <ol className="mt-2">
        {works.map((work, at) => (
          <Made
            key={JSON.stringify(work)}
            work={work}
            style={styleOf(id)}
            number={at + 1}
            acts={acts}
          />
        ))}
      </ol>
    </section>
  );
}

interface MadeProps {
  work: Work;
  style: CitationStyle;
  number: number;
  acts: MadeActs;
}

/** A reference that was made, its citation, and where they can go. */
function Made({ work, style, number, acts }: MadeProps) {
  const written = writeReference(work, style, number);
  const cited = writeCitation(work, style, number);
  const { putInList: put, cite } = acts;
  return (
    <li className="border-b border-hair py-2" data-testid="made">
      <WrittenText written={written} />
      <Lacking written={written} />
      <p className="flex flex-wrap gap-4 text-[13px] text-soft">
        <span>
          in the text: <span className="font-book text-base text-ink">{cited}</span>
        </span>
        <button type="button" className="button-text" onClick={() => acts.copy(written)}>
          Copy the reference
        </button>
        <button type="button" className="button-text" onClick={() => acts.copyCitation(cited)}>
          Copy the citation
        </button>
        {put ? (
          <button type="button" className="button-text" onClick={() => put(written)}>
            Put the reference in the list
          </button>
        ) : null}
        {cite ? (
          <button type="button" className="button-text" onClick={() => cite(cited)}>
            Put the citation where you left the text
          </button>
        ) : null}
      </p>
    </li>
  );
}

const DOI = /^(?:https?:\/\/(?:dx\.)?doi\.org\/|doi:\s?)?(10\.\d{4,9}\/\S+)$/iu;

/** The works of a DOI or of records. Throws with a sentence. */
async function worksFrom(source: string): Promise<readonly Work[]> {
  const doi = DOI.exec(source)?.[1];
  if (!doi) {
    const { readRecords } = await import("../../../../core/citations/records/read-records.ts");
    return readRecords(source);
  }
  const response = await fetch(
    `/api/doi/${doi.split("/").map(encodeURIComponent).join("/")}`,
  ).catch(() => null);
  if (!response) throw new Error("The index can’t be reached from here just now.");
  if (response.status === 404) throw new Error("The index has no work with this DOI.");
  if (!response.ok) throw new Error("The index could not answer; ask again later.");
  const { authors, year, ...found } = indexedWorkSchema.parse(await response.json());
  const type = found.container ? ("article" as const) : ("book" as const);
  return [{ ...found, type, authors, year: String(year) } as Work];
}
