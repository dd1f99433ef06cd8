import { lazy, Suspense } from "react";
import { useAlive } from "./alive";
import type { PagedRowsProps } from "./rows-shown";
import styles from "./paged-rows.module.css";

const DataRows = lazy(() =>
  import("./data-rows").then(({ DataRows: rows }) => ({ default: rows })),
);

/**
 * Rows to compare, a page at a time, sorted by the server. Before the page is alive, and in print,
 * they are a plain table.
 */
export function PagedRows<Row extends { readonly id: string }>(props: PagedRowsProps<Row>) {
  const plain = <PlainRows {...props} />;
  if (!useAlive()) return plain;
  // The grid's columns know nothing of the row's kind; cells are drawn by ours.
  const any = props as unknown as PagedRowsProps<{ readonly id: string }>;
  return (
    <>
      <div className={styles.onScreen}>
        <Suspense fallback={plain}>
          <DataRows {...any} />
        </Suspense>
      </div>
      <div className={styles.inPrint}>{plain}</div>
    </>
  );
}

function PlainRows<Row extends { readonly id: string }>(props: PagedRowsProps<Row>) {
  const { label, columns, rows } = props;
  return (
    <div className={styles.scroll} role="group" aria-label={label} tabIndex={0}>
      <table className={styles.plain}>
        <thead>
          <tr>
            {columns.map((column) => (
              <th key={column.name} scope="col" className={column.number ? styles.number : ""}>
                {column.label}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row) => (
            <tr key={row.id}>
              {columns.map((column) => (
                <td key={column.name} className={column.number ? styles.number : ""}>
                  {column.cell(row)}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
