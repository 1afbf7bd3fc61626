'use client';
import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { format as formatDate } from 'date-fns';
import { useMemo } from 'react';
import {
  Bar,
  BarChart,
  CartesianGrid,
  ErrorBar,
  ResponsiveContainer,
  XAxis,
  YAxis,
} from 'recharts';
import { DEFECT_GUIDE, type Proportion } from '@/core/inspect';
import { useShop } from '@/data/hooks';
import { CAUSE_WORDS, EVIDENCE_WORDS } from '@/features/common/causeWords';
import { RESCUE_WORDS } from '@/features/common/rescueWords';
import { useFormat } from '@/features/common/useFormat';
import { statisticsOf, type Drift, type Statistics, type Tally } from '@/shop/statistics';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { useStarted } from './useStarted';

const TICK = { fontSize: 12, fill: 'var(--bm-colors-ink2)' };
const percent = (x: number): string => `${Math.round(100 * x)} %`;
const bandWords = ({ hits, of, low, high }: Proportion): string =>
  `${hits} of ${of}, likely ${percent(low)} to ${percent(high)}`;

/** Bars of counts, each with its number beside it. */
function Counts({ title, rows }: { title: string; rows: readonly (readonly [string, number])[] }) {
  const most = Math.max(1, ...rows.map(([, n]) => n));
  return (
    <Box as="section" aria-label={title}>
      <Heading as="h3" fontSize="md" mb="1">
        {title}
      </Heading>
      {rows.length === 0 && <Box color="ink2">None yet.</Box>}
      <Box as="ul" listStyleType="none">
        {rows.map(([name, n]) => (
          <Flex as="li" key={name} align="center" gap="2" py="0.5">
            <Figure width="28px" textAlign="right">
              {n}
            </Figure>
            <Box width="90px" aria-hidden>
              <Box
                width={`${(100 * n) / most}%`}
                height="10px"
                bg="amberLine"
                borderWidth="1px"
                borderColor="ink3"
              />
            </Box>
            <Box fontSize="sm">{name}</Box>
          </Flex>
        ))}
      </Box>
    </Box>
  );
}

/** Shares of coats with a finding, each with the band that it likely lies in. */
function Shares({ title, rows }: { title: string; rows: readonly Tally[] }) {
  if (rows.length === 0) return null;
  const cell = { py: '1', borderTopWidth: '1px', borderColor: 'line', fontSize: 'sm' } as const;
  return (
    <Box as="section" aria-label={title}>
      <Heading as="h3" fontSize="md" mb="1">
        {title}
      </Heading>
      <chakra.table width="100%">
        <tbody>
          {rows.map(({ name, share }) => (
            <tr key={name}>
              <chakra.th scope="row" textAlign="left" fontWeight="400" {...cell}>
                {name}
              </chakra.th>
              <chakra.td textAlign="right" {...cell}>
                <Figure>{percent(share.share)}</Figure>
                <Box as="span" color="ink2" ms="2">
                  {bandWords(share)}
                </Box>
              </chakra.td>
            </tr>
          ))}
        </tbody>
      </chakra.table>
    </Box>
  );
}

const SIZE = { width: 640, height: 200 };

/** Coats with a finding, month by month, with their bands. */
function Trend({ rows }: { rows: readonly Tally[] }) {
  const data = rows.map(({ name, share }) => ({
    month: formatDate(new Date(`${name}T12:00:00`), 'MMM yy'),
    share: 100 * share.share,
    band: [100 * (share.share - share.low), 100 * (share.high - share.share)],
  }));
  return (
    <Box
      height="200px"
      role="img"
      aria-label={`Coats with a finding by month: ${rows.map((r) => `${r.name.slice(0, 7)} ${bandWords(r.share)}`).join('; ')}`}
    >
      <ResponsiveContainer width="100%" height="100%" initialDimension={SIZE}>
        <BarChart
          data={data}
          accessibilityLayer={false}
          margin={{ top: 8, right: 8, left: 0, bottom: 4 }}
        >
          <CartesianGrid stroke="var(--bm-colors-line)" vertical={false} />
          <XAxis dataKey="month" tick={TICK} />
          <YAxis tick={TICK} domain={[0, 100]} tickFormatter={(v: number) => `${v} %`} width={48} />
          <Bar
            dataKey="share"
            fill="var(--bm-colors-amber-soft)"
            stroke="var(--bm-colors-ink)"
            maxBarSize={60}
            isAnimationActive={false}
          >
            <ErrorBar dataKey="band" width={8} stroke="var(--bm-colors-ink)" strokeWidth={1.5} />
          </Bar>
        </BarChart>
      </ResponsiveContainer>
    </Box>
  );
}

