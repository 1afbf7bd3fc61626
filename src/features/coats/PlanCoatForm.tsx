'use client';
import { Box, chakra, Flex, Grid } from '@chakra-ui/react';
import Link from 'next/link';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { DEFAULT_REST_S } from '@/core/coat';
import { useAct, useShop } from '@/data/hooks';
import { COAT_KINDS, type Area } from '@/data/records/types';
import { planCoat } from '@/data/repos/bench';
import type { PieceView } from '@/features/common/coatView';
import { resolverOf } from '@/features/common/formErrors';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { readCoat, type CoatDraft } from './model';

interface Props {
  readonly view: PieceView;
  readonly onPlanned: (coatId: string) => void;
  readonly onCancel: (() => void) | null;
}

/** A coat goes on the face, unless there is none. */
const defaultAreas = (areas: readonly Area[]): string[] => {
  const faces = areas.filter((a) => a.kind === 'face');
  return (faces.length > 0 ? faces : areas).map((a) => a.id);
};

interface AreasProps {
  readonly areas: readonly Area[];
  readonly chosen: readonly string[];
  readonly onChange: (ids: string[]) => void;
}

/** Which areas the coat covers, when there is a choice. */
function CoveredAreas({ areas, chosen, onChange }: AreasProps) {
  if (areas.length < 2) return null;
  return (
    <Box as="fieldset" mt="3">
      <chakra.legend fontSize="sm" fontWeight="600">
        On which areas
      </chakra.legend>
      <Flex gap="4" wrap="wrap">
        {areas.map((a) => (
          <chakra.label key={a.id} display="flex" gap="2" alignItems="center" minH="32px">
            <chakra.input
              type="checkbox"
              width="20px"
              height="20px"
              checked={chosen.includes(a.id)}
              onChange={(e) =>
                onChange(e.target.checked ? [...chosen, a.id] : chosen.filter((id) => id !== a.id))
              }
            />
            {a.name}
          </chakra.label>
        ))}
      </Flex>
      {chosen.length === 0 && (
        <Box role="alert" fontSize="sm" color="oxide" fontWeight="600">
          Choose at least one area.
        </Box>
      )}
    </Box>
  );
}

/** Plans the next coat on top of those there are. */
export function PlanCoatForm({ view, onPlanned, onCancel }: Props) {
  const { resins, settings } = useShop();
  const act = useAct();
  const format = useFormat();
  const floods = view.coats.filter((c) => c.coat.kind === 'flood').length;
  const { register, handleSubmit, getValues, formState } = useForm<CoatDraft>({
    defaultValues: {
      name: `Flood ${floods + 1}`,
      kind: 'flood',
      resinId: view.top?.resin.id ?? resins[0]?.id ?? '',
      thickness: format.units === 'us' ? '1/16 in' : '1.6 mm',
    },
    mode: 'onTouched',
    resolver: resolverOf((draft) => readCoat(draft, resins, format)),
  });
  const [areaIds, setAreaIds] = useState(() => defaultAreas(view.areas));
  const save = handleSubmit(async () => {
    if (areaIds.length === 0) return;
    const read = readCoat(getValues(), resins, format);
    if (!read.ok) return;
    const { reserve } = settings;
    const plan = {
      ...read.value,
      pieceId: view.piece.id,
      areaIds,
      restS: DEFAULT_REST_S,
      reserve,
    };
    const outcome = await act(`plan ${plan.name}`, (db, c) => planCoat(db, c, plan), plan);
    if (outcome.ok) onPlanned(outcome.value);
  });
  const error = (field: keyof CoatDraft) => formState.errors[field]?.message;
  if (resins.length === 0)
    return (
      <Panel>
        A coat needs a resin, and there is none yet.{' '}
        <Box asChild fontWeight="600" textDecoration="underline">
          <Link href="/resins/new">Enter its data sheet</Link>
        </Box>
        .
      </Panel>
    );
  return (
    <Panel>
      <form onSubmit={(e) => void save(e)} noValidate>
        <Grid templateColumns="repeat(auto-fit, minmax(170px, 1fr))" gap="4">
          <TextField label="Coat" error={error('name')} {...register('name')} />
          <SelectField label="Kind" options={COAT_KINDS.map((k) => [k, k])} {...register('kind')} />
          <SelectField
            label="Resin"
            error={error('resinId')}
            options={resins.map((r) => [r.id, r.name])}
            {...register('resinId')}
          />
          <TextField
            label="Film thickness"
            hint="A flood with open edges settles near 1.5–2 mm"
            error={error('thickness')}
            {...register('thickness')}
          />
        </Grid>
        <CoveredAreas areas={view.areas} chosen={areaIds} onChange={setAreaIds} />
        <Flex gap="3" mt="4">
          <Button type="submit" variant="ink" disabled={formState.isSubmitting}>
            Plan this coat
          </Button>
          {onCancel && <Button onClick={onCancel}>Not now</Button>}
        </Flex>
      </form>
    </Panel>
  );
}
