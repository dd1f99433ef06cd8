import Alert from "@mui/material/Alert";
import Button from "@mui/material/Button";
import { Form, Link } from "react-router";
import { useFormats } from "~/components/locale";
import { Section } from "~/components/page";
import { SubmitButton } from "~/components/submit-button";
import type { Change, DatedOutlook, PassageOutlook } from "~/core/record";
import { chanceInWords, outlookWords as said } from "~/words/outlook";
import styles from "./progress.module.css";

interface OutlookProps {
  readonly outlook: PassageOutlook;
  readonly concertName: string;
  readonly hurts: boolean;
  /** Where the student's times, week and piece are. */
  readonly home: string;
  readonly pieceId: string;
  /** A teacher sets targets. */
  readonly teaches: boolean;
  /** A target was just set. */
  readonly changed: { readonly is: number; readonly was: number } | undefined;
}

/** Whether a passage stands by its dates, and what would change that. */
export function Outlook(props: OutlookProps) {
  const { outlook, hurts, changed } = props;
  return (
    <Section title={said.title}>
      {changed && (
        <Alert severity="success" role="status">
          {said.targetSet(changed.is, changed.was)}{" "}
          <TargetButton to={changed.was}>{said.takeBack(changed.was)}</TargetButton>
        </Alert>
      )}
      {outlook.unknown ? (
        <p>{said.unknown(outlook.practiceDays)}</p>
      ) : (
        <>
          {outlook.dates.length === 0 && <p>{said.noDate}</p>}
          {outlook.dates.map((date) => (
            <Dated key={date.kind} {...props} date={date} />
          ))}
          {hurts && <p>{said.hurts}</p>}
          <p className={styles.soft}>{said.known(outlook.practiceDays)}</p>
        </>
      )}
    </Section>
  );
}

function Dated({ date, ...props }: OutlookProps & { readonly date: DatedOutlook }) {
  const formats = useFormats();
  const { kind, day, target, chance, ahead, minutes, changes } = date;
  const away = said.ahead(ahead.likely, ahead.soonest, ahead.latest);
  const inMinutes = minutes !== null && minutes > 0 ? said.minutes(minutes) : "";
  return (
    <div className={styles.dated}>
      <p className={styles.date}>
        {said.date[kind](props.concertName, formats.longDay(day), formats.whole(target))}
      </p>
      <p className={styles.chance}>{chanceInWords(chance)}</p>
      <p className={styles.soft}>{away + inMinutes}</p>
      {changes.length > 0 && (
        <>
          <h3 className={styles.change}>{said.change}</h3>
          <ul className={styles.changes}>
            {changes.map((change) => (
              <li key={change.kind}>
                <ChangeOffered {...props} change={change} goal={kind === "week"} />
                <span>{chanceInWords(change.chance)}</span>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  );
}

function ChangeOffered(props: OutlookProps & { readonly change: Change; readonly goal: boolean }) {
  const { change, home, teaches, goal } = props;
  if (change.kind === "target") {
    // The goal of a week is set where the week is.
    if (teaches && !goal) {
      return <TargetButton to={change.target}>{said.setTarget(change.target)}</TargetButton>;
    }
    return goal && teaches ? (
      <Place to={`${home}/lesson`}>{said.changes.target(change.target)}</Place>
    ) : (
      <>{said.changes.target(change.target)}</>
    );
  }
  const places = {
    "day-more": `${home}/times`,
    "minutes-more": `${home}/lesson`,
    half: `${home}/pieces/${props.pieceId}`,
  };
  return teaches ? (
    <Place to={places[change.kind]}>{said.changes[change.kind]}</Place>
  ) : (
    <>{said.changes[change.kind]}</>
  );
}

const Place = ({ to, children }: { readonly to: string; readonly children: string }) => (
  <Button component={Link} to={to} variant="outlined" size="small">
    {children}
  </Button>
);

function TargetButton({ to, children }: { readonly to: number; readonly children: string }) {
  return (
    <Form method="post" className={styles.inline}>
      <input type="hidden" name="act" value="target" />
      <input type="hidden" name="target" value={to} />
      <SubmitButton variant="outlined" size="small">
        {children}
      </SubmitButton>
    </Form>
  );
}
