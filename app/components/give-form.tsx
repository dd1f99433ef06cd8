import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import { useState } from "react";
import { Form } from "react-router";
import { words } from "~/words";
import type { Refused } from "./field";
import styles from "./give-form.module.css";
import { SubmitButton } from "./submit-button";

export interface OtherStudent {
  readonly id: string;
  readonly name: string;
  /** The names of the groups that they belong to. */
  readonly groups: readonly string[];
}

interface GiveFormProps {
  /** What they get, as a sentence. */
  readonly how: string;
  /** What can be chosen of it; everything goes without these. */
  readonly items?: readonly { readonly id: string; readonly title: string }[];
  readonly others: readonly OtherStudent[];
  readonly refused: Refused | undefined;
  /** How many were given it just now. */
  readonly given: number | undefined;
}

/** Gives something to other students of the room. */
export function GiveForm({ how, items = [], others, refused, given }: GiveFormProps) {
  const error = refused?.errors.to;
  return (
    <Form method="post" className={styles.give}>
      <input type="hidden" name="act" value="give" />
      <p className={styles.soft}>{how}</p>
      {items.length > 0 && (
        <fieldset className={styles.choice}>
          <legend>{words.piece.giveWhat}</legend>
          {items.map(({ id, title }) => (
            <FormControlLabel
              key={id}
              control={<Checkbox name="item" value={id} defaultChecked />}
              label={title}
            />
          ))}
        </fieldset>
      )}
      <Whom others={others} />
      <SubmitButton variant="outlined">{words.piece.giveIt}</SubmitButton>
      {error && <p role="alert">{error}</p>}
      {given !== undefined && <p role="status">{words.piece.given(given)}</p>}
    </Form>
  );
}

/** Who gets it: one by one, or all of a group at once. */
function Whom({ others }: Pick<GiveFormProps, "others">) {
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const tick = (ids: readonly string[], on: boolean) =>
    setChosen((before) => {
      const after = new Set(before);
      for (const id of ids) {
        if (on) after.add(id);
        else after.delete(id);
      }
      return after;
    });
  const groups = [...new Set(others.flatMap((each) => each.groups))];
  return (
    <fieldset className={styles.choice}>
      <legend>{words.piece.giveWhom}</legend>
      <div className={styles.names}>
        {others.map(({ id, name }) => (
          <FormControlLabel
            key={id}
            control={
              <Checkbox
                name="to"
                value={id}
                checked={chosen.has(id)}
                onChange={(_, on) => tick([id], on)}
              />
            }
            label={name}
          />
        ))}
      </div>
      {groups.length > 0 && (
        <p>
          {groups.map((group) => {
            const members = others.filter((each) => each.groups.includes(group));
            const ids = members.map(({ id }) => id);
            const all = ids.every((id) => chosen.has(id));
            return (
              <Button
                key={group}
                size="small"
                variant="outlined"
                aria-pressed={all}
                onClick={() => tick(ids, !all)}
              >
                {words.piece.giveGroup(group)}
              </Button>
            );
          })}
        </p>
      )}
    </fieldset>
  );
}
