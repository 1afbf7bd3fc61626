'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import {
  useDeferredValue,
  useId,
  useMemo,
  useRef,
  type KeyboardEvent,
  type PointerEvent,
} from 'react';
import { extent as extentOf } from '@/core/numeric';
import { pathLength, type FilmOver, type Ground } from '@/core/coat';
import type { DrawnLine } from '@/records';
import { shapeBox, shapeSides, type CutLine, type Point } from '@/core/geometry';
import { Explained } from '@/features/common/Explained';
import { EDGE_STROKE } from '@/features/common/Outline';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { keepLetters } from '@/ui/keepLetters';
import { SvgText } from '@/ui/SvgText';
import { HAND_LINE } from '@/ui/touch';
import { drawMap, MAP, mapScale, type MapDrawing, type MapScale } from './mapModel';
import { mapExplanation, mapWords } from './mapWords';
import type { FieldState } from './useFilmField';

type MapArea = Pick<Ground, 'name' | 'shape' | 'edges' | 'kind' | 'depthM'>;

interface CutProps {
  readonly area: MapArea;
  readonly scale: MapScale;
  readonly line: CutLine;
  readonly onLine: (line: CutLine) => void;
}

/** Extent of an outline across a cut, m. */
function extent(area: MapArea, along: CutLine['along']): readonly [number, number] {
  const k = along === 'x' ? 1 : 0;
  const values = shapeSides(area.shape)
    .flat()
    .map((p) => p[k]);
  const [low, high] = extentOf(values);
  const inset = (high - low) * 0.02;
  return [low + inset, high - inset];
}

/** The line A–A along which the section is cut: dragged, or moved with the arrow keys. */
function CutHandle({ area, scale, line, onLine }: CutProps) {
  const { show } = useFormat();
  const dragging = useRef(false);
  const flat = line.along === 'x';
  const [low, high] = extent(area, line.along);
  const atM = Math.min(high, Math.max(low, line.atM));
  const set = (m: number) => onLine({ ...line, atM: Math.min(high, Math.max(low, m)) });
  const place = flat ? scale.y(atM) : scale.x(atM);
  const move = (event: PointerEvent<SVGGElement>) => {
    const svg = event.currentTarget.ownerSVGElement;
    if (!dragging.current || !svg) return;
    const box = svg.getBoundingClientRect();
    const px = flat
      ? ((event.clientY - box.top) / box.height) * MAP.height
      : ((event.clientX - box.left) / box.width) * MAP.width;
    set(flat ? (scale.y(0) - px) / scale.pxPerM : (px - scale.x(0)) / scale.pxPerM);
  };
  const key = (event: KeyboardEvent<SVGGElement>) => {
    const steps = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[event.key];
    if (steps === undefined) return;
    event.preventDefault();
    set(atM + (steps * (high - low)) / 50);
  };
  const [from, to] = flat ? [4, MAP.width - 4] : [4, MAP.height - 4];
  const d = flat ? `M${from} ${place} H${to}` : `M${place} ${from} V${to}`;
  return (
    <g
      role="slider"
      tabIndex={0}
      aria-label="Where the section is cut"
      aria-orientation={flat ? 'vertical' : 'horizontal'}
      aria-valuemin={Math.round(low * 1000)}
      aria-valuemax={Math.round(high * 1000)}
      aria-valuenow={Math.round(atM * 1000)}
      aria-valuetext={show(atM, 'length').text}
      onKeyDown={key}
      onPointerDown={(e) => {
        dragging.current = true;
        e.currentTarget.setPointerCapture(e.pointerId);
      }}
      onPointerMove={move}
      onPointerUp={() => (dragging.current = false)}
      style={{ cursor: flat ? 'ns-resize' : 'ew-resize', touchAction: 'none' }}
    >
      <path data-hand {...HAND_LINE} d={d} />
      <path
        d={d}
        stroke="var(--bm-colors-oxide)"
        strokeWidth="1.8"
        strokeDasharray="14 4 3 4"
        fill="none"
      />
      {[from + 2, to - 12].map((p) => (
        <SvgText
          key={p}
          x={flat ? p : place + 5}
          y={flat ? place - 5 : p + 10}
          size={14}
          weight={600}
          fill="var(--bm-colors-oxide)"
        >
          A
        </SvgText>
      ))}
    </g>
  );
}

const pathOf = (points: readonly Point[], scale: MapScale): string =>
  `M${points.map(([x, y]) => `${scale.x(x).toFixed(1)} ${scale.y(y).toFixed(1)}`).join('L')}`;

function Edges({ area, scale }: { area: MapArea; scale: MapScale }) {
  return shapeSides(area.shape).map((side, i) => {
    const { dash, width, colour } = EDGE_STROKE[area.edges[i]?.kind ?? 'open'];
    return (
      <polyline
        key={i}
        points={side.map(([x, y]) => `${scale.x(x)},${scale.y(y)}`).join(' ')}
        fill="none"
        stroke={colour}
        strokeWidth={width}
        strokeDasharray={dash}
      />
    );
  });
}

