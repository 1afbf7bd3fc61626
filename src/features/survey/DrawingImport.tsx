'use client';
import { asId, newId } from '@/records';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { DRAWING_LIMITS, DRAWING_UNITS, type DrawingRead } from '@/core/exchange/drawing';
import { outlineFromDrawing, type DrawnOutline } from '@/core/exchange/outlineFromDrawing';
import { formatQuantity } from '@/core/units';
import { Outline } from '@/features/common/Outline';
import type { Format } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { FINGER } from '@/ui/touch';
import { FieldRow } from '@/ui/FieldRow';
import { SelectField } from '@/ui/SelectField';
import { fileClient } from '@/workers/client';
import { drawingTrouble } from './readSurvey';
import { emptyArea, emptyEdge, fitEdges, sideCount, type AreaDraft } from './draft';
import { useSurvey } from './SurveyContext';

interface Chosen {
  readonly read: DrawingRead;
  readonly outer: number;
  readonly bare: readonly number[];
  readonly recess: readonly number[];
  /** Other faces of the set. */
  readonly also: readonly number[];
  readonly unitM: number;
}

/** Reads the file in the worker: a text that begins like XML as SVG, any other as DXF. */
async function readDrawing(file: File, signal: AbortSignal): Promise<DrawingRead> {
  if (file.size > DRAWING_LIMITS.characters)
    throw new Error('This file is over 6 MB: no outline needs that much.');
  const text = await file.text();
  const name = /^\uFEFF?\s*</.test(text) ? 'readSvg' : 'readDxf';
  const result = await fileClient().run(name, { text }, { signal });
  if (!result.shapes.some((s) => s.closed))
    throw new Error('No closed shape was found in this file.');
  return result;
}

const largest = ({ shapes }: DrawingRead): number =>
  shapes.reduce(
    (best, s, i) =>
      s.closed && s.area > (shapes[best]?.closed ? shapes[best].area : 0) ? i : best,
    0,
  );

type Role = 'outline' | 'also' | 'bare' | 'recess' | 'none';
const ROLES: readonly (readonly [Role, string])[] = [
  ['outline', 'the outline'],
  ['also', 'another face of the set'],
  ['bare', 'stays bare'],
  ['recess', 'a recess'],
  ['none', 'not used'],
];

const LISTS = ['bare', 'recess', 'also'] as const;

const roleOf = (chosen: Chosen, i: number): Role =>
  i === chosen.outer ? 'outline' : (LISTS.find((list) => chosen[list].includes(i)) ?? 'none');

/** Gives a shape its part; the outline stays one. */
function withRole(chosen: Chosen, i: number, role: Role): Chosen {
  const list = (name: (typeof LISTS)[number]) => {
    const others = chosen[name].filter((n) => n !== i);
    return role === name && i !== chosen.outer ? [...others, i] : others;
  };
  return {
    ...chosen,
    outer: role === 'outline' ? i : chosen.outer,
    ...{ bare: list('bare'), recess: list('recess'), also: list('also') },
  };
}

function Shapes({ chosen, onChange }: { chosen: Chosen; onChange: (next: Chosen) => void }) {
  const { read, unitM } = chosen;
  return (
    <Box
      as="ul"
      listStyleType="none"
      maxH="260px"
      overflowY="auto"
      borderTopWidth="1px"
      borderColor="line"
    >
      {read.shapes.slice(0, 60).map((shape, i) => (
        <Flex
          as="li"
          key={i}
          gap="2"
          align="center"
          py="1"
          borderBottomWidth="1px"
          borderColor="line"
        >
          <Box width="34px" flexShrink={0}>
            {shape.closed && (
              <Outline shape={{ kind: 'outline', outer: shape.path, keepBare: [] }} size={30} />
            )}
          </Box>
          <Box flex="1" minW="0" fontSize="sm">
            <Box truncate>{shape.name}</Box>
            <Box color="ink2" fontSize="xs">
              {shape.closed
                ? formatQuantity(shape.area * unitM ** 2, 'area', 'metric').text
                : 'open, not usable'}
            </Box>
          </Box>
          {shape.closed && (
            <chakra.select
              aria-label={`What ${shape.name} is`}
              value={roleOf(chosen, i)}
              minH="34px"
              css={FINGER}
              bg="card"
              borderWidth="1px"
              borderColor="ink3"
              fontSize="sm"
              onChange={(e) => onChange(withRole(chosen, i, e.target.value as Role))}
            >
              {ROLES.map(([role, label]) => (
                <option key={role} value={role}>
                  {label}
                </option>
              ))}
            </chakra.select>
          )}
        </Flex>
      ))}
    </Box>
  );
}

