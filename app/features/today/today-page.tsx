import Button from "@mui/material/Button";
import Checkbox from "@mui/material/Checkbox";
import MenuItem from "@mui/material/MenuItem";
import TextField from "@mui/material/TextField";
import { Play } from "lucide-react";
import { useState } from "react";
import { Form, Link } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { Care } from "~/components/care";
import type { Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { MinuteRibbon } from "~/components/minute-ribbon";
import { Empty, Page, Section } from "~/components/page";
import { StateMark } from "~/components/state-mark";
import { NO_VERDICT_CHOICES, type NoVerdict } from "~/core/session";
import type { Day } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import { SubmitButton } from "~/components/submit-button";
import type { SchoolName } from "~/core/ladder";
import { words } from "~/words";
import styles from "./today.module.css";

export interface TodayPageProps {
  readonly studioId: string;
  readonly today: Day;
  readonly person: { readonly id: string; readonly name: string; readonly no_verdict: NoVerdict };
  readonly passages: readonly PassageLine[];
  readonly withoutLadder: number;
  readonly hurtLately: boolean;
  readonly openSession: { readonly id: string } | undefined;
  readonly refused: Refused | undefined;
}

/** Today's session as a ribbon of minutes; choose what to play, and start. */
const schoolsTold = (schools: readonly SchoolName[]): string =>
  schools.map((name) => words.ladder.schools[name].label).join(" → ");

export function TodayPage(props: TodayPageProps) {
  const { studioId, today, person, passages, openSession, refused } = props;
  const formats = useFormats();
  const [left, setLeft] = useState<ReadonlySet<string>>(new Set());
  const chosen = passages.filter(({ id }) => !left.has(id));
  const total = chosen.reduce((sum, { minutes }) => sum + (minutes ?? 0), 0);
  const home = `/studio/${studioId}/students/${person.id}`;
  const toggle = (id: string) =>
    setLeft((before) => {
      const after = new Set(before);
      if (!after.delete(id)) after.add(id);
      return after;
    });
  return (
    <Page
      title={words.today.title}
      lead={formats.longDay(today)}
      back={{ to: home, label: person.name }}
    >
      {openSession && (
        <div className={styles.open}>
          <Empty
            action={
              <Button
                component={Link}
                to={`/studio/${studioId}/sessions/${openSession.id}/stand`}
                variant="contained"
              >
                {words.today.goOn}
              </Button>
            }
          >
            {words.today.stillOpen}
          </Empty>
        </div>
      )}
      {passages.length === 0 ? (
        <Section title={words.today.plan}>
          <Empty
            action={
              <Button component={Link} to={home} variant="contained">
                {words.today.toPassages}
              </Button>
            }
          >
            {props.withoutLadder > 0 ? words.today.noLadders : words.today.nothing}
          </Empty>
        </Section>
      ) : (
        <Form method="post" className={styles.form}>
          {chosen.length > 0 && (
            <MinuteRibbon
              blocks={chosen.map((passage) => ({
                id: passage.id,
                title: passage.title,
                detail: passage.name || words.bars(passage.fromBar, passage.toBar),
                minutes: passage.minutes ?? 1,
              }))}
            />
          )}
          <div className={styles.start}>
            <SubmitButton
              variant="contained"
              size="large"
              startIcon={<Play size={20} />}
              disabled={chosen.length === 0}
            >
              {words.today.start(total)}
            </SubmitButton>
            <TextField
              select
              size="small"
              name="noVerdict"
              label={words.today.noVerdict}
              defaultValue={person.no_verdict}
              fullWidth={false}
              sx={{ width: 300 }}
            >
              {NO_VERDICT_CHOICES.map((choice) => (
                <MenuItem key={choice} value={choice}>
                  {words.today.noVerdicts[choice]}
                </MenuItem>
              ))}
            </TextField>
            {refused?.errors.form && <p role="alert">{refused.errors.form}</p>}
          </div>
          <ul className={styles.passages}>
            {passages.map((passage) => (
              <li key={passage.id}>
                <label>
                  <Checkbox
                    name="passage"
                    value={passage.id}
                    checked={!left.has(passage.id)}
                    onChange={() => toggle(passage.id)}
                  />
                  <span>
                    <strong>{passage.title}</strong>,{" "}
                    {passage.name || words.bars(passage.fromBar, passage.toBar)}
                    <span className={styles.focus}>
                      {schoolsTold(passage.schools)}
                      {passage.focus && <em> · {passage.focus}</em>}
                    </span>
                  </span>
                </label>
                <StateMark state={passage.state} />
                <span className={styles.tempi}>
                  {words.today.from}{" "}
                  <TempoText unit={passage.beatUnit} bpm={passage.start ?? "–"} />
                  <span className={styles.soft}> → {passage.target}</span>
                </span>
                <span className={styles.minutes}>{words.minutes(passage.minutes ?? 0)}</span>
              </li>
            ))}
          </ul>
          <Care open={props.hurtLately} />
        </Form>
      )}
    </Page>
  );
}
