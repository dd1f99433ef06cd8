/** What stands above is drawn, and asks for what it needs, within this time. */
const HEAD_START_MS = 400;

/**
 * Resolves in the browser when it has nothing to do, once what a page shows first has had its time;
 * on the server at once. For parts of a page that come after the rest.
 */
export const whenQuiet = (): Promise<void> =>
  new Promise((resolve) => {
    if (typeof window === "undefined") return resolve();
    const idle = window.requestIdleCallback ?? ((then: () => void) => then());
    setTimeout(() => idle(() => resolve(), { timeout: HEAD_START_MS }), HEAD_START_MS);
  });
