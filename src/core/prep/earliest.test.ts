import { alg, Graph } from '@dagrejs/graphlib';
import { earliestPour, placeTasks, planPrep, type PlacedTask, type PrepFacts } from '.';
import { dependsOn } from './order';
import { area, coat, damage, facts, NOW, ownNote, relief, surface } from './test/facts';

const ROOM = [{ fromMs: 0, temperatureK: 295.15, humidity: 0.5 }];

/**
 * The longest path through the steps, by a library that knows nothing of ours: shortest paths of negative lengths
 * (Floyd–Warshall of @dagrejs/graphlib), in hours at the label's air.
 */
function byGraph(all: readonly PlacedTask[]): number {
  const tasks = all.filter((t) => t.task.needed);
  const hours = (t: PlacedTask) => (t.task.drying?.labelS ?? 0) / 3600;
  const graph = new Graph({ directed: true });
  graph.setNode('now');
  for (const t of tasks) {
    graph.setEdge('now', t.task.key, -hours(t));
    for (const p of tasks)
      if (dependsOn(t.task, p.task)) graph.setEdge(p.task.key, t.task.key, -hours(t));
  }
  const paths = alg.floydWarshall(graph, (e) => Number(graph.edge(e)));
  return Math.max(...tasks.map((t) => -(paths['now']?.[t.task.key]?.distance ?? 0)));
}

const CASES: readonly (readonly [string, PrepFacts])[] = [
  [
    'a torn, painted canvas under latex',
    facts({
      support: 'canvas',
      areas: [area({ porosity: 'porous', ...damage('tear'), ...surface('painted') })],
      schools: { mask: 'latex' },
    }),
  ],
  [
    'paste on porous wood, masked with PVA glue',
    facts({
      support: 'bare wood',
      areas: [area({ porosity: 'porous', ...relief('paste') })],
      schools: { mask: 'PVA glue' },
    }),
  ],
  [
    'painted wood with a gap at its rim, edges painted side by side with the seal',
    facts({
      support: 'bare wood',
      areas: [area({ porosity: 'porous', ...surface('painted'), ...damage('gap at the rim') })],
    }),
  ],
  [
    'ink with a bare handle, and a line gilded for two hours',
    facts({
      areas: [area({ ...surface('ink'), bareOutlineM: 0.2 })],
      own: [ownNote({ title: 'Gild', labelS: 7200 })],
    }),
  ],
  [
    'two faces of a set',
    facts({
      areas: [area(damage('dent')), area({ id: 'b' })],
      coats: [coat({ areaIds: ['face', 'b'] })],
    }),
  ],
];

describe('the earliest pour', () => {
  it.each(CASES)('%s: the longest path of a graph library', (_, of) => {
    const { tasks } = placeTasks(of, planPrep(of), [], ROOM);
    const wanted = byGraph(tasks);
    expect(wanted).toBeGreaterThan(0);
    const found = earliestPour(tasks, NOW, ROOM);
    expect(((found?.atMs ?? NaN) - NOW) / 3_600_000).toBeCloseTo(wanted, 6);
  });
});
