import { PDFDocument } from 'pdf-lib';
import { placeTasks, planPrep, type PlacedTask } from '@/core/prep';
import { facts, relief, area } from '@/core/prep/test/facts';
import { amountText, explainDry, explainNeed, explainSum, packsText } from './amounts';
import { dayNeeds, daySheet, pieceNeeds, sumNeeds } from './daySheet';
import { daySheetPdf } from './daySheetPdf';
import { dryingTasks, dueTasks, holdsOf, maskClocks, prepOf } from '@/shop/prepView';
import { SCHOOL_FIELDS } from '@/features/common/schools';
import { CAUTION_WORDS, PROBLEM_WORDS, stateText } from './words';
import { readAir } from '@/features/common/readAir';
import { movedOrder, readDoneAt, taskGroups } from './model';
import { stationsOf } from './stations';
import { demoView, HOUR, METRIC, NOW, plain, US } from '@/features/test/shop';
import { toDos } from '@/features/today/model';
import { fontsOnDisk } from '@/ui/pdf/test/fonts';

const shop = demoView();
const piece = (name: string) => {
  const found = shop.pieces.find((p) => p.name === name);
  if (!found) throw new Error(name);
  return found;
};
const prep = (name: string) => prepOf(shop, piece(name), NOW);
const placed = (name: string, rule: string): PlacedTask => {
  const found = prep(name).state.tasks.find((t) => t.task.rule === rule);
  if (!found) throw new Error(`${name}: ${rule}`);
  return found;
};

describe('the demo at the bench', () => {
  it('has preparation in every state', () => {
    const states = shop.pieces.flatMap((p) => prepOf(shop, p, NOW).state.tasks.map((t) => t.state));
    expect([...new Set(states)].sort()).toEqual([
      'blocked',
      'done',
      'drying',
      'later',
      'open',
      'redo',
      'skipped',
      'waiting',
      'waived',
    ]);
  });
  it('one coat is ready, the others are held', () => {
    const held = (name: string, coat: string) => {
      const id = shop.coats.find((c) => c.pieceId === piece(name).id && c.name === coat)?.id ?? '';
      return holdsOf(shop, piece(name), id, NOW).map((t) => t.task.rule);
    };
    expect(held('Viaduct painting', 'Flood 2')).toEqual([]);
    expect(held('Timetable canvas', 'Skim')).toContain('tear base');
    expect(held('Guard’s paddle', 'Flood 1')).toContain('rub test');
    expect(held('Relief map', 'Flood 2')).toEqual(
      expect.arrayContaining(['unmask', 'flatten', 'tooth', 'mask', 'wipe']),
    );
  });
  it('keeps what was done for coats that are poured', () => {
    expect(prep('Signal-box board').state.kept.map((r) => r.state)).toEqual(
      expect.arrayContaining(['done', 'waived']),
    );
  });
  it('the same plan is not made twice for one instant', () => {
    expect(prepOf(shop, piece('Hall tiles'), NOW)).toBe(prepOf(shop, piece('Hall tiles'), NOW));
    expect(prepOf(shop, piece('Hall tiles'), NOW + 9_999)).toBe(prep('Hall tiles'));
    expect(prepOf(shop, piece('Hall tiles'), NOW + 10_000)).not.toBe(prep('Hall tiles'));
  });
});

