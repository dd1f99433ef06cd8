import { TABLE_FIELDS, type TableKind, type TypedRow } from "~/forms/table";
import { tableWords } from "~/words/table-in";
import styles from "./records.module.css";

const SHOWN = 12;

interface TablePreviewProps {
  readonly kind: TableKind;
  readonly rows: readonly { readonly typed: TypedRow; readonly against: string | undefined }[];
}

/** The rows as they would come in: first those against which something stands. */
export function TablePreview({ kind, rows }: TablePreviewProps) {
  const numbered = rows.map((row, at) => ({ ...row, number: at + 1 }));
  const shown = [
    ...numbered.filter(({ against }) => against !== undefined),
    ...numbered.filter(({ against }) => against === undefined),
  ].slice(0, SHOWN);
  return (
    <>
      <div className={styles.scroll} tabIndex={0} role="region" aria-label={tableWords.preview}>
        <table className={styles.preview}>
          <thead>
            <tr>
              <th scope="col">{tableWords.row}</th>
              {TABLE_FIELDS[kind].map((field) => (
                <th key={field} scope="col">
                  {tableWords.fields[field]}
                </th>
              ))}
              <th scope="col">{tableWords.stands}</th>
            </tr>
          </thead>
          <tbody>
            {shown.map(({ typed, against, number }) => (
              <tr key={number} data-against={against !== undefined}>
                <td>{number}</td>
                {TABLE_FIELDS[kind].map((field) => (
                  <td key={field}>{typed[field]}</td>
                ))}
                <td>{against ?? tableWords.good}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      {rows.length > SHOWN && <p className={styles.soft}>{tableWords.more(rows.length - SHOWN)}</p>}
    </>
  );
}
