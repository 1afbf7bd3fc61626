import type { Point } from '../cutGrid';

/** A ring of places round a piece, and for each stretch to the next whether the film ends there. */
export interface RimRing {
  readonly points: readonly Point[];
  readonly isRim: readonly boolean[];
}

interface Mesh {
  readonly nodes: number;
  /** Three nodes, and for each the gradient of its hat function, for each triangle. */
  readonly corners: Int32Array;
  readonly slopes: Float64Array;
  readonly areas: Float64Array;
  /** Length of rim that belongs to each node; 0 where the surface is free. */
  readonly rimOf: Float64Array;
  /** Rim nodes at which an angle is read: not the last ones before a wall. */
  readonly read: readonly number[];
}

/** Layers from the middle or a hole to the outline, closer together towards the rims. */
function layers(count: number, hole: boolean, reach: number): number[] {
  const grade = (t: number) => Math.expm1(-3 * t) / Math.expm1(-3);
  const bend = Math.min(1, reach / 12);
  return Array.from({ length: count + 1 }, (_, i) => {
    const t = i / count;
    const even = t;
    const fine = hole
      ? t < 0.5
        ? (1 - grade(1 - 2 * t)) / 2
        : (1 + grade(2 * t - 1)) / 2
      : grade(t);
    return even + bend * (fine - even);
  });
}

