import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormHelperText from "@mui/material/FormHelperText";
import IconButton from "@mui/material/IconButton";
import TextField from "@mui/material/TextField";
import { X } from "lucide-react";
import { ordersFor, type SchoolName } from "~/core/ladder";
import { words } from "~/words";
import { Choice } from "~/components/choice";
import { TASK_PRESETS, type DraftTasks, type TaskPreset } from "./draft-tasks";
import styles from "./workshop.module.css";

const { tasks: said } = words.ladder;
const PRESETS = Object.keys(TASK_PRESETS) as TaskPreset[];

interface TasksFieldsProps {
  readonly school: SchoolName;
  readonly tasks: DraftTasks | null;
  /** By dotted path below the list: "items.0.name". */
  readonly errorAt: (path: string) => string | undefined;
  readonly error: string | undefined;
  readonly onChange: (tasks: DraftTasks | null) => void;
}

/** What a school goes through besides its tempi: tasks or keys, and in which order. */
export function TasksFields({ school, tasks, errorAt, error, onChange }: TasksFieldsProps) {
  const orders = ordersFor(school);
  const begin = (preset: TaskPreset) => {
    const list = TASK_PRESETS[preset];
    onChange({ ...list, order: orders.includes(list.order) ? list.order : orders[0]! });
  };
  if (!tasks) {
    return (
      <Choice
        label={said.title}
        value="nothing"
        options={["nothing", ...PRESETS]}
        told={(preset) =>
          preset === "nothing" ? said.nothing : said.presets[preset as TaskPreset]
        }
        onChange={(preset) => preset !== "nothing" && begin(preset)}
      />
    );
  }
  const set = (at: number, text: string) =>
    onChange(
      tasks.of === "keys"
        ? { ...tasks, items: tasks.items.with(at, text) }
        : { ...tasks, items: tasks.items.with(at, { ...tasks.items[at]!, name: text }) },
    );
  const without = (at: number) =>
    onChange({ ...tasks, items: tasks.items.filter((_, i) => i !== at) } as DraftTasks);
  const added = () =>
    onChange(
      tasks.of === "keys"
        ? { ...tasks, items: [...tasks.items, ""] }
        : { ...tasks, items: [...tasks.items, { name: "", full: true }] },
    );
  return (
    <fieldset className={styles.list}>
      <legend>{said.title}</legend>
      <Choice
        label={said.order}
        value={tasks.order}
        options={orders}
        told={(order) => said.orders[order]}
        error={error}
        onChange={(order) => onChange({ ...tasks, order })}
      />
      <ol className={styles.tasks}>
        {tasks.items.map((item, i) => {
          const text = typeof item === "string" ? item : item.name;
          const wrong = errorAt(`items.${i}`) ?? errorAt(`items.${i}.name`);
          return (
            <li key={i}>
              <TextField
                size="small"
                variant="standard"
                value={text}
                error={wrong !== undefined}
                helperText={wrong}
                slotProps={{
                  htmlInput: { "aria-label": said.item(tasks.of, i + 1), maxLength: 60 },
                }}
                onChange={({ target }) => set(i, target.value)}
              />
              {tasks.of === "tasks" && (
                <Checkbox
                  size="small"
                  checked={tasks.items[i]!.full}
                  slotProps={{ input: { "aria-label": said.full(text) } }}
                  onChange={(_, full) =>
                    onChange({ ...tasks, items: tasks.items.with(i, { name: text, full }) })
                  }
                />
              )}
              <IconButton
                size="small"
                aria-label={said.remove(tasks.of, i + 1)}
                onClick={() => without(i)}
              >
                <X size={16} />
              </IconButton>
            </li>
          );
        })}
      </ol>
      <FormHelperText>{said.help[tasks.of]}</FormHelperText>
      <div className={styles.buttons}>
        <Button size="small" onClick={added}>
          {said.add[tasks.of]}
        </Button>
        <Button size="small" onClick={() => onChange(null)}>
          {said.none}
        </Button>
      </div>
    </fieldset>
  );
}
