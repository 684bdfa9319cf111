import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { millimetres } from '../index.ts';
import { isCutAlike, panelShape, widestMargin } from './panel-shape.ts';

const outline = [
  { x: -40, y: -20 },
  { x: 40, y: -20 },
  { x: 40, y: 20 },
  { x: -40, y: 20 },
];
const step = millimetres(1);

describe('the shape of a panel', () => {
  const cut = (openings: Parameters<typeof panelShape>[0]['openings'], margin = 3) =>
    panelShape({ outline, openings, margin: millimetres(margin), step });

  it('has a hole where an opening is well inside it, and a bite where one is at its edge', () => {
    const inside = cut([{ kind: 'round' as const, centre: { x: 10, y: 0 }, radius: 4 }]);
    expect(inside.ok && inside.shape.cutouts).toMatchObject([
      { shape: 'hole', radius: millimetres(7), centre: { x: millimetres(47), y: millimetres(17) } },
    ]);
    const atEdge = cut([{ kind: 'round' as const, centre: { x: 0, y: -20 }, radius: 9 }]);
    // From 12 mm to the left of the middle to as much to its right, and 9 mm up from the lower edge.
    expect(atEdge.ok && atEdge.shape.cutouts).toMatchObject([
      {
        shape: 'trim',
        corners: [
          { x: millimetres(25), y: millimetres(25) },
          { x: millimetres(49), y: millimetres(25) },
          { x: millimetres(49), y: millimetres(34) },
          { x: millimetres(25), y: millimetres(34) },
        ],
      },
    ]);
  });

  it('does not fall into two where two openings meet', () => {
    const one = { kind: 'round' as const, centre: { x: 0, y: 20 }, radius: 18 };
    const other = { kind: 'round' as const, centre: { x: 0, y: -20 }, radius: 18 };
    expect(cut([one]).ok).toBe(true);
    expect(cut([other]).ok).toBe(true);
    expect(cut([one, other])).toEqual({ ok: false, why: 'opening' });
  });

  it('is wide enough to be held at its widest margin, and at none that is wider', () => {
    const widest = widestMargin(outline, step);
    // 40 mm high: 17 mm from above and from below leave 6, 18 would leave 4.
    expect(widest).toBe(millimetres(17));
    expect(cut([], 17).ok).toBe(true);
    expect(cut([], 18)).toEqual({ ok: false, why: 'margin' });
  });

  it('is cut alike whichever corner of its opening is told first, and not where one lies elsewhere', () => {
    const corners = fc
      .array(
        fc.record({ x: fc.integer({ min: -30, max: 30 }), y: fc.integer({ min: -12, max: 12 }) }),
        {
          minLength: 3,
          maxLength: 8,
        },
      )
      .filter((all) => new Set(all.map(({ x, y }) => `${x} ${y}`)).size === all.length);
    fc.assert(
      fc.property(
        corners,
        fc.nat(),
        fc.nat(),
        fc.double({ min: 0.03, max: 0.9, noNaN: true }),
        (ring, turn, which, off) => {
          const shapeOf = (corners: readonly { readonly x: number; readonly y: number }[]) => ({
            ...{ width: millimetres(80), height: millimetres(40) },
            cutouts: [
              {
                ...{ shape: 'trim' as const, use: 'clearing' as const },
                corners: corners.map(({ x, y }) => ({
                  x: millimetres(x + 40),
                  y: millimetres(y + 20),
                })),
              },
            ],
          });
          const from = turn % ring.length;
          // Whatever is worked out in space is off by a hair.
          const turned = [...ring.slice(from), ...ring.slice(0, from)].map(({ x, y }) => ({
            x: x + 1e-6,
            y,
          }));
          expect(isCutAlike(shapeOf(ring), shapeOf(turned))).toBe(true);
          const moved = turned.map((corner, i) =>
            i === which % ring.length ? { ...corner, y: corner.y + off } : corner,
          );
          expect(isCutAlike(shapeOf(ring), shapeOf(moved))).toBe(false);
        },
      ),
    );
  });
});
