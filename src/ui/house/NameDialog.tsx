import { useState } from "react";
import { Modal } from "../parts/Modal.tsx";

interface Props {
  open: boolean;
  title: string;
  about: string;
  /** What the button says. */
  make: string;
  onClose: () => void;
  onMade: (name: string) => void;
}

/** Asks for the name of something new. */
export function NameDialog({ open, title, about, make, onClose, onMade }: Props) {
  const [name, setName] = useState("");
  return (
    <Modal open={open} onClose={onClose} title={title} about={about}>
      <form
        className="mt-4"
        onSubmit={(event) => {
          event.preventDefault();
          if (name.trim() === "") return;
          onMade(name.trim());
          setName("");
          onClose();
        }}
      >
        <label className="block">
          Name
          <input
            className="field mt-1 block w-full"
            value={name}
            maxLength={80}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <div className="mt-5 flex gap-4">
          <button type="submit" className="button-main" disabled={name.trim() === ""}>
            {make}
          </button>
          <button type="button" className="button-plain" onClick={onClose}>
            Close
          </button>
        </div>
      </form>
    </Modal>
  );
}
