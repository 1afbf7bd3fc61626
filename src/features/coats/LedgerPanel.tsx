'use client';
import { splitExplanation, mixDensity } from '@/core/resin';
import { totalExplanation } from '@/core/coat';
import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import {
  ArrowDownToLine,
  ArrowUpFromLine,
  Beaker,
  CornerRightDown,
  Droplet,
  GraduationCap,
  Droplets,
  Mountain,
  PanelBottom,
  PenLine,
  Pencil,
  Sigma,
  Spline,
  SquareDashed,
  Sunrise,
  TriangleRight,
  type LucideIcon,
} from 'lucide-react';
import type { Ledger, LedgerLineId, LedgerOverride } from '@/core/coat';
import type { MixSplit } from '@/core/resin';
import { formatIn } from '@/core/units';
import type { Coat, Resin } from '@/records';
import { Explained } from '@/features/common/Explained';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { OverrideForm } from './OverrideForm';

const LINE_ICON: Readonly<Record<LedgerLineId, LucideIcon>> = {
  line: PenLine,
  learned: GraduationCap,
  face: SquareDashed,
  dome: Sunrise,
  relief: Mountain,
  recess: ArrowDownToLine,
  soak: Droplets,
  meniscus: ArrowUpFromLine,
  wedge: TriangleRight,
  belly: Spline,
  edges: PanelBottom,
  bead: Droplet,
  'run-off': CornerRightDown,
  cup: Beaker,
  reserve: Sigma,
};

function Part({ name, split, resin }: { name: 'A' | 'B'; split: MixSplit; resin: Resin }) {
  const { scale, show } = useFormat();
  const kg = name === 'A' ? split.aKg : split.bKg;
  const m3 = name === 'A' ? split.aM3 : split.bM3;
  return (
    <Box bg={name === 'A' ? 'amberPale' : 'verdigrisPale'} px="3" py="2">
      <Flex justify="space-between" align="baseline">
        <Box fontFamily="heading" fontWeight="600">
          Part {name}
        </Box>
        <Box fontSize="lg" fontWeight="600">
          <Explained explanation={splitExplanation(split, resin.sheet, name)} quantity="mass">
            <Figure>{scale(kg).text}</Figure>
          </Explained>
        </Box>
      </Flex>
      <Box textAlign="right" fontSize="sm" color="ink2">
        <Figure>{show(m3, 'volume').text}</Figure>
      </Box>
    </Box>
  );
}

type OnSet = (line: LedgerLineId, override: LedgerOverride | null) => void;

function Lines({ ledger, onSet }: { ledger: Ledger; onSet: OnSet | null }) {
  const { show } = useFormat();
  return (
    <chakra.table width="100%" mt="3">
      <chakra.caption srOnly>Ledger of the coat</chakra.caption>
      <tbody>
        {ledger.lines.map((line) => {
          const Icon = LINE_ICON[line.id];
          return (
            <chakra.tr key={line.id} borderTopWidth="1px" borderColor="line">
              <chakra.th scope="row" textAlign="left" fontWeight="400" py="1.5">
                <Flex gap="2" align="center">
                  <Icon size={16} strokeWidth={1.6} aria-hidden /> {line.explanation.title}
                  {line.computedM3 !== undefined && (
                    <Box as="span" fontSize="xs" color="amberDeep" whiteSpace="nowrap">
                      <Box asChild display="inline" verticalAlign="-1px">
                        <Pencil size={12} aria-hidden />
                      </Box>{' '}
                      set by you
                    </Box>
                  )}
                </Flex>
              </chakra.th>
              <chakra.td textAlign="right">
                <Explained
                  explanation={line.explanation}
                  quantity="volume"
                  footer={
                    onSet && <OverrideForm line={line} onSet={(own) => onSet(line.id, own)} />
                  }
                >
                  <Figure whiteSpace="nowrap">
                    {line.volumeM3 < 0 ? '−' : '+'} {show(Math.abs(line.volumeM3), 'volume').text}
                  </Figure>
                </Explained>
              </chakra.td>
            </chakra.tr>
          );
        })}
        <chakra.tr borderTopWidth="1.5px" borderColor="ink" fontWeight="600">
          <chakra.th scope="row" textAlign="left" py="1.5">
            Mix
          </chakra.th>
          <chakra.td textAlign="right">
            <Figure>{show(ledger.totalM3, 'volume').text}</Figure>
          </chakra.td>
        </chakra.tr>
      </tbody>
    </chakra.table>
  );
}

/** What lies on each area, and what each colour of an art coat takes. */
function Shares({ ledger, colours }: { ledger: Ledger; colours: Coat['colours'] }) {
  const { show } = useFormat();
  const clear = 1 - colours.reduce((sum, c) => sum + c.share, 0);
  const rows = [
    ...(ledger.byArea.length > 1
      ? ledger.byArea.map((a) => [`on ${a.name}`, a.volumeM3] as const)
      : []),
    ...(colours.length > 0 ? [['clear ground', clear * ledger.totalM3] as const] : []),
    ...colours.map((c) => [c.name, c.share * ledger.totalM3] as const),
  ];
  if (rows.length === 0) return null;
  return (
    <Box as="ul" listStyleType="none" fontSize="sm" mt="2" aria-label="Shares of the coat">
      {rows.map(([name, m3]) => (
        <Flex as="li" key={name} justify="space-between">
          <span>{name}</span>
          <Figure>{show(m3, 'volume').text}</Figure>
        </Flex>
      ))}
    </Box>
  );
}

interface Props {
  readonly coat: Pick<Coat, 'name' | 'colours'>;
  readonly ledger: Ledger;
  readonly split: MixSplit;
  readonly resin: Resin;
  /** Sets a line by hand; null while the coat cannot be changed. */
  readonly onSet: OnSet | null;
}

/** What a coat takes: the total, both parts, and every millilitre of it. */
export function LedgerPanel({ coat, ledger, split, resin, onSet }: Props) {
  const { show, either } = useFormat();
  const { name } = coat;
  const total = show(ledger.totalM3, 'volume');
  // Rules of thumb speak of fl oz, also where one works in ml.
  const other = either(`${formatIn(ledger.totalM3, 'fl oz', 1).text} · `, '');
  return (
    <Panel as="section" aria-label={`Ledger of ${name}`}>
      <Heading as="h2" fontSize="lg">
        {name} takes
      </Heading>
      <Flex align="baseline" gap="4" wrap="wrap" mb="3">
        <Box fontSize="4xl" fontWeight="600" lineHeight="1.1">
          <Explained
            explanation={totalExplanation(ledger, mixDensity(resin.sheet))}
            quantity="volume"
          >
            <Figure>{total.text}</Figure>
          </Explained>
        </Box>
        <Figure color="ink2">
          ± {show(ledger.sigmaM3, 'volume').text} · {other}
          {show(ledger.totalKg, 'mass').text}
        </Figure>
      </Flex>
      <Grid templateColumns="1fr 1fr" gap="2">
        <Part name="A" split={split} resin={resin} />
        <Part name="B" split={split} resin={resin} />
      </Grid>
      <Lines ledger={ledger} onSet={onSet} />
      <Shares ledger={ledger} colours={coat.colours} />
      <Box fontSize="xs" color="ink2" mt="1">
        Every line opens to its formula, inputs and source{onSet && ', and can be set by hand'}.
      </Box>
    </Panel>
  );
}
