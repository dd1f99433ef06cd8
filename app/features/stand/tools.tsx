import {
  ChevronsRight,
  Coffee,
  Drum,
  FlaskConical,
  Hand,
  Minus,
  NotebookPen,
  Pause,
  Plus,
  RotateCcw,
  Snail,
  Timer,
  Undo2,
} from "lucide-react";
import { Press } from "~/components/press";
import type { ReactNode } from "react";
import { taskNow } from "~/core/session";
import { possible, REST_SECONDS, type Tool } from "~/core/transport";
import { words } from "~/words/stand-words";
import { useStand } from "./stand-context";
import styles from "./tools.module.css";

interface ToolsProps {
  readonly onNote: () => void;
  readonly onTap: () => void;
  readonly onBetween: () => void;
}

const SIZE = 20;

/** Always at hand, never in the way. */
export function Tools({ onNote, onTap, onBetween }: ToolsProps) {
  const { view, send, usable } = useStand();
  const { stand } = words;
  const can = possible(view);
  // During a task there is no tempo to change and no rung to repeat.
  const task = taskNow(view.stand) !== undefined && view.stand.endingWell === undefined;
  const undo = { label: stand.undo, icon: <Undo2 size={SIZE} />, tool: "undo" } as const;
  const about = [
    { label: stand.slower, icon: <Minus size={SIZE} />, tool: "slower" },
    { label: stand.faster, icon: <Plus size={SIZE} />, tool: "faster" },
    { label: stand.tapTempo, icon: <Drum size={SIZE} />, tool: "tap" },
    { label: stand.repeat, icon: <RotateCcw size={SIZE} />, tool: "repeat" },
    { label: stand.skip, icon: <ChevronsRight size={SIZE} />, tool: "skip" },
    {
      label: view.trying ? stand.tryEnd : stand.try,
      icon: <FlaskConical size={SIZE} />,
      tool: "try",
    },
    { label: stand.rest, icon: <Coffee size={SIZE} />, tool: "rest" },
    { label: stand.between, icon: <Timer size={SIZE} />, tool: "between" },
  ] as const;
  const acts: Readonly<Record<Tool, () => void>> = {
    undo: () => send({ kind: "undo" }),
    slower: () => send({ kind: "nudge", by: -1 }),
    faster: () => send({ kind: "nudge", by: 1 }),
    tap: onTap,
    repeat: () => send({ kind: "repeat" }),
    skip: () => send({ kind: "skip" }),
    try: () => send({ kind: "try", on: view.trying === undefined }),
    rest: () => send({ kind: "rest", seconds: REST_SECONDS }),
    between: onBetween,
    "end-well": () => send({ kind: "end-well" }),
    pause: () => send({ kind: "pause" }),
  };
  const button = ({ label, icon, tool }: { label: string; icon: ReactNode; tool: Tool }) => (
    <Press key={tool} icon={icon} disabled={!usable || !can[tool]} onClick={acts[tool]}>
      {label}
    </Press>
  );
  return (
    <nav className={styles.tools} aria-label={stand.more}>
      {button(undo)}
      {!task && about.map(button)}
      <Press icon={<NotebookPen size={SIZE} />} disabled={!usable} onClick={onNote}>
        {stand.note}
      </Press>
      {!task && button({ label: stand.endWell, icon: <Snail size={SIZE} />, tool: "end-well" })}
      {!task && button({ label: stand.pause, icon: <Pause size={SIZE} />, tool: "pause" })}
      <Press
        className={styles.hurts!}
        icon={<Hand size={SIZE} />}
        disabled={!usable}
        onClick={() => send({ kind: "hurts" })}
      >
        {stand.hurts}
      </Press>
    </nav>
  );
}
