'use client';
import { Box, chakra } from '@chakra-ui/react';
import { HIDING_SHARE, type GritScale, type SandingPlan, type SandingStep } from '@/core/prep';
import type { Explanation } from '@/core/explain';
import { Explained } from '@/features/common/Explained';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';

const gritText = (p: number, cami: number | null, scale: GritScale): string => {
  if (cami === null) return `P${p}`;
  return scale === 'P' ? `P${p} · CAMI ${cami}` : `CAMI ${cami} · P${p}`;
};

const HIDDEN = { yes: 'hides it', no: 'shows through', none: 'no coat comes' } as const;

const cell = { px: '2', py: '1.5', textAlign: 'right' } as const;

function Step({ step: s, scale }: { step: SandingStep; scale: GritScale }) {
  const { show } = useFormat();
  return (
    <chakra.tr borderTopWidth="1px" borderColor="line">
      <chakra.th scope="row" {...cell} textAlign="left" fontWeight="600">
        <Figure>{gritText(s.grit, s.cami, scale)}</Figure>
      </chakra.th>
      <chakra.td {...cell}>
        <Figure>{show(s.grainM, 'film').text}</Figure>
      </chakra.td>
      <chakra.td {...cell}>
        <Explained
          quantity="film"
          explanation={{
            title: `Scratch of P${s.grit}`,
            formula: `Rz 0.1…0.2 · d50, deepest 0.4 · d50; hidden when deepest ≤ ${HIDING_SHARE} · next coat`,
            inputs: [
              {
                label: 'median grain, d50',
                value: s.grainM,
                quantity: 'film',
                source: 'standard',
              },
              {
                label: 'roughness from',
                value: s.scratch.fromM,
                quantity: 'film',
                source: 'rule of thumb',
              },
              {
                label: 'roughness to',
                value: s.scratch.toM,
                quantity: 'film',
                source: 'rule of thumb',
              },
            ],
            source: 'Grain sizes FEPA 43 / ISO 6344, from memory; depth is a rule of thumb.',
          }}
        >
          <Figure>{show(s.scratch.deepestM, 'film').text}</Figure>
        </Explained>
      </chakra.td>
      <chakra.td {...cell}>
        {HIDDEN[s.hidden === null ? 'none' : s.hidden ? 'yes' : 'no']}
      </chakra.td>
      <chakra.td {...cell}>
        <Figure>{Math.max(1, Math.round(s.minutes))} min</Figure>
      </chakra.td>
      <chakra.td {...cell}>
        <Figure>
          {s.sheets} {s.sheets === 1 ? 'sheet' : 'sheets'}
        </Figure>
      </chakra.td>
      <chakra.td {...cell}>{s.wet ? 'wet' : 'dry'}</chakra.td>
    </chakra.tr>
  );
}

const areaExplanation = ({ areaM2, removeM3, beyondM2 }: SandingPlan): Explanation => ({
  title: 'Area to sand',
  formula: '(faces − bare parts − recesses outside the coat, on the chosen side) · pieces',
  inputs: [
    { label: 'area, all pieces, A', value: areaM2, quantity: 'area', source: 'computed' },
    { label: 'left out: no coat covers it', value: beyondM2, quantity: 'area', source: 'computed' },
    { label: 'to take off, V', value: removeM3, quantity: 'volume', source: 'computed' },
  ],
  source: 'Polygon operations on the survey’s outlines.',
  note: 'Time by hand: A · 25 min/m² + V · 4 min/ml with the first grit; judgement, no source.',
});

/** What each grit leaves, costs and needs. */
export function SandingTable({ plan, scale }: { plan: SandingPlan; scale: GritScale }) {
  const { show } = useFormat();
  return (
    <Box overflowX="auto" tabIndex={0} role="group" aria-label="Sanding, grit by grit">
      <chakra.table width="100%" fontSize="sm" lineHeight="1.25">
        <thead>
          <tr>
            {['Grit', 'Grain d50', 'Deepest scratch', 'Next coat', 'Time', 'Paper', ''].map(
              (head, i) => (
                <chakra.th
                  key={head || 'wet'}
                  scope="col"
                  {...cell}
                  textAlign={i === 0 ? 'left' : 'right'}
                  fontWeight="600"
                >
                  {head || <chakra.span srOnly>Wet or dry</chakra.span>}
                </chakra.th>
              ),
            )}
          </tr>
        </thead>
        <tbody>
          {plan.steps.map((s) => (
            <Step key={s.grit} step={s} scale={scale} />
          ))}
        </tbody>
      </chakra.table>
      <Box fontSize="sm" color="ink2" mt="1">
        Area to sand{' '}
        <Explained quantity="area" explanation={areaExplanation(plan)}>
          <Figure>{show(plan.areaM2, 'area').text}</Figure>
        </Explained>
        {plan.removeM3 > 0 && (
          <>
            , to take off <Figure>{show(plan.removeM3, 'volume').text}</Figure>
          </>
        )}
        {plan.leftM !== null && plan.leftM > 0 && (
          <>
            , film left under the deepest scratch <Figure>{show(plan.leftM, 'film').text}</Figure>
          </>
        )}
        {plan.beyondM2 > 0 && (
          <>
            , left out because no coat covers it <Figure>{show(plan.beyondM2, 'area').text}</Figure>
          </>
        )}
        . Times and sheets are judgement, no source.
      </Box>
    </Box>
  );
}
