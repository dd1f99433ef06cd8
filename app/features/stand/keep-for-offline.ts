const CACHE = "fidus-stand";
const ASSET = /\/assets\/[\w./-]+/g;

/** Every asset that the page has named or loaded so far. */
function assetsOf(html: string): Set<string> {
  const loaded = performance
    .getEntriesByType("resource")
    .map(({ name }) => new URL(name).pathname)
    .filter((path) => path.startsWith("/assets/"));
  return new Set([...(html.match(ASSET) ?? []), ...loaded]);
}

/**
 * Keeps this stand's page and all that it loads in the browser, with the notes at `notes`, so that
 * it opens again while the server is away. Only the newest stand is kept. Without a service worker
 * nothing changes.
 */
export async function keepForOffline(notes: readonly string[]): Promise<void> {
  if (!("serviceWorker" in navigator)) return;
  try {
    await navigator.serviceWorker.register("/sw.js");
    const page = await fetch(location.pathname, { headers: { Accept: "text/html" } });
    if (!page.ok) return;
    const assets = assetsOf(await page.clone().text());
    const cache = await caches.open(CACHE);
    const wanted = new Set([...assets, ...notes, location.pathname]);
    const addressOf = ({ url }: Request) => {
      const { pathname, search } = new URL(url);
      return pathname + search;
    };
    for (const request of await cache.keys()) {
      if (!wanted.has(addressOf(request))) await cache.delete(request);
    }
    await cache.put(location.pathname, page);
    const known = new Set((await cache.keys()).map(addressOf));
    await cache.addAll([...assets, ...notes].filter((each) => !known.has(each)));
  } catch {
    // Private windows and full disks refuse; the stand then needs the server to open, as before.
  }
}
