import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closedFaces } from '../fold/index.ts';
import {
  allStyles,
  millimetres,
  planBox,
  type PlanRequest,
  type WireChoice,
  waysOut,
} from '../index.ts';
import { styleChoiceSchema } from '../styles/index.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { requestsIn, usualOf } from '../testing/requests.ts';
import { toldSteps } from '../testing/told.ts';

function wired(request: PlanRequest, over: WireChoice['over'] = 'across'): PlanRequest {
  return { ...request, additions: [{ addition: 'wire', id: 'wire-1', over }] };
}

/** An open tray, which has two walls for a wire and no handle. */
function openBox(): PlanRequest {
  const open = allStyles.map(({ id }) => usualOf(id)).find((request) => planBox(wired(request)).ok);
  if (!open) throw new Error('No kind of box takes a wire');
  return open;
}

/** Kinds of box that may stand open, with none of its own to be held by. */
const mayStandOpen: ReadonlySet<string> = new Set(['sleeve', 'web-corner', 'many-sided']);

describe('a wire', () => {
  it('goes straight through two walls that face each other, as high on both, into the box', () => {
    let boxes = 0;
    fc.assert(
      fc.property(
        requestsIn(allStyles.filter(({ id }) => mayStandOpen.has(id))),
        fc.constantFrom('across' as const, 'deep' as const),
        (bare, over) => {
          const request = wired(bare, over);
          const result = planBox(request);
          if (!result.ok) return;
          boxes++;
          const { plan } = result;
          expect(faultsInSpace(plan, request)).toEqual([]);
          // Every other opening is the box’s own.
          const own = planBox(bare);
          const holesIn = (pieces: typeof plan.pieces) =>
            pieces.flatMap(({ grid }) => grid.cutouts).filter(({ use }) => use === 'wire').length;
          if (own.ok) expect(holesIn(plan.pieces)).toBe(holesIn(own.plan.pieces) + 2);
          const faces = closedFaces(boxInSpace(plan, request));
          const middles = faces
            .filter(({ role, holes }) => role === 'wall' && holes.length > 0)
            .flatMap(({ holes, out }) =>
              holes.map((ring) => ({
                out,
                x: ring.reduce((sum, { x }) => sum + x, 0) / ring.length,
                y: ring.reduce((sum, { y }) => sum + y, 0) / ring.length,
                z: ring.reduce((sum, { z }) => sum + z, 0) / ring.length,
              })),
            );
          const facing = middles.filter((one) =>
            middles.some(
              (other) =>
                one !== other &&
                Math.abs(one.z - other.z) < 1 &&
                Math.abs(over === 'across' ? one.y - other.y : one.x - other.x) < 1 &&
                Math.abs(over === 'across' ? one.out.x : one.out.y) > 0.99,
            ),
          );
          expect(facing.length).toBeGreaterThanOrEqual(2);
          // No card lies before the holes on their way into the room.
          for (const hole of facing.slice(0, 2)) {
            const inwards = faces.filter(({ role, ring, out }) => {
              const [first] = ring;
              if (role === 'wall' || !first || Math.abs(out.z) > 0.5) return false;
              const xs = ring.map((each) => (over === 'across' ? each.y : each.x));
              const zs = ring.map(({ z }) => z);
              const at = over === 'across' ? hole.y : hole.x;
              const near = Math.abs(over === 'across' ? first.x - hole.x : first.y - hole.y);
              return (
                near < 4 &&
                at > Math.min(...xs) &&
                at < Math.max(...xs) &&
                hole.z > Math.min(...zs) &&
                hole.z < Math.max(...zs)
              );
            });
            expect(inwards).toEqual([]);
          }
        },
      ),
      { numRuns: 200 },
    );
    expect(boxes).toBeGreaterThan(20);
  });

  it('of a cup of many sides keeps off the seam, whichever of the walls that look that way has it', () => {
    let [boxes, refused] = [0, 0];
    fc.assert(
      fc.property(
        fc.constantFrom(6, 8, 10, 12),
        fc.integer({ min: 5, max: 50 }),
        fc.integer({ min: 5, max: 50 }),
        fc.constantFrom('across' as const, 'deep' as const),
        (sides, across, deep, over) => {
          const usual = usualOf('many-sided', {
            shape: 'block',
            ...{ across: millimetres(across), deep: millimetres(deep), high: millimetres(60) },
          });
          const style = styleChoiceSchema.parse({
            ...usual.style,
            options: { ...usual.style.options, sides, top: 'open' },
          });
          const request = wired({ ...usual, style }, over);
          const result = planBox(request);
          if (result.ok) boxes++;
          else refused++;
          if (result.ok) expect(faultsInSpace(result.plan, request)).toEqual([]);
        },
      ),
      { numRuns: 60 },
    );
    expect(Math.min(boxes, refused)).toBeGreaterThan(5);
  });

  it('is bent before the gift goes in, its holes are punched while the card is flat', () => {
    const request = wired(openBox());
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    const at = (part: string) => told.findIndex((text) => text.includes(part));
    expect(at('hole for the wire')).toBeGreaterThanOrEqual(0);
    expect(at('Bend a wire to a handle.')).toBeGreaterThan(at('hole for the wire'));
    expect(at('Put the gift in.')).toBeGreaterThanOrEqual(at('Bend a wire to a handle.'));
  });

  it('is refused where a lid goes over, with what would do', () => {
    const result = planBox(wired(usualOf('lidded')));
    if (result.ok) throw new Error('It was not refused');
    expect(result.problems[0]?.field).toBe('additions.0.over');
    expect(result.problems[0]?.message).toContain('Take the wire off.');
  });

  it('that finds no two walls one way is offered the other way, as something to take', () => {
    const bare = usualOf('web-corner', {
      shape: 'cylinder',
      diameter: millimetres(44),
      length: millimetres(38),
      lies: 'standing',
    });
    const request: PlanRequest = {
      ...bare,
      style: { style: 'web-corner', options: { corners: 'inside', closing: 'open' } },
    };
    const refused = (['across', 'deep'] as const)
      .map((over) => ({ request: wired(request, over), result: planBox(wired(request, over)) }))
      .flatMap((each) => (each.result.ok ? [] : [{ ...each, problems: each.result.problems }]));
    expect(refused).toHaveLength(1);
    for (const { request: asked, problems } of refused) {
      const other = waysOut(asked, problems).filter(
        (way) => way.kind === 'dress' && way.said.startsWith('The wire from'),
      );
      expect(other).toHaveLength(1);
    }
  });
});
