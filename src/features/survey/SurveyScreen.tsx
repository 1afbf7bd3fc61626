'use client';
import { Box } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { changePiece, type Survey } from '@/data/repos/bench';
import { clockText } from '@/features/common/clockText';
import { PieceFrame } from '@/features/common/PieceFrame';
import type { PieceView } from '@/features/common/coatView';
import { useFormat } from '@/features/common/useFormat';
import { draftOf } from './model';
import { SurveyForm } from './SurveyForm';

function Form({ view }: { view: PieceView }) {
  const act = useAct();
  const format = useFormat();
  const [savedMs, setSavedMs] = useState<number | null>(null);
  const area = view.areas[0];
  const shop = useShop();
  if (!area) return <Box>This piece has no face.</Box>;
  const save = async ({ name, count, support, note, shape, edgeHeightM, edgeKinds }: Survey) => {
    const piece = { ...view.piece, name, count, support, note };
    const face = { ...area, shape, edgeHeightM, edgeKinds };
    const outcome = await act(
      `save the survey of ${name}`,
      (db, c) => changePiece(db, c, piece, face),
      { piece, face },
    );
    if (outcome.ok) setSavedMs(Date.now());
  };
  return (
    <>
      <SurveyForm
        key={`${view.piece.id}-${shop.settings.units}`}
        initial={draftOf(view.piece, area, format)}
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
