import { serialScale, type Port, type Scale, type ScaleWatch } from './scale';
import { lineSplitter, readScaleLine, type ScaleLine } from './scaleLine';
import { scaleLink } from './scaleLink';
import { SLEEPS_S, simulatedHello, simulatedLine } from './simulatedScale';

const OUNCE_KG = 0.028349523125;

describe('the line protocol of a scale', () => {
  it('a weight in any of its units, steady or moving; a name; two words', () => {
    expect(readScaleLine('W 123.4 g S')).toEqual({
      ...{ is: 'weight', kg: expect.closeTo(0.1234, 12), steady: true },
    });
    expect(readScaleLine(' W  -0.3 g M ')).toMatchObject({ kg: expect.closeTo(-0.0003, 12) });
    // One avoirdupois ounce is 28.349523125 g: exact, international yard and pound agreement 1959.
    expect(readScaleLine('W 2 oz S')).toMatchObject({ kg: expect.closeTo(2 * OUNCE_KG, 12) });
    expect(readScaleLine('H 0.1 g Kitchen scale')).toEqual({
      ...{ is: 'hello', name: 'Kitchen scale', stepKg: expect.closeTo(0.0001, 12) },
    });
    expect([readScaleLine('OVER'), readScaleLine('OFF')]).toEqual([{ is: 'over' }, { is: 'off' }]);
  });
  it.each([
    '',
    'W',
    'W 12 g',
    'W 12 S',
    'W twelve g S',
    'W 1e5 g S',
    'W NaN g S',
    'W 12 st S',
    'W 12 g X',
    'W 12 g S more',
    'H 0 g None',
    'OFF now',
    'w 12 g S',
    'W 123456789 g S',
  ])('%j is none', (line) => expect(readScaleLine(line)).toBeNull());
  it('lines come together from pieces, whatever ends them; one that never ends is dropped', () => {
    const lines: string[] = [];
    const take = lineSplitter((line) => lines.push(line));
    for (const piece of ['W 1.', '0 g S\r\nW 2.0', ' g M\nOFF\r', 'W 3', '.0 g S\n', '\n'])
      take(piece);
    expect(lines).toEqual(['W 1.0 g S', 'W 2.0 g M', 'OFF', 'W 3.0 g S']);
    take('x'.repeat(100_000));
    take('\nW 4.0 g S\n');
    expect(lines.at(-1)).toBe('W 4.0 g S');
    expect(Math.max(...lines.map((l) => l.length))).toBeLessThanOrEqual(200);
  });
});

describe('the simulated scale', () => {
  const told = (flowKgS: number, seconds: number, stepKg = 0.0001, loadKg = 0.05) =>
    readScaleLine(simulatedLine({ loadKg, flowKgS, stepKg }, seconds));
  it('counts what is poured, within a step and its drift; it moves while it is poured onto', () => {
    for (let s = 0; s < 20; s += 0.1) {
      const line = told(0.02, s);
      if (line?.is !== 'weight') throw new Error('no weight');
      expect(Math.abs(line.kg - (0.05 + 0.02 * s))).toBeLessThan(0.0003);
      expect(line.steady).toBe(false);
    }
    expect(told(0, 0.2)).toMatchObject({ steady: false });
    expect(told(0, 5)).toMatchObject({ steady: true });
    expect(told(0.02, 3.21)).toEqual(told(0.02, 3.21));
  });
  it('tells no finer than its step', () => {
    for (const stepKg of [0.0001, 0.001])
      for (let s = 0; s < 5; s += 0.1) {
        const line = told(0.013, s, stepKg);
        const steps = line?.is === 'weight' ? line.kg / stepKg : NaN;
        expect(Math.abs(steps - Math.round(steps))).toBeLessThan(1e-6);
      }
    expect(readScaleLine(simulatedHello({ loadKg: 0, flowKgS: 0, stepKg: 0.001 }))).toMatchObject({
      stepKg: expect.closeTo(0.001, 12),
    });
  });
  it('goes to sleep when nothing moves, and says when too much lies on it', () => {
    expect(told(0, SLEEPS_S - 1)?.is).toBe('weight');
    expect(told(0, SLEEPS_S)?.is).toBe('off');
    expect(told(0.02, SLEEPS_S)?.is).toBe('weight');
    expect(told(0, 1, 0.0001, 5.5)?.is).toBe('over');
  });
});

