import { DataGrid, type GridColDef } from "@mui/x-data-grid";
import type { PagedRowsProps } from "./rows-shown";

type Row = { readonly id: string };

const nonce = () =>
  document.querySelector<HTMLMetaElement>('meta[property="csp-nonce"]')?.nonce ?? "";

/** The rows in a grid that is walked through with the arrow keys; the server pages and sorts. */
export function DataRows(props: PagedRowsProps<Row>) {
  const { label, columns, rows, total, sizes, shown, onShow } = props;
  const drawn = columns.map(
    ({ name, label: headerName, cell, width, number, sortable }): GridColDef<Row> => ({
      field: name,
      headerName,
      sortable: sortable === true,
      ...(width === undefined ? { flex: 1, minWidth: 150 } : { width }),
      ...(number && { align: "right", headerAlign: "right" }),
      renderCell: ({ row }) => cell(row),
    }),
  );
  return (
    <DataGrid
      aria-label={label}
      nonce={nonce()}
      rows={rows}
      columns={drawn}
      rowCount={total}
      paginationMode="server"
      sortingMode="server"
      filterMode="server"
      pageSizeOptions={[...sizes]}
      paginationModel={{ page: shown.page, pageSize: shown.rows }}
      onPaginationModelChange={({ page, pageSize }) =>
        onShow({ ...shown, page: pageSize === shown.rows ? page : 0, rows: pageSize })
      }
      sortModel={[{ field: shown.sort, sort: shown.down ? "desc" : "asc" }]}
      sortingOrder={["desc", "asc"]}
      onSortModelChange={([by]) => {
        if (by) onShow({ ...shown, sort: by.field, down: by.sort === "desc", page: 0 });
      }}
      getRowHeight={() => "auto"}
      disableColumnMenu
      disableRowSelectionOnClick
      sx={{
        "--DataGrid-rowBorderColor": "var(--line)",
        border: 0,
        borderRadius: 0,
        fontSize: "1rem",
        "& .MuiDataGrid-cell": {
          py: 1,
          display: "flex",
          alignItems: "center",
          whiteSpace: "normal",
        },
        "& .MuiDataGrid-columnHeaderTitle": { fontWeight: 650 },
      }}
    />
  );
}
