import Button from "@mui/material/Button";
import { Link } from "react-router";
import { Care } from "~/components/care";
import { useFormats } from "~/components/locale";
import { Empty, Page, Section } from "~/components/page";
import { AdviceList } from "~/features/advice/advice-list";
import { words } from "~/words";
import { listenWords } from "~/words/listen";
import { heartWords } from "~/words/by-heart";
import { planWords } from "~/words/plan";
import { LookedOn } from "./looked-on";
import { SessionForm } from "./session-form";
import { WeekChanged } from "./week-changed";
import type { TodayPageProps } from "./today-shapes";
import styles from "./today.module.css";

/** Today's session as a ribbon of minutes: fitted, changed by hand, and started. */
export function TodayPage(props: TodayPageProps) {
  const { studioId, today, person, passages, openSession } = props;
  const formats = useFormats();
  const home = `/studio/${studioId}/students/${person.id}`;
  const Planned = props.looksOnly ? LookedOn : SessionForm;
  const nothingAtAll = passages.length === 0 && props.asked.length === 0;
  const told = [
    formats.longDay(today),
    props.playedMinutes > 0
      ? words.capital(
          planWords.today.played(props.playedMinutes, props.timesSaid ? props.there : 0),
        )
      : undefined,
    props.timesSaid ? undefined : planWords.today.noTimes,
    props.free ? planWords.today.dayOff : undefined,
  ];
  return (
    <Page
      title={words.today.title}
      lead={told.filter(Boolean).join(". ").replaceAll("..", ".")}
      back={{ to: home, label: person.name }}
    >
      {openSession && !props.looksOnly && (
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
      {!props.teaches && <WeekChanged changes={props.changes} looksOnly={props.looksOnly} />}
      {props.word && (
        <blockquote className={styles.word}>
          <span>{planWords.today.word}</span>
          {props.word}
        </blockquote>
      )}
      {props.questions.answered.length > 0 && (
        <div className={styles.answered}>
          {props.questions.answered.map(({ id, text, answer }) => (
            <p key={id}>
              <q>{text}</q> <strong>{answer}</strong>
            </p>
          ))}
        </div>
      )}
      {props.takesLeaving > 0 && <p role="note">{listenWords.leaving(props.takesLeaving)}</p>}
      {props.takesDue.map(({ itemId, passageId, title, due }) => (
        <p key={itemId} className={styles.heart}>
          <Link to={`/studio/${studioId}/passages/${passageId}`}>
            {due < props.today
              ? listenWords.handIn.missed(title, formats.longDay(due))
              : listenWords.handIn.dueSoon(title, due === props.today)}
          </Link>
        </p>
      ))}
      {props.takesAnswered.map(({ takeId, title, answer }) => (
        <p key={takeId} className={styles.heart}>
          <Link to={`/studio/${studioId}/recordings/${takeId}`}>
            {listenWords.handIn.told[answer](title)}
          </Link>
        </p>
      ))}
      {props.heartDue.map(({ pieceId, title, fromBar, toBar }) => (
        <p key={pieceId} className={styles.heart}>
          <Link to={`${home}/pieces/${pieceId}/by-heart`}>
            {heartWords.dueToday(title, words.bars(fromBar, toBar))}
          </Link>
        </p>
      ))}
      {nothingAtAll ? (
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
        <Planned key={`${today} ${props.hurt ?? ""}`} {...props} />
      )}
      <AdviceList
        quiet
        home={home}
        hurts={props.hurts}
        advice={props.advice}
        forToday={props.forToday}
        teaches={props.teaches}
      />
      <Care open={props.hurtLately} />
    </Page>
  );
}
