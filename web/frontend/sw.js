// Keeps what was taken along. With a line the server is always asked first, so that no page is stale; without one the kept page stands in.
"use strict";
const KEPT = "half-dusk-kept";
const PATIENCE = 4000;

self.addEventListener("install", () => self.skipWaiting());
self.addEventListener("activate", (event) => event.waitUntil(self.clients.claim()));

self.addEventListener("message", (event) => {
  if (!event.data || !event.data.take) return;
  event.waitUntil((async () => {
    const cache = await caches.open(KEPT);
    let kept = 0;
    let all = true;
    for (const url of [...new Set(event.data.take)]) {
      try {
        const answer = await fetch(url, { cache: "no-store" });
        if (!answer.ok || answer.redirected) throw new Error(url);
        await cache.put(plain(url), answer);
        kept++;
      } catch {
        all = false;
      }
    }
    event.ports[0].postMessage({ kept: all ? kept : 0 });
  })());
});

// A page is kept without its query: the playhead is the page's own matter.
const plain = (url) => {
  const u = new URL(url, self.location.origin);
  return u.origin + u.pathname;
};

self.addEventListener("fetch", (event) => {
  const request = event.request;
  if (request.method !== "GET" || new URL(request.url).origin !== self.location.origin) return;
  event.respondWith((async () => {
    const cache = await caches.open(KEPT);
    const kept = await cache.match(plain(request.url));
    if (!kept) return fetch(request);
    const asset = new URL(request.url).pathname.startsWith("/assets/");
    if (asset) return kept;
    const stop = new AbortController();
    const timer = setTimeout(() => stop.abort(), PATIENCE);
    try {
      const answer = await fetch(request, { signal: stop.signal });
      if (answer.ok && !answer.redirected) await cache.put(plain(request.url), answer.clone());
      return answer;
    } catch {
      return kept;
    } finally {
      clearTimeout(timer);
    }
  })());
});