describe('clocks', () => {
  const tiles = (hours: number) => maskClocks(shop, piece('Hall tiles'), NOW + hours * HOUR)[0];
  it('a mask: on, best, late, over', () => {
    const board = maskClocks(shop, piece('Signal-box board'), NOW)[0];
    expect(board?.phase).toBe('on');
    expect(board?.atMs).toBe(board?.removal.bestFromMs);
    expect(tiles(0)?.phase).toBe('best');
    expect(tiles(0)?.atMs).toBe(tiles(0)?.removal.bestToMs);
    expect(tiles(20)?.phase).toBe('late');
    // Its tape may stay for 48 hours.
    const laid = shop.tasks.find((t) => t.rule === 'mask' && t.pieceId === piece('Hall tiles').id);
    expect(tiles(20)?.atMs).toBe((laid?.doneMs ?? 0) + 48 * HOUR);
    expect(tiles(39.2)?.phase).toBe('over');
  });
  it('Today asks for each mask, and alarms once its limit has passed', () => {
    const titles = toDos(shop, NOW, METRIC).map((t) => t.title);
    expect(titles).toContain('Take masks off, Hall tiles');
    expect(titles).toContain('Mask past its limit, Relief map');
    const late = toDos(shop, NOW + 40 * HOUR, METRIC);
    expect(late.find((t) => t.title === 'Mask past its limit, Hall tiles')?.urgent).toBe(true);
  });
  it('Today asks to prepare what is held, from when it can be', () => {
    const list = toDos(shop, NOW, METRIC);
    const canvas = list.find((t) => t.title === 'Prepare Skim, Timetable canvas');
    expect(canvas?.fromMs).toBeGreaterThan(NOW + 12 * HOUR);
    expect(list.find((t) => t.title.startsWith('Prepare Flood 2, Relief'))?.fromMs).toBe(0);
    expect(list.find((t) => t.title === 'Prepare Flood 2, Viaduct painting')).toBeUndefined();
  });
  it('a drying layer tells its clock and its band', () => {
    const [tear] = dryingTasks(shop, piece('Timetable canvas'), NOW);
    if (!tear) throw new Error('nothing dries');
    expect(plain(stateText(tear, NOW))).toMatch(
      /^drying until Wed \d\d:\d\d, between Wed 0\d:\d\d and Thu 0\d:\d\d$/,
    );
    // By hand: what the air can still take against the label’s, Magnus over water.
    const air = shop.room.steps.findLast((s) => s.fromMs <= NOW);
    const celsius = (air?.temperatureK ?? NaN) - 273.15;
    const es = (t: number) => 6.112 * Math.exp((17.62 * t) / (243.12 + t));
    const pace = (es(celsius) * (1 - (air?.humidity ?? NaN))) / (es(22) * 0.5);
    expect(tear.dry?.rate).toBeCloseTo(pace, 9);
    expect(explainDry(tear).inputs.at(-1)?.value).toBe(tear.dry?.rate);
  });
  it('each state has its words', () => {
    expect(stateText(placed('Timetable canvas', 'lint'), NOW)).toMatch(/^not before Wed/);
    expect(stateText(placed('Viaduct painting', 'tooth'), NOW)).toBe('not needed until 17:41');
    expect(stateText(placed('Viaduct painting', 'wipe'), NOW)).toBe('not needed until 17:41');
    expect(stateText(placed('Guard’s paddle', 'rub test'), NOW)).toBe(
      'again, after “Fix the art with matte spray”',
    );
    expect(stateText(placed('Guard’s paddle', 'cover'), NOW)).toBe('advice');
    expect(stateText(placed('Relief map', 'level'), NOW)).toMatch(/^left out: stands on/);
    expect(stateText(placed('Signal-box board', 'unmask'), NOW)).toMatch(/^from /);
    expect(stateText(placed('Relief map', 'unmask'), NOW)).toBe('past its limit since 10:52');
    expect(stateText(placed('Hall tiles', 'unmask'), NOW)).toMatch(/^now, best until \d\d:\d\d$/);
  });
});

describe('amounts in words', () => {
  it.each([
    ['painter’s tape 24 mm', 1.32, '1.32 m', '4.3 ft'],
    ['alcohol', 7.2e-6, '7.2 ml', '0.24 fl oz'],
    ['paper P240', 3, '3 sheets', '3 sheets'],
    ['lint-free cloth', 1, '1 cloth', '1 cloth'],
  ] as const)('%s', (name, amount, metric, us) => {
    expect(plain(amountText({ name, amount }, METRIC))).toBe(metric);
    expect(plain(amountText({ name, amount }, US))).toBe(us);
  });
  it('packs in the plural', () => {
    const packs = (n: number, pack: string) => packsText({ packs: n, pack });
    expect([packs(1, 'roll'), packs(2, 'roll'), packs(3, 'pack of 10')]).toEqual([
      '1 roll',
      '2 rolls',
      '3 packs of 10',
    ]);
  });
  it('every amount opens to its formula', () => {
    for (const { task } of prep('Relief map').state.tasks)
      for (const need of task.materials) {
        const told = explainNeed(need, task.source);
        expect([told.formula.length > 3, told.inputs.length > 0, told.source.length > 4]).toEqual([
          true,
          true,
          true,
        ]);
      }
  });
  it('problems, cautions and schools all have words', () => {
    for (const words of Object.values(PROBLEM_WORDS)) expect(words.length).toBeGreaterThan(20);
    for (const [title, text] of Object.values(CAUTION_WORDS))
      expect(title.length < text.length).toBe(true);
    for (const { options } of SCHOOL_FIELDS) expect(options.length).toBeGreaterThan(1);
  });
});

