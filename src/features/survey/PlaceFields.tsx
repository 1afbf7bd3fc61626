'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { bareIssues, measureShape, shapePath, shapeSides } from '@/core/geometry';
import { BOUNDARIES, isWall } from '@/core/piece';
import { EDGE_STROKE } from '@/features/common/Outline';
import { FieldReader } from '@/features/common/fieldReader';
import { newId, type AreaCut } from '@/records';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { Tick } from '@/ui/Tick';
import { cutHere, holeAt, joinBack, joinsTo, setCut, stripLine } from './places';
import { shapeNow } from './readShape';
import { useSurvey } from './SurveyContext';
import { EDGE_WORDS } from './words';

/** A kind of edge as it is drawn. */
export function Swatch({ kind }: { kind: keyof typeof EDGE_STROKE }) {
  const { dash, width, colour } = EDGE_STROKE[kind];
  return (
    <svg width="34" height="10" aria-hidden>
      <path d="M1 5 H33" stroke={colour} strokeWidth={width} strokeDasharray={dash} />
    </svg>
  );
}

/** Cuts by numbers: a line across at a distance, a strip along the edge. For the keyboard, and for what was measured. */
function CutByNumbers() {
  const { draft, index, area, format, edit, select } = useSurvey();
  const [how, setHow] = useState<'upright' | 'level' | 'strip'>('upright');
  const [size, setSize] = useState('');
  const [error, setError] = useState<string>();
  const cut = () => {
    const reader = new FieldReader<'size'>(format);
    const sizeM = reader.quantity('size', size, 'length', { min: 1e-4, max: 10 });
    const shape = shapeNow(area, format);
    setError(reader.errors.size);
    if (!reader.sound || !shape) return;
    const [x, y] = area.at;
    const points = shapeSides(shape).flat();
    const [left, right] = [
      Math.min(...points.map((p) => p[0])),
      Math.max(...points.map((p) => p[0])),
    ];
    const [low, high] = [
      Math.min(...points.map((p) => p[1])),
      Math.max(...points.map((p) => p[1])),
    ];
    const line =
      how === 'strip'
        ? stripLine(shape, area.at, sizeM)
        : how === 'upright'
          ? {
              closed: false,
              points: [
                [x + left + sizeM, y + high + 0.01] as const,
                [x + left + sizeM, y + low - 0.01] as const,
              ],
            }
          : {
              closed: false,
              points: [
                [x + left - 0.01, y + low + sizeM] as const,
                [x + right + 0.01, y + low + sizeM] as const,
              ],
            };
    const made = line && cutHere(draft, index, line, format, newId<'area'>);
    if (!made?.ok) return setError(made?.why ?? 'Nothing is left inside so wide a strip.');
    edit(() => made.draft);
    select(made.draft.areas.length - 1);
    setSize('');
  };
  return (
    <Grid templateColumns="1.3fr 1fr auto" gap="2" alignItems="end">
      <SelectField
        label="Cut off"
        value={how}
        options={[
          ['upright', 'from the left'],
          ['level', 'from the bottom'],
          ['strip', 'a strip along the edge'],
        ]}
        onChange={(e) => setHow(e.target.value as typeof how)}
      />
      <TextField
        label={how === 'strip' ? 'Width of the strip' : 'How far in'}
        value={size}
        error={error}
        onChange={(e) => setSize(e.target.value)}
        onKeyDown={(e) => {
          if (e.key !== 'Enter') return;
          e.preventDefault();
          cut();
        }}
      />
      <Button onClick={cut}>Cut</Button>
    </Grid>
  );
}

/** A round hole by its diameter and where its middle lies: it gets no resin. */
function HoleByNumbers() {
  const { area, format, editArea } = useSurvey();
  const [draft, setDraft] = useState({ size: '', left: '', low: '' });
  const [errors, setErrors] = useState<Partial<Record<keyof typeof draft, string>>>({});
  const text = (field: keyof typeof draft) => ({
    value: draft[field],
    error: errors[field],
    onChange: (e: { target: { value: string } }) =>
      setDraft((d) => ({ ...d, [field]: e.target.value })),
    onKeyDown: (e: { key: string; preventDefault: () => void }) => {
      if (e.key !== 'Enter') return;
      e.preventDefault();
      add();
    },
  });
  const add = () => {
    const reader = new FieldReader<keyof typeof draft>(format);
    const read = (field: keyof typeof draft) =>
      reader.quantity(field, draft[field], 'length', { min: 1e-4, max: 10 });
    const [sizeM, leftM, lowM] = [read('size'), read('left'), read('low')];
    const shape = shapeNow(area, format);
    if (reader.sound && shape) {
      const hole = holeAt(shape, sizeM, leftM, lowM);
      if (bareIssues(shapePath(shape), [hole]).length > 0)
        reader.errors.left = 'This hole lies outside the outline.';
      else {
        editArea({ keepBare: [...area.keepBare, hole] });
        setDraft({ size: '', left: '', low: '' });
      }
    }
    setErrors(reader.errors);
  };
  return (
    <Grid templateColumns="1fr 1fr 1fr auto" gap="2" alignItems="end" mt="2">
      <TextField label="Hole across" {...text('size')} />
      <TextField label="From the left" {...text('left')} />
      <TextField label="From below" {...text('low')} />
      <Button onClick={add}>Hole</Button>
    </Grid>
  );
}

