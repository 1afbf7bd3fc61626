import { EVERY_MS, simulatedHello, simulatedLine, type Pan } from '@/devices/simulatedScale';
import { eventStream, refuseForeign, within } from '../eventStream';

export const dynamic = 'force-dynamic';

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
  const pan = panOf(new URL(request.url));
  const foreign = refuseForeign(request);
  if (foreign) return foreign;
  if (!pan)
    return new Response(
      'Needs load (-1 to 6 kg), flow (-0.5 to 0.5 kg/s) and step (0.0001 or 0.001 kg).\n',
      { status: 422 },
    );
  return eventStream(request, {
    ...{ name: 'scale', everyMs: EVERY_MS, first: simulatedHello(pan), last: 'OFF' },
    line: (seconds) => simulatedLine(pan, seconds),
  });
}
