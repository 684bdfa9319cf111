import {
  allStyles,
  inches,
  inchFraction,
  planBox,
  sceneAt,
  stockPaper,
  usualRequest,
  type Paper,
  type PlacedFace,
  type PlanRequest,
  type Vector,
} from '@rangoli/core';
import { describe, expect, it } from 'vitest';
import { drawFaces } from './axonometric.ts';
import { looksOf } from '../prints/card-look.ts';
import { flatCorners, foldingBoxOf, isCreased } from './box-faces.ts';
import { edgesOf } from './card-edges.ts';
import { CardMesh } from './card-mesh.ts';
import { litEdges } from './lit-edges.ts';

const sundial = {
  shape: 'block' as const,
  across: inchFraction(37, 16),
  deep: inchFraction(37, 16),
  high: inchFraction(9, 16),
};

function boxOf(style: PlanRequest['style']) {
  const { papers: usual, ...rest } = usualRequest(sundial, 'inch');
  // Prints outside, and on one of them inside too.
  const [first, ...others] = usual.map((paper, i): Paper => ({
    ...stockPaper('star-trails'),
    id: paper.id,
    print: i === 0 ? 'one face' : 'both faces',
    sheet: { name: 'own', width: inches(24), height: inches(24) },
  }));
  if (!first) return undefined;
  const request: PlanRequest = { ...rest, papers: [first, ...others], style };
  const result = planBox(request);
  if (!result.ok) return undefined;
  const box = foldingBoxOf(result.plan, request.papers);
  const skin = {
    looks: looksOf(box, request.papers),
    flatOf: (face: Pick<PlacedFace, 'part' | 'face'>) => flatCorners(box, face),
  };
  return { box, plan: result.plan, skin };
}

const boxes = allStyles.flatMap((style) => {
  const made = boxOf(style.usual);
  return made ? [{ style, ...made }] : [];
});

describe('a box drawn in space', () => {
  it('keeps every face in its frame at every stage, with no figure that is none', () => {
    expect(boxes.length).toBeGreaterThan(15);
    for (const { box, skin } of boxes)
      for (const time of [0, box.end / 3, box.end]) {
        const { faces } = sceneAt(box, time, 0);
        const picture = drawFaces(faces, skin, 2);
        expect(picture.faces.length).toBeGreaterThan(0);
        const { left, top, width, height } = picture.bounds;
        for (const { path, fill } of picture.faces) {
          expect(fill).toMatch(/^(#|rgb)/);
          const figures = [...path.matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)];
          expect(figures.length).toBeGreaterThan(2);
          for (const [, x, y] of figures) {
            expect(Number(x)).toBeGreaterThanOrEqual(left - 0.01);
            expect(Number(x)).toBeLessThanOrEqual(left + width + 0.01);
            expect(Number(y)).toBeGreaterThanOrEqual(top - 0.01);
            expect(Number(y)).toBeLessThanOrEqual(top + height + 0.01);
          }
        }
      }
  });

  it('shows each print where it is on the flat piece, at its size, and never as in a mirror', () => {
    let seen = 0;
    for (const { box, skin } of boxes)
      for (const time of [0, box.end / 2, box.end])
        for (const { printed, outline, part, face, shows } of drawFaces(
          sceneAt(box, time, 0.5).faces,
          skin,
          2,
        ).faces) {
          if (!printed) continue;
          seen++;
          const [a, b, c, d, e, f] = printed.matrix;
          expect(a * d - b * c).toBeGreaterThan(0);
          // By hand: on the flat piece the outside is the other side of what is drawn.
          const piece = box.parts.find((each) => each.part.id === part)?.piece;
          const quarters = ['top', 'right', 'bottom', 'left'].indexOf(piece?.printTop ?? 'top');
          const turned = (quarters * Math.PI) / 2;
          outline.forEach((corner, i) => {
            const { x, y } = skin.flatOf({ part, face })[i] ?? { x: 0, y: 0 };
            const across = x * Math.cos(turned) + y * Math.sin(turned);
            const down = y * Math.cos(turned) - x * Math.sin(turned);
            const u = shows === 'outside' ? -across : across;
            expect(a * u + c * down + e).toBeCloseTo(corner.x, 2);
            expect(b * u + d * down + f).toBeCloseTo(corner.y, 2);
          });
        }
    expect(seen).toBeGreaterThan(500);
  });

  it('has the card’s thickness, and the same triangles while it folds', () => {
    for (const { box, skin } of boxes) {
      const closed = sceneAt(box, box.end, 0).faces;
      const mesh = new CardMesh(closed, {
        ...skin,
        textures: { of: () => undefined, grain: () => undefined },
      });
      const position = mesh.geometry.getAttribute('position');
      for (const time of [0, box.end * 0.6, box.end]) {
        const { faces } = sceneAt(box, time, 0);
        mesh.move(faces);
        expect(mesh.geometry.getAttribute('position').count).toBe(position.count);
        expect([...position.array].every(Number.isFinite)).toBe(true);
        // Every corner lies half a card off the middle of some face.
        const [face] = faces;
        if (!face) throw new Error('A box has faces');
        const [corner] = face.ring;
        const half = face.card / 2;
        const near = (point: Vector, wanted: Vector) =>
          Math.hypot(point.x - wanted.x, point.y - wanted.y, point.z - wanted.z) < 1e-3;
        const points = Array.from({ length: position.count }, (_, i) => ({
          x: position.getX(i),
          y: position.getY(i),
          z: position.getZ(i),
        }));
        for (const side of [-half, half]) {
          const wanted = {
            x: (corner?.x ?? 0) + side * face.out.x,
            y: (corner?.y ?? 0) + side * face.out.y,
            z: (corner?.z ?? 0) + side * face.out.z,
          };
          expect(points.some((point) => near(point, wanted))).toBe(true);
        }
      }
    }
  });

  it('is folded at its creases and cut everywhere else', () => {
    for (const { box } of boxes) {
      const { faces } = sceneAt(box, box.end, 0);
      const edges = edgesOf(faces, (face, from, to) => isCreased(box, face, from, to));
      for (const { part, pattern } of box.parts) {
        const own = edges.filter(({ face }) => faces[face]?.part === part.id);
        // Two faces meet at each crease, and all edges of all faces are one or the other.
        const folds = own.filter(({ kind }) => kind === 'fold');
        expect(folds).toHaveLength(2 * pattern.creases.length);
        const corners = pattern.faces.flatMap((face) => [...face.corners, ...face.holes.flat()]);
        expect(own).toHaveLength(corners.length);
      }
    }
  });

  it('lights a score where its crease has come to', () => {
    for (const { box, plan } of boxes) {
      const { faces } = sceneAt(box, box.end, 0);
      // Whatever is read on a ruler, scores that run aslant from a mark too.
      const lines = plan.marks.flatMap(({ piece, readings }) =>
        readings.map(({ axis, index }) => ({ piece, line: { axis, index } })),
      );
      const points = litEdges(box, faces, lines);
      expect(points.length).toBeGreaterThan(0);
      expect(points.length % 2).toBe(0);
      for (const point of points) {
        const away = faces.flatMap(({ ring }) =>
          ring.map(({ x, y, z }) => Math.hypot(x - point.x, y - point.y, z - point.z)),
        );
        expect(Math.min(...away)).toBeLessThan(1e-6);
      }
    }
  });
});
