'use client';
import { Flex } from '@chakra-ui/react';
import {
  Camera,
  Magnet,
  Maximize,
  MousePointer2,
  PenTool,
  Plus,
  Minus,
  Redo2,
  Scissors,
  Shapes,
  Slice,
  SquareDashed,
  Target,
  Triangle,
  Undo2,
  type LucideIcon,
} from 'lucide-react';
import { Button } from '@/ui/Button';
import { FINGER } from '@/ui/touch';
import { useSurvey } from '../SurveyContext';
import type { Tool } from './planView';

const TOOLS: readonly (readonly [Tool, string, LucideIcon])[] = [
  ['select', 'Select', MousePointer2],
  ['draw', 'Draw outline', PenTool],
  ['cut', 'Cut', Slice],
  ['place', 'Place', Shapes],
  ['bare', 'Bare part', Scissors],
  ['recess', 'Recess', SquareDashed],
  ['hardware', 'Hardware', Target],
  ['prop', 'Prop', Triangle],
];

/** What stands on a button whose name is longer. */
const SHORT: Readonly<Partial<Record<Tool, string>>> = { draw: 'Outline', bare: 'Bare' };

interface ToolProps {
  readonly tool: Tool;
  readonly onTool: (tool: Tool) => void;
  readonly onTrace: () => void;
}

/** What can be drawn and put on the plan. */
export function ToolBar({ tool, onTool, onTrace }: ToolProps) {
  return (
    <Flex role="toolbar" aria-label="Tools of the plan" gap="1" wrap="wrap" align="center" mb="2">
      {TOOLS.map(([name, label, Sign]) => (
        <Button
          key={name}
          size="sm"
          minH="36px"
          css={FINGER}
          px="2"
          variant={tool === name ? 'ink' : 'quiet'}
          aria-pressed={tool === name}
          aria-label={label}
          onClick={() => onTool(name)}
        >
          <Sign size={16} aria-hidden /> {SHORT[name] ?? label}
        </Button>
      ))}
      <Button
        size="sm"
        minH="36px"
        css={FINGER}
        px="2"
        variant="amber"
        aria-label="Trace a photo"
        onClick={onTrace}
      >
        <Camera size={16} aria-hidden /> Trace
      </Button>
    </Flex>
  );
}

function Icon({
  label,
  icon: Sign,
  ...rest
}: {
  label: string;
  icon: LucideIcon;
  disabled?: boolean;
  onClick: () => void;
  'aria-pressed'?: boolean;
}) {
  return (
    <Button
      size="sm"
      variant="quiet"
      aria-label={label}
      title={label}
      px="2"
      minH="36px"
      css={FINGER}
      minW="36px"
      {...rest}
    >
      <Sign size={18} aria-hidden />
    </Button>
  );
}

interface ViewProps {
  readonly snapping: boolean;
  readonly onSnapping: (on: boolean) => void;
  readonly onZoom: (factor: number) => void;
  readonly onFit: () => void;
}

/** Steps back and forward, snapping, and what is shown of the plan. */
export function ViewBar({ snapping, onSnapping, onZoom, onFit }: ViewProps) {
  const { undo, redo, canUndo, canRedo } = useSurvey();
  return (
    <Flex role="toolbar" aria-label="View of the plan" align="center">
      <Icon label="Undo (Ctrl Z)" icon={Undo2} disabled={!canUndo} onClick={undo} />
      <Icon label="Redo (Ctrl Shift Z)" icon={Redo2} disabled={!canRedo} onClick={redo} />
      <Button
        size="sm"
        minH="36px"
        css={FINGER}
        px="2"
        variant="quiet"
        aria-pressed={snapping}
        whiteSpace="nowrap"
        onClick={() => onSnapping(!snapping)}
      >
        <Magnet size={16} aria-hidden /> Snap {snapping ? 'on' : 'off'}
      </Button>
      <Icon label="Closer" icon={Plus} onClick={() => onZoom(1.4)} />
      <Icon label="Farther" icon={Minus} onClick={() => onZoom(1 / 1.4)} />
      <Icon label="Show all" icon={Maximize} onClick={onFit} />
    </Flex>
  );
}
