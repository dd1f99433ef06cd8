import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
  type DragEndEvent,
} from "@dnd-kit/core";
import {
  arrayMove,
  horizontalListSortingStrategy,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
} from "@dnd-kit/sortable";
import { CSS } from "@dnd-kit/utilities";
import Button from "@mui/material/Button";
import IconButton from "@mui/material/IconButton";
import { GripVertical, Plus, X } from "lucide-react";
import { memo, useId } from "react";
import { natureOf } from "~/core/ladder";
import { words } from "~/words";
import type { DraftPhase } from "./draft";
import styles from "./phase-row.module.css";

interface PhaseRowProps {
  readonly phases: readonly DraftPhase[];
  readonly selected: string;
  /** The ladder's own, for phases without any. */
  readonly start: number;
  readonly target: number;
  /** The full tempo, where tempi are told in percent of it. */
  readonly of: number | null;
  readonly onSelect: (id: string) => void;
  readonly onChange: (phases: readonly DraftPhase[]) => void;
  readonly onAdd: () => void;
}

const { workshop } = words;
/** A press that hardly moves is a press; further, it is a drag. */
const DRAG_FROM_PX = 6;

/** The schools of the programme in their order: choose one to change it, drag to move it. */
export const PhaseRow = memo(function PhaseRow(props: PhaseRowProps) {
  const { phases, selected, onSelect, onChange, onAdd } = props;
  const id = useId();
  const sensors = useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: DRAG_FROM_PX } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const moved = ({ active, over }: DragEndEvent) => {
    const [from, to] = [active.id, over?.id].map((key) => phases.findIndex((p) => p.id === key));
    if (from === undefined || to === undefined || from === to || from < 0 || to < 0) return;
    onChange(arrayMove([...phases], from, to));
  };
  return (
    <DndContext id={id} sensors={sensors} collisionDetection={closestCenter} onDragEnd={moved}>
      <SortableContext items={phases.map((p) => p.id)} strategy={horizontalListSortingStrategy}>
        <ol className={styles.phases} aria-label={workshop.programme}>
          {phases.map((phase, i) => (
            <Phase
              key={phase.id}
              phase={phase}
              number={i + 1}
              span={spanTold(phase, props)}
              chosen={phase.id === selected}
              alone={phases.length === 1}
              onSelect={() => onSelect(phase.id)}
              onRemove={() => onChange(phases.filter((each) => each.id !== phase.id))}
            />
          ))}
          <li>
            <Button startIcon={<Plus size={18} />} onClick={onAdd}>
              {workshop.addPhase}
            </Button>
          </li>
        </ol>
      </SortableContext>
    </DndContext>
  );
});

/** The tempi of a phase: from start to target, or the one at which it stays. */
function spanTold(
  { school, start, target }: DraftPhase,
  own: Pick<PhaseRowProps, "start" | "target" | "of">,
): string {
  const [from, to] = [start ?? own.start, target ?? own.target];
  const spans = { rises: [from, to], stays: [to, to], centres: [from, from] } as const;
  const [low, high] = spans[natureOf(school.name).tempo].map((tempo) =>
    words.staircase.tempo(tempo, own.of),
  );
  return workshop.phaseSpan(low!, high!);
}

function Phase(props: {
  phase: DraftPhase;
  number: number;
  span: string;
  chosen: boolean;
  alone: boolean;
  onSelect: () => void;
  onRemove: () => void;
}) {
  const { phase, number, span, chosen, alone, onSelect, onRemove } = props;
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({
    id: phase.id,
    disabled: alone,
  });
  const { tasks } = phase;
  const { label } = words.ladder.schools[phase.school.name];
  return (
    <li
      ref={setNodeRef}
      className={`${styles.phase} ${chosen ? styles.chosen : ""}`}
      style={{ transform: CSS.Translate.toString(transform), transition }}
    >
      {!alone && (
        <span
          className={styles.grip}
          {...attributes}
          {...listeners}
          aria-label={workshop.movePhase(label)}
        >
          <GripVertical size={18} aria-hidden />
        </span>
      )}
      <button type="button" aria-pressed={chosen} onClick={onSelect}>
        <span className={styles.order}>{number}</span>
        <span>
          {label}
          <small>
            {span}
            {tasks && ` · ${words.ladder.tasks.told(tasks.items.length, tasks.of, tasks.order)}`}
          </small>
        </span>
      </button>
      {!alone && (
        <IconButton size="small" aria-label={workshop.removePhase(label)} onClick={onRemove}>
          <X size={16} />
        </IconButton>
      )}
    </li>
  );
}
