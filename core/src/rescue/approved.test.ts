import { describe, expect, it } from 'vitest';
import {
  allStyles,
  cutSizeOf,
  millimetres,
  nanometres,
  planBox,
  rescue,
  type DoneSoFar,
  type Mishap,
  type Plan,
  type PlanRequest,
} from '../index.ts';
import { approvedBoxes } from '../testing/approved-boxes.ts';

/** What may go wrong with a piece of a box; as far off as a hand is. */
function mishapsOf(plan: Plan): readonly { readonly name: string; readonly mishap: Mishap }[] {
  return plan.pieces.slice(0, 2).flatMap(({ id, grid }) => {
    const { width, height } = cutSizeOf(grid);
    const reading = plan.marks
      .find(({ piece }) => piece === id)
      ?.readings.find(({ mark }) => mark !== undefined);
    const cut = (wider: number, higher: number): Mishap => ({
      kind: 'cut',
      piece: id,
      width: nanometres(width + wider * 500_000),
      height: nanometres(height + higher * 500_000),
    });
    return [
      { name: `${id} cut too short`, mishap: cut(-2, 0) },
      { name: `${id} cut too large`, mishap: cut(3, 2) },
      ...(reading
        ? [-2, 2].map((steps) => ({
            name: `${id} scored ${steps < 0 ? 'too near to' : 'too far from'} its edge`,
            mishap: {
              kind: 'score' as const,
              piece: id,
              line: { axis: reading.axis, index: reading.index },
              at: nanometres(Math.max(500_000, reading.reading + steps * 500_000)),
            },
          }))
        : []),
      {
        name: `${id} torn`,
        mishap: {
          kind: 'torn' as const,
          piece: id,
          edge: 'bottom' as const,
          depth: millimetres(2),
        },
      },
    ];
  });
}

/** All of a box cut and scored, as far as it is marked. */
function allDone(plan: Plan): DoneSoFar {
  return {
    cut: new Set(plan.pieces.map(({ id }) => id)),
    scored: plan.marks.flatMap(({ piece, readings }) =>
      readings.flatMap(({ axis, index, mark }) =>
        mark === undefined ? [] : [{ piece, line: { axis, index } }],
      ),
    ),
  };
}

function told(plan: Plan, request: PlanRequest, done: DoneSoFar, mishap: Mishap): string {
  const { ways, again, why } = rescue(plan, request, done, mishap);
  return [
    ...ways.flatMap(({ kind, isGood, again: other, sentences }) => [
      `  ${kind}${isGood ? ', as good as planned' : ''}${other === undefined ? '' : `: ${other} again`}`,
      ...sentences.map((sentence) => `    ${sentence}`),
    ]),
    ...(why === undefined ? [] : [`  ${why}`]),
    `  or: ${again}`,
  ].join('\n');
}

/*
 * What is told of mishaps with a few kinds of box, as an editor has read and approved it; taken over as in
 * `words/approved.test.ts`.
 */
describe('what is told of a mishap', () => {
  const some = allStyles.filter(({ id }) =>
    ['lidded', 'drawer', 'tuck-end', 'rolled-rim', 'many-sided', 'tower'].includes(id),
  );
  it.each(some.map((style) => [style.id, style] as const))(
    'with a %s is as it was approved',
    async (id, style) => {
      const boxes = approvedBoxes(style).flatMap(({ request }, nth) => {
        const result = planBox(request);
        if (!result.ok) return [];
        const { plan } = result;
        const none: DoneSoFar = { cut: new Set(), scored: [] };
        return mishapsOf(plan).flatMap(({ name, mishap }) => [
          `== box ${nth + 1}, ${name}, nothing else made`,
          told(plan, request, none, mishap),
          `== box ${nth + 1}, ${name}, everything made`,
          told(plan, request, allDone(plan), mishap),
        ]);
      });
      await expect(`${boxes.join('\n')}\n`).toMatchFileSnapshot(`approved/${id}.txt`);
    },
  );
});
