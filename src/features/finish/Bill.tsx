'use client';
import { Box, chakra, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { chooseAtBench } from '@/data/repos/bench';
import { useFormat } from '@/features/common/useFormat';
import type { PieceView } from '@/shop/coatView';
import { billOf } from '@/shop/finish';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { TextField } from '@/ui/TextField';

const hours = (s: number): string => `${(s / 3600).toFixed(1)} h`;

/** What it took: an estimate before, a line for the invoice after. */
export function Bill({ view }: { view: PieceView }) {
  const shop = useShop();
  const act = useAct();
  const { show } = useFormat();
  const { currency, hourly } = shop.settings;
  const [text, setText] = useState(hourly === null ? '' : String(hourly));
  const [error, setError] = useState<string>();
  const bill = billOf(shop, view);
  const money = (n: number | null) => (n === null ? 'no price' : `${currency}${n.toFixed(2)}`);
  const handsS = bill.wetS + bill.stepsS;
  const hands = hourly === null ? null : (handsS / 3600) * hourly;
  const known = bill.lines.reduce((sum, l) => sum + (l.cost ?? 0), 0);
  const without = bill.lines.filter((l) => l.cost === null).length;
  const keep = () => {
    const told = text.trim() === '' ? null : Number(text.replace(',', '.'));
    if (told !== null && !(told >= 0 && told <= 100_000)) return setError('A number from 0.');
    setError(undefined);
    if (told !== hourly)
      void act('keep the hourly rate', (db, c) => chooseAtBench(db, c, { hourly: told }));
  };
  const cell = { py: '1', borderTopWidth: '1px', borderColor: 'line', fontSize: 'sm' } as const;
  const right = { textAlign: 'right', pl: '3', whiteSpace: 'nowrap', ...cell } as const;
  return (
    <Panel as="section" aria-label="What it took">
      <Heading as="h2" fontSize="xl" mb="2">
        What it took
      </Heading>
      <chakra.table width="100%" mb="3">
        <tbody>
          {bill.lines.map((l, i) => (
            <tr key={`${l.name} ${i}`}>
              <chakra.th scope="row" textAlign="left" fontWeight="400" {...cell}>
                {l.name}
                <Box as="span" color="ink2">
                  {' '}
                  · {l.kg === null ? 'no volume' : show(l.kg, 'mass').text},{' '}
                  {l.weighed ? 'by the weighed mix' : 'planned'}
                </Box>
              </chakra.th>
              <chakra.td {...right}>
                <Figure>{money(l.cost)}</Figure>
              </chakra.td>
            </tr>
          ))}
          <tr>
            <chakra.th scope="row" textAlign="left" fontWeight="400" {...cell}>
              Cups, sticks, gloves
            </chakra.th>
            <chakra.td {...right}>
              <Figure>{money(bill.consumables)}</Figure>
            </chakra.td>
          </tr>
          <tr>
            <chakra.th scope="row" textAlign="left" fontWeight="400" {...cell}>
              Hands {hours(handsS)}
              <Box as="span" color="ink2">
                {' '}
                · wet {hours(bill.wetS)} by the log, {bill.steps} steps taken as 5 min each
              </Box>
            </chakra.th>
            <chakra.td {...right}>
              <Figure>{hands === null ? 'no rate' : money(hands)}</Figure>
            </chakra.td>
          </tr>
          <tr>
            <chakra.th scope="row" textAlign="left" {...cell}>
              {without > 0 || hands === null ? 'So far' : 'Total'}
              {without > 0 && ` (${without} coats without a price)`}
            </chakra.th>
            <chakra.td {...right}>
              <Figure fontWeight="600">{money(known + bill.consumables + (hands ?? 0))}</Figure>
            </chakra.td>
          </tr>
        </tbody>
      </chakra.table>
      <TextField
        label={`An hour of hands, ${currency}`}
        value={text}
        error={error}
        onChange={(e) => setText(e.target.value)}
        onBlur={keep}
      />
    </Panel>
  );
}
