import type { PlacedFace, Vector } from '@rangoli/core';

/** A straight edge of a face: its ends among the corners of all rings of the face. */
export interface CardEdge {
  readonly face: number;
  readonly from: number;
  readonly to: number;
  /** Whether the card goes on there round a fold, or was cut. */
  readonly kind: 'fold' | 'cut';
}

/** Every edge of a box’s faces. */
export function edgesOf(
  faces: readonly PlacedFace[],
  isCreased: (face: PlacedFace, from: number, to: number) => boolean,
): readonly CardEdge[] {
  return faces.flatMap((face, i) => {
    let first = 0;
    return [face.ring, ...face.holes].flatMap((ring) => {
      const begin = first;
      first += ring.length;
      return ring.map((_, j): CardEdge => {
        const [from, to] = [begin + j, begin + ((j + 1) % ring.length)];
        return { face: i, from, to, kind: isCreased(face, from, to) ? 'fold' : 'cut' };
      });
    });
  });
}

/** A corner of a face on one of its surfaces: so many millimetres from the middle of the card. */
export function cornerAt(face: PlacedFace, corner: number, by: number): Vector {
  const point = [...face.ring, ...face.holes.flat()][corner] ?? face.out;
  const { out } = face;
  return { x: point.x + out.x * by, y: point.y + out.y * by, z: point.z + out.z * by };
}
