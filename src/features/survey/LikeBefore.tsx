'use client';
import { Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { duplicatePiece } from '@/data/repos/survey';
import type { Piece } from '@/records';
import { Button } from '@/ui/Button';
import { go } from '@/ui/go';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';

/** Adds another piece like one of the shop, its survey and its coats with it, and leads to it. */
export function useLike() {
  const act = useAct();
  return async (piece: Piece, name: string) => {
    const outcome = await act(
      `add a piece like ${piece.name}`,
      (db, c) => duplicatePiece(db, c, piece.id, name),
      { id: piece.id, name },
    );
    if (outcome.ok) go(`/pieces/${outcome.value}/survey`);
  };
}

/** Any piece that was made before serves as a template: its survey, its coats and its layers are planned again. */
export function LikeBefore() {
  const { pieces } = useShop();
  const add = useLike();
  const [chosen, setChosen] = useState('');
  const [name, setName] = useState('');
  const like = pieces.find((p) => p.id === chosen) ?? pieces.at(-1);
  if (!like) return null;
  const own = name.trim() === '' ? `${like.name}, copy` : name.trim();
  return (
    <Panel as="section" data-noprint aria-label="Like one before" mb="4">
      <Heading as="h2" fontSize="lg" mb="2">
        Like one you made before
      </Heading>
      <Flex gap="3" align="end" wrap="wrap">
        <SelectField
          label="Piece that it is like"
          options={pieces.map((p) => [p.id, p.name] as const)}
          value={like.id}
          onChange={(e) => setChosen(e.target.value)}
        />
        <TextField
          label="It is called"
          placeholder={`${like.name}, copy`}
          maxLength={120}
          value={name}
          onChange={(e) => setName(e.target.value)}
        />
        <Button onClick={() => void add(like, own)}>Add it with its coats</Button>
      </Flex>
    </Panel>
  );
}
