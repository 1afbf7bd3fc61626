import type { SystemContext } from '@chakra-ui/react';

/** So many styles are remembered; then it begins anew, for what is dragged makes new ones all the time. */
const MOST = 4000;

/** What a function says, remembered by its arguments; styles are plain data. */
function remembered<A extends readonly unknown[], R>(say: (...args: A) => R): (...args: A) => R {
  const said = new Map<string, R>();
  return (...args) => {
    const key = JSON.stringify(args);
    const known = said.get(key);
    if (known !== undefined) return known;
    if (said.size >= MOST) said.clear();
    const result = say(...args);
    said.set(key, result);
    return result;
  };
}

/**
 * A system that works out each style once. By itself it makes the recipe of every element anew each time the element is
 * drawn, and names what it remembers by a walk through all its words: a sixth of a tap went there.
 */
export function quickSystem(system: SystemContext): SystemContext {
  const recipes = new WeakMap<object, ReturnType<SystemContext['cva']>>();
  const cva = ((config) => {
    if (!config) return system.cva(config);
    const before = recipes.get(config);
    if (before) return before;
    const recipe = system.cva(config);
    const made = Object.assign(remembered(recipe), recipe);
    recipes.set(config, made);
    return made;
  }) as SystemContext['cva'];

  const properties = new Map<string, boolean>();
  const isValidProperty = (name: string): boolean => {
    const known = properties.get(name) ?? system.isValidProperty(name);
    properties.set(name, known);
    return known;
  };

  return { ...system, cva, isValidProperty, css: remembered(system.css) };
}
