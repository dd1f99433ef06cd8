import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import FormControlLabel from "@mui/material/FormControlLabel";
import MenuItem from "@mui/material/MenuItem";
import { Form, Link } from "react-router";
import { ChooseStudents, type StudentToChoose } from "~/components/choose-students";
import { Field, type Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import type { Day } from "~/core/units";
import { useWeekdayName } from "~/features/times/weekday-fields";
import { words } from "~/words";
import { severalWords as said } from "~/words/several";
import styles from "./student.module.css";

const WEEKDAYS = [0, 1, 2, 3, 4, 5, 6];

interface SeveralStudentsPageProps {
  readonly studioId: string;
  readonly students: readonly StudentToChoose[];
  readonly drafts: readonly {
    readonly person_id: string;
    readonly name: string;
    readonly from_day: Day;
    readonly items: number;
  }[];
  readonly refused: Refused | undefined;
  /** For how many something was saved just now. */
  readonly saved: number | undefined;
  readonly assigned:
    | {
        readonly assigned: number;
        readonly not: readonly { readonly name: string; readonly sentence: string }[];
      }
    | undefined;
}

/** What is the same for many students, said once; and their prepared weeks, set in one press. */
export function SeveralStudentsPage(props: SeveralStudentsPageProps) {
  const { studioId, drafts, assigned, refused } = props;
  const formats = useFormats();
  return (
    <Page
      title={said.title}
      lead={said.lead}
      back={{ to: `/studio/${studioId}`, label: words.desk.week }}
    >
      <Section title={said.prepared}>
        {drafts.length === 0 ? (
          <p className={styles.soft}>{said.none}</p>
        ) : (
          <Form method="post">
            <ul className={styles.drafts}>
              {drafts.map(({ person_id, name, from_day, items }) => (
                <li key={person_id}>
                  <Checkbox
                    name="week"
                    value={person_id}
                    defaultChecked
                    slotProps={{ input: { "aria-label": said.weekOf(name) } }}
                  />
                  <Link to={`/studio/${studioId}/students/${person_id}/lesson`}>{name}</Link>{" "}
                  <span className={styles.soft}>
                    {said.line(items, formats.shortDay(from_day))}
                  </span>
                </li>
              ))}
            </ul>
            <Button type="submit" name="act" value="assign" variant="contained">
              {said.assign}
            </Button>
            {refused?.errors.week && <p role="alert">{refused.errors.week}</p>}
          </Form>
        )}
        {assigned && <p role="status">{said.assigned(assigned.assigned)}</p>}
        {assigned?.not.map(({ name, sentence }) => (
          <p key={name} role="alert">
            {said.not(name, sentence)}
          </p>
        ))}
      </Section>
      <Section title={said.practice}>
        <TimesForm {...props} />
      </Section>
    </Page>
  );
}

function TimesForm({
  students,
  refused,
  saved,
}: Pick<SeveralStudentsPageProps, "students" | "refused" | "saved">) {
  const nameOf = useWeekdayName();
  return (
    <Form method="post" noValidate>
      <ChooseStudents name="to" label={said.whom} students={students} error={refused?.errors.to} />
      <p className={styles.soft}>{said.help}</p>
      <fieldset className={styles.several}>
        <legend>{said.practice}</legend>
        <div role="group" aria-label={said.weekdays}>
          {WEEKDAYS.map((weekday) => (
            <FormControlLabel
              key={weekday}
              control={<Checkbox name="weekday" value={weekday} />}
              label={nameOf(weekday)}
            />
          ))}
        </div>
        <Field
          name="minutes"
          size="small"
          sx={{ width: 220 }}
          type="number"
          label={said.minutes}
          refused={refused}
        />
      </fieldset>
      <fieldset className={styles.several}>
        <legend>{said.lesson}</legend>
        <Change
          name="lesson-day"
          label={said.lessonDay}
          refused={refused}
          choices={WEEKDAYS.map((weekday) => [String(weekday), nameOf(weekday)])}
        />
        <Field
          name="lesson-from"
          size="small"
          sx={{ width: 220 }}
          type="time"
          label={said.lessonFrom}
          refused={refused}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      </fieldset>
      <fieldset className={styles.several}>
        <legend>{said.limits}</legend>
        <Change
          name="limits"
          label={said.limits}
          refused={refused}
          choices={[
            ["child", said.child],
            ["none", said.noLimits],
          ]}
        />
      </fieldset>
      {refused?.errors.form && <p role="alert">{refused.errors.form}</p>}
      <SubmitButton variant="contained">{said.save}</SubmitButton>
      {saved !== undefined && <p role="status">{said.saved(saved)}</p>}
    </Form>
  );
}

interface ChangeProps {
  readonly name: string;
  readonly label: string;
  readonly refused: Refused | undefined;
  readonly choices: readonly (readonly [value: string, label: string])[];
}

/** One of some values, or no change. */
function Change({ name, label, refused, choices }: ChangeProps) {
  return (
    <Field
      name={name}
      size="small"
      sx={{ width: 220 }}
      select
      label={label}
      refused={refused}
      slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
    >
      <MenuItem value="">{said.unchanged}</MenuItem>
      {choices.map(([value, told]) => (
        <MenuItem key={value} value={value}>
          {told}
        </MenuItem>
      ))}
    </Field>
  );
}
