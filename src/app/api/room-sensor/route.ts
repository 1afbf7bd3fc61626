import { simulatedReading, WEATHERS } from '@/devices/simulatedRoom';

export const dynamic = 'force-dynamic';

const EVERY_MS = 2000;
/** So many may listen at once: each holds a timer. */
const MOST_LISTENERS = 8;
let listeners = 0;

const within = (text: string | null, least: number, most: number): number | null => {
  const value = Number(text ?? NaN);
  return value >= least && value <= most ? value : null;
};

/**
 * `GET /api/room-sensor?weather=&hour=&pace=`: a simulated sensor of the room as server-sent events. `hour` is the hour of
 * the day when it was switched on, `pace` the hours of its weather that go by in a minute.
 */
export function GET(request: Request): Response {
  const asked = new URL(request.url).searchParams;
  const weather = WEATHERS.find((w) => w === asked.get('weather'));
  const [hour, pace] = [within(asked.get('hour'), 0, 24), within(asked.get('pace'), 1 / 60, 600)];
  if (request.headers.get('sec-fetch-site') === 'cross-site')
    return new Response('Requests of another origin are refused.\n', { status: 403 });
  if (!weather || hour === null || pace === null)
    return new Response('Needs weather, hour (0 to 24) and pace (1/60 to 600).\n', { status: 422 });
  if (listeners >= MOST_LISTENERS)
    return new Response('Too many listen to the simulated sensor.\n', { status: 503 });
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
      let tick = 0;
      const say = () => {
        const hours = ((Date.now() - startMs) / 60_000) * pace;
        const reading = simulatedReading(weather, hour, hours, tick);
        tick += 1;
        controller.enqueue(
          encoder.encode(reading ? `data: ${JSON.stringify(reading)}\n\n` : ': silent\n\n'),
        );
      };
      say();
      timer = setInterval(say, EVERY_MS);
      request.signal.addEventListener('abort', () => {
        end();
        controller.close();
      });
    },
    cancel: end,
  });
  return new Response(body, {
    headers: { 'content-type': 'text/event-stream', 'cache-control': 'no-store' },
  });
}
