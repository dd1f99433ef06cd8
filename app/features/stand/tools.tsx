import {
  ChevronsRight,
  Coffee,
  Drum,
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
import { lastUndoable, taskNow } from "~/core/session";
import { words } from "~/words/stand-words";
import type { StandRunner } from "./runner";
import type { StandView } from "./view";
import styles from "./tools.module.css";

interface ToolsProps {
  readonly view: StandView;
  readonly runner: StandRunner | undefined;
  readonly usable: boolean;
  readonly restSeconds: number;
  readonly onNote: () => void;
  readonly onTap: () => void;
  readonly onBetween: () => void;
}

const SIZE = 20;

/** Always at hand, never in the way. */
export function Tools({ view, runner, usable, restSeconds, onNote, onTap, onBetween }: ToolsProps) {
  const { stand } = words;
  // During a task there is no tempo to change and no rung to repeat.
  const task = taskNow(view.state) !== undefined && view.state.endingWell === undefined;
  const nothingToUndo = lastUndoable(view.events) === undefined;
  const tools = [
    {
      label: stand.undo,
      icon: <Undo2 size={SIZE} />,
      act: () => runner?.undo(),
      off: nothingToUndo,
      always: true,
    },
    { label: stand.slower, icon: <Minus size={SIZE} />, act: () => runner?.nudge(-1) },
    { label: stand.faster, icon: <Plus size={SIZE} />, act: () => runner?.nudge(1) },
    { label: stand.tapTempo, icon: <Drum size={SIZE} />, act: onTap },
    { label: stand.repeat, icon: <RotateCcw size={SIZE} />, act: () => runner?.repeat() },
    { label: stand.skip, icon: <ChevronsRight size={SIZE} />, act: () => runner?.skip() },
    { label: stand.rest, icon: <Coffee size={SIZE} />, act: () => runner?.takeRest(restSeconds) },
    { label: stand.between, icon: <Timer size={SIZE} />, act: onBetween },
    { label: stand.note, icon: <NotebookPen size={SIZE} />, act: onNote, always: true },
    { label: stand.endWell, icon: <Snail size={SIZE} />, act: () => runner?.endWell() },
  ];
  const paused = view.transport === "stopped" || view.transport === "asking";
  return (
    <nav className={styles.tools} aria-label={stand.more}>
      {tools
        .filter(({ always }) => always || !task)
        .map(({ label, icon, act, off }) => (
          <Press
            key={label}
            icon={icon}
            disabled={!usable || off === true}
            onClick={() => void act()}
          >
            {label}
          </Press>
        ))}
      {!task && (
        <Press
          icon={<Pause size={SIZE} />}
          disabled={!usable || paused}
          onClick={() => runner?.pause()}
        >
          {stand.pause}
        </Press>
      )}
      <Press
        className={styles.hurts!}
        icon={<Hand size={SIZE} />}
        disabled={!usable}
        onClick={() => void runner?.hurts()}
      >
        {stand.hurts}
      </Press>
    </nav>
  );
}
