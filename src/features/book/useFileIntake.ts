'use client';
import { useState } from 'react';
import type { Side, UnitKey } from '@/data/exchange/bundle';
import { useAct, useShop } from '@/data/hooks';
import { shopJob } from '@/features/common/files/shopJob';
import {
  storedBy,
  unlessStopped,
  useFileWork,
  type FileWork,
} from '@/features/common/files/useFileWork';
import type { RowFault } from '@/records/validate';
import type { ComputeOptions } from '@/workers/client';
import type { OpenBundle } from './MergeDialog';

/** What was read and waits for a word. */
type Asked = { readonly is: 'shop' } | ({ readonly is: 'bundle' } & OpenBundle);

export interface FileIntake {
  readonly work: FileWork;
  readonly faults: readonly RowFault[];
  readonly done: string;
  readonly asked: Asked | null;
  readonly read: (file: File) => void;
  /** Puts the shop file that was read in the place of this shop. */
  readonly replace: () => void;
  readonly take: (sides: ReadonlyMap<UnitKey, Side>) => void;
  readonly leave: () => void;
}

/** A ZIP begins with these letters, whatever its name is. */
const isZip = async (file: Blob): Promise<boolean> => (await file.slice(0, 2).text()) === 'PK';

/** Reads a shop file or a bundle beside the page, asks, and puts it in place: all of it or nothing. */
export function useFileIntake(): FileIntake {
  const act = useAct();
  const { pieces, resins, settings } = useShop();
  const work = useFileWork();
  const [faults, setFaults] = useState<readonly RowFault[]>([]);
  const [done, setDone] = useState('');
  const [asked, setAsked] = useState<Asked | null>(null);
  const empty = pieces.length === 0 && resins.length === 0;

  const replace = () => {
    setAsked(null);
    return work.run(
      'Writing the shop',
      async (options) => {
        const outcome = await act('import the shop', () =>
          unlessStopped(shopJob('replaceShop', {}, options)),
        );
        const rows = storedBy(outcome);
        if (rows !== null) setDone(`Imported ${rows} rows.`);
      },
      'writing',
    );
  };
  const importInto = async (file: Blob, options: ComputeOptions) => {
    const outcome = await act('import the shop', (_db, { nowMs }) =>
      unlessStopped(shopJob('importShop', { file, nowMs }, options)),
    );
    const result = storedBy(outcome);
    if (result?.ok) setDone(`Imported ${result.rows} rows.`);
    else if (result) setFaults(result.faults);
  };
  const take = (sides: ReadonlyMap<UnitKey, Side>) => {
    setAsked(null);
    const choices = [...sides].map(([unit, side]) => [unit, { side, whole: false }] as const);
    return work.run(
      'Taking it in',
      async (options) => {
        const outcome = await act('take a bundle in', (_db, { nowMs, by }) =>
          unlessStopped(
            shopJob('mergeBundle', { choices, nowMs, by: by || settings.person }, options),
          ),
        );
        const result = storedBy(outcome);
        if (!result) return;
        if (!result.ok) return setFaults(result.faults);
        const whole = result.whole.length;
        setDone(
          whole === 0
            ? `Taken in: ${result.changed} rows changed.`
            : `Taken in: ${result.changed} rows changed. Of ${whole} the rows of both sides did not fit together: each is as one side has it.`,
        );
      },
      'writing',
    );
  };
  const read = async (file: File) => {
    setFaults([]);
    setDone('');
    await work.run(
      'Reading and trying the file',
      async (options) => {
        if (await isZip(file)) {
          const opened = await shopJob('readBundle', { file }, options);
          if (!opened.ok) return setFaults(opened.faults);
          return setAsked({ is: 'bundle', ...opened });
        }
        // Where nothing is to be lost, nothing is asked.
        if (empty) return importInto(file, options);
        const checked = await shopJob('checkShop', { file, nowMs: Date.now() }, options);
        if (!checked.ok) return setFaults(checked.faults);
        setAsked({ is: 'shop' });
      },
      empty ? 'writing' : 'reading',
    );
  };
  return {
    ...{ work, faults, done, asked },
    read: (file) => void read(file),
    replace: () => void replace(),
    take: (sides) => void take(sides),
    leave: () => setAsked(null),
  };
}