describe('the day', () => {
  it('sums over pieces what stands before their next coats, and not what is done or drying', () => {
    const day = sumNeeds(dayNeeds(shop, NOW));
    const byHand = shop.pieces
      .flatMap((p) => dueTasks(prepOf(shop, p, NOW)))
      .flatMap((t) => t.task.materials)
      .filter((m) => m.name === 'alcohol')
      .reduce((sum, m) => sum + m.amount, 0);
    expect(day.find((m) => m.name === 'alcohol')?.amount).toBeCloseTo(byHand, 15);
    // Relief map and lens are wiped, six coasters, the clock face and what follows, at 30 ml/m²; cloth and wood are not.
    const coasters = (6 * Math.PI * 0.1016 ** 2) / 4;
    const clockFace = (Math.PI * 0.5 ** 2) / 4;
    // Of the pieces of several places only those under the next coat: the water below the shore,
    // one cell of the roundel, both places of the plaque.
    const [cell, plaque] = [(Math.PI * 0.24 ** 2) / 16, Math.PI * 0.16 * 0.11];
    const water =
      0.12 * (0.15 - 0.0025) +
      0.13 * (0.15 + 0.0025) +
      0.11 * (0.15 + 0.01) +
      0.13 * (0.15 + 0.02) +
      0.11 * (0.15 + 0.0275);
    const wiped = 0.1134 + 0.0155 + coasters + clockFace + cell + plaque + water;
    expect(byHand * 1e6).toBeCloseTo(30 * wiped, 0);
    expect(day.find((m) => m.name === 'cloth tape 48 mm')).toBeUndefined();
  });
  it('of a piece: all planned coats, or the next one only', () => {
    const canvas = dayNeeds(shop, NOW).filter((p) => p.label === 'Timetable canvas');
    const tape = (parts: ReturnType<typeof dayNeeds>) =>
      sumNeeds(parts).find((m) => m.name.startsWith('painter'))?.amount ?? 0;
    expect(tape(canvas)).toBeGreaterThan(2);
    expect(tape(pieceNeeds(prep('Timetable canvas')))).toBeCloseTo(2 * tape(canvas), 9);
  });
  it('a sum opens to its parts, which add up to it, and to the pack it is rounded to', () => {
    for (const parts of [dayNeeds(shop, NOW), pieceNeeds(prep('Timetable canvas'))])
      for (const sum of sumNeeds(parts)) {
        const { inputs } = explainSum(sum, parts);
        const shares = inputs.slice(0, -1).map((i) => i.value);
        expect(shares.reduce((a, b) => a + b, 0)).toBeCloseTo(sum.amount, 12);
        expect(new Set(inputs.map((i) => i.label)).size).toBe(inputs.length);
        expect((inputs.at(-1)?.value ?? 0) * sum.packs).toBeGreaterThanOrEqual(sum.amount * 0.999);
      }
  });
  it('the sheet has a line for each open or drying step, its sums and its cautions', () => {
    const sheet = daySheet(shop, NOW, METRIC);
    const map = sheet.pieces.find((p) => p.name === 'Relief map');
    expect(map?.coat).toBe('before Flood 2');
    expect(map?.lines.map((l) => l.title)).toContain('Sand for tooth');
    expect(map?.lines[0]?.detail).toContain('past its limit since');
    expect(sheet.pieces.map((p) => p.name)).not.toContain('Luggage label set × 12');
    expect(sheet.materials.length).toBe(sumNeeds(dayNeeds(shop, NOW)).length);
    expect(sheet.cautions).toEqual(expect.arrayContaining(['dust', 'solvent', 'spray']));
  });
  it('becomes a PDF, however long and wherever it is printed', async () => {
    const sheet = daySheet(shop, NOW, METRIC);
    const long = { ...sheet, pieces: [...sheet.pieces, ...sheet.pieces] };
    const pages = async (...of: Parameters<typeof daySheetPdf>) => {
      const bytes = await daySheetPdf(...of);
      expect(new TextDecoder().decode(bytes.slice(0, 5))).toBe('%PDF-');
      return (await PDFDocument.load(bytes)).getPageCount();
    };
    const once = await pages(sheet, 'letter', fontsOnDisk());
    expect(await pages(long, 'a4', fontsOnDisk())).toBeGreaterThan(once);
    expect(await pages({ ...sheet, pieces: [], materials: [] }, 'a4', fontsOnDisk())).toBe(1);
    // A limit for what never comes, not for speed: letters are embedded beside all other tests.
  }, 180_000);
});

