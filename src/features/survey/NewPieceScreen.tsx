'use client';
import { Heading } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useAct } from '@/data/hooks';
import { addPiece, type NewPhoto, type Survey } from '@/data/repos/survey';
import { useFormat } from '@/features/common/useFormat';
import { emptyDraft } from './draft';
import { SurveyForm } from './SurveyForm';

export function NewPieceScreen() {
  const act = useAct();
  const router = useRouter();
  const format = useFormat();
  const save = async (survey: Survey, photos: readonly NewPhoto[]) => {
    const outcome = await act(
      `add ${survey.name}`,
      (db, c) => addPiece(db, c, survey, photos),
      survey,
    );
    const open = (id: string) => router.push(`/pieces/${id}/coats`);
    if (outcome.ok) open(outcome.value);
    else void outcome.later.then(open);
  };
  return (
    <>
      <Heading as="h1" fontSize="3xl" mb="3">
        New piece
      </Heading>
      <SurveyForm
        key={format.units}
        initial={emptyDraft(format)}
        submit="Add to the bench"
        onSubmit={save}
      />
    </>
  );
}
