'use client';
import { Box, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { toSI } from '@/core/units';
import { useAct, useShop } from '@/data/hooks';
import { weighCup, type Weighed } from '@/data/repos/wet';
import { useFormat } from '@/features/common/useFormat';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { HandOfScale } from './HandOfScale';
import type { WetView } from './model';
import { NumberPad } from './NumberPad';
import { useScale } from './useScale';

/** The cup on the scale before and after a pour: what left it is what the piece got. */
export function CupWeight({ view }: { view: WetView }) {
  const act = useAct();
  const { scale: show } = useFormat();
  const { settings } = useShop();
  const scale = useScale();
  const [asking, setAsking] = useState(false);
  const { batch, done } = view;
  const live = scale?.state.is === 'live' ? scale.state : null;
  const take = (weighed: Weighed) => {
    setAsking(false);
    void act('weigh the cup', (db, c) => weighCup(db, c, batch.id, weighed));
  };
  const out = live && done.cupKg !== null ? done.cupKg - live.kg : null;
  return (
    <Box as="section" aria-label="Cup on the scale" mt="3">
      <Flex gap="3" align="center" wrap="wrap" fontSize="lg">
        {scale && (
          <Button
            minH="64px"
            fontSize="lg"
            disabled={!live?.steady || !(live.kg > 0)}
            onClick={() => live && take({ kg: live.kg, by: scale.by })}
          >
            Take the cup’s weight: {live ? show(live.kg).text : 'no scale'}
          </Button>
        )}
        <Button
          minH="64px"
          fontSize="lg"
          variant={scale ? 'quiet' : 'outline'}
          onClick={() => setAsking(true)}
        >
          {scale
            ? 'By hand …'
            : done.cupKg === null
              ? 'Weigh the full cup …'
              : 'Weigh the cup again …'}
        </Button>
        {scale && !live && (
          <Button minH="64px" fontSize="lg" variant="amber" onClick={scale.again}>
            Try again
          </Button>
        )}
        {done.cupKg !== null && (
          <span>
            it weighed <Figure>{show(done.cupKg).text}</Figure>
            {out !== null && out > 0 && (
              <>
                ; <Figure fontWeight="600">{show(out).text}</Figure> have left it
              </>
            )}
          </span>
        )}
      </Flex>
      {scale?.hand && <HandOfScale hand={scale.hand} />}
      {asking && (
        <NumberPad
          title="What does the cup weigh, with what is in it?"
          unit={settings.scaleUnit}
          onTold={(value) => take({ kg: toSI(value, settings.scaleUnit), by: 'read' })}
          onCancel={() => setAsking(false)}
        />
      )}
    </Box>
  );
}
