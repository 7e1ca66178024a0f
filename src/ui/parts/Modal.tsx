import { Dialog } from "radix-ui";
import type { ReactNode } from "react";

interface ModalProps {
  open: boolean;
  onClose: () => void;
  title: string;
  /** One sentence under the title. */
  about?: string;
  /** Room for two columns. */
  isWide?: boolean;
  children: ReactNode;
}

/** A dialog over the page; Escape and a press outside close it. */
export function Modal({ open, onClose, title, about, isWide = false, children }: ModalProps) {
  return (
    <Dialog.Root open={open} onOpenChange={(next) => !next && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="dialog-veil" />
        <Dialog.Content
          className={isWide ? "dialog dialog-wide" : "dialog"}
          {...(about ? {} : { "aria-describedby": undefined })}
        >
          <Dialog.Title className="font-book text-xl font-semibold">{title}</Dialog.Title>
          {about ? (
            <Dialog.Description className="mt-1 text-soft">{about}</Dialog.Description>
          ) : null}
          {children}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
