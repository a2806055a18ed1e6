import { type RefObject, useCallback, useRef, useState } from 'react';

interface OpenedDialog {
  readonly dialog: RefObject<HTMLDialogElement | null>;
  /** Whether what is in it has to be drawn. */
  readonly isOpen: boolean;
  open(): void;
  /** For the dialog's `onClose`, which comes with Escape too. */
  closed(): void;
}

/** A dialog above everything else, which is empty while it is closed. */
export function useDialog(): OpenedDialog {
  const dialog = useRef<HTMLDialogElement>(null);
  const [isOpen, setOpen] = useState(false);
  const open = useCallback(() => {
    setOpen(true);
    dialog.current?.showModal();
  }, []);
  const closed = useCallback(() => setOpen(false), []);
  return { dialog, isOpen, open, closed };
}
