import { extent } from '@/core/numeric';
import { Box, Flex } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import type { Layer } from '@/records';
import type { CoatView, PieceView } from '@/shop/coatView';
import { LAYER_HATCH } from '@/features/common/materials';
import { STATE_FILL, STATE_WORDS } from '@/features/common/stateWords';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';
import { focusRing } from '@/ui/touch';
import { layerStateWords } from './layers';

interface RowProps {
  readonly here: boolean;
  readonly fill: string;
  readonly dashed: boolean;
  readonly thin?: boolean;
  readonly name: string;
  readonly words: string;
  readonly figure: string;
  readonly onClick: () => void;
}

/** One coat or layer of the build-up. */
function Row({ here, fill, dashed, thin = false, name, words, figure, onClick }: RowProps) {
  return (
    <Flex
      as="button"
      aria-pressed={here}
      onClick={onClick}
      align="center"
      gap="3"
      px="3"
      py={thin ? '1' : '2'}
      textAlign="left"
      bg="card"
      cursor="pointer"
      borderWidth={here ? '2px' : '1px'}
      borderColor={here ? 'ink' : 'line'}
      _hover={{ bg: 'amberWash' }}
      _focusVisible={focusRing}
    >
      <svg width="34" height={thin ? 12 : 20} aria-hidden>
        <rect
          x="1"
          y="1"
          width="32"
          height={thin ? 10 : 18}
          fill={fill}
          stroke={thin ? 'var(--bm-colors-ink)' : 'var(--bm-colors-amber-deep)'}
          strokeDasharray={dashed ? '4 3' : undefined}
        />
      </svg>
      <Box flex="1" minW="0">
        <Box fontWeight="600" fontSize={thin ? 'sm' : 'md'}>
          {name}
        </Box>
        <Box fontSize="sm" color="ink2" truncate>
          {words}
        </Box>
      </Box>
      <Figure fontSize="sm">{figure}</Figure>
    </Flex>
  );
}

interface Props {
  readonly view: Pick<PieceView, 'coats' | 'layers' | 'areas'>;
  readonly selectedId: string | null;
  readonly layerId: string | null;
  readonly onSelect: (id: string) => void;
  readonly onLayer: (id: string) => void;
}

/** The build-up of a piece, newest on top as on the section: coats, and what lies between them. */
export function CoatList({ view, selectedId, layerId, onSelect, onLayer }: Props) {
  const { show } = useFormat();
  const many = view.areas.length > 1;
  const on = (ids: readonly string[]) => {
    const all = view.areas.every((a) => a.bare || a.kind !== 'face' || ids.includes(a.id));
    const names = view.areas.filter((a) => ids.includes(a.id)).map((a) => a.name);
    return many && !all ? ` · on ${names.join(', ')}` : '';
  };
  /** What stays, from the least to the most where its places differ. */
  const filmText = ({ staysM, thicknessM }: CoatView['coat']) => {
    const [least, most] = staysM.length > 0 ? extent(staysM) : [thicknessM, thicknessM];
    const text = show(least, 'film').text;
    return most - least > 5e-6 ? `${show(least, 'film').number}–${show(most, 'film').text}` : text;
  };
  const layerRow = (layer: Layer): ReactNode => (
    <Row
      key={layer.id}
      thin
      here={layer.id === layerId}
      fill={LAYER_HATCH[layer.kind]}
      dashed={layer.state.at === 'planned'}
      name={layer.name}
      words={`${layerStateWords(layer)} · ${layer.kind}${on(layer.areaIds)}`}
      figure={show(layer.greatestM, 'film').text}
      onClick={() => onLayer(layer.id)}
    />
  );
  const coatRow = ({ coat, state, resin }: CoatView): ReactNode => (
    <Row
      key={coat.id}
      here={layerId === null && coat.id === selectedId}
      fill={STATE_FILL[state]}
      dashed={state === 'planned'}
      name={coat.name}
      words={`${STATE_WORDS[state]} · ${resin.name}${on(coat.areaIds)}`}
      figure={filmText(coat)}
      onClick={() => onSelect(coat.id)}
    />
  );
  const over = (id: string | null) => view.layers.filter((l) => l.over === id).map(layerRow);
  return (
    <Flex direction="column-reverse" gap="1.5" role="group" aria-label="Coats, topmost first">
      {over(null)}
      {view.coats.flatMap((v) => [coatRow(v), ...over(v.coat.id)])}
    </Flex>
  );
}
