import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { closedFaces, type Vector } from '../fold/index.ts';
import {
  allStyles,
  apart,
  assemblyScenes,
  cutSizeOf,
  extentsOf,
  hair,
  leftOff,
  millimetres,
  minus,
  outermostPoints,
  papersOf,
  planBox,
  planJob,
  plus,
  stockPaper,
  usualRequest,
  windowPlaces,
  type AssemblyStep,
  type InsertChoice,
  type PlanRequest,
} from '../index.ts';
import { boxInSpace } from '../testing/joints-in-space.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { styleChoiceSchema } from '../styles/index.ts';
import { sundial, tableRequestsIn, usualOf } from '../testing/requests.ts';
import { faultsInWords, toldSteps } from '../testing/told.ts';

const holding: fc.Arbitrary<InsertChoice['holds']> = fc.oneof(
  fc.integer({ min: 8, max: 60 }).map((high) => ({
    by: 'a platform' as const,
    raised: millimetres(high),
  })),
  fc.integer({ min: 8, max: 60 }).map((high) => ({
    by: 'openings' as const,
    raised: millimetres(high),
  })),
  fc.constantFrom({ by: 'notches' as const }, { by: 'slits' as const }),
);

const flatGift: PlanRequest['gift'] = {
  shape: 'card',
  across: millimetres(86),
  deep: millimetres(54),
  thick: millimetres(1),
};

function inserted(
  request: PlanRequest,
  holds: InsertChoice['holds'],
  lined: 'before' | 'behind' | 'not' = 'not',
): PlanRequest {
  const { sheet } = request.papers[0];
  const paper = { ...stockPaper('graphite'), sheet };
  const own = { addition: 'insert' as const, id: 'insert-1', holds, paper };
  const liner = {
    addition: 'liner' as const,
    id: 'liner-1',
    lines: 'box' as const,
    paper: { ...stockPaper('dusk'), sheet },
  };
  const additions = lined === 'before' ? [liner, own] : lined === 'behind' ? [own, liner] : [own];
  return { ...request, additions };
}

/** Whether a level ring goes round a place with so much to spare, by going round the ring. */
function goesRound(ring: readonly Vector[], x: number, y: number, spare: number): boolean {
  const [middleX, middleY] = [
    ring.reduce((sum, each) => sum + each.x, 0) / ring.length,
    ring.reduce((sum, each) => sum + each.y, 0) / ring.length,
  ];
  return ring.every((a, i) => {
    const b = ring[(i + 1) % ring.length] ?? a;
    const side = (px: number, py: number) =>
      ((b.x - a.x) * (py - a.y) - (b.y - a.y) * (px - a.x)) /
      (Math.hypot(b.x - a.x, b.y - a.y) || 1);
    return side(x, y) * Math.sign(side(middleX, middleY)) > spare;
  });
}

