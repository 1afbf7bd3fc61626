import { useMemo, useRef, useState } from 'react';
import type { LedgerLineId, LedgerOverride } from '@/core/coat';
import { useAct } from '@/data/hooks';
import { filmOf, withFilm } from '@/shop/coatFacts';
import type { Coat } from '@/records';
import { changeCoat, type CoatChange } from '@/data/repos/coats';
import { groundOf, ledgerOf, splitOf, type CoatView, type PieceView } from '@/shop/coatView';
import { draggedIntent } from './intents';

/** The fields of a coat that a change is about, as they stand. */
const pick = (coat: Coat, change: CoatChange): CoatChange =>
  Object.fromEntries(
    (Object.keys(change) as (keyof CoatChange)[]).map((name) => [name, coat[name]]),
  );

/** A coat as it is being edited: what was dragged but not let go of yet, its ledger, and how it is saved. */
export function useCoatEdit(view: PieceView, selected: CoatView) {
  const act = useAct();
  const { coat, state, batch, resin, around, piece } = selected;
  const [draftM, setDraftM] = useState<number | null>(null);
  const free = state === 'planned' && batch === null;
  const thicknessM = free && draftM !== null ? draftM : coat.thicknessM;
  const intent =
    Math.abs(thicknessM - coat.thicknessM) < 1e-9
      ? coat.intent
      : draggedIntent(coat.intent, coat.thicknessM, thicknessM);
  const ground = groundOf(selected);
  const edited: CoatView = {
    ...selected,
    coat:
      intent === coat.intent
        ? coat
        : withFilm({ ...coat, intent }, thicknessM, ground, resin.sheet),
  };
  const ledger = ledgerOf(edited);
  const split = ledger.ok ? splitOf(ledger.value, resin) : null;
  // A dome takes some milliseconds to look for: not again in every frame of a drag.
  const found = useMemo(
    () => (free ? filmOf(coat, { piece, ...around }, resin.sheet) : null),
    [free, coat, piece, around, resin.sheet],
  );
  /** What this tab stored last: a quick next change is not a conflict with it. */
  const own = useRef<CoatChange>({});
  const save = (change: CoatChange, base: CoatChange = pick(coat, change)) => {
    const based = { base, own: own.current };
    own.current = { ...own.current, ...change };
    return act(
      `change ${coat.name}`,
      (db, c, prefer) => changeCoat(db, c, coat.id, change, { ...based, prefer }),
      { coatId: coat.id, change },
    );
  };
  const at = view.coats.findIndex((c) => c.coat.id === coat.id);
  const planned = (i: number) => view.coats[i]?.state === 'planned' && !view.coats[i].batch;
  return {
    ...{ free, thicknessM, intent, edited, ledger, split, save, setDraftM },
    issue: found && !found.ok ? (found.issues[0] ?? null) : null,
    places: { lower: planned(at - 1), higher: planned(at + 1) },
    /** The surface is let go of: what was dragged stays until the next drag, so quick keys add up. */
    commit: () => {
      if (draftM !== null && draftM !== coat.thicknessM) void save({ intent });
    },
    /** What was typed or chosen goes before what was dragged. */
    choose: (change: CoatChange, base?: CoatChange) => {
      if (change.intent) setDraftM(null);
      return save(change, base);
    },
    setLine: (line: LedgerLineId, own: LedgerOverride | null) =>
      void save({
        overrides: [...coat.overrides.filter((o) => o.line !== line), ...(own ? [own] : [])],
      }),
  };
}

export type CoatEdit = ReturnType<typeof useCoatEdit>;
