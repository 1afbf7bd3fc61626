import type { PrepContext } from '../context';
import {
  type LaidMask,
  type MaskMethod,
  type PrepArea,
  type PrepCoat,
  type PrepCover,
} from '../facts';
import type { EdgeKind } from '../../piece';
import { MASK_FACTS, maskMaterials, removal } from '../masks';
import type { MaterialNeed } from '../materials';
import type { EdgeRef, PrepRule, ProblemName, TaskDraft } from '../task';
import { isDelicate, showsGround } from './layers';

const TRADE = 'Common practice, no source.';

/** Coats poured over a mask since it was put on. */
const coatsOver = (facts: PrepContext, mask: LaidMask): number =>
  facts.lying.filter(
    (c) => c.areaIds.includes(mask.areaId) && (c.poured?.pouredMs ?? 0) >= mask.laidMs,
  ).length;

const standing = (facts: PrepContext, areaId: string): LaidMask | undefined =>
  facts.masks.findLast((m) => m.areaId === areaId && m.takenOffMs === null);

/** A mask that may stay for the next coat as well. */
const holds = (facts: PrepContext, areaId: string): boolean => {
  const mask = standing(facts, areaId);
  if (!mask) return false;
  const { renewed, coats } = MASK_FACTS[mask.method];
  return !renewed && coatsOver(facts, mask) < coats && coatsOver(facts, mask) > 0;
};

const isTape = (method: MaskMethod) => method === 'painter’s tape' || method === 'cloth tape';

/** Areas never change once they are read. */
const covers = new WeakMap<PrepArea, PrepCover>();

/** An area by itself as a coat covers it. */
function coverOf(area: PrepArea): PrepCover {
  const known = covers.get(area);
  if (known) return known;
  const { id, kind, edges, bareOutlineM } = area;
  const cover: PrepCover = {
    areaIds: [id],
    kind,
    edges: edges.map(({ kind: wall, lengthM, heightM }, edge) => ({
      ...{ lengthM, heightM, on: { areaId: id, edge } },
      kind: wall,
    })),
    bareOutlineM,
  };
  covers.set(area, cover);
  return cover;
}

/** Whether paint or spray would go over a part that stays bare: its tape comes first. */
const keepsBare = (facts: PrepContext, { areaIds, bareOutlineM }: PrepCover): boolean =>
  bareOutlineM > 0 &&
  areaIds.some((id) => {
    const area = facts.ground.find((g) => g.area.id === id)?.area;
    return area !== undefined && (isDelicate(area) || showsGround(facts, area));
  });

type CoverEdges = Readonly<Partial<Record<EdgeKind, PrepCover['edges']>>>;
const byKind = new WeakMap<PrepCover, CoverEdges>();
const NO_EDGES: PrepCover['edges'] = [];

/** Stretches of one kind; a cover never changes. */
function edgesOf(cover: PrepCover, kind: EdgeKind): PrepCover['edges'] {
  let known = byKind.get(cover);
  if (!known) {
    const kinds: Partial<Record<EdgeKind, PrepCover['edges'][number][]>> = {};
    for (const edge of cover.edges) (kinds[edge.kind] ??= []).push(edge);
    known = kinds;
    byKind.set(cover, known);
  }
  return known[kind] ?? NO_EDGES;
}

const refs = new WeakMap<PrepCover['edges'], readonly EdgeRef[]>();
function refsOf(edges: PrepCover['edges']): readonly EdgeRef[] {
  const known = refs.get(edges) ?? edges.flatMap(({ on }) => (on ? [on] : []));
  refs.set(edges, known);
  return known;
}

function maskDraft(facts: PrepContext, coat: PrepCoat, cover: PrepCover): TaskDraft | null {
  const [areaId] = cover.areaIds;
  if (areaId === undefined || cover.kind === 'edge band' || cover.kind === 'recess') return null;
  if (holds(facts, areaId)) return null;
  const { mask: method } = facts.schools;
  const { count } = facts;
  const of = (kind: EdgeKind) => edgesOf(cover, kind);
  const length = (edges: PrepCover['edges']) =>
    edges.reduce((sum, { lengthM }) => sum + lengthM, 0) * count;
  const [open, walls] = [of('open'), of('tape wall')];
  // Drips want a mask under the rim; bare parts want one round them; an edge with a wall of tape wants that wall.
  const dripM = method === 'none' ? 0 : length(open) + cover.bareOutlineM * count;
  const wallMethod = isTape(method) ? method : 'painter’s tape';
  const edges = method === 'none' ? refsOf(walls) : [...refsOf(open), ...refsOf(walls)];
  if (length(walls) === 0 && dripM === 0) return null;
  const materials: MaterialNeed[] = [
    ...(dripM > 0 ? maskMaterials(method, dripM) : []),
    ...(walls.length > 0 ? maskMaterials(wallMethod, length(walls), coat.thicknessM) : []),
  ];
  const laid = facts.masks.findLast((m) => m.coatId === coat.id && m.areaId === areaId);
  const late = laid !== undefined && facts.nowMs > laid.laidMs + MASK_FACTS[laid.method].limitMs;
  const problems: ProblemName[] = [
    ...(late ? (['mask past its limit'] as const) : []),
    ...(walls.length > 0 && !isTape(method) ? (['tape wall needs tape'] as const) : []),
    ...(facts.support === 'plastic' && isTape(method) ? (['heat on plastic'] as const) : []),
  ];
  const before = facts.masks.some((m) => m.areaId === areaId && m.coatId !== coat.id);
  const used = dripM > 0 ? method : wallMethod;
  const { how, drying } = MASK_FACTS[used];
  return {
    on: `${coat.id}.${areaId}`,
    coatId: coat.id,
    areaIds: cover.areaIds,
    edges,
    title: `${before ? 'Renew the mask' : 'Mask'}: ${used}`,
    how:
      walls.length > 0
        ? `${how} A wall of tape stands 6 mm over the film where it is to hold resin.`
        : how,
    mask: used,
    ...(isTape(used) && keepsBare(facts, cover) && { step: 'keep bare' as const }),
    materials,
    problems,
    spoiled: late ? 'spoiled' : null,
    ...(drying && { drying }),
    ...(isTape(used) && {
      cautions: [
        facts.support === 'plastic' ? ('plastic heat' as const) : ('hot air' as const),
        'knife' as const,
      ],
    }),
  };
}

