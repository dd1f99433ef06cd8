import {
  closestCenter,
  DndContext,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from "@dnd-kit/core";
import { horizontalListSortingStrategy, SortableContext, useSortable } from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import { useId, useRef, useState, type CSSProperties, type KeyboardEvent } from "react";
import { endsQuietly, isPassageKind, type FittedBlock } from "~/core/session";
import { planWords } from "~/words/plan";
import styles from "./session-ribbon.module.css";

export interface RibbonActs {
  readonly onMove: (id: string, to: number) => void;
  readonly onStretch: (id: string, minutes: number) => void;
  readonly onLeave: (id: string) => void;
}

interface SessionRibbonProps extends RibbonActs {
  readonly blocks: readonly FittedBlock[];
  readonly nameOf: (block: FittedBlock) => string;
}

const { today } = planWords;
/** Pixels before a press becomes a drag: a tap only gives the focus. */
const DRAG_FROM = 6;

const toneOf = ({ kind }: FittedBlock): string => {
  if (kind === "break") return styles.pause!;
  if (isPassageKind(kind)) return kind === "hard" ? styles.hard! : styles.passage!;
  return endsQuietly(kind) ? styles.quiet! : styles.task!;
};

/** The session in true proportion: blocks are dragged about, and longer by their right edge. */
export function SessionRibbon({ blocks, nameOf, onMove, onStretch, onLeave }: SessionRibbonProps) {
  const dndId = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM } }),
  );
  const [said, setSaid] = useState("");
  const row = useRef<HTMLOListElement>(null);
  const total = blocks.reduce((sum, { minutes }) => sum + minutes, 0);
  const dropped = ({ active, over }: DragEndEvent) => {
    const to = blocks.findIndex(({ id }) => id === over?.id);
    if (to >= 0 && active.id !== over?.id) onMove(String(active.id), to);
  };
  const key = (block: FittedBlock, index: number) => (event: KeyboardEvent) => {
    const moves: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };
    const stretches: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1 };
    const by = moves[event.key];
    const more = stretches[event.key];
    if (by !== undefined) {
      const to = Math.max(0, Math.min(blocks.length - 1, index + by));
      onMove(block.id, to);
      setSaid(today.movedTo(nameOf(block), to + 1));
    } else if (more !== undefined) {
      onStretch(block.id, block.minutes + more);
      setSaid(today.nowMinutes(nameOf(block), block.minutes + more));
    } else if (event.key === "Delete") onLeave(block.id);
    else return;
    event.preventDefault();
  };
  return (
    <DndContext id={dndId} sensors={sensors} collisionDetection={closestCenter} onDragEnd={dropped}>
      <SortableContext items={blocks.map(({ id }) => id)} strategy={horizontalListSortingStrategy}>
        <ol className={styles.ribbon} ref={row} aria-label={today.ribbon(total)}>
          {blocks.map((block, index) => (
            <RibbonBlock
              key={block.id}
              block={block}
              name={nameOf(block)}
              label={today.blockLabel(nameOf(block), block.minutes, index + 1, blocks.length)}
              minuteWidth={() => (row.current?.clientWidth ?? 0) / Math.max(1, total)}
              onKeyDown={key(block, index)}
              onStretch={(to) => onStretch(block.id, to)}
            />
          ))}
        </ol>
      </SortableContext>
      <p className="sr-only" role="status">
        {said}
      </p>
    </DndContext>
  );
}

interface RibbonBlockProps {
  readonly block: FittedBlock;
  readonly name: string;
  readonly label: string;
  /** Pixels of a minute. */
  readonly minuteWidth: () => number;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly onStretch: (minutes: number) => void;
}

function RibbonBlock(props: RibbonBlockProps) {
  const { block, name, label, minuteWidth, onKeyDown, onStretch } = props;
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({
    id: block.id,
  });
  const pulled = useRef<{ x: number; minutes: number } | undefined>(undefined);
  return (
    <li
      ref={setNodeRef}
      className={`${styles.block} ${toneOf(block)} ${isDragging ? styles.dragged : ""}`}
      style={
        {
          "--minutes": block.minutes,
          transform: CSS.Translate.toString(transform),
          transition,
        } as CSSProperties
      }
    >
      <button
        type="button"
        className={styles.body}
        title={`${name}, ${planWords.minutes(block.minutes)}`}
        {...attributes}
        {...listeners}
        aria-label={label}
        aria-roledescription={undefined}
        aria-describedby={undefined}
        onKeyDown={onKeyDown}
      >
        <span className={styles.minutes}>
          {block.minutes}
          <span className={styles.unit}>{"\u202f"}min</span>
        </span>
        <span className={styles.name}>{name}</span>
      </button>
      <span
        className={styles.edge}
        aria-hidden
        onPointerDown={(event) => {
          event.currentTarget.setPointerCapture(event.pointerId);
          pulled.current = { x: event.clientX, minutes: block.minutes };
        }}
        onPointerMove={(event) => {
          const from = pulled.current;
          const width = minuteWidth();
          if (!from || width === 0) return;
          const to = from.minutes + Math.round((event.clientX - from.x) / width);
          if (to !== block.minutes && to >= 1) onStretch(to);
        }}
        onPointerUp={() => (pulled.current = undefined)}
        onPointerCancel={() => (pulled.current = undefined)}
      />
    </li>
  );
}
