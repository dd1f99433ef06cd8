import { Press } from "~/components/press";
import {
  barsWhereItFailed,
  currentBlock,
  firmingOffered,
  offersForTension,
  tempoBelow,
} from "~/core/session";
import { REST_SECONDS } from "~/core/transport";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import styles from "./bottom-fields.module.css";

/** After several flawed plays: lower, smaller, a rest, or leave it. Never just loop. */
export function AnotherWay() {
  const { view, send } = useStand();
  const { offer } = words.stand;
  const { plan, state: block } = currentBlock(view.stand);
  const below = tempoBelow(plan, block);
  const tense = offersForTension(view.stand);
  // Cramp means too fast: then smaller is no answer.
  const narrow = tense ? undefined : barsWhereItFailed(view.stand);
  const firm = firmingOffered(view.stand);
  const isSlower = below !== undefined && below < block.tempo;
  const told = plan.ladder.hidden || !isSlower ? undefined : below;
  return (
    <section className={styles.choice} aria-live="polite">
      <h2>{tense ? offer.tense : offer.title(block.flawedOnRung)}</h2>
      {tense && <p>{offer.tenseCare}</p>}
      <div className={styles.buttons} data-offers>
        {below !== undefined && (
          <Press kind="filled" onClick={() => send({ kind: "lower" })}>
            {offer.lower(told)}
          </Press>
        )}
        {narrow && (
          <Press
            kind="filled"
            onClick={() =>
              send({ kind: "narrow", range: { fromBar: narrow.fromBar, toBar: narrow.toBar } })
            }
          >
            {offer.smaller(words.bars(narrow.fromBar, narrow.toBar), narrow.enough)}
          </Press>
        )}
        {firm && (
          <Press kind="outlined" onClick={() => send({ kind: "firm", offered: firm })}>
            {offer.firm}
          </Press>
        )}
        <Press kind="outlined" onClick={() => send({ kind: "rest", seconds: REST_SECONDS })}>
          {offer.rest}
        </Press>
        {tense && (
          <Press kind="outlined" tone="madder" onClick={() => send({ kind: "hurts" })}>
            {offer.hurts}
          </Press>
        )}
        <Press kind="outlined" onClick={() => send({ kind: "move-on" })}>
          {offer.leave}
        </Press>
        <Press onClick={() => send({ kind: "decline" })}>{offer.same}</Press>
      </div>
    </section>
  );
}
