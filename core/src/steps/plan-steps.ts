import { largest, millimetres } from '../length/index.ts';
import type { Paper } from '../paper/index.ts';
import { cutSizeOf, type Piece } from '../piece/index.ts';
import { cutUnit, type Kit } from '../tools/index.ts';
import { nearestMark } from './nearest.ts';
import { punchSteps } from './punch-steps.ts';
import { scoreSteps, type PieceMarks } from './score-steps.ts';
import { slantSteps } from './slant-steps.ts';
import { snipSteps } from './snip-steps.ts';
import { slitsOf } from './slits.ts';
import type { Step, TaperStep } from './step.ts';

/** What a piece needs done, with the marks that were found for it. */
export interface PieceJob {
  readonly piece: Piece;
  readonly paper: Paper;
  readonly marks: PieceMarks;
}

/** The lines of a piece, on a punch board where it is made on one. */
function linesOf({ piece, marks, paper }: PieceJob, kit: Kit): readonly Step[] {
  return (
    punchSteps(piece, paper, kit) ?? [
      ...scoreSteps(piece, marks, paper, kit),
      ...slantSteps(piece, paper, () => false),
    ]
  );
}

/**
 * The steps of a box on a trimmer, a scoring or a punch board and a pair of scissors: all cuts first, then each
 * piece's scores, then slits, tapers, notches and holes.
 */
export function planSteps(jobs: readonly PieceJob[], kit: Kit): readonly Step[] {
  const common = ({ piece }: PieceJob) => ({
    piece: piece.id,
    name: piece.name,
    copies: piece.copies,
  });
  const cuts = jobs.map((job): Step => {
    const { width, height } = cutSizeOf(job.piece.grid);
    return {
      kind: 'cut',
      ...common(job),
      paper: job.paper.name,
      width,
      height,
    };
  });
  const lines = jobs.map((job) => linesOf(job, kit));
  const snips = jobs.flatMap((job): readonly Step[] => {
    const { grid } = job.piece;
    const slits = grid.lines.flatMap((line) => slitsOf(grid, line));
    const slitStep: readonly Step[] =
      slits.length > 0 ? [{ kind: 'slit', ...common(job), slits }] : [];
    return [
      ...slitStep,
      ...taperSteps(job, kit, common(job)),
      ...snipSteps(job.piece, kit.punches),
    ];
  });
  const straight = lines.flatMap((steps) => steps.filter(({ kind }) => kind !== 'slant'));
  const slanting = lines.flatMap((steps) => steps.filter(({ kind }) => kind === 'slant'));
  return [...cuts, ...straight, ...slanting, ...snips];
}

/** Tapers of one kind of flap that are alike are one step. */
function taperSteps(
  { piece: { grid } }: PieceJob,
  kit: Kit,
  common: Pick<TaperStep, 'piece' | 'name' | 'copies'>,
): readonly TaperStep[] {
  const unit = cutUnit(kit);
  const alike = new Map<string, TaperStep>();
  grid.tapers.forEach(({ cell, inset: exact }, place) => {
    const role = grid.roles[cell.row]?.[cell.column] ?? 'tab';
    // Scissors are led by eye: no finer than a ruler is read, and never by nothing.
    const inset = largest(nearestMark(exact, unit), nearestMark(millimetres(0.5), unit));
    const key = `${role} ${inset}`;
    const places = [...(alike.get(key)?.places ?? []), place];
    alike.set(key, { kind: 'taper', ...common, role, places, inset });
  });
  return [...alike.values()];
}
