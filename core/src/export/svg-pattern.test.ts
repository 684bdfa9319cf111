import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutSizeOf, planBox, svgPattern, toMillimetres, usualRequest } from '../index.ts';
import { anyLidded, sundial } from '../testing/requests.ts';

/** Reads the exported file by its text alone, as a cutter's software would. */
function readLayer(svg: string, layer: string, piece: string): readonly (readonly number[])[] {
  const group = new RegExp(`<g id="${layer}"[^>]*>([^]*?)</g>`).exec(svg)?.[1] ?? '';
  const path = new RegExp(`data-piece="${piece}"[^>]* d="([^"]*)"`).exec(group)?.[1] ?? '';
  return [...path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map(([, x, y]) => [Number(x), Number(y)]);
}

/** Characters that a name may get by pasting, and that no XML file may hold. */
const controls = fc.integer({ min: 0, max: 31 }).map((code) => String.fromCharCode(code));

describe('the pattern as SVG', () => {
  it('is at true size, with every piece’s outline and scores on their layers', () => {
    fc.assert(
      fc.property(anyLidded, fc.string(), (request, title) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { pieces } = result.plan;
        const svg = svgPattern(title, pieces);
        const [, width, height] = /width="([\d.]+)mm" height="([\d.]+)mm"/.exec(svg) ?? [];
        expect(svg).toContain(`viewBox="0 0 ${width ?? ''} ${height ?? ''}"`);
        expect((svg.match(/<\w/g) ?? []).length).toBe((svg.match(/<\/\w|\/>/g) ?? []).length);
        for (const { id, grid } of pieces) {
          const outline = readLayer(svg, 'cut', id);
          const size = cutSizeOf(grid);
          const xs = outline.map(([x = 0]) => x);
          const ys = outline.map(([, y = 0]) => y);
          expect(Math.max(...xs) - Math.min(...xs)).toBeCloseTo(toMillimetres(size.width), 3);
          expect(Math.max(...ys) - Math.min(...ys)).toBeCloseTo(toMillimetres(size.height), 3);
          // The floor's four scores go round it exactly once.
          const floorX = [grid.columns[0] ?? 0, (grid.columns[0] ?? 0) + (grid.columns[1] ?? 0)];
          for (const at of floorX)
            expect(
              readLayer(svg, 'score-valley', id).some(
                ([x = 0]) => Math.abs(x - at / 1_000_000) < 1e-3,
              ),
            ).toBe(true);
        }
      }),
      { numRuns: 50 },
    );
  });

  it('holds no character that XML may not, whatever is in the name', () => {
    const result = planBox(usualRequest(sundial, 'inch'));
    if (!result.ok) throw new Error('The sundial has a box');
    const { pieces } = result.plan;
    const odd = fc.string({
      unit: fc.oneof(fc.string({ unit: 'binary', maxLength: 1 }), controls),
    });
    fc.assert(
      fc.property(odd, (title) => {
        const svg = svgPattern(title, pieces);
        // Without flags a lone surrogate stays itself; with u a pair is one character.
        expect(/[\uD800-\uDFFF]/u.test(svg)).toBe(false);
        const forbidden = Array.from(svg, (each) => each.codePointAt(0) ?? 0).filter(
          (code) =>
            (code < 0x20 && ![9, 10, 13].includes(code)) || code === 0xfffe || code === 0xffff,
        );
        expect(forbidden).toEqual([]);
      }),
    );
  });
});
