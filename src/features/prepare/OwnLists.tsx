'use client';
import { Box, Flex, Heading } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { addTasks, dropTemplate, keepTemplate, stepsFrom } from '@/data/repos/ownSteps';
import type { Template } from '@/records';
import type { PieceView } from '@/shop/coatView';
import { prepOf } from '@/shop/prepView';
import { useNow } from '@/data/hooks';
import { Button } from '@/ui/Button';
import { TextField } from '@/ui/TextField';

/** One list of the shop: what is in it, and the way to take it. */
function List({ template, view }: { template: Template; view: PieceView }) {
  const act = useAct();
  const { piece, areas } = view;
  const put = () => {
    const steps = stepsFrom(template, areas[0]?.id);
    void act(`put “${template.name}” on ${piece.name}`, (db, c) =>
      addTasks(db, c, piece.id, steps),
    );
  };
  return (
    <Flex as="li" gap="3" align="center" borderTopWidth="1px" borderColor="line" py="2">
      <Box flex="1" minW="0">
        <Box fontWeight="600">{template.name}</Box>
        <Box fontSize="sm" color="ink2">
          {template.steps.map((s) => s.title).join(' · ')}
        </Box>
      </Box>
      <Button size="sm" aria-label={`Put “${template.name}” on this piece`} onClick={put}>
        Put on this piece
      </Button>
      <Button
        size="sm"
        variant="quiet"
        aria-label={`Forget the list “${template.name}”`}
        onClick={() =>
          void act(`forget the list “${template.name}”`, (db, c) =>
            dropTemplate(db, c, template.id),
          )
        }
      >
        Forget
      </Button>
    </Flex>
  );
}

/** The shop's own lists of steps: kept from a piece, put on another. */
export function OwnLists({ view }: { view: PieceView }) {
  const shop = useShop();
  const now = useNow();
  const act = useAct();
  const { piece } = view;
  const [name, setName] = useState('');
  const [error, setError] = useState<string>();
  const own = prepOf(shop, piece, now).facts.own.length;
  const keep = async () => {
    if (name.trim() === '') return setError('What is the list called?');
    setError(undefined);
    const done = await act(
      `keep the list “${name.trim()}”`,
      (db, c) => keepTemplate(db, c, piece.id, name.trim()),
      { id: piece.id, name },
    );
    if (done.ok) setName('');
  };
  if (own === 0 && shop.templates.length === 0) return null;
  return (
    <Box as="section" aria-label="Lists of steps" borderTopWidth="2px" borderColor="line" pt="3">
      <Heading as="h3" fontSize="md" mb="1">
        Lists of the shop
      </Heading>
      {shop.templates.length > 0 && (
        <Box as="ul" listStyleType="none" mb="2">
          {shop.templates.map((t) => (
            <List key={t.id} template={t} view={view} />
          ))}
        </Box>
      )}
      {own > 0 && (
        <Flex gap="2" align="flex-start">
          <Box flex="1">
            <TextField
              label={own === 1 ? 'Keep this one step as' : `Keep these ${own} steps as`}
              value={name}
              error={error}
              onChange={(e) => setName(e.target.value)}
              onKeyDown={(e) => e.key === 'Enter' && void keep()}
            />
          </Box>
          <Button mt="26px" onClick={() => void keep()}>
            Keep the list
          </Button>
        </Flex>
      )}
    </Box>
  );
}
