const FREE_TRIES = 5;
/** A whole school may come from one address. */
const FREE_FROM_ONE_ADDRESS = 20;
const FIRST_WAIT_MS = 2000;
const LONGEST_WAIT_MS = 15 * 60_000;
const FORGOTTEN_AFTER_MS = 60 * 60_000;
const MOST_KEYS = 10_000;

/** A name tried from one address: strangers elsewhere can't keep its owner out. */
export const nameFrom = (name: string, address: string): string => `name ${name} from ${address}`;

const isName = (key: string): boolean => key.startsWith("name ");

interface Failures {
  count: number;
  last: number;
}

/**
 * Slows guessing down: after five failures for a name from an address, or twenty from it for any, every further
 * one doubles the wait, up to a quarter of an hour. Kept in memory; an hour of quiet forgets.
 */
export class Throttle {
  private readonly failures = new Map<string, Failures>();

  constructor(private readonly now: () => number) {}

  /** Seconds to wait before any of the keys may try again; 0 when it may now. */
  wait(keys: readonly string[]): number {
    return Math.max(0, ...keys.map((key) => this.waitFor(key)));
  }

  private waitFor(key: string): number {
    const known = this.failures.get(key);
    const free = isName(key) ? FREE_TRIES : FREE_FROM_ONE_ADDRESS;
    if (!known || known.count < free) return 0;
    const pause = Math.min(LONGEST_WAIT_MS, FIRST_WAIT_MS * 2 ** (known.count - free));
    return Math.max(0, Math.ceil((known.last + pause - this.now()) / 1000));
  }

  failed(keys: readonly string[]): void {
    const now = this.now();
    for (const [key, { last }] of this.failures) {
      if (this.failures.size < MOST_KEYS && now - last < FORGOTTEN_AFTER_MS) break;
      this.failures.delete(key);
    }
    for (const key of keys) {
      const known = this.failures.get(key);
      const count = known && now - known.last < FORGOTTEN_AFTER_MS ? known.count + 1 : 1;
      // Put at the end: the oldest come first and are forgotten first.
      this.failures.delete(key);
      this.failures.set(key, { count, last: now });
    }
  }

  /** The name is known again; of an address only this one try is taken back. */
  succeeded(keys: readonly string[]): void {
    for (const key of keys) {
      const known = this.failures.get(key);
      if (known && !isName(key)) known.count--;
      else this.failures.delete(key);
    }
  }
}
