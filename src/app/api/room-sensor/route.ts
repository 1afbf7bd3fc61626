import { simulatedReading, WEATHERS } from '@/devices/simulatedRoom';
import { eventStream, refuseForeign, within } from '../eventStream';

export const dynamic = 'force-dynamic';

const EVERY_MS = 2000;

/**
 * `GET /api/room-sensor?weather=&hour=&pace=`: a simulated sensor of the room as server-sent events. `hour` is the hour of
 * the day when it was switched on, `pace` the hours of its weather that go by in a minute.
 */
export function GET(request: Request): Response {
  const asked = new URL(request.url).searchParams;
  const weather = WEATHERS.find((w) => w === asked.get('weather'));
  const [hour, pace] = [within(asked.get('hour'), 0, 24), within(asked.get('pace'), 1 / 60, 600)];
  const foreign = refuseForeign(request);
  if (foreign) return foreign;
  if (!weather || hour === null || pace === null)
    return new Response('Needs weather, hour (0 to 24) and pace (1/60 to 600).\n', { status: 422 });
  return eventStream(request, {
    ...{ name: 'sensor', everyMs: EVERY_MS },
    line: (seconds, tick) => {
      const reading = simulatedReading(weather, hour, (seconds / 60) * pace, tick);
      return reading && JSON.stringify(reading);
    },
  });
}
