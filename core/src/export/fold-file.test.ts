import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { cutSizeOf, foldFile, foldFileSchema, planBox, toMillimetres } from '../index.ts';
import { casesWanted } from '../testing/cases.ts';
import { anyRequest } from '../testing/requests.ts';

describe('a piece as a FOLD file', () => {
  it('is a planar pattern of faces, edges and angles that agree with one another', () => {
    let openings = 0;
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
          // What is punched out is no card.
          const inside = ([x, y]: readonly [number, number]) =>
            faces.filter((ring) => {
              const crossed = ring.filter((at, i) => {
                const [ax = 0, ay = 0] = points[at] ?? [];
                const [bx = 0, by = 0] = points[ring[(i + 1) % ring.length] ?? at] ?? [];
                return ay > y !== by > y && ax + ((y - ay) / (by - ay)) * (bx - ax) > x;
              });
              return crossed.length % 2 === 1;
            }).length;
          for (const cutout of piece.grid.cutouts)
            if (cutout.shape === 'hole') {
              openings++;
              const { x, y } = cutout.centre;
              expect(inside([toMillimetres(x), -toMillimetres(y)])).toBe(0);
            }
          // No join runs across a line.
          const sideOf = ([a, b]: readonly [number, number], at: number) => {
            const [[ax, ay] = [0, 0], [bx, by] = [0, 0], [x, y] = [0, 0]] = [
              points[a],
              points[b],
              points[at],
            ];
            return Math.sign(Math.round(1e6 * ((bx - ax) * (y - ay) - (by - ay) * (x - ax))));
          };
          const parts = (one: readonly [number, number], other: readonly [number, number]) =>
            sideOf(one, other[0]) * sideOf(one, other[1]) < 0;
          edges.forEach((join, i) => {
            if (file.edges_assignment[i] !== 'J') return;
            expect(edges.filter((edge) => parts(join, edge) && parts(edge, join))).toEqual([]);
          });
          const has = (assignment: 'C' | 'J') => file.edges_assignment.includes(assignment);
          expect(file.frame_attributes).toContain(has('C') ? 'cuts' : 'noCuts');
          expect(file.frame_attributes).toContain(has('J') ? 'joins' : 'noJoins');
          file.edges_assignment.forEach((assignment, i) => {
            const angle = file.edges_foldAngle[i] ?? 0;
            // Borders have card on one side, those of openings too; all others have it on both.
            expect(uses[i]).toBe(assignment === 'B' ? 1 : 2);
            expect(Math.sign(angle)).toBe(assignment === 'V' ? 1 : assignment === 'M' ? -1 : 0);
          });
        }
      }),
      { numRuns: 120 },
    );
    expect(openings).toBeGreaterThanOrEqual(casesWanted(10));
  });
});
