import {
  add,
  cavitySolid,
  closedFaces,
  depthIn,
  dot,
  scale,
  type FaceRef,
  type FoldingBox,
  type FoldingPart,
  type GridSpot,
  type PlacedFace,
  type Stack,
  type Vector,
} from '../fold/index.ts';
import { faceNames, type FaceName } from '../make/index.ts';
import type { CellRole, Cutout, Point } from '../piece/index.ts';
import { cardSpot } from './card-spot.ts';
import { coversOf, type Cover, type Over } from './covers.ts';
import { chosenFrom, choiceOf, isSameFace, type FaceChoice } from './face-choice.ts';
import { axesFromFold, axesOf, onFace, type FaceAxes } from './face-axes.ts';
import { isOpening, openingsOn, type Opening } from './openings.ts';
import {
  areaOf,
  boundsOf,
  cornersOf,
  cutTo,
  isConvex,
  outlineOf,
  straightSided,
} from './outline.ts';

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
  /** Flaps of its own piece that close over a part of it, as petals do over one another. */
  readonly closes: readonly Stack['face'][];
}

/** What is wide enough to be worn on: a tab or a seam is covered, a rim lies inside. */
const wornOnRoles: ReadonlySet<CellRole> = new Set([
  'floor',
  'wall',
  'lid',
  'flap',
  'end',
  'seat',
  'plate',
]);

/** So far what ends below a cover keeps away from it, in millimetres. */
const belowCover = 0.8;

/** The middle of the fold that a flap hangs on, in the closed box; undefined where it has none, or several. */
function foldOf(part: FoldingPart, { face, ring }: PlacedFace): Vector | undefined {
  const [fold, ...more] = part.pattern.around[face] ?? [];
  const corners = part.pattern.faces[face]?.corners ?? [];
  const [a, b] = [fold?.from, fold?.to].map((corner) => ring[corners.indexOf(corner ?? -1)]);
  return a && b && more.length === 0 ? scale(add(a, b), 0.5) : undefined;
}

/** What of a face nothing goes over in the closed box; no corners where that is nothing. */
export function uncovered({ outline, covers }: FlatFace): readonly Point[] {
  if (covers.length === 0) return outline;
  const { left, right, bottom } = boundsOf(outline);
  const top = Math.min(...covers.map(({ from }) => from)) - belowCover;
  return top <= bottom ? [] : cutTo(outline, cornersOf({ left, right, bottom, top }), 0);
}

/** What may lie under a panel: it is narrow, and as thick everywhere. */
const under: ReadonlySet<CellRole> = new Set(['tab', 'seam']);

/** What is hidden by more than so much of it when the box is closed is not worth covering. */
const mostHidden = 0.6;

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

/** What finds whether the outside of a face looks into the room for the gift, as that of a tray in a tower may. */
function lookingInside({ assembly }: FoldingBox): (face: PlacedFace) => boolean {
  const room = cavitySolid(assembly.cavity);
  return ({ ring, out }) => {
    const middle = scale(
      ring.reduce((sum, place) => add(sum, place)),
      1 / ring.length,
    );
    return depthIn(room, add(middle, scale(out, -1.5))) > 0;
  };
}

/** The flat faces of a box that something may be worn on, each looked at where it is asked for. */
export interface FlatFaces {
  readonly all: () => readonly FlatFace[];
  /** The face that is chosen, once for each copy of its piece; none where it is no such face. */
  readonly chosen: (choice: FaceChoice) => readonly FlatFace[];
}

/**
 * Every flat face of a box whose outside something may be glued on: what closes or hides it in the finished box
 * is left out. The box has been made ready without its openings, which are told in `cutouts` by their pieces.
 */
export function flatFaces(
  box: FoldingBox,
  cutouts: ReadonlyMap<string, readonly Cutout[]>,
  pairs: readonly Over[],
): FlatFaces {
  const lookAt = lookingAtFaces(box, cutouts, pairs);
  const facesOf = namingFaces(box);
  const seen = new Map<NamedFace, FlatFace | undefined>();
  const look = (those: readonly NamedFace[]): readonly FlatFace[] => {
    const found = those.flatMap((each) => {
      if (!seen.has(each)) seen.set(each, lookAt(each.part, each.name));
      return seen.get(each) ?? [];
    });
    return found.filter(({ name }) => isOnAllCopies(box, found, name));
  };
  const all = () => look(box.parts.flatMap(facesOf));
  const choose = (choice: FaceChoice) => {
    const parts = box.parts.filter(({ piece }) => piece.id === choice.piece);
    const same = look(parts.flatMap(facesOf).filter((each) => isSameFace(each.choice, choice)));
    if (same.length > 0) return same;
    const whole = all();
    const like = chosenFrom(
      whole.map(({ name }) => choiceOf(name)),
      choice,
    );
    return like ? whole.filter(({ name }) => isSameFace(choiceOf(name), like)) : [];
  };
  const known = new Map<FaceChoice, readonly FlatFace[]>();
  return {
    all,
    chosen: (choice) => {
      const those = known.get(choice) ?? choose(choice);
      known.set(choice, those);
      return those;
    },
  };
}

/** A face by its name, whether something may be worn on it or not. */
interface NamedFace {
  readonly name: FaceName;
  readonly part: FoldingPart;
  readonly choice: FaceChoice;
}