describe.each(allStyles.map((style) => ({ name: style.name, style })))('$name', ({ style }) => {
  it('has an insert that stands on its floor, and the gift on it or through its openings', () => {
    fc.assert(
      fc.property(
        tableRequestsIn(style),
        holding,
        fc.constantFrom('before' as const, 'behind' as const, 'not' as const),
        (bare, holds, lined) => {
          const request = inserted(bare, holds, lined);
          const result = planBox(request);
          if (!result.ok) return;
          const { plan } = result;
          expect(faultsInSpace(plan, request)).toEqual([]);
          const piece = plan.pieces.find(({ name }) => name === 'Insert' || name === 'Platform');
          if (
            leftOff({ ...request, papers: papersOf(request) }, plan).some(
              ({ id }) => id === 'insert-1',
            )
          ) {
            expect(piece).toBeUndefined();
            return;
          }
          if (!piece) throw new Error('There is no insert');
          // Nothing of the gift’s own room is taken.
          expect(plan.room.high).toBeGreaterThanOrEqual(
            minus(request.room.high.floor, plus(hair, hair)),
          );
          const box = boxInSpace(plan, request);
          const parts = plan.assembly.parts.filter((part) => part.piece === piece.id);
          const faces = closedFaces(box).filter(({ part }) => part === parts[0]?.id);
          const seat = faces.find(({ role }) => role === 'plate');
          const { floor } = plan.assembly.cavity;
          const card = (papersOf(request)[piece.paper]?.thickness ?? 0) / 1e6;
          if (holds.by === 'a platform' || holds.by === 'openings') {
            if (!seat) throw new Error('The insert has no plate');
            const top = (seat.ring[0]?.z ?? 0) + card / 2;
            const low = Math.min(...faces.flatMap(({ ring }) => ring.map(({ z }) => z)));
            const legs = faces.filter(({ role }) => role === 'leg');
            expect([2, 4]).toContain(legs.length);
            for (const { ring } of legs)
              expect(Math.abs(Math.min(...ring.map(({ z }) => z)) - low)).toBeLessThan(1e-6);
            expect(top - low).toBeLessThanOrEqual(holds.raised / 1e6 + 1e-6);
            expect(top - low).toBeGreaterThan(holds.raised / 1e6 - 7);
            if (holds.by === 'a platform') {
              expect(top).toBeLessThan(1e-6);
              return;
            }
            // Its legs stand on the floor, and every thing goes through an opening with room to spare.
            const floors = [0, -card * 3];
            expect(low).toBeGreaterThan(Math.min(...floors) - 1);
            const middle = {
              x: (Math.min(...floor.map(({ x }) => x)) + Math.max(...floor.map(({ x }) => x))) / 2,
              y: (Math.min(...floor.map(({ y }) => y)) + Math.max(...floor.map(({ y }) => y))) / 2,
            };
            const gift = apart(plan.gift, millimetres(7));
            expect(seat.holes.length).toBeGreaterThan(0);
            for (const { x, y } of outermostPoints(gift))
              expect(
                seat.holes.some((ring) => goesRound(ring, middle.x + x, middle.y + y, 0.3)),
              ).toBe(true);
          } else if (holds.by === 'slits') {
            const { across, deep } = extentsOf(plan.gift);
            const found = piece.grid.cutouts.filter(({ use }) => use === 'card slit');
            const ys = found.flatMap((each) =>
              each.shape === 'trim' ? each.corners.map(({ y }) => y) : [],
            );
            const xs = found.flatMap((each) =>
              each.shape === 'trim' ? each.corners.map(({ x }) => x) : [],
            );
            expect(Math.max(...ys) - Math.min(...ys)).toBeGreaterThan(deep);
            expect(Math.max(...ys)).toBeLessThan(cutSizeOf(piece.grid).height);
            expect(Math.max(...xs) - Math.min(...xs)).toBeLessThan(across);
          } else {
            expect(piece.grid.cutouts.filter(({ use }) => use === 'elastic notch')).toHaveLength(4);
          }
        },
      ),
      { numRuns: 12 },
    );
  });
});

