import type { CoatView } from '@/shop/coatView';
import { SvgText } from '@/ui/SvgText';

interface Props {
  /** Coats that lie on the area, from the ground up. */
  readonly coats: readonly CoatView[];
  /** Film that the rescue lays, m; 0: none. */
  readonly filmM: number;
  /** It covers only the spot. */
  readonly spot: boolean;
  /** How many of the coats are left when it is laid: all, or those below what was stripped off with the fault. */
  readonly left: number;
  /** How the support is hatched. */
  readonly ground: string;
  /** Depth of the fault, m. */
  readonly depthM: number;
  readonly title: string;
}

const WIDTH = 150;
const HEIGHT = 96;
const GROUND = 16;

/** The cut through a fault, before and after, each film in true relative thickness. */
export function RescueSection({ coats, filmM, spot, left, ground, depthM, title }: Props) {
  const films = coats.map((c) => Math.max(1e-5, Math.min(...c.coat.staysM, c.coat.thicknessM)));
  const heightM = (count: number) => films.slice(0, count).reduce((sum, m) => sum + m, 0);
  const laid = heightM(films.length);
  const scale = (HEIGHT - GROUND - 14) / Math.max(1e-4, laid + (spot ? 0 : filmM));
  const top = HEIGHT - GROUND - laid * scale;
  const depth = Math.min(laid * scale, Math.max(4, depthM * scale));
  const pit = `M${WIDTH / 2 - 18},${top} q18,${2 * depth} 36,0 z`;
  const column = (x: number, after: boolean) => (
    <g transform={`translate(${x} 0)`}>
      <rect
        y={HEIGHT - GROUND}
        width={WIDTH}
        height={GROUND}
        fill={ground}
        stroke="var(--bm-colors-ink)"
      />
      {films.slice(0, after ? left : films.length).map((m, i) => {
        const y = HEIGHT - GROUND - heightM(i + 1) * scale;
        return (
          <rect
            key={coats[i]?.coat.id}
            {...{ y, width: WIDTH, height: m * scale }}
            fill="var(--bm-colors-amber-line)"
            stroke="var(--bm-colors-amber-deep)"
            strokeWidth="1"
          />
        );
      })}
      {after && filmM > 0 && !spot && (
        <rect
          y={HEIGHT - GROUND - (heightM(left) + filmM) * scale}
          {...{ width: WIDTH, height: filmM * scale + 0.5 }}
          fill="var(--bm-colors-amber-wash)"
          stroke="var(--bm-colors-ink)"
          strokeWidth="1.4"
        />
      )}
      {!(after && left < films.length) && (
        <path
          d={pit}
          fill={after && filmM > 0 ? 'var(--bm-colors-amber-wash)' : 'var(--bm-colors-card)'}
          stroke="var(--bm-colors-oxide)"
          strokeWidth="1.4"
          strokeDasharray={after && filmM > 0 ? '3 2' : undefined}
        />
      )}
      <SvgText x={4} y={11} size={12} weight={600}>
        {after ? 'after' : 'now'}
      </SvgText>
    </g>
  );
  return (
    <svg width={2 * WIDTH + 20} height={HEIGHT} role="img" aria-label={title}>
      {column(0, false)}
      {column(WIDTH + 20, true)}
    </svg>
  );
}
