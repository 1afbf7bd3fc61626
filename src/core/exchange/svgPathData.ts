/** Attributes of an element, by name. */
export type Attributes = Readonly<Record<string, string>>;

const number = (text: string | undefined, otherwise = 0): number => {
  const value = Number.parseFloat(text ?? '');
  return Number.isFinite(value) ? value : otherwise;
};

function roundedRect(a: Attributes): string {
  const [x, y, w, h] = [number(a['x']), number(a['y']), number(a['width']), number(a['height'])];
  const rx = Math.min(w / 2, number(a['rx'], number(a['ry'])));
  const ry = Math.min(h / 2, number(a['ry'], rx));
  if (!(rx > 0 && ry > 0)) return `M${x} ${y}h${w}v${h}h${-w}z`;
  const arc = (dx: number, dy: number) => `a${rx} ${ry} 0 0 1 ${dx} ${dy}`;
  return `M${x + rx} ${y}h${w - 2 * rx}${arc(rx, ry)}v${h - 2 * ry}${arc(-rx, ry)}h${2 * rx - w}${arc(-rx, -ry)}v${2 * ry - h}${arc(rx, -ry)}z`;
}

function ellipse(cx: number, cy: number, rx: number, ry: number): string {
  return `M${cx - rx} ${cy}a${rx} ${ry} 0 1 0 ${2 * rx} 0a${rx} ${ry} 0 1 0 ${-2 * rx} 0z`;
}

/** Path data of a drawn element. */
export function pathData(tag: string, a: Attributes): string {
  switch (tag) {
    case 'path':
      return a['d'] ?? '';
    case 'rect':
      return roundedRect(a);
    case 'circle':
      return ellipse(number(a['cx']), number(a['cy']), number(a['r']), number(a['r']));
    case 'ellipse':
      return ellipse(number(a['cx']), number(a['cy']), number(a['rx']), number(a['ry']));
    case 'line':
      return `M${number(a['x1'])} ${number(a['y1'])}L${number(a['x2'])} ${number(a['y2'])}`;
    default:
      return `M${a['points'] ?? ''}${tag === 'polygon' ? 'z' : ''}`;
  }
}

/** Numbers that one command of the path language takes, and what a repeated one goes on as. */
const TAKES: Readonly<Record<string, readonly [count: number, then: string]>> = {
  M: [2, 'L'],
  L: [2, 'L'],
  T: [2, 'T'],
  Q: [4, 'Q'],
  S: [4, 'S'],
  C: [6, 'C'],
};
/** A run of numbers after one command that is longer than this is given its commands, characters. */
const LONG_RUN = 2000;

/** Path data with a command for each step: the package that reads it takes the square of a long run. */
export const shortRuns = (data: string): string =>
  data.replace(/([MLTQSC])([^A-DF-Z]{2000,})/gi, (whole, command: string, run: string) => {
    const [count, then] = TAKES[command.toUpperCase()] ?? [0, ''];
    const numbers = run.match(/[-+]?(?:\d+\.?\d*|\.\d+)(?:e[-+]?\d+)?/gi) ?? [];
    if (run.length < LONG_RUN || count === 0 || numbers.length % count !== 0) return whole;
    const next = command === command.toUpperCase() ? then : then.toLowerCase();
    const steps: string[] = [];
    for (let i = 0; i < numbers.length; i += count)
      steps.push(`${i === 0 ? command : next}${numbers.slice(i, i + count).join(' ')}`);
    return steps.join('');
  });
