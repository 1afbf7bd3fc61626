import { useState } from 'react';
import type { CareLine } from '@/core/finish';
import { useRead, useShop, useNow } from '@/data/hooks';
import { entriesAbout } from '@/data/log';
import { dateText } from '@/features/common/clockText';
import { fileName } from '@/features/common/files/fileName';
import { paperOf } from '@/features/common/paper';
import { useFormat } from '@/features/common/useFormat';
import type { PieceView } from '@/shop/coatView';
import { coatRecords } from '@/shop/finish';
import { saveFile } from '@/ui/saveFile';
import { handOver } from './handOver';

const PDF = 'application/pdf';

/** A picture of any kind that the browser shows, as a PNG; null where it cannot. */
async function asPng(blob: Blob): Promise<Uint8Array | null> {
  const url = URL.createObjectURL(blob);
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const scale = Math.min(1, 900 / Math.max(image.naturalWidth, image.naturalHeight, 1));
    const canvas = document.createElement('canvas');
    canvas.width = Math.max(1, Math.round(image.naturalWidth * scale));
    canvas.height = Math.max(1, Math.round(image.naturalHeight * scale));
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const png = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    return png ? new Uint8Array(await png.arrayBuffer()) : null;
  } catch {
    return null;
  } finally {
    URL.revokeObjectURL(url);
  }
}

/** Makes the papers that go with a piece; says why where one cannot be made. */
export function usePapers(view: PieceView, care: readonly CareLine[] | null) {
  const shop = useShop();
  const now = useNow();
  const format = useFormat();
  const [trouble, setTrouble] = useState<string | null>(null);
  const { piece } = view;
  const { value: log } = useRead((db) => entriesAbout(db, { pieceId: piece.id }), piece.id);
  const { value: photos } = useRead(
    (db) => db.photos.where('pieceId').equals(piece.id).sortBy('takenMs'),
    piece.id,
  );
  const told = handOver(view, coatRecords(shop, view), care ?? [], log ?? [], format, now);
  const make = async (work: () => Promise<void>) => {
    setTrouble(null);
    try {
      await work();
    } catch (error) {
      setTrouble(`It could not be made: ${(error as Error).message}.`);
    }
  };
  const handOverSheet = () =>
    make(async () => {
      const [{ handOverPdf }, { shippedFonts }] = await Promise.all([
        import('./handOverPdf'),
        import('@/ui/pdf/shippedFonts'),
      ]);
      const newest = photos?.at(-1);
      const png = newest ? await asPng(newest.blob) : null;
      const bytes = await handOverPdf(
        told,
        paperOf(format.units),
        await shippedFonts(),
        png && { png },
      );
      saveFile(`${fileName(piece.name)}-hand-over.pdf`, PDF, bytes as BlobPart);
    });
  const label = () =>
    make(async () => {
      const [{ labelPdf }, { shippedFonts }] = await Promise.all([
        import('./handOverPdf'),
        import('@/ui/pdf/shippedFonts'),
      ]);
      const address = `${location.origin}/pieces/${piece.id}/finish`;
      const lines = [piece.job, dateText(now)].filter(Boolean);
      const bytes = await labelPdf(told.title, lines, address, await shippedFonts());
      saveFile(`${fileName(piece.name)}-label.pdf`, PDF, bytes as BlobPart);
    });
  return { told, trouble, handOverSheet, label };
}
