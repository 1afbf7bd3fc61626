import { EVERY_MS, simulatedHello, simulatedLine, type Pan } from '@/devices/simulatedScale';

export const dynamic = 'force-dynamic';

/** So many may listen at once: each holds a timer. */
const MOST_LISTENERS = 8;
let listeners = 0;

const within = (text: string | null, least: number, most: number): number | null => {
  const value = Number(text ?? NaN);
  return text !== null && text !== '' && value >= least && value <= most ? value : null;
};

function panOf({ searchParams }: URL): Pan | null {
  const loadKg = within(searchParams.get('load'), -1, 6);
  const flowKgS = within(searchParams.get('flow'), -0.5, 0.5);
  const stepKg = [0.0001, 0.001].find((s) => s === Number(searchParams.get('step')));
  return loadKg === null || flowKgS === null || stepKg === undefined
    ? null
    : { loadKg, flowKgS, stepKg };
}

/**
 * `GET /api/scale?load=&flow=&step=`: a simulated scale as server-sent events, a line of the scale protocol each, ten in a
 * second. `load` kg on its pan, `flow` kg/s that are poured onto it, `step` kg, 0.0001 or 0.001.
 */
export function GET(request: Request): Response {
  if (request.headers.get('sec-fetch-site') === 'cross-site')
    return new Response('Requests of another origin are refused.\n', { status: 403 });
  const pan = panOf(new URL(request.url));
  if (!pan)
    return new Response(
      'Needs load (-1 to 6 kg), flow (-0.5 to 0.5 kg/s) and step (0.0001 or 0.001 kg).\n',
      { status: 422 },
    );
  if (listeners >= MOST_LISTENERS)
    return new Response('Too many listen to the simulated scale.\n', { status: 503 });
  listeners += 1;
  const startMs = Date.now();
  const encoder = new TextEncoder();
  let timer: ReturnType<typeof setInterval> | undefined;
  let ended = false;
  const end = () => {
    if (ended) return;
    ended = true;
    listeners -= 1;
    clearInterval(timer);
  };
  const body = new ReadableStream<Uint8Array>({
    start(controller) {
      const say = (line: string) => controller.enqueue(encoder.encode(`data: ${line}\n\n`));
      const close = () => {
        if (!ended) controller.close();
        end();
      };
      say(simulatedHello(pan));
      timer = setInterval(() => {
        const line = simulatedLine(pan, (Date.now() - startMs) / 1000);
        say(line);
        if (line === 'OFF') close();
      }, EVERY_MS);
      request.signal.addEventListener('abort', close);
    },
    cancel: end,
  });
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}