const driftText = (d: Drift): string =>
  `${d.withIt} of ${d.of} with “${DEFECT_GUIDE[d.kind].label.toLowerCase()}”: ${EVIDENCE_WORDS[d.evidence].so}; elsewhere ${d.elsewhere} of ${d.elsewhereOf}.`;

function Drifts({ drifts }: Pick<Statistics, 'drifts'>) {
  return (
    <Box as="section" aria-label="What goes together">
      <Heading as="h3" fontSize="md" mb="1">
        What goes together
      </Heading>
      {drifts.length === 0 ? (
        <Box color="ink2" fontSize="sm">
          Nothing goes with a fault more often than chance makes likely. With few coats that says
          little.
        </Box>
      ) : (
        <Box as="ul" ps="5" listStyleType="disc" fontSize="sm">
          {drifts.map((d) => (
            <li key={`${d.kind} ${d.evidence}`}>{driftText(d)}</li>
          ))}
        </Box>
      )}
      <Box fontSize="xs" color="ink2" mt="1">
        Said only where chance alone is less likely than one in twenty, shared among all pairs that
        were tried. It tells what goes together, not what causes what.
      </Box>
    </Box>
  );
}

/** What the findings of the shop say together. */
export function Faults() {
  const shop = useShop();
  const { show } = useFormat();
  const started = useStarted(shop.sessions.map((s) => s.id));
  const stats = useMemo(() => (started ? statisticsOf(shop, started) : null), [shop, started]);
  if (!stats) return <Panel>reading …</Panel>;
  const { firstTimeRight: right, reworkKg, mixedKg } = stats;
  return (
    <Panel as="section" aria-label="What goes wrong">
      <Flex gap="8" wrap="wrap" mb="4">
        <Box>
          <Box color="ink2" fontSize="sm">
            right the first time
          </Box>
          <Figure fontSize="3xl" fontWeight="600">
            {right ? percent(right.share) : '–'}
          </Figure>
          <Box fontSize="sm">{right ? `${bandWords(right)} coats` : 'no coat was poured yet'}</Box>
        </Box>
        <Box>
          <Box color="ink2" fontSize="sm">
            mixed for rescues
          </Box>
          <Figure fontSize="3xl" fontWeight="600">
            {mixedKg > 0 ? percent(reworkKg / mixedKg) : '–'}
          </Figure>
          <Box fontSize="sm">
            {show(reworkKg, 'mass').text} of {show(mixedKg, 'mass').text}
          </Box>
        </Box>
      </Flex>
      <Grid templateColumns={{ base: '1fr', md: '1fr 1fr' }} gap="6">
        <Counts
          title="Findings by kind"
          rows={stats.byKind.map(([k, n]) => [DEFECT_GUIDE[k].label, n] as const)}
        />
        <Counts
          title="Findings by likely cause"
          rows={stats.byCause.map(([c, n]) => [CAUSE_WORDS[c], n] as const)}
        />
        <Box gridColumn={{ md: '1 / -1' }} as="section" aria-label="Coats with a finding, by month">
          <Heading as="h3" fontSize="md" mb="1">
            Coats with a finding, by month
          </Heading>
          <Trend rows={stats.byMonth} />
        </Box>
        <Shares title="By resin" rows={stats.byResin} />
        <Shares title="By bottles" rows={stats.byLot} />
        <Shares title="By room at the mix" rows={stats.byRoom} />
        <Shares title="By who mixed" rows={stats.byPerson} />
        <Counts
          title="Rescues chosen"
          rows={stats.rescues.map(
            (r) =>
              [`${RESCUE_WORDS[r.kind]}, ${show(r.mixedKg, 'mass').text} mixed`, r.count] as const,
          )}
        />
        <Drifts drifts={stats.drifts} />
      </Grid>
      <Box fontSize="xs" color="ink2" mt="4">
        Bands hold 95 % (Wilson 1927). A cause counts where the log names one.
      </Box>
    </Panel>
  );
}
