import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closedFaces } from '../fold/index.ts';
import {
  hair,
  leftOff,
  millimetres,
  minus,
  papersOf,
  planBox,
  plus,
  stockPaper,
  usualRequest,
  type PlanRequest,
} from '../index.ts';
import { showsDrawnSide } from '../make/index.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { anyPaper, anyRequest, sundial, usualOf } from '../testing/requests.ts';
import { toldSteps } from '../testing/told.ts';

type Lines = 'box' | 'lid' | 'box and lid';

function lined(request: PlanRequest, lines: Lines, paper = stockPaper('comet')): PlanRequest {
  return { ...request, additions: [{ addition: 'liner', id: 'liner-1', lines, paper }] };
}

function planned(request: PlanRequest) {
  const result = planBox(request);
  if (!result.ok) throw new Error(result.problems[0]?.message);
  return result.plan;
}

describe('a liner', () => {
  it('takes nothing of the gift’s room in any kind of box', () => {
    fc.assert(
      fc.property(
        anyRequest,
        anyPaper,
        fc.constantFrom<Lines>('box', 'lid', 'box and lid'),
        (request, paper, lines) => {
          const asked = lined(request, lines, { ...paper, sheet: request.papers[0].sheet });
          const result = planBox(asked);
          if (!result.ok) return;
          const { room, clearInside, assembly } = result.plan;
          const least = (way: 'across' | 'deep' | 'high') =>
            minus(request.room[way].floor, plus(hair, hair));
          expect(room.across).toBeGreaterThanOrEqual(least('across'));
          expect(room.deep).toBeGreaterThanOrEqual(least('deep'));
          expect(room.high).toBeGreaterThanOrEqual(least('high'));
          expect(clearInside.high / 1e6).toBeLessThan(assembly.cavity.high + 1e-6);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('makes the box larger by its card on every side that it covers', () => {
    const usual = usualRequest(sundial, 'mm');
    // So thick that no choice of marks hides it.
    const card = { ...stockPaper('comet'), thickness: usual.room.across.floor };
    const bare = planned(usual);
    const box = planned(lined(usual, 'box', card));
    const outer = (of: typeof bare) => of.pieces.find(({ id }) => id === 'base')?.grid.columns[1];
    expect((outer(box) ?? 0) - (outer(bare) ?? 0)).toBeGreaterThan(card.thickness);
  });

  it('has a plate for the floor, for each wall and for the lid, and says how each goes in', () => {
    const request = lined(usualRequest(sundial, 'inch'), 'box and lid');
    const plan = planned(request);
    const plates = plan.pieces.filter(({ paper }) => paper >= request.papers.length);
    expect(plates.reduce((sum, { copies }) => sum + copies, 0)).toBe(6);
    const told = toldSteps(plan, request, 1).map(({ text }) => text);
    expect(told.join('\n')).toContain('onto the inside of the top of the lid, in the middle');
    expect(told.join('\n')).toContain('standing on the floor, as far from both ends');
    const at = (part: string) => told.findIndex((text) => text.includes(part));
    expect(at('Lay the floor liner in the base')).toBeLessThan(at('standing on the floor'));
    expect(at('standing on the floor')).toBeLessThan(at('Put the gift in'));
    // What goes into the lid is glued while that lies flat.
    expect(at('onto the inside of the top of the lid, in the middle')).toBeLessThan(
      at('Fold the back wall up'),
    );
  });

  it('shows its print to the gift on every side, as a platform does', () => {
    const usual = usualRequest(sundial, 'inch');
    const print = stockPaper('orbits');
    const platform: PlanRequest['additions'][number] = {
      addition: 'insert',
      id: 'insert-1',
      holds: { by: 'a platform', raised: millimetres(12) },
      paper: print,
    };
    for (const additions of [lined(usual, 'box and lid', print).additions, [platform]]) {
      const request = { ...usual, additions };
      const plan = planned(request);
      const box = boxInSpace(plan, request);
      const { high } = plan.assembly.cavity;
      const shown = closedFaces(box).filter(({ role }) => role === 'panel' || role === 'plate');
      expect(shown.length).toBe(additions.includes(platform) ? 1 : 6);
      for (const { part: id, ring, out } of shown) {
        const part = box.parts.find(({ part }) => part.id === id);
        const [corner] = ring;
        if (!part || !corner) throw new Error(`No part ${id}`);
        const front = showsDrawnSide(part) ? 1 : -1;
        const middle = ring.reduce(
          (sum, { x, y, z }) => ({ x: sum.x + x / 4, y: sum.y + y / 4, z: sum.z + z / 4 }),
          { x: 0, y: 0, z: 0 },
        );
        // The middle of the room is at none across and deep; over a platform all that is left is above it.
        const toGift = -middle.x * out.x - middle.y * out.y + (high * 0.6 - middle.z) * out.z;
        expect(front * toGift).toBeGreaterThan(0);
      }
    }
  });

  it('stands clear of a thumb notch', () => {
    const plan = planned(lined(usualOf('sleeve'), 'box'));
    const plates = plan.pieces.filter(({ name }) => name.endsWith('liner'));
    expect(plates.map(({ grid }) => grid.cutouts.length).sort()).toEqual([0, 1, 1]);
  });

  it('is left off a lid that is not there, and that is said', () => {
    const request = lined(usualOf('overlap-top'), 'lid');
    const plan = planned(request);
    expect(plan.pieces.every(({ name }) => !name.includes('liner'))).toBe(true);
    expect(leftOff({ ...request, papers: papersOf(request) }, plan)).toEqual([
      { id: 'liner-1', why: 'no such face' },
    ]);
  });
});
