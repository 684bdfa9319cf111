import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { placeNames } from './place-names.ts';

const lettering = {
  line: 18,
  letter: 8,
  bounds: { left: -150, top: -100, width: 300, height: 200 },
};

const anyNames = fc.array(
  fc.record({
    x: fc.integer({ min: -150, max: 150 }),
    y: fc.integer({ min: -100, max: 100 }),
    text: fc.constantFrom('floor', 'left wall', 'back wall', 'bottom flap of the left wall'),
  }),
  { maxLength: 6 },
);

describe('names in a picture', () => {
  it('lie over no other one and within the picture, each told once', () => {
    fc.assert(
      fc.property(anyNames, (names) => {
        const placed = placeNames(names, lettering);
        expect(new Set(placed.map(({ text }) => text)).size).toBe(placed.length);
        for (const [i, one] of placed.entries()) {
          const half = one.text.length * 4;
          expect(Math.abs(one.x) + half).toBeLessThanOrEqual(150);
          for (const other of placed.slice(i + 1)) {
            const isBeside = Math.abs(one.x - other.x) >= half + other.text.length * 4;
            expect(isBeside || Math.abs(one.y - other.y) >= 18).toBe(true);
          }
        }
        // One alone stays where its face is, as far as the edge lets it; none of a few is lost.
        const [first] = placed;
        if (first) expect(first.y).toBe(names[0]?.y);
        expect(placed).toHaveLength(new Set(names.map(({ text }) => text)).size);
      }),
    );
  });
});
