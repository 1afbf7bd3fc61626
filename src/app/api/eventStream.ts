/** So many may listen to one device at once: each holds a timer. */
const MOST_LISTENERS = 8;
const listeners = new Map<string, number>();

/** A simulated device that speaks again and again. */
export interface Speaker {
  readonly name: string;
  readonly everyMs: number;
  /** What it says first; left out: its first line at once. */
  readonly first?: string;
  /** What it says so many seconds after it was switched on; null: nothing this time. */
  readonly line: (seconds: number, tick: number) => string | null;
  /** It is silent from this line on. */
  readonly last?: string;
}

/** Requests of pages of another origin are refused; null: it is one of our own. */
export const refuseForeign = (request: Request): Response | null =>
  request.headers.get('sec-fetch-site') === 'cross-site'
    ? new Response('Requests of another origin are refused.\n', { status: 403 })
    : null;

/** A number of a query within limits; null where it is none. */
export function within(text: string | null, least: number, most: number): number | null {
  const value = Number(text ?? NaN);
  return text !== '' && value >= least && value <= most ? value : null;
}

/** Server-sent events of a device, until nobody listens any more; 503 where too many do. */
export function eventStream(request: Request, device: Speaker): Response {
  const { name, everyMs, first, line, last } = device;
  const here = listeners.get(name) ?? 0;
  if (here >= MOST_LISTENERS)
    return new Response(`Too many listen to the simulated ${name}.\n`, { status: 503 });
  listeners.set(name, here + 1);
  const startMs = Date.now();
  const encoder = new TextEncoder();
  let timer: ReturnType<typeof setInterval> | undefined;
  let ended = false;
  const end = () => {
    if (ended) return;
    ended = true;
    listeners.set(name, (listeners.get(name) ?? 1) - 1);
    clearInterval(timer);
  };
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      let tick = 0;
      const send = (text: string | null) =>
        controller.enqueue(encoder.encode(text === null ? ': silent\n\n' : `data: ${text}\n\n`));
      const close = () => {
        if (!ended) controller.close();
        end();
      };
      const say = () => {
        const text = line((Date.now() - startMs) / 1000, tick);
        tick += 1;
        send(text);
        if (last !== undefined && text === last) close();
      };
      if (first === undefined) say();
      else send(first);
      timer = setInterval(say, everyMs);
      request.signal.addEventListener('abort', close);
    },
    cancel: end,
  });
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}
