import { planJob, sayStep, toMillimetres, type Plan, type PlanRequest } from '../index.ts';
import { pieceFaults, readPieces, type ToldStep } from './reader/index.ts';

/** The steps of a job as they are printed. */
export function toldSteps(plan: Plan, request: PlanRequest, boxes: number): readonly ToldStep[] {
  const job = planJob(plan, request, { boxes });
  return job.steps.map((step) => ({
    tool: step.bench,
    copies: step.copies,
    text: sayStep(step, { job, box: plan, kit: request.kit }).text,
  }));
}

/** What differs between the planned pieces and those that a reader makes of what is told; none is right. */
export function faultsInWords(
  plan: Plan,
  request: PlanRequest,
  boxes: number,
  pick: (ways: number) => number,
): readonly string[] {
  const steps = toldSteps(plan, request, boxes);
  const sheets = request.papers.map(({ name, sheet, printRuns }) => ({
    paper: name,
    width: toMillimetres(sheet.width),
    height: toMillimetres(sheet.height),
    ...(printRuns === 'one way' && { printTop: 'top' as const }),
  }));
  try {
    const made = readPieces(
      steps,
      request.kit,
      sheets,
      plan.pieces.map(({ name }) => name),
      pick,
    );
    return plan.pieces.flatMap((piece) => {
      const found = made.find(({ name }) => name === piece.name);
      if (!found) return [`no ${piece.name}`];
      const count = found.count === piece.copies * boxes ? [] : [`${found.count} of ${piece.name}`];
      return [
        ...count,
        ...pieceFaults(found.card, piece).map((fault) => `${piece.name}: ${fault}`),
      ];
    });
  } catch (error) {
    return [error instanceof Error ? error.message : 'It can’t be read'];
  }
}
