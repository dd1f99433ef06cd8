import Button from "@mui/material/Button";
import { useState } from "react";
import { Link } from "react-router";
import type { Refused } from "~/components/field";
import { useFormats } from "~/components/locale";
import { Empty, Page, Section } from "~/components/page";
import { daysBetween, type Day } from "~/core/units";
import { words } from "~/words";
import { severalWords } from "~/words/several";
import { listenWords } from "~/words/listen";
import { BoardLine } from "./board-line";
import { ordered, type Asked, type Line } from "./board-order";
import { BoardTools } from "./board-tools";
import { Concert } from "./concert";
import styles from "./board.module.css";

export interface WeekBoardProps {
  readonly studioId: string;
  readonly today: Day;
  readonly lines: readonly Line[];
  /** Takes that were handed in and wait. */
  readonly toHear: number;
  readonly groups: readonly {
    readonly id: string;
    readonly name: string;
    readonly members: number;
    /** Of the last seven days. */
    readonly practised: number;
  }[];
  readonly concert: { readonly name: string; readonly day: Day } | undefined;
  readonly refused: Refused | undefined;
  /** Whoever is here teaches nobody else. */
  readonly alone: boolean;
}

/** So many are seen at a glance. */
const FEW = 4;

/** Each student a line from the last lesson to the next. */
export function WeekBoard(props: WeekBoardProps) {
  const { studioId, today, lines, groups, concert, toHear, refused } = props;
  const formats = useFormats();
  const [asked, setAsked] = useState<Asked>({ find: "", order: "look", look: "", group: "" });
  const most = Math.max(
    30,
    ...lines.flatMap(({ days }) => days.map((d) => Math.max(d.played, d.asked))),
  );
  const shown = ordered(lines, asked);
  const add = (
    <>
      {!(props.alone && lines.length > 0) && (
        <>
          <Button component={Link} to={`/studio/${studioId}/students/several`} variant="text">
            {severalWords.title}
          </Button>
          <Button component={Link} to={`/studio/${studioId}/students/many`} variant="text">
            {words.many.title}
          </Button>
        </>
      )}
      <Button component={Link} to={`/studio/${studioId}/students/new`} variant="outlined">
        {words.week.add}
      </Button>
    </>
  );
  return (
    <Page
      title={words.week.title}
      lead={
        <>
          {concert &&
            words.week.concert(
              concert.name,
              daysBetween(today, concert.day),
              formats.longDay(concert.day),
            )}{" "}
          {words.week.lead}
        </>
      }
      actions={
        <>
          {toHear > 0 && (
            <Button component={Link} to={`/studio/${studioId}/listening`} variant="contained">
              {listenWords.handIn.toHear(toHear)}
            </Button>
          )}
          {add}
        </>
      }
    >
      {lines.length > FEW && (
        <BoardTools lines={lines} groups={groups} asked={asked} onAsk={setAsked} />
      )}
      {lines.length === 0 ? (
        <Empty action={add}>{words.week.empty}</Empty>
      ) : (
        <div className={styles.board}>
          <div className={styles.head}>
            <span />
            <span>{words.week.planned}</span>
            <span aria-hidden>{words.week.total}</span>
            <span aria-hidden>{words.week.lastPlayed}</span>
          </div>
          <ul className={styles.lines}>
            {shown.map((line) => (
              <BoardLine key={line.id} line={line} studioId={studioId} today={today} most={most} />
            ))}
          </ul>
          {shown.length === 0 && <p className={styles.soft}>{words.week.none}</p>}
        </div>
      )}
      <Section
        title={words.week.groups}
        aside={<Link to={`/studio/${studioId}/groups`}>{words.week.toGroups}</Link>}
      >
        {groups.length === 0 ? (
          <p className={styles.soft}>{words.week.noGroups}</p>
        ) : (
          <ul className={styles.groups}>
            {groups.map(({ id, name, members, practised }) => (
              <li key={id}>
                <Link className={styles.name} to={`/studio/${studioId}/groups/${id}`}>
                  {name}
                </Link>
                <span className={styles.soft}>{words.week.inGroup(practised, members)}</span>
              </li>
            ))}
          </ul>
        )}
      </Section>
      <Concert concert={concert} today={today} refused={refused} />
      <p>
        <Link to="/password">{words.week.password}</Link>
      </p>
    </Page>
  );
}
