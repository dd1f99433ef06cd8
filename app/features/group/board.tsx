import Button from "@mui/material/Button";
import { Link } from "react-router";
import { useFormats } from "~/components/locale";
import { Empty, Page, Section } from "~/components/page";
import type { Day } from "~/core/units";
import type { GroupItemTold, MemberLine } from "~/core/week";
import { groupWords } from "~/words/groups";
import type { GroupPiece } from "./group-shapes";
import styles from "./group.module.css";
import { ItemSet } from "./item-set";
import { MemberRow } from "./member-row";

const { board: said } = groupWords;

export interface BoardProps {
  readonly studioId: string;
  readonly group: { readonly id: string; readonly name: string };
  readonly from: Day;
  readonly lines: readonly MemberLine[];
  readonly items: readonly GroupItemTold[];
  readonly pieces: readonly GroupPiece[];
  /** The item that was assigned just now. */
  readonly assigned: string | undefined;
}

/** More items than this don't fit beside each other twice. */
const MOST_ITEMS_TWICE = 2;
/** So few stand in one column. */
const FEW = 8;
/** More than so many under each other stand closer, so that all are seen at once. */
const CLOSE = 15;

/** The players in two columns, where that fits and is shorter. */
function inColumns(lines: readonly MemberLine[], items: number) {
  if (lines.length <= FEW || items > MOST_ITEMS_TWICE) return [lines];
  const half = Math.ceil(lines.length / 2);
  return [lines.slice(0, half), lines.slice(half)];
}

/** Takes that were handed in, of those that are asked for. */
function handedIn(lines: readonly MemberLine[], items: readonly GroupItemTold[]) {
  const asked = items.filter((each) => each.asked.bring === "recording").map(({ id }) => id);
  const all = lines
    .flatMap((line) => line.items)
    .filter(({ itemId, state }) => asked.includes(itemId) && state !== "left-out");
  const done = all.filter(({ takeId }) => takeId !== null);
  return { of: all.length, done: done.length, late: done.filter(({ late }) => late).length };
}

/** It was assigned, and whose week has too little room for it now. */
function Assigned(props: {
  readonly studioId: string;
  readonly itemId: string;
  readonly lines: readonly MemberLine[];
}) {
  const { studioId, itemId, lines } = props;
  const has = (line: MemberLine) =>
    line.items.some((each) => each.itemId === itemId && each.state !== "left-out");
  const short = lines.flatMap((line) =>
    has(line) && line.tooMuch ? [{ ...line, tooMuch: line.tooMuch }] : [],
  );
  const out = short.filter(({ tooMuch }) => tooMuch.falls.length > 0);
  const squeezed = short.filter(({ tooMuch }) => tooMuch.falls.length === 0);
  return (
    <div role="status" className={styles.assigned}>
      <p>
        {said.assigned} {out.length > 0 && said.dontFit}
      </p>
      <ul>
        {out.map(({ id, name, tooMuch }) => (
          <li key={id}>
            <Link to={`/studio/${studioId}/students/${id}/week/change`}>{name}</Link>:{" "}
            {said.falls(tooMuch.falls)}
          </li>
        ))}
      </ul>
      {squeezed.length > 0 && <p>{said.shorter(squeezed.map(({ name }) => name))}</p>}
    </div>
  );
}

/** A group at a glance, two columns of players where there is room. */
export function Board({ studioId, group, from, lines, items, pieces, assigned }: BoardProps) {
  const formats = useFormats();
  const here = `/studio/${studioId}/groups/${group.id}`;
  const practised = lines.filter(({ minutes }) => minutes > 0).length;
  const { of, done, late } = handedIn(lines, items);
  const most = Math.max(20, ...lines.flatMap(({ days }) => days.map(({ minutes }) => minutes)));
  return (
    <Page
      title={group.name}
      lead={
        <>
          {said.lead(practised, lines.length, formats.shortDay(from))}{" "}
          {of > 0 && said.handed(done, of, late)}
        </>
      }
      back={{ to: `/studio/${studioId}/groups`, label: groupWords.title }}
      actions={
        <>
          <Button component={Link} to={`${here}/members`} variant="text">
            {groupWords.members}
          </Button>
          <Button
            component={Link}
            to={`/studio/${studioId}/report?group=${group.id}`}
            variant="outlined"
          >
            {said.report}
          </Button>
          <Button component={Link} to={`${here}/rehearsal`} variant="outlined">
            {said.rehearsal}
          </Button>
          <Button component={Link} to={`${here}/set`} variant="contained">
            {said.set}
          </Button>
        </>
      }
    >
      {items.some(({ id }) => id === assigned) && (
        <Assigned studioId={studioId} itemId={assigned!} lines={lines} />
      )}
      {lines.length === 0 ? (
        <Empty
          action={
            <Button component={Link} to={`${here}/members`} variant="outlined">
              {groupWords.members}
            </Button>
          }
        >
          {said.empty}
        </Empty>
      ) : (
        <div className={styles.board}>
          {inColumns(lines, items.length).map((column) => (
            <div key={column[0]!.id} className={column.length > CLOSE ? styles.close : undefined}>
              <div className={styles.head} aria-hidden>
                <span className={styles.who}>{said.who}</span>
                <span className={styles.headDays} style={{ width: lines[0]!.days.length * 9 - 3 }}>
                  {said.days}
                </span>
                <span className={styles.total}>{said.minutes}</span>
                {items.map((item, n) => (
                  <span key={item.id} className={styles.state} title={item.asked.title}>
                    {n + 1}. {item.asked.title}
                  </span>
                ))}
              </div>
              <ul className={styles.rows}>
                {column.map((line) => (
                  <MemberRow
                    key={line.id}
                    line={line}
                    items={items}
                    studioId={studioId}
                    most={most}
                    roomy={column.length === lines.length}
                  />
                ))}
              </ul>
            </div>
          ))}
        </div>
      )}
      <Section title={groupWords.item.title}>
        {items.length === 0 && <p className={styles.soft}>{said.nothingSet}</p>}
        <ul className={styles.items}>
          {items.map((item, n) => (
            <ItemSet
              key={item.id}
              number={n + 1}
              item={item}
              lines={lines}
              pieces={pieces}
              here={here}
            />
          ))}
        </ul>
      </Section>
    </Page>
  );
}
