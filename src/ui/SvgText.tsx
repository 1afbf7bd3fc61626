import type { SVGProps } from 'react';

interface Props extends Omit<SVGProps<SVGTextElement>, 'fontSize' | 'fontWeight' | 'fontFamily'> {
  readonly size?: number;
  readonly weight?: 400 | 500 | 600;
  readonly family?: 'body' | 'heading' | 'mono';
  /** A halo in this colour keeps the words readable over a pattern. */
  readonly halo?: string;
}

/** Words in a drawing. Fonts go by style, because the page's reset outranks SVG attributes. */
export function SvgText({ size = 14, weight = 400, family = 'body', halo, style, ...rest }: Props) {
  return (
    <text
      fill="var(--bm-colors-ink)"
      {...(halo && { stroke: halo, strokeWidth: 4, paintOrder: 'stroke', strokeLinejoin: 'round' })}
      {...rest}
      style={{
        fontSize: `calc(${size}px * var(--bm-letters, 1))`,
        fontWeight: weight,
        fontFamily: `var(--bm-fonts-${family})`,
        ...style,
      }}
    />
  );
}
