import { parseTimeOfDay, draftOfSettings, readSettings } from './settings/model';
import { draftOf, emptyDraft, readSurvey, type SurveyDraft } from './survey/model';
import { draftOfResin, readSheet, TYPICAL } from './resins/model';
import { readCoat } from './coats/model';
import { readTemperature } from './cure/model';
import { DEFAULT_SETTINGS, type Area, type Piece } from '@/data/records/types';
import { demoView, HOUR, METRIC, NOW, plain, US } from './test/shop';

const shop = demoView();

describe('survey form', () => {
  const read = (change: Partial<SurveyDraft>, format = METRIC) =>
    readSurvey(
      { ...emptyDraft(format), name: 'Sill', width: '30 cm', height: '12 in', ...change },
      format,
    );
  const errors = (change: Partial<SurveyDraft>) => {
    const result = read(change);
    return result.ok
      ? {}
      : Object.fromEntries(Object.entries(result.errors).map(([k, v]) => [k, plain(v)]));
  };

  it('reads mixed units into SI', () => {
    const result = read({});
    expect(result.ok && result.value.shape).toEqual({
      kind: 'rectangle',
      widthM: 0.3,
      heightM: expect.closeTo(0.3048, 12),
    });
  });

  it('a bare number means mm, or inches in a US shop', () => {
    const shape = (r: ReturnType<typeof read>) =>
      r.ok && r.value.shape.kind === 'rectangle' ? r.value.shape.widthM : NaN;
    expect(shape(read({ width: '300' }))).toBeCloseTo(0.3, 12);
    expect(shape(read({ width: '12' }, US))).toBeCloseTo(0.3048, 12);
  });

  it.each<[Partial<SurveyDraft>, Record<string, string>]>([
    [{ width: '10 km' }, { width: 'Between 1 mm and 10 m.' }],
    [{ width: '0' }, { width: 'Between 1 mm and 10 m.' }],
    [{ width: '-3 cm' }, { width: 'Between 1 mm and 10 m.' }],
    [{ width: 'NaN' }, { width: 'Not a number. Write for example 30 cm, 12 in, 1/8".' }],
    [
      { width: '12 ml' },
      { width: 'That unit measures something else. Write for example 30 cm, 12 in, 1/8".' },
    ],
    [
      { width: '', height: '' },
      { width: 'Needed.', height: 'Needed.' },
    ],
    [{ name: '  ' }, { name: 'Needed.' }],
    [{ count: '0' }, { count: 'A whole number from 1 to 500.' }],
    [{ count: '2.5' }, { count: 'A whole number from 1 to 500.' }],
    [{ shape: 'roundedRectangle', radius: '20 cm' }, { radius: 'Does not fit: at most 150 mm.' }],
    [{ shape: 'regularPolygon', sides: '2' }, { sides: 'A whole number from 3 to 60.' }],
  ])('%j', (change, expected) => expect(errors(change)).toEqual(expected));

  it('fits the kinds of edge to the shape', () => {
    const hexagon = read({ shape: 'regularPolygon', sides: '6', edgeKinds: ['dammed', 'open'] });
    expect(hexagon.ok && hexagon.value.edgeKinds).toEqual([
      'dammed',
      'open',
      'dammed',
      'dammed',
      'dammed',
      'dammed',
    ]);
    const disc = read({ shape: 'disc' });
    expect(disc.ok && disc.value.edgeKinds).toHaveLength(1);
  });

  it('writes every piece of the demo into the form and reads the same back', () => {
    for (const area of shop.areas) {
      const piece = shop.pieces.find((p) => p.id === area.pieceId) as Piece;
      for (const format of [METRIC, US]) {
        const result = readSurvey(draftOf(piece, area as Area, format), format);
        if (!result.ok) throw new Error(JSON.stringify(result.errors));
        const { shape, edgeKinds, count } = result.value;
        expect({ edgeKinds, count }).toEqual({ edgeKinds: area.edgeKinds, count: piece.count });
        for (const [key, value] of Object.entries(area.shape))
          if (typeof value === 'number')
            expect(Number(shape[key as keyof typeof shape]) / value).toBeCloseTo(1, 8);
      }
    }
  });
});

