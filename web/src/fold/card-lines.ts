import {
  BufferAttribute,
  BufferGeometry,
  Color,
  Group,
  LineBasicMaterial,
  LineSegments,
} from 'three';
import type { PlacedFace, Vector } from '@rangoli/core';
import { cornerAt, type CardEdge } from './card-edges.ts';

const styles = {
  cut: { opacity: 0.85 },
  fold: { opacity: 0.3 },
} as const;

/** Millimetres that a line lies over its surface, so that it is seen there and through no other card. */
const lift = 0.06;

/** The edges of a box’s card as lines on both its sides: light where the card was cut, dark where it is folded. */
export class CardLines {
  readonly group = new Group();
  readonly #drawn: readonly {
    readonly edges: readonly CardEdge[];
    readonly lines: LineSegments<BufferGeometry, LineBasicMaterial>;
  }[];

  constructor(
    faces: readonly PlacedFace[],
    edges: readonly CardEdge[],
    colourOf: (edge: CardEdge) => Color,
  ) {
    this.#drawn = (['cut', 'fold'] as const).map((kind) => {
      const own = edges.filter((edge) => edge.kind === kind);
      const geometry = new BufferGeometry();
      // Two ends on either side of the card.
      geometry.setAttribute('position', new BufferAttribute(new Float32Array(12 * own.length), 3));
      const colours = own.flatMap((edge) => {
        const { r, g, b } = colourOf(edge);
        return [0, 1, 2, 3].flatMap(() => [r, g, b]);
      });
      geometry.setAttribute('color', new BufferAttribute(new Float32Array(colours), 3));
      const material = new LineBasicMaterial({
        vertexColors: true,
        transparent: true,
        opacity: styles[kind].opacity,
      });
      return { edges: own, lines: new LineSegments(geometry, material) };
    });
    for (const { lines } of this.#drawn) {
      // Its corners move and its bounds would have to follow.
      lines.frustumCulled = false;
      this.group.add(lines);
    }
    this.move(faces);
  }

  /** Moves the lines to where the faces are now. */
  move(faces: readonly PlacedFace[]): void {
    for (const { edges, lines } of this.#drawn) {
      const position = lines.geometry.getAttribute('position');
      let at = 0;
      const put = ({ x, y, z }: Vector) => position.setXYZ(at++, x, y, z);
      for (const edge of edges) {
        const face = faces[edge.face];
        if (!face) continue;
        const off = face.card / 2 + lift;
        for (const side of [off, -off]) {
          put(cornerAt(face, edge.from, side));
          put(cornerAt(face, edge.to, side));
        }
      }
      position.needsUpdate = true;
    }
  }

  dispose(): void {
    for (const { lines } of this.#drawn) {
      lines.geometry.dispose();
      lines.material.dispose();
    }
  }
}
