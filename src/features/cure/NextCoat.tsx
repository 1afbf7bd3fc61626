'use client';
import { Box } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { ifWarmer, recoatAdvice, type RecoatAdvice } from '@/core/resin';
import { useShop } from '@/data/hooks';
import { useFormat } from '@/features/common/useFormat';
import { clockText } from '@/features/common/clockText';
import type { CoatView } from '@/shop/coatView';
import { coatPace, timelineInput } from '@/shop/clockOf';
import { FINGER_LINES } from '@/ui/touch';

/** A thermostat is turned by as much. */
const WARMER_K = 3;

const MARK: Readonly<Record<RecoatAdvice['is'], { mark: string; color: string }>> = {
  open: { mark: '✓', color: 'verdigris' },
  'too early': { mark: '·', color: 'ink' },
  'sand when hard': { mark: '·', color: 'ink' },
  'sand first': { mark: '!', color: 'ink' },
  sticky: { mark: '!', color: 'oxide' },
};

/** What can be said of the next coat, first in one plain sentence. */
export function adviceWords(advice: RecoatAdvice, nowMs: number): string {
  switch (advice.is) {
    case 'open': {
      const until = clockText(advice.untilMs, nowMs);
      const surely = clockText(advice.surelyUntilMs, nowMs);
      return advice.surelyUntilMs > nowMs
        ? `Open: coat it without sanding until ${until}; until ${surely} nearly for sure.`
        : `Open without sanding until ${until}, but it may shut any time now: touch it first.`;
    }
    case 'too early':
      return `Too early: a coat now would sink in and move it. It opens ${clockText(advice.fromMs, nowMs)}.`;
    case 'sand when hard':
      return `You always sand: it bears sanding from ${clockText(advice.fromMs, nowMs)}.`;
    case 'sand first':
      return 'Sand it first: it is too hard to bond by itself.';
    case 'sticky':
      return 'Sticky: do not coat it. What lies on soft resin stays soft; find out why before anything else.';
  }
}

/** Advice for the coat that comes next, what three degrees would do, and what came out of the same batch. */
export function NextCoat({ view, nowMs }: { view: CoatView; nowMs: number }) {
  const { room, settings, coats, pieces } = useShop();
  const { either } = useFormat();
  const { coat, piece, resin, clock } = view;
  const input = timelineInput(coat, resin.sheet, room);
  if (!clock || !input) return null;
  const { unlikely } = coatPace(coat, resin.sheet, room);
  const last = coat.touches.at(-1)?.found ?? null;
  const alwaysSand = (piece.prep.recoat ?? settings.prep.recoat) === 'always sand';
  const advice = recoatAdvice(clock, { last, unlikely }, alwaysSand, nowMs);
  const warmer = ifWarmer(input, nowMs, WARMER_K).windows.find((w) => w.kind === 'recoat');
  const waits = advice.is === 'too early' || advice.is === 'open';
  const mates = coats.filter((c) => c.batchId === coat.batchId && c.id !== coat.id && coat.batchId);
  const { mark, color } = MARK[advice.is];
  return (
    <Box as="section" aria-label={`Next coat on ${coat.name}`} mb="3">
      <Box fontSize="lg" fontWeight="600" color={color}>
        {mark} {adviceWords(advice, nowMs)}
      </Box>
      {waits && warmer && warmer.closesMs !== null && (
        <Box fontSize="sm" color="ink2">
          With the room {either('3 °C', '5.4 °F')} warmer from now on:{' '}
          {advice.is === 'too early' && 'opens '}
          {advice.is === 'too early' && clockText(warmer.opensMs, nowMs)}
          {advice.is === 'too early' && ', '}shuts {clockText(warmer.closesMs, nowMs)}.
        </Box>
      )}
      {mates.length > 0 && (
        <Box fontSize="sm" color="ink2" css={FINGER_LINES}>
          From the same batch:{' '}
          {mates.map((mate, i) => (
            <span key={mate.id}>
              {i > 0 && ', '}
              <Link href={`/pieces/${mate.pieceId}/cure`}>
                {pieces.find((p) => p.id === mate.pieceId)?.name}, {mate.name}
              </Link>
            </span>
          ))}
          . What a finger finds on one holds for the other.
        </Box>
      )}
    </Box>
  );
}
