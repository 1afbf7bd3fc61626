import { Flex } from '@chakra-ui/react';
import type { SimulatedScale } from '@/devices/scale';
import { Button } from '@/ui/Button';

/** How fast the simulated hand pours, kg/s: in a stream, and in drops. */
const STREAM_KG_S = 0.05;
const DROPS_KG_S = 0.004;
/** An invented empty cup, kg. */
const CUP_KG = 0.0124;

/** The simulated scale has a simulated hand: it puts the cup on and pours, while a key is held or until it is let go. */
export function HandOfScale({ hand }: { hand: SimulatedScale }) {
  const pours = (words: string, flowKgS: number) => (
    <Button
      minH="64px"
      touchAction="none"
      onPointerDown={(e) => {
        // What is shown above may move the key away from under the finger.
        e.currentTarget.setPointerCapture(e.pointerId);
        hand.pour(flowKgS);
      }}
      onLostPointerCapture={() => hand.pour(0)}
      onKeyDown={(e) => e.key === 'Enter' && !e.repeat && hand.pour(flowKgS)}
      onKeyUp={(e) => e.key === 'Enter' && hand.pour(0)}
    >
      {words}
    </Button>
  );
  return (
    <Flex as="section" aria-label="Simulated hand" gap="2" wrap="wrap" align="center" mt="2">
      simulated hand:
      <Button minH="64px" onClick={() => hand.put(CUP_KG)}>
        Cup on
      </Button>
      {pours('Pour', STREAM_KG_S)}
      {pours('Drip', DROPS_KG_S)}
      {pours('Pour out', -STREAM_KG_S)}
      <Button minH="64px" variant="quiet" onClick={() => hand.plug(false)}>
        Plug out
      </Button>
    </Flex>
  );
}
