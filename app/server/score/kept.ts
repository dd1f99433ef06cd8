/** How much engraved music is kept ready, in characters. */
const MOST_KEPT = 60_000_000;

const sizeOf = (value: unknown): number => JSON.stringify(value).length;

/** Results by name; what was not asked for longest goes first. Asked twice at once it is made once. */
export class Kept<T> {
  private readonly ready = new Map<string, { readonly value: T; readonly size: number }>();
  private readonly underWay = new Map<string, Promise<T>>();
  private total = 0;

  async of(name: string, make: () => Promise<T>): Promise<T> {
    const found = this.ready.get(name);
    if (found) {
      this.ready.delete(name);
      this.ready.set(name, found);
      return found.value;
    }
    const running = this.underWay.get(name) ?? this.make(name, make);
    this.underWay.set(name, running);
    return running;
  }

  private async make(name: string, make: () => Promise<T>): Promise<T> {
    try {
      const value = await make();
      const size = sizeOf(value);
      this.ready.set(name, { value, size });
      this.total += size;
      for (const [oldest, { size: freed }] of this.ready) {
        if (this.total <= MOST_KEPT || oldest === name) break;
        this.ready.delete(oldest);
        this.total -= freed;
      }
      return value;
    } finally {
      this.underWay.delete(name);
    }
  }
}
