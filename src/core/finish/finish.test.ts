import { NOTHING_DECLARED } from '../resin';
import { careNote, finishSteps, type CareFacts, type FinishFacts } from '.';

const PLAIN: FinishFacts = {
  ...{ support: 'tile', count: 1, edges: [], masked: false, bare: false },
  ...{ layers: [], hardware: [], hotCups: false },
};
const steps = (facts: Partial<FinishFacts>) =>
  finishSteps({ ...PLAIN, ...facts }).map((s) => s.step);

describe('what is asked for after the last coat (common practice, no source)', () => {
  it('every piece is photographed and packed', () =>
    expect(steps({})).toEqual(['photographed', 'packed']));
  it.each([
    [{ edges: ['open'] }, ['drips off']],
    [
      { edges: ['open'], support: 'sealed panel' },
      ['drips off', 'edges painted', 'edges painted again'],
    ],
    [{ masked: true }, ['seep repainted']],
    [{ edges: ['mould'] }, ['lip along the wall sanded']],
    [{ layers: ['gilding'] }, ['gilding looked over']],
    [{ bare: true, support: 'bare wood' }, ['bare wood oiled']],
    [{ bare: true }, []],
    [{ hardware: ['handle'] }, ['hardware on its marks']],
    [{ hotCups: true }, ['pads glued on']],
    [{ count: 4 }, ['pads glued on']],
  ] as const)('%j asks for %j', (facts, asked) =>
    expect(steps(facts)).toEqual([...asked, 'photographed', 'packed']),
  );
  it('edges wait two hours between their coats, pads a day', () => {
    const waits = Object.fromEntries(
      finishSteps({ ...PLAIN, support: 'canvas', edges: ['open'], hotCups: true }).map((s) => [
        s.step,
        s.waitS,
      ]),
    );
    expect(waits).toMatchObject({ 'edges painted': 7200, 'pads glued on': 86_400, packed: 0 });
  });
});

describe('the care note', () => {
  const facts: CareFacts = {
    ...{ handleMs: 1, hardMs: 3, warmMs: 2, fullMs: 4, fades: false },
    declared: [NOTHING_DECLARED],
    use: { hotCups: true, food: true, daylight: true },
  };
  const kinds = (told: Partial<CareFacts>) => careNote({ ...facts, ...told }).map((l) => l.is);
  it('says nothing fit that no sheet declares', () => {
    expect(kinds({})).toEqual(
      expect.arrayContaining(['hot not declared', 'food not declared', 'light not declared']),
    );
    expect(kinds({})).not.toContain('hot declared');
  });
  it('one resin that declares it does not speak for another in the same piece', () => {
    const good = {
      ...NOTHING_DECLARED,
      ...{ serviceK: 350, uvStable: true, food: { by: 'maker', for: 'dry food' } },
    };
    expect(kinds({ declared: [good] })).toEqual(
      expect.arrayContaining(['hot declared', 'food declared', 'light stable']),
    );
    expect(kinds({ declared: [good, NOTHING_DECLARED] })).toEqual(
      expect.arrayContaining(['hot not declared', 'food not declared', 'light not declared']),
    );
    const heat = careNote({ ...facts, declared: [good, { ...good, serviceK: 330 }] });
    expect(heat).toContainEqual({ is: 'hot declared', serviceK: 330 });
  });
  it('ink keeps out of daylight whatever the resin declares; nothing hot comes before light use', () => {
    expect(kinds({ fades: true })).toContain('keep from daylight');
    expect(careNote(facts)).toContainEqual({ is: 'nothing hot', fromMs: 3 });
  });
  it('asks nothing of a use that it does not have', () =>
    expect(kinds({ use: { hotCups: false, food: false, daylight: false } })).toEqual([
      ...['handle', 'light use', 'nothing hot', 'fully cured', 'soft cloth'],
    ]));
});
