import { splitExplanation } from '@/core/resin';
import { stacked } from '@/core/coat/test/stacked';
import { demoView, HOUR, METRIC, NOW, plain, US } from './test/shop';
import { holdsOf } from '@/shop/prepView';
import {
  filmChecksOf,
  ledgerOf,
  pieceViews,
  type CoatView,
  splitOf,
  mixingChecksOf,
} from '@/shop/coatView';
import { clockText, minutesText, spanText } from './common/clockText';
import { labelHeights, layoutSection, scaleBarM, SECTION } from './common/section/layout';
import { entryWords, filterLog } from './book/model';
import { checkWords } from './coats/checkWords';
import { ruleWords } from './coats/model';
import { placeOnBar } from './cure/CureBar';
import { windowRows } from './cure/model';
import { pieceWords } from './pieces/model';
import { stripItems } from './shell/stripModel';
import { lanes, toDos } from './today/model';
import { timeScale } from './today/timeScale';
import { ratioGauge, wantedB, wetView } from './wet/model';
import type { LogEntry } from '@/records/types';
import { DEFAULT_SETTINGS } from '@/records/types';

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
    expect(pieceWords(piece('Relief map'), NOW).waits).toBe('One defect to put right');
    expect(pieceWords(piece('Timetable canvas'), NOW).waits).toBe('Skim can be mixed');
    const canvas = piece('Timetable canvas');
    const held = holdsOf(shop, canvas.piece, canvas.upcoming?.coat.id ?? '', NOW);
    expect(
      pieceWords(
        canvas,
        NOW,
        held.filter((t) => t.state === 'drying'),
      ).waits,
    ).toMatch(/^Skim: mend the tear from the back, drying until Wed \d\d:\d\d$/);
    expect(pieceWords(canvas, NOW, held.slice(0, 1)).state).toBe('nothing poured yet');
    expect(pieceWords(piece('Luggage label set'), NOW).waits).toBe('Nothing: ready to hand over');
    // Poured 11 h ago at 22 °C, recoat shuts at 14 ripe hours: 3 h from now.
    expect(pieceWords(piece('Viaduct painting'), NOW).waits).toBe(
      `Flood 2: pour before ${clockText(NOW + 3 * HOUR, NOW)}, no sanding`,
    );
  });

  it('orders the bench strip by what happens first', () => {
    const items = stripItems(shop, NOW);
    expect(items.map((i) => `${i.title}: ${i.text.split(' · ')[0]}`)).toEqual([
      'Relief map: mask past its limit 10:30',
      'Hall tiles × 8: leathery',
      'Viaduct painting: recoat open',
      'Signal-box board: wet',
      'Hall tiles × 8: take the mask off',
      'Relief map: sand first',
      'Signal-box board: mask on',
    ]);
    const times = items.map((i) => i.atMs);
    expect(times).toEqual([...times].sort((a, b) => a - b));
  });

  it('lists what to do: limits first, then any time, then what cannot begin yet', () => {
    const list = toDos(shop, NOW, METRIC);
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
    ]);
    const canvas = drawn.at(-1)?.bands ?? [];
    expect(canvas.map((b) => [b.label, b.beside])).toEqual([['drying', false]]);
    expect(drawn.find((l) => l.title === 'Hall tiles')?.bands.some((b) => b.beside)).toBe(true);
    for (const bands of drawn.map((l) => l.bands.filter((b) => !b.beside)))
      bands
        .slice(1)
        .forEach((band, i) => expect(band.fromMs).toBeGreaterThanOrEqual(bands[i]?.toMs ?? 0));
  });
});

describe('timeScale', () => {
  const scale = timeScale(NOW, 420, 1110);
  it('runs down without a jump and draws closed hours shorter', () => {
    let last = -1;
    for (let t = scale.startMs; t <= scale.endMs; t += HOUR / 4) {
      expect(scale.y(t)).toBeGreaterThan(last);
      last = scale.y(t);
    }
    expect(scale.y(scale.endMs)).toBeCloseTo(scale.heightPx, 6);
    const midnight = new Date(2026, 10, 25).getTime();
    expect(scale.y(NOW + HOUR) - scale.y(NOW)).toBeGreaterThan(
      2 * (scale.y(midnight + HOUR) - scale.y(midnight)),
    );
  });
  it('shows now at every hour of the day', () => {
    for (let h = 0; h < 24; h += 1) {
      const now = new Date(2026, 10, 24, h, 15).getTime();
      const s = timeScale(now, 420, 1110);
      expect(s.startMs).toBeLessThan(now);
      expect(s.endMs).toBeGreaterThan(now + 8 * HOUR);
    }
  });
});

