import {
  add,
  cavitySolid,
  closedFaces,
  cross,
  depthIn,
  direction,
  dot,
  placeInto,
  scale,
  subtract,
  vector,
  type FoldingBox,
  type FoldingPart,
  type GridSpot,
  type PlacedFace,
  type Stack,
  type Vector,
} from '../fold/index.ts';
import { toMillimetres } from '../length/index.ts';
import { faceNames, type FaceName } from '../make/index.ts';
import {
  gridPositions,
  interiorPoint,
  type CellRole,
  type Cutout,
  type Piece,
  type Point,
} from '../piece/index.ts';
import {
  areaOf,
  boundsOf,
  cornersOf,
  cutTo,
  isConvex,
  isWithinOutline,
  outlineOf,
} from './outline.ts';

/** How the outside of a face is measured: as its inside is drawn, with `up` as the box stands. */
export interface FaceAxes {
  readonly right: Vector;
  readonly up: Vector;
  /** Out of the drawn side. */
  readonly out: Vector;
  /** Where x and y are none. */
  readonly at: Vector;
}

/** A hole or a bite in a face, or in its edge. */
export interface Opening {
  readonly centre: Point;
  readonly radius: number;
}

/** A piece that lies close over the outside of a face, from so high up on it. */
export interface Cover {
  readonly piece: string;
  readonly from: number;
}

/** One piece that goes over another. */
export interface Over {
  readonly outer: string;
  readonly inner: string;
}

/** A straight-sided face of the closed box, that something flat may be glued on from outside. Millimetres. */
export interface FlatFace {
  readonly name: FaceName;
  readonly part: string;
  /** A place on it where there is card. */
  readonly spot: GridSpot;
  readonly axes: FaceAxes;
  /** Its outline without holes and bites, anticlockwise as drawn. */
  readonly outline: readonly Point[];
  readonly openings: readonly Opening[];
  readonly card: number;
  /** What lies glued on its outside, so that it is not even. */
  readonly uneven: readonly (Stack['face'] & Pick<Stack, 'side'>)[];
  readonly covers: readonly Cover[];
}

/** What is wide enough to be worn on: a tab or a seam is covered, a rim lies inside. */
const worn: ReadonlySet<CellRole> = new Set(['floor', 'wall', 'lid', 'flap', 'end', 'seat']);

/** What may lie under a panel: it is narrow, and as thick everywhere. */
const under: ReadonlySet<CellRole> = new Set(['tab', 'seam']);

/** What covers less of a face, in square millimetres, only touches it. */
const leastCover = 2;

/** What is farther off is not over a face, but beside it. */
const close = 6;

function axesOf({ out, ring }: PlacedFace): FaceAxes {
  const high = vector(0, 0, 1);
  const level = Math.abs(dot(out, high)) > 0.97;
  const up = level
    ? direction(subtract(vector(0, 1, 0), scale(out, dot(out, vector(0, 1, 0)))))
    : direction(subtract(high, scale(out, dot(out, high))));
  const [first = vector(0, 0, 0)] = ring;
  return { right: cross(up, out), up, out, at: scale(out, dot(first, out)) };
}

/** A place of space as it is measured on a face. */
export function onFace({ right, up }: FaceAxes, place: Vector): Point {
  return { x: dot(place, right), y: dot(place, up) };
}

/** Where a place in millimetres of the flat piece is on its grid. */
function gridSpotAt({ piece }: FoldingPart, { x, y }: Point): GridSpot {
  const along = (positions: readonly number[], at: number) => {
    const before = positions.filter((each) => each <= at).length - 1;
    const index = Math.min(Math.max(before, 0), positions.length - 2);
    const [from = 0, to = 1] = positions.slice(index, index + 2);
    return index + (at - from) / (to - from);
  };
  return {
    column: along(gridPositions(piece.grid.columns).map(toMillimetres), x),
    row: along(gridPositions(piece.grid.rows).map(toMillimetres), y),
  };
}

function isRound(cutout: Cutout): cutout is Extract<Cutout, { shape: 'hole' | 'notch' }> {
  return cutout.shape === 'hole' || cutout.shape === 'notch';
}

/** The same pieces without their holes and round bites: what is worn keeps clear of these by itself. */
export function withoutOpenings(pieces: readonly Piece[]): readonly Piece[] {
  return pieces.map((piece) => ({
    ...piece,
    grid: {
      ...piece.grid,
      cutouts: piece.grid.cutouts.filter((cutout) => !isRound(cutout)),
      // How a tab is tapered is nothing to what is worn.
      tapers: piece.grid.tapers.filter(({ cell }) =>
        worn.has(piece.grid.roles[Math.floor(cell.row)]?.[Math.floor(cell.column)] ?? 'tab'),
      ),
    },
  }));
}

