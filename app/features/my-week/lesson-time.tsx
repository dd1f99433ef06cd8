import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { useController } from "react-hook-form";
import type { TimeWindow } from "~/core/week";
import { planWords } from "~/words/plan";
import type { TimesControl } from "~/features/times/times-form";
import { useWeekdayName } from "~/features/times/weekday-fields";
import { WindowFields } from "~/features/times/window-fields";
import styles from "~/features/times/times-page.module.css";

const { times: said } = planWords;
const LESSON: TimeWindow = { weekday: 2, from: "16:00", minutes: 45 };

/** The weekday of the lesson, and its hour; none for who teaches themself. */
export function LessonTime({ control }: { control: TimesControl }) {
  const nameOf = useWeekdayName();
  const {
    field: { value: lesson, onChange },
  } = useController({ control, name: "lesson" });
  const choose = (typed: string) =>
    onChange(typed === "" ? null : { ...(lesson ?? LESSON), weekday: Number(typed) });
  return (
    <div className={styles.windows} role="group" aria-label={said.lesson}>
      <TextField
        select
        size="small"
        label={said.lessonDay}
        value={lesson?.weekday ?? ""}
        onChange={({ target }) => choose(target.value)}
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
          control={control}
          name="lesson"
          labels={{ from: said.from, minutes: said.minutes }}
        />
      )}
    </div>
  );
}
