import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { Plus, X } from "lucide-react";
import { useState } from "react";
import { Form } from "react-router";
import type { Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import type { TimeWindow, WeekTimes } from "~/core/week";
import { addDays } from "~/core/units";
import { planWords } from "~/words/plan";
import styles from "./times-page.module.css";

interface TimesPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly times: WeekTimes;
  readonly refused: Refused | undefined;
}

const { times: said } = planWords;
const A_MONDAY = "2026-05-04";
const FIRST: Pick<TimeWindow, "from" | "minutes"> = { from: "17:00", minutes: 30 };
const LESSON: TimeWindow = { weekday: 2, from: "16:00", minutes: 45 };

/** When there is time in a week, and when the lesson is. */
export function TimesPage({ studioId, person, times, refused }: TimesPageProps) {
  const formats = useFormats();
  const [windows, setWindows] = useState<readonly TimeWindow[]>(times.windows);
  const [lesson, setLesson] = useState<TimeWindow | null>(times.lesson);
  const nameOf = (weekday: number) => formats.fullWeekday(addDays(A_MONDAY, weekday));
  const set = (at: number, change: Partial<TimeWindow>) =>
    setWindows(windows.map((each, i) => (i === at ? { ...each, ...change } : each)));
  const total = windows.reduce((sum, { minutes }) => sum + (minutes || 0), 0);
  const days = new Set(windows.map(({ weekday }) => weekday)).size;
  return (
    <Page
      title={said.title(person.name)}
      lead={said.lead}
      back={{ to: `/studio/${studioId}/students/${person.id}/week`, label: planWords.week.title }}
    >
      <Form method="post" className={styles.form}>
        <input type="hidden" name="times" value={JSON.stringify({ windows, lesson })} />
        <ol className={styles.days}>
          {Array.from({ length: 7 }, (_, weekday) => (
            <li key={weekday}>
              <span className={styles.day}>{nameOf(weekday)}</span>
              <div className={styles.windows}>
                {windows.map((window, at) =>
                  window.weekday === weekday ? (
                    <WindowFields
                      key={at}
                      window={window}
                      labels={[said.from(nameOf(weekday)), said.minutes(nameOf(weekday))]}
                      remove={said.remove(nameOf(weekday), window.from)}
                      onChange={(change) => set(at, change)}
                      onRemove={() => setWindows(windows.filter((_each, i) => i !== at))}
                    />
                  ) : null,
                )}
                {!windows.some((each) => each.weekday === weekday) && (
                  <span className={styles.none}>{said.none}</span>
                )}
              </div>
              <IconButton
                aria-label={said.add(nameOf(weekday))}
                onClick={() => setWindows([...windows, { ...FIRST, weekday }])}
              >
                <Plus size={18} />
              </IconButton>
            </li>
          ))}
        </ol>
        <Section title={said.lesson}>
          <div className={styles.windows}>
            <TextField
              select
              size="small"
              label={said.lesson}
              value={lesson?.weekday ?? ""}
              onChange={({ target }) =>
                setLesson(
                  target.value === ""
                    ? null
                    : { ...(lesson ?? LESSON), weekday: Number(target.value) },
                )
              }
              sx={{ width: 190 }}
            >
              <MenuItem value="">{said.noLesson}</MenuItem>
              {Array.from({ length: 7 }, (_, weekday) => (
                <MenuItem key={weekday} value={weekday}>
                  {nameOf(weekday)}
                </MenuItem>
              ))}
            </TextField>
            {lesson && (
              <WindowFields
                window={lesson}
                labels={[said.lessonFrom, said.lessonMinutes]}
                onChange={(change) => setLesson({ ...lesson, ...change })}
              />
            )}
          </div>
        </Section>
        <div className={styles.save}>
          <SubmitButton variant="contained">{said.save}</SubmitButton>
          <span>{said.total(total, days)}</span>
          {refused?.errors.form && <p role="alert">{refused.errors.form}</p>}
        </div>
      </Form>
    </Page>
  );
}

interface WindowFieldsProps {
  readonly window: TimeWindow;
  readonly labels: readonly [string, string];
  readonly remove?: string;
  readonly onChange: (change: Partial<TimeWindow>) => void;
  readonly onRemove?: () => void;
}

function WindowFields({ window, labels, remove, onChange, onRemove }: WindowFieldsProps) {
  return (
    <span className={styles.window}>
      <TextField
        type="time"
        size="small"
        value={window.from}
        slotProps={{ htmlInput: { "aria-label": labels[0] } }}
        onChange={({ target }) => onChange({ from: target.value })}
        sx={{ width: 156 }}
      />
      <TextField
        type="number"
        size="small"
        value={Number.isFinite(window.minutes) ? window.minutes : ""}
        slotProps={{ htmlInput: { "aria-label": labels[1], min: 5, max: 240 } }}
        onChange={({ target }) =>
          onChange({ minutes: target.value === "" ? NaN : Number(target.value) })
        }
        sx={{ width: 90 }}
      />
      min
      {onRemove && (
        <IconButton size="small" aria-label={remove} onClick={onRemove}>
          <X size={16} />
        </IconButton>
      )}
    </span>
  );
}
