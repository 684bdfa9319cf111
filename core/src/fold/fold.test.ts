import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  foldingBox,
  paperFor,
  papersOf,
  planBox,
  sceneAt,
  usualRequest,
  type Piece,
  type PlanRequest,
} from '../index.ts';
import { withoutOpenings } from '../additions/index.ts';
import { dressed } from '../testing/dressed.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { requestsIn, sundial } from '../testing/requests.ts';

function boxOf(request: PlanRequest) {
  const result = planBox(request);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  const { pieces, assembly } = result.plan;
  return {
    plan: result.plan,
    box: foldingBox(pieces, ({ paper }) => paperFor(request.papers, paper).thickness, assembly),
  };
}

describe.each(allStyles.map((style) => ({ name: style.name, style })))('$name', ({ style }) => {
  it('closes at every size, thickness and option, with nothing in the way of the gift', () => {
    fc.assert(
      fc.property(requestsIn([style]), (request) => {
        const result = planBox(request);
        if (result.ok) expect(faultsInSpace(result.plan, request)).toEqual([]);
      }),
      // The same boxes each time; `npm run bench` sweeps thousands of others.
      { numRuns: 25 },
    );
  });
});

describe('a box made ready to fold', () => {
  it('is as it would be by itself, whatever was made ready of its parts before', () => {
    fc.assert(
      fc.property(dressed(requestsIn(allStyles)), (request) => {
        const result = planBox(request);
        fc.pre(result.ok);
        const { pieces, assembly } = result.plan;
        const ready = (own: typeof pieces, how: typeof assembly) => {
          const thicknessOf = (piece: Piece) => paperFor(papersOf(request), piece.paper).thickness;
          return foldingBox(own, thicknessOf, how).parts.map(
            ({ pattern, root, faces, lifts, heaps }) => ({
              ...{ outlines: pattern.faces, root, faces, lifts, heaps },
            }),
          );
        };
        const plain = [...withoutOpenings(pieces)];
        // Without its holes and bites a piece may have its faces in another order.
        for (const own of [plain, pieces, plain])
          expect(ready(own, assembly)).toEqual(ready(own, structuredClone(assembly)));
      }),
      { numRuns: 40 },
    );
  });
});

describe('the proof by folding', () => {
  const request = usualRequest(sundial, 'inch');

  it('finds a fold that is off, a room that is too large and a tab on the wrong side', () => {
    const { plan } = boxOf(request);
    const spoiled = (change: (copy: typeof plan) => void) => {
      const copy = structuredClone(plan);
      change(copy);
      return faultsInSpace(copy, request).join('; ');
    };
    expect(faultsInSpace(plan, request)).toEqual([]);
    expect(
      spoiled(({ pieces }) => {
        for (const { spans } of pieces[0]?.grid.lines ?? [])
          for (const span of spans) if (span.make === 'score') span.fold.angle = 88;
      }),
    ).toMatch(/does not lie flat on/);
    expect(
      spoiled(({ assembly }) => {
        assembly.cavity.high += 1;
      }),
    ).toMatch(/stands in the room/);
    expect(
      spoiled(({ assembly }) => {
        for (const part of assembly.parts) if (part.id === 'lid') part.at.x += 1.5;
      }),
    ).toMatch(/through/);
  });

  it('leads from flat pieces on the mat to the closed box', () => {
    const { box } = boxOf(request);
    const heights = (time: number) =>
      sceneAt(box, time, 0).faces.flatMap(({ ring }) => ring.map(({ z }) => z));
    expect(Math.max(...heights(0)) - Math.min(...heights(0))).toBeLessThan(1e-6);
    const closed = heights(box.end);
    expect(Math.max(...closed)).toBeGreaterThan(14);
    expect(sceneAt(box, 0, 0).gift).toBe(0);
    expect(sceneAt(box, box.end, 0).gift).toBe(1);
  });
});
