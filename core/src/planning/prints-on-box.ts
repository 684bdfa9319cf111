import { faceNames, seenPrints, type FaceName, type SeenFace } from '../make/index.ts';
import { hasWayUp, paperFor } from '../paper/index.ts';
import { cutSizeOf, type Piece, type Side } from '../piece/index.ts';
import { papersOf, type PlanRequest } from '../request/index.ts';
import type { Length } from '../length/index.ts';
import type { Plan } from './plan.ts';
import { bestTop, boxWithPrints, tops, topsOnSheet } from './print-tops.ts';

/** How a print stands on a face, as somebody sees it who has the closed box before them. */
export type PrintStands = 'upright' | 'on its head' | 'on its side' | 'aslant';

/** Faces of a piece on which its print stands alike. */
export interface PrintedFaces {
  readonly stands: PrintStands;
  readonly faces: readonly FaceName[];
}

/** Another way in which the print of a piece may lie. */
export interface PrintTurn {
  readonly top: Side;
  /** The faces that it would then stand upright on, and does not now. */
  readonly upright: readonly FaceName[];
}

/** How the print of one piece comes out in the finished box. */
export interface PrintOnPiece {
  readonly piece: string;
  readonly faces: readonly PrintedFaces[];
  /** Other ways that its sheet allows, each of which is upright somewhere else. */
  readonly turns: readonly PrintTurn[];
  /** The sheet that it would take to turn it as is best, where its own is too small for that. */
  readonly needs?: { readonly width: Length; readonly height: Length };
}

/** From what share on a print counts as upright, and up to what share as on its side. */
const [nearlyUp, nearlyAside] = [0.85, 0.4];

function standsAt(upright: number): PrintStands {
  if (upright >= nearlyUp) return 'upright';
  if (upright <= -nearlyUp) return 'on its head';
  return Math.abs(upright) <= nearlyAside ? 'on its side' : 'aslant';
}

const order: readonly PrintStands[] = ['upright', 'on its head', 'on its side', 'aslant'];

function uniqueFaces(faces: readonly FaceName[]): readonly FaceName[] {
  return faces.filter(({ at }, i) => faces.findIndex((each) => each.at === at) === i);
}

/** The piece whose print is turned some way: its size as it then lies on the sheet. */
function sizeOnSheet({ grid }: Piece, top: Side) {
  const { width, height } = cutSizeOf(grid);
  return top === 'top' || top === 'bottom' ? { width, height } : { width: height, height: width };
}

/** How every print with a way up comes out in the finished box, piece by piece. */
export function printsOnBox(plan: Plan, asked: PlanRequest): readonly PrintOnPiece[] {
  const papers = papersOf(asked);
  if (!papers.some(hasWayUp)) return [];
  const box = boxWithPrints(plan, papers);
  const seen = seenPrints(box, papers).filter(({ sight }) => sight !== 'underneath');
  return plan.pieces.flatMap((piece): readonly PrintOnPiece[] => {
    const mine = seen.filter(({ part }) => part.piece.id === piece.id);
    if (mine.length === 0) return [];
    const now = piece.printTop ?? 'top';
    const named = mine.map((face) => ({ face, name: faceNames(box, face.part)[face.face] }));
    const facesThat = (holds: (face: SeenFace) => boolean) =>
      uniqueFaces(named.flatMap(({ face, name }) => (name && holds(face) ? [name] : [])));
    const open = topsOnSheet(cutSizeOf(piece.grid), paperFor(papers, piece.paper));
    const best = bestTop(mine, tops);
    const turns = open
      .filter((top) => top !== now)
      .map((top): PrintTurn => ({
        top,
        upright: facesThat(
          ({ upright }) =>
            standsAt(upright(top)) === 'upright' && standsAt(upright(now)) !== 'upright',
        ),
      }))
      .filter(({ upright }) => upright.length > 0);
    return [
      {
        piece: piece.id,
        faces: order
          .map((stands) => ({
            stands,
            faces: facesThat(({ upright }) => standsAt(upright(now)) === stands),
          }))
          .filter(({ faces }) => faces.length > 0),
        turns,
        ...(!open.includes(best) && { needs: sizeOnSheet(piece, best) }),
      },
    ];
  });
}
