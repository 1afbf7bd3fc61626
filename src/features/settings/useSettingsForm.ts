'use client';
import { useEffect, useState } from 'react';
import { useForm } from 'react-hook-form';
import { useAct, useShop } from '@/data/hooks';
import { benchSettings, saveSettings } from '@/data/repos/bench';
import { resolverOf } from '@/features/common/formErrors';
import { useFormat } from '@/features/common/useFormat';
import type { Settings } from '@/records';
import { draftOfSettings, readSettings, type SettingsDraft, type SettingsTold } from './model';

/**
 * The form of the settings. Fields that another tab changes follow unless they are being typed in; what both
 * changed is asked about when it is saved.
 */
export function useSettingsForm() {
  const { settings } = useShop();
  const act = useAct();
  const format = useFormat();
  const [saved, onSaved] = useState(false);
  const read = (draft: SettingsDraft) => readSettings(draft, format);
  const stored = draftOfSettings(settings);
  // The settings when typing began, as stored and as this form reads them: what others change since is theirs.
  const [begun, setBegun] = useState({ row: settings, draft: stored });
  const { register, handleSubmit, getValues, reset, formState } = useForm<SettingsDraft>({
    defaultValues: stored,
    mode: 'onTouched',
    resolver: resolverOf(read),
  });
  const whole = (told: SettingsTold): Settings => ({
    ...told,
    lastBackupMs: settings.lastBackupMs,
    sensor: settings.sensor,
    ...benchSettings(settings),
  });
  const save = handleSubmit(async () => {
    const result = read(getValues());
    if (!result.ok) return;
    const mine = whole(result.value);
    const was = read(begun.draft);
    const based = { base: begun.row, read: was.ok ? whole(was.value) : begun.row };
    const outcome = await act(
      'save the settings',
      (db, c, prefer) => saveSettings(db, c, mine, { ...based, prefer }),
      mine,
    );
    const done = (row: Settings) => {
      reset(getValues());
      setBegun({ row, draft: getValues() });
      onSaved(true);
    };
    if (outcome.ok) done(outcome.value);
    else void outcome.later.then(done);
  });
  // Another tab saved: fields that are not being typed in follow, the others stay as they are.
  useEffect(() => {
    reset(draftOfSettings(settings), { keepDirtyValues: true });
  }, [settings, reset]);
  return { register, save, formState, saved, touched: () => onSaved(false) };
}
