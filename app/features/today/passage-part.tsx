import Button from "@mui/material/Button";
import { useFetcher } from "react-router";
import { BarStrip } from "~/components/bar-strip";
import { TempoText } from "~/components/beat-unit";
import { SmallStairs } from "~/components/small-stairs";
import type { FittedBlock } from "~/core/session";
import { words } from "~/words";
import { planWords } from "~/words/plan";
import { SaidOfIt } from "./said-of-it";
import type { AskedItem } from "~/core/week";
import type { PassageToday } from "./today-shapes";
import styles from "./part-list.module.css";

const { today } = planWords;

interface PassagePartProps {
  readonly block: FittedBlock;
  readonly passage: PassageToday;
  readonly asked: readonly AskedItem[];
  readonly lessonToday: boolean;
}

/** A passage in today's session: its bars, its way up today, and what the teacher said of it. */
export function PassagePart({ block, passage, asked, lessonToday }: PassagePartProps) {
  const { said, tempi, begins } = passage;
  const items = asked.filter((each) => each.passageId === passage.id);
  const item = items.find((each) => !each.done);
  const more = block.reason.why === "more";
  const doneAlready = more && !item && items.length > 0;
  const beforeLesson = more && lessonToday && said !== undefined;
  const extra =
    passage.goalReached === undefined
      ? planWords.reason(block.reason)
      : today.goalReached(passage.goalReached);
  const why = doneAlready
    ? today.moreOfDone
    : beforeLesson
      ? today.beforeLesson
      : more
        ? extra
        : planWords.reason(block.reason);
  const goal = said?.goalTempo ?? null;
  return (
    <>
      <div className={styles.what}>
        <strong>{passage.title}</strong>
        {passage.name && `, ${passage.name}`}
        {passage.stage && <span className={styles.soft}> · {passage.stage}</span>}
        <span className={styles.why}>
          {words.block[block.kind].name}.{" "}
          {item && item.practised >= 1 ? today.toGo(item.minutes, Math.round(item.practised)) : why}
          {item && <Enough item={item} />}
        </span>
        <SaidOfIt said={said} focus={passage.focus} />
      </div>
      <BarStrip fromBar={passage.fromBar} toBar={passage.toBar} pickup={passage.pickup} />
      <div className={styles.way}>
        <SmallStairs tempi={tempi} goal={goal} />
        <span>
          {words.today.from} <TempoText unit={passage.beatUnit} bpm={begins ?? "–"} />
          {begins !== tempi[0] && tempi[0] !== undefined && <> · {today.fastRuns(tempi[0])}</>}
          {goal !== null && <> · {today.goal(goal)}</>}
        </span>
        {passage.startsAbove !== null && (
          <span className={styles.soft}>{today.startsAbove(passage.startsAbove)}</span>
        )}
      </div>
    </>
  );
}

/** Says that it is enough of an item for today; what it asked is off the list. */
function Enough({ item }: { item: AskedItem }) {
  const fetcher = useFetcher();
  return (
    <fetcher.Form method="post" className={styles.enough}>
      <input type="hidden" name="act" value="enough" />
      <input type="hidden" name="itemId" value={item.itemId} />
      <Button
        type="submit"
        size="small"
        disabled={fetcher.state !== "idle"}
        aria-label={today.enoughOf(item.title)}
      >
        {today.enough}
      </Button>
    </fetcher.Form>
  );
}
