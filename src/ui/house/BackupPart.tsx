import { useRef, useState } from "react";
import { FormatProblem } from "../../core/formats/problem.ts";
import { makeBackup, type Restored, restoreBackup } from "../../store/backup.ts";
import { NotKept } from "../../store/failure.ts";
import { saveFile } from "../parts/save-file.ts";
import { count } from "../parts/words.ts";

/** Everything kept in this browser as one file, and back from it. */
export function BackupPart({ onRestored }: { onRestored: () => void }) {
  const [busy, setBusy] = useState("");
  const [said, setSaid] = useState("");
  const picker = useRef<HTMLInputElement>(null);
  const run = async (what: string, work: () => Promise<string>) => {
    setBusy(what);
    setSaid("");
    try {
      setSaid(await work());
    } catch (error) {
      console.error(error);
      setSaid(sentenceOf(error));
    } finally {
      setBusy("");
    }
  };
  const backUp = () =>
    run("Packing…", async () => {
      const madeAt = new Date().toISOString();
      const { bytes, documents } = await makeBackup(madeAt);
      const name = `dry-run-backup-${madeAt.slice(0, 10)}.zip`;
      saveFile(bytes, name);
      return `${name} holds ${count(documents, "document")} with every decision, the house styles, sources and preferences.`;
    });
  const restore = (files: FileList | null) => {
    const [file] = files ?? [];
    if (!file) return;
    void run("Taking in…", async () => {
      const restored = await restoreBackup(new Uint8Array(await file.arrayBuffer()));
      onRestored();
      return restoredLine(restored);
    });
  };
  return (
    <>
      <h1 className="font-book text-[28px] leading-tight font-semibold">Backup</h1>
      <p className="mt-1 max-w-[66ch] text-soft">
        Documents, decisions and house style are kept in this browser alone. A backup is the way to
        another computer, and back after the browser’s storage was cleared.
      </p>
      <section className="mt-6">
        <h2 className="font-semibold">Back up</h2>
        <p className="mt-1 max-w-[66ch] text-soft">
          One .zip with each document as it came and its ledger, every house style, the sets, your
          sources and your preferences.
        </p>
        <button
          type="button"
          className="button-main mt-3"
          disabled={busy !== ""}
          onClick={() => void backUp()}
        >
          Back up everything
        </button>
      </section>
      <section className="mt-8">
        <h2 className="font-semibold">Restore</h2>
        <p className="mt-1 max-w-[66ch] text-soft">
          What is missing here is added. Nothing is replaced: a document that differs here stays as
          it is, and where two house styles contradict each other, the one here stands.
        </p>
        <input
          ref={picker}
          type="file"
          hidden
          accept=".zip"
          data-testid="backup-picker"
          onChange={(event) => {
            restore(event.target.files);
            event.target.value = "";
          }}
        />
        <button
          type="button"
          className="button-plain mt-3"
          disabled={busy !== ""}
          onClick={() => picker.current?.click()}
        >
          Restore from a backup…
        </button>
      </section>
      <p role="status" className="mt-6 max-w-[66ch] font-semibold">
        {busy || said}
      </p>
    </>
  );
}

function restoredLine({ added, continued, known, left }: Restored): string {
  const parts = [
    added > 0 ? `${count(added, "document")} added` : "",
    continued > 0 ? `${count(continued, "document")} continued` : "",
    known > 0 ? `${count(known, "document")} here already` : "",
  ].filter(Boolean);
  const stays =
    left.length > 0 ? ` Left as they are here, since they differ: ${left.join(", ")}.` : "";
  return `${parts.join(", ") || "No documents"}; the house style is merged.${stays}`;
}

function sentenceOf(error: unknown): string {
  if (error instanceof FormatProblem || error instanceof NotKept) return error.sentence;
  return "This backup could not be taken in. Nothing here has changed.";
}
