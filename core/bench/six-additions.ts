import {
  choiceOf,
  millimetres,
  newPanel,
  papersOf,
  planBox,
  wearable,
  type AdditionChoice,
  type PlanRequest,
} from '@rangoli/core';

/**
 * A request with six things on and in its box: a liner, a stiffener, a band, and panels on three of its faces. Undefined
 * where the box can't be made, or can't wear all of these.
 */
export function withSixAdditions(request: PlanRequest): PlanRequest | undefined {
  const bare = planBox(request);
  if (!bare.ok) return undefined;
  const paper = { ...request.papers[0], id: 'worn', name: 'Worn' };
  const faces = wearable(bare.plan, papersOf(request)).map(({ name }) => choiceOf(name));
  const differing = new Map(faces.map((face) => [JSON.stringify(face), face]));
  const panels = [...differing.values()].slice(0, 3).map((face, i): AdditionChoice => ({
    ...newPanel({ id: `panel-${i}`, on: { which: 'face', face }, paper, unit: request.unit }),
    underCover: 'ends',
  }));
  if (panels.length < 3) return undefined;
  const dressed: PlanRequest = {
    ...request,
    additions: [
      { addition: 'liner', id: 'liner-1', lines: 'box', paper },
      { addition: 'stiffener', id: 'stiffener-1', in: 'floor', paper },
      {
        addition: 'band',
        id: 'band-1',
        round: 'walls',
        closing: 'seam',
        width: millimetres(10),
        paper,
      },
      ...panels,
    ],
  };
  return planBox(dressed).ok ? dressed : undefined;
}
