import { Link } from "react-router";
import { Care } from "~/components/care";
import { Press, pressLook } from "~/components/press";
import type { Ending } from "~/core/session";
import { words } from "~/words/stand-words";
import styles from "./stand.module.css";

interface EndedNoteProps {
  readonly how: Ending;
  /** Something is kept on this device alone as yet. */
  readonly kept: boolean;
  /** The summary. */
  readonly to: string;
  /** It didn't hurt: the wrong field was touched. */
  readonly onSlip: () => void;
}

/** The session is over: with the caution when it hurt, and with where the plays are now. */
export function EndedNote({ how, kept, to, onSlip }: EndedNoteProps) {
  const { stand } = words;
  const pain = how === "pain";
  return (
    <main className={styles.ended}>
      <h1>{pain ? stand.painTitle : words.afterwardsTitle}</h1>
      <p className={styles.lead}>{pain ? stand.painLead : stand.ended}</p>
      {kept && <p role="status">{stand.endedKept}</p>}
      {pain && <Care open />}
      <Link to={to} className={pressLook({ kind: "filled", size: "large" })}>
        {pain ? stand.painDone : stand.toAfterwards}
      </Link>
      {pain && <Press onClick={onSlip}>{stand.slip}</Press>}
    </main>
  );
}
