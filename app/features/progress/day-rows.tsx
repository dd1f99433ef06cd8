import { useState } from "react";
import { useFormats } from "~/components/locale";
import { PagedRows } from "~/components/paged-rows";
import type { Column, Shown } from "~/components/rows-shown";
import type { PassageDay } from "~/features/shapes";
import { PAGE_SIZES } from "~/forms/paging";
import { words } from "~/words";

const { progress } = words;
const NEWEST_FIRST: Shown = { sort: "day", down: true, page: 0, rows: PAGE_SIZES[0] };

/** What a day is sorted by; nothing reached comes before everything. */
const VALUES: Record<string, (day: PassageDay) => string | number> = {
  day: ({ day }) => day,
  reached: ({ reached_tempo }) => reached_tempo ?? 0,
  comfortable: ({ comfortable }) => comfortable,
  ceiling: ({ ceiling }) => ceiling ?? 0,
  plays: ({ plays }) => plays,
  clean: ({ clean, plays }) => clean / Math.max(1, plays),
  minutes: ({ minutes }) => minutes,
  even: ({ spread }) => spread ?? Infinity,
};

function compare(a: string | number, b: string | number): number {
  if (a === b) return 0;
  return a < b ? -1 : 1;
}

/** The passage day by day, to be compared by any of its numbers. */
export function DayRows({ days }: { days: readonly PassageDay[] }) {
  const formats = useFormats();
  const [shown, setShown] = useState(NEWEST_FIRST);
  const valueOf = VALUES[shown.sort]!;
  const sign = shown.down ? -1 : 1;
  const rows = days
    .map((day) => ({ ...day, id: day.day }))
    .toSorted((a, b) => sign * compare(valueOf(a), valueOf(b)))
    .slice(shown.page * shown.rows, (shown.page + 1) * shown.rows);
  const number = { width: 130, number: true, sortable: true };
  const even: Column<(typeof rows)[number]> = {
    ...number,
    name: "even",
    label: progress.even,
    cell: ({ spread }) => (spread === undefined ? "–" : `${formats.whole(spread)} ms`),
  };
  const columns: Column<(typeof rows)[number]>[] = [
    { name: "day", label: progress.day, sortable: true, cell: ({ day }) => formats.shortDay(day) },
    {
      ...number,
      name: "reached",
      label: words.capital(progress.reached),
      cell: ({ reached_tempo: reached }) => reached ?? "–",
    },
    {
      ...number,
      name: "comfortable",
      label: words.capital(progress.comfortable),
      cell: ({ comfortable }) => formats.whole(comfortable),
    },
    {
      ...number,
      name: "ceiling",
      label: words.capital(progress.ceiling),
      cell: ({ ceiling }) => (ceiling === null ? "–" : formats.whole(ceiling)),
    },
    { ...number, name: "plays", label: progress.plays, cell: ({ plays }) => plays },
    {
      ...number,
      name: "clean",
      label: progress.clean,
      cell: ({ clean, plays }) => (plays > 0 ? formats.percent(clean / plays) : "–"),
    },
    {
      ...number,
      name: "minutes",
      label: progress.minutes,
      cell: ({ minutes }) => formats.tenth(minutes),
    },
    ...(days.some(({ spread }) => spread !== undefined) ? [even] : []),
  ];
  return (
    <PagedRows
      label={progress.days}
      columns={columns}
      rows={rows}
      total={days.length}
      sizes={PAGE_SIZES}
      shown={shown}
      onShow={setShown}
    />
  );
}
