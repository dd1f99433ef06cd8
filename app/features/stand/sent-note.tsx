import { useSyncExternalStore } from "react";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import styles from "./stand-top.module.css";

const nothing = () => () => undefined;
const atRest = () => false;

/** Where what was played is by now. "All kept" is said of nothing that is still being written. */
export function SentNote() {
  const { view, desk } = useStand();
  const writing = useSyncExternalStore(
    desk?.writing.subscribe ?? nothing,
    desk?.writing.now ?? atRest,
    atRest,
  );
  const sending = writing && view.sending === "sent" ? "sending" : view.sending;
  // That all goes well is shown and not spoken: it would talk into every play.
  const goesWell = view.keeps && (sending === "sent" || sending === "sending");
  return (
    <p
      className={styles.sending}
      role={goesWell ? undefined : "status"}
      data-sending={view.keeps ? sending : "not-kept"}
    >
      {words.stand[view.keeps ? "sending" : "notKept"][sending]}{" "}
      {sending === "signed-out" && (
        <a href="/sign-in" target="_blank" rel="noreferrer">
          {words.stand.signIn}
        </a>
      )}
    </p>
  );
}
