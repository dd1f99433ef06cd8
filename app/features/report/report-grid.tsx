import { DataGrid, type GridColDef } from "@mui/x-data-grid";
import { useFormats } from "~/components/locale";
import { reportWords as said } from "~/words/report";
import type { ReportLine } from "~/core/week";

const nonce = () =>
  document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? "";

const { columns } = said;

const number = (
  field: string,
  headerName: string,
  of: (line: ReportLine) => number | null,
  told?: (line: ReportLine) => string,
): GridColDef<ReportLine> => ({
  field,
  headerName,
  type: "number",
  width: 104,
  valueGetter: (_, row) => of(row),
  ...(told && { renderCell: ({ row }) => told(row) }),
});

function Since({ since }: ReportLine) {
  const { shortDay } = useFormats();
  return since && shortDay(since);
}

const COLUMNS: GridColDef<ReportLine>[] = [
  { field: "name", headerName: columns.name, flex: 1, minWidth: 150 },
  {
    field: "since",
    headerName: columns.since,
    width: 110,
    valueGetter: (_, { since }) => since ?? "",
    renderCell: ({ row }) => <Since {...row} />,
  },
  { field: "instrument", headerName: columns.instrument, width: 120 },
  { ...number("days", columns.days, ({ days }) => days), width: 80 },
  number("minutes", columns.minutes, ({ minutes }) => minutes),
  number("byHand", columns.byHand, ({ byHand }) => byHand),
  number("sessions", columns.sessions, ({ sessions }) => sessions),
  number(
    "regularity",
    columns.regularity,
    ({ regularity }) => regularity,
    ({ regularity }) => said.percent(regularity),
  ),
  number(
    "items",
    columns.items,
    ({ items }) => items.done,
    ({ items }) => said.of(items.done, items.asked),
  ),
  {
    ...number(
      "takes",
      columns.takes,
      ({ takes }) => takes.handedIn,
      ({ takes }) => said.of(takes.handedIn, takes.asked),
    ),
    width: 128,
  },
  number("late", columns.late, ({ takes }) => takes.late),
  {
    field: "ratings",
    headerName: columns.ratings,
    width: 110,
    valueGetter: (_, { ratings }) => ratings.join(", "),
  },
  number(
    "grade",
    columns.grade,
    ({ grade }) => grade?.sum ?? null,
    ({ grade }) => (grade ? said.sums.sum(grade.sum) : "–"),
  ),
];

/** The figures in a grid: sorted, filtered, columns hidden and shown by whoever reads them. */
export function ReportGrid({ lines }: { readonly lines: readonly ReportLine[] }) {
  return (
    <DataGrid
      aria-label={said.grid}
      nonce={nonce()}
      rows={lines}
      columns={COLUMNS}
      density="compact"
      initialState={{
        sorting: { sortModel: [{ field: "name", sort: "asc" }] },
        columns: {
          columnVisibilityModel: {
            instrument: false,
            late: false,
            since: lines.some(({ since }) => since !== undefined),
          },
        },
      }}
      showToolbar
      slotProps={{
        toolbar: {
          csvOptions: { disableToolbarButton: true },
          printOptions: { disableToolbarButton: true },
        },
      }}
      hideFooter={lines.length <= 100}
      disableRowSelectionOnClick
      sx={{
        "--DataGrid-rowBorderColor": "var(--line)",
        border: 0,
        borderRadius: 0,
        fontSize: "1rem",
        "& .MuiDataGrid-columnHeaderTitle": { fontWeight: 650 },
      }}
    />
  );
}