describe('coats on the desk', () => {
  const view = piece('Viaduct painting');
  const upcoming = view.upcoming;
  if (!upcoming) throw new Error('no planned coat');
  const ledger = ledgerOf(upcoming);
  if (!ledger.ok) throw new Error('no ledger');

  it('counts film on the face by hand: 600 × 400 mm × 1.8 mm = 432 ml', () => {
    expect((ledger.value.lines[0]?.volumeM3 ?? 0) * 1e6).toBeCloseTo(432, 9);
  });
  it('counts only the open edges: 2 × 0.4 + 0.6 m of 18 mm', () => {
    const edges = ledger.value.lines.find((l) => l.id === 'edges');
    expect(edges?.explanation.inputs[0]?.value).toBeCloseTo(1.4 * 0.018, 12);
  });
  it('tells limits, scale and working time, each with an explanation', () => {
    const split = splitOf(ledger.value, upcoming.resin);
    if (!split) throw new Error('no split');
    const checks = mixingChecksOf(upcoming, split, DEFAULT_SETTINGS);
    expect(checks.map((c) => c.verdict)).toEqual(['fine', 'fine', 'fine']);
    const thick = mixingChecksOf(
      { ...upcoming, coat: { ...upcoming.coat, thicknessM: 0.02 } },
      split,
      { ...DEFAULT_SETTINGS, scaleDigitKg: 0.01 },
    );
    expect(thick.map((c) => c.verdict)).toEqual(['stop', 'watch', 'fine']);
    expect(splitExplanation(split, upcoming.resin.sheet, 'B').note).toContain('17.3 % too much B');
  });
  it('tells what the film will do, each with its number', () => {
    const told = (thicknessM: number, name = 'Viaduct painting') => {
      const { upcoming } = piece(name);
      if (!upcoming) throw new Error('no coat');
      const coat = { ...upcoming.coat, thicknessM };
      const alone: CoatView = { ...upcoming, coat, around: { ...upcoming.around, coats: [] } };
      return checkWords(filmChecksOf(alone, null), METRIC).map(
        (c) => `${c.verdict}: ${plain(c.title)}`,
      );
    };
    // 600 × 400 mm: open edges hold about 1.0 to 1.9 mm; 10 % of 1.8 mm over 600 mm is 0.3 mm/m.
    expect(told(1.8e-3)).toEqual([
      'fine: Open edges hold it',
      'watch: A spirit level is not enough',
      'fine: Edges as drained',
      'fine: Waves level in time',
      'fine: Bubbles rise in time',
    ]);
    expect(told(0.6e-3)).toContain('watch: Draws back at open edges');
    expect(told(0.6e-3)).toContain('watch: Long waves stay');
    expect(told(3e-3)[0]).toMatch(/^watch: 2[5-9]\d ml run off open edges$/);
    // A dome instead of an open edge; a 160 mm lens is level by a spirit level.
    expect(told(1.6e-3, 'Signal lamp lens').slice(0, 2)).toEqual([
      'fine: The dome holds',
      'fine: Level enough',
    ]);
    expect(told(2.2e-3, 'Signal lamp lens')[0]).toBe('watch: Dome close to spilling');
    expect(told(3.5e-3, 'Signal lamp lens')[0]).toBe('stop: The dome spills');
  });
  it('shows the rule of thumb and what it hides', () => {
    expect(ruleWords('six', 0.09290304).volumeM3 / 29.5735e-6).toBeCloseTo(6, 3);
  });
});

describe('the section drawing', () => {
  const cut = { widthM: 0.6, leftSide: 3, rightSide: 1 };
  const coats = [
    { id: 'a', thicknessM: 0.2e-3 },
    { id: 'b', thicknessM: 1.6e-3 },
    { id: 'c', thicknessM: 1.8e-3 },
  ];
  const layout = layoutSection(stacked(coats), cut, ['open', 'open', 'open', 'dammed']);
  it('keeps true relative thickness', () => {
    const tall = layout.laminae.map((l) => l.bottomPx - l.topPx);
    expect((tall[1] ?? 0) / (tall[0] ?? 1)).toBeCloseTo(8, 9);
    expect((tall[2] ?? 0) / (tall[1] ?? 1)).toBeCloseTo(1.125, 9);
    expect(layout.laminae[0]?.bottomPx).toBe(SECTION.base);
  });
  it('keeps its scale while a surface is dragged', () => {
    const frozen = layoutSection(
      stacked([{ id: 'a', thicknessM: 9e-3 }]),
      cut,
      [],
      layout.exaggeration,
    );
    expect(frozen.exaggeration).toBe(layout.exaggeration);
  });
  it('spreads the figures of thin laminae', () => {
    const thin = layoutSection(
      stacked([
        ...Array.from({ length: 4 }, (_, i) => ({ id: String(i), thicknessM: 5e-5 })),
        { id: 'x', thicknessM: 5e-3 },
      ]),
      cut,
      [],
    );
    const y = labelHeights(thin.laminae);
    y.slice(1).forEach((v, i) => expect((y[i] ?? 0) - v).toBeGreaterThanOrEqual(19 - 1e-9));
  });
  it.each([
    [0.6, 0.1],
    [0.09, 0.01],
    [2, 0.2],
  ])('a cut of %d m has a bar of %d m', (width, bar) =>
    expect(scaleBarM(width)).toBeCloseTo(bar, 12),
  );
});

