'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState, type ReactNode } from 'react';
import { CENTRE_CUT, type CutLine } from '@/core/geometry';
import { beneath, buildUp, filmOver, type FilmOver, type Ground, type OnArea } from '@/core/coat';
import type { Area, Coat } from '@/records';
import { groundsUnder } from '@/shop/coatFacts';
import { groundOf, ledgerInputOf, type CoatView, type PieceView } from '@/shop/coatView';
import { SectionDrawing, type FaceCutView, type SectionBead, type SectionLamina } from './section';
import { cutFaceView, pathCrossings } from './stretches';
import { Panel } from '@/ui/Panel';
import { Scroller } from '@/ui/Scroller';
import { ThicknessMap } from './ThicknessMap';
import type { CoatEdit } from './useCoatEdit';
import type { FieldState } from './useFilmField';

/** What the map shows: the first ground of the coat, its places joined. */
export const shownGround = (view: CoatView): Ground | undefined =>
  groundsUnder(view.coat, groundOf(view), view.resin.sheet)[0];

/** The area that the section goes through: the first place of that ground, or the piece's first area. */
const shownArea = ({ around }: CoatView, ground: Ground | undefined): Area | undefined =>
  around.areas.find((a) => a.id === ground?.parts[0]?.area.id) ?? around.areas[0];

/** Every film that a cut meets once, with its name and state. */
function laminaeOf(cut: FaceCutView, { coats }: PieceView): SectionLamina[] {
  const films = cut.stretches.flatMap((s) => s.films);
  const once = films.filter((f, i) => films.findIndex((g) => g.id === f.id) === i);
  return once.map((film) => {
    const view = coats.find((c) => c.coat.id === film.id);
    return { ...film, name: view?.coat.name ?? '', state: view?.state ?? 'planned' };
  });
}

/** The other side of the piece along the same cut; null where nothing lies on it. */
function otherSide<C extends Coat>(
  area: Area,
  view: PieceView,
  lies: ReadonlyMap<string, OnArea<C>>,
  line: CutLine,
): FaceCutView | null {
  const other = view.areas.find((a) => a.kind === (area.kind === 'back' ? 'face' : 'back'));
  return other ? cutFaceView(other, view.areas, view.wholes, lies, line) : null;
}

/** Films that are poured when a coat below them has freed the dams. */
function freedFilms(coats: readonly Coat[]): ReadonlySet<string> {
  const first = Math.min(...coats.filter((c) => c.freesDams).map((c) => c.order));
  return new Set(coats.filter((c) => c.order > first).map((c) => c.id));
}

/** Drawn lines that a cut meets, each on what lies below it there. */
function beadsOn(
  cut: FaceCutView,
  { areas, coats, layers }: PieceView,
  laid: readonly Coat[],
  line: CutLine,
): SectionBead[] {
  return laid.flatMap((coat) => {
    if (!coat.line) return [];
    const below = beneath(coat, areas, laid, layers);
    const bottomM = Math.max(0, ...coat.areaIds.map((id) => below.get(id)?.surfaceM ?? 0));
    const { points, closed, widthM } = coat.line;
    return pathCrossings(points, closed, line).map((at) => ({
      ...{ id: coat.id, name: coat.name, widthM, bottomM, heightM: coat.thicknessM },
      atM: at - cut.fromM,
      state: coats.find((c) => c.coat.id === coat.id)?.state ?? ('planned' as const),
    }));
  });
}

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
  const ground = shownGround(selected);
  const area = shownArea(selected, ground);
  if (!area) return null;
  const { free, edited, setDraftM, commit } = edit;
  const laid = view.coats.map((c) => (c.coat.id === coat.id ? edited.coat : c.coat));
  const lies = buildUp(view.areas, laid, view.layers);
  const films = lies.get(area.id)?.films ?? [];
  const other = otherSide(area, view, lies, line);
  const cut = cutFaceView(area, view.areas, view.wholes, lies, line);
  const tilt = view.piece.level?.tilt ?? { alongX: 0, alongY: 0 };
  const slope = Math.hypot(tilt.alongX, tilt.alongY) || 1;
  const input = ledgerInputOf(edited);
  const [under] = input.areas;
  const over: FilmOver = {
    ...(under
      ? filmOver(under, input)
      : { thicknessM: input.thicknessM, wedgeM: 0, bellyMeanM: 0 }),
    downhill: [-tilt.alongX / slope, -tilt.alongY / slope],
  };
  return (
    <>
      <Panel>
        <Scroller label="Section" least={600}>
          <SectionDrawing
            area={view.wholes.find((w) => w.id === area.partOf) ?? area}
            support={view.piece.support}
            line={line}
            cut={cut}
            side={area.kind === 'back' ? 'back' : 'face'}
            beneath={other}
            freed={freedFilms(laid)}
            beads={beadsOn(cut, view, laid, line)}
            told={films.map((f) => f.coat.id)}
            layerNames={new Map(view.layers.map((l) => [l.id, l.name]))}
            laminae={[...laminaeOf(cut, view), ...(other ? laminaeOf(other, view) : [])]}
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
        </Scroller>
      </Panel>
      <Flex gap="4" align="stretch" wrap="wrap">
        <Box flex="3 1 300px" minW="0">
          <ThicknessMap
            area={ground ?? area}
            state={field}
            over={over}
            coverage={coat.coverage}
            drawn={coat.line}
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
