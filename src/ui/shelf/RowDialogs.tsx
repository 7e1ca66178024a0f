import { useEffect, useState } from "react";
import type { ShelfRecord } from "../../store/shelf.ts";
import { Modal } from "../parts/Modal.tsx";

interface RenameDialogProps {
  /** The document to rename; null keeps the dialog closed. */
  record: ShelfRecord | null;
  onClose: () => void;
  onRename: (record: ShelfRecord, title: string) => void;
}

/** Gives a document another title; its file name stays. */
export function RenameDialog({ record, onClose, onRename }: RenameDialogProps) {
  const [title, setTitle] = useState("");
  useEffect(() => setTitle(record?.title ?? ""), [record]);
  return (
    <Modal
      open={record !== null}
      onClose={onClose}
      title="Rename"
      about="The file name stays as it is."
    >
      <form
        onSubmit={(event) => {
          event.preventDefault();
          if (record && title.trim()) onRename(record, title.trim());
        }}
      >
        <label className="mt-4 block">
          Title
          <input
            className="field mt-1 block w-full"
            value={title}
            onChange={(event) => setTitle(event.target.value)}
          />
        </label>
        <div className="mt-5 flex gap-3">
          <button type="submit" className="button-main" disabled={title.trim() === ""}>
            Rename
          </button>
          <button type="button" className="button-plain" onClick={onClose}>
            Cancel
          </button>
        </div>
      </form>
    </Modal>
  );
}

interface DeleteDialogProps {
  record: ShelfRecord | null;
  onClose: () => void;
  onDelete: (record: ShelfRecord) => void;
}

/** Asks before a document goes for good. */
export function DeleteDialog({ record, onClose, onDelete }: DeleteDialogProps) {
  return (
    <Modal
      open={record !== null}
      onClose={onClose}
      title="Delete for good?"
      about={`“${record?.title ?? ""}”, every decision on it and the copy kept here are removed. The file you opened it from stays where it is.`}
    >
      <div className="mt-5 flex gap-3">
        <button type="button" className="button-main" onClick={onClose}>
          Keep it
        </button>
        <button type="button" className="button-plain" onClick={() => record && onDelete(record)}>
          Delete
        </button>
      </div>
    </Modal>
  );
}
