import type { Verdict } from "~/core/gate";

/** The verdict that was pressed and is being written: seen at once, counted when it is on disk. */
export class Marks {
  private mark: Verdict | undefined;
  private readonly listeners = new Set<() => void>();

  readonly now = (): Verdict | undefined => this.mark;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  set(mark: Verdict | undefined): void {
    if (mark === this.mark) return;
    this.mark = mark;
    for (const listener of this.listeners) listener();
  }
}