/** A place of a face where there is card, in millimetres of the flat piece, x to the right and y down. */
function placeOnCard(part: FoldingPart, face: number, openings: readonly Cutout[]): Point {
  const ring = (part.pattern.faces[face]?.corners ?? []).flatMap((corner) => {
    const at = part.pattern.corners[corner];
    return at ? [{ x: at.x, y: -at.y }] : [];
  });
  const middle = interiorPoint(ring);
  const isClear = ({ x, y }: Point) =>
    openings
      .filter(isRound)
      .every(
        ({ centre, radius }) =>
          Math.hypot(x - toMillimetres(centre.x), y - toMillimetres(centre.y)) >
          toMillimetres(radius) + 0.3,
      );
  const towards = [0, 0.5, 0.8, 0.9].flatMap((share) =>
    ring.map((corner) => ({
      x: middle.x + (corner.x - middle.x) * share,
      y: middle.y + (corner.y - middle.y) * share,
    })),
  );
  return towards.find(isClear) ?? middle;
}

/** What finds whether a face is in its place before the gift is in, and is never opened again. */
function staying({
  assembly: { giftEnters },
}: FoldingBox): (part: FoldingPart, face: number) => boolean {
  const known = new Map<FoldingPart, ReadonlyMap<number, number>>();
  const stagesOf = ({ pattern, root }: FoldingPart) => {
    const stages = new Map([[root, 0]]);
    const waiting = [root];
    for (let from = waiting.shift(); from !== undefined; from = waiting.shift())
      for (const { left, right, stage } of pattern.around[from] ?? []) {
        const next = left === from ? right : left;
        if (stages.has(next)) continue;
        stages.set(next, Math.max(stage, stages.get(from) ?? 0));
        waiting.push(next);
      }
    return stages;
  };
  return (part, face) => {
    const stages = known.get(part) ?? stagesOf(part);
    known.set(part, stages);
    const { joins, opens } = part.part;
    return opens === undefined && joins < giftEnters && (stages.get(face) ?? 0) < giftEnters;
  };
}

/** Whether the outside of a face looks into the room for the gift, as that of a tray in a tower may. */
function looksInside({ assembly }: FoldingBox, { ring, out }: PlacedFace): boolean {
  const middle = scale(
    ring.reduce((sum, place) => add(sum, place)),
    1 / ring.length,
  );
  return depthIn(cavitySolid(assembly.cavity), add(middle, scale(out, -1.5))) > 0;
}

/** What may cover faces of a box. */
interface Covering {
  readonly faces: readonly PlacedFace[];
  readonly pieceOf: (part: string) => string;
  readonly pairs: readonly Over[];
}

/** Pieces that lie close over the outside of a face, and over how much of it. */
function coversOf(
  face: PlacedFace,
  { axes, outline }: Pick<FlatFace, 'axes' | 'outline'>,
  { faces, pieceOf, pairs }: Covering,
): readonly Cover[] {
  const own = pieceOf(face.part);
  const goesOver = (piece: string) =>
    piece !== own && pairs.some(({ outer, inner }) => outer === piece && inner === own);
  const [here = vector(0, 0, 0)] = face.ring;
  return faces.flatMap((other): readonly Cover[] => {
    if (other === face || Math.abs(dot(other.out, face.out)) < 0.999) return [];
    const [there = here] = other.ring;
    const off = -dot(subtract(there, here), face.out);
    const piece = pieceOf(other.part);
    // What jams stands on the other side of what it should go over.
    const mayJam = goesOver(piece) && dot(other.out, face.out) > 0;
    const least = mayJam ? -close : (face.card + other.card) / 2 - 0.05;
    if (off < least || off > close) return [];
    const ring = outlineOf(other.ring.map((place) => onFace(axes, place)));
    const hull = isConvex(ring) ? ring : cornersOf(boundsOf(ring));
    const isOver = areaOf(cutTo(outline, hull, 0)) > leastCover;
    return isOver ? [{ piece, from: Math.min(...ring.map(({ y }) => y)) }] : [];
  });
}

/**
 * Every flat face of a box whose outside something may be glued on: what closes or hides it in the finished box
 * is left out. The box has been made ready without its openings, which are told in `cutouts` by their pieces.
 */
