import { fluidityLeft } from './film';
import { runCompute, COMPUTATIONS } from './compute';
import { coatLedger, PLAIN_AREA, PLAIN_INPUT, type LedgerInput } from './coat';
import { readDxf, readSvg } from './exchange';
import { checkShape, measureShape, type Shape } from './geometry';
import { seededRandom } from './numeric';
import {
  coatClock,
  instantAtRipe,
  ripeSeconds,
  splitMix,
  workingTime,
  thickeningOf,
} from './resin';
import { TEST_SHEET } from './resin/test/sheet';
import { fromSI, parseQuantity, toSI, UNITS } from './units';

const HOUR = 3_600_000;

describe('nothing that comes from outside makes the program throw (seeded)', () => {
  const random = seededRandom(2024);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const names = Object.keys(COMPUTATIONS);
  const odd = [NaN, Infinity, -1, 0, 1e308, '', 'x', null, true, [], {}, [[]], { kind: 'disc' }];

  const rubbish = (depth: number): unknown => {
    if (depth === 0 || random() < 0.4) return pick(odd);
    const keys = [
      'kind',
      'areas',
      'sheet',
      'times',
      'history',
      'parts',
      'ratio',
      'text',
      'outer',
      'start',
      'segments',
    ];
    return Object.fromEntries(Array.from({ length: 4 }, () => [pick(keys), rubbish(depth - 1)]));
  };

  it('2000 requests to runCompute end in a result or in faults with words', () => {
    for (let i = 0; i < 2000; i += 1) {
      const answer = runCompute({ compute: pick(names), input: rubbish(4) });
      if (answer.ok) continue;
      expect(answer.faults.length).toBeGreaterThan(0);
      for (const fault of answer.faults) expect(fault.message.length).toBeGreaterThan(3);
    }
  });

  it('500 broken SVG and DXF files', () => {
    const svg =
      '<svg width="10mm" viewBox="0 0 10 10"><g transform="rotate(3)"><path d="M0 0A3 3 0 0 1 6 0C1 2 3 4 5 6Z"/><rect x="1" width="3" height="4" rx="1"/></g></svg>';
    const dxf =
      '0\nSECTION\n2\nENTITIES\n0\nLWPOLYLINE\n90\n2\n70\n1\n10\n0\n20\n0\n42\n1\n10\n4\n20\n0\n0\nARC\n10\n0\n20\n0\n40\n3\n50\n0\n51\n90\n0\nENDSEC\n0\nEOF\n';
    const mutate = (text: string): string => {
      const at = Math.floor(random() * text.length);
      const way = random();
      if (way < 0.3) return text.slice(0, at);
      if (way < 0.6) return text.slice(0, at) + text.slice(at + 1 + Math.floor(random() * 8));
      return (
        text.slice(0, at) +
        pick(['<', '"', '0', '-', 'NaN', '1e999', '\n', 'Z', '&x;']) +
        text.slice(at)
      );
    };
    for (let i = 0; i < 250; i += 1) {
      for (const result of [readSvg(mutate(mutate(svg))), readDxf(mutate(mutate(dxf)))]) {
        if (!result.ok) expect(result.issues).toHaveLength(1);
        else for (const shape of result.value.shapes) expect(shape.name.length).toBeGreaterThan(0);
      }
    }
  });

  it('400 DXF files with records lost, renamed and put in: the parser never looks for an end for ever', () => {
    const records =
      '0 SECTION 2 HEADER 9 $INSUNITS 70 4 0 ENDSEC 0 SECTION 2 BLOCKS 0 BLOCK 2 b 0 ENDBLK 0 ENDSEC ' +
      '0 SECTION 2 TABLES 0 TABLE 2 LAYER 70 1 0 LAYER 2 x 0 ENDTAB 0 ENDSEC 0 SECTION 2 ENTITIES ' +
      '0 LWPOLYLINE 90 2 70 1 10 0 20 0 42 1 10 4 20 0 0 POLYLINE 66 1 0 VERTEX 10 1 20 1 0 VERTEX 10 2 20 3 0 SEQEND ' +
      '0 SPLINE 71 3 73 4 10 0 20 0 0 ARC 10 0 20 0 40 3 50 0 51 90 0 ENDSEC 0 EOF';
    const names =
      'SECTION ENDSEC TABLE ENDTAB BLOCK ENDBLK VERTEX SEQEND POLYLINE LWPOLYLINE HEADER '
        .concat('ENTITIES TABLES BLOCKS CLASSES OBJECTS MTEXT INSERT DIMENSION HATCH 0 -1 99999')
        .split(' ');
    for (let i = 0; i < 400; i += 1) {
      const lines = records.split(' ');
      for (let k = 0; k < 1 + Math.floor(random() * 4); k += 1) {
        const at = 2 * Math.floor((random() * lines.length) / 2);
        const way = random();
        if (way < 0.35) lines.splice(at, 2 * (1 + Math.floor(random() * 4)));
        else if (way < 0.7) lines[at + 1] = pick(names);
        else if (way < 0.85) lines.splice(at, 0, pick(['0', '2', '70', '90', '10']), pick(names));
        else lines[at] = pick(['0', '2', '70', '10', '999', '1001', '-5']);
      }
      const result = readDxf(lines.join('\n'));
      if (!result.ok) expect(result.issues).toHaveLength(1);
      else for (const shape of result.value.shapes) expect(shape.area).toBeGreaterThanOrEqual(0);
    }
  });

  it('1000 strings to parseQuantity', () => {
    const bits = [
      '1',
      '2.5',
      ',',
      '/',
      ' ',
      'in',
      'mm',
      '"',
      "'",
      'fl oz',
      '-',
      '½',
      'e',
      '%',
      '°',
      'C',
      'h',
      'µ',
      '∞',
    ];
    for (let i = 0; i < 1000; i += 1) {
      const text = Array.from({ length: 1 + Math.floor(random() * 6) }, () => pick(bits)).join('');
      const result = parseQuantity(
        text,
        pick(['length', 'temperature', 'volume', 'duration']),
        'mm',
      );
      if (result.ok) expect(Number.isFinite(result.value)).toBe(true);
      else expect(result.issues[0]?.code).toBeDefined();
    }
  });
});

