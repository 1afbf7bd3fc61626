'use client';
import { Box, chakra, Flex } from '@chakra-ui/react';
import { extent } from '@/core/numeric';
import { HALF_PLANE_SIDES, shapeSides, type HalfPlane } from '@/core/geometry';
import { sandRegion, type PrepFacts, type PrepTask } from '@/core/prep';
import { useFormat } from '@/features/common/useFormat';
import { Figure } from '@/ui/Figure';
import { SelectField } from '@/ui/SelectField';

interface Props {
  readonly task: PrepTask;
  readonly facts: PrepFacts;
  readonly limit: HalfPlane | null;
  readonly onDraft: (limit: HalfPlane | null) => void;
  readonly onCommit: (limit: HalfPlane | null) => void;
}

/** Span of the task's areas across the line, m. */
function spanOf(
  facts: PrepFacts,
  task: PrepTask,
  side: HalfPlane['side'],
): readonly [number, number] {
  const along = side === 'left' || side === 'right' ? 0 : 1;
  const values = facts.areas
    .filter((a) => task.areaIds.includes(a.id))
    .flatMap((a) =>
      shapeSides(a.shape)
        .flat()
        .map((p) => p[along] + a.at[along]),
    );
  return values.length > 0 ? extent(values) : [0, 1];
}

/** Sanding on one side of a line only: the side, and where the line lies. */
export function LimitLine({ task, facts, limit, onDraft, onCommit }: Props) {
  const { show } = useFormat();
  const [low, high] = spanOf(facts, task, limit?.side ?? 'above');
  const region = sandRegion(facts, task.areaIds, limit);
  const commit = () => onCommit(limit);
  return (
    <Box>
      <SelectField
        label="Where to sand"
        value={limit?.side ?? 'all'}
        options={[
          ['all', 'all of it'],
          ...HALF_PLANE_SIDES.map((s) => [s, `only ${s} a line`] as [string, string]),
        ]}
        onChange={(e) => {
          const side = HALF_PLANE_SIDES.find((s) => s === e.target.value);
          if (!side) return onCommit(null);
          const [from, to] = spanOf(facts, task, side);
          onCommit({ side, atM: (from + to) / 2 });
        }}
      />
      {limit && (
        <Flex align="center" gap="3" mt="2">
          <chakra.input
            type="range"
            aria-label="Place of the line"
            min={low}
            max={high}
            step={(high - low) / 200}
            value={limit.atM}
            onChange={(e) => onDraft({ ...limit, atM: Number(e.target.value) })}
            onPointerUp={commit}
            onKeyUp={commit}
            onBlur={commit}
            flex="1"
            height="38px"
            accentColor="ink"
          />
          <Box fontSize="sm">
            <Figure>{show(limit.atM - low, 'length').text}</Figure> in,{' '}
            <Figure>{show(region.areaM2 * facts.count, 'area').text}</Figure>
          </Box>
        </Flex>
      )}
    </Box>
  );
}
