import { useEffect, useRef, type ReactNode } from "react";
import { useKeys } from "~/components/use-keys";
import styles from "./sheets.module.css";

interface SheetProps {
  readonly open: boolean;
  readonly title: string;
  readonly children: ReactNode;
  /** What can be done, at the foot. */
  readonly actions: ReactNode;
  readonly onClose: () => void;
  /** What the pedal does: without, forward presses what has `data-onward`, and back closes. */
  readonly onForward?: (event: KeyboardEvent) => void;
  readonly onBack?: () => void;
}

/**
 * Something laid over the stand until it is closed: the browser's own dialog, which keeps the focus
 * and weighs nothing. What has `data-first` has the focus when it opens.
 */
export function Sheet(props: SheetProps) {
  const { open, title, children, actions, onClose } = props;
  const dialog = useRef<HTMLDialogElement>(null);
  useEffect(() => {
    const shown = dialog.current;
    if (!shown || shown.open === open) return;
    if (!open) return shown.close();
    shown.showModal();
    shown.querySelector<HTMLElement>("[data-first]")?.focus({ preventScroll: true });
  }, [open]);
  const press = () => {
    const onward = dialog.current?.querySelector<HTMLElement>("[data-onward]");
    if (onward) onward.click();
    else onClose();
  };
  const { onForward = press, onBack = onClose } = props;
  const pedal = { ArrowRight: onForward, PageDown: onForward, ArrowLeft: onBack, PageUp: onBack };
  useKeys(pedal, open);
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
