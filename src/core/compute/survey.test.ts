import { runCompute } from '.';

const disc = { kind: 'disc', diameterM: 0.2 };
const square = { heightM: 0.018, profile: { kind: 'square' } };
const traced = {
  ringPx: [
    [1000, 200],
    [1400, 200],
    [1400, 600],
    [1000, 600],
  ],
  corners: [
    [100, 100],
    [694, 100],
    [694, 520],
    [100, 520],
  ],
  reference: { widthM: 0.297, heightM: 0.21, sigmaM: 0.0004 },
  size: { widthPx: 2000, heightPx: 1500 },
  heightM: 0,
};
const level = {
  tilt: { alongX: 0.003, alongY: 0.004 },
  props: [
    [-0.1, 0],
    [0.1, 0.1],
    [0.1, -0.1],
  ],
  lengthM: 0.3,
  thicknessM: 0.0016,
  densityKgM3: 1100,
  fluidityPerPa: 1000,
  share: 0.1,
};
const faults = (compute: string, input: unknown) => {
  const answer = runCompute({ compute, input });
  return answer.ok ? [] : answer.faults.map((f) => `${f.path.join('.')} ${f.code}`);
};
const result = (compute: string, input: unknown) => {
  const answer = runCompute({ compute, input });
  if (!answer.ok) throw new Error(JSON.stringify(answer.faults));
  return answer.result as Record<string, unknown>;
};

describe('computations of the survey: what is wrong is told at its path', () => {
  it.each<[string, unknown, string[]]>([
    ['measureFace', { shape: disc, edges: [square] }, []],
    [
      'measureFace',
      { shape: { ...disc, diameterM: 20 }, edges: [] },
      ['input.diameterM out-of-range'],
    ],
    [
      'measureFace',
      { shape: disc, edges: [{ ...square, heightM: -1 }] },
      ['input.edges.0.heightM out-of-range'],
    ],
    [
      'measureFace',
      { shape: disc, edges: [{ heightM: 0.01, profile: { kind: 'wavy' } }] },
      ['input.edges.0.profile.kind not-allowed'],
    ],
    ['measureTraced', traced, []],
    [
      'measureTraced',
      { ...traced, ringPx: traced.ringPx.slice(0, 2) },
      ['input.ringPx not-allowed'],
    ],
    [
      'measureTraced',
      { ...traced, corners: [...traced.corners].reverse() },
      ['input.corners not-allowed'],
    ],
    [
      'measureTraced',
      { ...traced, corners: traced.corners.map(([x = 0, y = 0]) => [x / 9, y / 9]) },
      ['input.corners does-not-fit'],
    ],
    [
      'measureTraced',
      { ...traced, reference: { ...traced.reference, widthM: 0 } },
      ['input.reference.widthM out-of-range'],
    ],
    ['levelPiece', level, []],
    ['levelPiece', { ...level, props: [] }, ['input.props not-allowed']],
    ['levelPiece', { ...level, thicknessM: NaN }, ['input.thicknessM not-a-number']],
    ['levelPiece', { ...level, tilt: { alongX: 0.1 } }, ['input.tilt.alongY required']],
  ])('%s %#', (compute, input, expected) => expect(faults(compute, input)).toEqual(expected));

  it('a face 12 mm above the sheet is smaller than it looks, by the camera’s height over it', () => {
    const flat = Number(result('measureTraced', traced)['areaM2']);
    const raised = Number(result('measureTraced', { ...traced, heightM: 0.012 })['areaM2']);
    // Seen straight from above the focal length is taken as 26/36 of 2000 px: 2 px a mm from 722 mm away.
    expect(raised / flat).toBeCloseTo((1 - 12 / 722.2) ** 2, 3);
  });

  it('the slope of a piece is the steepest one, and thick resin shows less of it', () => {
    const fresh = result('levelPiece', level);
    expect(fresh['slope']).toBeCloseTo(0.005, 12);
    const stopped = result('levelPiece', { ...level, fluidityPerPa: 0 });
    expect(stopped['differenceM']).toBeLessThan(1e-5);
    expect(Number(fresh['differenceM'])).toBeLessThan(0.0015);
    expect(Number(fresh['differenceM'])).toBeGreaterThan(0.0005);
  });
});