describe('the screen of one piece', () => {
  it('groups steps by coat and counts what holds each', () => {
    const [group] = taskGroups(prep('Viaduct painting'));
    expect(group).toMatchObject({ title: 'Before Flood 2', held: 0, next: true });
    const tiles = taskGroups(prep('Hall tiles'));
    expect(tiles.map((g) => g.title)).toEqual([
      'On the coat that lies there',
      'After the last coat',
    ]);
    const bare = facts({ coats: [], areas: [area(relief('sand'))] });
    const plan = placeTasks(
      bare,
      planPrep(bare),
      [],
      [{ fromMs: 0, temperatureK: 295, humidity: 0.5 }],
    );
    expect(taskGroups({ facts: bare, state: plan, records: [], air: [] })[0]?.title).toBe(
      'Before the first coat',
    );
  });
  it('moves a step only where the work leaves it free', () => {
    const plan = prep('Relief map');
    const key = (rule: string) =>
      plan.state.tasks.find((t) => t.task.rule === rule)?.task.key ?? '';
    expect(
      movedOrder(plan, key('flatten'), 1)
        ?.map((t) => t.rule)
        .slice(1, 3),
    ).toEqual(['tooth', 'flatten']);
    expect(movedOrder(plan, key('wipe'), -1)).toBeNull();
    expect(movedOrder(plan, plan.state.tasks[0]?.task.key ?? '', -1)).toBeNull();
  });
  it('a time is read as local, and never from the future', () => {
    expect(readDoneAt('13:00', NOW)).toEqual({ atMs: NOW - HOUR / 2 });
    expect(readDoneAt('13:31', NOW)).toMatchObject({
      error: expect.stringContaining('still to come'),
    });
    expect(readDoneAt('', NOW)).toMatchObject({ error: expect.stringContaining('time of day') });
  });
  it('reads the air in any unit, with a message at the field', () => {
    const air = readAir({ temperature: '72 F', humidity: '55', surface: '18 C' }, METRIC);
    expect(air.ok && air.value.temperatureK).toBeCloseTo(295.372, 3);
    expect(air.ok && air.value.humidity).toBeCloseTo(0.55, 12);
    expect(air.ok && air.value.surfaceK).toBeCloseTo(291.15, 9);
    const bad = readAir({ temperature: 'warm', humidity: '140 %', surface: 'cold' }, METRIC);
    expect(!bad.ok && Object.keys(bad.errors).sort()).toEqual([
      'humidity',
      'surface',
      'temperature',
    ]);
  });
  it('stations stand at edges or spread over their area', () => {
    const { facts: of, state } = prep('Viaduct painting');
    const stations = stationsOf(of, state.tasks, (key) => key.length);
    expect(stations).toHaveLength(state.tasks.length);
    const mask = stations.find((s) => s.key.startsWith('mask'));
    // Longest edge of 600 × 400 mm, at the middle of it.
    expect(Math.abs(mask?.at[1] ?? 0)).toBeCloseTo(0.2, 9);
    expect(mask?.at[0]).toBeCloseTo(0, 9);
  });
});
