'use client';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useWatch, type UseFormReturn } from 'react-hook-form';
import { DRAWING_UNITS, type DrawingRead } from '@/core/exchange/drawing';
import { outlineFromDrawing } from '@/core/exchange/outlineFromDrawing';
import { formatQuantity } from '@/core/units';
import { Outline } from '@/features/common/Outline';
import { FieldRow } from '@/ui/FieldRow';
import { SelectField } from '@/ui/SelectField';
import { computeClient } from '@/workers/client';
import { drawingTrouble, fitEdges, sideCount, type SurveyDraft } from './model';

interface Chosen {
  readonly read: DrawingRead;
  readonly outer: number;
  readonly bare: readonly number[];
  readonly unitM: number;
}

/** Reads the file in the worker: SVG or DXF, by its first words. */
async function readDrawing(file: File): Promise<DrawingRead> {
  const { size } = file;
  if (size > 20_000_000) throw new Error('This file is over 20 MB: no outline needs that much.');
  const text = await file.text();
  const result = /<svg[\s>]/i.test(text.slice(0, 5000))
    ? await computeClient().compute('readSvg', { text })
    : await computeClient().compute('readDxf', { text });
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

function Shapes({ chosen, onChange }: { chosen: Chosen; onChange: (next: Chosen) => void }) {
  const { read, outer, bare, unitM } = chosen;
  const toggle = (i: number) =>
    onChange({ ...chosen, bare: bare.includes(i) ? bare.filter((b) => b !== i) : [...bare, i] });
  return (
    <chakra.table width="100%" fontSize="sm">
      <thead>
        <chakra.tr textAlign="left">
          <chakra.th fontWeight="500">Found</chakra.th>
          <chakra.th fontWeight="500">Area</chakra.th>
          <chakra.th fontWeight="500">Outline</chakra.th>
          <chakra.th fontWeight="500">Stays bare</chakra.th>
        </chakra.tr>
      </thead>
      <tbody>
        {read.shapes.slice(0, 40).map((shape, i) => (
          <chakra.tr key={i} borderTopWidth="1px" borderColor="line" height="40px">
            <chakra.td>
              <Flex gap="2" align="center">
                {shape.closed && (
                  <Outline shape={{ kind: 'outline', outer: shape.path, keepBare: [] }} size={30} />
                )}
                {shape.name}
              </Flex>
            </chakra.td>
            <td>
              {shape.closed
                ? formatQuantity(shape.area * unitM ** 2, 'area', 'metric').text
                : 'open, not usable'}
            </td>
            <td>
              <chakra.input
                type="radio"
                name="outer"
                width="22px"
                height="22px"
                disabled={!shape.closed}
                checked={i === outer}
                aria-label={`${shape.name} is the outline`}
                onChange={() =>
                  onChange({ ...chosen, outer: i, bare: bare.filter((b) => b !== i) })
                }
              />
            </td>
            <td>
              <chakra.input
                type="checkbox"
                width="22px"
                height="22px"
                disabled={!shape.closed || i === outer}
                checked={bare.includes(i)}
                aria-label={`${shape.name} stays bare`}
                onChange={() => toggle(i)}
              />
            </td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}

interface Props {
  readonly form: UseFormReturn<SurveyDraft>;
  readonly error: string | undefined;
}

/** Takes an outline from an SVG or DXF file: choose which shape is the piece and which stay bare. */
export function DrawingImport({ form, error }: Props) {
  const [chosen, setChosen] = useState<Chosen | null>(null);
  const [trouble, setTrouble] = useState<string>();
  const kept = useWatch({ control: form.control, name: 'outline' }) !== null;
  const apply = (next: Chosen) => {
    setChosen(next);
    const made = outlineFromDrawing(next.read.shapes, next.outer, next.bare, next.unitM);
    setTrouble(made.ok ? undefined : drawingTrouble(made.issues[0]));
    const outline = made.ok ? made.value : null;
    form.setValue('outline', outline, { shouldDirty: true, shouldValidate: made.ok });
    const sides = sideCount({ shape: 'outline', sides: '', outline });
    form.setValue('edgeKinds', fitEdges(form.getValues('edgeKinds'), sides));
  };
  const pick = async (file: File | undefined) => {
    setTrouble(undefined);
    if (!file) return;
    try {
      const read = await readDrawing(file);
      apply({ read, outer: largest(read), bare: [], unitM: read.unitM ?? 1e-3 });
    } catch (e) {
      setTrouble(e instanceof Error ? drawingTrouble(e) : String(e));
    }
  };
  return (
    <Box display="flex" flexDirection="column" gap="3">
      <FieldRow
        label="Drawing file"
        hint={`SVG or DXF. Nothing in it is run or fetched.${kept ? ' The outline is kept until another file is chosen.' : ''}`}
        error={trouble ?? error}
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
