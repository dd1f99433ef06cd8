import { useEffect, useState } from "react";
import { Press } from "~/components/press";
import { questionOf } from "~/core/transport";
import { isLastPart, partsOf, taskNow, type Part } from "~/core/session";
import { words } from "~/words/stand-words";
import type { AlongSources } from "./along-sources";
import { ListenFirst } from "./listen-first";
import { useStand } from "./stand-context";
import type { StandView } from "./view";
import styles from "./task-view.module.css";

interface TaskViewProps {
  /** What there is to hear of what the session plays. */
  readonly along: AlongSources;
  readonly alongAddress: (id: string) => string;
}

/** Seconds that a task has taken; it goes on while nothing happens on the page. */
function useTaskSeconds({ stand: state, events }: StandView): number {
  const [now, setNow] = useState<number | undefined>(undefined);
  useEffect(() => {
    const tick = () => setNow(Date.now());
    const timer = setInterval(tick, 1000);
    tick();
    return () => clearInterval(timer);
  }, []);
  const before = state.taskSeconds[state.part] ?? 0;
  if (events.length === 0 || now === undefined || state.lastAt === undefined) return before;
  return before + Math.max(0, now - state.lastAt) / 1000;
}

const nameOf = (view: StandView, part: Part): string =>
  part.block === null
    ? words.block[part.kind].name
    : view.stand.plan.blocks[part.block]!.pieceTitle;

/** A part without a click: what to do, how long, and one field to say that it is done. */
export function TaskView({ along, alongAddress }: TaskViewProps) {
  const { view, send, usable } = useStand();
  const { stand: state } = view;
  const task = taskNow(state)!;
  const seconds = useTaskSeconds(view);
  const left = Math.max(0, Math.ceil(task.minutes - seconds / 60));
  const next = partsOf(state.plan)[state.part + 1];
  const fresh = view.events.length === 0;
  const word = words.block[task.kind];
  const onward = next && !isLastPart(state) ? words.part.next(nameOf(view, next)) : words.part.last;
  return (
    <section className={styles.task} aria-live="polite" data-task={task.kind}>
      <h2>{word.name}</h2>
      <p className={styles.how}>{task.text || word.how}</p>
      {task.kind === "listening" && (
        <ListenFirst along={along} blocks={state.plan.blocks} addressOf={alongAddress} />
      )}
      <div className={styles.clock}>
        <span className={styles.bar} aria-hidden>
          <span style={{ width: `${Math.min(100, (100 * seconds) / (task.minutes * 60))}%` }} />
        </span>
        <span>{words.part.minutesLeft(left, task.minutes)}</span>
      </div>
      <Press
        kind="filled"
        size="large"
        disabled={!usable}
        onClick={() => send({ kind: "task-done" })}
      >
        {fresh ? words.part.begin : onward}
      </Press>
    </section>
  );
}

/** Enough of this part at any rung: on to the next one, or the end. */
export function NextPart() {
  const { view, send, usable } = useStand();
  const { stand: state } = view;
  const next = partsOf(state.plan)[state.part + 1];
  // Where it is over anyway, the offers lead on.
  const over = ["top", "left", "slow-end"].includes(questionOf(view) ?? "");
  if (over || taskNow(state) || state.endingWell !== undefined || view.events.length === 0)
    return null;
  return (
    <Press
      size="small"
      disabled={!usable}
      title={words.part.enough}
      onClick={() => send({ kind: "move-on" })}
    >
      {next ? words.part.skipTo(nameOf(view, next)) : words.part.finish}
    </Press>
  );
}