describe('an insert', () => {
  it('on legs has none before a window, whichever way the wall is turned', () => {
    let windows = 0;
    fc.assert(
      fc.property(
        fc.constantFrom('many-sided', 'many-sided', 'many-sided', 'basket', 'tuck-end', 'tuck-end'),
        fc.constantFrom(6, 8, 10),
        fc.integer({ min: 8, max: 40 }),
        fc.nat(9),
        fc.constantFrom(3, 5),
        fc.integer({ min: 20, max: 90 }),
        (style, sides, raised, at, frame, high) => {
          const across = millimetres(36);
          const usual = usualOf(style, {
            ...{ shape: 'block', across, deep: across },
            high: millimetres(high),
          });
          // A flap that is tucked in lies before the foot of the wall with its window.
          const more =
            style === 'many-sided'
              ? { sides, top: 'open' }
              : style === 'tuck-end'
                ? { bottom: 'tucked', window: true }
                : {};
          const parsed = styleChoiceSchema.parse({
            ...usual.style,
            options: { ...usual.style.options, ...more },
          });
          const request = inserted(
            { ...usual, style: parsed },
            { by: 'a platform', raised: millimetres(raised) },
          );
          const bare = planBox(request);
          if (!bare.ok) return;
          expect(faultsInSpace(bare.plan, request)).toEqual([]);
          const places = windowPlaces(request, bare.plan);
          const place = places[at % Math.max(1, places.length)];
          if (!place) return;
          const asked: PlanRequest = {
            ...request,
            additions: [
              ...request.additions,
              {
                addition: 'window',
                id: 'window-1',
                on: place.face,
                opening: { shape: 'straight', frame: millimetres(frame) },
              },
            ],
          };
          const result = planBox(asked);
          if (!result.ok) return;
          windows++;
          expect(faultsInSpace(result.plan, asked)).toEqual([]);
        },
      ),
      { numRuns: 70 },
    );
    expect(windows).toBeGreaterThan(15);
  });

  it.each([
    ['notches', 'Put two elastics round the insert', 'Put the gift in, under the elastics.'],
    ['slits', 'Lay the insert in', 'Put the gift in, its ends through the slits of the insert.'],
  ] as const)('with %s holds the gift, and how is told', (by, before, then) => {
    const gift = by === 'slits' ? flatGift : sundial;
    const request = inserted({ ...usualRequest(sundial, 'mm'), gift }, { by });
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const told = toldSteps(result.plan, request, 1)
      .map(({ text }) => text)
      .join(' ');
    expect(told).toContain(before);
    expect(told.indexOf(then)).toBeGreaterThan(told.indexOf(before));
    // The base has been glued by then, and is shown so.
    const box = boxInSpace(result.plan, request);
    const step = planJob(result.plan, request, { boxes: 1 }).steps.find(
      (each): each is AssemblyStep =>
        each.kind === 'assembly' && each.operations.some(({ kind }) => kind === 'join'),
    );
    if (!step) throw new Error('No step');
    const { faces } = assemblyScenes(box, step)({ at: 0, share: 0 });
    const ringsOf = (all: typeof faces) =>
      all.flatMap(({ part, ring }) => (part === 'base' ? ring : []));
    const whole = ringsOf(closedFaces(box));
    expect(whole.length).toBeGreaterThan(0);
    ringsOf(faces).forEach((place, i) => {
      const there = whole[i] ?? place;
      expect(Math.hypot(place.x - there.x, place.y - there.y, place.z - there.z)).toBeLessThan(1);
    });
    expect(faultsInWords(result.plan, request, 1, () => 0)).toEqual([]);
  });

  it('is scored, folded, cut out and stood in before the gift', () => {
    const request = inserted(
      {
        ...usualRequest(sundial, 'mm'),
        gift: {
          shape: 'several',
          item: {
            shape: 'cylinder',
            diameter: millimetres(20),
            length: millimetres(90),
            lies: 'standing',
          },
          across: 3,
          deep: 1,
          high: 1,
          packing: 'in rows',
        },
      },
      { by: 'openings', raised: millimetres(40) },
    );
    const result = planBox(request);
    if (!result.ok) throw new Error(result.problems[0]?.message);
    const insert = result.plan.pieces.find(({ name }) => name === 'Insert');
    expect(insert?.grid.cutouts.filter(({ use }) => use === 'holder')).toHaveLength(3);
    const told = toldSteps(result.plan, request, 1).map(({ text }) => text);
    const at = (part: string) => told.findIndex((text) => text.includes(part));
    expect(at('opening 21 mm across')).toBeGreaterThan(0);
    expect(at('Stand the insert in the base, its legs on the floor.')).toBeGreaterThan(
      at('opening 21 mm across'),
    );
    expect(at('Put the gift in.')).toBeGreaterThanOrEqual(at('Stand the insert in'));
    expect(at('it becomes left leg, plate and right leg')).toBeGreaterThan(0);
    expect(at('Fold down the left, the right, the back and the front leg.')).toBeGreaterThan(0);
  });

  it('higher than what stands through it says what would do, and that does', () => {
    const request = inserted(usualRequest(sundial, 'inch'), {
      by: 'openings',
      raised: millimetres(40),
    });
    const result = planBox(request);
    if (result.ok) throw new Error('It was not refused');
    const [problem] = result.problems;
    expect(problem?.field).toBe('additions.0.holds.raised');
    if (problem?.nearest === undefined) throw new Error('Nothing is said to do');
    const again = inserted(usualRequest(sundial, 'inch'), {
      by: 'openings',
      raised: problem.nearest,
    });
    expect(planBox(again).ok).toBe(true);
  });
});
