'use client';
import { editText, parseQuantity } from '@/core/units';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { chooseAtBench } from '@/data/repos/bench';
import { issueText } from '@/features/common/issueText';
import { useFormat } from '@/features/common/useFormat';
import { CUP_LIMITS_M3 } from '@/records';
import { TextField } from '@/ui/TextField';

/** What the largest cup takes: no batch is larger. Empty: nobody said. */
export function CupField() {
  const act = useAct();
  const format = useFormat();
  const { cupM3 } = useShop().settings;
  const unit = format.typed('volume');
  const [text, setText] = useState(cupM3 === null ? '' : editText(cupM3, unit));
  const parsed = parseQuantity(text, 'volume', unit, CUP_LIMITS_M3);
  const empty = text.trim() === '';
  const issue = parsed.ok || empty ? undefined : parsed.issues[0];
  const keep = () => {
    const told = empty ? null : parsed.ok ? parsed.value : cupM3;
    if (told !== cupM3)
      void act('keep the largest cup', (db, c) => chooseAtBench(db, c, { cupM3: told }));
  };
  return (
    <TextField
      label="Largest cup"
      value={text}
      error={issue ? issueText(issue, 'volume', format) : undefined}
      onChange={(e) => setText(e.target.value)}
      onBlur={keep}
      onKeyDown={(e) => e.key === 'Enter' && keep()}
    />
  );
}
