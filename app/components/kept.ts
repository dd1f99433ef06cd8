/** What a browser that keeps nothing remembers until its page is closed. */
const here = new Map<string, string>();

/**
 * What is remembered on this device. A browser may refuse even to be asked (private windows, blocked
 * cookies); then it is remembered for as long as the page is open.
 */
export const kept = {
  get(key: string): string | null {
    try {
      return localStorage.getItem(key) ?? here.get(key) ?? null;
    } catch {
      return here.get(key) ?? null;
    }
  },
  remove(key: string): void {
    here.delete(key);
    try {
      localStorage.removeItem(key);
    } catch {
      // Then there was nothing.
    }
  },
  /** The names that begin so. */
  names(beginning: string): string[] {
    const names = new Set(here.keys());
    try {
      for (const name of Object.keys(localStorage)) names.add(name);
    } catch {
      // Then only what this page remembers.
    }
    return [...names].filter((name) => name.startsWith(beginning));
  },
  removeAll(beginning: string): void {
    for (const name of kept.names(beginning)) kept.remove(name);
  },
  set(key: string, value: string): void {
    here.set(key, value);
    try {
      localStorage.setItem(key, value);
    } catch {
      // Then it holds until the page is closed.
    }
  },
};
