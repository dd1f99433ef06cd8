/** A demonstration of a passage: when its bars begin in the recording. */
export interface AlongSource {
  readonly id: string;
  readonly name: string;
  readonly fromBar: number;
  /** Bar lines in seconds; one more than there are bars. */
  readonly lines: readonly number[];
}

/** By passage. */
export type AlongSources = Readonly<Record<string, AlongSource>>;
