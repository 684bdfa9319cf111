import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutSizeOf,
  inchFraction,
  nanometres,
  planBox,
  planRequestSchema,
  rescue,
  usualRequest,
  type DoneSoFar,
  type Mishap,
  type Plan,
  type PlanRequest,
} from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { anyRequest, sundial } from '../testing/requests.ts';

/** Cuts so many of the pieces, and scores so many of their lines. */
function doneOn(plan: Plan, pieces: number, lines: number): DoneSoFar {
  const cut = new Set(plan.pieces.slice(0, pieces).map(({ id }) => id));
  const all = plan.marks
    .filter(({ piece }) => cut.has(piece))
    .flatMap(({ piece, readings }) =>
      readings.map(({ axis, index }) => ({ piece, line: { axis, index } })),
    );
  return { cut, scored: all.slice(0, lines) };
}

/** What misses a mark by no more than a hundredth of a millimetre is on it. */
const hair = 10_000;

/** Every piece that is made already is in the plan as it is made. */
function expectKept(plan: Plan, { made }: PlanRequest): void {
  for (const { piece, way, cut, marks } of made) {
    const grid = plan.pieces.find(({ id }) => id === piece)?.grid;
    const { width, height } = grid ? cutSizeOf(grid) : { width: 0, height: 0 };
    expect(Math.abs((way === 'across' ? width : height) - cut)).toBeLessThanOrEqual(hair);
    const readings = plan.marks.find((each) => each.piece === piece)?.readings ?? [];
    for (const { mark, at } of marks) {
      const axis = way === 'across' ? 'column' : 'row';
      const there = readings.filter((each) => each.mark === mark && each.axis === axis);
      expect(there).toHaveLength(1);
      expect(Math.abs((there[0]?.position ?? 0) - at)).toBeLessThanOrEqual(hair);
    }
  }
}

describe('a rescue', () => {
  it('keeps what is made as it came out, and folds to a box', () => {
    let saved = 0;
    fc.assert(
      fc.property(
        anyRequest,
        fc.nat({ max: 3 }),
        fc.nat({ max: 8 }),
        fc.integer({ min: -24, max: 24 }),
        fc.constantFrom<Mishap['kind']>('cut', 'score', 'torn'),
        (request, pieces, lines, off, kind) => {
          const result = planBox(request);
          if (!result.ok) return;
          const { plan } = result;
          const done = doneOn(plan, pieces, lines);
          const [piece] = plan.pieces;
          const reading = plan.marks[0]?.readings[lines % plan.marks[0].readings.length];
          if (!piece || !reading) return;
          const by = nanometres(off * inchFraction(1, 64));
          const { width, height } = cutSizeOf(piece.grid);
          const mishap: Mishap =
            kind === 'cut'
              ? { kind, piece: piece.id, width: nanometres(width + by), height }
              : kind === 'score'
                ? {
                    kind,
                    piece: piece.id,
                    line: { axis: reading.axis, index: reading.index },
                    at: nanometres(Math.max(1, reading.reading + by)),
                  }
                : { kind, piece: piece.id, edge: 'right', depth: nanometres(Math.abs(by)) };
          for (const way of rescue(plan, request, done, mishap).ways) {
            saved++;
            expect(planRequestSchema.parse(way.request)).toEqual(way.request);
            expectKept(way.plan, way.request);
            // A lid may sit loose or tight on what went wrong; everything else folds as ever.
            if (way.isGood) expect(faultsInSpace(way.plan, way.request)).toEqual([]);
            for (const sentence of way.sentences) {
              expect(sentence).toMatch(/^[A-Z].*\.$/);
              expect(sentence).not.toMatch(/undefined|NaN| {2}/);
            }
          }
        },
      ),
      { numRuns: 250 },
    );
    expect(saved).toBeGreaterThanOrEqual(casesWanted(20));
  }, 120_000);

  it('changes nothing where nothing went wrong', () => {
    let [all, good] = [0, 0];
    fc.assert(
      fc.property(anyRequest, fc.nat({ max: 3 }), fc.nat({ max: 8 }), (request, pieces, lines) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const [piece] = plan.pieces;
        if (!piece) return;
        const mishap = { kind: 'cut', piece: piece.id, ...cutSizeOf(piece.grid) } as const;
        const [way] = rescue(plan, request, doneOn(plan, pieces, lines), mishap).ways;
        all++;
        if (way?.isGood) good++;
        const made = way?.plan.pieces.find(({ id }) => id === piece.id);
        expect(made && cutSizeOf(made.grid)).toEqual(cutSizeOf(piece.grid));
      }),
      { numRuns: 120 },
    );
    // The search for marks has a budget: once in a while it comes out a little worse the second time.
    expect(good / all).toBeGreaterThan(0.97);
  });

  it('fits the lid to a base that came out short, and says when a base is lost', () => {
    const request = usualRequest(sundial, 'inch');
    const result = planBox(request);
    if (!result.ok) throw new Error('The sundial has a box');
    const cut = (sixteenths: number) =>
      rescue(
        result.plan,
        request,
        { cut: new Set(['base']), scored: [] },
        {
          kind: 'cut',
          piece: 'base',
          width: inchFraction(sixteenths, 16),
          height: inchFraction(60, 16),
        },
      );
    expect(cut(59).ways[0]).toMatchObject({
      isGood: true,
      sentences: ['Lid: cut it 3 1/2 × 3 9/16 in.'],
    });
    // With its lid cut already, the lid is cut again, or the base.
    const both = rescue(
      result.plan,
      request,
      { cut: new Set(['base', 'lid']), scored: [] },
      { kind: 'cut', piece: 'base', width: inchFraction(59, 16), height: inchFraction(60, 16) },
    );
    const [best] = both.ways;
    expect(best).toMatchObject({ kind: 'another piece', again: 'lid', isGood: true });
    expect(best?.sentences[0]).toBe('Keep the base, and cut the lid again.');
    expect(cut(50)).toMatchObject({
      ways: [],
      again: 'Cut the base again: 3 3/4 × 3 3/4 in.',
      why: 'No box goes round this gift with what is cut and scored already. Cut a piece again, or choose another gift.',
    });
  });
});
