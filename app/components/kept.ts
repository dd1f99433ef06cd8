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
  /** Everything whose name begins so. */
  removeAll(beginning: string): void {
    const names = [...here.keys()];
    try {
      names.push(...Object.keys(localStorage));
    } catch {
      // Then only what this page remembers.
    }
    for (const name of names) if (name.startsWith(beginning)) kept.remove(name);
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
