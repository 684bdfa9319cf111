import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  directions,
  extentsOf,
  millimetres,
  nanometres,
  outsideOf,
  planBox,
  times,
  withFinishedSize,
  type Extents,
  type FinishedSize,
  type PlanRequest,
} from '../index.ts';
import { inWords, requestsIn } from '../testing/requests.ts';

const metre = { name: 'A metre', width: millimetres(1000), height: millimetres(1000) };
const anySide = fc
  .integer({ min: 30_000, max: 110_000 })
  .map((micron) => nanometres(micron * 1000));

/** A box of a kind whose inside or outside its maker knows, on sheets that have room for it. */
const asked = (styles: typeof allStyles, of: FinishedSize['of']) =>
  fc
    .record({
      request: requestsIn(styles.map(inWords)),
      size: fc.record({ across: anySide, deep: anySide, high: anySide }),
    })
    .map(({ request, size }): PlanRequest => {
      const [first, ...others] = request.papers;
      return {
        ...request,
        lean: 'loose',
        finished: { of, ...size },
        papers: [{ ...first, sheet: metre }, ...others.map((each) => ({ ...each, sheet: metre }))],
      };
    });

/** The coarsest mark that one length of a box is on: two scores of it may both be off by half. */
function markOf({ kit }: PlanRequest): number {
  return Math.max(kit.board.pitch, kit.trimmer.step);
}

function missed(came: Extents, { finished }: PlanRequest): number {
  if (!finished) throw new Error('A size is asked for');
  return Math.max(...directions.map((way) => Math.abs(came[way] - finished[way])));
}

/** Kinds whose outside is one length each way. In the others two ways hang on one length, or all three. */
const square = allStyles.filter(({ id }) =>
  [
    'lidded',
    'sleeve',
    'tall-box',
    'tuck-end',
    'rolled-rim',
    'mailer',
    'carry-tray',
    'shell',
  ].includes(id),
);

describe('a box whose outside is known', () => {
  it('measures so much, as near as the marks are, and holds what is told', () => {
    let [planned, near] = [0, 0];
    fc.assert(
      fc.property(asked(square, 'outside'), (request) => {
        const answered = withFinishedSize(request);
        const result = planBox(answered);
        if (!result.ok) return;
        planned++;
        // A side that hangs on another, or may not be less than it is, is some marks off; most are on theirs.
        const off = missed(outsideOf(result.plan, request.papers), request) / markOf(request);
        if (off < 1) near++;
        const gift = extentsOf(answered.gift);
        for (const way of directions)
          // Nobody measures a hundredth of a millimetre.
          expect(result.plan.clearInside[way]).toBeGreaterThanOrEqual(gift[way] - 10_000);
        // Nothing else of what was asked is another one.
        expect({ ...answered, gift: request.gift }).toEqual(request);
      }),
      { numRuns: 60 },
    );
    expect(planned).toBeGreaterThan(20);
    expect(near / planned).toBeGreaterThan(0.8);
  });

  it('comes nearer than the box round the same inside, whatever its kind', () => {
    let planned = 0;
    fc.assert(
      fc.property(asked(allStyles, 'outside'), (request) => {
        if (!request.finished) return;
        const result = planBox(withFinishedSize(request));
        const plain = planBox(
          withFinishedSize({ ...request, finished: { ...request.finished, of: 'inside' } }),
        );
        if (!result.ok || !plain.ok) return;
        planned++;
        const came = [result.plan, plain.plan].map((plan) => outsideOf(plan, request.papers));
        const sum = (size: Extents | undefined) =>
          directions.reduce(
            (total, way) =>
              total + Math.abs((size?.[way] ?? NaN) - (request.finished?.[way] ?? NaN)),
            0,
          );
        expect(sum(came[0])).toBeLessThanOrEqual(sum(came[1]) + 3 * markOf(request));
      }),
      { numRuns: 60 },
    );
    expect(planned).toBeGreaterThan(20);
  });
});

describe('a box whose inside is known', () => {
  it('has that inside, for a gift with its room', () => {
    let planned = 0;
    fc.assert(
      fc.property(asked(square, 'inside'), (request) => {
        const answered = withFinishedSize(request);
        const result = planBox(answered);
        if (!result.ok || !request.finished) return;
        planned++;
        const gift = extentsOf(answered.gift);
        expect(gift.across).toBe(request.finished.across - times(request.room.across.target, 2));
        expect(gift.high).toBe(request.finished.high - request.room.high.target);
        expect(missed(result.plan.clearInside, request)).toBeLessThan(3 * markOf(request));
      }),
      { numRuns: 60 },
    );
    expect(planned).toBeGreaterThan(20);
  });

  it('leaves a request alone that asks for no size', () => {
    fc.assert(
      fc.property(requestsIn(allStyles), (request) => {
        expect(withFinishedSize(request)).toBe(request);
      }),
    );
  });
});

describe('the outside of a box', () => {
  it('is the inside and the card round it, reckoned by hand', () => {
    fc.assert(
      fc.property(
        asked(
          allStyles.filter(({ id }) => id === 'sleeve'),
          'inside',
        ),
        (request) => {
          const result = planBox(withFinishedSize(request));
          if (!result.ok) return;
          const { clearInside } = result.plan;
          const out = outsideOf(result.plan, request.papers);
          const card = request.papers[0].thickness;
          // Two walls, and the seam inside one of the sides; nothing above and below.
          expect(Math.abs(out.across - clearInside.across - 3 * card)).toBeLessThan(20_000);
          expect(Math.abs(out.deep - clearInside.deep - 2 * card)).toBeLessThan(20_000);
          expect(Math.abs(out.high - clearInside.high)).toBeLessThan(20_000);
        },
      ),
    );
  });
});
