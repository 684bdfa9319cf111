import { withoutOpenings } from '../additions/index.ts';
import { foldingBox, type FoldingBox } from '../fold/index.ts';
import { seenPrints, type SeenFace } from '../make/index.ts';
import { hasWayUp, paperFor, type Paper, type Papers, type Sheet } from '../paper/index.ts';
import { cutSizeOf, type Piece, type Side } from '../piece/index.ts';
import type { PlanRequest } from '../request/index.ts';
import type { Plan } from './plan.ts';
import type { DrawnBox } from './put-to-solver.ts';

/** The ways that a print may lie, those first that leave the piece as it is drawn. */
export const tops: readonly Side[] = ['top', 'bottom', 'left', 'right'];

/** What is seen first counts most; underneath only where nothing else tells. */
const weights: Readonly<Record<SeenFace['sight'], number>> = {
  closed: 1,
  opened: 0.4,
  underneath: 0.02,
};
const frontWeight = 3;

/** Another way must be so much better than the one before it, or prints would turn for a hair. */
const clearly = 1.02;

function worthOf(faces: readonly SeenFace[], top: Side): number {
  return faces.reduce(
    (sum, { sight, area, isFront, upright }) =>
      sum + weights[sight] * (isFront ? frontWeight : 1) * area * upright(top),
    0,
  );
}

/** The ways that a piece of this size may lie on its sheet, by where the top of the print comes to. */
export function topsOnSheet(
  { width, height }: Pick<Sheet, 'width' | 'height'>,
  { sheet }: Paper,
): readonly Side[] {
  const isStraight = width <= sheet.width && height <= sheet.height;
  const isTurned = height <= sheet.width && width <= sheet.height;
  return tops.filter((top) => (top === 'top' || top === 'bottom' ? isStraight : isTurned));
}

/** Which of some ways leaves most of what is seen upright. */
export function bestTop(faces: readonly SeenFace[], open: readonly Side[]): Side {
  const [first = 'top', ...others] = open;
  const all = faces.reduce((sum, { area }) => sum + area, 0);
  return others.reduce(
    (best, top) => (worthOf(faces, top) > worthOf(faces, best) + (clearly - 1) * all ? top : best),
    first,
  );
}

/** Whether some of these papers has a print with a way up. */
export function hasOneWayPrint(papers: readonly Paper[]): boolean {
  return papers.some(hasWayUp);
}

/** A flat piece of one cell as the rectangle that it is cut from. */
function asCut(piece: Piece): Piece {
  const { columns, rows, cutouts } = piece.grid;
  const isFlat = columns.length === 1 && rows.length === 1;
  return isFlat && cutouts.length > 0 ? { ...piece, grid: { ...piece.grid, cutouts: [] } } : piece;
}

/** A box in which prints are looked at: how much of one an opening or a corner takes is no matter. */
export function boxWithPrints(
  { pieces, assembly }: Pick<Plan, 'pieces' | 'assembly'>,
  papers: Papers,
): FoldingBox {
  return foldingBox(
    withoutOpenings(pieces).map(asCut),
    ({ paper }) => paperFor(papers, paper).thickness,
    assembly,
  );
}

/** A box with every print that has a way up turned as is best for what is seen of it. */
export function withPrintTops(box: DrawnBox, request: PlanRequest): DrawnBox {
  if (!hasOneWayPrint(request.papers)) return box;
  const { papers } = request;
  const pieces = box.pieces.map(({ piece }) => piece);
  const seen = seenPrints(boxWithPrints({ pieces, assembly: box.assembly }, papers), papers);
  return {
    ...box,
    pieces: box.pieces.map((marked) => {
      const { piece } = marked;
      if (!hasWayUp(paperFor(papers, piece.paper))) return marked;
      const faces = seen.filter(({ part }) => part.piece.id === piece.id);
      const open = topsOnSheet(cutSizeOf(piece.grid), paperFor(papers, piece.paper));
      const wanted = request.printTops[piece.id];
      const printTop = wanted && open.includes(wanted) ? wanted : bestTop(faces, open);
      return printTop === 'top' ? marked : { ...marked, piece: { ...piece, printTop } };
    }),
  };
}
