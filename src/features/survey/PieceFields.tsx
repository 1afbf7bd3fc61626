'use client';
import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import { SHAPE_KINDS } from '@/core/geometry';
import { type Support, SUPPORTS } from '@/core/piece';
import { SelectField } from '@/ui/SelectField';
import { TextAreaField, TextField } from '@/ui/TextField';
import { Tick } from '@/ui/Tick';
import { PlaceFields, PlacesOfFace } from './PlaceFields';
import { DrawingImport } from './DrawingImport';
import { withSupport, type AreaDraft, type SurveyDraft } from './draft';
import { useSurvey } from './SurveyContext';
import { hasHeight, SHAPE_LABEL, WIDTH_LABEL } from './words';

/** Props of a text field of the chosen area. */
export function useAreaField() {
  const { area, index, editArea, errors, rest } = useSurvey();
  return (field: 'width' | 'height' | 'radius' | 'sides' | 'edgeHeight' | 'depth' | 'name') => ({
    value: area[field],
    error: errors[`areas.${index}.${field}`],
    onChange: (e: { target: { value: string } }) =>
      editArea({ [field]: e.target.value }, `area ${index} ${field}`),
    onBlur: rest,
  });
}

function ShapeFields() {
  const { area, editArea, format } = useSurvey();
  const field = useAreaField();
  const hint = format.units === 'us' ? 'Inches if you write no unit' : 'mm if you write no unit';
  return (
    <Grid templateColumns="1fr 1fr" gap="3">
      <Box gridColumn="1 / -1">
        <SelectField
          label={area.kind === 'face' ? 'Shape of the face' : `Shape of ${area.name}`}
          options={SHAPE_KINDS.map((k) => [k, SHAPE_LABEL[k]])}
          value={area.shape}
          onChange={(e) =>
            editArea({ shape: e.target.value as AreaDraft['shape'], measured: { by: 'rule' } })
          }
        />
      </Box>
      {area.shape === 'outline' ? (
        <Box gridColumn="1 / -1">
          <DrawingImport />
        </Box>
      ) : (
        <TextField label={WIDTH_LABEL[area.shape]} hint={hint} {...field('width')} />
      )}
      {hasHeight(area.shape) && <TextField label="Height" {...field('height')} />}
      {area.shape === 'roundedRectangle' && (
        <TextField label="Corner radius" {...field('radius')} />
      )}
      {area.shape === 'regularPolygon' && (
        <>
          <TextField label="Sides" inputMode="numeric" {...field('sides')} />
          <SelectField
            label="Measured across"
            value={area.across}
            options={[
              ['flats', 'flats'],
              ['corners', 'corners'],
            ]}
            onChange={(e) => editArea({ across: e.target.value as AreaDraft['across'] })}
          />
        </>
      )}
      <TextField label="Edge thickness" {...field('edgeHeight')} />
      {area.kind === 'recess' && <TextField label="Depth" {...field('depth')} />}
    </Grid>
  );
}

const USES: readonly (readonly [keyof SurveyDraft['use'], string])[] = [
  ['hotCups', 'Hot cups'],
  ['food', 'Food contact'],
  ['daylight', 'Daylight'],
];

/** What the piece is, how many, and the shape of the chosen area. */
export function PieceFields() {
  const { draft, edit, errors, area, rest } = useSurvey();
  const field = useAreaField();
  const set = (key: 'name' | 'count' | 'note' | 'job' | 'due') => ({
    value: draft[key],
    error: errors[key],
    onChange: (e: { target: { value: string } }) =>
      edit((d) => ({ ...d, [key]: e.target.value }), key),
    onBlur: rest,
  });
  return (
    <Flex direction="column" gap="3">
      <TextField label="Name" {...set('name')} />
      <Grid templateColumns="1fr 1fr" gap="3">
        <TextField label="How many alike" inputMode="numeric" {...set('count')} />
        <SelectField
          label="Support"
          options={SUPPORTS.map((s) => [s, s])}
          value={draft.support}
          onChange={(e) => edit((d) => withSupport(d, e.target.value as Support))}
        />
      </Grid>
      {area.kind !== 'face' && area.partOf === null && (
        <TextField label="Name of this area" {...field('name')} />
      )}
      {area.partOf === null ? <ShapeFields /> : <PlaceFields />}
      {area.partOf === null && area.kind !== 'edge band' && <PlacesOfFace />}
      <Box as="fieldset">
        <chakra.legend fontSize="sm" fontWeight="600">
          It will meet
        </chakra.legend>
        <Flex gap="4" wrap="wrap">
          {USES.map(([key, label]) => (
            <Tick
              key={key}
              checked={draft.use[key]}
              onTick={(met) => edit((d) => ({ ...d, use: { ...d.use, [key]: met } }))}
            >
              {label}
            </Tick>
          ))}
        </Flex>
        {(draft.use.food || draft.use.hotCups) && (
          <Box fontSize="sm" color="ink2">
            {draft.use.food &&
              'Only a resin that its maker declares for food contact, fully cured; local food-contact rules go first. '}
            {draft.use.hotCups && 'Only a heat-rated resin: a hot cup sticks to others.'}
          </Box>
        )}
      </Box>
      <Grid templateColumns="1fr 1fr" gap="3">
        <TextField label="Job" hint="What it is part of" {...set('job')} />
        <TextField label="Due" placeholder="24 Dec 2026" {...set('due')} />
      </Grid>
      <TextAreaField label="Note" rows={2} {...set('note')} />
    </Flex>
  );
}
