import Button from "@mui/material/Button";
import { Link } from "react-router";
import { TempoText } from "~/components/beat-unit";
import { useFormats } from "~/components/locale";
import { Empty, Page, Section } from "~/components/page";
import type { NestedGoals, ServedGoal, TimeWindow } from "~/core/week";
import { addDays, type Day } from "~/core/units";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { changeWords } from "~/words/change-week";
import { changeTold } from "./change-told";
import { Away } from "./away";
import { MoveLesson } from "./move-lesson";
import { ByHand, type ByHandAnswer } from "./by-hand";
import { GoalBars } from "./goal-bars";
import { MemoryLines, type MemoryLine } from "./memory-lines";
import { takeTold } from "./take-told";
import { oftenTold } from "./often-told";
import { WeekGrid } from "./week-grid";
import { WordedGoals } from "./worded-goals";
import type { Shorthand, StudentWeek, TakeAsked, WeekChange, WeekItem } from "~/core/week";
import styles from "./week-page.module.css";

interface WeekPageProps {
  /** What has become of the takes that it asks for, by item. */
  readonly takes: Readonly<Record<string, TakeAsked>>;
  readonly studioId: string;
  readonly teaches: boolean;
  readonly looksOnly: boolean;
  readonly today: Day;
  readonly person: { readonly id: string; readonly name: string };
  readonly timesSaid: boolean;
  readonly lesson: TimeWindow | null;
  readonly week: StudentWeek | undefined;
  readonly movable: boolean;
  /** It is the one that is on, and can be changed. */
  readonly on: boolean;
  /** What was changed in it since it began. */
  readonly changes: readonly WeekChange[];
  readonly goals: NestedGoals | undefined;
  readonly wordedGoals: readonly ServedGoal[];
  readonly memory: readonly MemoryLine[];
  readonly weeks: readonly { readonly id: string; readonly from: Day; readonly until: Day }[];
  readonly answer: ByHandAnswer;
  /** The player's own codes for what is written down by hand. */
  readonly shorthand: Shorthand;
}

const { week: said } = planWords;

/** The student's week: what is asked on which day, what was done, how far the goals are. */
export function WeekPage(props: WeekPageProps) {
  const { studioId, person, week, teaches, looksOnly, today } = props;
  const formats = useFormats();
  const home = `/studio/${studioId}/students/${person.id}`;
  const span =
    week && said.span(formats.shortDay(week.from), formats.shortDay(addDays(week.until, -1)));
  const lesson = week && props.lesson;
  const others = props.weeks.filter(({ id }) => id !== week?.id);
  return (
    <Page
      title={teaches || looksOnly ? said.of(person.name) : said.title}
      lead={[span, lesson && said.lesson(`${formats.longDay(week.until)}, ${lesson.from}`)]
        .filter(Boolean)
        .join(". ")}
      back={teaches ? { to: home, label: person.name } : undefined}
      actions={
        <>
          {teaches && props.on && (
            <Button component={Link} to={`${home}/week/change`} variant="outlined">
              {changeWords.title}
            </Button>
          )}
          {week?.id && (
            <Button component={Link} to={`${home}/weeks/${week.id}`} variant="outlined">
              {said.sheet}
            </Button>
          )}
          {week?.id && (
            <Button component="a" href={`${home}/week.ics`} variant="outlined">
              {said.calendar}
            </Button>
          )}
          {!looksOnly && (
            <Button component={Link} to={`${home}/times`} variant="outlined">
              {said.times}
            </Button>
          )}
          {teaches && props.movable && week && (
            <MoveLesson
              home={home}
              today={today}
              lesson={week.until}
              label={changeWords.moveLesson}
            />
          )}
          {!looksOnly && <Away home={home} today={today} />}
        </>
      }
    >
      {week ? (
        <>
          {week.text.word && <blockquote className={styles.word}>{week.text.word}</blockquote>}
          <div className={styles.grid}>
            <WeekGrid week={week} today={today} />
          </div>
          <Section title={said.items}>
            <ul className={styles.items}>
              {week.items.map((item) => (
                <ItemLine key={item.id} item={item} take={props.takes[item.id]} />
              ))}
            </ul>
          </Section>
          <Changes changes={props.changes} />
          <div className={styles.columns}>
            {props.goals && (
              <Section title={said.goals}>
                <GoalBars goals={props.goals} goal={week.asked} played={week.played} />
                <WordedGoals goals={props.wordedGoals} canChange={!looksOnly} />
              </Section>
            )}
            {!looksOnly && (
              <Section title={said.byHand}>
                <ByHand key={week.items.length} {...props} items={week.items} />
              </Section>
            )}
          </div>
        </>
      ) : (
        <Section title={said.items}>
          <Empty
            action={
              teaches && (
                <Button component={Link} to={`${home}/lesson`} variant="contained">
                  {said.openLesson}
                </Button>
              )
            }
          >
            {teaches ? said.noneTeacher : said.none}
          </Empty>
        </Section>
      )}
      {!week && !looksOnly && (
        <Section title={said.byHand}>
          <ByHand {...props} items={[]} />
        </Section>
      )}
      {props.memory.length > 0 && (
        <Section title={said.memory}>
          <MemoryLines lines={props.memory} canMark={!looksOnly} home={home} />
        </Section>
      )}
      <OtherWeeks
        title={said.coming}
        home={home}
        weeks={others.filter(({ from }) => from > today)}
      />
      <OtherWeeks
        title={said.older}
        home={home}
        weeks={others.filter(({ from }) => from <= today)}
      />
    </Page>
  );
}

