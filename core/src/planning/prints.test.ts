import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  closedFaces,
  creasePattern,
  cutSizeOf,
  foldingBox,
  hasWayUp,
  inches,
  paperFor,
  papersOf,
  planBox,
  planJob,
  printsOnBox,
  sayStep,
  stockPaper,
  type Paper,
  type PlacedFace,
  type Plan,
  type PlanRequest,
  type Side,
  type Vector,
} from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { dressed } from '../testing/dressed.ts';
import { requestsIn } from '../testing/requests.ts';

const sides: readonly Side[] = ['top', 'right', 'bottom', 'left'];

/** Every paper of a box with a print that has a way up, on sheets that are large enough to turn any piece. */
function printed(request: PlanRequest): PlanRequest {
  const print = (paper: Paper): Paper => ({
    ...paper,
    print: 'one face',
    printRuns: 'one way',
    front: stockPaper('star-trails').front,
    sheet: { name: 'own', width: inches(24), height: inches(24) },
  });
  const [first, ...others] = request.papers;
  return {
    ...request,
    papers: [print(first), ...others.map(print)],
    additions: request.additions.map((each) =>
      each.addition === 'panel'
        ? { ...each, layers: each.layers.map((layer) => ({ ...layer, paper: print(layer.paper) })) }
        : 'paper' in each
          ? { ...each, paper: print(each.paper) }
          : each,
    ),
  };
}

function boxOf(plan: Plan, request: PlanRequest) {
  const papers = papersOf(request);
  return foldingBox(plan.pieces, ({ paper }) => paperFor(papers, paper).thickness, plan.assembly);
}

function minus(a: Vector, b: Vector): Vector {
  return { x: a.x - b.x, y: a.y - b.y, z: a.z - b.z };
}

/**
 * Where a way on the flat piece goes in the closed box, from where three corners of the face have come to: the edge
 * that the top of a print is at, seen from the middle of the piece.
 */
function wayInSpace(
  face: PlacedFace,
  flat: readonly { x: number; y: number }[],
  top: Side,
): Vector {
  const [a, b] = [flat[0], flat[1]];
  const [p, q] = [face.ring[0], face.ring[1]];
  if (!a || !b || !p || !q) throw new Error('A face has corners');
  const along = { x: b.x - a.x, y: b.y - a.y };
  const at = flat.findIndex(
    ({ x, y }) => Math.abs(along.x * (y - a.y) - along.y * (x - a.x)) > 1e-3,
  );
  const [c, r] = [flat[at], face.ring[at]];
  if (!c || !r) throw new Error('A face is no line');
  const other = { x: c.x - a.x, y: c.y - a.y };
  const whole = along.x * other.y - along.y * other.x;
  // The crease pattern counts upwards.
  const way = {
    top: { x: 0, y: 1 },
    bottom: { x: 0, y: -1 },
    left: { x: -1, y: 0 },
    right: { x: 1, y: 0 },
  }[top];
  const one = (way.x * other.y - way.y * other.x) / whole;
  const two = (along.x * way.y - along.y * way.x) / whole;
  const [u, v] = [minus(q, p), minus(r, p)];
  return { x: one * u.x + two * v.x, y: one * u.y + two * v.y, z: one * u.z + two * v.z };
}

/** How far up a print is on a face: up the wall, or towards the back on what is level. */
function rise(face: PlacedFace, way: Vector): number {
  if (Math.abs(face.out.z) > 0.97) return way.y;
  const steep = Math.hypot(face.out.x, face.out.y);
  return way.z / steep;
}

const placesSaid = [
  ['up', { x: 0, y: 0, z: 1 }],
  ['down', { x: 0, y: 0, z: -1 }],
  ['at the left', { x: -1, y: 0, z: 0 }],
  ['at the right', { x: 1, y: 0, z: 0 }],
  ['at the front', { x: 0, y: -1, z: 0 }],
  ['at the back', { x: 0, y: 1, z: 0 }],
] as const;

