import { demoView, HOUR, METRIC, NOW } from '../test/shop';
import { atInstant } from '@/shop/instant';
import { pieceViews } from '@/shop/coatView';
import { clockText } from '../common/clockText';
import { pieceWords } from '../pieces/model';
import { stripItems } from '../shell/stripModel';
import { lanes, toDos } from '../today/model';

const shop = demoView();
const views = pieceViews(shop, NOW);
const piece = (name: string) => {
  const view = views.find((v) => v.piece.name === name);
  if (!view) throw new Error(name);
  return view;
};

describe('the demo shop at the bench', () => {
  it('has a piece in every kind of stage', () => {
    const state = (name: string) => piece(name).top?.state ?? 'nothing poured';
    expect(state('Signal-box board')).toBe('wet');
    expect(state('Hall tiles')).toBe('leathery');
    expect(state('Viaduct painting')).toBe('recoat open');
    expect(state('Relief map')).toBe('sand first');
    expect(state('Luggage label set')).toBe('fully cured');
    expect(state('Timetable canvas')).toBe('nothing poured');
  });

  it('says what each waits for', () => {
    const at = atInstant(shop, NOW);
    const waits = (name: string) => {
      const here = at.pieces.find((p) => p.view.piece.name === name);
      if (!here) throw new Error(name);
      return pieceWords(here, NOW).waits;
    };
    expect(waits('Relief map')).toBe('One defect to put right');
    expect(waits('Timetable canvas')).toMatch(
      /^Skim: brush an acrylic base over the front, drying until Wed \d\d:\d\d$/,
    );
    expect(waits('Guard’s paddle')).toMatch(/^Flood 1: (one step|\d steps) to prepare$/);
    expect(waits('Luggage label set')).toBe('Nothing: ready to hand over');
    // Mixed 11 min before it was poured 11 h ago; recoat shuts at 14 ripe hours of the mix, 5 % later as two batches taught, summed here step by step.
    const viaduct = pieceViews(shop, NOW).find((v) => v.piece.name === 'Viaduct painting');
    let [atMs, ripeH] = [NOW - 11 * HOUR - 11 * 60_000, 0];
    const pace = viaduct?.top?.coat.learned?.factor ?? NaN;
    expect(pace).toBeCloseTo(0.947, 3);
    for (; ripeH < 14 / pace; atMs += 60_000) {
      const air = shop.room.steps.findLast((s) => s.fromMs <= atMs);
      ripeH += Math.exp((-55e3 / 8.314462618) * (1 / (air?.temperatureK ?? NaN) - 1 / 295.15)) / 60;
    }
    const closes = viaduct?.top?.clock?.windows.find((w) => w.kind === 'recoat')?.closesMs;
    expect(Math.abs((closes ?? NaN) - atMs)).toBeLessThan(90_000);
    expect(waits('Viaduct painting')).toBe(
      `Flood 2: pour before ${clockText(closes ?? NaN, NOW)}, no sanding`,
    );
  });

  it('a look for bubbles that is due stands on the strip, first on Today and on the card alike', () => {
    const { pouredMs, batchId } = piece('Signal-box board').top?.coat ?? {};
    const session = shop.batches.find((b) => b.id === batchId)?.sessionId ?? '';
    const at = (minutes: number) => {
      const nowMs = (pouredMs ?? NaN) + minutes * 60_000;
      const here = atInstant(shop, nowMs).pieces.find(
        (p) => p.view.piece.name === 'Signal-box board',
      );
      if (!here) throw new Error('no board');
      return {
        strip: stripItems(shop, nowMs).some((i) => i.text === 'look it over for bubbles'),
        today: toDos(shop, nowMs, METRIC)[0],
        card: pieceWords(here, nowMs).waits,
      };
    };
    const due = at(6);
    expect(due.strip).toBe(true);
    expect(due.today).toMatchObject({
      ...{ title: 'Look for bubbles, Signal-box board', urgent: true, href: `/wet/${session}` },
      dueMs: (pouredMs ?? NaN) + 10 * 60_000,
    });
    expect(due.card).toMatch(/^Look it over for bubbles, since \d\d:\d\d$/);
    for (const minutes of [4, 61]) {
      const quiet = at(minutes);
      expect(quiet.strip).toBe(false);
      expect(quiet.today?.title).not.toMatch(/bubbles/);
      expect(quiet.card).not.toMatch(/bubbles/);
    }
  });

  it('orders the bench strip by what happens first', () => {
    const items = stripItems(shop, NOW);
    expect(items.map((i) => `${i.title}: ${i.text.split(' · ')[0]}`)).toEqual([
      'Relief map: mask past its limit 10:52',
      'Signal-box board: look it over for bubbles',
      'Hall tiles × 8: leathery',
      'Viaduct painting: recoat open',
      'Door numerals × 4: set, no flow',
      'Hall tiles × 8: take the mask off',
      'Relief map: sand first',
      'Signal-box board: mask on',
    ]);
    const times = items.map((i) => i.atMs);
    expect(times).toEqual([...times].sort((a, b) => a - b));
  });

  it('lists what to do: what is wet, limits, then any time, then what cannot begin yet', () => {
    const [wet, ...list] = toDos(shop, NOW, METRIC);
    expect(wet?.title).toBe('Look for bubbles, Signal-box board');
    const due = list.filter((t) => t.dueMs !== null).map((t) => t.dueMs ?? 0);
    expect(due).toEqual([...due].sort((a, b) => a - b));
    expect(list.slice(0, due.length).every((t) => t.dueMs !== null)).toBe(true);
    expect(list.map((t) => t.title)).toContain('Flood 2, Viaduct painting');
    expect(list.find((t) => t.title === 'Put right, Relief map')).toBeDefined();
    expect(list.find((t) => t.title.includes('Luggage'))).toBeUndefined();
  });

  it('draws a lane for each curing piece, its bands without overlap', () => {
    const drawn = lanes(shop, NOW, NOW - 4 * HOUR, NOW + 20 * HOUR);
    expect(drawn.map((l) => l.title)).toEqual([
      'Relief map',
      'Viaduct painting',
      'Hall tiles',
      'Signal-box board',
      'Timetable canvas',
      'Door numerals',
    ]);
    const canvas = drawn.find((l) => l.title === 'Timetable canvas')?.bands ?? [];
    expect(canvas.map((b) => [b.label, b.beside])).toEqual([['drying', false]]);
    expect(drawn.find((l) => l.title === 'Hall tiles')?.bands.some((b) => b.beside)).toBe(true);
    for (const bands of drawn.map((l) => l.bands.filter((b) => !b.beside)))
      bands
        .slice(1)
        .forEach((band, i) => expect(band.fromMs).toBeGreaterThanOrEqual(bands[i]?.toMs ?? 0));
  });
});
