/// <reference lib="webworker" />
import { clientsClaim } from 'workbox-core';
import { cleanupOutdatedCaches, createHandlerBoundToURL, precacheAndRoute } from 'workbox-precaching';
import { NavigationRoute, registerRoute } from 'workbox-routing';
import { NetworkFirst } from 'workbox-strategies';

declare const self: ServiceWorkerGlobalScope & {
  /** The files of the app, put in when it is built: those without a hash in their name with one beside it. */
  __WB_MANIFEST: { url: string; revision: string | null }[];
};

/** On a weak network what was last heard is shown after so long; what is heard later counts from the next asking. */
const PATIENCE_S = 10;

/** What of the shop can be read without its computer, as it was last heard. Files to print are made anew each time. */
const READ = /^\/api\/(tickets|shelf|rules|logbook|set-aside)(\/[^/]+)*$/;

precacheAndRoute(self.__WB_MANIFEST);
cleanupOutdatedCaches();
registerRoute(new NavigationRoute(createHandlerBoundToURL('/index.html'), { denylist: [/^\/api\//] }));
registerRoute(
  ({ url, request }) => request.method === 'GET' && READ.test(url.pathname),
  new NetworkFirst({ cacheName: 'shop', networkTimeoutSeconds: PATIENCE_S }),
);
// The first page that opens is served too. A newer app waits until somebody takes it.
clientsClaim();
self.addEventListener('message', ({ data }) => {
  if (data === 'take over') void self.skipWaiting();
});
