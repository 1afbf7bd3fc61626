/** Materials, one hatch each. */
function Hatches() {
  return (
    <>
      <pattern id="hatch-wood" width="46" height="12" patternUnits="userSpaceOnUse">
        <rect width="46" height="12" fill="#eedbb4" />
        <path
          d="M0 3 C12 0 20 6 32 3 S42 1 46 3 M0 9 C10 12 22 7 30 9 S40 11 46 9"
          fill="none"
          stroke="#a98648"
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
        <rect width="8" height="8" fill="#ece3d6" />
        <rect width="1" height="8" fill="#a08f7c" />
      </pattern>
      <pattern id="hatch-canvas" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="#efe8d8" />
        <path d="M0 3 H6 M3 0 V6" stroke="#a79c82" strokeWidth="0.8" />
      </pattern>
      <pattern id="hatch-paper" width="14" height="6" patternUnits="userSpaceOnUse">
        <rect width="14" height="6" fill="#f1ebdd" />
        <path d="M0 3 H9" stroke="#a79c82" strokeWidth="0.8" />
      </pattern>
      <pattern id="keep-bare" width="7" height="7" patternUnits="userSpaceOnUse">
        <rect width="7" height="7" fill="var(--bm-colors-card)" />
        <path d="M0 0 L7 7 M7 0 L0 7" stroke="#c9a79c" strokeWidth="0.8" />
      </pattern>
      <pattern
        id="hatch-plastic"
        width="10"
        height="10"
        patternUnits="userSpaceOnUse"
        patternTransform="rotate(45)"
      >
        <rect width="10" height="10" fill="#e4e8e6" />
        <path d="M2 0 V10 M5 0 V10" stroke="#8d9a98" strokeWidth="0.8" />
      </pattern>
      <pattern id="hatch-resin" width="12" height="12" patternUnits="userSpaceOnUse">
        <rect width="12" height="12" fill="#f1dcb4" />
        <circle cx="3" cy="4" r="0.9" fill="#b9863a" />
        <circle cx="9" cy="10" r="0.9" fill="#b9863a" />
      </pattern>
      <pattern id="hatch-paste" width="9" height="9" patternUnits="userSpaceOnUse">
        <rect width="9" height="9" fill="#e3d8bf" />
        <path
          d="M1 2 l1 1 M5 1 l1.4 .4 M3.4 5.4 l.8 1.2 M7 6 l1 -.6 M1 7.4 l1.2 .2"
          stroke="#7d6f4e"
          strokeWidth="1.1"
        />
      </pattern>
      <pattern id="hatch-paint" width="4" height="4" patternUnits="userSpaceOnUse">
        <rect width="4" height="4" fill="#7f9aa6" />
        <path d="M0 2 H4" stroke="#4b5f6b" strokeWidth="1" />
      </pattern>
      <pattern id="hatch-tape" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="#2f6b62" />
        <path d="M0 6 L6 0" stroke="#bcd6cd" strokeWidth="1" />
      </pattern>
      <pattern id="hatch-metal" width="6" height="6" patternUnits="userSpaceOnUse">
        <rect width="6" height="6" fill="#d9b24a" />
        <path d="M0 0 L6 6" stroke="#8a6a1c" strokeWidth="1" />
      </pattern>
      <pattern id="hatch-glitter" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill="#f3e3ef" />
        <path d="M2 1 v2 M1 2 h2 M6 5 v2 M5 6 h2" stroke="#8e4f7d" strokeWidth="1" />
      </pattern>
      <pattern id="hatch-varnish" width="8" height="8" patternUnits="userSpaceOnUse">
        <rect width="8" height="8" fill="#efe3c4" />
        <path d="M0 4 h3 M5 8 h3" stroke="#a08f5e" strokeWidth="1" />
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
          <rect width="10" height="10" fill="#efe6cd" />
          <rect width="2.4" height="10" fill="#8fb3a4" />
        </pattern>
        <pattern
          id="state-sand"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <rect width="7" height="7" fill="#f0e7cd" />
          <rect width="1" height="7" fill="#cfbd92" />
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
          <rect width="9" height="9" fill="#cfe0d6" />
          <rect width="2" height="9" fill="#7fa697" />
        </pattern>
        <pattern id="drying" width="10" height="6" patternUnits="userSpaceOnUse">
          <rect width="10" height="6" fill="#d8e2e4" />
          <path d="M0 3 Q2.5 0 5 3 T10 3" fill="none" stroke="var(--bm-colors-slate)" />
        </pattern>
        <Hatches />
      </defs>
    </svg>
  );
}
