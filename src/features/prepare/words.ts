import type { Again, CautionName, PlacedTask, ProblemName, Removal } from '@/core/prep';
import { clockText } from '@/features/common/clockText';

/** What contradicts at a task, and what to do about it. */
export const PROBLEM_WORDS: Readonly<Record<ProblemName, string>> = {
  'gloss on ink':
    'Gloss spray is chosen, and gloss re-dissolves ink. Choose matte in the schools of this piece, or prove it on a test patch first.',
  'colour came off':
    'The last rub test took colour off. Spray another round, let it flash off, then test again.',
  'heat on plastic':
    'This piece is plastic: hot air warps it. Press tape down by hand, and let the room do the drying.',
  'sanding bare ink':
    'There is bare ink here: sanding takes the art away. Fix it and lay a coat over it first.',
  'sanding beyond the coat':
    'Part of this lies outside the next coat: its scratches would stay visible. Plan a coat there, or leave that area out.',
  'sanding through':
    'The film is thinner than the deepest scratch of this grit: take a finer one, or lay a thicker coat first.',
  'air does not dry':
    'The room’s air takes up no water at this humidity: it will never dry like this. Warm or dry the room, then note the new air.',
  'no seal coat planned':
    'Your school seals with thin resin, and no seal coat is planned here. Plan one under Coats, or choose another sealer.',
  'mask past its limit': 'This mask has been on for longer than it may.',
  'done in the future':
    'It is noted as done at a time that has not come yet. Say when it was really done.',
  'tape wall needs tape': 'A tape wall is made of tape: latex and glue go on the other edges.',
  'mask through too many coats':
    'More coats lie over this mask than it can stand: expect to cut it free.',
};

/** Cautions where the hazard stands. */
export const CAUTION_WORDS: Readonly<Record<CautionName, readonly [title: string, text: string]>> =
  {
    dust: [
      'Sanding dust.',
      'P2/N95 mask or better, extraction, or sand wet. Resin that is not fully cured sensitises: nitrile gloves.',
    ],
    solvent: [
      'Solvent.',
      'No flame, no spark, window open. Cloths spread out flat to dry outdoors. Never on skin.',
    ],
    knife: ['Blade.', 'Cut away from the hand that holds; a warm mask gives suddenly.'],
    'hot air': [
      'Hot air.',
      'Keep it moving, off paper cups and solvent cloths, never over a fresh wipe of alcohol.',
    ],
    spray: [
      'Spray.',
      'Outdoors or under extraction, organic-vapour cartridge, away from any flame.',
    ],
    skin: [
      'Skin.',
      'Nitrile gloves; latex masks can raise an allergy, and oil from a bare hand draws resin back.',
    ],
    'plastic heat': ['Plastic.', 'No hot air: it softens, warps and can give off fumes.'],
  };

/** Where every caution ends. */
export const DEFER = 'The safety data sheet and local rules go first.';

/** What stands in the mask's own clock while it is on. */
function maskText({ bestToMs, limitMs }: Removal, nowMs: number): string {
  if (nowMs >= limitMs) return `past its limit since ${clockText(limitMs, nowMs)}`;
  if (nowMs < bestToMs && Number.isFinite(bestToMs))
    return `now, best until ${clockText(bestToMs, nowMs)}`;
  return Number.isFinite(limitMs) ? `now, limit ${clockText(limitMs, nowMs)}` : 'now';
}

/** Why what was done does not count any more. */
export function againText(again: Again, nowMs: number): string {
  switch (again.why) {
    case 'step since':
      return `“${again.title}” was done since, ${clockText(again.atMs, nowMs)}`;
    case 'poured since':
      return `${again.title} was poured since, ${clockText(again.atMs, nowMs)}`;
    case 'repaired since':
      return `${again.title} was put right since, ${clockText(again.atMs, nowMs)}`;
    case 'turned since':
      return `it was turned over since, ${clockText(again.atMs, nowMs)}`;
    case 'too long ago':
      return `it holds ${Math.round(again.holdsMs / 3_600_000)} h uncovered`;
    case 'out of level':
      return 'the reading is still out of level';
    case 'too damp':
      return 'the air is still too damp';
    case 'not declared':
      return 'its sheet does not say so yet';
    case 'failed':
      return 'the test failed';
    case 'grown':
      return 'it covers more now';
    case 'spoiled':
      return 'it has not held';
  }
}

/** What stands before a task: a clock that runs, or a step that is not done. */
function blockedText({ blockedBy, untilMs, again }: PlacedTask, nowMs: number): string {
  const title = blockedBy ? `“${blockedBy.title}”` : '';
  if (untilMs !== null)
    return Number.isFinite(untilMs)
      ? `not before ${clockText(untilMs, nowMs)}: ${title}`
      : `${title} does not dry in this air`;
  return `${again ? 'again, ' : ''}after ${title}`;
}

/** The state of a task in words, with its clock time. */
export function stateText(placed: PlacedTask, nowMs: number): string {
  const { state, untilMs, record, dry, again } = placed;
  const until = untilMs === null ? '' : clockText(untilMs, nowMs);
  switch (state) {
    case 'open':
      if (placed.task.spoiled === 'too damp')
        return placed.task.needed ? 'until the air is noted drier' : 'advice';
      if (placed.task.spoiled === 'not declared')
        return placed.task.needed ? 'the sheet of its resin does not say so' : 'advice';
      if (placed.task.removal) return maskText(placed.task.removal, nowMs);
      return placed.task.needed ? 'open' : 'advice';
    case 'blocked':
      return blockedText(placed, nowMs);
    case 'waiting':
      return `from ${until}`;
    case 'later':
      return `after ${placed.after ?? ''}`;
    case 'drying':
      // What the forecast gives back is no promise while nothing dries.
      if (dry?.rate === 0 && Number.isFinite(untilMs))
        return `drying, but not in this air: dry ${until} if it clears as usual`;
      return untilMs !== null && Number.isFinite(untilMs)
        ? `drying until ${until}, between ${clockText(dry?.earliestMs ?? untilMs, nowMs)} and ${clockText(dry?.latestMs ?? untilMs, nowMs)}`
        : 'drying, but not in this air';
    case 'redo':
      return `again: ${again ? againText(again, nowMs) : ''}${record?.doneMs ? `; last ${clockText(record.doneMs, nowMs)}` : ''}`;
    case 'done':
      return `done${record?.doneMs ? ` ${clockText(record.doneMs, nowMs)}` : ''}`;
    case 'waived':
      return `left out: ${record?.reason ?? ''}`;
    case 'skipped':
      return `not needed until ${until}`;
  }
}
