import Button from "@mui/material/Button";
import Dialog from "@mui/material/Dialog";
import DialogActions from "@mui/material/DialogActions";
import DialogContent from "@mui/material/DialogContent";
import DialogTitle from "@mui/material/DialogTitle";
import { LogOut } from "lucide-react";
import { useRef, useState, type FormEvent } from "react";
import { Form, useSubmit } from "react-router";
import type { Waiting } from "~/features/keeping/send-waiting";
import { kept } from "~/components/kept";
import { TYPED_KEY } from "~/features/lesson/typed-key";
import { words } from "~/words";
import styles from "./desk-header.module.css";

interface SignOutProps {
  readonly name: string;
  /** Sends what lies only on this device, and tells what is left. */
  readonly onSend: () => Promise<Waiting>;
}

const TITLE = "leaving";

/**
 * Signing out on a device that others use too: what was played is sent first, then the stand's page
 * and its plays are taken away from here. What can't be sent is asked about.
 */
export function SignOut({ name, onSend }: SignOutProps) {
  const form = useRef<HTMLFormElement>(null);
  const submit = useSubmit();
  const [left, setLeft] = useState<Waiting | undefined>(undefined);
  const [busy, setBusy] = useState(false);
  const { leaving } = words;

  const leave = async ({ others, otherTakes }: Pick<Waiting, "others" | "otherTakes">) => {
    const { forgetAllBut } = await import("~/features/keeping/event-store");
    await forgetAllBut(others);
    const { forgetTakes } = await import("~/features/keeping/send-takes");
    await forgetTakes(otherTakes);
    // A lesson that is being typed waits on the server.
    kept.removeAll(TYPED_KEY);
    await submit(form.current);
  };
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    setBusy(true);
    void onSend()
      .then((waiting) => (waiting.events + waiting.takes > 0 ? setLeft(waiting) : leave(waiting)))
      .finally(() => setBusy(false));
  };
  return (
    <>
      <Form ref={form} method="post" action="/sign-out" className={styles.out} onSubmit={onSubmit}>
        <Button
          type="submit"
          size="small"
          color="inherit"
          disabled={busy}
          endIcon={<LogOut size={18} />}
          aria-label={words.desk.signOut(name)}
        >
          <span className={styles.who}>{name}</span>
        </Button>
      </Form>
      <Dialog open={left !== undefined} onClose={() => setLeft(undefined)} aria-labelledby={TITLE}>
        <DialogTitle id={TITLE}>{leaving.title}</DialogTitle>
        <DialogContent>
          <p>{leaving.sentence(left?.plays ?? 0, left?.takes ?? 0)}</p>
        </DialogContent>
        <DialogActions>
          <Button onClick={() => left && void leave(left)} color="error">
            {leaving.leave}
          </Button>
          <Button variant="contained" autoFocus onClick={() => setLeft(undefined)}>
            {leaving.stay}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
