import {
  solveMarks,
  solveMisfits,
  type Chain,
  type ChainMarks,
  type Lean,
  type MarksProblem,
  type MarksSolution,
  type Patience,
  type ScoreReading,
} from '../fit/index.ts';
import type {
  PieceTemplate,
  SettledBox,
  SettledFit,
  SizeOf,
  StyleFit,
  StyleFrame,
} from '../forms/index.ts';
import { isOnGrid, minus, smallest, times, zero } from '../length/index.ts';
import { paperFor, type Papers } from '../paper/index.ts';
import type { Piece } from '../piece/index.ts';
import type { Kit } from '../tools/index.ts';

/** What decides the marks beside the style itself. */
export interface SolverBrief {
  readonly papers: Papers;
  readonly kit: Kit;
  readonly lean: Lean;
}

function chainOf(template: PieceTemplate, way: 'across' | 'down'): Chain {
  return { id: `${template.id} ${way}`, sections: template[way] };
}

/** The pair that a fit belongs to, by name. */
export function pairName({ outer, inner }: Pick<StyleFit, 'outer' | 'inner'>): string {
  return `${outer} over ${inner}`;
}

function fitName(fit: StyleFit): string {
  return `${pairName(fit)}, ${fit.direction}`;
}

/** A style's frame as a marks problem: its pieces are chains, its papers' sheets are limits. */
export function problemOf(frame: StyleFrame, { papers, kit, lean }: SolverBrief): MarksProblem {
  return {
    sections: frame.sections,
    chains: frame.pieces.flatMap((piece) => [chainOf(piece, 'across'), chainOf(piece, 'down')]),
    fits: frame.fits.map((fit) => ({
      id: fitName(fit),
      group: pairName(fit),
      outer: fit.outerSection,
      inner: fit.innerSection,
      innerTimes: fit.innerTimes ?? 1,
      layers: times(fit.layers, 1 / (fit.opens ?? 1)),
      gap: {
        least: times(fit.gap.least, 1 / (fit.opens ?? 1)),
        target: times(fit.gap.target, 1 / (fit.opens ?? 1)),
        most: times(fit.gap.most, 1 / (fit.opens ?? 1)),
      },
    })),
    smaller: frame.smaller,
    limits: frame.pieces.map((piece) => {
      const { sheet, printRuns } = paperFor(papers, piece.paper);
      return {
        across: `${piece.id} across`,
        down: `${piece.id} down`,
        width: sheet.width,
        height: sheet.height,
        mayTurn: printRuns === 'any way',
      };
    }),
    tools: { step: kit.trimmer.step, pitch: kit.board.pitch, reach: kit.board.reach },
    lean,
  };
}

/** A frame whose every length is chosen. */
export interface SolvedFrame {
  readonly frame: StyleFrame;
  readonly solution: MarksSolution;
  readonly fits: readonly SettledFit[];
}

/** A piece with its marks in both directions. */
export interface MarkedPiece {
  readonly piece: Piece;
  readonly across: ChainMarks;
  readonly down: ChainMarks;
}

/** A box whose pieces are drawn. */
export interface DrawnBox extends SettledBox {
  readonly pieces: readonly MarkedPiece[];
}

function chainMarks(solution: MarksSolution, id: string): ChainMarks {
  const found = solution.chains.find((chain) => chain.id === id);
  if (!found) throw new Error(`No marks were found for ${id}`);
  return found;
}

/** The marks across a piece, with those of rows that are scored elsewhere than the rest. */
function acrossMarks(
  solution: MarksSolution,
  { id, alsoAcross }: PieceTemplate,
  size: SizeOf,
  { board }: Kit,
): ChainMarks {
  const across = chainMarks(solution, `${id} across`);
  if (!alsoAcross) return across;
  const more = alsoAcross(size).map((position): ScoreReading => {
    const fromEnd = minus(across.cut, position);
    const reading = smallest(position, fromEnd);
    return {
      index: 0,
      position,
      from: reading === position ? 'start' : 'end',
      reading,
      onGroove: reading <= board.reach && isOnGrid(reading, board.pitch),
    };
  });
  const scores = [...across.scores, ...more].sort((a, b) => a.position - b.position);
  return { ...across, scores };
}

/** The cut size that a solution gives a piece. */
export function cutSizeIn(solution: MarksSolution, piece: string) {
  return {
    width: chainMarks(solution, `${piece} across`).cut,
    height: chainMarks(solution, `${piece} down`).cut,
  };
}

/** Draws the pieces of a frame at the lengths that were chosen. */
export function drawBox({ frame, solution }: SolvedFrame, kit: Kit): DrawnBox {
  const size: SizeOf = (id) => {
    const found = solution.sections.get(id);
    if (found === undefined) throw new Error(`The solver left out ${id}`);
    return found;
  };
  return {
    ...frame.settle(size),
    pieces: frame.pieces.map((template) => ({
      piece: {
        id: template.id,
        name: template.name,
        paper: template.paper,
        copies: template.copies,
        grid: template.draw(size),
      },
      across: acrossMarks(solution, template, size, kit),
      down: chainMarks(solution, `${template.id} down`),
    })),
  };
}

/** Chooses every length of a frame; undefined where nothing fits its sheets. */
export function solveFrame(frame: StyleFrame, brief: SolverBrief): SolvedFrame | undefined {
  return withFits(frame, solveMarks(problemOf(frame, brief)));
}

/** Chooses again what doesn't hold in a solved frame, for finer tools or the other lean. */
export function solveFrameAgain(
  { frame, solution }: SolvedFrame,
  brief: SolverBrief,
  patience: Patience,
): SolvedFrame | undefined {
  return withFits(frame, solveMisfits(problemOf(frame, brief), solution, patience));
}

function withFits(frame: StyleFrame, solution: MarksSolution | undefined): SolvedFrame | undefined {
  if (!solution) return undefined;
  const fits = [
    ...frame.fits.map((fit) => ({
      ...fit,
      came: times(solution.gaps.get(fitName(fit)) ?? zero, fit.opens ?? 1),
    })),
    ...(frame.settledFits ?? []),
  ];
  return { frame, solution, fits };
}
