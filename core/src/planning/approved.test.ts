import { describe, expect, it } from 'vitest';
import {
  allStyles,
  cutSizeOf,
  formatGap,
  planBox,
  type Length,
  type Plan,
  type PlanRequest,
} from '../index.ts';
import { approvedBoxes, drawn } from '../testing/approved-boxes.ts';
import { inWords, requestsIn } from '../testing/requests.ts';

/** Millimetres to the last nanometre. */
function exact(length: Length): string {
  return `${length / 1_000_000}`;
}

/** A plan as its figures: what is cut and scored where, what goes over what, which sheets it takes. */
function figuresOf({ pieces, marks, pairs, sheets, room, finerStep }: Plan): readonly string[] {
  return [
    ...pieces.flatMap(({ id, grid }) => {
      const { width, height } = cutSizeOf(grid);
      const readings = marks.find(({ piece }) => piece === id)?.readings ?? [];
      const told = (axis: 'column' | 'row') =>
        readings
          .filter((each) => each.axis === axis)
          .map(({ reading, from, onGroove, shimmed }) => {
            const how = shimmed ? ' shim' : onGroove ? '' : ' off';
            return `${exact(reading)} mm${from === 'end' ? ' back' : ''}${how}`;
          })
          .join(', ');
      return [
        `  ${id} ${exact(width)} × ${exact(height)} mm`,
        `    across ${told('column')}`,
        `    down ${told('row')}`,
      ];
    }),
    ...pairs.map(({ outer, inner, state, fits, choices }) => {
      const gaps = fits.map(({ direction, gap }) => `${direction} ${formatGap(gap)}`).join(', ');
      const others = choices.map(({ lean, gap }) => `; ${lean} ${formatGap(gap)}`).join('');
      return `  ${outer} over ${inner}: ${state}, ${gaps}${others}`;
    }),
    `  room ${formatGap(room.across)}, ${formatGap(room.deep)}, ${formatGap(room.high)}`,
    ...(finerStep === undefined ? [] : [`  holds in steps of ${exact(finerStep)} mm`]),
    `  ${sheets.map(({ paper, sheets: count, leftOver }) => `${count} ${paper}, ${leftOver.toFixed(4)} left`).join('; ')}`,
  ];
}

function told(request: PlanRequest, name: string): string {
  const result = planBox(request);
  const lines = result.ok
    ? figuresOf(result.plan)
    : result.problems.map(({ field, message }) => `  ${field}: ${message}`);
  return [`== ${name}`, ...lines].join('\n');
}

/*
 * The figures of some boxes of each kind as they were approved: a plan changes only where somebody means it to.
 * Where a change is an improvement, take it over with `npx vitest run --root . -u core/src/planning/approved`.
 */
describe('the plan', () => {
  it.each(allStyles.map((style) => [style.id, style] as const))(
    'of a %s is as it was approved',
    async (id, style) => {
      const more = drawn(requestsIn([inWords(style)]), { seed: 1_131, numRuns: 6 });
      const all = [...approvedBoxes(style).map(({ request }) => request), ...more];
      const plans = all.map((request, nth) => told(request, `box ${nth + 1}`));
      await expect(`${plans.join('\n')}\n`).toMatchFileSnapshot(`approved/${id}.txt`);
    },
  );
});
