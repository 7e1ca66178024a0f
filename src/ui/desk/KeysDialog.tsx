import { Key } from "../parts/Key.tsx";
import { Modal } from "../parts/Modal.tsx";
import { KEYS } from "./commands.ts";

/** All keys of the walk. */
export function KeysDialog({ open, onClose }: { open: boolean; onClose: () => void }) {
  return (
    <Modal
      open={open}
      onClose={onClose}
      title="Keys"
      about="They work whenever the caret is not in the text."
    >
      <dl className="mt-4 grid grid-cols-[auto_1fr] gap-x-5 gap-y-2">
        {KEYS.map(({ keys, label }) => (
          <div key={label} className="contents">
            <dt className="flex gap-1">
              {keys.map((key) => (
                <Key key={key}>{key}</Key>
              ))}
            </dt>
            <dd>{label}</dd>
          </div>
        ))}
      </dl>
      <button type="button" className="button-plain mt-6" onClick={onClose}>
        Close
      </button>
    </Modal>
  );
}
