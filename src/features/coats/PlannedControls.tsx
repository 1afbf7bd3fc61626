'use client';
import { Flex } from '@chakra-ui/react';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { pathLength, type Intent } from '@/core/coat';
import type { Issue } from '@/core/result';
import { mixDensity } from '@/core/resin';
import { editText, parseQuantity } from '@/core/units';
import { useShop } from '@/data/hooks';
import type { CoatChange } from '@/data/repos/coats';
import type { CoatView } from '@/shop/coatView';
import { FieldReader } from '@/features/common/fieldReader';
import { issueText } from '@/features/common/issueText';
import { reserveId, reserveOptions, reserveSchool } from '@/features/common/reserves';
import { useFormat } from '@/features/common/useFormat';
import { WordMark } from '@/features/common/WordMark';
import { Button } from '@/ui/Button';
import { Figure } from '@/ui/Figure';
import { Panel } from '@/ui/Panel';
import { SelectField } from '@/ui/SelectField';
import { TextField } from '@/ui/TextField';
import { CoatDetails } from './CoatDetails';
import { FitNote } from './FitNote';
import { IntentFields } from './IntentFields';
import { sharesText } from '@/features/common/shares';
import { readColours } from './colours';
import { lineDraft, LINE_WORDS, readLine } from './lines';
import {
  draftOfIntent,
  intentIssueText,
  readIntent,
  switchIntent,
  type IntentDraft,
} from './intents';
import { useFollowing } from './useFollowing';

interface Props {
  readonly view: CoatView;
  readonly intent: Intent;
  /** What its ledger comes to, m³; null where it has none. */
  readonly totalM3: number | null;
  /** What stands against the intention on this piece. */
  readonly issue: Issue | null;
  readonly places: { readonly lower: boolean; readonly higher: boolean };
  /** `base` is what stood there when the change was begun, where that may be long ago. */
  readonly onSave: (change: CoatChange, base?: CoatChange) => Promise<unknown>;
  readonly onMove: (by: 1 | -1) => void;
  readonly onRemove: () => void;
}

function IntentControl({
  view,
  intent,
  totalM3,
  issue,
  onSave,
}: Omit<Props, 'places' | 'onMove' | 'onRemove'>) {
  const format = useFormat();
  const {
    value: draft,
    type,
    put,
    touched,
    done,
    origin,
  } = useFollowing(draftOfIntent(intent, format), intent);
  const { thinnestM: min, thickestM: max } = view.resin.sheet;
  const read = (typed: IntentDraft) => {
    const reader = new FieldReader<'value'>(format);
    const found = readIntent(typed, reader, 'value', mixDensity(view.resin.sheet), format);
    if (
      found.by === 'given' &&
      reader.sound &&
      !(found.thicknessM >= min && found.thicknessM <= max)
    )
      reader.issue(
        'value',
        { code: 'out-of-range', path: [], value: found.thicknessM, allowed: { min, max } },
        'film',
      );
    return { found, error: reader.errors.value };
  };
  const { error } = read(draft);
  const save = (typed: IntentDraft) => {
    const { found, error: wrong } = read(typed);
    return !wrong && JSON.stringify(found) !== JSON.stringify(intent)
      ? onSave({ intent: found }, { intent: origin })
      : Promise.resolve();
  };
  const standing = issue ? intentIssueText(issue, format) : undefined;
  return (
    <IntentFields
      draft={draft}
      hint="Or drag the surface in the section; arrow keys work too"
      error={(touched ? error : undefined) ?? standing}
      onKind={(by) => {
        const { thicknessM } = view.coat;
        const next = switchIntent(by, { thicknessM, totalM3 }, format);
        put(next, save(next));
      }}
      onValue={(value) => type({ ...draft, value })}
      onDone={() => {
        done();
        void save(draft);
      }}
    />
  );
}

