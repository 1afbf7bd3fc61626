'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { CENTRE_CUT, type CutLine } from '@/core/geometry';
import { buildUp, filmAreas, filmOver, type FilmOver } from '@/core/coat';
import type { Area } from '@/records';
import { ledgerInputOf, type CoatView, type PieceView } from '@/shop/coatView';
import { SectionDrawing } from './section';
import { Panel } from '@/ui/Panel';
import { ThicknessMap } from './ThicknessMap';
import type { CoatEdit } from './useCoatEdit';
import type { FieldState } from './useFilmField';

/** The area that the section and the map show: the coat's face, or its first area. */
export const shownArea = ({ coat, around }: CoatView): Area | undefined =>
  filmAreas(coat, around.areas)[0] ?? around.areas[0];

interface Props {
  readonly view: PieceView;
  readonly selected: CoatView;
  readonly edit: CoatEdit;
  readonly field: FieldState;
  /** Stands beside the map. */
  readonly children: ReactNode;
}

/** Section and map of the coat; both show the same cut. */
export function CoatDrawings({ view, selected, edit, field, children }: Props) {
  const [line, setLine] = useState<CutLine>(CENTRE_CUT);
  const { coat, resin } = selected;
  const area = shownArea(selected);
  if (!area) return null;
  const { free, edited, setDraftM, commit } = edit;
  const laid = view.coats.map((c) => (c.coat.id === coat.id ? edited.coat : c.coat));
  const films = buildUp(view.areas, laid).get(area.id)?.films ?? [];
  const tilt = view.piece.level?.tilt ?? { alongX: 0, alongY: 0 };
  const slope = Math.hypot(tilt.alongX, tilt.alongY) || 1;
  const input = ledgerInputOf(edited);
  const under = input.areas[filmAreas(coat, view.areas).findIndex((a) => a.id === area.id)];
  const over: FilmOver = {
    ...(under
      ? filmOver(under, input)
      : { thicknessM: input.thicknessM, wedgeM: 0, bellyMeanM: 0 }),
    downhill: [-tilt.alongX / slope, -tilt.alongY / slope],
  };
  return (
    <>
      <Panel>
        <SectionDrawing
          area={area}
          support={view.piece.support}
          line={line}
          laminae={films.map(({ coat: { id, name, coverage }, bottomM, topM }) => ({
            ...{ id, name, coverage, bottomM, topM },
            state: view.coats.find((c) => c.coat.id === id)?.state ?? 'planned',
          }))}
          {...(free && {
            editable: {
              id: coat.id,
              pouredM: edited.coat.thicknessM,
              minM: resin.sheet.thinnestM,
              maxM: Math.max(resin.sheet.thickestM, coat.thicknessM),
              onChange: setDraftM,
              onCommit: commit,
            },
          })}
        />
      </Panel>
      <Flex gap="4" align="stretch" wrap="wrap">
        <Box flex="3 1 300px" minW="0">
          <ThicknessMap
            area={area}
            state={field}
            over={over}
            coverage={coat.coverage}
            edgesOnly={coat.kind === 'edge'}
            line={line}
            onLine={setLine}
          />
        </Box>
        <Box flex="2 1 250px">{children}</Box>
      </Flex>
    </>
  );
}
