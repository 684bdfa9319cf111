import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  edgesInWords,
  genericDiagonalBoards,
  inchFraction,
  millimetres,
  nanometres,
  planBox,
  quarterTurnsTo,
  scoreRun,
  scoreStrips,
  stepInWords,
  styleSummary,
  stretchOnBoard,
  usualRequest,
  type FenceSide,
  type Length,
  type PlanRequest,
  type Side,
} from '../index.ts';
import { faultsOnBench } from '../testing/bench.ts';
import { anyRequest, oddKit, requestsIn, sundial } from '../testing/requests.ts';

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

/** Boxes on tables with more tools than usual, or fewer. */
const crowded = requestsIn(allStyles, oddKit);

/** The sundial's base cut as it is planned, so that its walls are known and its scores still to be made. */
function wallsMade(wall: Length): PlanRequest['made'] {
  const cut = inchFraction(60, 16);
  return (['across', 'down'] as const).map((way) => ({
    piece: 'base',
    way,
    cut,
    marks: [{ mark: 1, at: wall }],
  }));
}

describe('the steps of a box', () => {
  it('make exactly the plan’s lines on the maker’s own tools, whatever they are', () => {
    let punched = 0;
    let turnedOver = 0;
    let shimmed = 0;
    fc.assert(
      fc.property(fc.oneof(anyRequest, crowded), (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        for (const piece of plan.pieces) {
          const steps = plan.steps.filter((step) => step.piece === piece.id);
          expect(faultsOnBench(steps, piece, request.kit)).toEqual([]);
          // Every score stands on one ruler, and those on one ruler are measured along the same edges.
          const strips = scoreStrips(plan.steps, piece.id).map((strip) => strip.steps);
          expect(new Set(strips.flat())).toEqual(
            new Set(steps.filter((step) => step.kind === 'score')),
          );
          for (const strip of strips) expect(new Set(strip.map(edgesInWords)).size).toBe(1);
          const kinds = steps.map(({ kind }) => kind);
          expect(kinds.join(' ')).toMatch(
            /^cut( punch)*( score)*( slant)*( slit)?( taper)*( snip)*$/,
          );
        }
        for (const step of plan.steps) {
          if (step.kind === 'punch') punched++;
          if (step.kind === 'score' && step.shim !== undefined) shimmed++;
          if (step.kind === 'score' && step.passes.some(({ over }) => over)) turnedOver++;
          const words = stepInWords(step, request.kit);
          expect(words).toMatch(/^[A-Z][^{}]*\.$/);
          expect(words).not.toMatch(/undefined|NaN|\[object|,,| {2}/);
        }
      }),
      { numRuns: 700 },
    );
    // All of the tools were used.
    expect(Math.min(punched, turnedOver, shimmed)).toBeGreaterThan(0);
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
      'Base: taper the four tabs, drawing in each free corner by 1/16 in.',
      'Lid: slit four corners to the fold from the top and the bottom edge, along the score.',
      'Lid: taper the four tabs, drawing in each free corner by 1/16 in.',
    ]);
  });

  it('are said on tools that are not the usual ones', () => {
    const usual = usualRequest(sundial, 'inch');
    const { board } = usual.kit;
    const said = (request: PlanRequest) => {
      const result = planBox(request);
      const steps = result.ok ? result.plan.steps : [];
      return steps
        .filter(({ kind }) => kind === 'score' || kind === 'punch')
        .map((step) => stepInWords(step, request.kit));
    };
    // Grooves every quarter inch, and a strip of 1/8 in between fence and card.
    const shimmed = { ...board, pitch: inchFraction(1, 4), shim: inchFraction(1, 8) };
    expect(
      said({
        ...usual,
        kit: { ...usual.kit, board: shimmed },
        made: wallsMade(inchFraction(5, 8)),
      })[0],
    ).toContain('Lay the shim at the fence and use the groove at 3/4');
    const short = { ...board, grooveLength: millimetres(60) };
    const onShort = said({ ...usual, kit: { ...usual.kit, board: short } });
    expect(onShort[0]).toContain('Score as far as the grooves go');
    expect(onShort[1]).toMatch(
      /^Base: (Turned over|Inside face up).* that the grooves did not reach\.$/,
    );
    const [diagonalBoard] = genericDiagonalBoards;
    const style = styleSummary('diamond-wrap').usual;
    const punched = said({
      ...usual,
      style,
      kit: { ...usual.kit, ...(diagonalBoard && { diagonalBoard }) },
    });
    expect(punched.slice(0, 3)).toEqual([
      'Base: Inside face up. Edge at the fence, corner at 1 7/8 in: punch the notch and score the line.',
      'Base: Inside face up. Edge at the fence, corner at 2 3/4 in: punch the notch and score the line.',
      'Base: Inside face up. Turn it a quarter clockwise. Put the end of each line that you scored last at the notch: punch there, and score. Do so for three sides, two lines on each.',
    ]);
  });
});