export function flatFaces(
  box: FoldingBox,
  cutouts: ReadonlyMap<string, readonly Cutout[]>,
  pairs: readonly Over[],
): readonly FlatFace[] {
  const faces = closedFaces(box);
  const partOf = (id: string) => box.parts.find(({ part }) => part.id === id);
  const stays = staying(box);
  const pieceOf = (part: string) => partOf(part)?.piece.id ?? part;
  const isHiddenForGood = (
    part: FoldingPart,
    placed: PlacedFace,
    seen: Pick<FlatFace, 'axes' | 'outline'>,
  ) => {
    if (!stays(part, placed.face)) return false;
    const staysOver = faces.filter((other) => {
      const cover = partOf(other.part);
      return cover && cover.piece.id !== part.piece.id && stays(cover, other.face);
    });
    return coversOf(placed, seen, { faces: staysOver, pieceOf, pairs }).length > 0;
  };
  const faceOf = ({ part, spot }: { readonly part: string; readonly spot: GridSpot }) =>
    partOf(part)?.pattern.faceAt(spot);
  const stacks = box.assembly.stacks.map((stack) => ({
    ...stack,
    upper: faceOf(stack.face),
    lower: faceOf(stack.on),
  }));
  const namesOf = new Map<string, readonly FaceName[]>();
  const placedAt = new Map(faces.map((face) => [`${face.part} ${face.face}`, face]));
  const found = box.parts.flatMap((part) => {
    const { id } = part.part;
    const names = namesOf.get(part.piece.id) ?? faceNames(box, part);
    namesOf.set(part.piece.id, names);
    const rounds = (cutouts.get(part.piece.id) ?? []).filter(isRound);
    return part.pattern.faces.flatMap((pattern, at): readonly FlatFace[] => {
      const name = names[at];
      const placed = placedAt.get(`${id} ${at}`);
      // The pleats of a top are drawn together: nothing stiff is worn there.
      if (!name || !placed || !worn.has(pattern.role) || name.above !== undefined) return [];
      // Its back lies on something.
      if (
        stacks.some(
          ({ face, upper, side }) => face.part === id && upper === at && side === 'inside',
        )
      )
        return [];
      const laid = stacks.filter(
        ({ on, lower, side }) => on.part === id && lower === at && side === 'outside',
      );
      const roleOf = ({ face, upper }: (typeof laid)[number]) =>
        partOf(face.part)?.pattern.faces[upper ?? -1]?.role ?? 'wall';
      if (laid.some((stack) => !under.has(roleOf(stack)))) return [];
      const axes = axesOf(placed);
      // A corner that is folded back shows its drawn side.
      const sideUp = ({ face, upper }: (typeof laid)[number]): Stack['side'] => {
        const there = faces.find((each) => each.part === face.part && each.face === upper);
        return there && dot(there.out, placed.out) < 0 ? 'inside' : 'outside';
      };
      const outline = outlineOf(placed.ring.map((place) => onFace(axes, place)));
      if (looksInside(box, placed) || isHiddenForGood(part, placed, { axes, outline })) return [];
      if (placed.holes.length > 0 || outline.length > 12 || !isConvex(outline)) return [];
      const frame = part.faces[at] ?? part.closed;
      const openings = rounds.flatMap(({ centre, radius }): readonly Opening[] => {
        const place = placeInto(
          frame,
          vector(toMillimetres(centre.x), -toMillimetres(centre.y), 0),
        );
        const there = onFace(axes, place);
        const reach = toMillimetres(radius);
        return isWithinOutline(outline, there, reach) ? [{ centre: there, radius: reach }] : [];
      });
      const spot = gridSpotAt(part, placeOnCard(part, at, rounds));
      const isLaidOn = (other: PlacedFace) =>
        laid.some(({ face, upper }) => face.part === other.part && upper === other.face);
      return [
        {
          name,
          part: id,
          spot,
          axes,
          outline,
          openings,
          card: placed.card,
          uneven: laid.map((stack) => ({
            part: stack.face.part,
            spot: stack.face.spot,
            side: sideUp(stack),
          })),
          covers: coversOf(
            placed,
            { axes, outline },
            { faces: faces.filter((other) => !isLaidOn(other)), pieceOf, pairs },
          ),
        },
      ];
    });
  });
  return found.filter(({ name }) => isOnAllCopies(box, found, name));
}

/** A piece that stands in a box more than once is dressed alike each time, or there not at all. */
function isOnAllCopies(
  { parts }: FoldingBox,
  found: readonly FlatFace[],
  { piece, at }: FaceName,
): boolean {
  const copies = parts.filter((part) => part.piece.id === piece);
  return (
    found.filter(({ name }) => name.piece === piece && name.at === at).length === copies.length
  );
}
