import { readFileSync } from 'node:fs';
import { COMPUTATIONS, runCompute } from '.';

/** Pairs of request and response in docs/api.md. */
function examples(): { request: unknown; response: Record<string, unknown> }[] {
  const text = readFileSync('docs/api.md', 'utf8');
  const found = [
    ...text.matchAll(/```json request\n([\s\S]*?)```[\s\S]*?```json response\n([\s\S]*?)```/g),
  ];
  return found.map(([, request = '', response = '']) => ({
    request: JSON.parse(request),
    response: JSON.parse(response) as Record<string, unknown>,
  }));
}

/** `actual` holds everything of `wanted`, numbers to 1e-3. */
function holds(actual: unknown, wanted: unknown, path: string): void {
  if (typeof wanted === 'number') {
    expect({ path, off: Math.abs(Number(actual) - wanted) <= 1e-3 * Math.abs(wanted) }).toEqual({
      path,
      off: true,
    });
  } else if (typeof wanted === 'object' && wanted !== null) {
    for (const [key, value] of Object.entries(wanted))
      holds((actual as Record<string, unknown> | undefined)?.[key], value, `${path}.${key}`);
  } else {
    expect({ path, value: actual }).toEqual({ path, value: wanted });
  }
}

describe('docs/api.md', () => {
  it.each(examples().map((e, i) => [i, e] as const))(
    'example %d gives what it says',
    (_i, { request, response }) => {
      const answer = runCompute(request);
      holds(
        answer.ok ? { compute: answer.compute, result: answer.result } : { faults: answer.faults },
        response,
        '',
      );
    },
  );

  it('has an example of every computation', () => {
    const shown = examples().map((e) => (e.request as { compute: string }).compute);
    expect([...new Set(shown)].sort()).toEqual(Object.keys(COMPUTATIONS).sort());
  });
});

describe('runCompute on bad requests', () => {
  const faults = (request: unknown) => {
    const answer = runCompute(request);
    return answer.ok
      ? 'no fault'
      : answer.faults.map((f) => `${f.path.join('.')}: ${f.code}`).join(', ');
  };
  const sheetless = { startMs: 0, nowMs: 0, history: [{ fromMs: 0, temperatureK: 295 }] };
  it.each([
    [null, 'compute: unknown-name'],
    ['text', 'compute: unknown-name'],
    [{}, 'compute: unknown-name'],
    [{ compute: 'toString', input: {} }, 'compute: unknown-name'],
    [{ compute: '__proto__', input: {} }, 'compute: unknown-name'],
    [{ compute: 'measureShape' }, 'input: required'],
    [{ compute: 'measureShape', input: { kind: 'star' } }, 'input.kind: not-allowed'],
    [{ compute: 'measureShape', input: { kind: 'disc' } }, 'input.diameterM: required'],
    [
      { compute: 'measureShape', input: { kind: 'disc', diameterM: '30 cm' } },
      'input.diameterM: not-a-number',
    ],
    [
      { compute: 'measureShape', input: { kind: 'disc', diameterM: 0.3, colour: 'red' } },
      'input.colour: unknown-name',
    ],
    [
      { compute: 'measureShape', input: { kind: 'disc', diameterM: -1 } },
      'input.diameterM: out-of-range',
    ],
    [{ compute: 'coatClock', input: sheetless }, 'input.sheet: required'],
    [
      { compute: 'coatClock', input: { ...sheetless, history: [] } },
      'input.history: not-allowed, input.sheet: required',
    ],
  ])('%j', (request, expected) => expect(faults(request)).toBe(expected));

  it('puts the path of a sheet’s fault behind `input.sheet`', () => {
    const { request } = examples().find(
      (e) => (e.request as { compute: string }).compute === 'workingTime',
    ) ?? { request: null };
    const bad = structuredClone(request) as { input: { sheet: { times: { hardS: number } } } };
    bad.input.sheet.times.hardS = 100;
    expect(faults(bad)).toBe('input.sheet.times.hardS: out-of-order');
  });
});