/** A star-shaped outline about the origin with a hole of as many places, or none, meshed ray by ray. */
function meshOf(outer: RimRing, hole: RimRing | null, count: number): Mesh {
  const n = outer.points.length;
  const reach = Math.max(...outer.points.map(([x, y]) => Math.hypot(x, y)));
  const at = layers(count, hole !== null, reach);
  const place = (layer: number, j: number): Point => {
    const s = at[layer] as number;
    const [p, q] = [outer.points[j % n] as Point, hole?.points[j % n] ?? ([0, 0] as const)];
    return [q[0] + s * (p[0] - q[0]), q[1] + s * (p[1] - q[1])];
  };
  const node = (layer: number, j: number): number =>
    hole ? layer * n + (j % n) : layer === 0 ? 0 : 1 + (layer - 1) * n + (j % n);
  const nodes = hole ? (count + 1) * n : 1 + count * n;
  const [corners, slopes, areas]: [number[], number[], number[]] = [[], [], []];
  const triangle = (...three: readonly (readonly [number, number])[]) => {
    const [p, q, r] = three.map(([layer, j]) => place(layer, j)) as [Point, Point, Point];
    const twice = (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
    corners.push(...three.map(([layer, j]) => node(layer, j)));
    slopes.push((q[1] - r[1]) / twice, (r[0] - q[0]) / twice);
    slopes.push((r[1] - p[1]) / twice, (p[0] - r[0]) / twice);
    slopes.push((p[1] - q[1]) / twice, (q[0] - p[0]) / twice);
    areas.push(Math.abs(twice) / 2);
  };
  for (let layer = 0; layer < count; layer += 1)
    for (let j = 0; j < n; j += 1) {
      if (hole !== null || layer > 0) triangle([layer, j], [layer + 1, j], [layer, j + 1]);
      triangle([layer, j + 1], [layer + 1, j], [layer + 1, j + 1]);
    }
  const rimOf = new Float64Array(nodes);
  const read: number[] = [];
  const rim = ({ points, isRim }: RimRing, layer: number) =>
    points.forEach((p, j) => {
      if ([-3, -2, -1, 0, 1, 2].every((k) => isRim.at((j + k) % n))) read.push(node(layer, j));
      if (!isRim[j]) return;
      const q = points[(j + 1) % n] as Point;
      const half = Math.hypot(q[0] - p[0], q[1] - p[1]) / 2;
      for (const k of [node(layer, j), node(layer, j + 1)]) rimOf[k] = (rimOf[k] as number) + half;
    });
  rim(outer, count);
  if (hole) rim(hole, 0);
  return {
    ...{ nodes, rimOf, read },
    corners: Int32Array.from(corners),
    slopes: Float64Array.from(slopes),
    areas: Float64Array.from(areas),
  };
}

/** Gradient of the energy and, element by element, its second derivative. */
function derivatives({ nodes, corners, slopes, areas }: Mesh, u: Float64Array, p: number) {
  const gradient = new Float64Array(nodes);
  const blocks = new Float64Array(areas.length * 9);
  let [area, volume] = [0, 0];
  const f = (list: Float64Array, i: number) => list[i] as number;
  for (let e = 0; e < areas.length; e += 1) {
    const A = f(areas, e);
    let [dx, dy, sum] = [0, 0, 0];
    for (let i = 0; i < 3; i += 1) {
      const v = f(u, corners[3 * e + i] as number);
      dx += v * f(slopes, 6 * e + 2 * i);
      dy += v * f(slopes, 6 * e + 2 * i + 1);
      sum += v;
    }
    const w = Math.sqrt(1 + dx * dx + dy * dy);
    area += A;
    volume += (A * sum) / 3;
    for (let i = 0; i < 3; i += 1) {
      const [ix, iy] = [f(slopes, 6 * e + 2 * i), f(slopes, 6 * e + 2 * i + 1)];
      const k = corners[3 * e + i] as number;
      const along = ix * dx + iy * dy;
      gradient[k] = f(gradient, k) + A * (along / w + (sum + f(u, k)) / 12 - p / 3);
      for (let j = 0; j < 3; j += 1) {
        const [jx, jy] = [f(slopes, 6 * e + 2 * j), f(slopes, 6 * e + 2 * j + 1)];
        const stiff = (ix * jx + iy * jy) / w - (along * (jx * dx + jy * dy)) / (w * w * w);
        blocks[e * 9 + i * 3 + j] = A * (stiff + (i === j ? 1 / 6 : 1 / 12));
      }
    }
  }
  return { gradient, blocks, area, volume };
}

/** Conjugate gradients over the elements with the diagonal as preconditioner; rim nodes stay 0. */
function solve({ nodes, corners, rimOf }: Mesh, blocks: Float64Array, g: Float64Array) {
  const f = (list: Float64Array, i: number) => list[i] as number;
  const diagonal = new Float64Array(nodes);
  for (let i = 0; i < corners.length; i += 1) {
    const k = corners[i] as number;
    diagonal[k] = f(diagonal, k) + f(blocks, Math.floor(i / 3) * 9 + (i % 3) * 4);
  }
  const q = new Float64Array(nodes);
  const times = (v: Float64Array) => {
    q.fill(0);
    for (let e = 0; e < corners.length / 3; e += 1) {
      const [a, b, c] = [corners[3 * e], corners[3 * e + 1], corners[3 * e + 2]] as [
        number,
        number,
        number,
      ];
      const [x, y, z] = [f(v, a), f(v, b), f(v, c)];
      const at = e * 9;
      q[a] = f(q, a) + f(blocks, at) * x + f(blocks, at + 1) * y + f(blocks, at + 2) * z;
      q[b] = f(q, b) + f(blocks, at + 3) * x + f(blocks, at + 4) * y + f(blocks, at + 5) * z;
      q[c] = f(q, c) + f(blocks, at + 6) * x + f(blocks, at + 7) * y + f(blocks, at + 8) * z;
    }
  };
  const [x, r, d] = [new Float64Array(nodes), new Float64Array(nodes), new Float64Array(nodes)];
  let rz = 0;
  for (let k = 0; k < nodes; k += 1) {
    if (f(rimOf, k) > 0) continue;
    r[k] = -f(g, k);
    d[k] = f(r, k) / f(diagonal, k);
    rz += f(r, k) * f(d, k);
  }
  const enough = 1e-14 * rz;
  for (let it = 0; it < 3000 && rz > enough; it += 1) {
    times(d);
    let dq = 0;
    for (let k = 0; k < nodes; k += 1) dq += f(d, k) * f(q, k);
    const step = rz / dq;
    let next = 0;
    for (let k = 0; k < nodes; k += 1) {
      if (f(rimOf, k) > 0) continue;
      x[k] = f(x, k) + step * f(d, k);
      r[k] = f(r, k) - step * f(q, k);
      next += f(r, k) ** 2 / f(diagonal, k);
    }
    for (let k = 0; k < nodes; k += 1)
      if (f(rimOf, k) === 0) d[k] = f(r, k) / f(diagonal, k) + (next / rz) * f(d, k);
    rz = next;
  }
  return x;
}

function meanOn(mesh: Mesh, angleRad: number): number {
  const u = new Float64Array(mesh.nodes);
  const at = (p: number) => {
    for (let i = 0; i < 30; i += 1) {
      const { gradient, blocks } = derivatives(mesh, u, p);
      const step = solve(mesh, blocks, gradient);
      const most = step.reduce((m, v) => Math.max(m, Math.abs(v)), 0);
      const share = Math.min(1, 0.7 / Math.max(most, 1e-9));
      for (let k = 0; k < u.length; k += 1) u[k] = (u[k] as number) + share * (step[k] as number);
      if (most < 1e-6) break;
    }
    const { gradient, area, volume } = derivatives(mesh, u, p);
    const sine = mesh.read.reduce(
      (m, k) => Math.max(m, -(gradient[k] as number) / (mesh.rimOf[k] as number)),
      0,
    );
    return { sine, mean: volume / area };
  };
  const wanted = Math.sin(angleRad);
  let [p0, p1] = [0.97 * 2 * Math.sin(angleRad / 2), 2 * Math.sin(angleRad / 2)];
  let [a, b] = [at(p0), at(p1)];
  for (let i = 0; i < 8 && Math.abs(b.sine - wanted) > 1e-5; i += 1) {
    const next = p1 + ((wanted - b.sine) * (p1 - p0)) / (b.sine - a.sine);
    [p0, p1, a] = [p1, next, b];
    b = at(p1);
  }
  return b.mean;
}

/**
 * Mean film, in capillary lengths, when the steepest place of its rims stands at an angle: the full Young–Laplace
 * equation ∇·(∇u/√(1+|∇u|²)) = u − p by linear finite elements on a mesh of rays and Newton's method; the angle from
 * the reaction of the rim's nodes, one order more exact than a slope; two meshes and Richardson's extrapolation.
 * Lengths in capillary lengths.
 */
export function meanAtAngle(
  outer: RimRing,
  hole: RimRing | null,
  angleRad: number,
  count = 32,
): number {
  const every = (ring: RimRing): RimRing => ({
    points: ring.points.filter((_, i) => i % 2 === 0),
    isRim: ring.isRim.filter((_, i) => i % 2 === 0),
  });
  const fine = meanOn(meshOf(outer, hole, count), angleRad);
  const coarse = meanOn(meshOf(every(outer), hole && every(hole), count / 2), angleRad);
  return fine + (fine - coarse) / 3;
}
