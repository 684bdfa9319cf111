import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { millimetres, type Cutout } from '../index.ts';
import { tenthsBetween } from '../testing/lengths.ts';
import { ridgeClosings, ridgeCutouts, type Fins } from './index.ts';

/** Two fins, one at the top of its piece, the other hinged further down. */
const anyFins: fc.Arbitrary<Fins> = fc
  .record({
    left: tenthsBetween(0, 40),
    across: tenthsBetween(20, 150),
    fin: tenthsBetween(8, 40),
    below: tenthsBetween(30, 200),
  })
  .map(({ below, ...fins }) => ({ ...fins, lower: millimetres((fins.fin + below) / 1e6) }));

const card = millimetres(0.3);

/** How far from its own fold a place is, on the upper fin or on the lower one. */
function fromFold({ fin, lower }: Fins, y: number): number {
  return y < lower ? fin - y : y - lower;
}

function boundsOf(cutout: Cutout) {
  if (cutout.shape !== 'trim') throw new Error('Something with corners was meant');
  const [xs, ys] = [cutout.corners.map(({ x }) => x), cutout.corners.map(({ y }) => y)];
  return {
    left: Math.min(...xs),
    right: Math.max(...xs),
    top: Math.min(...ys),
    bottom: Math.max(...ys),
  };
}

describe('two fins of a ridge', () => {
  it.each(['ribbon holes', 'brad hole'] as const)(
    'have %s that meet when the fins stand side by side',
    (closing) => {
      fc.assert(
        fc.property(anyFins, (fins) => {
          const holes = ridgeCutouts(fins, closing, card).map((hole) => {
            if (hole.shape !== 'hole') throw new Error('Only holes are punched');
            return hole;
          });
          const upper = holes.filter(({ centre }) => centre.y < fins.lower);
          const lower = holes.filter(({ centre }) => centre.y > fins.lower);
          expect(upper).toHaveLength(closing === 'brad hole' ? 1 : 2);
          const spots = (some: typeof holes) =>
            some.map(({ centre, radius }) => [
              centre.x,
              Math.round(fromFold(fins, centre.y) / 2),
              radius,
            ]);
          expect(spots(upper)).toEqual(spots(lower));
          // They lie the same to the left and the right of the middle, with card all round them.
          const middle = fins.left + fins.across / 2;
          const aside = upper.map(({ centre }) => centre.x - middle);
          expect(Math.abs(aside.reduce((sum, each) => sum + each, 0))).toBeLessThanOrEqual(2);
          for (const { centre, radius } of upper) {
            expect(radius * 2).toBeLessThan(Math.min(centre.y, fins.fin - centre.y) + 1);
            expect(centre.x - radius).toBeGreaterThan(fins.left);
            expect(radius).toBeLessThanOrEqual(2_000_000);
          }
          const uses = new Set(holes.map(({ use }) => use));
          expect([...uses]).toEqual([closing === 'brad hole' ? 'brad' : 'ribbon']);
        }),
      );
    },
  );

  it('have a tongue that goes through its slot with card to spare, and is caught by it', () => {
    fc.assert(
      fc.property(anyFins, (fins) => {
        const cutouts = ridgeCutouts(fins, 'edge and slot', card);
        const slots = cutouts.filter(({ use }) => use === 'slot').map(boundsOf);
        const [beside, other] = cutouts
          .filter(({ use, shape }) => use === 'tongue' && shape === 'trim')
          .map(boundsOf);
        const [slot] = slots;
        if (!slot || !beside || !other) throw new Error('A tongue and its slot were meant');
        expect(slots).toHaveLength(1);
        const tongue = { left: beside.right, right: other.left };
        expect(beside.left).toBe(fins.left);
        expect(other.right).toBe(fins.left + fins.across);
        expect(tongue.left - fins.left).toBe(fins.left + fins.across - tongue.right);
        // A slot is wider than the tongue at both ends, and than the card.
        expect(slot.left).toBeLessThan(tongue.left);
        expect(slot.right).toBeGreaterThan(tongue.right);
        expect(slot.right - slot.left).toBeLessThan(fins.across);
        expect(slot.bottom - slot.top).toBeGreaterThan(card);
        // The tongue is what is left of the upper fin's edge; its root, and the slot, are within their fins.
        expect([beside.top, other.top]).toEqual([0, 0]);
        expect(beside.bottom).toBe(other.bottom);
        expect(beside.bottom).toBeLessThan(fins.fin);
        expect(slot.top).toBeGreaterThan(fins.lower);
        expect(slot.bottom).toBeLessThan(fins.lower + fins.fin);
        const ends = cutouts.filter(({ shape }) => shape === 'corner');
        expect(ends.map((end) => (end.shape === 'corner' ? end.at.x : NaN))).toEqual([
          tongue.left,
          tongue.right,
        ]);
        const turns = ends.map((end) => (end.shape === 'corner' ? Math.sign(end.along) : 0));
        expect(turns).toEqual([1, -1]);
      }),
    );
  });

  it('are left whole where nothing is to hold them', () => {
    fc.assert(
      fc.property(anyFins, (fins) => {
        for (const closing of ridgeClosings)
          expect(ridgeCutouts(fins, closing, card).length === 0).toBe(closing === 'plain');
      }),
    );
  });
});
