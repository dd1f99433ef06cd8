// Lets the stand open again while the server is away: the page keeps what it needs in one cache,
// and this worker answers from it. Everything else goes to the network as usual.
const CACHE = "fidus-stand";
const STAND = /^\/studio\/[0-9a-f-]+\/sessions\/[0-9a-f-]+\/stand$/;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

const NOTES = /^\/studio\/[0-9a-f-]+\/sessions\/[0-9a-f-]+\/notes\/[0-9a-f-]+$/;
const PAGES = /^\/studio\/[0-9a-f-]+\/students\/[0-9a-f-]+\/pieces\/[0-9a-f-]+\/pages\/\d+$/;

// Notes are kept for the widths they were drawn for; at another one those are better than none.
async function kept(request) {
  const cache = await caches.open(CACHE);
  const exact = await cache.match(request, { ignoreVary: true });
  return exact ?? cache.match(request, { ignoreSearch: true, ignoreVary: true });
}

const networkFirst = (request) =>
  fetch(request).catch(async (error) => {
    const answer = await kept(request);
    if (answer) return answer;
    throw error;
  });

const keptFirst = async (request) => (await kept(request)) ?? fetch(request);

self.addEventListener("fetch", (event) => {
  const { request } = event;
  const url = new URL(request.url);
  if (request.method !== "GET" || url.origin !== self.location.origin) return;
  if (request.mode === "navigate" && STAND.test(url.pathname)) {
    event.respondWith(networkFirst(request));
  } else if (NOTES.test(url.pathname)) {
    event.respondWith(networkFirst(request));
  } else if (url.pathname.startsWith("/assets/") || PAGES.test(url.pathname)) {
    event.respondWith(keptFirst(request));
  }
});
