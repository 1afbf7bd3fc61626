'use client';
import { Box, Grid, Heading } from '@chakra-ui/react';
import type { PrepSchools } from '@/core/prep';
import { useAct, useShop } from '@/data/hooks';
import type { Piece } from '@/records';
import { choosePieceSchools } from '@/data/repos/prep';
import { SCHOOL_FIELDS } from '@/features/common/schools';
import { WordMark } from '@/features/common/WordMark';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';

/** Words that the questions turn on. */
const SCHOOL_TERMS: Partial<Readonly<Record<keyof PrepSchools, string>>> = {
  mask: 'mask',
  tooth: 'tooth',
  recoat: 'recoat window',
  seal: 'seal',
};

/** Where this piece is done otherwise than the shop does it. */
export function Schools({ piece }: { piece: Piece }) {
  const { settings } = useShop();
  const act = useAct();
  const choose = (name: keyof PrepSchools, value: string) => {
    const others = Object.entries(piece.prep).filter(([key]) => key !== name);
    const prep: Partial<PrepSchools> = Object.fromEntries(
      value === '' ? others : [...others, [name, value]],
    );
    void act(
      'choose the schools of this piece',
      (db, c) => choosePieceSchools(db, c, piece.id, prep),
      { id: piece.id, prep },
    );
  };
  return (
    <Panel as="section" aria-label="Schools of this piece">
      <Heading as="h2" fontSize="lg" mb="2">
        How it is done here
      </Heading>
      <Grid templateColumns="1fr 1fr" gap="3">
        {SCHOOL_FIELDS.map(({ name, label, hint, options }) => {
          const shop = options.find(([value]) => value === settings.prep[name])?.[1] ?? '';
          return (
            <SelectField
              key={name}
              label={label}
              hint={hint}
              mark={SCHOOL_TERMS[name] && <WordMark word={SCHOOL_TERMS[name]} />}
              value={piece.prep[name] ?? ''}
              options={[['', `shop: ${shop}`], ...options]}
              onChange={(e) => choose(name, e.target.value)}
            />
          );
        })}
      </Grid>
      <Box fontSize="xs" color="ink2" mt="2">
        Practitioners disagree on these; the plan follows your choice at once, and what was done
        stays.
      </Box>
    </Panel>
  );
}
