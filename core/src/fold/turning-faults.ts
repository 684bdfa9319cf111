import type { FoldFault } from './fold-fault.ts';
import { angleSpare } from './fold-fault.ts';
import type { Crease, CreasePattern } from './crease-pattern.ts';
import type { FoldingBox } from './folded-box.ts';
import { turnInto, type Frame } from './frame.ts';
import { foldedTo, poseFaces } from './pose.ts';
import { cross, direction, dot, origin, subtract } from './vector.ts';

/** How far a crease is turned between its two placed faces, in radians; above zero for a valley. */
function turnOf(
  { corners }: CreasePattern,
  { from, to, left, right }: Crease,
  frames: readonly Frame[],
): number {
  const [one, other] = [frames[left], frames[right]];
  if (!one || !other) throw new RangeError(`No face ${left} or ${right}`);
  const flat = subtract(corners[to] ?? origin, corners[from] ?? origin);
  const along = direction(turnInto(other, flat));
  return Math.atan2(dot(cross(other.out, one.out), along), dot(other.out, one.out));
}

/** Of a stage, when a fold has nearly come to its end. */
const nearlyDone = 0.95;

function isRightOver(angle: number): boolean {
  return Math.abs(angle) > Math.PI - angleSpare;
}

function inDegrees(angle: number): string {
  return `${((angle * 180) / Math.PI).toFixed(1)}°`;
}

/** Folds that are turned otherwise in the closed box than their piece says: to another angle, or the other way. */
export function turningFaults(box: FoldingBox): readonly FoldFault[] {
  return box.parts.flatMap(({ part, pattern, root }) => {
    const posed = (time: number) => poseFaces(pattern, root, foldedTo(time));
    const closed = posed(pattern.stages);
    const shortBefore = new Map<number, readonly Frame[]>();
    const posedShortOf = (stage: number) => {
      const frames = shortBefore.get(stage) ?? posed(stage + nearlyDone);
      shortBefore.set(stage, frames);
      return frames;
    };
    return pattern.creases.flatMap((crease): readonly FoldFault[] => {
      const turned = turnOf(pattern, crease, closed);
      const off = Math.abs(turned - crease.angle) % (2 * Math.PI);
      // Card that is folded right over lies the same whichever way it went: that is seen shortly before.
      const before = isRightOver(turned)
        ? turnOf(pattern, crease, posedShortOf(crease.stage))
        : turned;
      const isOtherWay = !isRightOver(before) && Math.sign(before) !== Math.sign(crease.angle);
      if (Math.min(off, 2 * Math.PI - off) <= angleSpare && !isOtherWay) return [];
      return [
        {
          about: 'turning',
          message: `${part.id}: the fold between faces ${crease.left} and ${crease.right} is turned by ${inDegrees(isOtherWay ? before : turned)} and told as ${inDegrees(crease.angle)}`,
        },
      ];
    });
  });
}
