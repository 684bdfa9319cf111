import { z } from 'zod';
import { judgeGap, judgePair, solveMarks } from './fit/index.ts';
import type { Lean, MarksProblem, MarksSolution } from './fit/index.ts';
import { clearInsideNeeded, extentsOf } from './gift/index.ts';
import { half, lengthSchema, minus, nanometres, type Length } from './length/index.ts';
import { commonSheets, type Paper } from './paper/index.ts';
import { pieceSchema } from './piece/index.ts';
import type { PlanRequest, Problem } from './request/index.ts';
import { laySheets } from './sheets/index.ts';
import { formatSize, planSteps, stepSchema, type PieceJob } from './steps/index.ts';
import { frameStyle, type Box, type PieceFrame, type StyleFrame } from './styles/index.ts';

const byDirection = z.object({
  across: lengthSchema,
  deep: lengthSchema,
  high: lengthSchema,
});
const gapState = z.enum(['tight', 'holds', 'loose']);

const fitSchema = z.object({
  id: z.string(),
  outer: z.string(),
  inner: z.string(),
  direction: z.enum(['across', 'deep', 'high']),
  gap: lengthSchema,
  state: gapState,
  range: z.object({
    least: lengthSchema,
    target: lengthSchema,
    most: lengthSchema,
  }),
});

const readingSchema = z.object({
  line: z.string(),
  position: lengthSchema,
  from: z.enum(['start', 'end']),
  reading: lengthSchema,
  onGroove: z.boolean(),
});

const lidChoiceSchema = z.object({
  lean: z.enum(['loose', 'tight']),
  state: gapState,
  /** The closest gap of the lid, which decides how it slides. */
  gap: lengthSchema,
  lid: z.object({ width: lengthSchema, height: lengthSchema }),
});

/** Everything that follows from a request. Lengths are whole nanometres. */
export const planSchema = z.object({
  version: z.literal(1),
  style: z.enum(['lidded']),
  pieces: z.array(pieceSchema),
  clearInside: byDirection,
  /** Room that the gift has: on each side across and deep, over the top. */
  room: byDirection,
  lid: z.object({
    state: gapState,
    /** The closest gap, which decides how the lid slides. */
    gap: lengthSchema,
    fits: z.array(fitSchema),
    /** The nearest lids on either side of the range, when these tools allow none inside it. */
    choices: z.array(lidChoiceSchema),
    /** A finer trimmer step with which the lid would hold, when one that makers have would do. */
    finerStep: lengthSchema.optional(),
  }),
  marks: z.array(z.object({ piece: z.string(), readings: z.array(readingSchema) })),
  /** Scores that are on no groove of the board. */
  offGrid: z.int().nonnegative(),
  steps: z.array(stepSchema),
  sheets: z.array(
    z.object({
      paper: z.string(),
      sheets: z.int().positive(),
      placements: z.array(
        z.object({
          piece: z.string(),
          sheet: z.int().nonnegative(),
          x: lengthSchema,
          y: lengthSchema,
          turned: z.boolean(),
        }),
      ),
      leftOver: z.number().min(0).max(1),
    }),
  ),
});
export type Plan = z.infer<typeof planSchema>;
export type PlannedFit = z.infer<typeof fitSchema>;
export type LidChoice = z.infer<typeof lidChoiceSchema>;

export type PlanResult =
  | { readonly ok: true; readonly plan: Plan }
  | { readonly ok: false; readonly problems: readonly Problem[] };

function frameFor(request: PlanRequest, lean: Lean = request.lean): StyleFrame {
  return frameStyle(request.style, {
    inside: clearInsideNeeded(request.gift, request.room),
    papers: request.papers,
    kit: request.kit,
    lean,
  });
}

/**
 * The one way in: a request becomes a plan, or sentences that say which field stands in the way and how
 * to get round it. Pure; the request has been parsed by its schema.
 */
export function planBox(request: PlanRequest): PlanResult {
  const frame = frameFor(request);
  const solution = solveMarks(frame.problem);
  if (!solution) return { ok: false, problems: sheetProblems(request, frame) };
  const box = frame.build(solution);
  // No marks force a lid that jams: then it is its sheet that leaves no room for a larger one.
  if (request.lean === 'loose' && stateOf(box) === 'tight')
    return { ok: false, problems: sheetProblems(request, frame) };
  const jobs = box.pieces.map((piece, i) => jobOf(piece, frame.pieces[i], solution, request));
  return {
    ok: true,
    plan: {
      version: 1,
      style: request.style.style,
      pieces: [...box.pieces],
      clearInside: { ...box.clearInside },
      room: roomLeft(request, box),
      lid: judgeLid(request, frame, solution, box),
      marks: jobs.map(({ piece, marks }) => ({
        piece: piece.id,
        readings: (['across', 'down'] as const).flatMap((way) =>
          marks[way].scores.map(({ index, ...reading }) => ({
            line: `${way === 'across' ? 'column' : 'row'} ${index}`,
            ...reading,
          })),
        ),
      })),
      offGrid: solution.cost.offGrid,
      steps: [...planSteps(jobs, request.kit)],
      sheets: laySheets(box.pieces, request.papers).map((use) => ({
        ...use,
        placements: [...use.placements],
      })),
    },
  };
}

