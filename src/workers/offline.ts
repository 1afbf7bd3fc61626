/// <reference lib="webworker" />
import { PrecacheRoute, Serwist, type PrecacheEntry } from 'serwist';

declare const self: ServiceWorkerGlobalScope & {
  readonly __SW_MANIFEST: (PrecacheEntry | string)[];
};

/** Every place is drawn by this one page. */
const SHELL = '/';
/** Answered by the server alone: nothing of it is kept. */
const SERVER_ONLY = [/^\/api\//, /^\/offline\//];
const POLICY = 'content-security-policy';

const serwist = new Serwist({
  // A new version waits until somebody takes it: no tab loses the files that it runs on.
  skipWaiting: false,
  clientsClaim: true,
  disableDevLogs: true,
});
serwist.addToPrecacheList(self.__SW_MANIFEST);

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

serwist.registerCapture(
  ({ request, url, sameOrigin }) =>
    sameOrigin &&
    request.mode === 'navigate' &&
    !SERVER_ONLY.some((server) => server.test(url.pathname)),
  { handle: ({ request }) => shell(request) },
);
serwist.registerRoute(new PrecacheRoute(serwist));
serwist.addEventListeners();
