'use client';
import { Box, chakra, Flex, Grid, Heading } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { useAct, useNow, useShop } from '@/data/hooks';
import { markLot, removeLot, saveLot } from '@/data/repos/lots';
import { writeDay } from '@/features/common/day';
import { useFormat } from '@/features/common/useFormat';
import { newId, type Resin } from '@/records';
import { lotsOf, type LotView } from '@/shop/lots';
import { Button } from '@/ui/Button';
import { ConfirmDialog } from '@/ui/ConfirmDialog';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { TextField } from '@/ui/TextField';
import { FINGER_LINES } from '@/ui/touch';
import { EMPTY_LOT, readLot, type LotDraft } from './lot';

/** New bottles, sealed until they are opened or mixed from. */
function AddLot({ resin, onAdded }: { resin: Resin; onAdded: () => void }) {
  const act = useAct();
  const format = useFormat();
  const [draft, setDraft] = useState<LotDraft>(EMPTY_LOT);
  const [tried, setTried] = useState(false);
  const read = readLot(draft, format);
  const errors = tried && !read.ok ? read.errors : {};
  const field = (key: keyof LotDraft) => ({
    value: draft[key],
    error: errors[key],
    onChange: (e: { target: { value: string } }) => setDraft({ ...draft, [key]: e.target.value }),
  });
  const add = async () => {
    setTried(true);
    if (!read.ok) return;
    const lot = { ...read.value, id: newId<'lot'>(), resinId: resin.id };
    const outcome = await act(`add the bottles ${lot.name}`, (db, c) => saveLot(db, c, lot), lot);
    if (outcome.ok) onAdded();
  };
  return (
    <chakra.form
      mt="3"
      noValidate
      onSubmit={(e) => {
        e.preventDefault();
        void add();
      }}
    >
      <Grid templateColumns={{ base: '1fr 1fr', lg: 'repeat(4, 1fr)' }} gap="3">
        <TextField label="Lot number" {...field('name')} />
        <TextField
          label="Best before"
          hint="24 Dec 2026; empty: not told"
          {...field('bestBefore')}
        />
        <TextField label="Part A in it" hint="2 kg; empty: not told" {...field('fullA')} />
        <TextField label="Part B in it" hint="1.7 kg" {...field('fullB')} />
      </Grid>
      <Flex gap="3" mt="3">
        <Button type="submit" variant="ink">
          Add these bottles
        </Button>
        <Button variant="quiet" onClick={onAdded}>
          Not now
        </Button>
      </Flex>
    </chakra.form>
  );
}

const STATE = { open: '● open', sealed: '○ sealed', empty: '× used up' } as const;