function Changes({ changes }: Pick<WeekPageProps, "changes">) {
  const formats = useFormats();
  if (changes.length === 0) return null;
  return (
    <Section title={changeWords.changes}>
      <ul className={styles.older}>
        {changes.map((change) => (
          <li key={`${change.item.id} ${change.day} ${change.what}`}>
            <span className={styles.soft}>{formats.shortDay(change.day)}</span> {changeTold(change)}
          </li>
        ))}
      </ul>
    </Section>
  );
}

interface OtherWeeksProps {
  readonly title: string;
  readonly home: string;
  readonly weeks: WeekPageProps["weeks"];
}

/** The sheets of weeks before this one, or of one that is set already. */
function OtherWeeks({ title, home, weeks }: OtherWeeksProps) {
  const formats = useFormats();
  if (weeks.length === 0) return null;
  return (
    <Section title={title}>
      <ul className={styles.older}>
        {weeks.map(({ id, from, until }) => (
          <li key={id}>
            <Link to={`${home}/weeks/${id}`}>
              {said.span(formats.shortDay(from), formats.shortDay(addDays(until, -1)))}
            </Link>
          </li>
        ))}
      </ul>
    </Section>
  );
}

interface ItemLineProps {
  readonly item: WeekItem;
  /** The take that it asks for. */
  readonly take: TakeAsked | undefined;
}

function ItemLine({ item, take }: ItemLineProps) {
  const formats = useFormats();
  const notes = [
    item.until && said.putAway(formats.shortDay(item.until)),
    item.reachedOn && said.reachedOn(item.goalTempo!, formats.shortDay(item.reachedOn)),
    item.focus && `${words.cut.focus}: ${item.focus}`,
    item.key && said.key(item.key),
    item.note,
    take
      ? takeTold(take, formats.shortDay)
      : item.bring !== "nothing" && said.toBring(planWords.item.bring[item.bring]),
  ].filter((note): note is string => Boolean(note));
  const done = item.practised.filter((each) => each.done).length;
  return (
    <li className={styles.item}>
      <div>
        <strong>{item.title}</strong>
        {notes.length > 0 && <span className={styles.soft}>{notes.join(" · ")}</span>}
      </div>
      <span>
        {oftenTold(item.often)}, {planWords.minutes(item.minutes)}
      </span>
      <span>
        {item.goalTempo !== null && item.beatUnit && (
          <>
            {planWords.lesson.goalTempo.toLowerCase()}{" "}
            <TempoText unit={item.beatUnit} bpm={item.goalTempo} />
          </>
        )}
      </span>
      <span className={done > 0 ? styles.done : styles.soft}>
        {said.doneOn(done, item.practised.length - done)}
      </span>
    </li>
  );
}
