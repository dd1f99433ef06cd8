import Button from "@mui/material/Button";
import { useMemo } from "react";
import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import { Page, Section } from "~/components/page";
import type { AssignmentItem, Before, TakeAsked, WeekTimes } from "~/core/week";
import { daysBetween, type Day } from "~/core/units";
import { Questions, type WaitingQuestion } from "~/features/questions/questions";
import type { PassageLine } from "~/features/shapes";
import { MoveLesson } from "~/features/my-week/move-lesson";
import { AdviceList } from "~/features/advice/advice-list";
import type { AdviceShown } from "~/features/advice/advice-shapes";
import { preparedItem } from "~/features/advice/prepared-item";
import { Tried, type TriedChange } from "~/features/advice/tried";
import { words } from "~/words";
import { changeWords } from "~/words/change-week";
import { planWords } from "~/words/plan";
import { itemFor } from "./item-for";
import type { TypedLesson } from "~/forms/typed-lesson";
import type { KeptLadderName, LastWeek, LessonDraft } from "./lesson-shapes";
import { NextWeek } from "./next-week";
import { ReviewRow } from "./review-row";
import { useLesson, type Lesson } from "./use-lesson";
import { useExercise } from "./use-exercise";
import { WeekItems } from "./week-items";
import styles from "./lesson.module.css";

interface LessonPageProps {
  readonly studioId: string;
  /** Whoever is here teaches themself. */
  readonly self: boolean;
  readonly today: Day;
  readonly person: { readonly id: string; readonly name: string };
  readonly timesSaid: boolean;
  readonly questions: readonly WaitingQuestion[];
  readonly hurts: boolean;
  readonly advice: readonly AdviceShown[];
  readonly tried: readonly TriedChange[];
  readonly last: LastWeek | undefined;
  /** What has become of the takes that last week asked for, by item. */
  readonly takes: Readonly<Record<string, TakeAsked>>;
  readonly times: WeekTimes;
  readonly before: Before;
  readonly weak: boolean;
  readonly draft: LessonDraft;
  /** What was typed and not saved. */
  readonly typed: TypedLesson | undefined;
  readonly passages: readonly PassageLine[];
  readonly shapes: readonly KeptLadderName[];
  readonly ladders: readonly KeptLadderName[];
  readonly exercises: readonly KeptLadderName[];
}

/** What an exercise brought can't be played yet; the week is laid out by that. */
const useBefore = (before: Before, given: readonly PassageLine[]): Before =>
  useMemo(() => {
    const raw = given.filter(({ state }) => state === "raw").map(({ id }) => id);
    return { ...before, raw: [...before.raw, ...raw] };
  }, [before, given]);

/** The page lays out what is typed anew, with the days as they are now. */
const readAgain = () => window.location.reload();

const { lesson } = planWords;
/** Last week item by item, next week as it is put together, and how it will lie on the days. */
export function LessonPage(props: LessonPageProps) {
  const { studioId, person, draft } = props;
  const formats = useFormats();
  const home = `/studio/${studioId}/students/${person.id}`;
  const given = useExercise();
  const before = useBefore(props.before, given.passages);
  const it = useLesson({
    home,
    draft,
    last: props.last?.items ?? [],
    times: props.times,
    before,
    typed: props.typed,
  });
  const prepare = (passageId: string | null, change: Partial<AssignmentItem>) => {
    const there = it.items.findIndex((item) => item.passageId === passageId);
    const passage = props.passages.find(({ id }) => id === passageId);
    if (there >= 0) it.setItem(there, change);
    else if (passage) it.add({ ...itemFor(passage), ...change });
  };
  const kept = props.self ? lesson.ownKept : lesson.kept;
  const status = draft.set && !draft.kept ? lesson.asSet : kept;
  return (
    <Page
      title={props.self ? lesson.ownTitle : lesson.title}
      lead={props.self ? lesson.ownLead : lesson.lead(person.name)}
      back={{ to: home, label: person.name }}
    >
      <TypedNote it={it} />
      <Section
        title={draft.heldToday ? lesson.before : lesson.last}
        aside={
          props.last && (
            <span>
              {lesson.total(
                props.last.done.minutes,
                props.last.goal.minutes,
                props.last.done.days,
                props.last.goal.days,
                props.last.goesOn,
              )}
            </span>
          )
        }
      >
        {props.last && !draft.heldToday && (
          <div className={styles.fixes}>
            {props.last.goesOn && (
              <Button component={Link} to={`${home}/week/change`} variant="outlined">
                {changeWords.title}
              </Button>
            )}
            <MoveLesson
              home={home}
              today={props.today}
              lesson={props.last.until}
              label={changeWords.moveLesson}
              onMoved={readAgain}
            />
          </div>
        )}
        {props.questions.length > 0 && (
          <div className={styles.questions}>
            <h3>{lesson.questions}</h3>
            <Questions home={home} today={props.today} waiting={props.questions} />
          </div>
        )}
        <Tried home={home} tried={props.tried} />
        {props.last ? (
          <Review
            last={props.last}
            takes={props.takes}
            recordings={`/studio/${props.studioId}/recordings`}
            today={props.today}
            it={it}
          />
        ) : (
          <p className={styles.soft}>{lesson.first}</p>
        )}
      </Section>
      <AdviceList
        quiet
        teaches
        home={home}
        hurts={props.hurts}
        advice={props.advice}
        prepare={({ rule, passageId }) => prepare(passageId, preparedItem(rule))}
      />

      <WeekItems it={it} {...props} given={given} />

      <Section title={lesson.preview}>
        <NextWeek
          it={it}
          week={it.week}
          preview={it.preview}
          raw={before.raw}
          home={home}
          today={props.today}
          timesSaid={props.timesSaid}
          smaller={props.hurts ? "hurt" : props.weak ? "weak" : undefined}
        />
      </Section>
      {it.theirs && (
        <div className={styles.conflict} role="alert">
          <p>{it.refused}</p>
          <Button variant="contained" onClick={it.keepMine}>
            {lesson.mine}
          </Button>
          <Button variant="outlined" onClick={it.takeTheirs}>
            {lesson.theirs}
          </Button>
        </div>
      )}
      <div className={`${styles.setting} sticks-below`}>
        <Button variant="contained" size="large" disabled={it.busy} onClick={it.set}>
          {draft.set ? lesson.setAgain : lesson.set}
        </Button>
        <Button variant="outlined" disabled={it.busy} onClick={it.keep}>
          {lesson.keep}
        </Button>
        <span role="status" className={styles.soft}>
          {it.changed ? lesson.unsaved : status}
        </span>
        {!it.theirs && it.refused && <p role="alert">{it.refused}</p>}
        <span className={styles.soft}>
          {words.capital(
            lesson.lastSpan(
              formats.shortDay(it.values.from || props.today),
              formats.shortDay(it.values.until || props.today),
            ),
          )}
          ,{" "}
          {planWords.days(
            Math.max(0, daysBetween(it.values.from || props.today, it.values.until || props.today)),
          )}
        </span>
      </div>
    </Page>
  );
}

