import { plainColour } from './plainColour';

/** Paper round a drawing, in its units. */
const MARGIN = 16;
const SVG = 'http://www.w3.org/2000/svg';
/** Marks what stands in a drawing for the hand only: it is left out of a file. */
export const HAND_ONLY = 'data-hand';

/** What the styles of the page decide of a part, with what holds where nothing is said. */
const STYLED: Readonly<Record<string, string>> = {
  fill: 'rgb(0, 0, 0)',
  'fill-opacity': '1',
  stroke: 'none',
  'stroke-width': '1px',
  'stroke-opacity': '1',
  'stroke-dasharray': 'none',
  'stroke-linecap': 'butt',
  'stroke-linejoin': 'miter',
  'paint-order': 'normal',
  opacity: '1',
};
const LETTERS: Readonly<Record<string, string>> = {
  'font-size': '',
  'font-weight': '400',
  'text-anchor': 'start',
};
/** How a page is worked and told, not how a drawing looks. */
const DROPPED = ['class', 'style', 'role', 'tabindex', 'cursor', 'data-testid'];
const DRAWN = /^(path|rect|circle|ellipse|line|polyline|polygon|text|tspan|use)$/;

function styleOf(shown: Element, copy: Element): void {
  const style = getComputedStyle(shown);
  const wanted = /^t(ext|span)$/.test(copy.tagName) ? { ...STYLED, ...LETTERS } : STYLED;
  for (const [name, usual] of Object.entries(wanted)) {
    const told = plainColour(style.getPropertyValue(name).trim()).replaceAll('"', '');
    if (told === usual || told === '') copy.removeAttribute(name);
    else copy.setAttribute(name, told);
  }
  if (copy.tagName === 'text') copy.setAttribute('font-family', 'Barlow, sans-serif');
}

/** Every part says its own: what a group says for its parts goes, but for how much of it is seen. */
function plainGroup(copy: Element): void {
  for (const name of [...Object.keys(STYLED), ...Object.keys(LETTERS), 'font-family'])
    if (name !== 'opacity') copy.removeAttribute(name);
}

/** A copy of a part of a page that looks the same without the page. */
function standalone(shown: Element): Element {
  const copy = shown.cloneNode(true) as Element;
  const parts = [shown, ...shown.querySelectorAll('*')];
  const copies = [copy, ...copy.querySelectorAll('*')];
  for (const [i, part] of parts.entries()) {
    const made = copies[i];
    if (!made) continue;
    if (DRAWN.test(made.tagName)) styleOf(part, made);
    else plainGroup(made);
    for (const { name } of [...made.attributes])
      if (DROPPED.includes(name) || name.startsWith('aria-')) made.removeAttribute(name);
  }
  for (const hand of copy.querySelectorAll(`[${HAND_ONLY}]`)) hand.remove();
  return copy;
}

/** Patterns of the page that a drawing is filled with. */
function patternsOf(drawing: Element): Element[] {
  const ids = new Set([...drawing.outerHTML.matchAll(/url\(#([\w-]+)\)/g)].map(([, id]) => id));
  return [...ids].flatMap((id) => {
    const own = drawing.querySelector(`[id="${id}"]`);
    const found = own ? null : document.getElementById(id ?? '');
    return found ? [standalone(found)] : [];
  });
}

const faces = (fonts: Readonly<Record<'plain' | 'bold', string>>): string =>
  Object.entries({ 400: fonts.plain, 600: fonts.bold })
    .map(
      ([weight, data]) =>
        `@font-face{font-family:Barlow;font-weight:${weight};src:url(data:font/woff;base64,${data}) format("woff")}`,
    )
    .join('');

/**
 * A drawing of the page as a file of its own: colours, hatches and letters in it, nothing that only a hand uses.
 * @param fonts letters in base64, plain and bold @param title what it is
 */
export function drawingFile(
  shown: SVGSVGElement,
  title: string,
  fonts: Readonly<Record<'plain' | 'bold', string>>,
): string {
  const copy = standalone(shown);
  const box = shown.viewBox.baseVal;
  const [x, y] = [box.x - MARGIN, box.y - MARGIN];
  const [width, height] = [box.width + 2 * MARGIN, box.height + 2 * MARGIN];
  copy.setAttribute('xmlns', SVG);
  copy.setAttribute('viewBox', `${x} ${y} ${width} ${height}`);
  copy.setAttribute('width', String(width));
  copy.setAttribute('height', String(height));
  const make = (name: string, attributes: Readonly<Record<string, string | number>>) => {
    const made = document.createElementNS(SVG, name);
    for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, String(value));
    return made;
  };
  const titled = make('title', {});
  titled.textContent = title;
  const defs = make('defs', {});
  const letters = make('style', {});
  letters.textContent = faces(fonts);
  defs.append(letters, ...patternsOf(copy));
  copy.prepend(titled, defs, make('rect', { x, y, width, height, fill: '#fffdf8' }));
  return new XMLSerializer().serializeToString(copy);
}

/** A drawing’s file as a picture. @param scale dots a unit of the drawing */
export async function drawingPng(file: string, scale: number): Promise<Blob> {
  const url = URL.createObjectURL(new Blob([file], { type: 'image/svg+xml' }));
  try {
    const image = new Image();
    image.src = url;
    await image.decode();
    const canvas = document.createElement('canvas');
    canvas.width = Math.round(image.naturalWidth * scale);
    canvas.height = Math.round(image.naturalHeight * scale);
    canvas.getContext('2d')?.drawImage(image, 0, 0, canvas.width, canvas.height);
    const png = await new Promise<Blob | null>((done) => canvas.toBlob(done, 'image/png'));
    if (!png) throw new Error('the browser makes no picture of it');
    return png;
  } finally {
    URL.revokeObjectURL(url);
  }
}
