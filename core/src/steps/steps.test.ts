import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  edgesInWords,
  nanometres,
  planBox,
  quarterTurnsTo,
  scoreRun,
  scoreStrips,
  stepInWords,
  stretchOnBoard,
  usualRequest,
  type FenceSide,
  type Plan,
  type Side,
} from '../index.ts';
import { anyRequest, sundial } from '../testing/requests.ts';

/*
 * A sheet on a board, replayed by the board's own geometry: the fence is on the left, a score runs over the
 * whole depth of the piece at the reading from the fence, and turns are made by hand, clockwise.
 */

const clockwise: Record<Side, Side> = {
  left: 'top',
  top: 'right',
  right: 'bottom',
  bottom: 'left',
};
const quarters = { none: 0, quarter: 1, half: 2, 'three quarters': 3 } as const;

/** Every score that the steps make on a piece, as line and distance from the piece's left or top edge. */
function replay(plan: Plan, piece: string): readonly string[] {
  const cut = plan.steps.find((step) => step.kind === 'cut' && step.piece === piece);
  if (cut?.kind !== 'cut') throw new Error('A piece must be cut first');
  const made: string[] = [];
  for (const step of plan.steps) {
    if (step.kind !== 'score' || step.make !== 'score' || step.piece !== piece) continue;
    // Where each of the piece's own edges lies on the table: as drawn, then turned edge to fence.
    let atFence: Side = step.passes[0]?.edge ?? 'left';
    for (const pass of step.passes) {
      for (let i = 0; i < quarters[pass.turn]; i++) {
        // A clockwise quarter brings to the left what was at the bottom.
        const bottom = Object.entries(clockwise).find(([, next]) => next === atFence)?.[0];
        atFence =
          (['left', 'top', 'right', 'bottom'] as const).find((side) => side === bottom) ?? atFence;
      }
      expect(atFence).toBe(pass.edge);
      const along = atFence === 'left' || atFence === 'right' ? 'column' : 'row';
      const size = along === 'column' ? cut.width : cut.height;
      const fromFirst =
        atFence === 'left' || atFence === 'top' ? step.reading : size - step.reading;
      made.push(`${along} ${fromFirst}`);
    }
  }
  return made.sort();
}

describe('a piece on the board', () => {
  it('has every score at its reading from the fence, from and to where its step says', () => {
    const length = fc.integer({ min: 20_000_000, max: 300_000_000 });
    fc.assert(
      fc.property(
        fc.constantFrom<Side>('left', 'top', 'right', 'bottom'),
        fc.constantFrom<FenceSide>('left', 'right'),
        fc.record({
          width: length,
          height: length,
          share: fc.double({ min: 0.05, max: 0.95, noNaN: true }),
        }),
        fc.option(
          fc.tuple(
            fc.double({ min: 0, max: 0.4, noNaN: true }),
            fc.double({ min: 0.5, max: 1, noNaN: true }),
          ),
        ),
        (edge, fence, { width: wide, height: tall, share }, ends) => {
          const [width, height] = [nanometres(wide), nanometres(tall)];
          const isUpright = edge === 'left' || edge === 'right';
          const [off, long] = isUpright ? [wide, tall] : [tall, wide];
          const reading = nanometres(Math.round(off * share));
          const part = ends && {
            from: nanometres(Math.round(long * ends[0])),
            to: nanometres(Math.round(long * ends[1])),
          };
          const pass = { edge, ...(part && { part }) };
          const run = scoreRun(pass, reading, width, height);
          // Turned by hand, a quarter clockwise at a time: what was at the bottom comes to the left.
          let points: readonly (readonly number[])[] = [
            [run.x1, run.y1],
            [run.x2, run.y2],
          ];
          let [across, down]: readonly [number, number] = [wide, tall];
          for (let i = 0; i < quarterTurnsTo(edge, fence); i++) {
            points = points.map(([x = 0, y = 0]) => [down - y, x]);
            [across, down] = [down, across];
          }
          for (const [x = 0] of points) expect(fence === 'left' ? x : across - x).toBe(reading);
          const ys = points.map(([, y = 0]) => y);
          const { from, to } = stretchOnBoard(pass, width, height, fence);
          expect([Math.min(...ys), Math.max(...ys)]).toEqual([from, to]);
          expect(across).toBe(off);
        },
      ),
    );
  });
});

describe('the steps of a box', () => {
  it('score exactly the plan’s lines, cut before scored, scored before slit', () => {
    fc.assert(
      fc.property(anyRequest, (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        for (const { id, grid } of plan.pieces) {
          const wanted = grid.lines.map(({ axis, index }) => {
            const sections = axis === 'column' ? grid.columns : grid.rows;
            return `${axis} ${sections.slice(0, index).reduce((a, b) => a + b, 0)}`;
          });
          expect(replay(plan, id)).toEqual(wanted.sort());
          // Every score stands on one ruler, and those on one ruler are measured along the same edges.
          const strips = scoreStrips(plan.steps, id).map(({ steps }) => steps);
          expect(new Set(strips.flat())).toEqual(
            new Set(plan.steps.filter((step) => step.kind === 'score' && step.piece === id)),
          );
          for (const strip of strips) expect(new Set(strip.map(edgesInWords)).size).toBe(1);
          const kinds = plan.steps.filter(({ piece }) => piece === id).map(({ kind }) => kind);
          expect(kinds.join(' ')).toMatch(/^cut( score)*( slant)?( slit)?( taper)*( snip)*$/);
        }
        for (const step of plan.steps) {
          const words = stepInWords(step, request.kit);
          expect(words).toMatch(/^[A-Z][^{}]*\.$/);
          expect(words).not.toMatch(/undefined|NaN|\[object|,,| {2}/);
        }
      }),
    );
  });

  it('are said as at the table', () => {
    const request = usualRequest(sundial, 'inch');
    const result = planBox(request);
    const words = result.ok ? result.plan.steps.map((step) => stepInWords(step, request.kit)) : [];
    expect(words).toEqual([
      'Base: cut one 3 3/4 × 3 3/4 in from Dusk, one setting, both ways.',
      'Lid: cut one 3 9/16 × 3 9/16 in from Sodium, one setting, both ways.',
      'Base: Inside face up, any edge against the fence. Score all four sides, turning each time, at 5/8. 5/8 is the fifth small mark.',
      'Lid: Inside face up, any edge against the fence. Score all four sides, turning each time, at 1/2. 1/2 is the fourth small mark.',
      'Base: slit four corners to the fold from the top and the bottom edge, along the score.',
      'Base: taper the four tabs, drawing in each free corner by 1.5 mm.',
      'Lid: slit four corners to the fold from the top and the bottom edge, along the score.',
      'Lid: taper the four tabs, drawing in each free corner by 1.5 mm.',
    ]);
  });
});
