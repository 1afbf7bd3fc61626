'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { useState } from 'react';
import { LAYER_FACTS } from '@/core/coat';
import { LAYER_KINDS, type LayerKind } from '@/core/piece';
import { useAct, type DraftStore, type KeptDraft } from '@/data/hooks';
import { addLayer, changeLayer, removeLayer } from '@/data/repos/layers';
import { asId, type Layer } from '@/records';
import type { PieceView } from '@/shop/coatView';
import { FieldReader } from '@/features/common/fieldReader';
import { useFormat, type Format } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { CoveredAreas } from './CoveredAreas';
import { layerDraft, LAYER_HINT, readLayer, usualLayer, type LayerDraft } from './layers';

interface Props {
  readonly view: PieceView;
  /** Null: a new one. */
  readonly layer: Layer | null;
  /** What was typed of a new one before, and not stored. */
  readonly kept: KeptDraft<LayerDraft> | null;
  readonly store: Pick<DraftStore<LayerDraft>, 'keep' | 'drop'>;
  readonly onDone: () => void;
}

interface FieldsProps {
  readonly view: PieceView;
  readonly layer: Layer | null;
  readonly draft: LayerDraft;
  readonly errors: Readonly<Partial<Record<keyof LayerDraft, string>>>;
  readonly format: Format;
  readonly change: (part: Partial<LayerDraft>) => void;
}

/** What is laid, on what, how high, and how long it dries. */
function LayerFields({ view, layer, draft, errors, format, change }: FieldsProps) {
  const text = (field: 'name' | 'greatest' | 'mean' | 'share' | 'label') => ({
    value: draft[field],
    error: errors[field],
    onChange: (e: { target: { value: string } }) => change({ [field]: e.target.value }),
  });
  const dries = LAYER_FACTS[draft.kind].leaves !== 'nothing';
  return (
    <Grid templateColumns="repeat(auto-fit, minmax(180px, 1fr))" gap="4">
      <SelectField
        label="What is laid"
        value={draft.kind}
        options={LAYER_KINDS.map((k) => [k, k])}
        onChange={(e) => {
          const fresh = usualLayer(e.target.value as LayerKind, view, format);
          // What was said of its place stays.
          change({ ...fresh, areaIds: draft.areaIds, over: draft.over, state: draft.state });
        }}
      />
      <TextField label="Name of the layer" {...text('name')} />
      <SelectField
        label="Lies on"
        value={draft.over}
        options={[
          ['', 'the ground'],
          ...view.coats.map((c) => [c.coat.id, c.coat.name] as [string, string]),
        ]}
        onChange={(e) => change({ over: e.target.value })}
      />
      <TextField label="Greatest height" {...text('greatest')} />
      <TextField label="Mean height" hint="Where it lies" {...text('mean')} />
      <TextField label="Covers" hint="Share of its places" {...text('share')} />
      {dries && <TextField label="Dry by its label" hint="In hours; edit it" {...text('label')} />}
      {!layer && (
        <SelectField
          label="Where it stands"
          value={draft.state}
          options={[
            ['planned', 'to be laid'],
            ['there before', 'was there before'],
          ]}
          onChange={(e) => change({ state: e.target.value as LayerDraft['state'] })}
        />
      )}
    </Grid>
  );
}

/** What is not resin: where it lies, how high it stands, and how long it dries. */
export function LayerForm({ view, layer, kept, store, onDone: close }: Props) {
  const act = useAct();
  const format = useFormat();
  const [draft, setDraft] = useState<LayerDraft>(() =>
    layer ? layerDraft(layer, format) : (kept?.value ?? usualLayer('paste', view, format)),
  );
  const [asked, setAsked] = useState(false);
  const reader = new FieldReader<keyof LayerDraft>(format);
  const read = readLayer(draft, reader);
  const errors = asked ? reader.errors : {};
  const change = (part: Partial<LayerDraft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    if (!layer) store.keep(next);
  };
  const onDone = () => {
    if (!layer) store.drop();
    close();
  };
  const save = async () => {
    setAsked(true);
    if (!read) return;
    const told = { ...read, areaIds: read.areaIds.map((id) => asId<'area'>(id)) };
    const outcome = layer
      ? await act(`change ${told.name}`, (db, c) => changeLayer(db, c, layer.id, told), {
          id: layer.id,
          told,
        })
      : await act(
          `add ${told.name}`,
          (db, c) =>
            addLayer(db, c, { ...told, pieceId: view.piece.id, state: { at: draft.state } }).then(
              () => undefined,
            ),
          told,
        );
    if (outcome.ok) onDone();
  };
  const remove = () =>
    layer &&
    void act(`remove ${layer.name}`, (db, c) => removeLayer(db, c, layer.id), {
      id: layer.id,
    }).then(onDone);
  return (
    <Panel as="section" aria-label={layer ? layer.name : 'New layer'}>
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
        noValidate
      >
        <LayerFields {...{ view, layer, draft, errors, format, change }} />
        <Box fontSize="sm" color="ink2" mt="2">
          {LAYER_HINT[draft.kind]}
        </Box>
        <CoveredAreas
          areas={view.areas}
          chosen={draft.areaIds}
          onChange={(areaIds) => change({ areaIds })}
        />
        <Flex gap="3" mt="4" wrap="wrap">
          <Button type="submit" variant="ink">
            {layer ? 'Save the layer' : 'Add this layer'}
          </Button>
          <Button onClick={onDone}>Not now</Button>
          {layer && <Laid layer={layer} />}
          {layer && (
            <Button variant="quiet" onClick={remove}>
              Take this layer away
            </Button>
          )}
        </Flex>
      </form>
    </Panel>
  );
}

/** A layer is laid, or found dry before its clock says so. */
function Laid({ layer }: { layer: Layer }) {
  const act = useAct();
  const { state } = layer;
  const say = (words: string, next: (nowMs: number) => Layer['state']) =>
    void act(words, (db, c) => changeLayer(db, c, layer.id, { state: next(c.nowMs) }), {
      id: layer.id,
      words,
    });
  if (state.at === 'planned')
    return (
      <Button
        onClick={() => say(`lay ${layer.name}`, (laidMs) => ({ at: 'laid', laidMs, dryMs: null }))}
      >
        Laid now
      </Button>
    );
  if (state.at === 'laid' && state.dryMs === null)
    return (
      <Button onClick={() => say(`${layer.name} is dry`, (dryMs) => ({ ...state, dryMs }))}>
        It is dry now
      </Button>
    );
  return null;
}
