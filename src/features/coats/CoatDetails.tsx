'use client';
import { asId } from '@/records';
import { chakra, Flex } from '@chakra-ui/react';
import { useState } from 'react';
import { editText, parseQuantity } from '@/core/units';
import { useShop } from '@/data/hooks';
import { COAT_KINDS, isDam, type CoatKind } from '@/core/piece';
import type { CoatChange } from '@/data/repos/coats';
import type { CoatView } from '@/shop/coatView';
import { issueText } from '@/features/common/issueText';
import { useFormat } from '@/features/common/useFormat';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { Tick } from '@/ui/Tick';
import { CoveredAreas } from './CoveredAreas';
import { useFollowing } from './useFollowing';

/** Longest rest in the cup before the edges, s. Judgement, no source: no working time is longer. */
const REST_S = { min: 0, max: 4 * 3600 } as const;

interface Props {
  readonly view: CoatView;
  readonly onSave: (change: CoatChange, base?: CoatChange) => void;
}

/** Rest in the cup before the edges are wetted: it makes their film thicker, and the cup hotter. */
function Rest({ view, onSave }: Props) {
  const format = useFormat();
  const { coat } = view;
  const { value, type, touched, done, origin } = useFollowing(
    editText(coat.restS, 'min'),
    coat.restS,
  );
  const parsed = parseQuantity(value, 'duration', 'min', REST_S);
  const issue = parsed.ok ? undefined : parsed.issues[0];
  const save = () => {
    done();
    if (parsed.ok && parsed.value !== coat.restS)
      onSave({ restS: parsed.value }, { restS: origin });
  };
  return (
    <TextField
      label="Age of the mix at the edges"
      hint="From the first stir to wetting them; longer clings thicker, but must end before the cup runs hot"
      value={value}
      error={touched && issue ? issueText(issue, 'duration', format) : undefined}
      onChange={(e) => type(e.target.value)}
      onBlur={save}
      onKeyDown={(e) => e.key === 'Enter' && save()}
    />
  );
}

/** What else a planned coat is: its name, kind, resin, areas and rest. */
export function CoatDetails({ view, onSave }: Props) {
  const { resins } = useShop();
  const { coat, around } = view;
  const name = useFollowing(coat.name, coat.name);
  const [frees, setFrees] = useState(coat.freesDams);
  const [areaIds, setAreaIds] = useState<readonly string[]>(coat.areaIds);
  const typed = name.value.trim();
  const sound = typed !== '' && typed.length <= 120;
  const rename = () => {
    name.done();
    if (sound && typed !== coat.name) onSave({ name: typed }, { name: name.origin });
  };
  return (
    <chakra.details>
      <chakra.summary cursor="pointer" fontWeight="600" minH="28px">
        Name, kind, resin, areas, rest
      </chakra.summary>
      <Flex direction="column" gap="3" mt="2">
        <TextField
          label="Name of the coat"
          value={name.value}
          error={name.touched && !sound ? 'Needed, 120 characters at most.' : undefined}
          onChange={(e) => name.type(e.target.value)}
          onBlur={rename}
          onKeyDown={(e) => e.key === 'Enter' && rename()}
        />
        <SelectField
          label="What it is"
          value={coat.kind}
          options={COAT_KINDS.map((k) => [k, k])}
          onChange={(e) => onSave({ kind: e.target.value as CoatKind })}
        />
        <SelectField
          label="Mixed from"
          value={coat.resinId}
          options={resins.map((r) => [r.id, r.name])}
          onChange={(e) => onSave({ resinId: asId(e.target.value) })}
        />
        <CoveredAreas
          areas={around.areas}
          chosen={areaIds}
          onChange={(ids) => {
            setAreaIds(ids);
            if (ids.length > 0) onSave({ areaIds: ids.map((id) => asId(id)) });
          }}
        />
        {around.areas.some(
          (a) => coat.areaIds.includes(a.id) && a.edges.some((e) => isDam(e.kind)),
        ) && (
          <Tick
            checked={frees}
            onTick={(checked) => {
              setFrees(checked);
              onSave({ freesDams: checked });
            }}
          >
            Its dam comes off when it has cured: edges are open from then on
          </Tick>
        )}
        <Rest view={view} onSave={onSave} />
      </Flex>
    </chakra.details>
  );
}
