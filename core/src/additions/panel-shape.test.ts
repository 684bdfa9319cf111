import { describe, expect, it } from 'vitest';
import { millimetres } from '../index.ts';
import { panelShape, widestMargin } from './panel-shape.ts';

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
});
