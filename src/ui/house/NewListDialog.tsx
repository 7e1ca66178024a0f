import { useState } from "react";
import type { OwnList } from "../../core/house/style.ts";
import { Modal } from "../parts/Modal.tsx";

interface NewListDialogProps {
  open: boolean;
  onClose: () => void;
  onMade: (list: OwnList) => void;
}

/** Asks for the name of a new subject list. */
export function NewListDialog({ open, onClose, onMade }: NewListDialogProps) {
  const [name, setName] = useState("");
  return (
    <Modal
      open={open}
      onClose={onClose}
      title="New subject list"
      about="Its words count for the documents it is switched on for, on the desk."
    >
      <form
        className="mt-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === "") return;
          onMade({ id: `own-${crypto.randomUUID?.() ?? String(Date.now())}`, name: name.trim() });
          setName("");
          onClose();
        }}
      >
        <label className="block">
          Name
          <input
            className="field mt-1 block w-full"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <div className="mt-5 flex gap-4">
          <button type="submit" className="button-main" disabled={name.trim() === ""}>
            Make the list
          </button>
          <button type="button" className="button-plain" onClick={onClose}>
            Close
          </button>
        </div>
      </form>
    </Modal>
  );
}
