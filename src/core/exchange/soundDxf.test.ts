import { LeftOutList } from './drawing';
import { readDxf } from './readDxf';
import { soundDxf } from './soundDxf';

/** A DXF of these entities, written as `code value code value …`. */
const dxf = (entities: string, header = '') =>
  `0 SECTION 2 HEADER ${header} 0 ENDSEC 0 SECTION 2 ENTITIES ${entities} 0 ENDSEC 0 EOF`
    .trim()
    .split(/\s+/)
    .join('\n');
const sound = (entities: string, header = '') => {
  const leftOut = new LeftOutList();
  const text = soundDxf(dxf(entities, header), leftOut);
  return { text: text?.split('\n').join(' ') ?? null, leftOut: leftOut.list() };
};
const SQUARE = '10 0 20 0 10 4 20 0 10 4 20 4 10 0 20 4';

describe('what is kept of a DXF', () => {
  it('the unit and whole outlines, with their own groups only', () => {
    const { text, leftOut } = sound(
      '0 CIRCLE 8 layer 62 3 10 1 20 2 30 0 40 5',
      '9 $INSUNITS 70 4',
    );
    expect(text).toContain('9 $INSUNITS 70 4');
    expect(text).toContain('0 CIRCLE 10 1 20 2 40 5 0 ENDSEC');
    expect(leftOut).toEqual([]);
  });

  it('the count of vertices is counted anew, whatever the file said', () => {
    expect(sound(`0 LWPOLYLINE 90 99999 70 1 ${SQUARE}`).text).toContain('0 LWPOLYLINE 90 4 70 1');
    expect(sound(`0 LWPOLYLINE ${SQUARE}`).text).toContain('90 4');
  });

  it('the closed flag may stand after the vertices', () => {
    const read = readDxf(dxf(`0 LWPOLYLINE ${SQUARE} 70 1`));
    expect(read.ok && read.value.shapes[0]).toMatchObject({ closed: true, area: 16 });
  });

  it.each([
    ['a point without its y', '0 LINE 10 0 11 4 21 4', 'LINE'],
    ['a y without its x', '0 CIRCLE 20 1 10 1 40 5', 'CIRCLE'],
    ['a number that is none', '0 CIRCLE 10 x 20 1 40 5', 'CIRCLE'],
    ['a polyline without its end', '0 POLYLINE 70 1 0 VERTEX 10 0 20 0', 'POLYLINE'],
    ['a vertex of no polyline', '0 VERTEX 10 0 20 0', 'VERTEX'],
    ['a polyline of no points', '0 LWPOLYLINE 70 1', 'LWPOLYLINE'],
    ['a kind that has no outline', '0 TEXT 1 hello', 'TEXT'],
  ])('%s is left out and told', (_name, entity, kind) => {
    const { text, leftOut } = sound(`${entity} 0 CIRCLE 10 0 20 0 40 2`);
    expect(leftOut).toEqual([{ what: kind, count: 1 }]);
    expect(text).toContain('0 CIRCLE');
    expect(text).not.toContain(`0 ${kind} `.replace('0 CIRCLE ', '0 NOTHING '));
  });

  it.each(['1e200', '-1e200', '1e308', '20000'])(
    'a bulge of %s is no arc: its stretch is straight, and nothing overflows',
    (bulge) => {
      const read = readDxf(dxf(`0 LWPOLYLINE 70 1 10 0 20 0 42 ${bulge} ${SQUARE.slice(10)}`));
      expect(read.ok && read.value.shapes[0]).toMatchObject({ closed: true, area: 16 });
    },
  );

  it('a polyline keeps its vertices and its end', () => {
    const old = `0 POLYLINE 66 1 70 1 0 VERTEX 10 0 20 0 0 VERTEX 10 4 20 0 42 1 0 VERTEX 10 4 20 4 0 SEQEND`;
    expect(sound(old).leftOut).toEqual([]);
    const read = readDxf(dxf(old));
    // A right triangle of 8 with a half circle of radius 2 on one leg.
    expect(read.ok && read.value.shapes[0]?.area).toBeCloseTo(8 + 2 * Math.PI, 5);
  });

  it.each([
    '',
    'no drawing',
    '0\nSECTION',
    '0\nSECTION\n2\nHEADER\n0\nENDSEC\n0\nEOF',
    'x\ny\n0\nEOF',
  ])('is nothing of %j', (text) => expect(soundDxf(text, new LeftOutList())).toBeNull());

  it('lines that end in the way of any system', () => {
    for (const end of ['\n', '\r\n', '\r']) {
      const text = dxf('0 CIRCLE 10 0 20 0 40 2').split('\n').join(end);
      expect(readDxf(text)).toMatchObject({ ok: true, value: { shapes: [{ closed: true }] } });
    }
  });
});
