import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  checkFolding,
  closedFaces,
  foldingBox,
  millimetres,
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

/** Middles of the faces that are glued and large enough to be seen where they lie, by part and stack. */
function gluedWell(plan: Plan, request: PlanRequest) {
  const box = boxInSpace(plan, request);
  return plan.assembly.stacks.flatMap((stack) => {
    const part = box.parts.find((each) => each.part.id === stack.face.part);
    const face = part?.pattern.faces[part.pattern.faceAt(stack.face.spot)];
    if (!part || !face || stack.holds !== 'glue' || stack.face.part !== stack.on.part) return [];
    if (face.role !== 'tab' && face.role !== 'seam') return [];
    const ring = face.corners.flatMap((corner) => part.pattern.corners[corner] ?? []);
    const spread = (values: readonly number[]) => Math.max(...values) - Math.min(...values);
    const middle = (values: readonly number[]) => values.reduce((a, b) => a + b) / values.length;
    const [xs, ys] = [ring.map(({ x }) => x), ring.map(({ y }) => y)];
    if (Math.min(spread(xs), spread(ys)) < 8) return [];
    return [{ stack, piece: part.piece.id, middle: { x: middle(xs), y: -middle(ys) } }];
  });
}

type GridLine = Piece['grid']['lines'][number];

/** The folded spans of grid lines along the edges of the cell that a spot is in. */
function foldsRound(lines: readonly GridLine[], spot: { column: number; row: number }) {
  return lines.flatMap(({ axis, index, spans }) => {
    const [across, along] = axis === 'column' ? [spot.column, spot.row] : [spot.row, spot.column];
    if (index !== Math.floor(across) && index !== Math.ceil(across)) return [];
    return spans.flatMap((span, at) =>
      span.make === 'score' &&
      span.fold.sense !== 'mark' &&
      span.fold.angle > 10 &&
      span.from <= along &&
      along <= span.to
        ? [{ axis, index, at }]
        : [],
    );
  });
}

/** The plan with one fold of a piece told the other way. */
function foldedOtherWay(
  plan: Plan,
  id: string,
  fold: { axis: GridLine['axis']; index: number; at: number },
): Plan {
  const turned = (span: GridLine['spans'][number]): GridLine['spans'][number] =>
    span.make === 'score'
      ? {
          ...span,
          fold: { ...span.fold, sense: span.fold.sense === 'valley' ? 'mountain' : 'valley' },
        }
      : span;
  const lines = (of: readonly GridLine[]) =>
    of.map((line) =>
      line.axis === fold.axis && line.index === fold.index
        ? { ...line, spans: line.spans.map((span, i) => (i === fold.at ? turned(span) : span)) }
        : line,
    );
  const pieces = plan.pieces.map((piece) =>
    piece.id === id ? { ...piece, grid: { ...piece.grid, lines: lines(piece.grid.lines) } } : piece,
  );
  return { ...plan, pieces };
}

/** A plan with a very small hole for a ribbon in a piece. */
function punched(plan: Plan, id: string, { x, y }: { x: number; y: number }): Plan {
  const centre = { x: millimetres(x), y: millimetres(y) };
  const hole = { shape: 'hole', use: 'ribbon', centre, radius: millimetres(0.1) } as const;
  const pieces = plan.pieces.map((piece) =>
    piece.id === id
      ? { ...piece, grid: { ...piece.grid, cutouts: [...piece.grid.cutouts, hole] } }
      : piece,
  );
  return { ...plan, pieces };
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
        const { stacks } = plan.assembly;
        const tucked = [...stacks, { face, on, side: 'inside', holds: 'tuck' } as const];
        const off = faults(
          { ...plan, assembly: { ...plan.assembly, stacks: tucked } },
          request,
        ).filter(({ about }) => about === 'stacks');
        const apart = plan.clearInside.high / 1e6;
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

  it('is found out when a fold round a glued face is told the other way', () => {
    everyFoldedBox(style, (plan, request) => {
      for (const { stack, piece: id } of gluedWell(plan, request).slice(0, 6)) {
        const piece = plan.pieces.find((each) => each.id === id);
        for (const fold of foldsRound(piece?.grid.lines ?? [], stack.face.spot)) {
          const turned = foldedOtherWay(plan, id, fold);
          expect(isFoundOut(turned, request), `${id} ${JSON.stringify(fold)}`).toBe(true);
        }
      }
    });
  });

  it('is found out when card lies where other card lies, or before a hole', () => {
    everyFoldedBox(style, (plan, request) => {
      const { assembly } = plan;
      for (const { stack, piece, middle } of gluedWell(plan, request).slice(0, 4)) {
        const stacks = assembly.stacks.filter((each) => each !== stack);
        expect(
          faults({ ...plan, assembly: { ...assembly, stacks } }, request),
          JSON.stringify(stack),
        ).toContainEqual(expect.objectContaining({ about: 'lying' }));
        expect(faults(punched(plan, piece, middle), request), JSON.stringify(stack)).toContainEqual(
          expect.objectContaining({ about: 'opening' }),
        );
      }
    });
  });
});
