// What every bundle of our TypeScript for Node has in common: loaded figures, unit tests, tests of changed operators.

/** Packages of the older kind ask for Node's own modules by `require`, which a module does not have. */
export const REQUIRE =
  "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);";

/**
 * Leaves packages to Node, so that they are loaded as they are.
 * @param inside those that go into the bundle all the same
 */
export const packagesOutside = (inside) => ({
  name: 'packages outside',
  setup(bundler) {
    bundler.onResolve({ filter: /^[^.@/]|^@[^/]/ }, ({ path: name, kind }) =>
      kind === 'entry-point' || inside.test(name) ? null : { path: name, external: true },
    );
  },
});
