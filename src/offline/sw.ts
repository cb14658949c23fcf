/**
 * The service worker: holds the whole app after the first visit, pages, code, workers and type, and serves it from there, so
 * that nothing on the water needs a network. A newer build is fetched beside it and waits until it is asked for, or until no
 * tab is open. Nothing the user makes passes through here.
 */
import { Serwist, type PrecacheEntry, type SerwistGlobalConfig } from 'serwist';

declare global {
  interface WorkerGlobalScope extends SerwistGlobalConfig {
    __SW_MANIFEST: (PrecacheEntry | string)[] | undefined;
  }
}
declare const self: ServiceWorkerGlobalScope;

const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST ?? [],
  skipWaiting: false,
  clientsClaim: true,
  precacheOptions: {
    cleanupOutdatedCaches: true,
    // A page is the same whichever lure its address asks for.
    ignoreURLParametersMatching: [/.*/],
    plugins: [
      {
        // A worker learns its own address from the answer; one that says it was stored elsewhere would start at the wrong one.
        handlerWillRespond: ({ request, response }) =>
          Promise.resolve(
            request.destination === 'worker'
              ? new Response(response.body, { status: response.status, headers: response.headers })
              : response,
          ),
      },
    ],
  },
});

serwist.addEventListeners();
