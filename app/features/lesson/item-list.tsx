import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useFormState } from "react-hook-form";
import { ITEM_KINDS, MOST_ITEMS, newItem, type AssignmentItem } from "~/core/week";
import type { PassageLine } from "~/features/shapes";
import { planWords } from "~/words/plan";
import { itemFor, passageTitle } from "./item-for";
import { ItemEditor, type Before } from "./item-editor";
import type { KeptLadderName } from "./lesson-shapes";
import type { Items } from "./use-items";
import styles from "./lesson.module.css";

const { lesson } = planWords;

interface ItemListProps {
  readonly it: Items;
  readonly passages: readonly PassageLine[];
  readonly ladders: readonly KeptLadderName[];
  /** What is said where nothing is asked yet. */
  readonly empty: string;
  /** The item as it was asked in the week before. */
  readonly beforeOf?: (id: string) => Before | undefined;
  readonly isUnfolded?: (id: string) => boolean;
  /** Exercises of the library, and how one is given. */
  readonly exercises?:
    | {
        readonly all: readonly KeptLadderName[];
        readonly busy: boolean;
        readonly give: (id: string) => void;
      }
    | undefined;
}

/** The items of a week, one line each, and what can be added. */
export function ItemList(props: ItemListProps) {
  const { it, passages, ladders, exercises } = props;
  const asked = (id: string) => it.items.some(({ passageId }) => passageId === id);
  const free = passages.filter(({ id }) => !asked(id));
  const addPassage = (id: string) => it.add(itemFor(passages.find((each) => each.id === id)!));
  const { errors } = useFormState({ control: it.control });
  const itemsRefused = errors.text?.items?.message ?? errors.text?.items?.root?.message;
  return (
    <>
      {it.items.length === 0 ? (
        <p className={styles.soft}>{props.empty}</p>
      ) : (
        <ol className={styles.items}>
          {it.items.map((item, index) => (
            <ItemEditor
              key={it.keys[index]}
              control={it.control}
              index={index}
              item={item}
              ladders={ladders}
              hasLadder={
                item.passageId === null ||
                passages.some(({ id, target }) => id === item.passageId && target !== null)
              }
              before={props.beforeOf?.(item.id)}
              unfolded={props.isUnfolded?.(item.id) ?? false}
              onChange={(change) => it.setItem(index, change)}
              onRemove={() => it.remove(index)}
            />
          ))}
        </ol>
      )}
      <div className={styles.adding}>
        <TextField
          select
          size="small"
          label={lesson.addPassage}
          value=""
          disabled={free.length === 0 || it.items.length >= MOST_ITEMS}
          onChange={({ target }) => addPassage(target.value)}
        >
          {free.map((passage) => (
            <MenuItem key={passage.id} value={passage.id}>
              {passageTitle(passage)}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          size="small"
          label={lesson.addOther}
          value=""
          disabled={it.items.length >= MOST_ITEMS}
          helperText={it.items.length >= MOST_ITEMS ? lesson.tooMany(MOST_ITEMS) : undefined}
          onChange={({ target }) => {
            const kind = target.value as AssignmentItem["kind"];
            it.add(newItem(crypto.randomUUID(), { kind, title: planWords.item.kinds[kind] }));
          }}
        >
          {ITEM_KINDS.map((kind) => (
            <MenuItem key={kind} value={kind}>
              {planWords.item.kinds[kind]}
            </MenuItem>
          ))}
        </TextField>
        {exercises && (
          <TextField
            select
            size="small"
            label={lesson.addExercise}
            value=""
            disabled={exercises.busy || it.items.length >= MOST_ITEMS}
            onChange={({ target }) => exercises.give(target.value)}
          >
            {exercises.all.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
        )}
      </div>
      {itemsRefused && <p role="alert">{itemsRefused}</p>}
    </>
  );
}