/** Areas of their own: recesses, and other faces of the set, which are like the first but for their outline. */
function partsOf(
  { recesses, faces }: Pick<DrawnOutline, 'recesses' | 'faces'>,
  area: AreaDraft,
  format: Format,
): AreaDraft[] {
  return [
    ...recesses.map(({ path, at }, i) => ({
      ...emptyArea(format, 'recess'),
      ...{ porosity: area.porosity, surface: area.surface },
      id: asId<'area'>(`drawn-${newId()}`),
      name: `Recess ${i + 1}`,
      shape: 'outline' as const,
      outline: path,
      at,
      edges: [emptyEdge('own rim')],
      measured: { by: 'drawing' as const },
    })),
    ...faces.map(({ path, at }, i): AreaDraft => {
      const like: AreaDraft = {
        ...area,
        ...{ id: asId<'area'>(`drawn-${newId()}`), name: `${area.name} ${i + 2}` },
        ...{ shape: 'outline', outline: path, at, keepBare: [], cuts: [], partOf: null },
        measured: { by: 'drawing' },
      };
      return { ...like, edges: fitEdges([emptyEdge('open')], sideCount(like)) };
    }),
  ];
}

interface Reading {
  readonly name: string;
  readonly stop: AbortController;
}

/** Takes an outline from an SVG or DXF file: choose which shape is the piece, which stay bare or are recesses. */
export function DrawingImport() {
  const { area, index, edit, editArea, errors, format } = useSurvey();
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [trouble, setTrouble] = useState<string>();
  const [reading, setReading] = useState<Reading | null>(null);
  const kept = area.outline !== null;
  const apply = (next: Chosen) => {
    setChosen(next);
    const made = outlineFromDrawing(next.read.shapes, next, next.unitM);
    setTrouble(made.ok ? undefined : drawingTrouble(made.issues[0]));
    if (!made.ok) return;
    const { outline, movedM } = made.value;
    if (movedM > 0)
      setTrouble(
        `Too many points to edit: thinned, the outline moved by at most ${format.show(movedM, 'film').text}.`,
      );
    editArea({ outline: outline.outer, keepBare: outline.keepBare, measured: { by: 'drawing' } });
    const parts = ({ recess, also }: Pick<Chosen, 'recess' | 'also'>) =>
      recess.length + also.length;
    if (parts(next) === 0 && (!chosen || parts(chosen) === 0)) return;
    edit((d) => ({
      ...d,
      areas: [
        ...d.areas.filter((a) => !a.id?.startsWith('drawn-')),
        ...partsOf(made.value, area, format),
      ],
    }));
  };
  const pick = async (file: File | undefined) => {
    setTrouble(undefined);
    if (!file) return;
    // What was read before is gone, so that nothing is chosen in the wrong file.
    setChosen(null);
    reading?.stop.abort();
    const stop = new AbortController();
    setReading({ name: file.name, stop });
    try {
      const read = await readDrawing(file, stop.signal);
      apply({
        read,
        outer: largest(read),
        bare: [],
        recess: [],
        also: [],
        unitM: read.unitM ?? 1e-3,
      });
    } catch (e) {
      if (!stop.signal.aborted) setTrouble(e instanceof Error ? drawingTrouble(e) : String(e));
    }
    setReading((now) => (now?.stop === stop ? null : now));
  };
  const error = trouble ?? errors[`areas.${index}.outline`];
  return (
    <Box display="flex" flexDirection="column" gap="3">
      <FieldRow
        label="Drawing file"
        hint={`Or draw it on the plan, or trace a photo. SVG or DXF; nothing in it is run or fetched.${kept ? ' The outline is kept until another is chosen.' : ''}`}
        error={error}
      >
        {(control) => (
          <input
            {...control}
            type="file"
            accept=".svg,.dxf"
            onChange={(e) => void pick(e.target.files?.[0])}
          />
        )}
      </FieldRow>
      {reading && (
        <Flex role="status" align="center" gap="3">
          <Box flex="1">Reading {reading.name} …</Box>
          <Button size="sm" onClick={() => reading.stop.abort()}>
            Cancel
          </Button>
        </Flex>
      )}
      {chosen && chosen.read.unitM === null && (
        <SelectField
          label="One drawing unit is"
          hint="This file does not say its unit"
          value={String(chosen.unitM)}
          options={Object.entries(DRAWING_UNITS).map(([name, m]) => [String(m), `1 ${name}`])}
          onChange={(e) => apply({ ...chosen, unitM: Number(e.target.value) })}
        />
      )}
      {chosen && <Shapes chosen={chosen} onChange={apply} />}
      {chosen && chosen.read.leftOut.length > 0 && (
        <Box fontSize="sm" color="ink2">
          Left out: {chosen.read.leftOut.map((l) => `${l.what} × ${l.count}`).join(', ')}.
        </Box>
      )}
    </Box>
  );
}
