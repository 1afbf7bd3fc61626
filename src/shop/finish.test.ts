import { asId, type Coat, type LogEntry } from '@/records';
import { ledgerOf, viewPiece } from './coatView';
import { askedAtFinish, billOf, careOf, coatRecords, leavingOf, looksIn, STEP_S } from './finish';
import type { Shop } from './shop';
import {
  aBatch,
  aCoat,
  acts,
  aFace,
  aLot,
  aMask,
  at,
  AT_22,
  aTask,
  benchShop,
  entry,
  HOUR,
  plannedCoat,
  walledFace,
} from './test/bench';
import { plainPiece, plainResin } from './test/rows';

/** Ten days on, in a room at the sheet's own 22 °C. */
const NOW = at(2) + 240 * HOUR;
const viewOf = (shop: Shop) => {
  const [piece] = shop.pieces;
  if (!piece) throw new Error('no piece');
  return viewPiece(shop, piece, NOW);
};
const priced = (amount: number, per: 'kg' | 'l') => plainResin('resin', { price: { amount, per } });
/** What a litre of the mix weighs: half a litre of each part. */
const LITRE_KG = (1.15 + 1) / 2;

describe('what a piece took', () => {
  const bill = (change: Partial<Shop> = {}) => {
    const shop = benchShop(change, AT_22);
    return billOf(shop, viewOf(shop));
  };
  it('as it was weighed, at the price of a kilogram or a litre', () => {
    const [line] = bill({ resins: [priced(20, 'kg')] }).lines;
    expect(line).toMatchObject({ name: 'flood', weighed: true });
    expect(line?.kg).toBeCloseTo(0.43, 12);
    expect(line?.cost).toBeCloseTo(8.6, 9);
    const [byLitre] = bill({ resins: [priced(20, 'l')] }).lines;
    expect(byLitre?.cost).toBeCloseTo((20 * 0.43) / LITRE_KG, 9);
    expect(bill().lines[0]?.cost).toBeNull();
  });
  it('one that is not mixed yet stands as it is planned', () => {
    const planned = plannedCoat('flood', 1);
    const shop = benchShop({ coats: [planned], batches: [], resins: [priced(20, 'kg')] }, AT_22);
    const [seen] = viewOf(shop).coats;
    const ledger = seen ? ledgerOf(seen) : null;
    const [line] = billOf(shop, viewOf(shop)).lines;
    expect(line?.weighed).toBe(false);
    expect(ledger?.ok && ledger.value.totalM3 * 1000 * LITRE_KG).toBeCloseTo(line?.kg ?? NaN, 9);
  });
  it('of a batch for two, what was planned for it by what was really mixed', () => {
    const two = { batches: [aBatch('batch', ['flood', 'other'])] };
    const [alone] = bill({}).lines;
    const [shared] = bill(two).lines;
    // Mixed was what was asked, so that each bears its plan.
    const asked = aBatch('batch', ['flood', 'other'], { targetAKg: 0.46, targetBKg: 0.4 });
    const [half] = bill({ batches: [asked] }).lines;
    expect(half?.kg).toBeCloseTo((shared?.kg ?? NaN) / 2, 9);
    expect(shared?.kg).toBeLessThan(alone?.kg ?? NaN);
  });
  it('hands: the session shared with what it served, and the usual for each step that was ticked', () => {
    const tasks = [aTask('wipe'), aTask('level'), aTask('lint', { state: 'waived' })];
    // From ten minutes before to thirty after.
    expect(bill({ tasks })).toMatchObject({ wetS: 2400, steps: 2, stepsS: 2 * STEP_S });
    const [session] = benchShop().sessions;
    const coatIds = [asId<'coat'>('flood'), asId<'coat'>('other')];
    const shared = session ? [{ ...session, coatIds }] : [];
    expect(bill({ sessions: shared }).wetS).toBe(1200);
    const open = session ? [{ ...session, endedMs: null }] : [];
    expect(bill({ sessions: open }).wetS).toBe(0);
  });
  it('consumables for each coat', () => {
    const { settings } = benchShop();
    expect(bill({ settings: { ...settings, consumables: 1.5 } }).consumables).toBe(1.5);
  });
});

