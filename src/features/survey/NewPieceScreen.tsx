'use client';
import { Heading } from '@chakra-ui/react';
import { useRouter } from 'next/navigation';
import { useAct } from '@/data/hooks';
import { addPiece, type Survey } from '@/data/repos/bench';
import { useFormat } from '@/features/common/useFormat';
import { emptyDraft } from './model';
import { SurveyForm } from './SurveyForm';

export function NewPieceScreen() {
  const act = useAct();
  const router = useRouter();
  const format = useFormat();
  const save = async (survey: Survey) => {
    const outcome = await act(`add ${survey.name}`, (db, c) => addPiece(db, c, survey), survey);
    if (outcome.ok) router.push(`/pieces/${outcome.value}/coats`);
  };
  return (
    <>
      <Heading as="h1" fontSize="3xl" mb="4">
        New piece
      </Heading>
      <SurveyForm initial={emptyDraft(format)} submit="Add to the bench" onSubmit={save} />
    </>
  );
}
