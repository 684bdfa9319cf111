import {
  cross,
  direction,
  dot,
  placeInto,
  subtract,
  type FoldingBox,
  type FoldingPart,
  type Joint,
} from '../fold/index.ts';
import {
  half,
  millimetres,
  minus,
  nanometres,
  smallest,
  times,
  type Length,
} from '../length/index.ts';
import { cutSizeOf, type Cutout, type Piece } from '../piece/index.ts';
import { faceNames, faceRows, type FaceName } from './face-name.ts';
import type { DressOperation } from './operations/assembly.ts';

/** When something is worn: on the flat piece, or, where it goes over a corner's tab or the like, on the folded one. */
export type DressTime = 'flat' | 'folded';

function partOf({ parts }: FoldingBox, id: string): FoldingPart | undefined {
  return parts.find(({ part }) => part.id === id);
}

/** Whether a joint is that of something that is worn. */
export function isWorn(box: FoldingBox, { face }: Pick<Joint, 'face'>): boolean {
  return partOf(box, face.part)?.part.worn !== undefined;
}

/** Whether what is worn on a face lies over other parts of its piece there too. */
export function bridges({ assembly }: FoldingBox, carrier: FoldingPart['part']['worn']): boolean {
  // Film is glued on while the card is flat, as what lies over it is.
  const isOwn = (id: string) => assembly.parts.some((part) => part.id === id && !part.worn);
  return (
    carrier !== undefined &&
    assembly.parts.some(
      ({ id, worn }) =>
        worn?.part === carrier.part &&
        worn.spot.column === carrier.spot.column &&
        worn.spot.row === carrier.spot.row &&
        assembly.stacks.some(
          ({ face, on, holds }) => face.part === id && holds === 'rest' && isOwn(on.part),
        ),
    )
  );
}

function uniqueFaces(faces: readonly FaceName[]): readonly FaceName[] {
  return faces.filter((face, i) => faces.findIndex(({ at }) => at === face.at) === i);
}

/** Whether these are all of a piece’s walls, which are told by their number. */
function isAllRound(faces: readonly FaceName[], names: readonly FaceName[]): boolean {
  const isNumbered = ({ role, nth }: FaceName) => role === 'wall' && nth !== undefined;
  return (
    faces.length > 4 && faces.every(isNumbered) && names.filter(isNumbered).length === faces.length
  );
}

/** Whether faces are found on the flat piece without their names: the one in its middle, or all the walls alike. */
function areEvident(faces: readonly FaceName[], names: readonly FaceName[]): boolean {
  const isMiddle = ({ role, of }: FaceName) => !of && (role === 'floor' || role === 'lid');
  const areAll = names
    .filter(({ role, isOnLid }) =>
      faces.some((each) => each.role === role && each.isOnLid === isOnLid),
    )
    .every(({ at }) => faces.some((each) => each.at === at));
  return faces.every(isMiddle) || (faces.every(({ role }) => role === 'wall') && areAll);
}

/** How wide a window is, and how high, as it is drawn; none for any other cutout. */
function windowSize(cutout: Cutout): readonly Length[] {
  if (cutout.use !== 'window') return [];
  if (cutout.shape === 'hole') return [times(cutout.radius, 2), times(cutout.radius, 2)];
  if (cutout.shape !== 'trim') return [];
  return [cutout.corners.map(({ x }) => x), cutout.corners.map(({ y }) => y)].map((along) =>
    nanometres(Math.max(...along) - Math.min(...along)),
  );
}

/** How far film reaches beyond its window at the least: so wide is what it is stuck with. */
function filmBeyond(film: Piece, { grid }: Piece): Length {
  const { width, height } = cutSizeOf(film.grid);
  const rising = (sizes: readonly Length[]) => [...sizes].sort((a, b) => a - b);
  const own = rising([width, height]);
  // The film may lie turned, and of several windows the largest that it covers is its own.
  const beyond = grid.cutouts.flatMap((cutout) => {
    const size = rising(windowSize(cutout));
    const [a, b] = own.map((each, i) => minus(each, size[i] ?? each));
    return size.length === 2 && a !== undefined && b !== undefined ? [half(smallest(a, b))] : [];
  });
  const covered = rising(beyond.filter((each) => each > 0));
  return covered[0] ?? smallest(width, height);
}

/** How far in from the fold of a petal the nearest edge of what is glued on it lies; undefined on any other face. */
function fromFold(
  under: FoldingPart,
  petal: FaceName | undefined,
  worn: FoldingPart,
): Length | undefined {
  const [fold] = petal?.isPetal ? (under.pattern.around[petal.at] ?? []) : [];
  const [frame, lies] = [under.faces[petal?.at ?? -1], worn.faces[0]];
  const ends = [fold?.from, fold?.to].flatMap(
    (corner) => under.pattern.corners[corner ?? -1] ?? [],
  );
  const [a, b] = frame ? ends.map((end) => placeInto(frame, end)) : [];
  if (!lies || !a || !b) return undefined;
  const along = direction(subtract(b, a));
  const far = worn.pattern.corners.map((corner) => {
    const off = subtract(placeInto(lies, corner), a);
    // Across the fold, in the plane of the card: how far one lies above the other is no distance on it.
    return Math.abs(dot(off, cross(along, lies.out)));
  });
  return millimetres(Math.min(...far));
}

/** How often in a box something is put on, piece by piece, in the order in which one lies on the other. */
export function dressings(
  box: FoldingBox,
  joints: readonly Joint[],
  wanted: DressTime,
): readonly { readonly operation: DressOperation; readonly times: number }[] {
  const worn = joints.filter((joint) => joint.holds === 'glue' && isWorn(box, joint));
  const pieces = [...new Set(worn.map(({ face }) => face.piece))];
  return pieces.flatMap((piece) => {
    const here = worn.filter(({ face }) => face.piece === piece);
    const [first] = here;
    const carrier = first && partOf(box, first.face.part)?.part.worn;
    if (!first || (bridges(box, carrier) ? 'folded' : 'flat') !== wanted) return [];
    const under = box.parts.find(({ piece: { id } }) => id === first.on.piece);
    const film = partOf(box, first.face.part);
    if (!under || !film) return [];
    const isFilm = film.piece.grid.roles[0]?.[0] === 'film';
    const names = faceNames(box, under);
    const isOnLayer = under.part.worn !== undefined;
    const faces = isOnLayer ? [] : uniqueFaces(here.flatMap(({ on }) => names[on.face] ?? []));
    const each = isOnLayer ? here.length : faces.length;
    const inward = isFilm || isOnLayer ? undefined : fromFold(under, faces[0], film);
    const onto: DressOperation['onto'] =
      isOnLayer || names.length === 1
        ? { kind: isOnLayer ? 'layer' : 'piece', piece: first.on.piece }
        : {
            kind: 'faces',
            piece: first.on.piece,
            faces,
            isAllRound: isAllRound(faces, names),
            rows: wanted === 'flat' && !areEvident(faces, names) ? faceRows(names, under) : [],
          };
    return [
      {
        operation: {
          kind: 'dress',
          piece,
          onto,
          count: each,
          lies: wanted,
          side: carrier?.isInside ? 'inside' : 'outside',
          ...(inward !== undefined && { fromFold: inward }),
          isFilm,
          narrow: isFilm ? filmBeyond(film.piece, under.piece) : first.narrow,
        },
        times: Math.max(1, Math.round(here.length / Math.max(1, each))),
      },
    ];
  });
}