/** The scale of tones, each with the thickness from which it is drawn. */
function Legend({ drawing }: { drawing: MapDrawing }) {
  const { show } = useFormat();
  return (
    <Flex wrap="wrap" gap="2" fontSize="xs" aria-label="Contours">
      {drawing.bands.map((band) => (
        <Flex key={band.fromM} align="center" gap="1">
          <Box
            width="16px"
            height="12px"
            borderWidth="1px"
            borderColor="amberDeep"
            style={{ background: tone(band.tone) }}
          />
          <Figure>{show(band.fromM, 'film').text}</Figure>
        </Flex>
      ))}
    </Flex>
  );
}

const tone = (share: number): string =>
  `color-mix(in srgb, var(--bm-colors-amber) ${Math.round(12 + share * 58)}%, var(--bm-colors-card))`;

interface Props {
  readonly area: MapArea;
  /** How a film lies on the area. */
  readonly state: FieldState;
  readonly over: FilmOver;
  /** Share of the area that the coat covers. */
  readonly coverage: number;
  /** A line that is drawn, for a coat that is one. */
  readonly drawn?: DrawnLine | null;
  /** Only the edges of the area are coated. */
  readonly edgesOnly: boolean;
  readonly line: CutLine;
  readonly onLine: (line: CutLine) => void;
}

/** The coat seen from above: how thick it lies where, and where the section is cut. */
export function ThicknessMap({
  area,
  state,
  over,
  coverage,
  drawn = null,
  edgesOnly,
  line,
  onLine,
}: Props) {
  const { show } = useFormat();
  const clip = useId();
  const settled = useDeferredValue(JSON.stringify(over));
  const scale = useMemo(() => mapScale(area.shape), [area.shape]);
  const drawing = useMemo(
    () =>
      state.is === 'solved' && coverage === 1 && !edgesOnly && !drawn
        ? drawMap(state.field, JSON.parse(settled) as FilmOver, scale)
        : null,
    [state, settled, scale, coverage, edgesOnly, drawn],
  );
  const { widthM, heightM } = shapeBox(area.shape);
  const even = drawing !== null && drawing.bands.length === 0;
  const film = (m: number) => show(m, 'film').text;
  const words = drawn
    ? `A line of ${show(pathLength(drawn), 'length').text}, ${film(drawn.widthM)} wide and ${film(over.thicknessM)} high`
    : edgesOnly
      ? `${film(over.thicknessM)} on the open edges alone`
      : mapWords(area, state, drawing, over, coverage, {
          film,
          share: show(coverage, 'share', 0).text,
        });
  const face = pathOf(shapeSides(area.shape).flat(), scale);
  return (
    <Panel as="section" aria-label="Thickness map">
      <Flex justify="space-between" align="baseline" gap="3" wrap="wrap">
        <Heading as="h2" fontSize="lg">
          From above
        </Heading>
        <Button size="sm" onClick={() => onLine({ along: line.along === 'x' ? 'y' : 'x', atM: 0 })}>
          Cut {line.along === 'x' ? 'from front to back' : 'from side to side'}
        </Button>
      </Flex>
      <svg
        ref={keepLetters}
        viewBox={`0 0 ${MAP.width} ${MAP.height}`}
        width="100%"
        data-drawing="map"
        style={{ maxHeight: 270 }}
        role="group"
        aria-label={`${area.name} from above, ${show(widthM, 'length').text} × ${show(heightM, 'length').text}. ${words}`}
      >
        <clipPath id={clip}>
          <path d={face} />
        </clipPath>
        <path d={face} fill={even ? tone(0.4) : 'var(--bm-colors-card)'} />
        <g clipPath={`url(#${clip})`}>
          {drawing?.bands.map((band) => (
            <path
              key={band.fromM}
              d={band.path}
              fill={tone(band.tone)}
              stroke="var(--bm-colors-amber-deep)"
              strokeWidth="0.8"
            />
          ))}
        </g>
        {drawn && (
          <path
            d={`${pathOf(drawn.points, scale)}${drawn.closed ? 'Z' : ''}`}
            fill="none"
            stroke="var(--bm-colors-amber)"
            strokeWidth={Math.max(3, drawn.widthM * scale.pxPerM)}
            strokeLinejoin="round"
            strokeLinecap="round"
          />
        )}
        <Edges area={area} scale={scale} />
        <CutHandle area={area} scale={scale} line={line} onLine={onLine} />
      </svg>
      <Flex fontSize="sm" justify="space-between" gap="2" wrap="wrap">
        <span role="status">{words}</span>
        {drawing && (
          <Explained explanation={mapExplanation(drawing, over)} quantity="volume">
            <Figure>{show(drawing.volumeM3, 'volume').text}</Figure> a piece
          </Explained>
        )}
      </Flex>
      {drawing && !even && <Legend drawing={drawing} />}
    </Panel>
  );
}
