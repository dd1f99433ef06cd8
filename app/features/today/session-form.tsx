import Button from "@mui/material/Button";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import ToggleButton from "@mui/material/ToggleButton";
import ToggleButtonGroup from "@mui/material/ToggleButtonGroup";
import { Play } from "lucide-react";
import { Form } from "react-router";
import { NumberField } from "~/components/number-field";
import { SubmitButton } from "~/components/submit-button";
import {
  FEELINGS,
  NO_VERDICT_CHOICES,
  SESSION_MINUTES,
  type Feeling,
  type FittedBlock,
} from "~/core/session";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { LeftOutList, PartList } from "./part-list";
import { SessionRibbon } from "./session-ribbon";
import { ShapeKeeper } from "./shape-keeper";
import type { TodayPageProps } from "./today-shapes";
import { useSession } from "./use-session";
import styles from "./today.module.css";

const { today } = planWords;
const QUICK = [5, 15, 30, 45, 60] as const;

/** What is sent: the parts in their order. */
const asParts = (blocks: readonly FittedBlock[]) =>
  JSON.stringify(
    blocks.map(({ kind, minutes, text, passageId, itemId }) => ({
      kind,
      minutes,
      text,
      passageId: passageId ?? null,
      itemId: itemId ?? null,
    })),
  );

/** The session as it will be: fitted to minutes, feeling and shape, then changed by hand. */
export function SessionForm(props: TodayPageProps) {
  const { person, passages, refused } = props;
  const session = useSession({ ...props, feeling: props.feeling ?? "fine" });
  const { asked, ask, blocks } = session;
  const passageOf = (id: string | undefined) => passages.find((each) => each.id === id);
  const nameOf = (block: FittedBlock): string =>
    passageOf(block.passageId)?.title ?? (block.itemId ? block.text : words.block[block.kind].name);
  const hurts = asked.feeling === "painful";
  return (
    <>
      <div className={styles.ask}>
        <div>
          <NumberField
            label={today.have}
            unit="min"
            value={asked.minutes}
            min={SESSION_MINUTES.shortest}
            max={SESSION_MINUTES.longest}
            slider={false}
            onChange={(minutes) => {
              const whole = Math.round(minutes);
              const { shortest, longest } = SESSION_MINUTES;
              if (whole >= shortest && whole <= longest) ask({ minutes: whole });
            }}
          />
          <div className={styles.quick}>
            {QUICK.map((minutes) => (
              <Button
                key={minutes}
                size="small"
                variant={asked.minutes === minutes ? "contained" : "outlined"}
                aria-label={today.quick(minutes)}
                onClick={() => ask({ minutes })}
              >
                {minutes}
              </Button>
            ))}
          </div>
        </div>
        <div>
          <p className={styles.label} id="feeling">
            {today.feeling}
          </p>
          <ToggleButtonGroup
            exclusive
            size="small"
            value={asked.feeling}
            aria-labelledby="feeling"
            onChange={(_, feeling: Feeling | null) => feeling && ask({ feeling })}
          >
            {FEELINGS.map((feeling) => (
              <ToggleButton key={feeling} value={feeling}>
                {today.feelings[feeling]}
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
          {props.feeling && asked.feeling === props.feeling && !hurts && (
            <p className={styles.soft}>{today.gentle(props.feeling)}</p>
          )}
        </div>
        <TextField
          select
          size="small"
          label={today.shape}
          value={asked.shape}
          fullWidth={false}
          sx={{ width: 200 }}
          onChange={({ target }) => ask({ shape: target.value })}
        >
          <MenuItem value="usual">{today.usual}</MenuItem>
          <MenuItem value="passages">{today.passagesOnly}</MenuItem>
          {props.shapes.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </div>
      {hurts ? (
        <p className={styles.hurts} role="alert">
          {today.hurts}
        </p>
      ) : (
        <>
          <SessionRibbon
            blocks={blocks}
            nameOf={nameOf}
            onMove={session.move}
            onStretch={session.stretch}
            onLeave={session.leave}
          />
          <Form method="post" className={styles.start}>
            <input type="hidden" name="parts" value={asParts(blocks)} />
            <SubmitButton
              variant="contained"
              size="large"
              startIcon={<Play size={20} />}
              disabled={!session.playable}
            >
              {words.today.start(session.total)}
            </SubmitButton>
            <TextField
              select
              size="small"
              name="noVerdict"
              label={words.today.noVerdict}
              defaultValue={person.no_verdict}
              fullWidth={false}
              sx={{ width: 260 }}
            >
              {NO_VERDICT_CHOICES.map((choice) => (
                <MenuItem key={choice} value={choice}>
                  {words.today.noVerdicts[choice]}
                </MenuItem>
              ))}
            </TextField>
            {session.changed && <Button onClick={session.refit}>{today.refit}</Button>}
            {session.endsFast && (
              <p className={styles.soft}>
                {today.fastEnd} <Button onClick={session.endSlowly}>{today.slowLast}</Button>
              </p>
            )}
            {session.spare > 0 && <p className={styles.soft}>{today.spare(session.spare)}</p>}
            {refused?.errors.form && <p role="alert">{refused.errors.form}</p>}
          </Form>
          <p className={styles.how}>{today.how}</p>
          <PartList
            blocks={blocks}
            nameOf={nameOf}
            passageOf={passageOf}
            onStretch={session.stretch}
            onLeave={session.leave}
          />
        </>
      )}
      <LeftOutList leftOut={session.leftOut} passageOf={passageOf} onTakeIn={session.takeIn} />
      {!hurts && <ShapeKeeper blocks={blocks} shapes={props.shapes} refused={refused} />}
    </>
  );
}
