import type { SystemContext } from '@chakra-ui/react';

/** So many styles are remembered; then it begins anew, for what is dragged makes new ones all the time. */
const MOST = 4000;

/**
 * A system that works out each style once. By itself it makes the recipe of every element anew each time the element is
 * drawn, and names what it remembers by a walk through all its words: half the time of a drawing went there.
 */
export function quickSystem(system: SystemContext): SystemContext {
  const recipes = new WeakMap<object, ReturnType<SystemContext['cva']>>();
  const cva = ((config) => {
    if (!config) return system.cva(config);
    const known = recipes.get(config) ?? system.cva(config);
    recipes.set(config, known);
    return known;
  }) as SystemContext['cva'];

  const properties = new Map<string, boolean>();
  const isValidProperty = (name: string): boolean => {
    const known = properties.get(name) ?? system.isValidProperty(name);
    properties.set(name, known);
    return known;
  };

  const styles = new Map<string, ReturnType<SystemContext['css']>>();
  const css: SystemContext['css'] = (...parts) => {
    const key = JSON.stringify(parts);
    const known = styles.get(key) ?? system.css(...parts);
    if (styles.size >= MOST) styles.clear();
    styles.set(key, known);
    return known;
  };

  return { ...system, cva, isValidProperty, css };
}
