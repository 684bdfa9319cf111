import type { ScorePass, Turn } from './step.ts';
import type { Side } from '../piece/index.ts';

/** The edges in the order in which quarter turns clockwise bring them to a fence on the left. */
const turningOrder: readonly Side[] = ['left', 'bottom', 'right', 'top'];
const turns: readonly Turn[] = ['none', 'quarter', 'half', 'three quarters'];

/** The passes of one setting in turning order, with the turn from each to the next. */
export function inTurningOrder(passes: readonly Omit<ScorePass, 'turn'>[]): ScorePass[] {
  const ordered = [...passes].sort(
    (a, b) => turningOrder.indexOf(a.edge) - turningOrder.indexOf(b.edge),
  );
  return ordered.map((pass, i) => {
    const before = ordered[i - 1]?.edge ?? pass.edge;
    const quarters = (turningOrder.indexOf(pass.edge) - turningOrder.indexOf(before) + 4) % 4;
    return { ...pass, turn: turns[quarters] ?? 'none' };
  });
}
