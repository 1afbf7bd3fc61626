'use client';
import { Box, chakra, type HTMLChakraProps } from '@chakra-ui/react';
import { useRef, useState, type ReactNode, type RefObject } from 'react';
import type { Explanation } from '@/core/explain';
import type { Quantity } from '@/core/units';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Opens } from '@/ui/Opens';
import { FINGER_ROUND } from '@/ui/touch';
import { termsIn } from './glossary';
import { isPhysics, plainWords } from './plainWords';
import { useFormat } from './useFormat';

interface Props {
  readonly explanation: Explanation;
  /** Kind of the explained number, for its uncertainty. */
  readonly quantity: Quantity;
  /** What can be done about the number, below its source. */
  readonly footer?: ReactNode;
  readonly children: ReactNode;
}

function Inputs({ explanation }: { explanation: Explanation }) {
  const { show } = useFormat();
  return (
    <chakra.table width="100%" fontSize="sm" my="2">
      <tbody>
        {explanation.inputs.map((input) => (
          <chakra.tr key={input.label} borderTopWidth="1px" borderColor="line">
            <chakra.th scope="row" textAlign="left" fontWeight="400" py="1">
              {input.label}
              <Box as="span" display="block" fontSize="xs" color="ink2">
                {input.source}
              </Box>
            </chakra.th>
            <chakra.td textAlign="right">
              <Figure>{show(input.value, input.quantity).text}</Figure>
            </chakra.td>
          </chakra.tr>
        ))}
      </tbody>
    </chakra.table>
  );
}

function Trigger({ title, ...rest }: { title: string } & HTMLChakraProps<'button'>) {
  return (
    <chakra.button
      type="button"
      aria-label={`${title}: how it is worked out`}
      cursor="pointer"
      bg="transparent"
      color="inherit"
      font="inherit"
      minH="24px"
      minW="24px"
      textAlign="start"
      textDecoration="underline dotted"
      textUnderlineOffset="4px"
      textDecorationColor="ink3"
      _hover={{ bg: 'amberWash' }}
      _focusVisible={{ outline: '3px solid', outlineColor: 'focus' }}
      css={FINGER_ROUND}
      {...rest}
    />
  );
}

/** Takes the number with its unit along, as it is shown. */
function Copy({ shown }: { shown: RefObject<HTMLElement | null> }) {
  const [copied, setCopied] = useState('');
  const copy = async () => {
    // Plain spaces: another program need not know the narrow ones.
    const text = (shown.current?.textContent ?? '').replace(/\s+/g, ' ').trim();
    try {
      await navigator.clipboard.writeText(text);
      setCopied(`✓ ${text} copied`);
    } catch {
      setCopied('The browser does not let it be copied.');
    }
  };
  return (
    <Box mt="2">
      <Button size="sm" onClick={() => void copy()}>
        Copy the number
      </Button>{' '}
      <Box as="span" role="status" fontSize="sm">
        {copied}
      </Box>
    </Box>
  );
}

const Formula = ({ children }: { children: ReactNode }) => (
  <Box fontFamily="mono" fontSize="sm" bg="paper" px="2" py="1.5" my="2">
    {children}
  </Box>
);

interface OpenedProps extends Omit<Props, 'children'> {
  readonly shown: RefObject<HTMLElement | null>;
}

function Opened({ explanation, quantity, footer, shown }: OpenedProps) {
  const { show, words } = useFormat();
  const { title, formula, source, sigma, note } = explanation;
  const plain = plainWords(title);
  const folded = isPhysics(formula);
  return (
    <>
      <Box fontFamily="heading" fontWeight="600" fontSize="lg">
        {title}
      </Box>
      {plain && <Box mt="1">{plain}</Box>}
      {termsIn(title).map(({ word, means }) => (
        <Box key={word} fontSize="sm" color="ink2" mt="1">
          <strong>{word}</strong>: {means}
        </Box>
      ))}
      {!folded && <Formula>{formula}</Formula>}
      <Inputs explanation={explanation} />
      {sigma !== undefined && (
        <Box fontSize="sm">
          Uncertainty ± <Figure>{show(sigma, quantity).text}</Figure> (one standard deviation)
        </Box>
      )}
      {note && (
        <Box fontSize="sm" mt="1">
          {words(note)}
        </Box>
      )}
      {folded && (
        <chakra.details mt="2">
          <chakra.summary cursor="pointer" fontWeight="600" minH="24px">
            The physics
          </chakra.summary>
          <Formula>{formula}</Formula>
        </chakra.details>
      )}
      <Box fontSize="xs" color="ink2" mt="2">
        Source: {words(source)}
      </Box>
      <Copy shown={shown} />
      {footer}
    </>
  );
}

/** A number that opens to its formula, inputs, source and uncertainty. */
export function Explained({ explanation, quantity, footer, children }: Props) {
  const shown = useRef<HTMLSpanElement>(null);
  const { title } = explanation;
  return (
    <Opens
      label={title}
      // With something to do below its source it is tall: beside the number it has the whole height.
      placement={footer ? 'left' : 'bottom-end'}
      button={
        <Trigger title={title}>
          <span ref={shown}>{children}</span>
        </Trigger>
      }
    >
      <Opened explanation={explanation} quantity={quantity} footer={footer} shown={shown} />
    </Opens>
  );
}