function LotRow({ view, nowMs }: { view: LotView; nowMs: number }) {
  const act = useAct();
  const { show } = useFormat();
  const { pieces } = useShop();
  const [asking, setAsking] = useState(false);
  const { lot, left, coats, batches } = view;
  const state = lot.emptyMs !== null ? 'empty' : lot.openedMs === null ? 'sealed' : 'open';
  const over = lot.bestBeforeMs !== null && nowMs >= lot.bestBeforeMs && state !== 'empty';
  const mass = (kg: number | null) =>
    kg === null ? (
      <Box color="ink2">not told</Box>
    ) : kg < 0 ? (
      <Box color="oxide">none; {show(-kg, 'mass').text} more weighed than was in it</Box>
    ) : (
      <Figure whiteSpace="nowrap">{show(kg, 'mass').text}</Figure>
    );
  const mark = (what: 'openedMs' | 'emptyMs') => () => {
    setAsking(false);
    void act(`mark ${lot.name}`, (db, c) => markLot(db, c, lot.id, what));
  };
  return (
    <chakra.tr borderTopWidth="1px" borderColor="line" color={state === 'empty' ? 'ink2' : 'ink'}>
      <chakra.th scope="row" textAlign="left" py="2" fontWeight="600" whiteSpace="nowrap">
        {lot.name}
      </chakra.th>
      <chakra.td whiteSpace="nowrap">
        {STATE[state]}
        {lot.openedMs !== null && state === 'open' && ` since ${writeDay(lot.openedMs)}`}
      </chakra.td>
      <chakra.td
        whiteSpace="nowrap"
        color={over ? 'oxide' : undefined}
        fontWeight={over ? '600' : undefined}
      >
        {lot.bestBeforeMs === null ? 'not told' : writeDay(lot.bestBeforeMs)}
        {over && ' ! past'}
      </chakra.td>
      <td>{mass(left.aKg)}</td>
      <td>{mass(left.bKg)}</td>
      <chakra.td css={FINGER_LINES}>
        {coats.length === 0 && 'none'}
        {coats.map((c, i) => (
          <span key={c.id}>
            {i > 0 && ', '}
            <Link href={`/pieces/${c.pieceId}/cure`}>
              {pieces.find((p) => p.id === c.pieceId)?.name} {c.name}
            </Link>
          </span>
        ))}
      </chakra.td>
      <chakra.td textAlign="end" whiteSpace="nowrap">
        {state === 'sealed' && (
          <Button size="sm" aria-label={`Open ${lot.name}`} onClick={mark('openedMs')}>
            opened now
          </Button>
        )}
        {state === 'open' && (
          <Button size="sm" aria-label={`${lot.name} is used up`} onClick={() => setAsking(true)}>
            used up …
          </Button>
        )}
        {state === 'sealed' && batches.length === 0 && (
          <Button
            size="sm"
            variant="quiet"
            aria-label={`Take ${lot.name} off the list`}
            onClick={() => void act(`remove ${lot.name}`, (db, c) => removeLot(db, c, lot.id))}
          >
            remove
          </Button>
        )}
        <ConfirmDialog
          open={asking}
          title={`${lot.name} is used up?`}
          confirm="Used up"
          onConfirm={mark('emptyMs')}
          onCancel={() => setAsking(false)}
        >
          It is not offered at the bench any more. What was mixed from it stays in the record.
        </ConfirmDialog>
      </chakra.td>
    </chakra.tr>
  );
}

/** Bottles of a resin: opened, their date, what is left by what was weighed, and which coats came out of them. */
export function LotsPanel({ resin }: { resin: Resin }) {
  const shop = useShop();
  const now = useNow();
  const [adding, setAdding] = useState(false);
  const lots = lotsOf(shop, resin.id);
  return (
    <Panel as="section" aria-label="Bottles" mb="4">
      <Flex justify="space-between" align="baseline">
        <Heading as="h2" fontSize="lg">
          Bottles
        </Heading>
        {!adding && <Button onClick={() => setAdding(true)}>Add bottles</Button>}
      </Flex>
      {lots.length === 0 && !adding && (
        <Box color="ink2">
          None noted. With their lot number and weight, a session says what is left and when they
          are past their date.
        </Box>
      )}
      {lots.length > 0 && (
        <Box overflowX="auto" mt="2">
          <chakra.table
            width="100%"
            minW="760px"
            css={{ '& th, & td': { paddingInlineEnd: '16px' } }}
          >
            <chakra.caption srOnly>Bottles of {resin.name}</chakra.caption>
            <thead>
              <chakra.tr textAlign="left" fontSize="sm" color="ink2">
                {['Lot', 'State', 'Best before', 'A left', 'B left', 'Coats'].map((head) => (
                  <chakra.th key={head} fontWeight="500">
                    {head}
                  </chakra.th>
                ))}
                <chakra.td />
              </chakra.tr>
            </thead>
            <tbody>
              {lots.map((view) => (
                <LotRow key={view.lot.id} view={view} nowMs={now} />
              ))}
            </tbody>
          </chakra.table>
          <Box fontSize="xs" color="ink2" mt="1">
            Left: what was in them, less what was weighed for batches. What spills or sticks is not
            in it.
          </Box>
        </Box>
      )}
      {adding && <AddLot resin={resin} onAdded={() => setAdding(false)} />}
    </Panel>
  );
}
