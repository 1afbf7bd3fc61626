'use client';
import { Box, Flex, Grid } from '@chakra-ui/react';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import { useAct, useShop, type DraftStore, type KeptDraft } from '@/data/hooks';
import { COAT_KINDS, type CoatKind } from '@/core/piece';
import { planCoat } from '@/data/repos/coats';
import type { PieceView } from '@/shop/coatView';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { CoveredAreas } from './CoveredAreas';
import { IntentFields } from './IntentFields';
import { FitNote } from './FitNote';
import { LineFields } from './LineFields';
import { usualLine } from './lines';
import { switchIntent } from './intents';
import { coatName, defaultAreas, readCoat, usualDraft, type CoatDraft } from './model';

interface Props {
  readonly view: PieceView;
  /** What was typed before and not stored. */
  readonly kept: KeptDraft<CoatDraft> | null;
  readonly store: Pick<DraftStore<CoatDraft>, 'keep' | 'drop'>;
  readonly onPlanned: (coatId: string) => void;
  readonly onCancel: (() => void) | null;
}

/** What a number starts from that nothing tells yet. */
const START = { thicknessM: 1.6e-3, totalM3: null } as const;

/** What is typed, with its messages once they have been asked for. */
function useCoatDraft(view: PieceView, kept: CoatDraft | null, keep: (d: CoatDraft) => void) {
  const { resins, settings } = useShop();
  const format = useFormat();
  const usual = (kind: CoatKind, areaIds: readonly string[]) =>
    usualDraft(kind, view, areaIds, format);
  const [draft, setDraft] = useState<CoatDraft>(() => {
    if (kept) return kept;
    const areaIds = defaultAreas('flood', view.areas);
    return {
      name: coatName('flood', view.coats),
      kind: 'flood',
      resinId: (view.coats.at(-1)?.resin ?? resins[0])?.id ?? '',
      areaIds,
      intent: usual('flood', areaIds).intent,
      line: null,
      over: '',
    };
  });
  const [asked, setAsked] = useState(false);
  /** The intention was chosen or typed: it no longer follows kind and areas. */
  const [own, setOwn] = useState(kept !== null);
  const read = readCoat(draft, view, resins, settings.reserve, format);
  const errors = asked && !read.ok ? read.errors : {};
  const change = (part: Partial<CoatDraft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    keep(next);
  };
  const changeKind = (kind: CoatKind) => {
    const areaIds = defaultAreas(kind, view.areas);
    const { intent } = usual(kind, areaIds);
    setOwn(false);
    const line = kind === 'line' ? usualLine('barrier', format) : null;
    change({ kind, name: coatName(kind, view.coats), areaIds, intent, line });
  };
  const changeAreas = (areaIds: readonly string[]) =>
    change({ areaIds, ...(!own && { intent: usual(draft.kind, areaIds).intent }) });
  const changeIntent = (intent: CoatDraft['intent']) => {
    setOwn(true);
    change({ intent });
  };
  const start = usual(draft.kind, draft.areaIds);
  const why = start.intent.by === draft.intent.by ? start.why : undefined;
  const set = { change, changeKind, changeAreas, changeIntent };
  return { draft, read, errors, why, set, ask: () => setAsked(true), format };
}

type FormState = Pick<
  ReturnType<typeof useCoatDraft>,
  'draft' | 'errors' | 'why' | 'set' | 'ask' | 'format'
>;

/** Name, kind, resin and place of a coat, and what it is to do. */
function CoatFields({
  view,
  draft,
  errors,
  why,
  set,
  ask,
  format,
}: FormState & { readonly view: PieceView }) {
  const { resins } = useShop();
  // It can go in under planned coats.
  const places = view.coats
    .slice(0, -1)
    .filter((_, i) => view.coats[i + 1]?.state === 'planned')
    .map((c) => [c.coat.id, c.coat.name] as [string, string]);
  return (
    <Grid templateColumns="repeat(auto-fit, minmax(200px, 1fr))" gap="4">
      <TextField
        label="Coat"
        value={draft.name}
        error={errors.name}
        onChange={(e) => set.change({ name: e.target.value })}
      />
      <SelectField
        label="Kind"
        value={draft.kind}
        options={COAT_KINDS.map((k) => [k, k])}
        onChange={(e) => set.changeKind(e.target.value as CoatKind)}
      />
      <SelectField
        label="Resin"
        value={draft.resinId}
        error={errors.resinId}
        options={resins.map((r) => [r.id, r.name])}
        onChange={(e) => set.change({ resinId: e.target.value })}
      />
      {places.length > 0 && (
        <SelectField
          label="Lies on"
          value={draft.over}
          options={[['', 'the topmost coat'], ...places]}
          onChange={(e) => set.change({ over: e.target.value })}
        />
      )}
      {draft.kind !== 'line' && (
        <IntentFields
          draft={draft.intent}
          hint="With open edges it settles near 1.5–2 mm"
          why={why}
          error={errors.intent}
          onKind={(by) => set.changeIntent(switchIntent(by, START, format))}
          onValue={(value) => set.changeIntent({ ...draft.intent, value })}
          onDone={draft.intent.value === '' ? undefined : ask}
        />
      )}
    </Grid>
  );
}

/** Plans the next coat on top of those there are. */
export function PlanCoatForm({ view, kept, store, onPlanned, onCancel }: Props) {
  const { resins, settings } = useShop();
  const act = useAct();
  const { draft, read, errors, why, set, ask, format } = useCoatDraft(
    view,
    kept?.value ?? null,
    store.keep,
  );
  const save = async () => {
    ask();
    if (!read.ok) return;
    const plan = { ...read.value, pieceId: view.piece.id, reserve: settings.reserve };
    const outcome = await act(`plan ${plan.name}`, (db, c) => planCoat(db, c, plan), plan);
    const planned = (id: string) => {
      store.drop();
      onPlanned(id);
    };
    if (outcome.ok) planned(outcome.value);
    else void outcome.later.then(planned);
  };
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
      <form
        onSubmit={(e) => {
          e.preventDefault();
          void save();
        }}
        noValidate
      >
        <CoatFields {...{ view, draft, errors, why, set, ask, format }} />
        <FitNote piece={view.piece} resin={resins.find((r) => r.id === draft.resinId)} />
        {draft.line && (
          <LineFields
            view={view}
            draft={draft.line}
            errors={errors}
            onChange={(line) => set.change({ line })}
          />
        )}
        <CoveredAreas areas={view.areas} chosen={draft.areaIds} onChange={set.changeAreas} />
        <Flex gap="3" mt="4" align="center" wrap="wrap">
          <Button type="submit" variant="ink">
            Plan this coat
          </Button>
          {onCancel && (
            <Button
              onClick={() => {
                store.drop();
                onCancel();
              }}
            >
              Not now
            </Button>
          )}
          {read.ok && (draft.intent.by !== 'given' || draft.line) && (
            <Box color="ink2">
              {draft.line ? 'stands' : 'comes to'}{' '}
              <Figure>{format.show(read.value.thicknessM, 'film').text}</Figure>
            </Box>
          )}
        </Flex>
      </form>
    </Panel>
  );
}
