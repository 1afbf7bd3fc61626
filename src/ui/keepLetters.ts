/**
 * Keeps the words of a drawing as large as they are told when the drawing itself is drawn smaller, as far as it bears
 * it: its place in the layout does not grow with them. A ref for an `svg` with a viewBox.
 */
export function keepLetters(svg: SVGSVGElement | null): (() => void) | undefined {
  if (!svg) return undefined;
  const fit = () => {
    const { width, height } = svg.getBoundingClientRect();
    const box = svg.viewBox.baseVal;
    if (!(width > 0 && height > 0)) return;
    const scale = Math.min(width / box.width, height / box.height);
    svg.style.setProperty('--bm-letters', Math.min(MOST, Math.max(1, 1 / scale)).toFixed(3));
  };
  const observer = new ResizeObserver(fit);
  observer.observe(svg);
  return () => observer.disconnect();
}

/** Words that grew more than this would run into each other. */
const MOST = 1.5;
