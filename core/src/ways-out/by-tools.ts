import type { PlanRequest } from '../request/index.ts';
import { hasRuler } from '../tools/index.ts';
import type { WayOut } from './way-out.ts';

/** Ways out by other tools of the maker's: a ruler where a board stands in the way. */
export function waysByTools({ kit }: PlanRequest): readonly WayOut[] {
  const { diagonalBoard, cornerBoard, ...others } = kit;
  const boards = [
    ...(diagonalBoard ? [{ ...others, ...(cornerBoard && { cornerBoard }) }] : []),
    ...(cornerBoard ? [{ ...others, ...(diagonalBoard && { diagonalBoard }) }] : []),
  ].map((without): WayOut => ({
    kind: 'tools',
    said: 'Make its lines along a ruler, not on the punch board',
    part: { kit: without },
  }));
  const isOnBoard = !kit.without.includes('boards') && hasRuler(kit);
  const byRuler: WayOut = {
    kind: 'tools',
    said: 'Score it without the scoring board',
    part: { kit: { ...kit, without: [...kit.without, 'boards'] } },
  };
  return isOnBoard ? [...boards, byRuler] : boards;
}

/** A way out by erring on the other side where no marks fit. */
export function waysByLean({ lean }: PlanRequest): readonly WayOut[] {
  return lean === 'loose'
    ? [{ kind: 'lean', said: 'Rather tight than loose', part: { lean: 'tight' } }]
    : [{ kind: 'lean', said: 'Rather loose than tight', part: { lean: 'loose' } }];
}
