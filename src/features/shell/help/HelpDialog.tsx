'use client';
import { Box, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { Button } from '@/ui/Button';
import { DialogFrame } from '@/ui/DialogFrame';
import { TextField } from '@/ui/TextField';
import { searchTerms } from '@/features/common/glossary';
import { KEYS, placeHelp } from './places';

/** Pairs of a word and what is said of it. */
function Pairs({ label, pairs }: { label: string; pairs: readonly (readonly [string, string])[] }) {
  return (
    <Box as="dl" aria-label={label} display="grid" gridTemplateColumns="minmax(110px, 1fr) 3fr">
      {pairs.map(([word, words]) => (
        <Box key={word} display="contents">
          <Box as="dt" fontWeight="600" py="1" pe="3" borderTopWidth="1px" borderColor="line">
            {word}
          </Box>
          <Box as="dd" py="1" borderTopWidth="1px" borderColor="line">
            {words}
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** What this place is for, the keys, and every word of the trade that the screens use. */
export function HelpDialog({ pathname, onClose }: { pathname: string; onClose: () => void }) {
  const [search, setSearch] = useState('');
  const terms = searchTerms(search);
  return (
    <DialogFrame
      title="Help"
      width="760px"
      onClose={onClose}
      footer={
        <Button variant="ink" onClick={onClose}>
          Close
        </Button>
      }
    >
      <Box fontSize="lg" mb="4">
        {placeHelp(pathname)}
      </Box>
      <TextField
        label="A word"
        hint="For example: recoat window"
        value={search}
        onChange={(e) => setSearch(e.target.value)}
      />
      <Box maxH="36vh" overflowY="auto" tabIndex={0} aria-label="Words" role="region" mt="2">
        {terms.length === 0 ? (
          <Box color="ink2">No word here holds that.</Box>
        ) : (
          <Pairs label="Words" pairs={terms.map((t) => [t.word, t.means] as const)} />
        )}
      </Box>
      <Heading as="h3" fontSize="lg" mt="4" mb="1">
        Keys
      </Heading>
      <Pairs label="Keys" pairs={KEYS} />
    </DialogFrame>
  );
}