/** The places of a face: cut it, name them, say what stands on the cuts. */
export function PlacesOfFace() {
  const { draft, area, format, select } = useSurvey();
  const places = draft.areas.flatMap((a, i) =>
    a.partOf !== null && a.partOf === area.id ? [{ a, i }] : [],
  );
  return (
    <Box as="section" aria-label="Places" borderTopWidth="1px" borderColor="line" pt="2">
      <Box fontFamily="heading" fontWeight="600">
        Places
      </Box>
      <Box fontSize="sm" color="ink2" mb="2">
        {places.length === 0
          ? 'One place. Cut it where part of it is bare, another ground, or coated by itself: with the Cut tool on the plan, or here.'
          : 'Coats, layers, sanding and masks go on the places. Choose one to tell what lies on it.'}
      </Box>
      {places.map(({ a, i }) => {
        const shape = shapeNow(a, format);
        return (
          <Flex key={a.id} justify="space-between" align="baseline" gap="2">
            <Button size="sm" variant="quiet" px="1" onClick={() => select(i)}>
              {a.name}
              {a.bare ? ', stays bare' : ''}
            </Button>
            <Figure fontSize="sm">
              {shape ? format.show(measureShape(shape).areaM2, 'area').text : ''}
            </Figure>
          </Flex>
        );
      })}
      <CutByNumbers />
      {area.cuts.length === 0 && <HoleByNumbers />}
    </Box>
  );
}

/** One place of a face: its name, whether it stays bare, what stands on its boundary, and the way back. */
export function PlaceFields() {
  const { draft, index, area, format, edit, editArea, select, errors, rest } = useSurvey();
  const whole = draft.areas.find((a) => a.id === area.partOf);
  const home = joinsTo(draft, index);
  const mine = whole?.cuts.filter((c) => c.makes === area.id || c.of === area.id) ?? [];
  const at = whole ? draft.areas.indexOf(whole) : -1;
  const other = (cut: AreaCut | (typeof mine)[number]) =>
    draft.areas.find((a) => a.id === (cut.makes === area.id ? cut.of : cut.makes))?.name ?? '';
  return (
    <Flex direction="column" gap="3">
      <TextField
        label="Name of this place"
        value={area.name}
        error={errors[`areas.${index}.name`]}
        onChange={(e) => editArea({ name: e.target.value }, `area ${index} name`)}
        onBlur={rest}
      />
      <Tick checked={area.bare} onTick={(bare) => editArea({ bare })}>
        Stays bare: no coat goes on it
      </Tick>
      {mine.map((cut) => {
        const key = (whole?.cuts ?? []).indexOf(cut);
        return (
          <Box key={cut.makes}>
            <Grid templateColumns={isWall(cut.kind) ? '1.4fr 1fr' : '1fr'} gap="2">
              <SelectField
                label={`Boundary with ${other(cut)}`}
                value={cut.kind}
                options={BOUNDARIES.map((k) => [k, EDGE_WORDS[k]])}
                onChange={(e) =>
                  edit((d) =>
                    setCut(d, cut.makes, { kind: e.target.value as AreaCut['kind'] }, format),
                  )
                }
              />
              {isWall(cut.kind) && (
                <TextField
                  label="Its height"
                  placeholder="as needed"
                  value={cut.wall}
                  error={errors[`areas.${at}.cuts.${key}.wall`]}
                  onChange={(e) =>
                    edit(
                      (d) => setCut(d, cut.makes, { wall: e.target.value }, format),
                      `cut ${cut.makes}`,
                    )
                  }
                  onBlur={rest}
                />
              )}
            </Grid>
          </Box>
        );
      })}
      <CutByNumbers />
      {home && (
        <Button
          size="sm"
          alignSelf="start"
          onClick={() => {
            edit((d) => joinBack(d, index, format));
            select(Math.max(0, at));
          }}
        >
          Join it back to {home.name}
        </Button>
      )}
    </Flex>
  );
}
