import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  choiceOf,
  closedFaces,
  creasePattern,
  cross,
  cutSizeOf,
  dot,
  foldingBox,
  inchFraction,
  millimetres,
  paperFor,
  papersOf,
  planBox,
  placesOnFace,
  planJob,
  sayStep,
  toMillimetres,
  waysOut,
  wearable,
  type PlanRequest,
  type SpotChoice,
  type Vector,
} from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { requestsIn, usualOf } from '../testing/requests.ts';

const drawn = fc.record({
  face: fc.nat(60),
  use: fc.constantFrom('stamp' as const, 'sticker' as const, 'punch' as const),
  at: fc.constantFrom(...placesOnFace),
  inset: fc.integer({ min: 3, max: 40 }).map(millimetres),
  isOnPanel: fc.boolean(),
});

/** The same request with a spot on one of the faces of its box, and a panel under it or none. */
function wearing(
  request: PlanRequest,
  {
    face,
    use,
    at,
    inset,
    isOnPanel,
  }: typeof drawn extends fc.Arbitrary<infer Drawn> ? Drawn : never,
): PlanRequest | undefined {
  const bare = planBox(request);
  if (!bare.ok) return undefined;
  const faces = wearable(bare.plan, papersOf(request));
  const found = faces[face % Math.max(1, faces.length)];
  if (!found) return undefined;
  const on = choiceOf(found.name);
  const [paper] = request.papers;
  const layer = { margin: millimetres(1), paper: { ...paper, id: 'panel', name: 'Panel' } };
  const spot: SpotChoice = { addition: 'spot', id: 'spot-1', on, use, at, inset };
  return {
    ...request,
    // It may be asked for before what it lies on.
    additions: [
      spot,
      ...(isOnPanel
        ? [
            {
              addition: 'panel' as const,
              id: 'panel-1',
              on: { which: 'face' as const, face: on },
              layers: [layer],
              underCover: 'counted' as const,
            },
          ]
        : []),
    ],
  };
}

const ways: Readonly<Record<string, readonly [number, number]>> = {
  top: [0, 1],
  bottom: [0, -1],
  left: [-1, 0],
  right: [1, 0],
};

