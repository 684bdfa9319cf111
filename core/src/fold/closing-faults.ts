import { named, spare, type FoldFault } from './fold-fault.ts';
import type { FoldingBox, PlacedFace } from './folded-box.ts';
import { foldedTo, largestOpening, poseFaces } from './pose.ts';
import { cross, direction, dot, origin, subtract, type Vector } from './vector.ts';

/** How far two ends that should meet may be apart: less than a hair. */
const meets = 1e-4;

/** Creases that come apart at some time of the folding. */
export function closingFaults(box: FoldingBox): readonly FoldFault[] {
  return box.parts.flatMap(({ part, pattern, root }) => {
    const times = Array.from({ length: 2 * pattern.stages + 1 }, (_, i) => i / 2);
    return times.flatMap((time): readonly FoldFault[] => {
      const opening = largestOpening(pattern, poseFaces(pattern, root, foldedTo(time)), time);
      return opening > meets
        ? [
            {
              about: 'closing',
              message: `${part.id} comes apart by ${opening.toFixed(3)} mm at stage ${time}`,
            },
          ]
        : [];
    });
  });
}

/** How far a fold lies beside the nearest edge of a panel that runs the same way, along the panel. */
function besideEdge({ ring, out }: PlacedFace, from: Vector, to: Vector): number {
  const along = direction(subtract(to, from));
  const distances = ring.flatMap((corner, i) => {
    const edge = direction(subtract(ring[(i + 1) % ring.length] ?? corner, corner));
    if (Math.abs(dot(edge, along)) < 1 - 1e-6) return [];
    return [Math.abs(dot(subtract(from, corner), cross(out, edge)))];
  });
  return Math.min(...distances);
}

/** Rings of panels that a glued seam closes with its own fold beside the edge that it should meet. */
export function ringFaults(box: FoldingBox, faces: readonly PlacedFace[]): readonly FoldFault[] {
  return box.assembly.stacks.flatMap((stack): readonly FoldFault[] => {
    const part = box.parts.find((each) => each.part.id === stack.face.part);
    const at = part?.pattern.faceAt(stack.face.spot) ?? 0;
    const seam = faces.find((face) => face.part === stack.face.part && face.face === at);
    const isWithin = stack.holds === 'glue' && stack.face.part === stack.on.part;
    if (!part || seam?.role !== 'seam' || !isWithin) return [];
    const on = part.pattern.faceAt(stack.on.spot);
    const panel = faces.find((face) => face.part === stack.on.part && face.face === on);
    if (!panel) return [];
    const corners = part.pattern.faces[at]?.corners ?? [];
    const placed = (corner: number) => seam.ring[corners.indexOf(corner)] ?? origin;
    const off = (part.pattern.around[at] ?? []).map(({ from, to }) =>
      besideEdge(panel, placed(from), placed(to)),
    );
    const most = Math.max(0, ...off);
    return most > part.card + spare
      ? [
          {
            about: 'closing',
            message: `${named(seam)} folds ${most.toFixed(2)} mm beside the edge of ${named(panel)}`,
          },
        ]
      : [];
  });
}
