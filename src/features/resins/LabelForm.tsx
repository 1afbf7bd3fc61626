'use client';
import { Box, Flex, Grid, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Panel } from '@/ui/Panel';
import { TextField } from '@/ui/TextField';
import { EMPTY_LABEL, sheetFromLabel, type LabelDraft } from '@/features/common/sheet/label';
import type { SheetDraft } from '@/features/common/sheet/model';

/** Four things that every label says: enough for a resin that can be used. */
export function LabelForm({ onFill }: { onFill: (sheet: Partial<SheetDraft>) => void }) {
  const format = useFormat();
  const [draft, setDraft] = useState<LabelDraft>(EMPTY_LABEL);
  const [tried, setTried] = useState(false);
  const [filled, setFilled] = useState(false);
  const read = sheetFromLabel(draft, format);
  const errors = tried && !read.ok ? read.errors : {};
  const field = (key: keyof LabelDraft) => ({
    value: draft[key],
    error: errors[key],
    onChange: (e: { target: { value: string } }) => {
      setDraft({ ...draft, [key]: e.target.value });
      setFilled(false);
    },
  });
  const fill = () => {
    setTried(true);
    if (!read.ok) return;
    onFill(read.value);
    setFilled(true);
  };
  return (
    <Panel as="section" aria-label="From the label" mb="4">
      <Heading as="h2" fontSize="lg" mb="1">
        From the label
      </Heading>
      <Box fontSize="sm" color="ink2" mb="2">
        Four things are enough to begin. The rest is taken as usual for such resins, and stands
        below to be put right from its data sheet.
      </Box>
      <Grid templateColumns={{ base: '1fr 1fr', lg: 'repeat(4, 1fr)' }} gap="3">
        <TextField label="Name on the label" {...field('name')} />
        <TextField label="Ratio as printed" hint="2 : 1 by volume" {...field('ratio')} />
        <TextField label="It can be worked for" hint="40 min" {...field('working')} />
        <TextField label="Next coat after" hint="24 h" {...field('nextCoat')} />
      </Grid>
      <Flex gap="3" align="center" mt="2">
        <Button type="button" onClick={fill}>
          Fill the sheet from the label
        </Button>
        <Box role="status" fontSize="sm" color="verdigris" fontWeight="600">
          {filled && '✓ Filled in below: look it over, then save it.'}
        </Box>
      </Flex>
    </Panel>
  );
}
