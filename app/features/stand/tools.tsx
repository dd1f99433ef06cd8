import {
  ChevronsRight,
  Coffee,
  Drum,
  Ellipsis,
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
import { Sheet } from "./sheet";
import { useStand } from "./stand-context";
import styles from "./tools.module.css";

interface ToolsProps {
  readonly onNote: () => void;
  readonly onTap: () => void;
  readonly onBetween: () => void;
  readonly onMore: () => void;
}

const SIZE = 20;
/** Also on a phone. */
const AT_HAND: ReadonlySet<Tool> = new Set(["undo", "slower", "faster", "pause"]);

/** On a tablet behind the same button as most of it on a phone. */
const RARE: ReadonlySet<Tool> = new Set(["tap", "skip", "try", "between"]);

/** What may be done at any time; on a phone most of it lies behind one button. */
function useTools({ onNote, onTap, onBetween }: Omit<ToolsProps, "onMore">) {
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
    <Press
      key={tool}
      icon={icon}
      disabled={!usable || !can[tool]}
      onClick={acts[tool]}
      {...(AT_HAND.has(tool) ? {} : { className: RARE.has(tool) ? styles.rare! : styles.aside! })}
    >
      {label}
    </Press>
  );
  const note = (
    <Press
      key="note"
      className={styles.aside!}
      icon={<NotebookPen size={SIZE} />}
      disabled={!usable}
      onClick={onNote}
    >
      {stand.note}
    </Press>
  );
  const endWell = { label: stand.endWell, icon: <Snail size={SIZE} />, tool: "end-well" } as const;
  const pause = { label: stand.pause, icon: <Pause size={SIZE} />, tool: "pause" } as const;
  return { button, note, undo, about: task ? [] : about, endWell, pause, task };
}

/** Always at hand, never in the way. */
export function Tools({ onMore, ...handlers }: ToolsProps) {
  const { send, usable } = useStand();
  const { button, note, undo, about, endWell, pause, task } = useTools(handlers);
  const { stand } = words;
  return (
    <nav className={styles.tools} aria-label={stand.more}>
      {button(undo)}
      {about.map(button)}
      {note}
      {!task && button(endWell)}
      {!task && button(pause)}
      <Press
        className={styles.more!}
        icon={<Ellipsis size={SIZE} />}
        disabled={!usable}
        onClick={onMore}
      >
        {stand.more}
      </Press>
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

interface MoreSheetProps extends Omit<ToolsProps, "onMore"> {
  readonly open: boolean;
  readonly onClose: () => void;
}

/** What a phone has no room for, with its words. */
export function MoreSheet({ open, onClose, ...handlers }: MoreSheetProps) {
  const { button, note, about, endWell, task } = useTools(handlers);
  const { stand } = words;
  return (
    <Sheet
      open={open}
      title={stand.more}
      onClose={onClose}
      actions={<Press onClick={onClose}>{stand.close}</Press>}
    >
      <div className={styles.list} onClick={onClose}>
        {about.filter(({ tool }) => !AT_HAND.has(tool)).map(button)}
        {note}
        {!task && button(endWell)}
      </div>
    </Sheet>
  );
}