describe('what must hold for any sound input (seeded)', () => {
  const random = seededRandom(99);

  it('units: there and back for every unit', () => {
    for (const { symbol } of UNITS)
      for (const value of [0, 1, 37.5, 1e-6, 1e6])
        expect(Math.abs(fromSI(toSI(value, symbol), symbol) - value)).toBeLessThanOrEqual(
          1e-9 * Math.max(1, value),
        );
  });

  it('shapes: area and edge scale with size squared and size', () => {
    for (let i = 0; i < 100; i += 1) {
      const [w, h, k] = [0.05 + random(), 0.05 + random(), 0.5 + random()];
      const shapes: [Shape, Shape][] = [
        [
          { kind: 'rectangle', widthM: w, heightM: h },
          { kind: 'rectangle', widthM: w * k, heightM: h * k },
        ],
        [
          { kind: 'ellipse', widthM: w, heightM: h },
          { kind: 'ellipse', widthM: w * k, heightM: h * k },
        ],
        [
          { kind: 'disc', diameterM: w },
          { kind: 'disc', diameterM: w * k },
        ],
      ];
      for (const [one, scaled] of shapes) {
        expect(checkShape(one).ok).toBe(true);
        const [a, b] = [measureShape(one), measureShape(scaled)];
        expect(b.areaM2 / a.areaM2).toBeCloseTo(k * k, 9);
        expect(b.perimeterM / a.perimeterM).toBeCloseTo(k, 9);
        // The isoperimetric inequality: no shape has less edge for its area than a disc.
        expect(a.perimeterM ** 2).toBeGreaterThanOrEqual(4 * Math.PI * a.areaM2 * (1 - 1e-12));
      }
    }
  });

  it('ripe time: adds up over any cut, grows with time and with warmth', () => {
    for (let i = 0; i < 100; i += 1) {
      const history = Array.from({ length: 4 }, (_, n) => ({
        fromMs: n * 5 * HOUR,
        temperatureK: 280 + 25 * random(),
      }));
      const [a, b] = [random() * 10 * HOUR, (10 + random() * 10) * HOUR];
      const middle = a + random() * (b - a);
      const ripe = (from: number, to: number) => ripeSeconds(history, from, to, TEST_SHEET);
      expect(ripe(a, middle) + ripe(middle, b)).toBeCloseTo(ripe(a, b), 6);
      const warmer = history.map((s) => ({ ...s, temperatureK: s.temperatureK + 2 }));
      expect(ripeSeconds(warmer, a, b, TEST_SHEET)).toBeGreaterThan(ripe(a, b));
      expect(instantAtRipe(warmer, a, 50_000, TEST_SHEET)).toBeLessThan(
        instantAtRipe(history, a, 50_000, TEST_SHEET),
      );
    }
  });

  it('clock: every window of a warmer room opens earlier, and windows never close before they open', () => {
    for (let i = 0; i < 40; i += 1) {
      const temperatureK = 281 + 20 * random();
      const at = (k: number) =>
        coatClock({
          startMs: 0,
          nowMs: HOUR,
          history: [{ fromMs: 0, temperatureK: k }],
          sheet: TEST_SHEET,
        });
      const [cool, warm] = [at(temperatureK), at(temperatureK + 3)];
      cool.windows.forEach((w, n) => {
        expect(warm.windows[n]?.opensMs).toBeLessThan(w.opensMs);
        if (w.closesMs !== null) expect(w.closesMs).toBeGreaterThanOrEqual(w.opensMs);
      });
      expect(workingTime(TEST_SHEET, 0.2, temperatureK + 3)).toBeLessThan(
        workingTime(TEST_SHEET, 0.2, temperatureK),
      );
    }
  });

  it('ledger: more certainty means more reserve; a longer rest leaves a thicker edge', () => {
    const input = (confidence: number, restS: number): LedgerInput => ({
      ...PLAIN_INPUT,
      areas: [
        {
          name: 'Face',
          areaM2: 0.1,
          areaSigmaM2: 2e-4,
          count: 2,
          ...PLAIN_AREA,
          openEdges: [{ areaM2: 0.024, heightM: 0.02, lengthM: 1.2 }],
        },
      ],
      thicknessM: 1.6e-3,
      densityKgM3: 1100,
      law: thickeningOf(TEST_SHEET),
      restS,
      reserve: { by: 'risk', confidence },
    });
    const total = (confidence: number, restS = 0) => {
      const result = coatLedger(input(confidence, restS));
      if (!result.ok) throw new Error('no ledger');
      return result.value;
    };
    const totals = [0.5, 0.8, 0.9, 0.95, 0.99, 0.999].map((c) => total(c).totalM3);
    expect(totals).toEqual([...totals].sort((a, b) => a - b));
    expect(total(0.5).totalM3).toBeCloseTo(total(0.5).neededM3, 15);
    const films = [0, 300, 900, 1800].map((rest) => total(0.95, rest).edgeFilmM);
    expect(films).toEqual([...films].sort((a, b) => a - b));
    // The film goes as one over the root of what it can still flow.
    const left = (restS: number) => fluidityLeft(thickeningOf(TEST_SHEET), restS);
    const grown = total(0.95, 720).edgeFilmM / total(0.95).edgeFilmM;
    expect(grown).toBeCloseTo(Math.sqrt(left(0) / left(720)), 9);
  });

  it('mix: twice the volume is twice of both parts', () => {
    const [one, two] = [splitMix(1e-4, TEST_SHEET), splitMix(2e-4, TEST_SHEET)];
    if (!one.ok || !two.ok) throw new Error('no split');
    expect(two.value.aKg / one.value.aKg).toBeCloseTo(2, 12);
    expect(two.value.massBPer100A).toBe(one.value.massBPer100A);
  });
});
