import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  checkFolding,
  closedFaces,
  foldingBox,
  nanometres,
  outermostPoints,
  paperFor,
  planBox,
  type Piece,
  type Plan,
  type PlanRequest,
} from '../index.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { requestsIn, shippedKits } from '../testing/requests.ts';

const tools = fc.constantFrom(...shippedKits);
/** What a score may be off by in millimetres before it must be seen; by less, card gives way. */
const limit = 2;

function faults(plan: Plan, request: PlanRequest, gift = outermostPoints(plan.gift)) {
  const thicknessOf = ({ paper }: Piece) => paperFor(request.papers, paper).thickness;
  return checkFolding(foldingBox(plan.pieces, thicknessOf, plan.assembly), gift);
}

/** Whether something doesn't hold, or a face that is glued is not even there. */
function isFoundOut(plan: Plan, request: PlanRequest): boolean {
  try {
    return faults(plan, request).length > 0;
  } catch (error) {
    if (error instanceof RangeError) return true;
    throw error;
  }
}

/** The plan with one column line of a piece scored so far to the right, the cut size as it was. */
function scoredWrong(plan: Plan, id: string, line: number, by: number): Plan {
  const shifted = (columns: readonly number[]) =>
    columns.map((width, i) =>
      nanometres(width + (i === line - 1 ? by : i === line ? -by : 0) * 1_000_000),
    );
  const pieces = plan.pieces.map((piece) =>
    piece.id === id
      ? { ...piece, grid: { ...piece.grid, columns: shifted(piece.grid.columns) } }
      : piece,
  );
  return { ...plan, pieces };
}

/** Column lines between two panels of a ring that is closed with a seam, or between one and the seam. */
function ringLines({ grid }: Piece): readonly number[] {
  const row = grid.roles.find((roles) => roles.includes('seam'));
  if (!row) return [];
  const inRing = (column: number) => row[column] === 'wall' || row[column] === 'seam';
  return grid.columns.flatMap((_, i) =>
    i > 0 && inRing(i - 1) && inRing(i) && (grid.columns[i] ?? 0) > (limit + 1) * 1_000_000
      ? [i]
      : [],
  );
}

/** Boxes that fold, of one style. */
function everyFoldedBox(
  style: (typeof allStyles)[number],
  check: (plan: Plan, of: PlanRequest) => void,
) {
  fc.assert(
    fc.property(requestsIn([style], tools), (request) => {
      const result = planBox(request);
      if (!result.ok || result.plan.pairs.some(({ state }) => state === 'tight')) return;
      expect(faults(result.plan, request)).toEqual([]);
      check(result.plan, request);
    }),
    { numRuns: 12 },
  );
}

describe('a flap that is tucked in', () => {
  it('is found out where it stands farther off than the coarsest tools can make it', () => {
    const lidded = allStyles.filter(({ id }) => id === 'lidded');
    fc.assert(
      fc.property(requestsIn(lidded, tools), (request) => {
        const result = planBox(request);
        if (!result.ok || result.plan.pairs.some(({ state }) => state === 'tight')) return;
        const { plan } = result;
        const [base, lid] = plan.assembly.parts;
        if (!base || !lid) throw new Error('A base and a lid');
        // As though the lid’s top lay on the floor: they face each other, so far apart as the box is deep.
        const face = { part: lid.id, spot: lid.root };
        const on = { part: base.id, spot: base.root };
        const tucked = (covers: number) =>
          faults(
            {
              ...plan,
              assembly: {
                ...plan.assembly,
                stacks: [
                  ...plan.assembly.stacks,
                  { face, on, side: 'inside', holds: 'tuck', covers },
                ],
              },
            },
            request,
          );
        const apart = plan.clearInside.high / 1e6;
        const off = tucked(0).filter(({ about }) => about === 'stacks');
        if (apart > 6.5)
          expect(off.map(({ message }) => message).join()).toMatch(/stands .+ mm off/);
        if (apart < 4) expect(off).toEqual([]);
      }),
      { numRuns: 60 },
    );
  });
});

describe.each(allStyles.map((style) => ({ name: style.name, style })))('$name', ({ style }) => {
  it('is found out when it promises more room than its card leaves, or holds too large a gift', () => {
    everyFoldedBox(style, (plan, request) => {
      const { cavity } = plan.assembly;
      const roomier = (change: Partial<typeof cavity>) =>
        faults(
          { ...plan, assembly: { ...plan.assembly, cavity: { ...cavity, ...change } } },
          request,
        );
      // A tube that is open at both ends has nothing that lies flat, and nothing to stand on.
      const isOpen = closedFaces(boxInSpace(plan, request)).every(
        ({ out }) => Math.abs(out.z) < 0.5,
      );
      if (!isOpen)
        expect(
          roomier({ bottom: cavity.bottom - limit, high: cavity.high + limit }),
        ).toContainEqual(expect.objectContaining({ about: 'cavity' }));
      const wider = (ring: typeof cavity.floor) => {
        const reach = (of: 'x' | 'y') => Math.max(...ring.map((point) => Math.abs(point[of])));
        const share = { x: 1 + limit / reach('x'), y: 1 + limit / reach('y') };
        return ring.map(({ x, y }) => ({ x: x * share.x, y: y * share.y }));
      };
      expect(roomier({ floor: wider(cavity.floor), top: wider(cavity.top) })).toContainEqual(
        expect.objectContaining({ about: 'cavity' }),
      );
      const raised = outermostPoints(plan.gift).map(({ x, y, z }) => ({
        x,
        y,
        z: z + cavity.high,
      }));
      expect(faults(plan, request, raised)).toContainEqual(
        expect.objectContaining({ about: 'gift' }),
      );
    });
  });

  it('is found out when a score of a ring of panels lies wrong, either way', () => {
    everyFoldedBox(style, (plan, request) => {
      for (const piece of plan.pieces)
        for (const line of ringLines(piece))
          for (const by of [limit, -limit])
            expect(
              isFoundOut(scoredWrong(plan, piece.id, line, by), request),
              `${piece.id} line ${String(line)} by ${String(by)} mm`,
            ).toBe(true);
    });
  });
});
