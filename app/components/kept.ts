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
  set(key: string, value: string): void {
    here.set(key, value);
    try {
      localStorage.setItem(key, value);
    } catch {
      // Then it holds until the page is closed.
    }
  },
};