describe('cure', () => {
  const top = piece('Hall tiles').top;
  if (!top?.clock) throw new Error('no clock');
  const clock = top.clock;
  it('says what each window is now', () => {
    const rows = windowRows(top, NOW);
    expect(rows.map((r) => r.status)).toEqual(['open', 'before', 'before', 'before']);
    expect(plain(rows[0]?.words ?? '')).toMatch(/^✓ open, \d h \d+ min left$/);
  });
  it('places now inside its state’s share of the bar', () => {
    const at = placeOnBar(clock.spans, NOW) * clock.spans.length;
    expect(Math.floor(at)).toBe(clock.spans.findIndex((s) => s.state === 'leathery'));
    expect(placeOnBar(clock.spans, clock.spans[0]?.fromMs ?? 0)).toBe(0);
    expect(placeOnBar(clock.spans, NOW + 1e12)).toBeLessThan(1);
  });
});

describe('wet session', () => {
  const session = shop.sessions[0];
  const view = wetView(shop, session?.id ?? '');
  if (!view) throw new Error('no session');
  it('knows where it stands and when the working time ends', () => {
    expect(view.step).toBe('done');
    expect((view.workingEndsMs ?? 0) - (view.batch.mixedMs ?? 0)).toBeCloseTo(view.workingMs, 2);
    expect(wetView(shop, 'gone')).toBeNull();
  });
  it('B follows the A that was weighed: 100 : 45 by weight', () => {
    expect(wantedB({ batch: { ...view.batch, aKg: 0.2 }, resin: view.resin })).toBeCloseTo(
      0.09,
      12,
    );
  });
  it('places the ratio on its gauge, right in the middle, and stops at its ends', () => {
    const at = (b: number) => ratioGauge(0.1, b, view.resin).at;
    expect(at(0.045)).toBeCloseTo(0.5, 12);
    expect(at(0.045 * 1.05)).toBeCloseTo(0.75, 12);
    expect([at(0), at(1)]).toEqual([0, 1]);
  });
});

describe('book', () => {
  const entries = demoView() as unknown as { log: LogEntry[] };
  it('finds entries by all words of the search, in any field', () => {
    const found = filterLog(entries.log, shop, 'viaduct flood poured');
    expect(found.map((f) => f.entry.kind)).toEqual(['poured']);
    expect(filterLog(entries.log, shop, '').length).toBe(entries.log.length);
    expect(filterLog(entries.log, shop, 'zeppelin')).toEqual([]);
  });
  it('marks an undone entry and writes figures in the shop’s units', () => {
    const [first] = entries.log.filter((e) => e.kind === 'poured');
    if (!first) throw new Error('no entry');
    const undo: LogEntry = { ...first, id: 'undo', kind: 'undone', aboutId: first.id };
    const [named] = filterLog([first, undo], shop, '');
    expect(named?.undone).toBe(true);
    if (named) {
      expect(plain(entryWords(named, METRIC))).toBe('Seal · film 0.15 mm · room 21.0 °C');
      expect(plain(entryWords(named, US))).toBe('Seal · film 5.9 mil · room 69.8 °F');
    }
  });
});

describe('clock words', () => {
  it.each([
    [45_000, '45 s'],
    [119_000, '119 s'],
    [38 * 60_000, '38 min'],
    [2 * HOUR, '2 h'],
    [2 * HOUR + 600_000, '2 h 10 min'],
    [59 * HOUR, '2 d 11 h'],
    [Infinity, '–'],
  ])('%d ms: %s', (ms, words) => expect(plain(spanText(ms))).toBe(words));
  it('names the day when it is not today', () => {
    expect(clockText(NOW + HOUR, NOW)).toBe('14:30');
    expect(clockText(NOW + 12 * HOUR, NOW)).toBe('Wed 01:30');
    expect(clockText(NOW + 240 * HOUR, NOW)).toBe('4 Dec 13:30');
    expect(clockText(Infinity, NOW)).toBe('never');
    expect(minutesText(125_000)).toBe('2:05');
  });
});
