import { regionsOf } from './cutRegion';
import { reversed, type Loop, type Region, type Stretch } from './region';
import { traceLoops, type Chain } from './traceLoops';

const key = ({ from, segment: { to } }: Stretch): string =>
  `${from[0]} ${from[1]} ${to[0]} ${to[1]}`;

/** What is left of a loop, in unbroken rows; `whole` while nothing of it went. */
function rows(
  loop: Loop,
  gone: (stretch: Stretch) => boolean,
): { readonly whole: boolean; readonly chains: Chain[] } {
  const left = loop.map((s) => !gone(s));
  if (left.every(Boolean)) return { whole: true, chains: [] };
  const chains: Stretch[][] = [];
  const first = left.findIndex((is, i) => is && !left.at(i - 1));
  if (first < 0) return { whole: false, chains };
  for (let k = 0; k < loop.length; k += 1) {
    const i = (first + k) % loop.length;
    const stretch = loop[i];
    if (!stretch || !left[i]) continue;
    if (left.at(i - 1) && chains.length > 0) chains.at(-1)?.push(stretch);
    else chains.push([stretch]);
  }
  return { whole: false, chains };
}

/**
 * Places of one face taken together.
 * @param regions from one `partition`, none twice @returns one region for each part that hangs together
 * Source: a boundary that two of them share is there once in either way, and goes.
 */
export function joinRegions(regions: readonly Region[]): Region[] {
  if (regions.length < 2) return [...regions];
  const loops = regions.flatMap(({ outer, holes }) => [outer, ...holes]);
  const cuts = new Set<string>();
  for (const loop of loops)
    for (const stretch of loop) if (stretch.mark < 0) cuts.add(key(stretch));
  const gone = (stretch: Stretch) => stretch.mark < 0 && cuts.has(key(reversed(stretch)));
  const whole: Loop[] = [];
  const chains: Chain[] = [];
  for (const loop of loops) {
    const left = rows(loop, gone);
    if (left.whole) whole.push(loop);
    chains.push(...left.chains);
  }
  return regionsOf([...whole, ...parted(chains).map(({ loop }) => loop)]);
}

/** Chains parted wherever another begins, so that every meeting is a node, and traced. */
function parted(chains: readonly Chain[]) {
  const begins = new Set(
    chains.flatMap(([first]) => (first ? [`${first.from[0]} ${first.from[1]}`] : [])),
  );
  const pieces = chains.flatMap((chain) => {
    const out: Stretch[][] = [];
    for (const stretch of chain)
      if (out.length === 0 || begins.has(`${stretch.from[0]} ${stretch.from[1]}`))
        out.push([stretch]);
      else out.at(-1)?.push(stretch);
    return out;
  });
  return traceLoops(pieces);
}
