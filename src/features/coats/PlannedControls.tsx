'use client';
import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { editText, parseQuantity } from '@/core/units';
import type { Coat, Resin } from '@/data/records/types';
import { issueText } from '@/features/common/issueText';
import { reserveId, reserveOptions, reserveSchool } from '@/features/common/reserves';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';

interface Props {
  readonly coat: Coat;
  readonly resin: Resin;
  readonly onSave: (change: Partial<Pick<Coat, 'thicknessM' | 'reserve'>>) => void;
  readonly onRemove: () => void;
}

/** Thickness and reserve of a planned coat, typed. */
export function PlannedControls({ coat, resin, onSave, onRemove }: Props) {
  const format = useFormat();
  const typed = editText(coat.thicknessM, format.typed('film'));
  const [text, setText] = useState(typed);
  const [touched, setTouched] = useState(false);
  const [seen, setSeen] = useState(typed);
  // The surface was dragged, or another tab changed the coat: the field follows.
  if (seen !== typed) {
    setSeen(typed);
    setText(typed);
  }
  const limits = { min: resin.sheet.thinnestM, max: resin.sheet.thickestM };
  const parsed = parseQuantity(text, 'film', format.typed('film'), limits);
  const issue = parsed.ok ? undefined : parsed.issues[0];
  const commit = () => {
    setTouched(true);
    if (parsed.ok && Math.abs(parsed.value - coat.thicknessM) > 1e-9)
      onSave({ thicknessM: parsed.value });
  };
  return (
    <Panel>
      <Flex direction="column" gap="3">
        <TextField
          label="Film thickness"
          hint="Or drag the surface in the section; arrow keys work too"
          value={text}
          onChange={(e) => setText(e.target.value)}
          onBlur={commit}
          onKeyDown={(e) => e.key === 'Enter' && commit()}
          error={touched && issue ? issueText(issue, 'film', format) : undefined}
        />
        <SelectField
          label="Reserve"
          value={reserveId(coat.reserve)}
          options={reserveOptions}
          onChange={(e) => onSave({ reserve: reserveSchool(e.target.value) })}
        />
        <Button variant="quiet" size="sm" alignSelf="flex-start" onClick={onRemove}>
          Take this coat off the plan
        </Button>
      </Flex>
    </Panel>
  );
}
