import IconButton from "@mui/material/IconButton";
import { Minus, Plus, X } from "lucide-react";
import type { FittedBlock } from "~/core/session";
import { planWords } from "~/words/plan";
import { PassagePart } from "./passage-part";
import { TaskPart } from "./task-part";
import type { PassageToday, TodayPageProps } from "./today-shapes";
import styles from "./part-list.module.css";

interface PartListProps {
  readonly blocks: readonly FittedBlock[];
  readonly nameOf: (block: FittedBlock) => string;
  readonly passageOf: (id: string | undefined) => PassageToday | undefined;
  readonly said: TodayPageProps["said"];
  readonly asked: TodayPageProps["asked"];
  readonly lessonToday: boolean;
  readonly pinned: readonly FittedBlock["kind"][];
  readonly onStretch: (id: string, minutes: number) => void;
  readonly onLeave: (id: string) => void;
  readonly onSay: (id: string, text: string) => void;
  readonly onPin: (kind: FittedBlock["kind"]) => void;
}

const { today } = planWords;

/** The parts one below the other: what is played, why, how it goes up, and how long. */
export function PartList(props: PartListProps) {
  const { blocks, nameOf, passageOf, onStretch, onLeave } = props;
  return (
    <ol className={styles.parts}>
      {blocks.map((block) => {
        const name = nameOf(block);
        const passage = passageOf(block.passageId);
        return (
          <li key={block.id} data-passage={block.passageId} data-kind={block.kind}>
            {passage ? (
              <PassagePart
                block={block}
                passage={passage}
                asked={props.asked}
                lessonToday={props.lessonToday}
              />
            ) : (
              <TaskPart
                block={block}
                name={name}
                said={props.said}
                isPinned={props.pinned.includes(block.kind)}
                onSay={(text) => props.onSay(block.id, text)}
                onPin={() => props.onPin(block.kind)}
              />
            )}
            <div className={styles.minutes}>
              <IconButton
                size="small"
                aria-label={today.shorter(name)}
                disabled={block.minutes <= 1}
                onClick={() => onStretch(block.id, block.minutes - 1)}
              >
                <Minus size={16} />
              </IconButton>
              <span>{planWords.minutes(block.minutes)}</span>
              <IconButton
                size="small"
                aria-label={today.longer(name)}
                onClick={() => onStretch(block.id, block.minutes + 1)}
              >
                <Plus size={16} />
              </IconButton>
              <IconButton
                size="small"
                aria-label={today.leaveOut(name)}
                onClick={() => onLeave(block.id)}
              >
                <X size={16} />
              </IconButton>
            </div>
          </li>
        );
      })}
    </ol>
  );
}
