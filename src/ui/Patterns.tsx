import { PATTERN_INKS as INK } from './patternInks';

/** Materials, one hatch each. */
function Hatches() {
  return (
    <>
      <pattern id="hatch-wood" width="46" height="12" patternUnits="userSpaceOnUse">
        <rect width="46" height="12" fill={INK.wood.ground} />
        <path
          d="M0 3 C12 0 20 6 32 3 S42 1 46 3 M0 9 C10 12 22 7 30 9 S40 11 46 9"
          fill="none"
          stroke={INK.wood.ink}
          strokeWidth="0.8"
        />
      </pattern>
      <pattern
        id="hatch-tile"
        width="8"
        height="8"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="8" height="8" fill={INK.tile.ground} />
        <rect width="1" height="8" fill={INK.tile.ink} />
      </pattern>
      <pattern id="hatch-canvas" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill={INK.canvas.ground} />
        <path d="M0 3 H6 M3 0 V6" stroke={INK.canvas.ink} strokeWidth="0.8" />
      </pattern>
      <pattern id="hatch-paper" width="14" height="6" patternUnits="userSpaceOnUse">
        <rect width="14" height="6" fill={INK.paper.ground} />
        <path d="M0 3 H9" stroke={INK.paper.ink} strokeWidth="0.8" />
      </pattern>
      <pattern id="keep-bare" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--bm-colors-card)" />
        <path d="M0 0 L7 7 M7 0 L0 7" stroke={INK.bare.ink} strokeWidth="0.8" />
      </pattern>
      <pattern
        id="hatch-plastic"
        width="10"
        height="10"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="10" height="10" fill={INK.plastic.ground} />
        <path d="M2 0 V10 M5 0 V10" stroke={INK.plastic.ink} strokeWidth="0.8" />
      </pattern>
      <pattern id="hatch-resin" width="12" height="12" patternUnits="userSpaceOnUse">
        <rect width="12" height="12" fill={INK.resin.ground} />
        <circle cx="3" cy="4" r="0.9" fill={INK.resin.ink} />
        <circle cx="9" cy="10" r="0.9" fill={INK.resin.ink} />
      </pattern>
      <pattern id="hatch-paste" width="9" height="9" patternUnits="userSpaceOnUse">
        <rect width="9" height="9" fill={INK.paste.ground} />
        <path
          d="M1 2 l1 1 M5 1 l1.4 .4 M3.4 5.4 l.8 1.2 M7 6 l1 -.6 M1 7.4 l1.2 .2"
          stroke={INK.paste.ink}
          strokeWidth="1.1"
        />
      </pattern>
      <pattern id="hatch-paint" width="4" height="4" patternUnits="userSpaceOnUse">
        <rect width="4" height="4" fill={INK.paint.ground} />
        <path d="M0 2 H4" stroke={INK.paint.ink} strokeWidth="1" />
      </pattern>
      <pattern id="hatch-tape" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill={INK.tape.ground} />
        <path d="M0 6 L6 0" stroke={INK.tape.ink} strokeWidth="1" />
      </pattern>
      <pattern id="hatch-metal" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill={INK.metal.ground} />
        <path d="M0 0 L6 6" stroke={INK.metal.ink} strokeWidth="1" />
      </pattern>
      <pattern id="hatch-glitter" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill={INK.glitter.ground} />
        <path d="M2 1 v2 M1 2 h2 M6 5 v2 M5 6 h2" stroke={INK.glitter.ink} strokeWidth="1" />
      </pattern>
      <pattern id="hatch-varnish" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill={INK.varnish.ground} />
        <path d="M0 4 h3 M5 8 h3" stroke={INK.varnish.ink} strokeWidth="1" />
      </pattern>
    </>
  );
}

/** Fill patterns of all drawings, defined once a page: `fill="url(#…)"`. States differ by pattern, materials by hatch. */
export function Patterns() {
  const amber = 'var(--bm-colors-amber)';
  return (
    <svg data-patterns="" width="0" height="0" aria-hidden style={{ position: 'absolute' }}>
      <defs>
        <pattern id="state-leathery" width="8" height="8" patternUnits="userSpaceOnUse">
          <rect width="8" height="8" fill="var(--bm-colors-card)" />
          <circle cx="2" cy="2" r="1.1" fill={amber} />
          <circle cx="6" cy="6" r="1.1" fill={amber} />
        </pattern>
        <pattern
          id="state-recoat"
          width="10"
          height="10"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <rect width="10" height="10" fill={INK.recoat.ground} />
          <rect width="2.4" height="10" fill={INK.recoat.ink} />
        </pattern>
        <pattern
          id="state-sand"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" fill={INK.sand.ground} />
          <rect width="1" height="7" fill={INK.sand.ink} />
        </pattern>
        <pattern
          id="state-closed"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="1" height="9" fill="#e9dfcc" />
        </pattern>
        <pattern
          id="lit-area"
          width="9"
          height="9"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(-45)"
        >
          <rect width="9" height="9" fill={INK.lit.ground} />
          <rect width="2" height="9" fill={INK.lit.ink} />
        </pattern>
        <pattern id="drying" width="10" height="6" patternUnits="userSpaceOnUse">
          <rect width="10" height="6" fill={INK.drying.ground} />
          <path d="M0 3 Q2.5 0 5 3 T10 3" fill="none" stroke="var(--bm-colors-slate)" />
        </pattern>
        <Hatches />
      </defs>
    </svg>
  );
}
