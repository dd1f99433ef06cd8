import { Link } from "react-router";
import { Care } from "~/components/care";
import { pressLook } from "~/components/press";
import type { Ending } from "~/core/session";
import { words } from "~/words/stand-words";
import styles from "./stand.module.css";

/** The session is over: with the caution when it hurt, and with where the plays are now. */
export function EndedNote({ how, kept, to }: { how: Ending; kept: boolean; to: string }) {
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
    </main>
  );
}
