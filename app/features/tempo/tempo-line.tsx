import { useRef, type KeyboardEvent, type PointerEvent } from "react";
import { TempoText } from "~/components/beat-unit";
import { tempoLines, type PieceTempi, type ResolvedRegion } from "~/core/score";
import { TEMPO_LIMITS } from "~/core/units";
import { tempiWords } from "~/words/tempi";
import { nameOf } from "./names";
import styles from "./tempo.module.css";

interface TempoLineProps {
  readonly course: PieceTempi;
  readonly selected: string | undefined;
  readonly onSelect?: ((id: string) => void) | undefined;
  /** Moves the tempo of a region that has a number of its own; undefined where nothing can be. */
  readonly onMove?: ((id: string, bpm: number) => void) | undefined;
}

const WIDTH = 1000;
const HEIGHT = 150;
const EDGE = 34;
/** A line of one tempo has some room around it. */
const ROOM = 1.2;
const STEPS: Readonly<Record<string, number>> = {
  ArrowUp: 1,
  ArrowRight: 1,
  ArrowDown: -1,
  ArrowLeft: -1,
  PageUp: 5,
  PageDown: -5,
};

function scaleOf({ regions }: PieceTempi, lines: ReturnType<typeof tempoLines>) {
  const all = [
    ...lines.flat().map(({ bpm }) => bpm),
    ...regions.flatMap(({ target }) => (target ? [target.low, target.high] : [])),
  ];
  const lowest = Math.log(Math.min(...all) / ROOM);
  const highest = Math.log(Math.max(...all) * ROOM);
  const inside = HEIGHT - 2 * EDGE;
  return {
    y: (bpm: number) => HEIGHT - EDGE - ((Math.log(bpm) - lowest) / (highest - lowest)) * inside,
    /** The tempo that lies so many px higher. */
    higher: (bpm: number, px: number) => bpm * Math.exp((px / inside) * (highest - lowest)),
  };
}

/** The tempo over a piece, bar by bar: each region at its height, with what bends it. */
export function TempoLine({ course, selected, onSelect, onMove }: TempoLineProps) {
  const lines = tempoLines(course);
  const { y, higher } = scaleOf(course, lines);
  const x = (bar: number) => (bar / course.bars) * WIDTH;
  const marks = course.changes.filter(({ kind, bar }) => kind !== "gradual" && bar <= course.bars);
  return (
    <div className={styles.line} role="group" aria-label={tempiWords.line}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} preserveAspectRatio="none" aria-hidden>
        {course.regions.map(({ id, fromBar, toBar = course.bars, target }) =>
          target && target.low < target.high ? (
            <rect
              key={id}
              className={styles.range}
              x={x(fromBar - 1)}
              width={x(toBar) - x(fromBar - 1)}
              y={y(target.high)}
              height={y(target.low) - y(target.high)}
            />
          ) : null,
        )}
        {lines.map((points, at) => (
          <path
            key={course.regions[at]!.id}
            className={course.regions[at]!.id === selected ? styles.chosenTempo : styles.tempo}
            d={points.map(({ bar, bpm }, i) => `${i ? "L" : "M"}${x(bar)} ${y(bpm)}`).join("")}
          />
        ))}
      </svg>
      {marks.map(({ kind, bar }, at) => (
        <span
          key={at}
          className={styles.mark}
          style={{ left: `${(100 * (bar - 0.5)) / course.bars}%` }}
          title={tempiWords.changeKinds[kind]}
        >
          <svg viewBox="0 0 24 16" width="24" height="16" aria-hidden>
            {kind === "fermata" ? (
              <>
                <path d="M3 13a9 9 0 0 1 18 0" />
                <circle cx="12" cy="12" r="1.8" />
              </>
            ) : (
              <path d="M12 3c3 1 3 6-1 9" />
            )}
          </svg>
        </span>
      ))}
      {course.regions.map((region) => (
        <Handle
          key={region.id}
          region={region}
          bars={course.bars}
          top={y(region.bpm)}
          chosen={region.id === selected}
          higher={(px) => higher(region.bpm, px)}
          onSelect={onSelect}
          onMove={onMove}
        />
      ))}
    </div>
  );
}

interface HandleProps extends Pick<TempoLineProps, "onSelect" | "onMove"> {
  readonly region: ResolvedRegion;
  readonly bars: number;
  readonly top: number;
  readonly chosen: boolean;
  readonly higher: (px: number) => number;
}

/** A region's tempo: told over its line, moved up and down. */
function Handle({ region, bars, top, chosen, higher, onSelect, onMove }: HandleProps) {
  const { id, fromBar, toBar = bars, unit, bpm, words, target } = region;
  const from = useRef<{ y: number; higher: (px: number) => number } | undefined>(undefined);
  const moves = onMove !== undefined && target !== null;
  const move = (to: number) =>
    onMove?.(id, Math.min(TEMPO_LIMITS.highest, Math.max(TEMPO_LIMITS.lowest, Math.round(to))));
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    onSelect?.(id);
    if (!moves) return;
    event.currentTarget.setPointerCapture(event.pointerId);
    from.current = { y: event.clientY, higher };
  };
  const onPointerMove = ({ clientY }: PointerEvent) => {
    // Measured from where the drag began: the scale moves along with the tempo.
    if (from.current && Math.abs(from.current.y - clientY) > 2) {
      move(from.current.higher(from.current.y - clientY));
    }
  };
  const drop = () => (from.current = undefined);
  const onKeyDown = (event: KeyboardEvent) => {
    const by = STEPS[event.key];
    if (event.key === "Enter" || event.key === " ") onSelect?.(id);
    else if (by !== undefined && moves) move(bpm + by);
    else return;
    event.preventDefault();
  };
  const told = [words, moves || target ? "" : tempiWords.follows].filter(Boolean).join(", ");
  return (
    <div
      className={`${styles.handle} ${moves ? styles.moves : ""} ${chosen ? styles.chosen : ""}`}
      style={{
        left: `${(100 * (fromBar - 1)) / bars}%`,
        width: `${(100 * (toBar - fromBar + 1)) / bars}%`,
        top: `${(100 * top) / HEIGHT}%`,
      }}
      {...(moves
        ? {
            role: "slider",
            "aria-label": tempiWords.tempoOf(nameOf(region, bars)),
            "aria-valuemin": TEMPO_LIMITS.lowest,
            "aria-valuemax": TEMPO_LIMITS.highest,
            "aria-valuenow": Math.round(bpm),
            "aria-valuetext": tempiWords.bpmAt(bpm),
            "aria-orientation": "vertical" as const,
          }
        : onSelect
          ? { role: "button", "aria-label": tempiWords.tempoOf(nameOf(region, bars)) }
          : {})}
      tabIndex={onSelect ? 0 : undefined}
      onPointerDown={onPointerDown}
      onPointerMove={onPointerMove}
      onPointerUp={drop}
      onPointerCancel={drop}
      onKeyDown={onKeyDown}
    >
      <span className={styles.told}>
        <TempoText unit={unit} bpm={bpm} /> {told && <em>{told}</em>}
      </span>
    </div>
  );
}