describe('a scale that is followed', () => {
  function told() {
    const watched: { watch: ScaleWatch | null; ends: number } = { watch: null, ends: 0 };
    const scale: Scale = {
      ...{ name: 'test scale', simulated: true },
      follow: (watch) => {
        watched.watch = watch;
        return () => (watched.ends += 1);
      },
    };
    const link = scaleLink(scale);
    const states: string[] = [];
    const end = link.subscribe(() => states.push(link.state().is));
    const say = (line: ScaleLine) => watched.watch?.onLine(line);
    return { watched, link, states, end, say };
  }
  beforeEach(() => jest.useFakeTimers());
  afterEach(() => jest.useRealTimers());
  it('is live with each line, lost in silence with what it showed, and live again by the next', () => {
    const { link, say, states } = told();
    expect(link.state()).toEqual({ is: 'reaching' });
    say({ is: 'hello', name: '', stepKg: 0.001 });
    say({ is: 'weight', kg: 0.2, steady: true });
    expect(link.state()).toEqual({ is: 'live', kg: 0.2, steady: true, stepKg: 0.001 });
    jest.advanceTimersByTime(2001);
    expect(link.state()).toEqual({ is: 'lost', asleep: false, lastKg: 0.2 });
    say({ is: 'weight', kg: 0.21, steady: false });
    expect(link.state()).toMatchObject({ is: 'live', kg: 0.21 });
    say({ is: 'over' });
    say({ is: 'off' });
    expect(link.state()).toEqual({ is: 'lost', asleep: true, lastKg: 0.21 });
    expect(states).toEqual(['live', 'lost', 'live', 'over', 'lost']);
  });
  it('is followed while somebody looks, and tried again when it is asked for', () => {
    const { watched, link, end } = told();
    const second = link.subscribe(() => undefined);
    end();
    expect(watched.ends).toBe(0);
    watched.watch?.onLost();
    expect(link.state()).toEqual({ is: 'lost', asleep: false, lastKg: null });
    link.again();
    expect([watched.ends, link.state().is]).toEqual([1, 'reaching']);
    second();
    expect(watched.ends).toBe(2);
  });
  it('five minutes at ten lines a second: none is missed, and nothing is kept of them', () => {
    const { link, say, states } = told();
    for (let i = 1; i <= 3000; i += 1) say({ is: 'weight', kg: i / 1000, steady: false });
    expect(states).toHaveLength(3000);
    expect(link.state()).toMatchObject({ kg: 3 });
    expect(jest.getTimerCount()).toBe(1);
  });
});

describe('a scale on a serial port', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  function port(pieces: readonly string[], ends: boolean) {
    const told = { opened: 0, closed: 0, cancelled: 0 };
    const made: Port = {
      readable: new ReadableStream<Uint8Array>({
        start(controller) {
          for (const piece of pieces) controller.enqueue(bytes(piece));
          if (ends) controller.close();
        },
        cancel: () => void (told.cancelled += 1),
      }),
      open: ({ baudRate }) => Promise.resolve(void (told.opened = baudRate)),
      close: () => Promise.resolve(void (told.closed += 1)),
    };
    return { made, told };
  }
  const settle = () => new Promise((resolve) => setTimeout(resolve, 20));
  it('speaks the same lines, and is lost when its port ends', async () => {
    const { made, told } = port(['W 1.0 g S\nW 2', '.0 g M\nnoise\n'], true);
    const lines: ScaleLine[] = [];
    let lost = 0;
    serialScale(9600, () => Promise.resolve(made)).follow({
      onLine: (line) => lines.push(line),
      onLost: () => (lost += 1),
    });
    await settle();
    expect(lines.map((l) => (l.is === 'weight' ? l.kg * 1000 : l.is))).toEqual([
      expect.closeTo(1, 9),
      expect.closeTo(2, 9),
    ]);
    expect([lost, told.opened, told.closed]).toEqual([1, 9600, 1]);
  });
  it('lets its port go when nobody looks any more; without a port it is lost at once', async () => {
    const { made, told } = port(['W 1.0 g S\n'], false);
    let lost = 0;
    const watch = { onLine: () => undefined, onLost: () => (lost += 1) };
    const end = serialScale(2400, () => Promise.resolve(made)).follow(watch);
    await settle();
    end();
    await settle();
    expect([lost, told.cancelled, told.closed]).toEqual([0, 1, 1]);
    serialScale(2400, () => Promise.resolve(null)).follow(watch);
    await settle();
    expect(lost).toBe(1);
    const denied = () => Promise.reject(new Error('denied'));
    serialScale(2400, denied).follow(watch);
    await settle();
    expect(lost).toBe(2);
  });
});
