import { Box } from '@chakra-ui/react';
import { massRatioBA } from '@/core/resin';
import { Figure } from '@/ui/Figure';
import type { LiveReading } from './liveReading';
import type { Meter } from './meter';
import type { RatioGauge, WetView } from './model';
import { RatioBar } from './RatioBar';

/** What is weighed in now: A, B, or more of A after too much B. */
export interface Weighing {
  readonly part: 'A' | 'B';
  readonly more: boolean;
  /** What lies in the cup before it, and how much of it is wanted, kg. */
  readonly baseKg: number;
  readonly wantedKg: number;
}

/** What is said under the giant number. */
export function restWords(
  { part, more, wantedKg }: Weighing,
  kg: number,
  view: WetView,
  meter: Meter,
): string {
  const left = meter.round(wantedKg - kg);
  if (left > 0) return `of ${meter.show(wantedKg).text} · ${meter.show(left).text} to go`;
  if (left === 0) return `✓ of ${meter.show(wantedKg).text}: stop`;
  const over = meter.show(-left).text;
  if (more) return `${over} more than asked for`;
  if (part === 'B') return `of ${meter.show(wantedKg).text} · ${over} over`;
  const moreB = meter.show(-left * massRatioBA(view.resin.sheet)).text;
  return `of ${meter.show(wantedKg).text} · ${over} over: B +${moreB}`;
}

const AWAY_WORDS: Readonly<Record<Extract<LiveReading, { is: 'away' }>['why'], string>> = {
  reaching: 'Reaching the scale …',
  lost: 'The scale is lost',
  asleep: 'The scale went to sleep',
  overloaded: 'Too much lies on the scale',
};

/** What stands where the number would while there is none. */
function NoNumber({ reading, meter }: { reading: LiveReading; meter: Meter }) {
  const words =
    reading.is === 'away'
      ? AWAY_WORDS[reading.why]
      : reading.is === 'untared'
        ? 'Put the empty cup on'
        : 'Less than the cup: is it on the scale?';
  return (
    <Box fontSize="4xl" fontWeight="600" fontFamily="heading" lineHeight="1.1" role="status">
      {words}
      {reading.is !== 'away' && (
        <Box fontSize="xl" color="ink2">
          on the scale now: <Figure>{meter.show(reading.grossKg).text}</Figure>
        </Box>
      )}
    </Box>
  );
}

/** The weight as it is poured, how far it is to go, and the ratio if it stopped now. */
export function LiveNumber({
  reading,
  weighing,
  view,
  meter,
  gauge,
  scale,
}: {
  reading: LiveReading;
  weighing: Weighing;
  view: WetView;
  meter: Meter;
  gauge: RatioGauge | null;
  /** Its name: a simulated one is called so. */
  scale: string;
}) {
  if (reading.is !== 'weight') return <NoNumber reading={reading} meter={meter} />;
  const { number, unit } = meter.show(reading.kg);
  return (
    <>
      <Box fontSize="xl" color="ink2">
        {weighing.more ? 'pour in more of part A' : `pour in part ${weighing.part}`}
        {reading.steady ? ' · steady' : ' · moving'} · {scale}
      </Box>
      <Figure
        display="block"
        fontSize="bench"
        fontWeight="600"
        lineHeight="1"
        letterSpacing="-0.03em"
        data-testid="live-weight"
      >
        {number}
        <Box as="span" fontSize="0.35em">
          {` ${unit}`}
        </Box>
      </Figure>
      <Figure display="block" fontSize="2xl" fontWeight="600" lineHeight="1.3" whiteSpace="nowrap">
        {restWords(weighing, reading.kg, view, meter)}
      </Figure>
      {gauge && (
        <RatioBar
          brief
          gauge={gauge}
          meter={{ A: meter, B: meter }}
          plannedKg={{
            planned: view.batch.targetAKg + view.batch.targetBKg,
            inCup: weighing.baseKg + reading.kg,
          }}
        />
      )}
    </>
  );
}
