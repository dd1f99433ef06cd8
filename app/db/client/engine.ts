export interface EngineResult {
  readonly rows: readonly unknown[];
  readonly affected: number;
}

/**
 * What carries SQL to a database: one connection, statements in the order they are given.
 * numeric and bigint come back as numbers, date as "yyyy-mm-dd", timestamptz as Date.
 */
export interface Engine {
  query(sql: string, params: readonly unknown[]): Promise<EngineResult>;
  /** Several statements at once, without parameters: for migrations. */
  script(sql: string): Promise<void>;
  close(): Promise<void>;
}

/** What an engine throws when the database refuses a statement. */
export interface SqlFailure {
  readonly message: string;
  readonly code?: string | undefined;
  readonly constraint?: string | undefined;
}
