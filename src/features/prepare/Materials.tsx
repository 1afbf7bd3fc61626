'use client';
import { Box, chakra, Flex, Heading } from '@chakra-ui/react';
import { format as formatDate } from 'date-fns';
import { FileDown } from 'lucide-react';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import type { PiecePrep } from '@/shop/prepFacts';
import { Explained } from '@/features/common/Explained';
import { amountText, explainSum, packsText } from './amounts';
import { dayNeeds, daySheet, pieceNeeds, sumNeeds } from './daySheet';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { paperOf } from '@/features/common/paper';
import { saveFile } from '@/ui/saveFile';

type Span = 'piece' | 'day';

/** What the open steps take: of this piece, or of every piece before its next coat. */
export function Materials({ prep, nowMs }: { prep: PiecePrep; nowMs: number }) {
  const shop = useShop();
  const act = useAct();
  const format = useFormat();
  const [span, setSpan] = useState<Span>('piece');
  const parts = span === 'piece' ? pieceNeeds(prep) : dayNeeds(shop, nowMs);
  const sums = sumNeeds(parts);
  const print = async () => {
    const { daySheetPdf } = await import('./daySheetPdf');
    const { shippedFonts } = await import('@/ui/pdf/shippedFonts');
    const paper = paperOf(format.units);
    const bytes = await daySheetPdf(daySheet(shop, nowMs, format), paper, await shippedFonts());
    const day = formatDate(nowMs, 'yyyy-MM-dd');
    saveFile(`day-sheet-${day}.pdf`, 'application/pdf', new Uint8Array(bytes));
  };
  return (
    <Panel as="section" aria-label="Materials">
      <Flex justify="space-between" align="center" gap="2" mb="2" wrap="wrap">
        <Heading as="h2" fontSize="lg">
          What it takes
        </Heading>
        <Flex role="group" aria-label="Materials of">
          {(['piece', 'day'] as const).map((s) => (
            <Button
              key={s}
              size="sm"
              aria-pressed={span === s}
              variant={span === s ? 'ink' : 'outline'}
              onClick={() => setSpan(s)}
            >
              {s === 'piece' ? 'this piece' : 'the day, all pieces'}
            </Button>
          ))}
        </Flex>
      </Flex>
      {sums.length === 0 ? (
        <Box color="ink2">The open steps use nothing up.</Box>
      ) : (
        <chakra.table width="100%" fontSize="sm">
          <caption style={{ captionSide: 'bottom', textAlign: 'left' }}>
            <Box as="span" color="ink2" fontSize="xs">
              {span === 'piece'
                ? 'Open steps before all planned coats.'
                : 'Open steps before the next coat of every piece.'}{' '}
              Packs are common sizes, no source.
            </Box>
          </caption>
          <thead>
            <tr>
              <chakra.th scope="col" textAlign="left" fontWeight="600">
                Material
              </chakra.th>
              <chakra.th scope="col" textAlign="right" fontWeight="600">
                Needed
              </chakra.th>
              <chakra.th scope="col" textAlign="right" fontWeight="600">
                To have
              </chakra.th>
            </tr>
          </thead>
          <tbody>
            {sums.map((m) => (
              <chakra.tr key={m.name} borderTopWidth="1px" borderColor="line">
                <chakra.th scope="row" textAlign="left" fontWeight="400" py="1">
                  {format.words(m.name)}
                </chakra.th>
                <chakra.td textAlign="right">
                  <Explained explanation={explainSum(m, parts)} quantity={m.quantity}>
                    <Figure>{amountText(m, format)}</Figure>
                  </Explained>
                </chakra.td>
                <chakra.td textAlign="right">
                  <Figure>{packsText(m)}</Figure>
                </chakra.td>
              </chakra.tr>
            ))}
          </tbody>
        </chakra.table>
      )}
      <Button
        mt="3"
        onClick={() =>
          void act('make the day sheet', async () => {
            await print();
          })
        }
      >
        <FileDown size={18} aria-hidden /> Day sheet, PDF
      </Button>
    </Panel>
  );
}
