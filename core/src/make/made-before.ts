import type { Paper } from '../paper/index.ts';
import type { Piece } from '../piece/index.ts';
import { afterOperation, justCut } from './as-made.ts';
import type { AsMade } from './card.ts';
import type { Job } from './job.ts';
import type { Step } from './step.ts';

/** A piece as it is when a step begins: what the steps before it have made, and nothing else. */
export function madeBefore({ steps }: Job, step: Step, piece: Piece, paper: Paper): AsMade {
  return steps
    .slice(0, steps.indexOf(step))
    .flatMap((each) => (each.kind === 'flat' && each.piece === piece.id ? each.operations : []))
    .reduce((made, operation) => afterOperation(made, piece, operation), justCut(piece, paper));
}
