import type { CoatKind, EdgeKind } from '@/core/piece';
import { asId, type Area } from '@/records';
import { FieldReader } from '@/features/common/fieldReader';
import { METRIC, plain, US } from '@/features/test/shop';
import type { PieceView } from '@/shop/coatView';
import { sharesText } from '@/features/common/shares';
import { readColours } from './colours';
import {
  draftOfIntent,
  draggedIntent,
  intentField,
  intentIssueText,
  readIntent,
  switchIntent,
} from './intents';
import { defaultAreas, usualDraft } from './model';
import { onPiece } from './test/demo';

describe('intentions as they are typed', () => {
  it.each([
    [{ by: 'given', thicknessM: 1.5e-3 }, '1.5 mm'],
    [{ by: 'bury', coverM: 0.5e-3 }, '0.5 mm'],
    [{ by: 'fill', belowM: 0 }, '0 mm'],
    [{ by: 'dome', centreM: null }, ''],
    [{ by: 'natural' }, ''],
    [{ by: 'skin' }, ''],
    [{ by: 'over', perMetreM2: 4e-5 }, '40 ml'],
    [{ by: 'spread', thicknessM: 1.1e-3 }, '1.1 mm'],
    [{ by: 'rim', heightM: 5e-3 }, '5 mm'],
    [{ by: 'mix', volumeM3: 450e-6 }, '450 ml'],
  ] as const)('%o is written %s, and read back the same', (intent, text) => {
    const draft = draftOfIntent(intent, METRIC);
    expect(draft).toEqual({ by: intent.by, value: text });
    const reader = new FieldReader<'value'>(METRIC);
    const read = readIntent(draft, reader, 'value', 1100, METRIC);
    for (const [name, value] of Object.entries(intent))
      expect(read).toHaveProperty(
        name,
        typeof value === 'number' ? expect.closeTo(value, 12) : value,
      );
    expect(reader.sound).toBe(true);
  });
  it('what cannot be read has a message at its field', () => {
    const reader = new FieldReader<'value'>(METRIC);
    readIntent({ by: 'bury', value: 'deep' }, reader, 'value', 1100, METRIC);
    expect(reader.errors.value).toContain('Not a number');
  });
  it('what is mixed is read as a volume or a weight; a US shop floods over each foot', () => {
    const reader = new FieldReader<'value'>(US);
    const mix = (value: string) => readIntent({ by: 'mix', value }, reader, 'value', 1100, US);
    // A US fluid ounce is 29.5735 ml; 480 g of 1.1 g/ml are 436.4 ml.
    expect(mix('15 fl oz')).toMatchObject({ volumeM3: expect.closeTo(443.603e-6, 9) });
    expect(mix('15')).toMatchObject({ volumeM3: expect.closeTo(443.603e-6, 9) });
    expect(mix('480 g')).toMatchObject({ volumeM3: expect.closeTo(436.364e-6, 9) });
    expect(reader.sound).toBe(true);
    mix('a cup');
    expect(reader.errors.value).toContain('Not a number');
    // 50 ml a metre are 15.24 ml, 0.515 fl oz, a foot.
    const foot = draftOfIntent({ by: 'over', perMetreM2: 50e-6 }, US);
    expect(foot.value).toMatch(/^0\.515/);
    expect(readIntent(foot, reader, 'value', 1100, US)).toMatchObject({
      perMetreM2: expect.closeTo(50e-6, 8),
    });
    expect(intentField('over', US)?.label).toContain('foot');
    expect(intentField('over', METRIC)?.label).toContain('metre');
  });
  it('each kind of coat starts with what it is usually for, and says why', () => {
    const label = onPiece('Luggage label set');
    const start = (kind: CoatKind, view: PieceView = label) =>
      usualDraft(kind, view, defaultAreas(kind, view.areas), METRIC);
    expect(start('lock').intent).toEqual({ by: 'given', value: '0.7 mm' });
    expect(start('seal')).toMatchObject({
      intent: { by: 'skin' },
      why: expect.stringContaining('brushed'),
    });
    const as = (
      support: PieceView['piece']['support'],
      kinds: EdgeKind,
      relief: Area['relief'] = [],
    ) => ({
      ...label,
      piece: { ...label.piece, support },
      areas: label.areas.map((a) => ({
        ...a,
        relief,
        edges: a.edges.map((e) => ({ ...e, kind: kinds })),
      })),
    });
    expect(start('flood', as('tile', 'open'))).toMatchObject({
      intent: { by: 'over', value: '50 ml' },
      why: expect.stringContaining('fed back'),
    });
    expect(start('flood', as('canvas', 'open')).intent.by).toBe('natural');
    expect(start('flood', as('tile', 'doming')).intent.by).toBe('dome');
    expect(start('flood', as('tile', 'tape wall')).intent).toEqual({
      by: 'given',
      value: '1.6 mm',
    });
    const stones = [{ kind: 'stones', greatestM: 2e-3, meanM: 1e-3, share: 0.5 } as const];
    expect(start('flood', as('tile', 'open', stones)).intent.by).toBe('bury');
    expect(start('art', as('canvas', 'open')).intent.by).toBe('over');
  });
  it('another intention starts from what the coat has', () => {
    const standing = { thicknessM: 2e-3, totalM3: 450e-6 };
    expect(switchIntent('given', standing, METRIC).value).toBe('2 mm');
    expect(switchIntent('mix', standing, METRIC).value).toBe('450 ml');
    expect(switchIntent('mix', { ...standing, totalM3: null }, METRIC).value).toBe('');
    expect(switchIntent('over', standing, METRIC).value).toBe('50 ml');
    expect(switchIntent('spread', standing, METRIC).value).toBe('1.1 mm');
  });
  it('a drag adds cover over relief, and is a thickness for any other', () => {
    const bury = { by: 'bury', coverM: 0.5e-3 } as const;
    expect(draggedIntent(bury, 2e-3, 2.3e-3)).toMatchObject({ by: 'bury' });
    expect(draggedIntent(bury, 2e-3, 1.5e-3)).toEqual({ by: 'given', thicknessM: 1.5e-3 });
    expect(draggedIntent({ by: 'natural' }, 1e-3, 2e-3)).toEqual({ by: 'given', thicknessM: 2e-3 });
  });
  it('says what stands against an intention, where it can be mended', () => {
    const words = (
      name: string,
      code: 'required' | 'not-allowed' | 'does-not-fit' | 'out-of-range',
      max?: number,
    ) =>
      plain(
        intentIssueText(
          { code, path: [name], value: 0, ...(max !== undefined && { allowed: { max } }) },
          METRIC,
        ),
      );
    expect(words('areas', 'required')).toContain('survey one');
    expect(words('recess', 'required')).toContain('recess');
    expect(words('edges', 'not-allowed')).toContain('no lip');
    expect(words('belowM', 'does-not-fit', 0)).toContain('Nothing is left to fill');
    expect(words('centreM', 'out-of-range', 2e-3)).toContain('safe up to 2.00 mm');
    expect(words('centreM', 'does-not-fit', 2e-3)).toContain('reach that height already');
    expect(words('coverM', 'out-of-range', 2e-3)).toBe('At most 2.00 mm.');
    expect(words('open edges', 'required')).toContain('None of its edges is open');
    expect(words('walls', 'not-allowed')).toContain('no rim to fill to');
    expect(words('relief', 'does-not-fit')).toContain('above the top of the walls');
    expect(words('heightM', 'does-not-fit')).toContain('reach that height already');
    expect(words('volumeM3', 'does-not-fit', 1e-4)).toContain('No film that the sheet allows');
  });
  it('colours and their shares', () => {
    expect(readColours('teal 20 %, pearl dust 8,5%')).toEqual([
      { name: 'teal', share: 0.2, swatchId: null },
      { name: 'pearl dust', share: 0.085, swatchId: null },
    ]);
    // One that is called like a swatch is mixed by it, of the coat's own resin where there are two.
    const swatch = (id: string, resinId: string) => ({
      ...{ id: asId<'swatch'>(id), resinId: asId<'resin'>(resinId), name: 'Teal' },
    });
    const kept = [swatch('other', 'b'), swatch('own', 'a')];
    const linked = (resinId: string) => readColours('teal 20 %', kept, resinId)?.[0]?.swatchId;
    expect([linked('a'), linked('b'), linked('c')]).toEqual(['own', 'other', 'other']);
    expect(sharesText([{ name: 'teal', share: 0.2 }])).toBe('teal 20 %');
    expect(readColours('')).toEqual([]);
    for (const bad of ['teal', 'teal 0 %', 'a 60 %, b 60 %', '20 %'])
      expect(readColours(bad)).toBeNull();
  });
});
