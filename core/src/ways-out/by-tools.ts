import type { PlanRequest } from '../request/index.ts';
import { hasRuler, type Kit } from '../tools/index.ts';
import type { WayOut } from './way-out.ts';

/** A way out by a ruler in place of the scoring board, where its grooves stand in the way. */
export function waysByTools({ kit }: PlanRequest): readonly WayOut[] {
  if (kit.without.includes('boards') || !hasRuler(kit)) return [];
  const without: Kit['without'] = [...kit.without, 'boards'];
  const part = { kit: { ...kit, without } };
  return [{ kind: 'tools', said: 'Score it without the scoring board', part }];
}

/** A way out by erring on the other side where no marks fit. */
export function waysByLean({ lean }: PlanRequest): readonly WayOut[] {
  return lean === 'loose'
    ? [{ kind: 'lean', said: 'Rather tight than loose', part: { lean: 'tight' } }]
    : [{ kind: 'lean', said: 'Rather loose than tight', part: { lean: 'loose' } }];
}
