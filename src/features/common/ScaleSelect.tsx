'use client';
import { Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { useAct, useShop } from '@/data/hooks';
import { chooseAtBench } from '@/data/repos/bench';
import { canSerial, choosePort } from '@/devices/scale';
import { BAUDS, type ScaleChoice } from '@/records';
import { Button } from '@/ui/Button';
import { SelectField } from '@/ui/SelectField';

const CHOICES: readonly (readonly [id: string, words: string, choice: ScaleChoice | null])[] = [
  ['hand', 'told by hand', null],
  ['0.1', 'simulated scale, 0.1 g', { kind: 'simulated', stepKg: 0.0001 }],
  ['1', 'simulated scale, 1 g', { kind: 'simulated', stepKg: 0.001 }],
  ['serial', 'scale on a serial port', { kind: 'serial', baud: 9600 }],
];

const idOf = (scale: ScaleChoice | null): string =>
  CHOICES.find(([, , c]) =>
    scale?.kind === 'simulated' && c?.kind === 'simulated'
      ? c.stepKg === scale.stepKg
      : c?.kind === scale?.kind,
  )?.[0] ?? 'hand';

/** Which scale is followed at the bench; one on a serial port is chosen in the browser’s own list. */
export function ScaleSelect() {
  const act = useAct();
  const { scale } = useShop().settings;
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const choose = (next: ScaleChoice | null) =>
    void act('choose the scale', (db, c) => chooseAtBench(db, c, { scale: next }));
  const pick = async () => {
    try {
      await choosePort();
      setTrouble(undefined);
    } catch {
      setTrouble('No port was chosen.');
    }
  };
  const serial = scale?.kind === 'serial' ? scale : null;
  return (
    <Flex direction="column" gap="2">
      <SelectField
        label="Scale at the bench"
        options={CHOICES.map(([id, words]) => [id, words] as const)}
        value={idOf(scale)}
        error={
          serial && !canSerial()
            ? 'This browser reaches no serial port: readings are told by hand.'
            : trouble
        }
        onChange={(e) => choose(CHOICES.find(([id]) => id === e.target.value)?.[2] ?? null)}
      />
      {serial && canSerial() && (
        <Flex gap="3" align="flex-end" wrap="wrap">
          <SelectField
            label="Speed"
            options={BAUDS.map((b) => [String(b), `${b} baud`] as const)}
            value={String(serial.baud)}
            onChange={(e) =>
              choose({
                kind: 'serial',
                baud: BAUDS.find((b) => String(b) === e.target.value) ?? 9600,
              })
            }
          />
          <Button onClick={() => void pick()}>Choose its port …</Button>
        </Flex>
      )}
    </Flex>
  );
}
