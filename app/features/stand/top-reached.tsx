import Button from "@mui/material/Button";
import { currentBlock } from "~/core/session";
import { words } from "~/words";
import type { StandRunner } from "./runner";
import type { StandView } from "./view";
import styles from "./bottom-fields.module.css";

/** The gate of the top rung has passed: on to the next passage, or end well. */
export function TopReached(props: { view: StandView; runner: StandRunner | undefined }) {
  const { runner } = props;
  const { state } = props.view;
  const { top } = words.stand;
  const { state: block } = currentBlock(state);
  const next = state.plan.blocks[state.blockIndex + 1];
  return (
    <section className={`${styles.choice} ${styles.reached}`} aria-live="polite">
      <h2>{top.title}</h2>
      <p>{top.sub(block.tempo)}</p>
      <div className={styles.buttons}>
        {next ? (
          <Button variant="contained" onClick={() => void runner?.moveOn()}>
            {top.next(next.pieceTitle)}
          </Button>
        ) : (
          <Button variant="contained" onClick={() => void runner?.endWell()}>
            {top.endWell}
          </Button>
        )}
        <Button variant="outlined" onClick={() => void runner?.again()}>
          {top.again}
        </Button>
        {!next && <Button onClick={() => void runner?.end("finished")}>{top.finish}</Button>}
      </div>
    </section>
  );
}
