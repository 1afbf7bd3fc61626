'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useForm, useWatch, type UseFormReturn } from 'react-hook-form';
import { SHAPE_KINDS } from '@/core/geometry';
import { SUPPORTS } from '@/data/records/types';
import type { Survey } from '@/data/repos/bench';
import { resolverOf } from '@/features/common/formErrors';
import { useFormat } from '@/features/common/useFormat';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextAreaField, TextField } from '@/ui/TextField';
import { DrawingImport } from './DrawingImport';
import { EdgeKinds } from './EdgeKinds';
import { hasHeight, readSurvey, SHAPE_LABEL, WIDTH_LABEL, type SurveyDraft } from './model';
import { SurveyPreview } from './SurveyPreview';
import { Button } from '@/ui/Button';

interface Props {
  readonly initial: SurveyDraft;
  readonly submit: string;
  readonly onSubmit: (survey: Survey) => Promise<void>;
}

function ShapeFields({ form }: { form: UseFormReturn<SurveyDraft> }) {
  const { units } = useFormat();
  const { register, control, formState } = form;
  const kind = useWatch({ control, name: 'shape' });
  const error = (field: keyof SurveyDraft) => formState.errors[field]?.message;
  const hint = units === 'us' ? 'Inches if you write no unit' : 'mm if you write no unit';
  return (
    <Grid templateColumns="1fr 1fr" gap="4">
      <Box gridColumn="1 / -1">
        <SelectField
          label="Shape of the face"
          options={SHAPE_KINDS.map((k) => [k, SHAPE_LABEL[k]])}
          {...register('shape')}
        />
      </Box>
      {kind === 'outline' ? (
        <Box gridColumn="1 / -1">
          <DrawingImport form={form} error={error('outline')} />
        </Box>
      ) : (
        <TextField
          label={WIDTH_LABEL[kind]}
          hint={hint}
          error={error('width')}
          {...register('width')}
        />
      )}
      {hasHeight(kind) && (
        <TextField label="Height" error={error('height')} {...register('height')} />
      )}
      {kind === 'roundedRectangle' && (
        <TextField label="Corner radius" error={error('radius')} {...register('radius')} />
      )}
      {kind === 'regularPolygon' && (
        <>
          <TextField
            label="Sides"
            inputMode="numeric"
            error={error('sides')}
            {...register('sides')}
          />
          <SelectField
            label="Measured across"
            options={[
              ['flats', 'flats (side to side)'],
              ['corners', 'corners (tip to tip)'],
            ]}
            {...register('across')}
          />
        </>
      )}
      <TextField label="Edge thickness" error={error('edgeHeight')} {...register('edgeHeight')} />
    </Grid>
  );
}

/** Survey of a piece with one face: what it is, how big, how many, and what each edge does. */
export function SurveyForm({ initial, submit, onSubmit }: Props) {
  const format = useFormat();
  const form = useForm<SurveyDraft>({
    defaultValues: initial,
    mode: 'onTouched',
    resolver: resolverOf((draft) => readSurvey(draft, format)),
  });
  const { register, control, handleSubmit, formState } = form;
  const draft = useWatch({ control }) as SurveyDraft;
  // The outline shows as soon as it is known, with or without a name.
  const shown = { ...initial, ...draft };
  const read = readSurvey({ ...shown, name: shown.name.trim() || 'the piece' }, format);
  const save = handleSubmit(async () => {
    const final = readSurvey(form.getValues(), format);
    if (final.ok) await onSubmit(final.value);
  });
  return (
    <form onSubmit={(e) => void save(e)} noValidate>
      <Grid templateColumns={{ base: '1fr', lg: 'minmax(420px, 5fr) 6fr' }} gap="5">
        <Panel display="flex" flexDirection="column" gap="4">
          <TextField label="Name" error={formState.errors.name?.message} {...register('name')} />
          <Grid templateColumns="1fr 1fr" gap="4">
            <TextField
              label="How many alike"
              inputMode="numeric"
              error={formState.errors.count?.message}
              {...register('count')}
            />
            <SelectField
              label="Support"
              options={SUPPORTS.map((s) => [s, s])}
              {...register('support')}
            />
          </Grid>
          <ShapeFields form={form} />
          <TextAreaField label="Note" {...register('note')} />
          <Flex justify="flex-end">
            <Button type="submit" variant="ink" disabled={formState.isSubmitting}>
              {submit}
            </Button>
          </Flex>
        </Panel>
        <Panel>
          <SurveyPreview survey={read.ok ? read.value : null} />
          <EdgeKinds form={form} />
        </Panel>
      </Grid>
    </form>
  );
}
