import { askOf, testScene } from '@/demo/test/scenes';
import { runTrace } from '.';

const SEEDS = Array.from({ length: 20 }, (_, i) => i + 1);

/** Twenty drawn photos with marks off by up to 1 px: how far the area is off, and whether that was said. */
export function rows() {
  const found = SEEDS.map((seed) => {
    const it = testScene(seed, 2000);
    const traced = runTrace(askOf(it, 1).input);
    if (!traced.ok) return { error: 1, inside: false };
    const { areaM2, areaSigmaM2 } = traced.value.measure;
    const error = Math.abs(areaM2 / it.areaM2 - 1);
    // The screen states two standard deviations.
    return { error, inside: Math.abs(areaM2 - it.areaM2) <= 2 * areaSigmaM2 };
  });
  const errors = found.map((f) => f.error).sort((a, b) => a - b);
  const median = ((errors[9] ?? 1) + (errors[10] ?? 1)) / 2;
  const percent = (share: number) => Number((100 * share).toFixed(2));
  return [
    {
      name: 'photo trace, 20 drawn photos, area off, median',
      figure: percent(median),
      unit: '%',
      limit: '<= 1',
    },
    {
      name: 'photo trace, area off, worst',
      figure: percent(errors[19] ?? 1),
      unit: '%',
      limit: '<= 2',
    },
    {
      name: 'photo trace, truth within what is stated',
      figure: percent(found.filter((f) => f.inside).length / 20),
      unit: '%',
      limit: '>= 90',
    },
  ];
}
