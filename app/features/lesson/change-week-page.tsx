import Button from "@mui/material/Button";
import { useMemo, useState } from "react";
import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import { Empty, Page, Section } from "~/components/page";
import type { WeekFacts, WeekTimes, Written } from "~/core/week";
import type { Day } from "~/core/units";
import type { PassageLine } from "~/features/shapes";
import { words } from "~/words";
import { changeWords } from "~/words/change-week";
import { planWords } from "~/words/plan";
import type { Before } from "./item-editor";
import { ItemList } from "./item-list";
import type { KeptLadderName } from "./lesson-shapes";
import { NextWeek } from "./next-week";
import { useChangeWeek, type RunningWeek } from "./use-change-week";
import styles from "./lesson.module.css";

interface ChangeWeekPageProps {
  readonly studioId: string;
  readonly today: Day;
  readonly person: { readonly id: string; readonly name: string };
  readonly times: WeekTimes;
  readonly timesSaid: boolean;
  readonly week: RunningWeek | undefined;
  readonly facts: WeekFacts | undefined;
  readonly besides: readonly (Written & { readonly day: Day })[];
  readonly raw: readonly string[];
  readonly passages: readonly PassageLine[];
  readonly ladders: readonly KeptLadderName[];
}

/** The week that is on, changed from today: its days so far, its lesson and its keys stay. */
export function ChangeWeekPage(props: ChangeWeekPageProps) {
  const { studioId, person, week, facts } = props;
  const home = `/studio/${studioId}/students/${person.id}`;
  const formats = useFormats();
  return (
    <Page
      title={changeWords.title}
      lead={week && changeWords.lead(person.name, formats.longDay(week.until))}
      back={{ to: `${home}/week`, label: planWords.week.of(person.name) }}
    >
      {week && facts ? (
        <Changing {...props} week={week} facts={facts} home={home} />
      ) : (
        <Empty
          action={
            <Button component={Link} to={`${home}/lesson`} variant="contained">
              {planWords.week.openLesson}
            </Button>
          }
        >
          {changeWords.none}
        </Empty>
      )}
    </Page>
  );
}

interface ChangingProps extends ChangeWeekPageProps {
  readonly week: RunningWeek;
  readonly facts: WeekFacts;
  readonly home: string;
}

function Changing(props: ChangingProps) {
  const { week, facts, today, times, timesSaid, raw, passages, besides, ladders, home } = props;
  const inputs = useMemo(
    () => ({ week, facts, today, times, raw, passages, besides }),
    [week, facts, today, times, raw, passages, besides],
  );
  const it = useChangeWeek(inputs, home);
  const [reached] = useState(() => it.laid.items);
  /** A tempo that was passed in this week asks for a new one. */
  const beforeOf = (id: string): Before | undefined => {
    const item = reached.find((each) => each.id === id);
    const passage = passages.find((each) => each.id === item?.passageId);
    if (!item?.reachedOn) return undefined;
    const raise = passage?.inAWeek ?? undefined;
    return { goalTempo: item.goalTempo, lowered: undefined, raise, reachedOn: item.reachedOn };
  };
  return (
    <>
      <Section title={changeWords.items}>
        <ItemList
          it={it}
          passages={passages}
          ladders={ladders}
          empty={changeWords.empty}
          beforeOf={beforeOf}
        />
      </Section>
      <Section title={changeWords.preview}>
        <NextWeek
          it={it}
          week={it.laid}
          preview={it.preview}
          raw={raw}
          home={home}
          today={today}
          timesSaid={timesSaid}
        />
      </Section>
      <div className={`${styles.setting} sticks-below`}>
        <Button
          variant="contained"
          size="large"
          disabled={it.busy || !it.changed}
          onClick={it.save}
        >
          {changeWords.save}
        </Button>
        <Button component={Link} to={`${home}/week`} variant="outlined">
          {words.cancel}
        </Button>
        <span role="status" className={styles.soft}>
          {it.changed ? changeWords.unsaved : changeWords.saved}
        </span>
        {it.refused && <p role="alert">{it.refused}</p>}
      </div>
    </>
  );
}
