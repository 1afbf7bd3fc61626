'use client';
import { Box } from '@chakra-ui/react';
import type { CupOutlook } from '@/core/resin/model';
import type { GatherCheck } from '@/core/wet';
import { spanText } from '@/features/common/clockText';
import { type Format, useFormat } from '@/features/common/useFormat';

/** What one check says; a fine one in few words. */
export function gatherWords(check: GatherCheck, format: Format, pours: string): string {
  switch (check.is) {
    case 'room': {
      const kelvin = (k: number) => format.show(k, 'temperature').text;
      const { roomK, limits, usual } = check;
      const range = `${kelvin(limits.min)} to ${kelvin(limits.max)}`;
      const whose = usual ? `${range}, as resins usually do` : `${range} by its sheet`;
      return check.verdict === 'fine'
        ? `Room in range: it cures from ${whose}.`
        : `${kelvin(roomK)} is ${roomK < limits.min ? 'too cold' : 'too warm'}: it cures from ${whose}.`;
    }
    case 'time': {
      const [needed, working] = [check.neededS, check.workingS].map((s) => spanText(s * 1000));
      const told = `${needed} to stir, rest and pour (${pours}), of ${working}`;
      if (check.verdict === 'fine') return `Time enough: ${told}.`;
      if (check.verdict === 'watch') return `Tight: ${told}.`;
      const fits =
        check.fits === 0
          ? 'none fits'
          : check.fits === 1
            ? 'one coat fits'
            : `${check.fits} coats fit`;
      return `Too much for one batch: ${told}; ${fits}. Mix the rest as a batch of its own.`;
    }
    case 'measure': {
      const share = format.show(check.errorShare, 'share').text;
      return check.verdict === 'fine'
        ? `Measured finely enough: ratio within ${share}.`
        : `Too little to measure: one step on each part puts the ratio off by ${share}. Mix more, or measure finer.`;
    }
  }
}

/** A cup that is left standing, by the model; nothing is said while it only gets warm. */
export function heatWords({ heat }: CupOutlook): string | null {
  if (heat === 'warm') return null;
  return heat === 'hot'
    ? 'So much in one cup gets too hot to hold when it is left standing: pour it out, or spread it in a tray.'
    : 'So much in one cup gets dangerous when it is left standing: never put it down half poured; spread it in a wide tray.';
}

const FINE: Readonly<Record<GatherCheck['is'], string>> = {
  room: 'room in range',
  time: 'time enough',
  measure: 'measured finely enough',
};
/** What is looked at before resin is mixed: what is not fine in full, what is fine in a word each, opened on asking. */
export function GatherChecks({ checks, pours }: { checks: readonly GatherCheck[]; pours: string }) {
  const format = useFormat();
  const words = (check: GatherCheck) => gatherWords(check, format, pours);
  const fine = checks.filter((c) => c.verdict === 'fine');
  const wrong = checks.filter((c) => c.verdict !== 'fine');
  return (
    <Box as="section" aria-label="Before you mix" mt="2" fontSize="sm">
      <Box as="ul" listStyleType="none" color="oxide" fontWeight="600">
        {wrong.map((check) => (
          <Box as="li" key={check.is} py="1">
            {check.verdict === 'stop' ? '✕' : '!'} {words(check)}
          </Box>
        ))}
      </Box>
      {fine.length > 0 && (
        <Box as="details" color="ink">
          <Box as="summary" cursor="pointer" minH="24px" color="verdigris" fontWeight="600">
            ✓ {fine.map((c) => FINE[c.is]).join(', ')}
          </Box>
          {fine.map((check) => (
            <Box key={check.is}>{words(check)}</Box>
          ))}
        </Box>
      )}
    </Box>
  );
}
