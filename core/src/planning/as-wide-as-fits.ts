import type { StyleFrame } from '../forms/index.ts';
import { smallest } from '../length/index.ts';
import type { StagedSolver } from '../marks/index.ts';
import { worstState } from './judge-pairs.ts';
import {
  solveFrame,
  type FrameInStages,
  type SolvedFrame,
  type SolverBrief,
} from './put-to-solver.ts';

/** The frame with flaps, tucks and seams that are as short as they may be at all. */
export function scantily(frame: StyleFrame): StyleFrame {
  return {
    ...frame,
    sections: frame.sections.map(({ scant, ...section }) =>
      scant === undefined ? section : { ...section, least: smallest(section.least, scant) },
    ),
    smaller: frame.smaller.map(({ scantBy, ...pair }) =>
      scantBy === undefined ? pair : { ...pair, by: scantBy },
    ),
  };
}

function maySpare({ sections, smaller }: StyleFrame): boolean {
  return (
    sections.some(({ scant }) => scant !== undefined) ||
    smaller.some(({ scantBy }) => scantBy !== undefined)
  );
}

function holding(box: SolvedFrame | undefined): SolvedFrame | undefined {
  return box && worstState(box) === 'holds' ? box : undefined;
}

/**
 * Chooses every length of a frame, with flaps, tucks and seams as wide as is good; scant where its sheets leave no
 * room for more, or none for a fit that holds.
 */
export function solveAsWideAsFits(
  frame: StyleFrame,
  brief: SolverBrief,
  solver: StagedSolver,
): FrameInStages {
  const inWidth = solveFrame(frame, brief, solver);
  let scantFrame: FrameInStages | undefined;
  const inScant = () =>
    maySpare(frame) ? (scantFrame ??= solveFrame(scantily(frame), brief, solver)) : undefined;
  return {
    held: () => holding(inWidth.held()) ?? holding(inScant()?.held()),
    best: () => {
      const wide = inWidth.best();
      const state = wide && worstState(wide);
      if (state === 'holds') return wide;
      // What errs to the side that it is to lean to is left only for what holds.
      if (wide && state === brief.lean) return holding(inScant()?.held()) ?? wide;
      const scant = inScant()?.best();
      if (!wide || !scant) return wide ?? scant;
      const now = worstState(scant);
      return now === 'holds' || now === brief.lean ? scant : wide;
    },
  };
}