describe('the record that goes with a piece', () => {
  it('coats that lie, with what was weighed, their lot and the least of their film', () => {
    const lot = aLot('L');
    const coats: Coat[] = [aCoat('flood', 1, { staysM: [1.6e-3] }), plannedCoat('next', 2)];
    const shop = benchShop(
      { coats, lots: [lot], batches: [aBatch('batch', ['flood'], { lotId: lot.id })] },
      AT_22,
    );
    const records = coatRecords(shop, viewOf(shop));
    expect(records.map((r) => [r.coat.id, r.lot?.name, r.filmM])).toEqual([['flood', 'L', 1.6e-3]]);
    expect(records[0]?.mixKg).toBeCloseTo(0.43, 12);
    const bare = { ...shop, batches: [], lots: [] };
    expect(coatRecords(bare, viewOf(bare))).toMatchObject([{ mixKg: null, lot: null }]);
  });
  it('looks by the log', () => {
    const kinds = ['defect noted', 'poured', 'looked clean', 'note', 'looked over'] as const;
    const log: LogEntry[] = kinds.map((kind) => entry({ kind }));
    expect(looksIn(log).map((e) => e.kind)).toEqual([
      'defect noted',
      'looked clean',
      'looked over',
    ]);
  });
});

describe('care', () => {
  const care = (change: Partial<Shop> = {}) => {
    const shop = benchShop(change, AT_22);
    return careOf(viewOf(shop));
  };
  const from = (lines: ReturnType<typeof care>, is: string) =>
    lines?.find((l) => l.is === is) as { fromMs: number } | undefined;
  it('by the clock of its slowest coat; none while nothing lies on it', () => {
    // 18 h to handle, 120 h to cure, from the mix on.
    expect(from(care(), 'light use')?.fromMs).toBeGreaterThan(at(2) + 17.9 * HOUR);
    expect(from(care(), 'fully cured')?.fromMs).toBeCloseTo(at(2) + 120 * HOUR, -4);
    const later = aCoat('second', 2, { mixedMs: at(62), pouredMs: at(70) });
    const two = care({ coats: [aCoat('flood', 1), later] });
    expect(from(two, 'fully cured')?.fromMs).toBeCloseTo(at(62) + 120 * HOUR, -4);
    const planned = plannedCoat('flood', 1);
    expect(care({ coats: [planned] })).toBeNull();
  });
  it('ink fades', () => {
    const ink = { kind: 'ink', resin: null, ageDays: null, sanded: false } as const;
    const said = (change: Partial<Shop>) => JSON.stringify(care(change));
    expect(said({ areas: [aFace({ surface: ink })] })).not.toBe(said({}));
  });
});

describe('what is asked at the end', () => {
  const asked = (change: Partial<Shop> = {}) => {
    const shop = benchShop(change, AT_22);
    return askedAtFinish(shop, viewOf(shop));
  };
  it('hardware goes back on, and only what bears resin counts', () => {
    const marked = [plainPiece('piece', { marks: [{ name: 'Hook', at: [0, 0] }] })];
    expect(asked({ pieces: marked }).length).toBeGreaterThan(asked().length);
    const areas = [walledFace()];
    expect(asked({ areas, tasks: [aMask()] })).not.toEqual(asked({ areas }));
  });
  it('bare wood is oiled where some of it stays bare, as an area or as a part of its outline', () => {
    const oiled = (areas: Shop['areas'], support: 'bare wood' | 'tile' = 'bare wood') =>
      asked({ areas, pieces: [plainPiece('piece', { support })] }).some(
        (a) => a.step === 'bare wood oiled',
      );
    const bare = aFace({ id: asId('handle'), bare: true });
    expect(oiled([aFace(), bare])).toBe(true);
    expect(oiled([aFace()])).toBe(false);
    expect(oiled([aFace(), bare], 'tile')).toBe(false);
    const hole = { kind: 'disc', diameterM: 0.02 } as const;
    const shape = {
      kind: 'outline',
      outer: [],
      keepBare: [hole],
    } as unknown as Shop['areas'][0]['shape'];
    expect(
      oiled([aFace(), aFace({ id: asId('lid'), pieceId: asId('piece'), shape, kind: 'back' })]),
    ).toBe(true);
  });
  it('a batch of which only A was weighed has no mass yet', () => {
    const events = acts([0, { is: 'weighed A', kg: 0.2, by: 'read' }]);
    const shop = benchShop({ batches: [aBatch('batch', ['flood'], { events })] }, AT_22);
    expect(coatRecords(shop, viewOf(shop))[0]?.mixKg).toBeNull();
  });
  it('what keeps it here is that of this piece alone', () => {
    const shop = benchShop(
      {
        coats: [aCoat('flood', 1), plannedCoat('open', 1, { pieceId: asId('other') })],
      },
      AT_22,
    );
    expect(leavingOf(shop, viewOf(shop), NOW)).toEqual([]);
    expect(leavingOf(shop, viewOf(shop), at(60))).toMatchObject([{ is: 'cures' }]);
  });
});
