import type { BundleHead } from './bundleHead';
import type { AnyRow, Rows } from './digest';

const escape = (text: unknown): string =>
  String(text).replace(/[&<>"']/g, (c) => `&#${c.charCodeAt(0)};`);
const instant = (ms: unknown): string => new Date(Number(ms)).toISOString().slice(0, 16) + ' UTC';
const list = (items: readonly string[]): string =>
  items.length === 0 ? '' : `<ul>${items.map((item) => `<li>${item}</li>`).join('')}</ul>`;

function pieceItem(piece: AnyRow, rows: Rows): string {
  const own = (table: 'coats' | 'defects' | 'photos') =>
    rows[table].filter((row) => row['pieceId'] === piece.id);
  const coats = own('coats').map((c) => {
    const poured = c['pouredMs'] === null ? 'planned' : `poured ${instant(c['pouredMs'])}`;
    return `${escape(c['name'])}: ${poured}`;
  });
  const photos = own('photos').map((p) => escape(p['name']));
  const counts = `${own('defects').length} findings, ${photos.length} photos`;
  return `<strong>${escape(piece['name'])}</strong> (${escape(piece['support'])}; ${counts})${list(coats)}`;
}

/** A page that tells what is in a bundle, for who has no Bilamina at hand; it runs nothing and loads nothing. */
export function indexPage(head: BundleHead, rows: Rows): string {
  const part = (title: string, items: readonly string[]) =>
    items.length === 0 ? '' : `<h2>${title}</h2>${list(items)}`;
  const log = [...rows.log].sort((a, b) => Number(a['seq']) - Number(b['seq']));
  return [
    '<!doctype html><html lang="en"><meta charset="utf-8">',
    `<meta http-equiv="Content-Security-Policy" content="default-src 'none'">`,
    `<title>${escape(head.name)}</title><h1>${escape(head.name)}</h1>`,
    `<p>A bundle of Bilamina, made ${instant(head.madeMs)}${head.by ? ` by ${escape(head.by)}` : ''}. `,
    'The data is in <code>bundle.json</code> (SI units, instants in ms), photos in <code>photos/</code>.',
    part(
      'Pieces',
      rows.pieces.map((p) => pieceItem(p, rows)),
    ),
    part(
      'Resins',
      rows.resins.map((r) => escape(r['name'])),
    ),
    part(
      'Lists of steps',
      rows.templates.map((t) => escape(t['name'])),
    ),
    part(
      'Log',
      log.map((e) => `${instant(e['atMs'])} · ${escape(e['kind'])} · ${escape(e['text'])}`),
    ),
    '</html>\n',
  ].join('\n');
}
