import { INCLINOMETERS, ownSensor, simulatedInclinometer } from './inclinometer';

const globals = globalThis as unknown as Record<string, unknown>;
const lean = (beta: number | null, gamma: number | null) =>
  Object.assign(new Event('deviceorientation'), { beta, gamma });

describe('inclinometers', () => {
  let page: EventTarget;
  beforeEach(() => {
    page = new EventTarget();
    globals['window'] = page;
  });
  afterEach(() => {
    delete globals['window'];
    jest.useRealTimers();
  });

  it('the simulated one says that it is, in its name and its flag, and reads the same each time', async () => {
    expect(simulatedInclinometer.simulated).toBe(true);
    expect(simulatedInclinometer.name).toContain('simulated');
    expect(await simulatedInclinometer.read()).toEqual(await simulatedInclinometer.read());
    expect(INCLINOMETERS.filter((d) => d.simulated)).toHaveLength(1);
  });

  it('this device: its top raised rises to the back, its right side lowered falls to the right', async () => {
    const reading = ownSensor.read();
    page.dispatchEvent(lean(1, 2));
    const { alongX, alongY } = await reading;
    expect(alongY).toBeCloseTo(Math.tan(Math.PI / 180), 12);
    expect(alongX).toBeCloseTo(-Math.tan((2 * Math.PI) / 180), 12);
  });

  it('waits for an angle that is known, and gives up with a sentence', async () => {
    jest.useFakeTimers();
    const reading = ownSensor.read();
    page.dispatchEvent(lean(null, null));
    jest.advanceTimersByTime(3001);
    await expect(reading).rejects.toThrow('no tilt sensor');
  });

  it('stops listening when it is told to', () => {
    const stop = new AbortController();
    const removed = jest.spyOn(page, 'removeEventListener');
    void ownSensor.read(stop.signal);
    stop.abort();
    expect(removed).toHaveBeenCalledWith('deviceorientation', expect.any(Function));
  });
});
