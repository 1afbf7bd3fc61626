import { Box } from '@chakra-ui/react';
import { strokesOf, type Stroke } from '@/core/wet';
import { SECOND_MS, useNow, useShop } from '@/data/hooks';
import { edgeKindsOf } from '@/records';
import { viewPiece } from '@/shop/coatView';
import type { WetCoat } from './model';

const WORDS: Readonly<Record<Stroke, string>> = {
  level: 'level once more',
  'barrier line': 'a line of clear along the boundary',
  'sides first': 'sides first',
  stream: 'stream it on gently, relief first',
  ribbon: 'a ribbon near the edges',
  middle: 'then the middle, spread',
  thin: 'thin, brushed or scraped',
  spot: 'the spot alone',
  colours: 'colours onto wet clear, white last',
  'one line': 'the line, in one slow stroke',
  'over the edge': 'over the edge last',
  'edges by finger': 'edges by finger',
  'edges again': 'edges again',
  'feed run-off': 'feed what ran off to thin places',
  'raking look': 'look in raking light',
};

/** The order of strokes of the coat that is poured now. */
export function Strokes({ entry: { coat, piece } }: { entry: WetCoat }) {
  const shop = useShop();
  const now = useNow(SECOND_MS);
  const areas = shop.areas.filter((a) => coat.areaIds.includes(a.id));
  const seen = viewPiece(shop, piece, now).coats.find((c) => c.coat.id === coat.id);
  const strokes = strokesOf({
    kind: coat.kind,
    // A place that was cut out of a face ends inside it.
    boundary: areas.some((a) => a.partOf !== null || a.cuts.length > 0),
    openEdges: areas.some((a) => edgeKindsOf(a).includes('open')),
    floods: coat.intent.by === 'over' || (seen?.coat.kind === 'flood' && coat.intent.by !== 'dome'),
    relief: areas.some((a) => a.relief.length > 0),
    colours: coat.colours.length > 0,
  });
  return (
    <Box
      as="ol"
      aria-label={`Order of strokes, ${piece.name}`}
      fontSize="xl"
      lineHeight="1.3"
      mt="3"
    >
      {strokes.map((stroke, i) => (
        <Box as="li" key={stroke} display="inline">
          {i > 0 && ' → '}
          {WORDS[stroke]}
        </Box>
      ))}
    </Box>
  );
}
