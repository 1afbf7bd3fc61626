'use client';
import { Box, Flex } from '@chakra-ui/react';
import { isRefusal, type FieldConflict } from '@/data/errors';
import { useReadTrouble, useWriteFailure } from '@/data/hooks';
import { Button } from '@/ui/Button';
import { saveFile } from '@/ui/saveFile';
import { fieldWords, valueWords } from './conflictWords';
import { useFormat } from '../common/useFormat';
import { failureWords } from './failureWords';

/** Both values of each field that two people changed. */
function Conflicts({ fields }: { fields: readonly FieldConflict[] }) {
  const format = useFormat();
  return (
    <Box as="table" mt="2" fontSize="sm" aria-label="Changed here and elsewhere">
      <thead>
        <tr>
          {['', 'yours', 'theirs'].map((head) => (
            <Box as="th" key={head} pe="6" textAlign="left" fontWeight="600">
              {head}
            </Box>
          ))}
        </tr>
      </thead>
      <tbody>
        {fields.map(({ field, mine, theirs }) => (
          <tr key={field}>
            <Box as="td" pe="6">
              {fieldWords(field)}
            </Box>
            <Box as="td" pe="6" fontFamily="mono">
              {valueWords(field, mine, format)}
            </Box>
            <Box as="td" pe="6" fontFamily="mono">
              {valueWords(field, theirs, format)}
            </Box>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}

/** Says that the newest read failed; what is on screen is from the one before. */
export function ReadTroubleBar() {
  const trouble = useReadTrouble();
  if (!trouble) return null;
  return (
    <Box role="alert" bg="oxideWash" px="6" py="2" fontSize="sm">
      <strong>▲ The shop could not be read just now</strong> ({trouble.message}). What you see is
      from before; it is read again every few seconds.
    </Box>
  );
}

/** Says that something was not saved, that it is still there, and what can be done about it. */
export function WriteFailureBar() {
  const { failure, dismiss } = useWriteFailure();
  if (!failure) return null;
  const { action, atMs, error, stale, kept, retry } = failure;
  const conflict = isRefusal(error, 'conflict') ? error.data.fields : null;
  const keep = () =>
    saveFile(
      'bilamina-not-saved.json',
      'application/json',
      JSON.stringify({ action, atMs, reason: error.message, kept }, null, 2),
    );
  return (
    <Box
      role="alert"
      position="fixed"
      left="0"
      right="0"
      bottom="0"
      zIndex="alert"
      bg="ink"
      color="card"
      px="6"
      py="4"
    >
      <Flex gap="4" align="center" wrap="wrap">
        <Box flex="1" minW="280px">
          <Box fontFamily="heading" fontSize="lg" fontWeight="600">
            Not saved: {action}
          </Box>
          <Box fontSize="sm">{failureWords(error)}</Box>
          {conflict && <Conflicts fields={conflict} />}
        </Box>
        {conflict && (
          <>
            <Button variant="amber" onClick={() => void retry('mine')}>
              Keep yours
            </Button>
            <Button onClick={() => void retry('theirs')}>Take theirs</Button>
          </>
        )}
        {!stale && !conflict && (
          <>
            <Button variant="amber" onClick={() => void retry()}>
              Try again
            </Button>
            <Button onClick={keep}>Save a copy to a file</Button>
          </>
        )}
        <Button onClick={dismiss}>Close</Button>
      </Flex>
    </Box>
  );
}
