'use client';
import { go } from '@/ui/go';
import { PageHeading } from '@/ui/PageHeading';
import { useCallback, useState } from 'react';
import { useAct, useDraft, useNow, type DraftStore, type KeptDraft } from '@/data/hooks';
import { addPiece, type NewPhoto, type Survey } from '@/data/repos/survey';
import { DraftBar } from '@/features/common/DraftBar';
import { useFormat } from '@/features/common/useFormat';
import { emptyDraft, type SurveyDraft } from './draft';
import { reviveSurvey, type KeptSurvey } from './keptSurvey';
import { LikeBefore } from './LikeBefore';
import { ListPanel } from './ListPanel';
import { SurveyForm } from './SurveyForm';

interface Props {
  readonly store: DraftStore<KeptSurvey>;
  readonly kept: KeptDraft<KeptSurvey> | null;
  readonly onPutBack: () => void;
}

const NO_PICTURES: ReadonlySet<string> = new Set();

function Form({ store: { keep, drop }, kept, onPutBack }: Props) {
  const act = useAct();
  const format = useFormat();
  const now = useNow();
  const [initial] = useState(
    () => (kept && reviveSurvey(kept.value, NO_PICTURES, format)) ?? emptyDraft(format),
  );
  const onDraft = useCallback((draft: SurveyDraft) => keep({ draft, basis: null }), [keep]);
  const save = async (survey: Survey, photos: readonly NewPhoto[]) => {
    const outcome = await act(
      `add ${survey.name}`,
      (db, c) => addPiece(db, c, survey, photos),
      survey,
    );
    const open = (id: string) => {
      drop();
      go(`/pieces/${id}/coats`);
    };
    if (outcome.ok) open(outcome.value);
    else void outcome.later.then(open);
  };
  return (
    <>
      {kept && <DraftBar keptMs={kept.keptMs} nowMs={now} onPutBack={onPutBack} />}
      <SurveyForm initial={initial} submit="Add to the bench" onSubmit={save} onDraft={onDraft} />
    </>
  );
}

export function NewPieceScreen() {
  const store = useDraft<KeptSurvey>('survey-new', null);
  const format = useFormat();
  const [round, setRound] = useState(0);
  return (
    <>
      <PageHeading title="New piece" mb="3" />
      {store.kept !== undefined && (
        <Form
          key={`${format.units}-${round}`}
          store={store}
          // Once it was put back, what the browser answered first is no longer so.
          kept={round === 0 ? store.kept : null}
          onPutBack={() => {
            store.drop();
            setRound(round + 1);
          }}
        />
      )}
      <LikeBefore />
      <ListPanel />
    </>
  );
}
