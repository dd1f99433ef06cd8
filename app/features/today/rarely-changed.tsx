import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { NO_VERDICT_CHOICES } from "~/core/session";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { AskQuestion } from "./ask-question";
import { EveryDay } from "./every-day";
import { ShapeKeeper } from "./shape-keeper";
import type { TodayPageProps } from "./today-shapes";
import type { useSession } from "./use-session";
import styles from "./today.module.css";

const { today } = planWords;

interface RarelyChangedProps extends TodayPageProps {
  readonly session: ReturnType<typeof useSession>;
}

/** What is set once in a while, folded away below what is played. */
export function RarelyChanged({
  session,
  teaches,
  person,
  shapes,
  mustDo,
  questions,
}: RarelyChangedProps) {
  return (
    <div className={styles.rarely}>
      <details>
        <summary>{today.questionFold}</summary>
        {questions.waiting.map(({ id, text }) => (
          <p key={id} className={styles.soft}>
            <q>{text}</q> {today.waits}
          </p>
        ))}
        <AskQuestion />
      </details>
      <details>
        <summary>{today.everyDay}</summary>
        <EveryDay mustDo={mustDo} />
      </details>
      <details>
        <summary>{today.settings}</summary>
        <div className={styles.settings}>
          <TextField
            select
            size="small"
            label={today.shape}
            value={session.asked.shape}
            fullWidth={false}
            sx={{ width: 220 }}
            onChange={({ target }) => session.ask({ shape: target.value })}
          >
            <MenuItem value="usual">{today.usual}</MenuItem>
            <MenuItem value="passages">{today.passagesOnly}</MenuItem>
            {shapes.map(({ id, name }) => (
              <MenuItem key={id} value={id}>
                {name}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            select
            size="small"
            name="noVerdict"
            label={words.today.noVerdict}
            defaultValue={person.no_verdict}
            fullWidth={false}
            sx={{ width: 260 }}
            slotProps={{ htmlInput: { form: "start" } }}
          >
            {NO_VERDICT_CHOICES.map((choice) => (
              <MenuItem key={choice} value={choice}>
                {words.today.noVerdicts[choice]}
              </MenuItem>
            ))}
          </TextField>
        </div>
        <p className={styles.how}>{today.how}</p>
        <ShapeKeeper session={session} shapes={shapes} teaches={teaches} />
      </details>
    </div>
  );
}
