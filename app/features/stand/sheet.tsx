import { useEffect, useRef, type ReactNode } from "react";
import styles from "./sheets.module.css";

interface SheetProps {
  readonly open: boolean;
  readonly title: string;
  readonly children: ReactNode;
  /** What can be done, at the foot. */
  readonly actions: ReactNode;
  readonly onClose: () => void;
}

/**
 * Something laid over the stand until it is closed: the browser's own dialog, which keeps the focus
 * and weighs nothing. What has `data-first` has the focus when it opens.
 */
export function Sheet({ open, title, children, actions, onClose }: SheetProps) {
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const shown = dialog.current;
    if (!shown || shown.open === open) return;
    if (!open) return shown.close();
    shown.showModal();
    shown.querySelector<HTMLElement>("[data-first]")?.focus({ preventScroll: true });
  }, [open]);
  return (
    <dialog
      ref={dialog}
      className={styles.sheet}
      aria-label={title}
      onCancel={(event) => {
        event.preventDefault();
        onClose();
      }}
      // Beside the sheet: on the dialog itself, which its padding covers.
      onClick={(event) => {
        if (event.target === event.currentTarget) onClose();
      }}
    >
      {open && (
        <div className={styles.paper}>
          <h2>{title}</h2>
          {children}
          <div className={styles.actions}>{actions}</div>
        </div>
      )}
    </dialog>
  );
}
