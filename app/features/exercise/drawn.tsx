import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { Form } from "react-router";
import { useFormats } from "~/components/locale";
import { Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import type { Day } from "~/core/units";
import { words } from "~/words";
import { exerciseWords as said } from "~/words/exercise";
import styles from "./exercise.module.css";

export interface DrawnProps {
  readonly draw: { readonly technique: string; readonly find: string; readonly draw: number };
  readonly techniques: readonly string[];
  readonly drawn: readonly {
    readonly id: string;
    readonly name: string;
    readonly last: Day | null;
  }[];
}

/** Exercises of the library that were not done lately, by technique or name. */
export function Drawn({ draw, techniques, drawn }: DrawnProps) {
  const formats = useFormats();
  if (techniques.length === 0) {
    return (
      <Section title={said.fromLibrary}>
        <p>{said.libraryEmpty}</p>
      </Section>
    );
  }
  return (
    <Section title={said.fromLibrary}>
      <Form className={styles.draw}>
        <TextField
          select
          size="small"
          name="technique"
          label={said.technique}
          defaultValue={techniques.includes(draw.technique) ? draw.technique : ""}
          slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
        >
          <MenuItem value="">{said.anyTechnique}</MenuItem>
          {techniques.map((each) => (
            <MenuItem key={each} value={each}>
              {said.techniqueOf(each)}
            </MenuItem>
          ))}
        </TextField>
        <TextField size="small" name="find" label={said.find} defaultValue={draw.find} />
        <input type="hidden" name="draw" value={(draw.draw + 1) % 1000} />
        <Button type="submit" variant="outlined">
          {said.drawThree}
        </Button>
      </Form>
      {drawn.length === 0 && <p>{said.noneFound}</p>}
      <ul className={styles.drawn}>
        {drawn.map(({ id, name, last }) => (
          <li key={id}>
            <span>
              <strong>{name}</strong>
              <span className={styles.soft}>
                {last === null ? said.never : said.lastDone(formats.longDay(last))}
              </span>
            </span>
            <Form method="post">
              <input type="hidden" name="intent" value="give" />
              <input type="hidden" name="id" value={id} />
              <SubmitButton size="small" variant="outlined" aria-label={words.library.giveOf(name)}>
                {words.library.give}
              </SubmitButton>
            </Form>
          </li>
        ))}
      </ul>
    </Section>
  );
}
