import { Box, Flex } from '@chakra-ui/react';
import { totalExplanation } from '@/core/coat';
import { usualGround, type Support } from '@/core/piece';
import { mixDensity, splitExplanation } from '@/core/resin';
import { Explained } from '@/features/common/Explained';
import { useFormat } from '@/features/common/useFormat';
import { splitOf } from '@/shop/coatView';
import { Caution } from '@/ui/Caution';
import { Figure } from '@/ui/Figure';
import type { FirstVolume } from './firstCoat';

interface Props {
  readonly volume: FirstVolume | null;
  readonly support: Support;
  /** The resin is a starter of no maker. */
  readonly starter: boolean;
}

/** Everything that nobody said and that the volume stands on. */
function Assumptions({ volume, support, starter }: Props & { volume: FirstVolume }) {
  const { show } = useFormat();
  const drinks = usualGround(support).porosity === 'porous';
  const lines = [
    'every edge is open: resin may run over it',
    drinks ? 'the face drinks: some soaks in, and Prepare asks for a seal' : 'the face is sealed',
    starter
      ? 'the resin is a starter of no maker: its ratio and times are what such resins usually say'
      : 'densities and viscosity of your resin are as usual',
    `the room is at ${show(volume.view.roomK, 'temperature').text}`,
    'nothing stands on the face, and it is level',
  ];
  return (
    <Box mt="4">
      <Box fontFamily="heading" fontWeight="600" mb="1">
        Assumed, until you say more
      </Box>
      <Box as="ul" ps="5" color="ink2" listStyleType="disc">
        {lines.map((line) => (
          <li key={line}>{line}</li>
        ))}
      </Box>
    </Box>
  );
}

/** The volume of the first coat as it stands, what to weigh, and on what that rests. */
export function FirstVolumePanel(props: Props) {
  const { volume } = props;
  const { scale, show } = useFormat();
  if (!volume)
    return <Box color="ink2">Say how large it is: the volume to mix comes here, with A and B.</Box>;
  const { ledger, view } = volume;
  const coat = view.coats[0];
  const split = coat ? splitOf(ledger, coat.resin) : null;
  return (
    <>
      <Box fontFamily="heading" fontWeight="600">
        To mix
      </Box>
      <Box fontSize="4xl" fontWeight="600" lineHeight="1.1" aria-live="polite">
        {coat && (
          <Explained
            explanation={totalExplanation(ledger, mixDensity(coat.resin.sheet))}
            quantity="volume"
          >
            <Figure>{show(ledger.totalM3, 'volume').text}</Figure>
          </Explained>
        )}
      </Box>
      <Figure color="ink2">
        ± {show(ledger.sigmaM3, 'volume').text} · {show(ledger.totalKg, 'mass').text}
      </Figure>
      {coat && split && (
        <Flex gap="5" mt="2">
          {(['A', 'B'] as const).map((part) => (
            <Box key={part} fontWeight="600">
              {part}{' '}
              <Explained
                explanation={splitExplanation(split, coat.resin.sheet, part)}
                quantity="mass"
              >
                <Figure>{scale(part === 'A' ? split.aKg : split.bKg).text}</Figure>
              </Explained>
            </Box>
          ))}
        </Flex>
      )}
      <Box as="ul" listStyleType="none" mt="3">
        {ledger.lines.map((line) => (
          <Flex
            as="li"
            key={line.id}
            justify="space-between"
            borderTopWidth="1px"
            borderColor="line"
            py="1"
          >
            <span>{line.explanation.title}</span>
            <Explained explanation={line.explanation} quantity="volume">
              <Figure>{show(line.volumeM3, 'volume').text}</Figure>
            </Explained>
          </Flex>
        ))}
      </Box>
      <Assumptions {...props} volume={volume} />
      <Box mt="4">
        <Caution title="Before you mix">
          The safety data sheet of your own resin decides: gloves, air, what it may touch. A starter
          sheet replaces neither it nor the data sheet.
        </Caution>
      </Box>
    </>
  );
}
