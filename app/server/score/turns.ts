interface Waiting {
  readonly run: () => Promise<void>;
}

/**
 * Work of several rooms on a few places: each room has one at a time, and rooms take turns, so that
 * one with much to do holds up nobody else's small thing for longer than one of its own.
 */
export class Turns {
  private readonly waiting = new Map<string, readonly Waiting[]>();
  private readonly busyRooms = new Set<string>();

  constructor(private places: number) {}

  /** Does some work of a room when its turn has come. */
  take<T>(room: string, work: () => Promise<T>): Promise<T> {
    return new Promise<T>((resolve, reject) => {
      const run = () => work().then(resolve, reject);
      this.waiting.set(room, [...(this.waiting.get(room) ?? []), { run }]);
      this.next();
    });
  }

  private putLast(room: string, waiting: readonly Waiting[]): void {
    this.waiting.delete(room);
    if (waiting.length > 0) this.waiting.set(room, waiting);
  }

  private next(): void {
    for (const [room, [first, ...others]] of this.waiting) {
      if (this.places === 0) return;
      if (this.busyRooms.has(room)) continue;
      this.putLast(room, others);
      this.places--;
      this.busyRooms.add(room);
      void first!.run().then(() => {
        this.places++;
        this.busyRooms.delete(room);
        // What came meanwhile stands behind those who have waited.
        this.putLast(room, this.waiting.get(room) ?? []);
        this.next();
      });
    }
  }
}
