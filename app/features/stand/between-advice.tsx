import { Press } from "~/components/press";
import { betweenPlays, currentBlock } from "~/core/session";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import styles from "./bottom-fields.module.css";

/** Advice between two plays: what was seen, one press to do it, one to go on as it is. */
export function BetweenAdvice() {
  const { view, send } = useStand();
  const { advice, offer } = words.stand;
  const found = betweenPlays(view.stand);
  if (!found) return null;
  const { hidden } = currentBlock(view.stand).plan.ladder;
  return (
    <section className={styles.choice} aria-live="polite">
      <h2>{advice.title[found.kind]}</h2>
      <p>{advice.told(found, hidden)}</p>
      <div className={styles.buttons} data-offers>
        <Press kind="filled" onClick={() => send({ kind: "heed" })}>
          {found.kind === "break" ? advice.rest : offer.lower(undefined)}
        </Press>
        <Press onClick={() => send({ kind: "decline-advice" })}>{offer.same}</Press>
      </div>
    </section>
  );
}
