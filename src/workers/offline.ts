/// <reference lib="webworker" />
import { Serwist, type PrecacheEntry } from 'serwist';

declare const self: ServiceWorkerGlobalScope & {
  readonly __SW_MANIFEST: (PrecacheEntry | string)[];
};

/** Every place is drawn by this one page. */
const SHELL = '/';
/** Answered by the server alone: nothing of it is kept. */
const SERVER_ONLY = [/^\/api\//, /^\/offline\//];
const POLICY = 'content-security-policy';

const serwist = new Serwist({
  precacheEntries: self.__SW_MANIFEST,
  // A new version waits until somebody takes it: no tab loses the files that it runs on.
  skipWaiting: false,
  clientsClaim: true,
  disableDevLogs: true,
});

/** The kept page under a nonce of its own, as the server gives each page one. */
async function shell(request: Request): Promise<Response> {
  const kept = await serwist.matchPrecache(SHELL);
  const nonce = /'nonce-([^']+)'/.exec(kept?.headers.get(POLICY) ?? '')?.[1];
  if (!kept || nonce === undefined) return fetch(request);
  const fresh = btoa(crypto.randomUUID());
  const headers = new Headers(kept.headers);
  headers.set(POLICY, (headers.get(POLICY) ?? '').replaceAll(nonce, fresh));
  return new Response((await kept.text()).replaceAll(nonce, fresh), { headers });
}

/**
 * A kept worker without the address it was kept under: the browser would take that for the worker's own, and what the
 * page wrote behind it (#) would be gone. It is given whole: what is still being sent when its page goes away would keep
 * this worker busy, and a new version waits for that.
 */
async function worker(request: Request): Promise<Response> {
  const kept = await serwist.matchPrecache(new URL(request.url).pathname);
  return kept ? new Response(await kept.blob(), { headers: kept.headers }) : fetch(request);
}

/** Pages and workers are answered here, before the kept files are asked. */
function answer({ request }: FetchEvent): Promise<Response> | null {
  const { origin, pathname } = new URL(request.url);
  if (origin !== self.location.origin || SERVER_ONLY.some((path) => path.test(pathname)))
    return null;
  // A licence, or another file that is kept, is no place.
  const isFile = pathname !== SHELL && serwist.getPrecacheKeyForUrl(request.url) !== undefined;
  if (request.mode === 'navigate' && !isFile) return shell(request);
  return request.destination === 'worker' ? worker(request) : null;
}

self.addEventListener('fetch', (event) => {
  const response = answer(event);
  if (!response) return;
  event.respondWith(response);
  event.stopImmediatePropagation();
});
serwist.addEventListeners();
