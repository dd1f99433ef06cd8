import IconButton from "@mui/material/IconButton";
import TextField from "@mui/material/TextField";
import { Pencil, Pin } from "lucide-react";
import { useState } from "react";
import type { FittedBlock } from "~/core/session";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { SaidOfIt } from "./said-of-it";
import type { TodayPageProps } from "./today-shapes";
import styles from "./part-list.module.css";

const { today } = planWords;

interface TaskPartProps {
  readonly block: FittedBlock;
  readonly name: string;
  readonly said: TodayPageProps["said"];
  readonly isPinned: boolean;
  readonly onSay: (text: string) => void;
  readonly onPin: () => void;
}

/** A part without a click: what to do in it can be written anew, and it can be made a must. */
export function TaskPart({ block, name, said, isPinned, onSay, onPin }: TaskPartProps) {
  const [writing, setWriting] = useState(false);
  const { kind, itemId } = block;
  const how = words.block[kind].how;
  return (
    <div className={styles.task}>
      <strong>{name}</strong>
      {writing ? (
        <TextField
          size="small"
          autoFocus
          defaultValue={block.text || how}
          slotProps={{ htmlInput: { "aria-label": today.whatToDo(name), maxLength: 200 } }}
          onBlur={({ target }) => {
            onSay(target.value.trim());
            setWriting(false);
          }}
          onKeyDown={(event) => {
            if (event.key === "Enter") event.currentTarget.querySelector("input")?.blur();
          }}
        />
      ) : (
        <span className={styles.soft}>
          {itemId ? planWords.reason(block.reason) : block.text || how}
        </span>
      )}
      {itemId && <SaidOfIt said={said.find((each) => each.itemId === itemId)} />}
      {!itemId && kind !== "break" && !writing && (
        <span className={styles.tools}>
          <IconButton
            size="small"
            aria-label={today.writeAnew(name)}
            onClick={() => setWriting(true)}
          >
            <Pencil size={15} />
          </IconButton>
          <IconButton
            size="small"
            aria-label={today.pin(name)}
            aria-pressed={isPinned}
            color={isPinned ? "primary" : "default"}
            onClick={onPin}
          >
            <Pin size={15} fill={isPinned ? "currentColor" : "none"} />
          </IconButton>
        </span>
      )}
    </div>
  );
}
