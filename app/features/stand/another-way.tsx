import { Press } from "~/components/press";
import { barsWhereItFailed, currentBlock, firmingOffered, offersForTension } from "~/core/session";
import { rungBefore } from "~/core/ladder";
import { words } from "~/words/stand-words";
import type { StandRunner } from "./runner";
import type { StandView } from "./view";
import styles from "./bottom-fields.module.css";

interface AnotherWayProps {
  readonly view: StandView;
  readonly runner: StandRunner | undefined;
  readonly restSeconds: number;
}

/** After several flawed plays: lower, smaller, a rest, or leave it. Never just loop. */
export function AnotherWay({ view, runner, restSeconds }: AnotherWayProps) {
  const { offer } = words.stand;
  const { plan, state: block } = currentBlock(view.state);
  const below = rungBefore(block.rungs, block.rung, block.tempo, 1);
  const canLower = below !== undefined && below.index !== block.rung;
  const tense = offersForTension(view.state);
  // Cramp means too fast: then smaller is no answer.
  const narrow = tense ? undefined : barsWhereItFailed(view.state);
  const firm = firmingOffered(view.state);
  const slower = below !== undefined && below.tempo < block.tempo;
  const told = plan.ladder.hidden || !slower ? undefined : below.tempo;
  return (
    <section className={styles.choice} aria-live="polite">
      <h2>{tense ? offer.tense : offer.title(block.flawedOnRung)}</h2>
      {tense && <p>{offer.tenseCare}</p>}
      <div className={styles.buttons} data-offers>
        {canLower && (
          <Press kind="filled" onClick={() => void runner?.lower()}>
            {offer.lower(told)}
          </Press>
        )}
        {narrow && (
          <Press
            kind="filled"
            onClick={() => void runner?.narrow({ fromBar: narrow.fromBar, toBar: narrow.toBar })}
          >
            {offer.smaller(words.bars(narrow.fromBar, narrow.toBar), narrow.enough)}
          </Press>
        )}
        {firm && (
          <Press kind="outlined" onClick={() => void runner?.firm(firm)}>
            {offer.firm}
          </Press>
        )}
        <Press kind="outlined" onClick={() => void runner?.takeRest(restSeconds)}>
          {offer.rest}
        </Press>
        {tense && (
          <Press kind="outlined" tone="madder" onClick={() => void runner?.hurts()}>
            {offer.hurts}
          </Press>
        )}
        <Press kind="outlined" onClick={() => void runner?.moveOn()}>
          {offer.leave}
        </Press>
        <Press onClick={() => void runner?.declineOffer()}>{offer.same}</Press>
      </div>
    </section>
  );
}
