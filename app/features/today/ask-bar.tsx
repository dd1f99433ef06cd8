import Button from "@mui/material/Button";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { NumberField } from "~/components/number-field";
import { FEELINGS, SESSION_MINUTES, type Feeling } from "~/core/session";
import { planWords } from "~/words/plan";
import type { Asked } from "./today-shapes";
import styles from "./today.module.css";

interface AskBarProps {
  readonly asked: Asked;
  readonly gentle: "tight" | "tired" | undefined;
  readonly onAsk: (change: Partial<Asked>) => void;
}

const { today } = planWords;
const QUICK = [5, 15, 30, 45, 60] as const;

/** How long, and how it feels: all that is asked before the session is there. */
export function AskBar({ asked, gentle, onAsk }: AskBarProps) {
  const { shortest, longest } = SESSION_MINUTES;
  return (
    <div className={styles.ask}>
      <NumberField
        label={today.have}
        unit="min"
        value={asked.minutes}
        min={shortest}
        max={longest}
        slider={false}
        onChange={(minutes) => {
          const whole = Math.round(minutes);
          if (whole >= shortest && whole <= longest) onAsk({ minutes: whole });
        }}
      />
      <div className={styles.quick}>
        {QUICK.map((minutes) => (
          <Button
            key={minutes}
            size="small"
            variant={asked.minutes === minutes ? "contained" : "outlined"}
            aria-label={today.quick(minutes)}
            onClick={() => onAsk({ minutes })}
          >
            {minutes}
          </Button>
        ))}
      </div>
      <div className={styles.feeling}>
        <span className={styles.label} id="feeling">
          {today.feeling}
        </span>
        <ToggleButtonGroup
          exclusive
          size="small"
          value={asked.feeling ?? null}
          aria-labelledby="feeling"
          onChange={(_, feeling: Feeling | null) => feeling && onAsk({ feeling })}
        >
          {FEELINGS.map((feeling) => (
            <ToggleButton key={feeling} value={feeling}>
              {today.feelings[feeling]}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      </div>
      {gentle && asked.feeling === gentle && <p className={styles.soft}>{today.gentle(gentle)}</p>}
    </div>
  );
}
