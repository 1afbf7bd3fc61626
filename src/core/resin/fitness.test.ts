import { FIT_FAULTS, fitFaults, holdsFit, HOT_CUP_K, NOTHING_DECLARED } from '.';

const use = { hotCups: false, food: false, daylight: false };
const none = NOTHING_DECLARED;

describe('a resin for what its piece will meet', () => {
  it.each([
    [use, none, []],
    [{ ...use, hotCups: true }, none, ['heat not declared']],
    [{ ...use, hotCups: true }, { ...none, serviceK: HOT_CUP_K - 0.01 }, ['heat too low']],
    [{ ...use, hotCups: true }, { ...none, serviceK: NaN }, ['heat too low']],
    [{ ...use, hotCups: true }, { ...none, serviceK: HOT_CUP_K }, []],
    [{ ...use, food: true }, none, ['food not declared']],
    [{ ...use, food: true }, { ...none, food: { by: 'maker', for: 'dry food' } }, []],
    [{ ...use, daylight: true }, none, ['light not declared']],
    [{ ...use, daylight: true }, { ...none, uvStable: false }, ['yellows in light']],
    [{ ...use, daylight: true }, { ...none, uvStable: true }, []],
  ])('%j with %j: %j', (meets, declared, faults) =>
    expect(fitFaults(meets, declared)).toEqual(faults),
  );
  it('heat and food hold a coat back, light is a warning', () =>
    expect(FIT_FAULTS.filter(holdsFit)).toEqual([
      'heat not declared',
      'heat too low',
      'food not declared',
    ]));
});
