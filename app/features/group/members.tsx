import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import type { Student } from "./group-shapes";
import styles from "./group.module.css";

interface MembersProps {
  readonly label: string;
  readonly students: readonly Student[];
  readonly chosen: readonly string[];
  readonly error: string | undefined;
}

/** Students to tick. */
export function Members({ label, students, chosen, error }: MembersProps) {
  return (
    <fieldset className={styles.members}>
      <legend>{label}</legend>
      {students.map(({ id, name, instrument }) => (
        <FormControlLabel
          key={id}
          control={<Checkbox name="member" value={id} defaultChecked={chosen.includes(id)} />}
          label={
            <>
              {name} {instrument && <span className={styles.soft}>{instrument}</span>}
            </>
          }
        />
      ))}
      {error && <p role="alert">{error}</p>}
    </fieldset>
  );
}
