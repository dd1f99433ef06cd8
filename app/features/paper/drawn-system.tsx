import type { PointerEvent } from "react";
import { moved, withEdge, withLine, type PaperSystem } from "~/core/score";
import { notationWords } from "~/words/notation";
import { Grip, type Across } from "./grip";
import styles from "./paper.module.css";

interface DrawnSystemProps {
  readonly system: PaperSystem;
  /** The positions of its first and last bars. */
  readonly from: number;
  readonly to: number;
  readonly chosen: boolean;
  /** Where on the page a pointer is. */
  readonly at: (event: PointerEvent) => Across;
  readonly onChoose: () => void;
  /** Changes it; without a system takes it out. */
  readonly onPut: (system: PaperSystem | undefined) => void;
}

const { pages: told } = notationWords;
const percent = (share: number) => `${share * 100}%`;

/** A system as it is drawn: moved as a whole, by its lines, or by its upper and lower edges. */
export function DrawnSystem(props: DrawnSystemProps) {
  const { system, from, to, chosen, at, onChoose, onPut } = props;
  const { left, top, right, bottom } = system;
  const edges = [left, ...system.lines, right];
  const grip = { at, onGrip: onChoose, onDelete: () => onPut(undefined) };
  const slider = (label: string, value: number) => ({
    role: "slider",
    tabIndex: chosen ? 0 : -1,
    "aria-label": label,
    "aria-valuenow": Math.round(value * 1000) / 10,
    "aria-valuemin": 0,
    "aria-valuemax": 100,
  });
  return (
    <div
      className={chosen ? `${styles.system} ${styles.chosen}` : styles.system}
      style={{
        left: percent(left),
        top: percent(top),
        width: percent(right - left),
        height: percent(bottom - top),
      }}
    >
      <Grip
        {...grip}
        role="button"
        tabIndex={0}
        aria-label={told.system(from, to)}
        aria-pressed={chosen}
        className={styles.body}
        onFocus={onChoose}
        onDraw={(_, [x, y]) => onPut(moved(system, x, y))}
        onStep={([x, y]) => onPut(moved(system, x, y))}
      />
      {edges.map((edge, index) => {
        const last = index === edges.length - 1;
        return (
          <Grip
            key={index}
            {...grip}
            {...slider(last ? told.lastLine(to) : told.line(from + index), edge)}
            className={styles.line}
            style={{ left: percent((edge - left) / (right - left)) }}
            onDraw={([x]) => onPut(withLine(system, index, x))}
            onStep={([x]) => onPut(withLine(system, index, edge + x))}
          >
            {!last && <span className={styles.number}>{from + index}</span>}
          </Grip>
        );
      })}
      {(["top", "bottom"] as const).map((edge) => (
        <Grip
          key={edge}
          {...grip}
          {...slider(told.edge[edge], system[edge])}
          aria-orientation="vertical"
          className={`${styles.edge} ${styles[edge]}`}
          onDraw={([, y]) => onPut(withEdge(system, edge, y))}
          onStep={([, y]) => onPut(withEdge(system, edge, system[edge] + y))}
        />
      ))}
    </div>
  );
}
