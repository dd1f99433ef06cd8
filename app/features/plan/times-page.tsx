import Button from "@mui/material/Button";
import FormControlLabel from "@mui/material/FormControlLabel";
import IconButton from "@mui/material/IconButton";
import MenuItem from "@mui/material/MenuItem";
import Switch from "@mui/material/Switch";
import TextField from "@mui/material/TextField";
import { Plus, X } from "lucide-react";
import { useState } from "react";
import { Form } from "react-router";
import type { Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import {
  CHILD_LIMITS,
  type DateWithTime,
  type PlayLimits,
  type TimeWindow,
  type WeekTimes,
} from "~/core/week";
import { addDays, type Day } from "~/core/units";
import { planWords } from "~/words/plan";
import styles from "./times-page.module.css";

interface TimesPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly times: WeekTimes;
  readonly today: Day;
  readonly teaches: boolean;
  readonly refused: Refused | undefined;
}

const { times: said } = planWords;
const A_MONDAY = "2026-05-04";
const FIRST: Pick<TimeWindow, "from" | "minutes"> = { from: "17:00", minutes: 30 };
const LESSON: TimeWindow = { weekday: 2, from: "16:00", minutes: 45 };

/** When there is time in a week, and when the lesson is. */
export function TimesPage(props: TimesPageProps) {
  const { studioId, person, times, refused, today, teaches } = props;
  const formats = useFormats();
  const [windows, setWindows] = useState<readonly TimeWindow[]>(times.windows);
  const [lesson, setLesson] = useState<TimeWindow | null>(times.lesson);
  const [dates, setDates] = useState<readonly DateWithTime[]>(
    times.dates.filter(({ day }) => day >= today),
  );
  const [limits, setLimits] = useState<PlayLimits | null>(times.limits);
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
        <input
          type="hidden"
          name="times"
          value={JSON.stringify({ windows, lesson, dates, limits })}
        />
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
        <Section title={said.dates}>
          <DateFields dates={dates} today={today} onChange={setDates} />
        </Section>
        {teaches && (
          <Section title={said.child}>
            <LimitFields limits={limits} onChange={setLimits} />
          </Section>
        )}
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

interface DateFieldsProps {
  readonly dates: readonly DateWithTime[];
  readonly today: Day;
  readonly onChange: (dates: readonly DateWithTime[]) => void;
}

/** Days that are not as their weekday: holidays, a day off, a long Saturday. */
function DateFields({ dates, today, onChange }: DateFieldsProps) {
  const set = (at: number, change: Partial<DateWithTime>) =>
    onChange(dates.map((each, i) => (i === at ? { ...each, ...change } : each)));
  const later = dates.map(({ day }) => day).toSorted();
  return (
    <div className={styles.dates}>
      {dates.map(({ day, minutes }, at) => (
        <span key={at} className={styles.window}>
          <TextField
            type="date"
            size="small"
            value={day}
            slotProps={{ htmlInput: { "aria-label": said.date, min: today } }}
            onChange={({ target }) => set(at, { day: target.value })}
            sx={{ width: 170 }}
          />
          <TextField
            type="number"
            size="small"
            value={Number.isFinite(minutes) ? minutes : ""}
            slotProps={{ htmlInput: { "aria-label": said.minutesOn(day), min: 0, max: 240 } }}
            onChange={({ target }) =>
              set(at, { minutes: target.value === "" ? NaN : Number(target.value) })
            }
            sx={{ width: 90 }}
          />
          min
          <IconButton
            size="small"
            aria-label={said.removeDate(day)}
            onClick={() => onChange(dates.filter((_each, i) => i !== at))}
          >
            <X size={16} />
          </IconButton>
        </span>
      ))}
      <Button
        variant="outlined"
        startIcon={<Plus size={16} />}
        onClick={() => onChange([...dates, { day: addDays(later.at(-1) ?? today, 1), minutes: 0 }])}
      >
        {said.addDate}
      </Button>
    </div>
  );
}

interface LimitFieldsProps {
  readonly limits: PlayLimits | null;
  readonly onChange: (limits: PlayLimits | null) => void;
}

/** A child's day is not longer than it should be, and neither is a stretch without a break. */
function LimitFields({ limits, onChange }: LimitFieldsProps) {
  const field = (name: keyof PlayLimits, label: string) =>
    limits && (
      <TextField
        type="number"
        size="small"
        label={label}
        value={Number.isFinite(limits[name]) ? limits[name] : ""}
        onChange={({ target }) =>
          onChange({ ...limits, [name]: target.value === "" ? NaN : Number(target.value) })
        }
        sx={{ width: 190 }}
      />
    );
  return (
    <div className={styles.dates}>
      <FormControlLabel
        control={
          <Switch
            checked={limits !== null}
            onChange={(_, on) => onChange(on ? CHILD_LIMITS : null)}
          />
        }
        label={said.isChild}
      />
      {field("day", said.mostADay)}
      {field("stretch", said.mostInARow)}
    </div>
  );
}
