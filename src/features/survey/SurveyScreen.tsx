'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { fluidityLeft } from '@/core/film';
import { mixDensity } from '@/core/resin';
import { useAct, useShop } from '@/data/hooks';
import { changeSurvey, surveyOf, type NewPhoto, type Survey } from '@/data/repos/survey';
import { clockText } from '@/features/common/clockText';
import type { PieceView } from '@/shop/coatView';
import { PieceFrame } from '@/features/common/PieceFrame';
import { useFormat, type Format } from '@/features/common/useFormat';
import { draftOf } from './draft';
import { readSurvey } from './readSurvey';
import type { PlannedFilm } from './SurveyContext';
import { SurveyForm } from './SurveyForm';

/** The film of the coat planned next, as its resin flows. */
function filmOf({ upcoming }: PieceView): PlannedFilm | null {
  if (!upcoming) return null;
  const { coat, resin } = upcoming;
  return {
    name: coat.name,
    thicknessM: coat.thicknessM,
    densityKgM3: mixDensity(resin.sheet),
    fluidityPerPa: fluidityLeft(resin.sheet),
  };
}

/** The survey as it is stored, and as this form reads it from an untouched draft. */
function basisOf({ piece, surveyed: areas }: PieceView, format: Format) {
  const base = surveyOf(piece, areas);
  const read = readSurvey(draftOf(piece, areas, format), format);
  return { base, read: read.ok ? read.value : base };
}

function Form({ view }: { view: PieceView }) {
  const act = useAct();
  const format = useFormat();
  const shop = useShop();
  const [savedMs, setSavedMs] = useState<number | null>(null);
  // The survey as it was when editing began, as this form reads it: what others change since is kept.
  const [based, setBased] = useState(() => basisOf(view, format));
  if (view.areas.length === 0) return <Box>This piece has no face.</Box>;
  const save = async (survey: Survey, photos: readonly NewPhoto[]) => {
    const outcome = await act(
      `save the survey of ${survey.name}`,
      (db, c, prefer) => changeSurvey(db, c, view.piece.id, survey, photos, { ...based, prefer }),
      survey,
    );
    const done = (stored: Survey) => {
      setBased({ base: stored, read: survey });
      setSavedMs(Date.now());
    };
    if (outcome.ok) done(outcome.value);
    else void outcome.later.then(done);
  };
  return (
    <>
      <SurveyForm
        key={`${view.piece.id}-${shop.settings.units}`}
        initial={draftOf(view.piece, view.surveyed, format)}
        film={filmOf(view)}
        submit="Save the survey"
        onSubmit={save}
      />
      <Box role="status" mt="2" color="verdigris" fontWeight="600">
        {savedMs !== null && `Saved ${clockText(savedMs, savedMs)}.`}
      </Box>
    </>
  );
}

export function SurveyScreen({ pieceId }: { pieceId: string }) {
  return (
    <PieceFrame pieceId={pieceId} stage="survey">
      {(view) => <Form view={view} />}
    </PieceFrame>
  );
}
