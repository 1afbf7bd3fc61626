import { useAct } from '@/data/hooks';
import { undoAct } from '@/data/repos/undoAct';
import type { WetView } from './model';
import { BigAction } from './BigAction';
import { useLastAct } from './useLastAct';

/** Takes back the act that it names; it is taken back once, however often it is tapped. */
export function UndoAction({ view }: { view: WetView }) {
  const act = useAct();
  const { batch } = view;
  const last = useLastAct(batch);
  const undo = () => {
    if (!last) return;
    void act(`undo ${last.is}`, (db, c) => undoAct(db, c, batch.id, last.id), { id: last.id });
  };
  return (
    <BigAction
      kind="second"
      token={last?.id ?? ''}
      label={last ? `Undo: ${last.is}` : 'Undo'}
      hotkey="u"
      keyName="U"
      disabled={!last}
      onAct={undo}
    />
  );
}