/** What tells the faces of a part, whose names are found once for all copies of its piece. */
function namingFaces(box: FoldingBox): (part: FoldingPart) => readonly NamedFace[] {
  const namesOf = new Map<string, readonly FaceName[]>();
  const known = new Map<FoldingPart, readonly NamedFace[]>();
  return (part) => {
    const before = known.get(part);
    if (before) return before;
    const names = namesOf.get(part.piece.id) ?? faceNames(box, part);
    namesOf.set(part.piece.id, names);
    const named = names.map((name) => ({ name, part, choice: choiceOf(name) }));
    known.set(part, named);
    return named;
  };
}

/** What looks at a face of a box by its name: undefined where nothing is worn on it. */
function lookingAtFaces(
  box: FoldingBox,
  cutouts: ReadonlyMap<string, readonly Cutout[]>,
  pairs: readonly Over[],
): (part: FoldingPart, name: FaceName) => FlatFace | undefined {
  const faces = closedFaces(box);
  const parts = new Map(box.parts.map((part) => [part.part.id, part]));
  const partOf = (id: string) => parts.get(id);
  const stays = staying(box);
  const looksInside = lookingInside(box);
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
  const faceAt = (ref: FaceRef) => {
    const part = partOf(ref.part);
    return part?.pattern.faceAt(ref.spot);
  };
  const stacks = box.assembly.stacks.map((stack) => ({
    ...stack,
    upper: faceAt(stack.face),
    lower: faceAt(stack.on),
  }));
  const isFlapOverFlap = ({ face, on, upper, lower, holds }: (typeof stacks)[number]) => {
    const faces = partOf(face.part)?.pattern.faces;
    const areFlaps = [upper, lower].every((at) => faces?.[at ?? -1]?.role === 'flap');
    return holds === 'tuck' && face.part === on.part && areFlaps;
  };
  const placedAt = new Map(faces.map((face) => [`${face.part} ${face.face}`, face]));
  return (part, name) => {
    const { id } = part.part;
    const { at } = name;
    const rounds = (cutouts.get(part.piece.id) ?? []).filter(isOpening);
    const placed = placedAt.get(`${id} ${at}`);
    // The pleats of a top are drawn together: nothing stiff is worn there.
    if (!placed || !wornOnRoles.has(placed.role) || name.above !== undefined) return undefined;
    // Its back lies on something.
    if (
      stacks.some(({ face, upper, side }) => face.part === id && upper === at && side === 'inside')
    )
      return undefined;
    const laid = stacks.filter(
      ({ on, lower, side }) => on.part === id && lower === at && side === 'outside',
    );
    const roleOf = ({ face, upper }: (typeof laid)[number]) =>
      partOf(face.part)?.pattern.faces[upper ?? -1]?.role ?? 'wall';
    const closes = laid.filter(isFlapOverFlap);
    const glued = laid.filter((stack) => !closes.includes(stack));
    if (glued.some((stack) => !under.has(roleOf(stack)))) return undefined;
    const fold = foldOf(part, placed);
    const isPetal = stacks.some(
      (stack) =>
        isFlapOverFlap(stack) &&
        stack.face.part === id &&
        (stack.upper === at || stack.lower === at),
    );
    // Petals are alike as they hang on their walls, whichever way these look.
    const axes = isPetal && fold ? axesFromFold(fold, placed) : axesOf(placed);
    // A corner that is folded back shows its drawn side.
    const sideUp = ({ face, upper }: (typeof glued)[number]): Stack['side'] => {
      const there = faces.find((each) => each.part === face.part && each.face === upper);
      return there && dot(there.out, placed.out) < 0 ? 'inside' : 'outside';
    };
    const outline = straightSided(outlineOf(placed.ring.map((place) => onFace(axes, place))));
    const isHiddenBy = ({ face, upper }: (typeof closes)[number]) => {
      const over = placedAt.get(`${face.part} ${upper ?? -1}`)?.ring ?? [];
      const shared = cutTo(outline, outlineOf(over.map((place) => onFace(axes, place))), 0);
      return areaOf(shared) > mostHidden * areaOf(outline);
    };
    if (closes.some(isHiddenBy)) return undefined;
    if (looksInside(placed) || isHiddenForGood(part, placed, { axes, outline })) return undefined;
    if (placed.holes.length > 0 || outline.length > 12 || !isConvex(outline)) return undefined;
    const frame = part.faces[at] ?? part.closed;
    const openings = openingsOn(rounds, { frame, axes, outline });
    const spot = cardSpot(part, at, rounds);
    // What closes over it, with all that closes over that, is no matter of room.
    const isLaidOn = (other: PlacedFace) =>
      (closes.length > 0 && other.part === id && other.role === 'flap') ||
      laid.some(({ face, upper }) => face.part === other.part && upper === other.face);
    return {
      name,
      part: id,
      spot,
      axes,
      outline,
      openings,
      card: placed.card,
      uneven: glued.map((stack) => ({
        part: stack.face.part,
        spot: stack.face.spot,
        side: sideUp(stack),
      })),
      covers: coversOf(
        placed,
        { axes, outline },
        { faces: faces.filter((other) => !isLaidOn(other)), pieceOf, pairs },
      ),
      closes: closes.map(({ face }) => face),
    };
  };
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