function unmaskDraft(facts: PrepContext, mask: LaidMask): TaskDraft | null {
  const coat = facts.lying.find((c) => c.id === mask.coatId);
  const area = facts.areaOf(mask.areaId);
  if (!coat?.poured || !area) return null;
  const { takenOffMs: off } = mask;
  // It stays in the list as done until the next coat lies there: a wrong tap can be taken back.
  if (off !== null && facts.lying.some((c) => (c.poured?.pouredMs ?? 0) > off)) return null;
  const facts_ = MASK_FACTS[mask.method];
  const next = facts.nextOn(area.id);
  const over = coatsOver(facts, mask);
  if (!facts_.renewed && next && over < facts_.coats) return null;
  const out = removal(mask.method, mask.laidMs, coat.poured);
  const late = off === null && facts.nowMs > out.limitMs;
  const many = off === null && over > facts_.coats;
  return {
    on: `${mask.coatId}.${mask.areaId}`,
    coatId: next?.id ?? null,
    areaIds: [area.id],
    edges: area.edges.flatMap((e, edge) =>
      e.kind === 'doming' ? [] : [{ areaId: area.id, edge }],
    ),
    title: mask.method === 'none' ? 'Scrape the drips' : `Take the mask off: ${mask.method}`,
    how: late || many ? facts_.missed : facts_.off,
    mask: mask.method,
    removal: out,
    notBeforeMs: out.bestFromMs,
    problems: [
      ...(late ? (['mask past its limit'] as const) : []),
      ...(many ? (['mask through too many coats'] as const) : []),
    ],
    cautions: mask.method === 'latex' || mask.method === 'none' ? ['skin'] : ['hot air', 'knife'],
  };
}

/** Without a mask the drips of each coat are scraped while it flows. */
const scrapes = (facts: PrepContext): LaidMask[] =>
  facts.schools.mask !== 'none'
    ? []
    : facts.lying.slice(-1).flatMap((coat) =>
        facts
          .areasOf(coat)
          .filter(
            (a) =>
              a.edges.some((e) => e.kind === 'open') &&
              !facts.masks.some((m) => m.coatId === coat.id && m.areaId === a.id),
          )
          .map((a) => ({
            coatId: coat.id,
            areaId: a.id,
            method: 'none' as const,
            laidMs: coat.poured?.pouredMs ?? 0,
            takenOffMs: null,
          })),
      );

export const MASK_RULES: readonly PrepRule[] = [
  {
    id: 'unmask',
    step: 'unmask',
    title: 'Take the mask off',
    how: '',
    reason:
      'In time it leaves no lip; late it bonds, tears, or has to be cut free. Drips never build up from coat to coat.',
    source: `${TRADE} The moment follows the state of the coat by the resin’s sheet.`,
    needed: true,
    find: (facts) =>
      [...facts.masks, ...scrapes(facts)]
        .map((m) => unmaskDraft(facts, m))
        .filter((d) => d !== null),
  },
  {
    id: 'mask',
    step: 'mask',
    title: 'Mask',
    how: '',
    reason: 'What runs over an edge or on to a bare part has to be cut and filed off later.',
    source: `${TRADE} Amount: length + 10 %; brushed masks 20 mm wide.`,
    needed: true,
    find: (facts) =>
      // A drawn line drips nowhere.
      facts.waiting
        .filter((coat) => coat.kind !== 'line')
        .flatMap((coat) =>
          (coat.covers ?? facts.areasOf(coat).map(coverOf))
            .map((cover) => maskDraft(facts, coat, cover))
            .filter((d) => d !== null),
        ),
  },
  {
    id: 'hardware seat',
    step: 'mask',
    title: 'Mask where the hardware sits',
    how: 'Plug screw holes from behind, tape the seats to their marks; what cannot come off is taped round and lifted over the film.',
    reason: 'A seat with resin on it no longer carries its bearing or hinge flat.',
    source: TRADE,
    needed: false,
    find: ({ hardware, waiting, areasOf, on }) => {
      const faces = (c: PrepCoat) => areasOf(c).filter((a) => a.kind === 'face' && !on(a.id).top);
      const coat = hardware.length > 0 ? waiting.find((c) => faces(c).length > 0) : undefined;
      return coat ? [{ on: coat.id, coatId: coat.id, areaIds: faces(coat).map((a) => a.id) }] : [];
    },
  },
];