/** What was typed before and not saved: it is there again, or may be fetched. */
function TypedNote({ it }: { readonly it: Lesson }) {
  if (it.typedBefore === undefined) return null;
  const elsewhere = it.typedBefore === "elsewhere";
  return (
    <div className={styles.typed} role="status">
      <p>{elsewhere ? lesson.typedElsewhere : lesson.typedHere}</p>
      {elsewhere && (
        <Button variant="contained" onClick={it.goOnTyped}>
          {lesson.goOnTyped}
        </Button>
      )}
      <Button variant="outlined" onClick={it.discardTyped}>
        {lesson.discardTyped}
      </Button>
    </div>
  );
}

interface ReviewProps extends Pick<LessonPageProps, "takes" | "today"> {
  readonly last: LastWeek;
  readonly it: Lesson;
  /** Where takes are heard. */
  readonly recordings: string;
}

function Review({ last, takes, recordings, today, it }: ReviewProps) {
  const ago = (day: Day) => words.ago(daysBetween(day, today));
  return (
    <>
      <ul className={styles.reviews}>
        {last.items.map((item) => (
          <ReviewRow
            key={item.id}
            item={item}
            take={takes[item.id]}
            takes={recordings}
            decision={it.decisions[item.id] ?? "open"}
            onDecide={(decision) => it.decide(item, decision)}
          />
        ))}
      </ul>
      <div className={styles.said}>
        {last.feelings.length > 0 && (
          <div className={styles.felt}>
            {last.feelings.map(({ day, feeling }, index) => (
              <p key={index}>{lesson.felt(feeling, ago(day))}</p>
            ))}
          </div>
        )}
        <Told title={lesson.notes} lines={last.notes} ago={ago} />
        {last.ratings.length > 0 && (
          <div>
            <h3>{planWords.ratings.title}</h3>
            {last.ratings.map(({ what, yes, partly, no }) => (
              <p key={what}>
                {planWords.ratings.of[what as keyof typeof planWords.ratings.of]}{" "}
                <span className={styles.soft}>
                  {[
                    yes && `${yes} × ${planWords.ratings.answers.yes}`,
                    partly && `${partly} × ${planWords.ratings.answers.partly}`,
                    no && `${no} × ${planWords.ratings.answers.no}`,
                  ]
                    .filter(Boolean)
                    .join(", ")}
                </span>
              </p>
            ))}
          </div>
        )}
      </div>
    </>
  );
}

interface ToldProps {
  readonly title: string;
  readonly lines: readonly { readonly day: Day; readonly text: string }[];
  readonly ago: (day: Day) => string;
}

/** What the student wrote, each line with its day. */
function Told({ title, lines, ago }: ToldProps) {
  if (lines.length === 0) return null;
  return (
    <div>
      <h3>{title}</h3>
      {lines.map(({ day, text }, index) => (
        <p key={index}>
          <q>{text}</q> <span className={styles.soft}>{ago(day)}</span>
        </p>
      ))}
    </div>
  );
}