function jobOf(
  piece: PieceJob['piece'],
  frame: PieceFrame | undefined,
  solution: MarksSolution,
  request: PlanRequest,
): PieceJob {
  const chain = (id: string | undefined) => {
    const found = solution.chains.find((each) => each.id === id);
    if (!found) throw new Error(`No marks were found for ${piece.name}`);
    return found;
  };
  return {
    piece,
    paper: request.papers[piece.paper],
    marks: { across: chain(frame?.across), down: chain(frame?.down) },
  };
}

function roomLeft(request: PlanRequest, box: Box): Plan['room'] {
  const gift = extentsOf(request.gift);
  return {
    across: half(minus(box.clearInside.across, gift.across)),
    deep: half(minus(box.clearInside.deep, gift.deep)),
    high: minus(box.clearInside.high, gift.high),
  };
}

function closest(fits: readonly { readonly gap: Length }[]): Length {
  return nanometres(Math.min(...fits.map(({ gap }) => gap)));
}

function stateOf(box: Box): PlannedFit['state'] {
  return judgePair(box.fits);
}

function judgeLid(
  request: PlanRequest,
  frame: StyleFrame,
  solution: MarksSolution,
  box: Box,
): Plan['lid'] {
  const state = stateOf(box);
  const fits = box.fits.map((fit) => ({
    ...fit,
    state: judgeGap(fit.gap, fit.range),
  }));
  const verdict = { state, gap: closest(box.fits), fits };
  if (state === 'holds') return { ...verdict, choices: [] };
  const finerStep = finerStepThatHolds(frame);
  return {
    ...verdict,
    choices: (['tight', 'loose'] as const).flatMap((lean) =>
      lean === request.lean ? [lidChoice(lean, frame, solution, box)] : otherChoice(request, lean),
    ),
    ...(finerStep !== undefined && { finerStep }),
  };
}

/** The lid that comes of leaning the other way. */
function otherChoice(request: PlanRequest, lean: Lean): readonly LidChoice[] {
  const frame = frameFor(request, lean);
  const solution = solveMarks(frame.problem);
  return solution ? [lidChoice(lean, frame, solution, frame.build(solution))] : [];
}

function lidChoice(lean: Lean, frame: StyleFrame, solution: MarksSolution, box: Box): LidChoice {
  const cutOf = (id: string | undefined) =>
    solution.chains.find((chain) => chain.id === id)?.cut ?? nanometres(0);
  const lid = frame.pieces.find(({ id }) => id === 'lid');
  return {
    lean,
    state: stateOf(box),
    gap: closest(box.fits),
    lid: { width: cutOf(lid?.across), height: cutOf(lid?.down) },
  };
}

function finerStepThatHolds({ problem, build }: StyleFrame): Length | undefined {
  const { step } = problem.tools;
  if (step % 2 !== 0) return undefined;
  const finer: MarksProblem = {
    ...problem,
    tools: { ...problem.tools, step: half(step) },
  };
  const solution = solveMarks(finer);
  return solution && stateOf(build(solution)) === 'holds' ? finer.tools.step : undefined;
}

function fitsSheet(
  width: Length,
  height: Length,
  sheet: Pick<Paper['sheet'], 'width' | 'height'>,
  mayTurn: boolean,
): boolean {
  const straight = width <= sheet.width && height <= sheet.height;
  return straight || (mayTurn && width <= sheet.height && height <= sheet.width);
}

/** What the pieces would need, and which sheet would do, when the chosen one is too small. */
function sheetProblems(request: PlanRequest, frame: StyleFrame): readonly Problem[] {
  const free = solveMarks({ ...frame.problem, limits: [] });
  if (!free)
    return [
      {
        field: 'gift',
        message: 'No marks of these tools come near this gift. Choose finer tools.',
      },
    ];
  const cutOf = (id: string) => free.chains.find((chain) => chain.id === id)?.cut ?? nanometres(0);
  const { unit } = request;
  const mayTurn = (paper: PieceFrame['paper']) => request.papers[paper].printRuns === 'any way';
  const tooLarge = frame.pieces.filter(
    ({ across, down, paper }) =>
      !fitsSheet(cutOf(across), cutOf(down), request.papers[paper].sheet, mayTurn(paper)),
  );
  return tooLarge.map(({ name, across, down, paper }) => {
    const { sheet, name: paperName } = request.papers[paper];
    const width = cutOf(across);
    const height = cutOf(down);
    const larger = commonSheets.find((each) => fitsSheet(width, height, each, mayTurn(paper)));
    const out = larger
      ? `It fits on ${larger.name}. Choose a larger sheet, less room or a smaller gift.`
      : `No common sheet is large enough. Less room or a smaller gift would do.`;
    const needs = formatSize(width, height, request.kit.trimmer.unit);
    const has = formatSize(sheet.width, sheet.height, unit);
    return {
      field: `papers.${paper}.sheet`,
      message: `The ${name.toLowerCase()} needs a piece of ${needs}, and a sheet of ${paperName} is ${has}. ${out}`,
      ...(larger && { sheet: larger }),
    };
  });
}
