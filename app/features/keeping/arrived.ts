const KEY = "fidus-arrived";

/** Remembers that something has arrived just now: a page that is being made may not have it yet. */
export function noteArrival(): void {
  try {
    sessionStorage.setItem(KEY, String(performance.timeOrigin + performance.now()));
  } catch {
    // A browser that keeps nothing shows it when the page is asked for again.
  }
}

/** Whether something has arrived since this page was asked for, so that it may be older; told once. */
export function arrivedSinceAsked(): boolean {
  try {
    const at = Number(sessionStorage.getItem(KEY) ?? 0);
    sessionStorage.removeItem(KEY);
    return at >= performance.timeOrigin;
  } catch {
    return false;
  }
}
