import { Check, Circle, CircleSlash, Ear, Minus, RotateCcw, type LucideIcon } from "lucide-react";
import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import type { GroupItemTold, MemberItem, MemberLine } from "~/core/week";
import { groupWords } from "~/words/groups";
import styles from "./group.module.css";

const { board: said } = groupWords;

const SHAPES: Record<MemberItem["state"], LucideIcon> = {
  "left-out": CircleSlash,
  open: Circle,
  "not-practised": Circle,
  missing: Minus,
  waiting: Ear,
  heard: Check,
  practised: Check,
  again: RotateCcw,
};

interface MemberRowProps {
  readonly line: MemberLine;
  readonly items: readonly GroupItemTold[];
  readonly studioId: string;
  /** Minutes of the longest day of the board; all players share this scale. */
  readonly most: number;
  /** There is room for the instrument. */
  readonly roomy: boolean;
}

/** A player in one line: days, minutes, and where each item stands. */
export function MemberRow({ line, items, studioId, most, roomy }: MemberRowProps) {
  const { id, name, instrument, days, minutes, hurt } = line;
  const practised = days.filter((each) => each.minutes > 0).length;
  return (
    <li className={styles.row}>
      <span className={styles.who}>
        <Link to={`/studio/${studioId}/students/${id}`}>{name}</Link>
        {(hurt || roomy) && (
          <span className={hurt ? styles.madder : styles.soft}>
            {hurt ? said.hurt : instrument}
          </span>
        )}
      </span>
      <Days days={days} most={most} />
      <span className={styles.total}>
        {minutes > 0 ? said.total(minutes, practised) : <span className={styles.soft}>–</span>}
      </span>
      {items.map((item) => (
        <State
          key={item.id}
          item={item}
          of={line.items.find(({ itemId }) => itemId === item.id)}
          studioId={studioId}
        />
      ))}
    </li>
  );
}

const TALL = 20;

function Days({ days, most }: { readonly days: MemberLine["days"]; readonly most: number }) {
  const formats = useFormats();
  const told = days
    .filter(({ minutes }) => minutes > 0)
    .map(({ day, minutes }) => said.dayTold(formats.weekday(day), minutes))
    .join(", ");
  return (
    <span className={styles.days} role="img" aria-label={told || said.state["not-practised"]}>
      {days.map(({ day, minutes }) => (
        <span
          key={day}
          className={minutes > 0 ? styles.played : styles.silent}
          style={{ height: minutes > 0 ? Math.max(4, (TALL * minutes) / most) : 2 }}
        />
      ))}
    </span>
  );
}

interface StateProps {
  readonly item: GroupItemTold;
  readonly of: MemberItem | undefined;
  readonly studioId: string;
}

function State({ item, of, studioId }: StateProps) {
  const state = of?.state ?? "left-out";
  const Shape = SHAPES[state];
  const word = (state === "heard" && of?.rating) || said.state[state];
  const told = of?.late ? `${word}, ${said.late}` : word;
  const face = (
    <>
      <Shape size={15} aria-hidden /> {told}
    </>
  );
  return (
    <span className={`${styles.state} ${styles[state] ?? ""}`} title={item.asked.title}>
      {of?.takeId ? <Link to={`/studio/${studioId}/recordings/${of.takeId}`}>{face}</Link> : face}
    </span>
  );
}
