import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  closedFaces,
  cutSizeOf,
  hair,
  inchFraction,
  millimetres,
  planBox,
  planJob,
  sayStep,
  stockPaper,
  toMillimetres,
  type AdditionChoice,
  type PlanRequest,
  type Vector,
} from '../index.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { anyPaper, anyRequest, usualOf } from '../testing/requests.ts';
import { faultsInWords } from '../testing/told.ts';

type Round = 'walls' | 'across' | 'deep';

function banded(request: PlanRequest, round: Round, width = 20, paper = stockPaper('comet')) {
  const band: AdditionChoice = {
    addition: 'band',
    id: 'band-1',
    round,
    width: millimetres(width),
    paper,
  };
  return { ...request, additions: [...request.additions, band] };
}

function reach(values: readonly number[]): number {
  return Math.max(...values) - Math.min(...values);
}

/** How much room a band has each way round what it goes round: its own inside less the box’s outside. */
function slides(request: PlanRequest, round: Round) {
  const result = planBox(request);
  if (!result.ok) return undefined;
  const { plan } = result;
  const parts = plan.assembly.parts.filter(({ wraps }) => wraps).map(({ id }) => id);
  const faces = closedFaces(boxInSpace(plan, request));
  const ways = {
    walls: ['x', 'y', 'z'],
    across: ['x', 'z', 'y'],
    deep: ['y', 'z', 'x'],
  } as const;
  const [one, other, along] = ways[round];
  const own = faces.filter(({ part }) => parts.includes(part));
  const under = own.flatMap(({ ring }) => ring.map((place) => place[along]));
  const [from, to] = [Math.min(...under), Math.max(...under)];
  const points = (of: typeof faces) =>
    of.flatMap(({ ring, out, card }) =>
      [1, -1].flatMap((side) =>
        ring.map((place): Vector => ({
          x: place.x + (side * out.x * card) / 2,
          y: place.y + (side * out.y * card) / 2,
          z: place.z + (side * out.z * card) / 2,
        })),
      ),
    );
  const box = points(faces.filter(({ part }) => !parts.includes(part)));
  const room = (way: 'x' | 'y' | 'z') =>
    reach(own.flatMap(({ ring }) => ring.map((place) => place[way]))) -
    reach(box.map((place) => place[way]));
  return { plan, room: [room(one), room(other)], from, to };
}

describe('a band', () => {
  it('goes round any box that holds it, clear of all of it, and over nothing that must stay open', () => {
    fc.assert(
      fc.property(
        anyRequest,
        anyPaper,
        fc.constantFrom<Round>('walls', 'across', 'deep'),
        fc.integer({ min: 8, max: 60 }),
        (request, paper, round, width) => {
          const asked = banded(request, round, width, { ...paper, sheet: request.papers[0].sheet });
          const result = planBox(asked);
          if (!result.ok) return;
          expect(faultsInSpace(result.plan, asked)).toEqual([]);
          // Its scores are made as all others are.
          const piece = result.plan.pieces.find(({ id }) => id.startsWith('band-1'));
          const marks = result.plan.marks.find((each) => each.piece === piece?.id);
          expect(marks?.readings.length).toBeGreaterThanOrEqual(4);
        },
      ),
      { numRuns: 60 },
    );
  });

  it('slides on with little room', () => {
    for (const round of ['across', 'deep'] as const) {
      const found = slides(banded(usualOf('lidded'), round), round);
      if (!found) throw new Error('No band');
      const card = toMillimetres(stockPaper('comet').thickness);
      for (const room of found.room) {
        // Its folds run in the middle of its card; the seam lies inside on one side.
        expect(room).toBeGreaterThan(card + 0.3);
        expect(room).toBeLessThan(2 * card + 3.2);
      }
      expect(found.to - found.from).toBeGreaterThan(18);
      expect(Math.abs(found.from + found.to)).toBeLessThan(2);
    }
  });

  it('goes over the panels, whichever was put on first', () => {
    const usual = usualOf('lidded');
    const panel: AdditionChoice = {
      addition: 'panel',
      id: 'panel-1',
      on: { which: 'face', face: { piece: 'lid', role: 'lid', faces: 'top' } },
      layers: [{ margin: hair, paper: { ...stockPaper('comet'), thickness: millimetres(1.5) } }],
      underCover: 'counted',
    };
    const width = (request: PlanRequest) => {
      const result = planBox(request);
      if (!result.ok) throw new Error(result.problems[0]?.message);
      const piece = result.plan.pieces.find(({ id }) => id.startsWith('band-1'));
      return piece ? cutSizeOf(piece.grid).width : 0;
    };
    const bare = width(banded(usual, 'across'));
    const first = width({ ...usual, additions: [panel, ...banded(usual, 'across').additions] });
    const last = width({ ...usual, additions: [...banded(usual, 'across').additions, panel] });
    expect(first).toBe(last);
    expect(first).toBeGreaterThan(bare);
  });

  it('is joined of two strips where one is longer than its sheet, underneath', () => {
    const comet = stockPaper('comet');
    const side = inchFraction(25, 4);
    const paper = { ...comet, sheet: { name: 'Scrap', width: side, height: side } };
    const request = banded(usualOf('lidded'), 'across', 20, paper);
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const { plan } = result;
    expect(faultsInSpace(plan, request)).toEqual([]);
    expect(faultsInWords(plan, request, 1, () => 0)).toEqual([]);
    const strips = plan.pieces.filter(({ id }) => id.startsWith('band-1'));
    expect(strips).toHaveLength(2);
    for (const { grid } of strips) expect(cutSizeOf(grid).width).toBeLessThanOrEqual(side);
    const plate = plan.assembly.parts.find(({ piece }) => piece === strips[1]?.id);
    expect(plate?.at.z).toBeLessThan(0);
  });

  it('is slid over the closed box at the very end', () => {
    const request = banded(usualOf('lidded'), 'across');
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const job = planJob(result.plan, request, { boxes: 1 });
    const told = job.steps.map(
      (step) => sayStep(step, { job, box: result.plan, kit: request.kit }).text,
    );
    expect(told.at(-1)).toContain(
      'Slide the lid over the base. Slide the band over the closed box',
    );
    expect(told.join('\n')).toContain('press the inside of the right wall onto the seam');
  });

  it.each([
    ['basket', 'across', 'The handle is in the way', 'round its walls'],
    ['carry-tray', 'across', 'lie over the finger hole', 'front to back'],
    ['tent-top', 'deep', 'lie over the ribbon holes', 'round its walls'],
  ] as const)('is refused on a %s %s, with what would do', (id, round, why, way) => {
    const result = planBox(banded(usualOf(id), round));
    const message = result.ok ? '' : (result.problems[0]?.message ?? '');
    expect(message).toContain(why);
    expect(message).toContain(way);
  });
});