describe('prints with a way up', () => {
  it('stand as is told, upright in front where they can, and where a button says so once it is pressed', () => {
    let [turned, pressed] = [0, 0];
    fc.assert(
      fc.property(requestsIn(allStyles).map(printed), fc.nat(30), (request, pick) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const box = boxOf(plan, request);
        const faces = closedFaces(box);
        for (const { piece: id, faces: told, turns, needs } of printsOnBox(plan, request)) {
          const piece = plan.pieces.find((each) => each.id === id);
          if (!piece) throw new Error('Told of no piece');
          if (piece.printTop) turned++;
          expect(needs).toBeUndefined();
          const flat = creasePattern(piece);
          const risesOf = (at: number, top: Side) =>
            faces
              .filter(
                (face) =>
                  face.face === at &&
                  box.parts.some(({ part }) => part.id === face.part && part.piece === id),
              )
              .map((face) => {
                const corners = (flat.faces[at]?.corners ?? []).map(
                  (corner) => flat.corners[corner] ?? { x: 0, y: 0 },
                );
                return rise(face, wayInSpace(face, corners, top));
              });
          for (const { stands, faces: names } of told)
            for (const { at } of names) {
              const rises = risesOf(at, piece.printTop ?? 'top');
              const [least, most] = [Math.min(...rises), Math.max(...rises)];
              if (stands === 'upright') expect(most).toBeGreaterThan(0.84);
              if (stands === 'on its head') expect(least).toBeLessThan(-0.84);
              if (stands === 'on its side')
                expect(rises.some((each) => Math.abs(each) < 0.41)).toBe(true);
            }
          // A front wall is never on its head while another way would have it upright.
          const askew = told.find(({ stands }) => stands === 'on its head')?.faces ?? [];
          expect(askew.filter(({ role, faces: to }) => role === 'wall' && to === 'front')).toEqual(
            [],
          );
          const turn = turns[pick % Math.max(1, turns.length)];
          if (!turn) continue;
          pressed++;
          const again = planBox({ ...request, printTops: { [id]: turn.top } });
          if (!again.ok) throw new Error('A print that is turned is no reason to refuse');
          const then = printsOnBox(again.plan, request).find((each) => each.piece === id);
          const upright = then?.faces.find(({ stands }) => stands === 'upright')?.faces ?? [];
          for (const { at } of turn.upright) expect(upright.map((each) => each.at)).toContain(at);
          // Nothing else of the box changes with it.
          expect(again.plan.marks).toEqual(plan.marks);
        }
      }),
      { numRuns: 150 },
    );
    expect(turned).toBeGreaterThan(casesWanted(40));
    expect(pressed).toBeGreaterThan(casesWanted(60));
  });

  it('stand upright on every panel, as its step says', () => {
    let panels = 0;
    fc.assert(
      fc.property(dressed(requestsIn(allStyles)).map(printed), (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const box = boxOf(plan, request);
        const faces = closedFaces(box);
        const job = planJob(plan, request, { boxes: 1 });
        for (const { part } of box.parts) {
          if (!part.worn || part.worn.isInside) continue;
          const piece = plan.pieces.find(({ id }) => id === part.piece);
          const face = faces.find((each) => each.part === part.id);
          if (
            !piece ||
            !face ||
            box.parts.some(
              (each) =>
                each.part.worn && each.part.piece === part.piece && each.part.id !== part.id,
            )
          )
            continue;
          panels++;
          const flat = creasePattern(piece);
          const corners = (flat.faces[0]?.corners ?? []).map(
            (corner) => flat.corners[corner] ?? { x: 0, y: 0 },
          );
          const ways = sides.map((top) => rise(face, wayInSpace(face, corners, top)));
          const now = ways[sides.indexOf(piece.printTop ?? 'top')] ?? 0;
          // What looks down is not looked at.
          if (face.out.z < 0.97) expect(now).toBeGreaterThan(Math.max(...ways) - 0.03);
          const step = job.steps.find(
            (each) =>
              each.kind === 'assembly' &&
              each.operations.some(
                (operation) => operation.kind === 'dress' && operation.piece === piece.id,
              ),
          );
          if (!step) throw new Error('A panel is put on by nobody');
          const { text } = sayStep(step, { job, box: plan, kit: request.kit });
          const said = text.match(
            /As the box will stand, the top of (?:its|each) print is ([a-z ]+)\./g,
          );
          const way = wayInSpace(face, corners, piece.printTop ?? 'top');
          const [nearest] = placesSaid
            .map(([name, axis]) => ({
              name,
              share: axis.x * way.x + axis.y * way.y + axis.z * way.z,
            }))
            .sort((a, b) => b.share - a.share);
          expect(said?.some((each) => each.endsWith(`is ${nearest?.name ?? ''}.`))).toBe(true);
        }
      }),
      { numRuns: 110 },
    );
    expect(panels).toBeGreaterThan(casesWanted(25));
  });

  it('are cut from the sheet as they come to stand, on a small sheet too, and what that takes is told', () => {
    let held = 0;
    fc.assert(
      fc.property(
        requestsIn(allStyles).map(printed),
        fc.constantFrom('wide' as const, 'tall' as const),
        (request, way) => {
          const large = planBox(request);
          if (!large.ok) return;
          const sizes = large.plan.pieces.map(({ grid }) => cutSizeOf(grid));
          const [wide, tall] = [
            Math.max(...sizes.map(({ width }) => width)),
            Math.max(...sizes.map(({ height }) => height)),
          ];
          const [long, short] = [Math.max(wide, tall), Math.min(wide, tall)].map((each) =>
            inches(Math.ceil(each / 25_400_000 / 0.25) * 0.25 + 0.25),
          );
          if (!long || !short || long > inches(24)) return;
          const sheet = {
            name: 'own',
            width: way === 'wide' ? long : short,
            height: way === 'wide' ? short : long,
          };
          const [first, ...others] = request.papers;
          const small: PlanRequest = {
            ...request,
            papers: [{ ...first, sheet }, ...others.map((paper) => ({ ...paper, sheet }))],
          };
          const result = planBox(small);
          if (!result.ok) return;
          const { plan } = result;
          for (const { placements } of plan.sheets)
            for (const { piece: id, x, y, turned } of placements) {
              const piece = plan.pieces.find((each) => each.id === id);
              if (!piece || !hasWayUp(paperFor(small.papers, piece.paper))) continue;
              const isAside = piece.printTop === 'left' || piece.printTop === 'right';
              expect(turned).toBe(isAside);
              const { width, height } = cutSizeOf(piece.grid);
              const [across, down] = isAside ? [height, width] : [width, height];
              expect(x + across).toBeLessThanOrEqual(sheet.width);
              expect(y + down).toBeLessThanOrEqual(sheet.height);
            }
          for (const { piece: id, needs } of printsOnBox(plan, small)) {
            if (!needs) continue;
            held++;
            const piece = plan.pieces.find((each) => each.id === id);
            if (!piece) throw new Error('Told of no piece');
            const { width, height } = cutSizeOf(piece.grid);
            expect([needs.width, needs.height].sort()).toEqual([width, height].sort());
            expect(needs.width > sheet.width || needs.height > sheet.height).toBe(true);
          }
        },
      ),
      { numRuns: 80 },
    );
    expect(held).toBeGreaterThanOrEqual(casesWanted(2));
  });
});
