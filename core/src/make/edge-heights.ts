import { closedFaces, type FoldingBox, type Joint } from '../fold/index.ts';
import { millimetres } from '../length/index.ts';
import type { AttachOperation } from './operations/assembly.ts';

/** Edges that are nearer to one another are level, in millimetres. */
const level = 1.2;

type Heights = Pick<AttachOperation['joints'][number], 'above' | 'isLevelAbove'>;

/** How the edges of a face stand to those of what it is glued to in the closed box; nothing where they are level. */
export function edgeHeights(box: FoldingBox, { face, on }: Joint): Heights {
  const heightsOf = (part: string, at: number) =>
    closedFaces(box)
      .find((each) => each.part === part && each.face === at)
      ?.ring.map(({ z }) => z) ?? [0];
  const [own, other] = [heightsOf(face.part, face.face), heightsOf(on.part, on.face)];
  const above = Math.min(...own) - Math.min(...other);
  if (Math.abs(above) < level) return {};
  if (Math.abs(Math.max(...own) - Math.max(...other)) < level) return { isLevelAbove: true };
  return { above: millimetres(Math.round(above * 1000) / 1000) };
}
