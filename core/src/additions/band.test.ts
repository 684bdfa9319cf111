import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  closedFaces,
  cutSizeOf,
  hair,
  inchFraction,
  millimetres,
  planBox,
  stockPaper,
  toMillimetres,
  waysOut,
  type AdditionChoice,
  type PlanRequest,
  type Vector,
} from '../index.ts';
import { banded, type Round } from '../testing/banded.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { anyPaper, anyRequest, usualOf } from '../testing/requests.ts';
import { faultsInWords, toldSteps } from '../testing/told.ts';

function reach(values: readonly number[]): number {
  return Math.max(...values) - Math.min(...values);
}

/** How much room a band has each way round what it goes round: its own inside less the box’s outside. */
function slides(request: PlanRequest, round: Exclude<Round, 'under lid'>) {
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

  it('round a thin box has its seam behind, no longer than the side that it lies on', () => {
    let thin = 0;
    fc.assert(
      fc.property(
        fc.constantFrom('lidded', 'sleeve', 'drawer', 'tuck-end'),
        fc.integer({ min: 30, max: 120 }),
        fc.integer({ min: 1, max: 12 }),
        fc.constantFrom<Round>('across', 'deep'),
        anyPaper,
        (style, wide, high, round, paper) => {
          const usual = usualOf(style, {
            shape: 'card',
            across: millimetres(wide),
            deep: millimetres(60),
            thick: millimetres(high),
          });
          const request = banded(usual, round, 12, { ...paper, sheet: usual.papers[0].sheet });
          const result = planBox(request);
          if (!result.ok) return;
          expect(faultsInSpace(result.plan, request)).toEqual([]);
          const [strip, other] = result.plan.pieces.filter(({ id }) => id.startsWith('band-1'));
          const { columns = [] } = strip?.grid ?? {};
          const [beside = 0, next = 0, , , seam = 0] = columns;
          if (other) return;
          expect(seam).toBeLessThan(beside);
          if (beside > 2 * next) {
            thin++;
            expect(seam).toBeGreaterThanOrEqual(millimetres(8));
          }
        },
      ),
      { numRuns: 60 },
    );
    expect(thin).toBeGreaterThan(8);
  });

  it('round walls that slant above goes down to the table, and is refused where none holds it', () => {
    const bag = banded(usualOf('pinch-top'), 'walls', 10);
    const result = planBox(bag);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    expect(faultsInSpace(result.plan, bag)).toEqual([]);
    const faces = closedFaces(boxInSpace(result.plan, bag));
    const lowest = (isOwn: boolean) =>
      Math.min(
        ...faces
          .filter(({ part }) => part.startsWith('band-1') === isOwn)
          .flatMap(({ ring }) => ring.map(({ z }) => z)),
      );
    expect(Math.abs(lowest(true) - lowest(false))).toBeLessThan(1);
    const last = toldSteps(result.plan, bag, 1).at(-1)?.text;
    expect(last).toContain('over the closed box from above, down to the table.');
    const tent = banded(usualOf('tent-top'), 'walls', 40);
    const refused = planBox(tent);
    if (refused.ok) throw new Error('Planned');
    expect(refused.problems[0]?.message).toMatch(/or the sides slant\. One .+ in wide would hold/);
    expect(waysOut(tent, refused.problems)[0]?.said).toMatch(/^A band .+ in wide$/);
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
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    expect(told.at(-1)).toContain(
      'Slide the lid over the base. Slide the band over the closed box',
    );
    expect(told.join('\n')).toContain('press the inside of the right wall onto the seam');
  });

  it.each([
    ['basket', 'across', 'The handle is in the way', 'round its walls'],
    ['carry-tray', 'across', 'lie over the finger hole', 'front to back'],
    ['tent-top', 'deep', 'finds no hold over its top', 'round its walls'],
  ] as const)('is refused on a %s %s, with what would do', (id, round, why, way) => {
    const result = planBox(banded(usualOf(id), round, 10));
    const message = result.ok ? '' : (result.problems[0]?.message ?? '');
    expect(message).toContain(why);
    expect(message).toContain(way);
  });

  it('goes over another one that is there already', () => {
    const rounds: readonly (readonly [Round, Round])[] = [
      ['under lid', 'under lid'],
      ['under lid', 'walls'],
      ['walls', 'walls'],
      ['across', 'deep'],
      ['walls', 'across'],
    ];
    for (const [first, second] of rounds) {
      const inner = banded(usualOf('lidded'), first, 10);
      const [band] = inner.additions;
      if (!band) throw new Error('No band');
      const outer = banded(usualOf('lidded'), second, 10);
      const request = {
        ...outer,
        additions: [{ ...band, id: 'band-2' }, ...outer.additions],
      };
      const result = planBox(request);
      if (!result.ok) throw new Error(`${first} and ${second}: ${result.problems[0]?.message}`);
      expect(faultsInSpace(result.plan, request), `${first} and ${second}`).toEqual([]);
    }
  });

  it('hooks its ends into each other by slits that meet behind, and is told so', () => {
    let boxes = 0;
    fc.assert(
      fc.property(
        anyRequest,
        anyPaper,
        fc.constantFrom<Round>('walls', 'across', 'deep', 'under lid'),
        fc.integer({ min: 8, max: 60 }),
        (request, paper, round, width) => {
          const side = millimetres(1200);
          const card = { ...paper, sheet: { name: 'Roll', width: side, height: side } };
          const asked = banded(request, round, width, card, 'hooks');
          const result = planBox(asked);
          if (!result.ok) return;
          boxes++;
          const { plan } = result;
          expect(faultsInSpace(plan, asked)).toEqual([]);
          const [strip, ...more] = plan.pieces.filter(({ id }) => id.startsWith('band-1'));
          expect(more).toEqual([]);
          const { columns = [], rows = [], cutouts = [] } = strip?.grid ?? {};
          const [first = 0, , front = 0, , last = 0] = columns;
          const slits = cutouts.map((cutout) => (cutout.shape === 'trim' ? cutout.corners : []));
          const reached = (way: 'x' | 'y') =>
            slits.map((corners) => {
              const at = corners.map((corner) => corner[way]);
              return { from: Math.min(...at), to: Math.max(...at) };
            });
          const [one, other] = reached('x').map(({ from, to }) => (from + to) / 2);
          const whole = columns.reduce((sum, each) => sum + each, 0);
          // From either fold to its slit: together they are the side that they close.
          const closed = first - (one ?? 0) + last - (whole - (other ?? 0));
          expect(Math.abs(closed - front)).toBeLessThan(10_000);
          expect(one).toBeGreaterThanOrEqual(5_000_000);
          // One comes from above, the other from below, as far as the middle.
          const high = rows[0] ?? 0;
          const [upper, lower] = reached('y');
          expect([upper?.from, lower?.to]).toEqual([0, high]);
          expect(upper?.to).toBe(lower?.from);
        },
      ),
      { numRuns: 80 },
    );
    expect(boxes).toBeGreaterThan(10);
    const request = banded(usualOf('lidded'), 'across', 20, stockPaper('comet'), 'hooks');
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    expect(faultsInWords(result.plan, request, 1, () => 0)).toEqual([]);
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    expect(told.join(' ')).toContain('into each other by their slits');
    expect(told.join(' ')).not.toContain('Adhesive on the outside of the seam of the band');
  });

  it('with hooked ends that is longer than its sheet is refused, with glued ends as a way out', () => {
    const comet = stockPaper('comet');
    const side = inchFraction(25, 4);
    const paper = { ...comet, sheet: { name: 'Scrap', width: side, height: side } };
    const request = banded(usualOf('lidded'), 'across', 20, paper, 'hooks');
    const result = planBox(request);
    if (result.ok) throw new Error('Planned');
    expect(result.problems[0]?.message).toMatch(/is one strip, here .+ in long/);
    const [first] = waysOut(request, result.problems);
    expect(first?.said).toBe('The band with glued ends');
  });
});
