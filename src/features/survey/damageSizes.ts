import type { DamageKind } from '@/core/piece';

/** The sizes that matter for a kind of damage. */
export function damageSizes(kind: DamageKind): readonly ('length' | 'width' | 'depth')[] {
  if (kind === 'dent') return ['length', 'width', 'depth'];
  return kind === 'loose relief' ? ['length', 'width'] : ['length'];
}
