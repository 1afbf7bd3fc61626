import { liesOver } from '../../coat';
import type { PrepContext } from '../context';
import type { LaidMask, PrepCoat } from '../facts';
import { removal } from '../masks';
import type { PrepRule, TaskDraft } from '../task';
import { belowOn } from './below';
import { isStrewn } from './clean';
import { COAT_OF_PAINT_M } from './support';
import { isToothed } from './tooth';

const TRADE = 'Common practice, no source.';
const HOUR_S = 3600;
const isTape = ({ method }: LaidMask) => method === 'painter’s tape' || method === 'cloth tape';

/** Tape that came off after its coat had cured against it has left a lip; the next pour over it settles that. */
function lipDrafts(facts: PrepContext): TaskDraft[] {
  return facts.masks.flatMap((mask): TaskDraft[] => {
    const coat = facts.lying.find((c) => c.id === mask.coatId);
    const { takenOffMs, areaId, method, laidMs } = mask;
    if (!coat?.poured || takenOffMs === null || !isTape(mask)) return [];
    if (takenOffMs <= removal(method, laidMs, coat.poured).bestToMs) return [];
    const poured = facts.lying.some((c) => c.order > coat.order && c.areaIds.includes(areaId));
    const found = facts.defects.some((d) => d.kind === 'tape lip' && d.coatId === coat.id);
    if (poured || found) return [];
    return [
      {
        on: `${coat.id}.${areaId}`,
        coatId: facts.nextOn(areaId)?.id ?? null,
        areaIds: [areaId],
        notBeforeMs: coat.poured.handleMs,
      },
    ];
  });
}

/** A waiting coat with those areas under it that a poured coat covers which `fits`. */
const over = (
  facts: PrepContext,
  fits: (lower: PrepCoat, areaId: string, coat: PrepCoat) => boolean,
): TaskDraft[] =>
  facts.waiting.flatMap((coat) => {
    const under = [...belowOn(facts, coat)].filter(
      ([id, lower]) => lower.poured && fits(lower, id, coat),
    );
    if (under.length === 0) return [];
    const notBeforeMs = Math.max(
      ...under.flatMap(([, c]) => (c.poured ? [c.poured.handleMs] : [])),
    );
    return [{ on: coat.id, coatId: coat.id, areaIds: under.map(([id]) => id), notBeforeMs }];
  });

/** Seeps that were lifted and lie open: no coat has gone over them since. */
const seepDrafts = (facts: PrepContext): TaskDraft[] =>
  (facts.repaired ?? []).flatMap(({ kind, areaIds, atMs }) => {
    const covered = facts.lying.some(
      (c) =>
        liesOver(c) &&
        c.poured !== null &&
        c.poured.pouredMs > atMs &&
        c.areaIds.some((a) => areaIds.includes(a)),
    );
    const [first] = areaIds;
    if (kind !== 'seep' || covered || first === undefined) return [];
    return [
      {
        on: `${first}.${atMs}`,
        coatId: facts.nextOn(first)?.id ?? null,
        areaIds,
        drying: { labelS: 24 * HOUR_S, thicknessM: COAT_OF_PAINT_M, leaves: 'water' as const },
      },
    ];
  });

/** Steps that one coat leaves for the next. */
export const BETWEEN_RULES: readonly PrepRule[] = [
  {
    id: 'lip',
    step: 'lip',
    title: 'File the lip off',
    how: 'A fine file, flat on the edge and drawn away from the film, never against it; then a barely damp cloth.',
    reason:
      'Resin cured against the tape: its sharp lip stays under the next coat, or under a hand.',
    source: TRADE,
    needed: true,
    cautions: ['dust', 'knife'],
    find: lipDrafts,
  },
  {
    id: 'meniscus',
    step: 'lip',
    title: 'Sand the lip along the wall down',
    how: 'Resin climbs its wall: sand that rim flush, 120 then 240, before it is filled on.',
    reason: 'The next coat would stand lower than the rim it runs up to, and the edge is sharp.',
    source: TRADE,
    needed: false,
    cautions: ['dust'],
    find: (facts) =>
      over(
        facts,
        (lower, id, coat) =>
          lower.kind === 'fill' &&
          coat.kind !== 'fill' &&
          isToothed(facts, coat) &&
          facts.areaOf(id)?.edges.some((e) => e.kind === 'mould') === true,
      ),
  },
  {
    id: 'back in mould',
    step: 'mask',
    title: 'Put it back in its mould, walls clean',
    how: 'Walls wiped, lint lifted, the casting pressed home until nothing rocks. A gap lets resin run behind it: close it with a thread of the same resin first.',
    reason: 'What is filled up needs its walls; a casting out of its mould is domed instead.',
    source: TRADE,
    needed: true,
    find: (facts) =>
      facts.waiting
        .filter((coat) => coat.kind === 'fill' && facts.support === 'cured resin')
        .flatMap((coat) => {
          const walled = facts
            .areasOf(coat)
            .filter((a) => !facts.on(a.id).top && a.edges.some((e) => e.kind === 'mould'));
          const areaIds = walled.map((a) => a.id);
          return areaIds.length > 0 ? [{ on: coat.id, coatId: coat.id, areaIds }] : [];
        }),
  },
  {
    id: 'degrease',
    step: 'degrease',
    title: 'Wash and wipe twice: silicone below',
    how: 'Warm water and washing-up liquid, rinse, dry. Then alcohol twice, each time with a fresh cloth thrown away after it. Sand only then, and wipe again.',
    reason:
      'Silicone from a colour or a release spray travels: the next coat draws back over it, and sanding rubs it in.',
    source: TRADE,
    needed: true,
    cautions: ['solvent', 'skin'],
    find: (facts) => over(facts, (lower) => lower.silicone === true),
  },
  {
    id: 'loose between',
    step: 'loose',
    title: 'Brush and vacuum what did not bind',
    how: 'When the lock coat can be touched: a soft brush, then the vacuum with a stocking in the nozzle.',
    reason: 'What the lock coat did not hold floats up in the next one.',
    source: TRADE,
    needed: true,
    find: (facts) =>
      over(facts, (lower, id) => {
        const area = facts.areaOf(id);
        return lower.kind === 'lock' && area !== undefined && isStrewn(area);
      }),
  },
  {
    id: 'repaint seep',
    step: 'ground',
    title: 'Repaint where the seep was',
    how: 'Its own colour, thin, up to the line; dry before anything covers it.',
    reason: 'The knife that lifts a seep takes paint with it.',
    source: TRADE,
    needed: false,
    find: seepDrafts,
  },
];