describe('a spot', () => {
  it('is told where it will be seen, the right way up, from the cut edges of the piece with its outside up', () => {
    let [told, refused] = [0, 0];
    fc.assert(
      fc.property(requestsIn(allStyles), drawn, (bare, choice) => {
        const request = wearing(bare, choice);
        if (!request) return;
        const result = planBox(request);
        if (!result.ok) {
          const [problem] = result.problems;
          if (problem?.field !== 'additions.0.inset') return;
          refused++;
          expect(problem.message).toMatch(
            /beside the .+\. Put it (?:.+ from the edge(?:, or in the middle)?|in the middle|elsewhere on the face)\.$/,
          );
          const ins = waysOut(request, result.problems);
          // Whatever is told is tried: a figure that is named is a way out, and the middle always is.
          const [nearer] = ins.flatMap(({ part }) => {
            const [first] = part.additions ?? [];
            return first?.addition === 'spot' && first.at === choice.at ? [first.inset] : [];
          });
          expect(nearer).toBe(problem.nearest);
          expect(/Put it .+ from the edge/.test(problem.message)).toBe(nearer !== undefined);
          expect(ins.length).toBeGreaterThan(0);
          for (const { part } of ins) expect(planBox({ ...request, ...part }).ok).toBe(true);
          return;
        }
        const { plan } = result;
        const [spot] = plan.assembly.spots ?? [];
        const [wanted] = request.additions;
        if (!spot || wanted?.addition !== 'spot') throw new Error('It wears a spot');
        const piece = plan.pieces.find(({ id }) => id === spot.piece);
        if (!piece) throw new Error('A spot on no piece');
        const papers = papersOf(request);
        const box = foldingBox(
          plan.pieces,
          ({ paper }) => paperFor(papers, paper).thickness,
          plan.assembly,
        );
        // On the flat piece as it is drawn, seen from its other side.
        const { width } = cutSizeOf(piece.grid);
        const at = {
          x: toMillimetres(width) - toMillimetres(spot.fromLeft),
          y: -toMillimetres(spot.fromTop),
        };
        const pattern = creasePattern(piece);
        const own = box.parts
          .filter(({ part }) => part.piece === piece.id)
          .map(({ part }) => part.id);
        const candidates = closedFaces(box).filter(({ part }) => own.includes(part));
        const seen = candidates.map((face) => {
          const flat = (pattern.faces[face.face]?.corners ?? []).map(
            (corner) => pattern.corners[corner] ?? { x: 0, y: 0 },
          );
          const [a, b] = [flat[0], flat[1]];
          const [p, q] = [face.ring[0], face.ring[1]];
          if (!a || !b || !p || !q) throw new Error('A face has corners');
          const along = { x: b.x - a.x, y: b.y - a.y };
          const third = flat.findIndex(
            ({ x, y }) => Math.abs(along.x * (y - a.y) - along.y * (x - a.x)) > 1e-3,
          );
          const [c = a, r = p] = [flat[third], face.ring[third]];
          const other = { x: c.x - a.x, y: c.y - a.y };
          const whole = along.x * other.y - along.y * other.x;
          const inSpace = (x: number, y: number): Vector => {
            const one = (x * other.y - y * other.x) / whole;
            const two = (along.x * y - along.y * x) / whole;
            return {
              x: one * (q.x - p.x) + two * (r.x - p.x),
              y: one * (q.y - p.y) + two * (r.y - p.y),
              z: one * (q.z - p.z) + two * (r.z - p.z),
            };
          };
          const away = inSpace(at.x - a.x, at.y - a.y);
          const place = { x: p.x + away.x, y: p.y + away.y, z: p.z + away.z };
          const normal = { x: -face.out.x, y: -face.out.y, z: -face.out.z };
          const high = Math.abs(normal.z) > 0.97 ? { x: 0, y: 1, z: 0 } : { x: 0, y: 0, z: 1 };
          const off = dot(high, normal);
          const long = Math.sqrt(1 - off * off);
          const up = {
            x: (high.x - off * normal.x) / long,
            y: (high.y - off * normal.y) / long,
            z: (high.z - off * normal.z) / long,
          };
          const right = cross(up, normal);
          const reach = (axis: Vector) => {
            const all = face.ring.map((each) => dot(each, axis));
            return { from: Math.min(...all), to: Math.max(...all), at: dot(place, axis) };
          };
          const [x, y] = [reach(right), reach(up)];
          const [dx, dy] = spot.top
            .split(' ')
            .map((each) => ways[each] ?? ([0, 0] as const))
            .reduce(([sx, sy], [wx, wy]) => [sx + wx, sy + wy] as const);
          const rises = dot(inSpace(-dx, dy), up) / Math.hypot(dx, dy);
          return { face, x, y, rises };
        });
        // The face that was meant looks that way; of a panel there is only one.
        const here = seen.find(
          ({ x, y }) =>
            x.at > x.from - 1 && x.at < x.to + 1 && y.at > y.from - 1 && y.at < y.to + 1,
        );
        if (!here) throw new Error('It is on no face of its piece');
        told++;
        const near = (value: number, expected: number) => {
          expect(Math.abs(value - expected)).toBeLessThan(0.9 + (choice.isOnPanel ? 2.7 : 0));
        };
        const inset = toMillimetres(choice.inset);
        const { x, y } = here;
        near(
          x.at,
          choice.at.includes('left')
            ? x.from + inset
            : choice.at.includes('right')
              ? x.to - inset
              : (x.from + x.to) / 2,
        );
        near(
          y.at,
          choice.at.includes('top')
            ? y.to - inset
            : choice.at.includes('bottom')
              ? y.from + inset
              : (y.from + y.to) / 2,
        );
        expect(here.rises).toBeGreaterThan(0.9);
        // Before anything is glued.
        const job = planJob(plan, request, { boxes: 1 });
        const words = job.steps.map(
          (step) => sayStep(step, { job, box: plan, kit: request.kit }).text,
        );
        const stamped = words.findIndex((text) => text.includes(', its top towards the '));
        const glued = words.findIndex((text) => text.includes('Adhesive'));
        expect(stamped).toBeGreaterThan(0);
        if (glued >= 0) expect(stamped).toBeLessThan(glued);
        expect(words[stamped]).toContain(
          {
            stamp: 'Stamp it',
            sticker: 'Put a sticker on it',
            punch: 'Punch the shape out of it',
          }[choice.use],
        );
      }),
      { numRuns: 150 },
    );
    expect(told).toBeGreaterThan(casesWanted(50));
    expect(refused).toBeGreaterThan(casesWanted(5));
  });

  it('in a corner that slants away is told to go farther in, as far as there is card', () => {
    const spot: SpotChoice = {
      addition: 'spot',
      id: 'spot-1',
      on: { piece: 'tent', role: 'wall', faces: 'left' },
      use: 'sticker',
      at: 'top left',
      inset: millimetres(5),
    };
    const request = { ...usualOf('tent-top'), additions: [spot] };
    const result = planBox(request);
    if (result.ok) throw new Error('There is no card there');
    const [problem] = result.problems;
    expect(problem?.message).toMatch(
      /beside the left wall\. Put it .+ from the edge, or in the middle\.$/,
    );
    const inset = problem?.nearest ?? spot.inset;
    expect(inset).toBeGreaterThan(spot.inset);
    expect(planBox({ ...request, additions: [{ ...spot, inset }] }).ok).toBe(true);
  });

  it('in a window is told to go elsewhere on its face', () => {
    const spot: SpotChoice = {
      addition: 'spot',
      id: 'spot-1',
      on: { piece: 'lid', role: 'lid', faces: 'top' },
      use: 'punch',
      at: 'middle',
      inset: millimetres(6),
    };
    const request: PlanRequest = {
      ...usualOf('lidded'),
      additions: [
        spot,
        {
          addition: 'window',
          id: 'window-1',
          on: spot.on,
          opening: { shape: 'straight', frame: millimetres(12) },
        },
      ],
    };
    const result = planBox(request);
    if (result.ok) throw new Error('It is punched out of nothing');
    expect(result.problems[0]?.field).toBe('additions.0.at');
    expect(result.problems[0]?.message).toContain('There is an opening in the top');
    const ways = waysOut(request, result.problems).map(({ said }) => said);
    expect(ways).toContain('The punched shape near the top');
    expect(ways).not.toContain('The punched shape in the middle');
  });

  it('on the lid of a lidded box is said as a maker would', () => {
    const spot: SpotChoice = {
      addition: 'spot',
      id: 'spot-1',
      on: { piece: 'lid', role: 'lid', faces: 'top' },
      use: 'stamp',
      at: 'middle',
      inset: inchFraction(1, 2),
    };
    const request = { ...usualOf('lidded'), additions: [spot] };
    const result = planBox(request);
    if (!result.ok) throw new Error('It is made');
    const job = planJob(result.plan, request, { boxes: 1 });
    const step = job.steps.find(
      (each) => each.kind === 'assembly' && each.operations[0].kind === 'spot',
    );
    if (!step) throw new Error('It is stamped');
    const { text } = sayStep(step, { job, box: result.plan, kit: request.kit });
    expect(text).toMatchInlineSnapshot(
      `"Lid. Lay the lid flat, inside up, the slit edges at the top and bottom. Turn it over like a page, outside up. Stamp it, the middle 1 13/16 in from the left edge and 1 13/16 in from the top edge, its top towards the top edge. Let it dry."`,
    );
  });
});
