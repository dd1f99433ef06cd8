/** Something that is drawn by itself, at once, without the whole stand being drawn anew. */
export class Mark<T> {
  private readonly listeners = new Set<() => void>();

  constructor(private mark: T) {}

  readonly now = (): T => this.mark;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  set(mark: T): void {
    if (mark === this.mark) return;
    this.mark = mark;
    for (const listener of this.listeners) listener();
  }
}
