'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { OVERRIDE_LIMITS_M3, type LedgerLine, type LedgerOverride } from '@/core/coat';
import { parseQuantity } from '@/core/units';
import { issueText } from '@/features/common/issueText';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';

interface Props {
  readonly line: LedgerLine;
  readonly onSet: (override: LedgerOverride | null) => void;
}

/** Sets a line of the ledger by hand, with a reason; or gives it back to the computation. */
export function OverrideForm({ line, onSet }: Props) {
  const format = useFormat();
  const [volume, setVolume] = useState('');
  const [reason, setReason] = useState('');
  const [asked, setAsked] = useState(false);
  if (line.computedM3 !== undefined)
    return (
      <Button size="sm" mt="3" onClick={() => onSet(null)}>
        Compute this line again
      </Button>
    );
  const unit = format.units === 'us' ? 'fl oz' : 'ml';
  const parsed = parseQuantity(volume, 'volume', unit, OVERRIDE_LIMITS_M3);
  const issue = parsed.ok ? undefined : parsed.issues[0];
  const set = () => {
    setAsked(true);
    if (parsed.ok && reason.trim() !== '')
      onSet({ line: line.id, volumeM3: parsed.value, reason: reason.trim() });
  };
  return (
    <Box mt="3" pt="2" borderTopWidth="1px" borderColor="line">
      <TextField
        label="Set this line yourself"
        hint={`Volume, for example 12 ${unit}`}
        value={volume}
        onChange={(e) => setVolume(e.target.value)}
        error={asked && issue ? issueText(issue, 'volume', format) : undefined}
      />
      <TextField
        label="Because"
        value={reason}
        maxLength={500}
        onChange={(e) => setReason(e.target.value)}
        error={
          asked && reason.trim() === '' ? 'A reason is needed: it stays with the line.' : undefined
        }
      />
      <Flex mt="2">
        <Button size="sm" onClick={set}>
          Set it
        </Button>
      </Flex>
    </Box>
  );
}
