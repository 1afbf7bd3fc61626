import 'fake-indexeddb/auto';
import { stateOf } from '@/records';
import { massRatioBA, splitMix } from '@/core/resin';
import { measureShape } from '@/core/geometry';
import type {
  Area,
  Batch,
  Coat,
  Defect,
  LogEntry,
  Photo,
  Piece,
  Resin,
  WetSession,
} from '@/records';
import { readFileSync } from 'node:fs';
import { demoShop } from '.';
import { makeDemo } from './make';

const NOW = Date.UTC(2026, 10, 24, 13, 30);
const DAY = 86_400_000;
const shop = demoShop(NOW) as unknown as {
  pieces: Piece[];
  areas: Area[];
  resins: Resin[];
  coats: Coat[];
  sessions: WetSession[];
  batches: Batch[];
  defects: Defect[];
  photos: Photo[];
  log: LogEntry[];
};
const resinOf = (id: string) => {
  const resin = shop.resins.find((r) => r.id === id);
  if (!resin) throw new Error(id);
  return resin;
};

describe('the invented shop', () => {
  it('is what the acts of its users make today (else: npm run demo:data)', async () => {
    expect(await makeDemo('told-again')).toBe(readFileSync('src/demo/shop.json', 'utf8'));
  }, 180_000);

  it('is the same for the same clock, and moves with it', () => {
    expect(JSON.stringify(demoShop(NOW))).toBe(JSON.stringify(demoShop(NOW)));
    const later = demoShop(NOW + DAY) as unknown as typeof shop;
    later.log.forEach((entry, i) => expect(entry.atMs - (shop.log[i]?.atMs ?? 0)).toBe(DAY));
  });

  it('holds three weeks of log, nothing in the future, oldest first', () => {
    const times = shop.log.map((e) => e.atMs);
    expect(Math.min(...times)).toBeLessThan(NOW - 20 * DAY);
    expect(Math.max(...times)).toBeLessThanOrEqual(NOW);
    expect(times).toEqual([...times].sort((a, b) => a - b));
    expect(shop.log.length).toBeGreaterThan(80);
  });

  it('has sixteen pieces and four resins with different ratios', () => {
    expect(shop.pieces).toHaveLength(16);
    expect(
      shop.resins.map((r) => `${r.sheet.ratio.a}:${r.sheet.ratio.b} ${r.sheet.ratio.by}`),
    ).toEqual(['2:1 volume', '1:1 volume', '100:45 mass', '3:1 volume']);
  });

  it('never pours a coat before the one below', () => {
    for (const piece of shop.pieces) {
      const coats = shop.coats
        .filter((c) => c.pieceId === piece.id)
        .sort((a, b) => a.order - b.order);
      expect(coats.map((c) => c.order)).toEqual(coats.map((_, i) => i + 1));
      const poured = coats.map((c) => c.pouredMs ?? Infinity);
      expect(poured).toEqual([...poured].sort((a, b) => a - b));
    }
  });

  it.each(shop.coats.filter((c) => c.pouredMs !== null).map((c) => [c.id, c] as const))(
    'coat %s: its session is logged step by step, in order',
    (_id, coat) => {
      // Warm air goes over a coat whenever it is wanted.
      const entries = shop.log.filter(
        (e) => e.batchId === coat.batchId && e.kind !== 'bubble round',
      );
      expect(entries.map((e) => e.kind)).toEqual([
        'session started',
        'weighed A',
        'mixed',
        'stir started',
        'stirred',
        'poured',
        'covered',
      ]);
      expect(new Set(entries.map((e) => e.by)).size).toBe(1);
      expect(entries.find((e) => e.kind === 'poured')?.atMs).toBe(coat.pouredMs);
      expect(entries.find((e) => e.kind === 'mixed')?.atMs).toBe(coat.mixedMs);
    },
  );

  it.each(shop.batches.map((b) => [b.id, b] as const))(
    'batch %s: weighed to its ratio',
    (_id, batch) => {
      const { sheet } = resinOf(batch.resinId);
      const split = splitMix(batch.targetM3, sheet);
      if (!split.ok) throw new Error('no split');
      expect(batch.targetAKg).toBeCloseTo(split.value.aKg, 12);
      const { aKg, bKg, mixedMs, covered } = stateOf(batch);
      expect(aKg).toBeCloseTo(split.value.aKg, 3);
      expect(Math.abs((bKg ?? 0) / ((aKg ?? 1) * massRatioBA(sheet)) - 1)).toBeLessThan(0.01);
      const session = shop.sessions.find((s) => s.id === batch.sessionId);
      expect(session?.startedMs).toBeLessThan(mixedMs ?? 0);
      expect(session?.endedMs).toBe(Math.max(...covered.values()));
    },
  );

  it('asks each coat for a thickness that its resin allows', () => {
    for (const coat of shop.coats) {
      const { sheet } = resinOf(coat.resinId);
      expect(coat.thicknessM).toBeGreaterThanOrEqual(sheet.thinnestM);
      expect(coat.thicknessM).toBeLessThanOrEqual(sheet.thickestM);
    }
  });

  it('has defects found and repaired, and one open with a drawn photo', () => {
    expect(shop.defects.filter((d) => d.repairedMs === null)).toHaveLength(1);
    expect(shop.defects.filter((d) => d.repairedMs !== null).length).toBeGreaterThan(2);
    for (const d of shop.defects)
      if (d.repairedMs !== null) expect(d.repairedMs).toBeGreaterThan(d.foundMs);
    expect(shop.photos[0]?.blob.type).toBe('image/svg+xml');
  });

  it('draws a picture that needs nothing from outside', async () => {
    const text = (await shop.photos[0]?.blob.text()) ?? '';
    expect(text).toContain('<svg xmlns="http://www.w3.org/2000/svg"');
    expect(text).not.toMatch(/href|url\(|<script|<image/);
  });

  it('the paddle: area of blade and bare handle by closed forms', () => {
    const area = shop.areas.find((a) => a.shape.kind === 'outline');
    if (!area) throw new Error('no paddle');
    // Disc of r 170 mm less the segment under the neck (half chord 30 mm), plus 10 mm of handle above the bare part.
    const [r, half] = [0.17, 0.03];
    const neck = Math.asin(half / r);
    const disc = Math.PI * r * r - r * r * (neck - Math.sin(neck) * Math.cos(neck));
    expect(measureShape(area.shape).areaM2).toBeCloseTo(disc + 0.06 * 0.01, 5);
  });
});
