import { z } from 'zod';
import { cellRoleSchema } from '../piece/index.ts';
import type { FaceName } from '../make/index.ts';

const sideSchema = z.enum(['front', 'back', 'left', 'right', 'top', 'bottom']);

/** A flat face of a box by what it is in the closed box: it keeps its name whatever size the box has. */
export const faceChoiceSchema = z.object({
  /** The piece that it is a part of. */
  piece: z.string().min(1).max(40),
  role: cellRoleSchema,
  /** Where it faces in the closed box. */
  faces: sideSchema,
  /** Which of many walls it is, from left to right. */
  nth: z.int().min(1).max(24).optional(),
  /** Whether it is a wall of a lid that hangs on the box. */
  isOnLid: z.literal(true).optional(),
});
export type FaceChoice = z.infer<typeof faceChoiceSchema>;

/** The choice that picks the face of this name. */
export function choiceOf({ piece, role, faces, nth, isOnLid }: FaceName): FaceChoice {
  return {
    piece,
    role,
    faces,
    ...(nth !== undefined && { nth }),
    ...(isOnLid && { isOnLid }),
  };
}

/** Whether two choices pick the same face. */
export function isSameFace(one: FaceChoice, other: FaceChoice): boolean {
  return (
    one.piece === other.piece &&
    one.role === other.role &&
    one.faces === other.faces &&
    one.nth === other.nth &&
    one.isOnLid === other.isOnLid
  );
}

/**
 * Of these faces the one that is chosen; in a box of another kind, which has no such piece, the one that is the
 * same part of it on the same side, where there is only one.
 */
export function chosenFrom(
  faces: readonly FaceChoice[],
  choice: FaceChoice,
): FaceChoice | undefined {
  const same = faces.find((each) => isSameFace(each, choice));
  if (same || faces.some(({ piece }) => piece === choice.piece)) return same;
  const [like, ...more] = faces.filter(
    (each) => each.role === choice.role && each.faces === choice.faces && each.nth === choice.nth,
  );
  return more.length === 0 ? like : undefined;
}
