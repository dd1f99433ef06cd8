import Button from "@mui/material/Button";
import { Link, useNavigate } from "react-router";
import { useFormats } from "~/components/locale";
import { Empty, Page } from "~/components/page";
import { PagedRows } from "~/components/paged-rows";
import type { Column } from "~/components/rows-shown";
import { WHOLE_LOG, type LogQuery } from "~/forms/log";
import { PAGE_SIZES, searchOf } from "~/forms/paging";
import { words } from "~/words";
import { LogFilter } from "./log-filter";
import { whatOf, type LogLine } from "./log-rows";
import styles from "./log.module.css";

export interface LogPageProps {
  readonly studioId: string;
  readonly person: { readonly id: string; readonly name: string };
  readonly query: LogQuery;
  readonly totals: {
    readonly lines: number;
    readonly sessions: number;
    readonly days: number;
    readonly minutes: number;
  };
  readonly lines: readonly LogLine[];
}

const { log } = words;
const asks = ({ find, kind, from, to }: LogQuery) => [find, kind, from, to].some(Boolean);

/** What was played, done and said, line by line; to be searched, sorted and taken along. */
export function LogPage({ studioId, person, query, totals, lines }: LogPageProps) {
  const navigate = useNavigate();
  const show = (next: Partial<LogQuery>, replace = false) => {
    const search = searchOf({ ...query, ...next }, WHOLE_LOG);
    void navigate(`?${search}`, { preventScrollReset: true, replace });
  };
  const columns = useColumns(studioId);
  const empty = totals.lines === 0 && !asks(query);
  const home = `/studio/${studioId}/students/${person.id}`;
  return (
    <Page
      title={log.title}
      lead={empty ? undefined : log.inAll(totals.sessions, totals.minutes, totals.days)}
      back={{ to: home, label: person.name }}
      actions={
        !empty && (
          <Button
            component="a"
            href={`${home}/log.csv?${searchOf(query, WHOLE_LOG)}`}
            download
            variant="outlined"
          >
            {log.csv}
          </Button>
        )
      }
    >
      {empty ? (
        <Empty>{log.empty}</Empty>
      ) : (
        <>
          <LogFilter query={query} onAsk={(part) => show({ ...part, page: 0 }, true)} />
          <PagedRows
            label={log.title}
            columns={columns}
            rows={lines}
            total={totals.lines}
            sizes={PAGE_SIZES}
            shown={query}
            onShow={({ sort, down, page, rows }) =>
              show({ sort: sort as LogQuery["sort"], down, page, rows: rows as LogQuery["rows"] })
            }
          />
        </>
      )}
    </Page>
  );
}

function useColumns(studioId: string): Column<LogLine>[] {
  const formats = useFormats();
  return [
    {
      name: "day",
      label: log.day,
      width: 125,
      sortable: true,
      cell: ({ day, session_id: id }) =>
        id ? (
          <Link to={`/studio/${studioId}/sessions/${id}`}>{formats.shortDay(day)}</Link>
        ) : (
          formats.shortDay(day)
        ),
    },
    { name: "what", label: log.what, sortable: true, cell: (line) => <What {...line} /> },
    {
      name: "minutes",
      label: log.minutes,
      width: 100,
      number: true,
      sortable: true,
      cell: ({ minutes }) => minutes !== null && formats.tenth(minutes),
    },
    {
      name: "reached",
      label: log.tempo,
      width: 210,
      sortable: true,
      cell: (line) => <Moved {...line} />,
    },
    {
      name: "clean",
      label: log.clean,
      width: 150,
      number: true,
      sortable: true,
      cell: ({ clean, plays }) => clean !== null && plays !== null && words.cleanOf(clean, plays),
    },
  ];
}

function What(line: LogLine) {
  const { kind, note } = line;
  if (kind === "said" || kind === "asked") {
    return (
      <span>
        <span className={styles.soft}>{log.kinds[kind]}</span> <q>{note}</q>
      </span>
    );
  }
  if (kind === "pain") return <strong className={styles.pain}>{log.kinds.pain}</strong>;
  return (
    <span>
      {whatOf(line)}
      {kind === "by-hand" && <span className={styles.soft}> {log.kinds["by-hand"]}</span>}
      {note && <q className={styles.note}>{note}</q>}
    </span>
  );
}

function Moved({ start, reached, ended_at: ended, by_clock: clock, beat_unit: unit }: LogLine) {
  if (start === null || ended === null || unit === null) return null;
  return (
    <span>
      {reached === null
        ? words.afterwards.noGate(ended, clock)
        : words.afterwards.reached(start, reached, ended)}
    </span>
  );
}
