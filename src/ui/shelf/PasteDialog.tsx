import { useState } from "react";
import { Modal } from "../parts/Modal.tsx";

interface PasteDialogProps {
  open: boolean;
  onClose: () => void;
  /** The file name to keep it under, and the text. */
  onText: (name: string, text: string) => void;
}

/** Takes in text that is pasted or typed; it becomes a .txt document. */
export function PasteDialog({ open, onClose, onText }: PasteDialogProps) {
  const [text, setText] = useState("");
  const [title, setTitle] = useState("");
  const empty = text.trim() === "";
  return (
    <Modal
      open={open}
      onClose={onClose}
      title="Paste text"
      about="Paste or type it here. It is kept as a plain text document."
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (empty) return;
          onText(`${fileStem(title, text)}.txt`, text);
          setText("");
          setTitle("");
        }}
      >
        <label className="mt-4 block">
          Title
          <input
            className="field mt-1 block w-full"
            value={title}
            placeholder="Its first words, if left empty"
            onChange={(event) => setTitle(event.target.value)}
          />
        </label>
        <label className="mt-3 block">
          Text
          <textarea
            className="field mt-1 block w-full font-book text-base"
            rows={11}
            value={text}
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <div className="mt-5 flex gap-3">
          <button type="submit" className="button-main" disabled={empty}>
            Put on the desk
          </button>
          <button type="button" className="button-plain" onClick={onClose}>
            Cancel
          </button>
        </div>
      </form>
    </Modal>
  );
}

const STEM_WORDS = 6;

function fileStem(title: string, text: string): string {
  const source = title.trim() || text.trim().split(/\s+/).slice(0, STEM_WORDS).join(" ");
  return (
    source
      .replace(/[\\/:*?"<>|.]/g, "")
      .slice(0, 60)
      .trim() || "Pasted text"
  );
}
