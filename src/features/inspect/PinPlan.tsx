'use client';
import { Box, Flex } from '@chakra-ui/react';
import { DEFECT_GUIDE } from '@/core/inspect';
import { edgeKindsOf, type Area, type Defect } from '@/records';
import { inBox, planBox, PlanPad } from '@/features/common/PlanPad';
import { findingState } from '@/shop/findings';
import { Button } from '@/ui/Button';
import { FINGER_ROUND } from '@/ui/touch';
import { DefectGlyph } from './DefectGlyph';
import { useViewportWidth } from '@/ui/useWidth';

type At = NonNullable<Defect['at']>;

interface Props {
  readonly areas: readonly Area[];
  readonly area: Area;
  readonly onArea: (areaId: Area['id']) => void;
  readonly fill: string;
  /** In the order of their numbers. */
  readonly defects: readonly Defect[];
  readonly selectedId: string | null;
  readonly onSelect: (id: Defect['id']) => void;
  /** Where the next finding goes; null: nowhere yet. */
  readonly at: At | null;
  readonly onAt: (at: At) => void;
  /** Places that a photo proposes, by letter. */
  readonly proposed: readonly At['point'][];
}

/** What the frame takes from a narrow window beside the plan, px. */
const ROUND_PX = 76;
const SIZE = 380;
const PIN = 34;

/** The plan of one area with what was found on it; a tap on it is the place of the next finding. */
export function PinPlan({ areas, area, onArea, fill, ...props }: Props) {
  const { defects, selectedId, onSelect, at, onAt, proposed } = props;
  const box = planBox(area.shape);
  const place = (point: At['point']) => {
    const { x, y } = inBox(box, point);
    return { left: `calc(${x * 100}% - ${PIN / 2}px)`, top: `calc(${y * 100}% - ${PIN / 2}px)` };
  };
  const width = useViewportWidth();
  return (
    <Box>
      {areas.length > 1 && (
        <Flex gap="2" mb="3" wrap="wrap">
          {areas.map((a) => (
            <Button
              key={a.id}
              variant={a.id === area.id ? 'ink' : 'outline'}
              aria-pressed={a.id === area.id}
              onClick={() => onArea(a.id)}
            >
              {a.name}
            </Button>
          ))}
        </Flex>
      )}
      <PlanPad
        area={area}
        size={Math.min(SIZE, width - ROUND_PX)}
        edgeKinds={edgeKindsOf(area)}
        fill={fill}
        verb="Place the finding: "
        onPick={(point) => onAt({ areaId: area.id, point })}
      >
        {defects.map((d, i) =>
          d.at?.areaId === area.id ? (
            <Button
              key={d.id}
              css={{ ...FINGER_ROUND, position: 'absolute' }}
              {...place(d.at.point)}
              minW={`${PIN}px`}
              minH={`${PIN}px`}
              width={`${PIN}px`}
              height={`${PIN}px`}
              p="0"
              borderRadius="full"
              borderWidth="2px"
              borderStyle={findingState(d) === 'closed' ? 'dashed' : 'solid'}
              borderColor={findingState(d) === 'closed' ? 'verdigris' : 'oxide'}
              bg={d.id === selectedId ? 'ink' : 'card'}
              color={
                d.id === selectedId ? 'card' : findingState(d) === 'closed' ? 'verdigris' : 'oxide'
              }
              aria-pressed={d.id === selectedId}
              aria-label={`Finding ${i + 1}: ${DEFECT_GUIDE[d.kind].label}`}
              onClick={() => onSelect(d.id)}
            >
              <DefectGlyph kind={d.kind} size={20} />
            </Button>
          ) : null,
        )}
        {proposed.map((point, i) => (
          <Box
            key={`${point[0]} ${point[1]}`}
            position="absolute"
            {...place(point)}
            width={`${PIN}px`}
            height={`${PIN}px`}
            borderRadius="full"
            borderWidth="2px"
            borderStyle="dashed"
            borderColor="slate"
            textAlign="center"
            fontWeight="700"
            lineHeight={`${PIN - 4}px`}
            pointerEvents="none"
            aria-hidden
          >
            {String.fromCharCode(65 + i)}
          </Box>
        ))}
        {at?.areaId === area.id && (
          <Box
            position="absolute"
            {...place(at.point)}
            width={`${PIN}px`}
            height={`${PIN}px`}
            borderRadius="full"
            borderWidth="3px"
            borderStyle="dotted"
            borderColor="ink"
            pointerEvents="none"
            aria-hidden
          />
        )}
      </PlanPad>
    </Box>
  );
}
