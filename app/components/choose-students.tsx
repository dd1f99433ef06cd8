import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import TextField from "@mui/material/TextField";
import { useState } from "react";
import { chooseWords as said } from "~/words/choose";
import { Choice } from "./choice";
import styles from "./choose-students.module.css";

export interface StudentToChoose {
  readonly id: string;
  readonly name: string;
  readonly instrument: string;
  /** The names of the groups that they belong to. */
  readonly groups: readonly string[];
}

interface ChooseStudentsProps {
  /** Of the form's field. */
  readonly name: string;
  readonly label: string;
  readonly students: readonly StudentToChoose[];
  readonly chosen?: readonly string[];
  readonly error?: string | undefined;
}

/** From so many on one searches instead of looking. */
const MANY = 8;

/** Students to tick: found by name, instrument or group, one by one or all that are shown. */
export function ChooseStudents({ name, label, students, chosen, error }: ChooseStudentsProps) {
  const [ticked, setTicked] = useState<ReadonlySet<string>>(new Set(chosen));
  const [find, setFind] = useState("");
  const [instrument, setInstrument] = useState("");
  const [group, setGroup] = useState("");
  const shown = students.filter(
    (each) =>
      each.name.toLocaleLowerCase().includes(find.trim().toLocaleLowerCase()) &&
      (instrument === "" || each.instrument === instrument) &&
      (group === "" || each.groups.includes(group)),
  );
  const tick = (ids: readonly string[], on: boolean) =>
    setTicked((before) => {
      const after = new Set(before);
      for (const id of ids) {
        if (on) after.add(id);
        else after.delete(id);
      }
      return after;
    });
  const all = shown.length > 0 && shown.every(({ id }) => ticked.has(id));
  const hidden = students.filter((each) => ticked.has(each.id) && !shown.includes(each));
  return (
    <fieldset className={styles.choose}>
      <legend>{label}</legend>
      {students.length > MANY && (
        <div className={styles.filters}>
          <TextField
            size="small"
            type="search"
            label={said.find}
            value={find}
            onChange={({ target }) => setFind(target.value)}
            // Return finds; it sends nothing.
            onKeyDown={(event) => event.key === "Enter" && event.preventDefault()}
          />
          <Filter
            label={said.instrument}
            all={said.anyInstrument}
            values={students.map((each) => each.instrument)}
            value={instrument}
            onChange={setInstrument}
          />
          <Filter
            label={said.group}
            all={said.anyGroup}
            values={students.flatMap(({ groups }) => groups)}
            value={group}
            onChange={setGroup}
          />
        </div>
      )}
      <div className={styles.names}>
        {shown.map(({ id, name: who, instrument: plays }) => (
          <FormControlLabel
            key={id}
            control={
              <Checkbox
                name={name}
                value={id}
                checked={ticked.has(id)}
                onChange={(_, on) => tick([id], on)}
              />
            }
            label={
              <>
                {who} {plays && <span className={styles.soft}>{plays}</span>}
              </>
            }
          />
        ))}
      </div>
      {hidden.map(({ id }) => (
        <input key={id} type="hidden" name={name} value={id} />
      ))}
      {shown.length === 0 && <p className={styles.soft}>{said.none}</p>}
      <div className={styles.all}>
        {shown.length > 1 && (
          <Button
            size="small"
            variant="outlined"
            aria-pressed={all}
            onClick={() =>
              tick(
                shown.map(({ id }) => id),
                !all,
              )
            }
          >
            {all ? said.nobody : said.all(shown.length, students.length)}
          </Button>
        )}
        <span role="status" className={styles.soft}>
          {said.chosen(ticked.size)}
        </span>
      </div>
      {error && (
        <p role="alert" className={styles.error}>
          {error}
        </p>
      )}
    </fieldset>
  );
}

interface FilterProps {
  readonly label: string;
  readonly all: string;
  readonly values: readonly string[];
  readonly value: string;
  readonly onChange: (value: string) => void;
}

/** One of the values that occur, or any; nothing where there is nothing to choose from. */
function Filter({ label, all, values, value, onChange }: FilterProps) {
  const choices = [...new Set(values.filter((each) => each !== ""))].toSorted();
  if (choices.length === 0) return null;
  return (
    <Choice
      label={label}
      value={value}
      options={["", ...choices]}
      told={(each) => each || all}
      onChange={onChange}
    />
  );
}
