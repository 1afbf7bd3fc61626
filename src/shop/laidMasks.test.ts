import { asId } from '@/records';
import { areasOf } from './coatView';
import { laidMasks } from './prepFacts';
import { aFace, aMask, at, aTask } from './test/bench';

describe('masks that were laid', () => {
  const mask = aMask({ doneMs: at(-5) });
  it('one is a record of a mask that was done, by a method, for a coat', () => {
    expect(laidMasks([mask])).toMatchObject([
      { coatId: 'flood', areaId: 'face', laidMs: at(-5), takenOffMs: null },
    ]);
    for (const change of [
      { state: 'waived' },
      { method: null },
      { doneMs: null },
      { scope: [] },
      { coatId: null },
      { rule: 'wipe' },
    ])
      expect(laidMasks([{ ...mask, ...(change as object) }])).toEqual([]);
  });
  it('of a face that was cut since it lies on all its places, each off by itself', () => {
    const places = ['shore', 'water'].map((id) => aFace({ id: asId(id), partOf: asId('face') }));
    const off = aTask('unmask', { key: 'unmask:flood.shore', doneMs: at(99) });
    expect(
      laidMasks([mask, off], [aFace(), ...places]).map((m) => [m.areaId, m.takenOffMs]),
    ).toEqual([
      ['shore', at(99)],
      ['water', null],
    ]);
    const whole = aTask('unmask', { key: 'unmask:flood.face', doneMs: at(99) });
    expect(laidMasks([mask, whole], places).map((m) => m.takenOffMs)).toEqual([at(99), at(99)]);
  });
  it('the first that was laid stands first', () => {
    const later = { ...mask, id: asId<'task'>('later'), coatId: 'next', doneMs: at(50) };
    expect(laidMasks([later, mask]).map((m) => m.coatId)).toEqual(['flood', 'next']);
  });
});

describe('areas of a piece', () => {
  it('the face first, then its places by name, then the others', () => {
    const area = (id: string, kind: 'face' | 'back', partOf: string | null = null) =>
      aFace({ id: asId(id), name: id, kind, partOf: partOf === null ? null : asId(partOf) });
    const areas = [
      area('back', 'back'),
      area('water', 'face', 'whole'),
      area('bank', 'face', 'whole'),
      area('whole', 'face'),
      aFace({ id: asId('of another'), pieceId: asId('other') }),
    ];
    expect(areasOf({ areas }, 'piece').map((a) => a.name)).toEqual([
      'whole',
      'bank',
      'water',
      'back',
    ]);
  });
});
