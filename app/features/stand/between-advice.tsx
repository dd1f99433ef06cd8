import { Press } from "~/components/press";
import { betweenPlays, currentBlock } from "~/core/session";
import { words } from "~/words/stand-words";
import type { StandRunner } from "./runner";
import type { StandView } from "./view";
import styles from "./bottom-fields.module.css";

interface BetweenAdviceProps {
  readonly view: StandView;
  readonly runner: StandRunner | undefined;
}

/** Advice between two plays: what was seen, one press to do it, one to go on as it is. */
export function BetweenAdvice({ view, runner }: BetweenAdviceProps) {
  const { advice, offer } = words.stand;
  const found = betweenPlays(view.state);
  if (!found) return null;
  const { hidden } = currentBlock(view.state).plan.ladder;
  return (
    <section className={styles.choice} aria-live="polite">
      <h2>{advice.title[found.kind]}</h2>
      <p>{advice.told(found, hidden)}</p>
      <div className={styles.buttons} data-offers>
        <Press kind="filled" onClick={() => void runner?.heedAdvice()}>
          {found.kind === "break" ? advice.rest : offer.lower(undefined)}
        </Press>
        <Press onClick={() => void runner?.declineAdvice()}>{offer.same}</Press>
      </div>
    </section>
  );
}