/** Share of its areas that a patch or an art coat covers, and the colours of the latter. */
function PartControls({ view, onSave }: Pick<Props, 'view' | 'onSave'>) {
  const format = useFormat();
  const { coat } = view;
  const coverage = useFollowing(editText(coat.coverage, '%'), coat.coverage);
  const colours = useFollowing(sharesText(coat.colours), coat.colours);
  const parsed = parseQuantity(coverage.value, 'share', '%', { min: 0.01, max: 1 });
  const issue = parsed.ok ? undefined : parsed.issues[0];
  const { swatches } = useShop();
  const shares = readColours(colours.value, swatches, coat.resinId);
  if (coat.kind !== 'patch' && coat.kind !== 'art') return null;
  const saveShare = () => {
    coverage.done();
    if (parsed.ok && parsed.value !== coat.coverage)
      void onSave({ coverage: parsed.value }, { coverage: coverage.origin });
  };
  const saveColours = () => {
    colours.done();
    if (shares && JSON.stringify(shares) !== JSON.stringify(coat.colours))
      void onSave({ colours: shares }, { colours: colours.origin });
  };
  return (
    <>
      <TextField
        label="Covers"
        hint="Share of its areas. A share says not where: cut a place in the survey for that."
        value={coverage.value}
        error={coverage.touched && issue ? issueText(issue, 'share', format) : undefined}
        onChange={(e) => coverage.type(e.target.value)}
        onBlur={saveShare}
        onKeyDown={(e) => e.key === 'Enter' && saveShare()}
      />
      {coat.kind === 'art' && (
        <TextField
          label="Colours and their shares"
          hint="For example: teal 20 %, pearl 10 %. The rest is clear ground."
          value={colours.value}
          error={
            colours.touched && !shares
              ? 'Name and share of each, 100 % at most in all: teal 20 %, pearl 10 %.'
              : undefined
          }
          onChange={(e) => colours.type(e.target.value)}
          onBlur={saveColours}
          onKeyDown={(e) => e.key === 'Enter' && saveColours()}
        />
      )}
    </>
  );
}

/** Width and sides of a line that is planned; its path is drawn anew by planning another. */
function LineControl({ view, onSave }: Pick<Props, 'view' | 'onSave'>) {
  const format = useFormat();
  const { line } = view.coat;
  const width = useFollowing(line ? lineDraft(line, format).width : '', line?.widthM ?? 0);
  const angle = useFollowing(line ? lineDraft(line, format).angle : '', line?.angleRad ?? 0);
  if (!line) return null;
  const reader = new FieldReader<'width' | 'angle' | 'line'>(format);
  const read = readLine(
    { ...lineDraft(line, format), width: width.value, angle: angle.value },
    reader,
  );
  const save = () => {
    width.done();
    angle.done();
    if (read && JSON.stringify(read) !== JSON.stringify(line)) void onSave({ line: read });
  };
  const keys = (e: { key: string }) => e.key === 'Enter' && save();
  return (
    <>
      <div>
        {LINE_WORDS[line.as]}; <Figure>{format.show(pathLength(line), 'length').text}</Figure> long
      </div>
      <TextField
        label="Its width"
        value={width.value}
        error={width.touched ? reader.errors.width : undefined}
        onChange={(e) => width.type(e.target.value)}
        onBlur={save}
        onKeyDown={keys}
      />
      <TextField
        label="Sides stand at, degrees"
        value={angle.value}
        error={angle.touched ? reader.errors.angle : undefined}
        onChange={(e) => angle.type(e.target.value)}
        onBlur={save}
        onKeyDown={keys}
      />
    </>
  );
}

/** What a planned coat is to do, its reserve and its place, typed and chosen. */
export function PlannedControls({ view, places, onMove, onRemove, ...rest }: Props) {
  return (
    <Panel>
      <Flex direction="column" gap="3">
        {view.coat.line ? (
          <LineControl view={view} onSave={rest.onSave} />
        ) : (
          <IntentControl view={view} {...rest} />
        )}
        <FitNote piece={view.piece} resin={view.resin} />
        <PartControls view={view} onSave={rest.onSave} />
        <SelectField
          label="Reserve"
          mark={<WordMark word="reserve" />}
          value={reserveId(view.coat.reserve)}
          options={reserveOptions}
          onChange={(e) => void rest.onSave({ reserve: reserveSchool(e.target.value) })}
        />
        <CoatDetails view={view} onSave={rest.onSave} />
        <Flex gap="2" wrap="wrap" align="center">
          {places.higher && (
            <Button size="sm" onClick={() => onMove(1)}>
              <ArrowUp size={15} aria-hidden /> Lay it higher
            </Button>
          )}
          {places.lower && (
            <Button size="sm" onClick={() => onMove(-1)}>
              <ArrowDown size={15} aria-hidden /> Lay it lower
            </Button>
          )}
          <Button variant="quiet" size="sm" onClick={onRemove}>
            Take this coat off the plan
          </Button>
        </Flex>
      </Flex>
    </Panel>
  );
}
