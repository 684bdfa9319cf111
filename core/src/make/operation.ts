import type { AssemblyOperation } from './operations/assembly.ts';
import type { CutAwayOperation } from './operations/cut-away.ts';
import type { CutOutOperation } from './operations/cut-out.ts';
import type { CutOperation } from './operations/cut.ts';
import type { OutlineOperation } from './operations/outline.ts';
import type { PunchOperation } from './operations/punch.ts';
import type { RoundOperation } from './operations/round.ts';
import type { ScoreOperation } from './operations/score-operation.ts';
import type { SlantOperation } from './operations/slant.ts';
import type { SlitOperation } from './operations/slit.ts';
import type { TaperOperation } from './operations/taper.ts';

/** What is done to a piece while it lies flat. */
export type FlatOperation =
  | PunchOperation
  | ScoreOperation
  | SlantOperation
  | SlitOperation
  | CutAwayOperation
  | OutlineOperation
  | TaperOperation
  | RoundOperation
  | CutOutOperation;

/** One thing that is done: from taking sheets apart to closing the box round its gift. */
export type Operation = CutOperation | FlatOperation | AssemblyOperation;

const flatKinds: ReadonlySet<Operation['kind']> = new Set<FlatOperation['kind']>([
  'punch',
  'score',
  'mark',
  'slanted score',
  'slit',
  'cut away',
  'cut to shape',
  'taper',
  'round',
  'cut out',
]);

/** Whether something is done to a piece while it lies flat, after it is cut and before it is folded. */
export function isFlatOperation(operation: Operation): operation is FlatOperation {
  return flatKinds.has(operation.kind);
}