describe('data sheet form', () => {
  const sound = { ...TYPICAL, name: 'New', densityA: '1.15', densityB: '0.98' };
  const errors = (change: Partial<typeof TYPICAL>) => {
    const result = readSheet({ ...sound, ...change }, METRIC);
    return result.ok
      ? {}
      : Object.fromEntries(Object.entries(result.errors).map(([k, v]) => [k, plain(v)]));
  };
  it('reads typical times as soon as name and densities are there', () => {
    expect(errors({})).toEqual({});
    expect(errors({ densityA: '' })).toEqual({ densityA: 'Needed.' });
  });
  it.each([
    [{ a: '0' }, { a: 'A number from 0.01 to 100.' }],
    [{ densityB: '12' }, { densityB: 'Between 0.700 g/ml and 2.50 g/ml.' }],
    [{ recoatClosesS: '6 h' }, { recoatClosesS: 'Too early: not before 8.0 h.' }],
    [{ hardS: '12 h' }, { hardS: 'Too early: not before 13.0 h.' }],
    [{ thickest: '0.1 mm' }, { thickest: 'At least 0.50 mm.' }],
  ])('%j', (change, expected) => expect(errors(change)).toEqual(expected));
  it('takes a bare number as hours: 40 is then too long a working time', () => {
    expect(Object.keys(errors({ workingS: '40' }))).toEqual(['noFlowS']);
  });
  it('writes each demo sheet into the form and reads it back', () => {
    for (const resin of shop.resins) {
      const result = readSheet(draftOfResin(resin, METRIC), METRIC);
      if (!result.ok) throw new Error(JSON.stringify(result.errors));
      expect(result.value.sheet.times.recoatOpensS).toBeCloseTo(resin.sheet.times.recoatOpensS, 5);
      expect(result.value.sheet.densityAKgM3).toBeCloseTo(resin.sheet.densityAKgM3, 8);
      expect(result.value.sheet.ratio).toEqual(resin.sheet.ratio);
    }
  });
});

describe('coat form', () => {
  const draft = {
    name: 'Flood 2',
    kind: 'flood',
    resinId: 'demo-millrace',
    thickness: '1/16 in',
  } as const;
  const read = (change: object) => readCoat({ ...draft, ...change }, shop.resins, METRIC);
  it('reads inches and holds the sheet’s limits', () => {
    const result = read({});
    expect(result.ok && result.value.thicknessM).toBeCloseTo(0.0015875, 10);
    expect(read({ thickness: '7 mm' })).toMatchObject({ ok: false });
    expect(read({ thickness: '0.4 mm' })).toMatchObject({ ok: false });
    expect(read({ resinId: 'gone' })).toMatchObject({
      ok: false,
      errors: { resinId: 'Choose a resin.' },
    });
  });
});

describe('room temperature form', () => {
  const read = (temperature: string, ago: string) =>
    readTemperature({ temperature, ago }, NOW - 5 * HOUR, NOW, METRIC);
  it('takes a reading since the pour, in either scale', () => {
    expect(read('64 F', '2 h')).toEqual({
      ok: true,
      value: { temperatureK: expect.closeTo(290.928, 3), fromMs: NOW - 2 * HOUR },
    });
  });
  it('refuses before the pour, the future, and no room', () => {
    expect(read('18', '6 h')).toMatchObject({
      ok: false,
      errors: { ago: expect.stringContaining('Between') },
    });
    expect(read('18', '-1 h')).toMatchObject({ ok: false });
    expect(read('90 C', '0')).toMatchObject({
      ok: false,
      errors: { temperature: expect.stringContaining('Between') },
    });
  });
});

describe('settings form', () => {
  const draft = draftOfSettings(DEFAULT_SETTINGS, METRIC);
  it('writes and reads the same settings', () => {
    expect(readSettings(draft, METRIC)).toEqual({
      ok: true,
      value: { ...DEFAULT_SETTINGS, roomTemperatureK: expect.closeTo(295.15, 9) },
    });
  });
  it.each([
    ['7:30', 450],
    ['07.05', 425],
    ['7', 420],
    ['24:00', 1440],
    ['24:01', null],
    ['7:60', null],
    ['noon', null],
    ['', null],
  ])('time of day %p', (text, minutes) => expect(parseTimeOfDay(text)).toBe(minutes));
  it('closing must be later than opening', () => {
    expect(readSettings({ ...draft, opens: '18:30', closes: '18:30' }, METRIC)).toMatchObject({
      ok: false,
      errors: { closes: 'Must be later than it opens.' },
    });
  });
});
