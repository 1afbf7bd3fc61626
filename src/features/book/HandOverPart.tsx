'use client';
import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import type { BundleWhat } from '@/data/exchange/bundle';
import { useShop } from '@/data/hooks';
import type { Shop } from '@/shop/shop';
import { HandOver } from '@/features/common/files/HandOver';
import { SelectField } from '@/ui/SelectField';

interface Part {
  readonly key: string;
  readonly words: string;
  readonly what: BundleWhat;
  readonly name: string;
}

/** What can be handed over without the rest of the shop. A piece, and a session, have their own key where they are worked on. */
function partsOf({ pieces, resins, templates }: Shop): Part[] {
  const jobs = [...new Set(pieces.map((p) => p.job).filter((job) => job !== ''))];
  return [
    ...jobs.map((name) => ({
      ...{ key: `job ${name}`, words: `Job: ${name}`, name },
      what: { kind: 'job', name } as const,
    })),
    ...pieces.map(({ id, name }) => ({
      ...{ key: id, words: `Piece: ${name}`, name },
      what: { kind: 'piece', id } as const,
    })),
    ...resins.map(({ id, name }) => ({
      ...{ key: id, words: `Data sheet: ${name}`, name },
      what: { kind: 'resin', id } as const,
    })),
    ...templates.map(({ id, name }) => ({
      ...{ key: id, words: `Steps: ${name}`, name },
      what: { kind: 'template', id } as const,
    })),
  ];
}

/** A part of the shop for another machine. */
export function HandOverPart() {
  const parts = partsOf(useShop());
  const [key, setKey] = useState('');
  const chosen = parts.find((p) => p.key === key) ?? parts[0];
  if (!chosen) return null;
  return (
    <Flex direction="column" gap="2" borderTopWidth="1px" borderColor="line" pt="3" mt="1">
      <SelectField
        label="A part for another machine"
        options={parts.map((p) => [p.key, p.words] as const)}
        value={chosen.key}
        onChange={(e) => setKey(e.target.value)}
      />
      <HandOver what={chosen.what} name={chosen.name} />
    </Flex>
  );
}
