import { seededRandom } from '@/core/numeric';

/** A round relief map with dimples near its rim, drawn by code as an SVG. */
export function dimpledDisc(): string {
  const random = seededRandom(7);
  const hills = Array.from({ length: 26 }, () => {
    const [r, angle] = [random() * 150, random() * 2 * Math.PI];
    const [x, y, size] = [240 + r * Math.cos(angle), 240 + r * Math.sin(angle), 14 + random() * 34];
    return `<ellipse cx="${x.toFixed(0)}" cy="${y.toFixed(0)}" rx="${size.toFixed(0)}" ry="${(size * 0.6).toFixed(0)}" fill="#7d8f5a" opacity="0.5"/>`;
  });
  const dimples = Array.from({ length: 7 }, () => {
    const angle = -0.4 + random() * 1.3;
    const r = 168 + random() * 26;
    const [x, y] = [240 + r * Math.cos(angle), 240 + r * Math.sin(angle)];
    return `<circle cx="${x.toFixed(0)}" cy="${y.toFixed(0)}" r="9" fill="#5c6b44"/><path d="M${(x - 7).toFixed(0)} ${(y - 3).toFixed(0)} q7 -8 14 0" stroke="#fff" stroke-width="2.5" fill="none"/>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="480" height="480" viewBox="0 0 480 480"><rect width="480" height="480" fill="#b9ab92"/><circle cx="240" cy="240" r="206" fill="#a9b88a" stroke="#6b5a3a" stroke-width="8"/>${hills.join('')}<path d="M60 300 C150 250 220 330 300 270 S400 220 430 200" stroke="#5d8aa0" stroke-width="9" fill="none"/><path d="M110 150 Q200 60 320 110" stroke="#fff" stroke-width="14" opacity="0.45" fill="none"/>${dimples.join('')}</svg>`;
}
