'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useState, type RefObject } from 'react';
import { useNow, useShop } from '@/data/hooks';
import { blobToBase64 } from '@/data/exchange/base64';
import { fileName } from '@/features/common/files/fileName';
import { paperOf } from '@/features/common/paper';
import { useFormat } from '@/features/common/useFormat';
import type { PieceView } from '@/shop/coatView';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { saveFile } from '@/ui/saveFile';
import { planSheet } from './planSheet';

/** Dots a unit of the drawing: sharp on paper at the width of a page. */
const DOTS = 3;
const DRAWINGS = [
  ['section', 'Section'],
  ['map', 'From above'],
] as const;

interface Props {
  readonly view: PieceView;
  /** Holds the drawings that are shown. */
  readonly drawings: RefObject<HTMLElement | null>;
}

/** The drawings as files and the coat plan on paper: what goes to the bench, or to who ordered the piece. */
export function TakeAlong({ view, drawings }: Props) {
  const shop = useShop();
  const now = useNow();
  const format = useFormat();
  const [trouble, setTrouble] = useState<string | null>(null);
  const name = fileName(view.piece.name);
  const shown = (which: string) =>
    drawings.current?.querySelector<SVGSVGElement>(`svg[data-drawing="${which}"]`) ?? null;
  const fileOf = async (which: string, title: string): Promise<string | null> => {
    const svg = shown(which);
    if (!svg) return null;
    const [{ drawingFile }, { shippedFonts }] = await Promise.all([
      import('@/ui/drawing/drawingFile'),
      import('@/ui/pdf/shippedFonts'),
    ]);
    const { plain, bold } = await shippedFonts();
    // The first of each has our own letters; the others are of other scripts.
    const [latin, bold600] = await Promise.all(
      [plain[0], bold[0]].map((bytes) => blobToBase64(new Blob([(bytes ?? '') as BlobPart]))),
    );
    return drawingFile(svg, title, { plain: latin ?? '', bold: bold600 ?? '' });
  };
  const pngOf = async (file: string): Promise<Blob> =>
    (await import('@/ui/drawing/drawingFile')).drawingPng(file, DOTS);
  const make = (work: () => Promise<void>) => {
    setTrouble(null);
    work().catch((e: Error) => setTrouble(`It could not be made: ${e.message}.`));
  };
  const take = (which: string, label: string, as: 'svg' | 'png') =>
    make(async () => {
      const file = await fileOf(which, `${view.piece.name}: ${label}`);
      if (file === null) throw new Error('nothing is drawn');
      if (as === 'svg') saveFile(`${name}-${which}.svg`, 'image/svg+xml', file);
      else saveFile(`${name}-${which}.png`, 'image/png', await pngOf(file));
    });
  const plan = () =>
    make(async () => {
      const [{ planSheetPdf }, { shippedFonts }] = await Promise.all([
        import('./planSheetPdf'),
        import('@/ui/pdf/shippedFonts'),
      ]);
      const file = await fileOf('section', view.piece.name);
      const png = file === null ? null : new Uint8Array(await (await pngOf(file)).arrayBuffer());
      const bytes = await planSheetPdf(
        planSheet(view, shop, format, now),
        paperOf(format.units),
        await shippedFonts(),
        png,
      );
      saveFile(`${name}-coat-plan.pdf`, 'application/pdf', bytes as BlobPart);
    });
  return (
    <Panel as="section" data-noprint aria-label="To take along">
      <Flex wrap="wrap" align="center" columnGap="5" rowGap="2">
        <Heading as="h2" fontSize="lg">
          To take along
        </Heading>
        <Button size="sm" onClick={plan}>
          Coat plan (PDF)
        </Button>
        {DRAWINGS.map(([which, label]) => (
          <Flex key={which} align="center" gap="2" role="group" aria-label={label}>
            <Box fontSize="sm">{label} as</Box>
            <Button size="sm" onClick={() => take(which, label, 'svg')}>
              SVG
            </Button>
            <Button size="sm" onClick={() => take(which, label, 'png')}>
              PNG
            </Button>
          </Flex>
        ))}
      </Flex>
      {trouble && (
        <Box role="alert" color="oxide" mt="2">
          {trouble}
        </Box>
      )}
    </Panel>
  );
}
