'use client';
import { Box, chakra } from '@chakra-ui/react';
import { useState } from 'react';
import {
  pathBox,
  setSegmentLength,
  shapeBox,
  stretchPath,
  walk,
  type Outline,
  type Path,
  type Point,
  type Shape,
} from '@/core/geometry';
import { editText, parseQuantity } from '@/core/units';
import { useSurvey } from '../SurveyContext';
import { usePlan } from './planView';
import { FINGER_ROUND } from '@/ui/touch';

interface LabelProps {
  readonly at: Point;
  readonly name: string;
  readonly lengthM: number;
  /** Words in front of the length. */
  readonly prefix?: string;
  readonly onSet: (lengthM: number, text: string) => void;
}

const MOST_LABELS = 14;
const LEAST_PX = 46;

/** A length on the plan; click it and type another. */
function Label({ at, name, lengthM, prefix = '', onSet }: LabelProps) {
  const { format } = useSurvey();
  const [text, setText] = useState<string | null>(null);
  const [wrong, setWrong] = useState(false);
  const box = {
    position: 'absolute',
    left: `${at[0]}px`,
    top: `${at[1]}px`,
    transform: 'translate(-50%, -50%)',
    fontFamily: 'mono',
    fontSize: '13px',
    minH: '26px',
  } as const;
  if (text === null)
    return (
      <chakra.button
        {...box}
        type="button"
        aria-label={`${name}: ${format.show(lengthM, 'length').text}; type another`}
        bg="card"
        color="ink"
        px="1"
        cursor="text"
        borderBottomWidth="1.5px"
        borderStyle="dotted"
        borderColor="ink3"
        whiteSpace="nowrap"
        _focusVisible={{ outline: '3px solid', outlineColor: 'focus' }}
        css={{ ...FINGER_ROUND, position: 'absolute' }}
        onClick={() => setText(editText(lengthM, format.typed('length')))}
      >
        {prefix}
        {format.show(lengthM, 'length').text}
      </chakra.button>
    );
  const take = () => {
    const read = parseQuantity(text, 'length', format.typed('length'), { min: 1e-3, max: 10 });
    setWrong(!read.ok);
    if (!read.ok) return;
    onSet(read.value, text);
    setText(null);
  };
  return (
    <Box {...box} zIndex="1">
      <chakra.input
        aria-label={name}
        aria-invalid={wrong || undefined}
        title={wrong ? 'A length from 1 mm to 10 m, for example 30 cm or 12 in' : undefined}
        ref={(el: HTMLInputElement | null) => el?.focus()}
        value={text}
        width="96px"
        bg="card"
        px="1"
        minH="26px"
        borderWidth="2px"
        borderColor={wrong ? 'oxide' : 'amber'}
        onChange={(e) => setText(e.target.value)}
        onBlur={() => setText(null)}
        onKeyDown={(e) => {
          if (e.key === 'Enter') {
            e.preventDefault();
            take();
          }
          if (e.key === 'Escape') setText(null);
        }}
      />
      {wrong && (
        <Box role="alert" bg="card" color="oxide" fontSize="xs" px="1">
          A length, like 30 cm
        </Box>
      )}
    </Box>
  );
}

function OutlineLabels({
  path,
  at,
  onChange,
}: {
  path: Path;
  at: Point;
  onChange: (p: Path) => void;
}) {
  const { onScreen } = usePlan();
  const sides = [...walk(path)].flatMap(({ from, segment }, i) => {
    if (segment.kind !== 'line') return [];
    const out = (p: Point) => onScreen([p[0] + at[0], p[1] + at[1]]);
    const [a, b] = [out(from), out(segment.to)];
    const px = Math.hypot(b[0] - a[0], b[1] - a[1]);
    const lengthM = Math.hypot(segment.to[0] - from[0], segment.to[1] - from[1]);
    // The outline runs anticlockwise: outside is to the right, which on the screen is (dy, −dx) turned up.
    const away: Point = [-(b[1] - a[1]) / (px || 1), (b[0] - a[0]) / (px || 1)];
    const place: Point = [(a[0] + b[0]) / 2 + away[0] * 46, (a[1] + b[1]) / 2 + away[1] * 22];
    return px >= LEAST_PX ? [{ i, px, lengthM, place }] : [];
  });
  return [...sides]
    .sort((p, q) => q.px - p.px)
    .slice(0, MOST_LABELS)
    .map(({ i, lengthM, place }) => (
      <Label
        key={i}
        at={place}
        name={`Length of stretch ${i + 1}`}
        lengthM={lengthM}
        onSet={(m) => onChange(setSegmentLength(path, i, m))}
      />
    ));
}

/** Width and height over all of a free outline; another one stretches it, with its bare parts. */
function OverallLabels({ shape }: { shape: Outline }) {
  const { editArea } = useSurvey();
  const { widthM, heightM, middle } = pathBox(shape.outer);
  const stretch = (factors: Point) =>
    editArea({
      outline: stretchPath(shape.outer, middle, factors),
      keepBare: shape.keepBare.map((bare) => stretchPath(bare, middle, factors)),
    });
  return (
    <>
      <Label
        at={[64, 20]}
        name="Width over all"
        lengthM={widthM}
        prefix="↔ "
        onSet={(m) => stretch([m / widthM, 1])}
      />
      <Label
        at={[172, 20]}
        name="Height over all"
        lengthM={heightM}
        prefix="↕ "
        onSet={(m) => stretch([1, m / heightM])}
      />
    </>
  );
}

/** The lengths of the chosen area, each to be typed into. */
export function Dimensions({
  shape,
  at,
  onChange,
}: {
  shape: Shape;
  at: Point;
  onChange: (p: Path) => void;
}) {
  const { onScreen } = usePlan();
  const { editArea } = useSurvey();
  if (shape.kind === 'outline')
    return (
      <>
        <OutlineLabels path={shape.outer} at={at} onChange={onChange} />
        <OverallLabels shape={shape} />
      </>
    );
  const box = shapeBox(shape);
  const [left, top] = onScreen([at[0] - box.widthM / 2, at[1] + box.heightM / 2]);
  const [right, bottom] = onScreen([at[0] + box.widthM / 2, at[1] - box.heightM / 2]);
  const across =
    shape.kind === 'disc'
      ? shape.diameterM
      : shape.kind === 'regularPolygon'
        ? shape.sizeM
        : shape.widthM;
  return (
    <>
      <Label
        at={[(left + right) / 2, bottom + 24]}
        name={shape.kind === 'disc' ? 'Diameter on the plan' : 'Width on the plan'}
        lengthM={across}
        prefix={
          shape.kind === 'regularPolygon'
            ? `across ${shape.across} `
            : shape.kind === 'disc'
              ? '⌀ '
              : ''
        }
        onSet={(_, text) => editArea({ width: text })}
      />
      {'heightM' in shape && (
        <Label
          at={[left - 40, (top + bottom) / 2]}
          name="Height on the plan"
          lengthM={shape.heightM}
          onSet={(_, text) => editArea({ height: text })}
        />
      )}
    </>
  );
}
