import { Press } from "~/components/press";
import { isByClock } from "~/core/gate";
import { natureOf, spanOf } from "~/core/ladder";
import { currentBlock, partsOf, rungNow } from "~/core/session";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import styles from "./bottom-fields.module.css";

interface OnwardProps {
  readonly again: string;
}

/** The gate of the last rung has passed: on to the next passage, or end well. */
export function TopReached() {
  const { view } = useStand();
  const { top } = words.stand;
  const { plan, state: block } = currentBlock(view.stand);
  const phase = plan.ladder.phases[rungNow(block).phase]!;
  const { target } = spanOf(plan.ladder, phase);
  const { tempo, firms } = natureOf(phase.school.name);
  // A ladder by the date, or one with a cap, ends its day below the target.
  const short = block.tempo < target && !rungNow(block).cycle;
  const reached = short ? top.today : top.title;
  const through = tempo === "centres" ? top.span : reached;
  const clock = isByClock(rungNow(block).gate);
  const told = clock && tempo !== "centres" ? top.clock : through;
  const title = block.firming || firms ? top.firm : told;
  return (
    <section className={`${styles.choice} ${styles.reached}`} aria-live="polite">
      <h2>{title}</h2>
      <p>{clock ? top.clockSub : top.sub(block.tempo)}</p>
      <Onward again={top.again} />
    </section>
  );
}

/** So many flawed plays that the ladder leaves it for today. */
export function LeftForToday() {
  const { left, offer } = words.stand;
  return (
    <section className={styles.choice} aria-live="polite">
      <h2>{left.title}</h2>
      <p>{left.sub}</p>
      <Onward again={offer.same} />
    </section>
  );
}

/** The last passage is being left after a flawed play. */
export function SlowEnd() {
  const { send } = useStand();
  const { slowEnd, offer } = words.stand;
  return (
    <section className={styles.choice} aria-live="polite">
      <h2>{slowEnd.title}</h2>
      <p>{slowEnd.sub}</p>
      <div className={styles.buttons} data-offers>
        <Press kind="filled" onClick={() => send({ kind: "end-well" })}>
          {slowEnd.slow}
        </Press>
        <Press kind="outlined" onClick={() => send({ kind: "move-on" })}>
          {slowEnd.leave}
        </Press>
        <Press onClick={() => send({ kind: "stay" })}>{offer.same}</Press>
      </div>
    </section>
  );
}

function Onward({ again }: OnwardProps) {
  const { view, send } = useStand();
  const { top } = words.stand;
  const { stand: state } = view;
  const next = partsOf(state.plan)[state.part + 1];
  return (
    <div className={styles.buttons} data-offers>
      {next ? (
        <Press kind="filled" onClick={() => send({ kind: "move-on" })}>
          {top.next(
            next.block === null
              ? words.block[next.kind].name
              : state.plan.blocks[next.block]!.pieceTitle,
          )}
        </Press>
      ) : (
        <Press kind="filled" onClick={() => send({ kind: "end-well" })}>
          {top.endWell}
        </Press>
      )}
      <Press kind="outlined" onClick={() => send({ kind: "again" })}>
        {again}
      </Press>
      {!next && <Press onClick={() => send({ kind: "end", how: "finished" })}>{top.finish}</Press>}
    </div>
  );
}
