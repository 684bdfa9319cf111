import { millimetres, stockPaper, type AdditionChoice, type PlanRequest } from '../index.ts';

/** The ways in which a band may go. */
export type Round = 'walls' | 'across' | 'deep' | 'under lid';

/** A request with one band more, so many millimetres wide. */
export function banded(
  request: PlanRequest,
  round: Round,
  width = 20,
  paper = stockPaper('comet'),
  closing: 'seam' | 'hooks' = 'seam',
) {
  const band: AdditionChoice = {
    addition: 'band',
    id: 'band-1',
    round,
    width: millimetres(width),
    closing,
    paper,
  };
  return { ...request, additions: [...request.additions, band] };
}
