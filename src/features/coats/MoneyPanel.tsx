'use client';
import { Box, Flex } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { useMemo } from 'react';
import type { Ledger } from '@/core/coat';
import { useNow, useShop } from '@/data/hooks';
import type { CoatView, PieceView } from '@/shop/coatView';
import { Explained } from '@/features/common/Explained';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { FINGER_LIST } from '@/ui/touch';
import { costOf, jobCost, leftOver, waitingFor } from './money';

interface Props {
  readonly view: PieceView;
  readonly selected: CoatView;
  readonly ledger: Ledger;
}

/** What the coat, each piece and the whole job cost, with the share that is waste. */
export function CostPanel({ view, selected, ledger }: Props) {
  const { settings } = useShop();
  const { show } = useFormat();
  const money = (n: number) => `${settings.currency} ${n.toFixed(2)}`;
  const cost = costOf(selected, ledger, settings.consumables);
  if (!cost)
    return (
      <Panel py="3">
        <Box fontWeight="600">Cost is not known.</Box>
        <Box fontSize="sm">
          {selected.resin.name} has no price:{' '}
          <Box asChild textDecoration="underline" fontWeight="600">
            <Link href={`/resins/${selected.resin.id}`}>enter it on its sheet</Link>
          </Box>
          .
        </Box>
      </Panel>
    );
  const { count } = selected.piece;
  const job = jobCost(view, selected.coat.id, ledger, settings.consumables);
  const rows = [
    ['this coat', cost.total, cost.wasteShare],
    ...(count > 1 ? [['each piece, all coats', job.total / count, job.wasteShare] as const] : []),
    [count > 1 ? `job of ${count}, all coats` : 'the piece, all coats', job.total, job.wasteShare],
  ] as const;
  return (
    <Panel as="section" py="3" aria-label="Cost">
      {rows.map(([name, amount, waste], i) => (
        <Flex key={name} justify="space-between" align="baseline" gap="2">
          <Box fontWeight={i === 0 ? 600 : 400}>{name}</Box>
          <Box textAlign="right">
            <Explained explanation={i === 0 ? cost.explanation : job.explanation} quantity="number">
              <Figure fontWeight={i === 0 ? '600' : '400'}>{money(amount)}</Figure>
            </Explained>
            <Box as="span" fontSize="sm" color="ink2">
              {' '}
              · <Figure>{show(waste, 'share', 0).text}</Figure> waste
            </Box>
          </Box>
        </Flex>
      ))}
      {job.unknown.length > 0 && (
        <Box fontSize="sm" color="oxide">
          Without {job.unknown.join(', ')}: that resin has no price.
        </Box>
      )}
    </Panel>
  );
}

/** Which filler pieces could take the reserve when it is left. */
export function LeftOverPanel({ selected, ledger }: Omit<Props, 'view'>) {
  const shop = useShop();
  const now = useNow();
  const { show } = useFormat();
  const reserve = ledger.lines.find((l) => l.id === 'reserve')?.volumeM3 ?? 0;
  // Who waits changes with the shop and by the minute, not with every frame of a drag.
  const minute = Math.floor(now / 60_000);
  const { piece, resin } = selected;
  const waiting = useMemo(
    () => waitingFor(shop, { piece, resin }, minute * 60_000),
    [shop, piece, resin, minute],
  );
  const { fillers, restM3 } = leftOver(waiting, Math.max(0, reserve));
  const volume = (m3: number) => show(m3, 'volume').text;
  return (
    <Panel as="section" py="3" aria-label="Left-over">
      <Box fontWeight="600">
        If the reserve is left, <Figure>{volume(reserve)}</Figure>:
      </Box>
      {fillers.length === 0 ? (
        <Box fontSize="sm" color="ink2">
          no other planned coat of {selected.resin.name} is small enough to take it.
        </Box>
      ) : (
        <Box as="ul" listStyleType="none" fontSize="sm" css={FINGER_LIST}>
          {fillers.map(({ pieceId, text, volumeM3, ready }) => (
            <li key={pieceId}>
              <Box asChild textDecoration="underline">
                <Link href={`/pieces/${pieceId}/coats`}>{text}</Link>
              </Box>{' '}
              takes <Figure>{volume(volumeM3)}</Figure>
              {!ready && ' (prepare it first)'}
            </li>
          ))}
          <li>
            <Figure>{volume(restM3)}</Figure> stay over.
          </li>
        </Box>
      )}
    </Panel>
  );
}
