'use client';
import { Box } from '@chakra-ui/react';
import { useCallback, useState } from 'react';
import { Button } from '@/ui/Button';
import { fluidityLeft } from '@/core/film';
import { mixDensity, thickeningOf } from '@/core/resin';
import { useAct, useDraft, useNow, useShop, type DraftStore, type KeptDraft } from '@/data/hooks';
import { changeSurvey, surveyOf, type NewPhoto, type Survey } from '@/data/repos/survey';
import { clockText } from '@/features/common/clockText';
import type { PieceView } from '@/shop/coatView';
import { PieceFrame } from '@/features/common/PieceFrame';
import { useFormat, type Format } from '@/features/common/useFormat';
import { DraftBar } from '@/features/common/DraftBar';
import { draftOf } from './draftOf';
import type { SurveyDraft } from './draft';
import { reviveSurvey, type KeptSurvey } from './keptSurvey';
import { readSurvey } from './readSurvey';
import type { PlannedFilm } from './SurveyContext';
import { useLike } from './LikeBefore';
import { SurveyForm } from './SurveyForm';

/** The film of the coat planned next, as its resin flows. */
function filmOf({ upcoming }: PieceView): PlannedFilm | null {
  if (!upcoming) return null;
  const { coat, resin, around } = upcoming;
  return {
    name: coat.name,
    thicknessM: coat.thicknessM,
    densityKgM3: mixDensity(resin.sheet),
    fluidityPerPa: fluidityLeft(thickeningOf(resin.sheet, around.roomK)),
  };
}

/** The survey as it is stored, and as this form reads it from an untouched draft. */
function basisOf({ piece, surveyed: areas }: PieceView, format: Format) {
  const base = surveyOf(piece, areas);
  const read = readSurvey(draftOf(piece, areas, format), format);
  return { base, read: read.ok ? read.value : base };
}

function Form({ view }: { view: PieceView }) {
  const store = useDraft<KeptSurvey>(`survey-${view.piece.id}`, view.piece.id);
  const units = useShop().settings.units;
  const [round, setRound] = useState(0);
  if (view.areas.length === 0) return <Box>This piece has no face.</Box>;
  if (store.kept === undefined) return null;
  return (
    <KeptForm
      key={`${view.piece.id}-${units}-${round}`}
      view={view}
      store={store}
      // Once it was put back, what the browser answered first is no longer so.
      kept={round === 0 ? store.kept : null}
      onPutBack={() => {
        store.drop();
        setRound(round + 1);
      }}
    />
  );
}

interface KeptProps {
  readonly view: PieceView;
  readonly store: DraftStore<KeptSurvey>;
  readonly kept: KeptDraft<KeptSurvey> | null;
  readonly onPutBack: () => void;
}

function KeptForm({ view, store, kept, onPutBack }: KeptProps) {
  const act = useAct();
  const format = useFormat();
  const now = useNow();
  const [savedMs, setSavedMs] = useState<number | null>(null);
  const [isKept, setIsKept] = useState(kept !== null);
  // The survey as it was when editing began, as this form reads it: what others change since is kept.
  const [based, setBased] = useState(() => kept?.value.basis ?? basisOf(view, format));
  const [initial] = useState(() => {
    const pictures = new Set(
      view.surveyed.flatMap(({ measured: m }) => (m.by === 'photo' ? [m.photoId as string] : [])),
    );
    const before = kept && reviveSurvey(kept.value, pictures, format);
    return before ?? draftOf(view.piece, view.surveyed, format);
  });
  const { keep, drop } = store;
  const onDraft = useCallback((draft: SurveyDraft) => keep({ draft, basis: based }), [keep, based]);
  const save = async (survey: Survey, photos: readonly NewPhoto[]) => {
    const outcome = await act(
      `save the survey of ${survey.name}`,
      (db, c, prefer) => changeSurvey(db, c, view.piece.id, survey, photos, { ...based, prefer }),
      survey,
    );
    const done = (stored: Survey) => {
      drop();
      setIsKept(false);
      setBased({ base: stored, read: survey });
      setSavedMs(Date.now());
    };
    if (outcome.ok) done(outcome.value);
    else void outcome.later.then(done);
  };
  return (
    <>
      {kept && isKept && <DraftBar keptMs={kept.keptMs} nowMs={now} onPutBack={onPutBack} />}
      <SurveyForm
        initial={initial}
        film={filmOf(view)}
        submit="Save the survey"
        onSubmit={save}
        onDraft={onDraft}
      />
      <Duplicate view={view} />
      <Box role="status" mt="2" color="verdigris" fontWeight="600">
        {savedMs !== null && `Saved ${clockText(savedMs, savedMs)}.`}
      </Box>
    </>
  );
}

/** Another piece like this one, its plan with it. */
function Duplicate({ view }: { view: PieceView }) {
  const add = useLike();
  const { piece } = view;
  return (
    <Button size="sm" mt="3" onClick={() => void add(piece, `${piece.name}, copy`.slice(0, 120))}>
      Another piece like this
    </Button>
  );
}

export function SurveyScreen({ pieceId }: { pieceId: string }) {
  return (
    <PieceFrame pieceId={pieceId} stage="survey">
      {(view) => <Form view={view} />}
    </PieceFrame>
  );
}
