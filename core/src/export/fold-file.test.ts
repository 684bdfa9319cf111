import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutSizeOf, foldFile, foldFileSchema, planBox, toMillimetres } from '../index.ts';
import { anyRequest } from '../testing/requests.ts';

describe('a piece as a FOLD file', () => {
  it('is a planar pattern of faces, edges and angles that agree with one another', () => {
    fc.assert(
      fc.property(anyRequest, fc.string(), (request, title) => {
        const result = planBox(request);
        if (!result.ok) return;
        for (const piece of result.plan.pieces) {
          const file = foldFileSchema.parse(JSON.parse(JSON.stringify(foldFile(title, piece))));
          const { vertices_coords: points, edges_vertices: edges, faces_vertices: faces } = file;
          expect(file.edges_assignment).toHaveLength(edges.length);
          expect(file.edges_foldAngle).toHaveLength(edges.length);
          // The pattern is never larger than the card that it is cut from, and no edge is listed twice.
          const { width, height } = cutSizeOf(piece.grid);
          for (const [x, y] of points) {
            expect(x).toBeLessThanOrEqual(toMillimetres(width) + 1e-6);
            expect(-y).toBeLessThanOrEqual(toMillimetres(height) + 1e-6);
          }
          const named = (a: number, b: number) => [a, b].sort((p, q) => p - q).join(' ');
          const known = new Map(edges.map(([a, b], i) => [named(a, b), i]));
          expect(known.size).toBe(edges.length);
          const uses = edges.map(() => 0);
          for (const ring of faces) {
            let area = 0;
            ring.forEach((at, i) => {
              const next = ring[(i + 1) % ring.length] ?? at;
              const edge = known.get(named(at, next));
              if (edge === undefined) throw new Error('A face runs along no edge');
              uses[edge] = (uses[edge] ?? 0) + 1;
              const [ax = 0, ay = 0] = points[at] ?? [];
              const [bx = 0, by = 0] = points[next] ?? [];
              area += ax * by - bx * ay;
            });
            expect(area).toBeGreaterThan(0);
          }
          file.edges_assignment.forEach((assignment, i) => {
            const angle = file.edges_foldAngle[i] ?? 0;
            // Borders have card on one side, or bound an opening; all others have it on both.
            if (assignment === 'B') expect(uses[i]).toBeLessThanOrEqual(1);
            else expect(uses[i]).toBe(2);
            expect(Math.sign(angle)).toBe(assignment === 'V' ? 1 : assignment === 'M' ? -1 : 0);
          });
        }
      }),
      { numRuns: 60 },
    );
  });
});
