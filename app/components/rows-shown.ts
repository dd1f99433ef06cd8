import type { ReactNode } from "react";

export interface Column<Row> {
  readonly name: string;
  readonly label: string;
  readonly cell: (row: Row) => ReactNode;
  /** Pixels; without it the column takes what is left. */
  readonly width?: number;
  /** Numbers stand at the right. */
  readonly number?: boolean;
  readonly sortable?: boolean;
}

export interface Shown {
  readonly sort: string;
  readonly down: boolean;
  /** From 0. */
  readonly page: number;
  readonly rows: number;
}

export interface PagedRowsProps<Row extends { readonly id: string }> {
  readonly label: string;
  readonly columns: readonly Column<Row>[];
  readonly rows: readonly Row[];
  /** So many there are on all pages. */
  readonly total: number;
  /** So many rows a page can have. */
  readonly sizes: readonly number[];
  readonly shown: Shown;
  readonly onShow: (shown: Shown) => void;
}
