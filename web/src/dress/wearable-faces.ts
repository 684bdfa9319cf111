import {
  capitalised,
  choiceOf,
  creasePattern,
  faceInWords,
  isSameFace,
  papersOf,
  wearable,
  type FaceChoice,
  type Plan,
  type PlanRequest,
  type Point,
} from '@rangoli/core';

/** A face of the box that something may be worn on, as it is pointed at. */
export interface WearableFace {
  readonly face: FaceChoice;
  /** `Front wall of the base`. */
  readonly said: string;
  /** Where it is on its flat piece, in millimetres from the upper left corner. */
  readonly ring: readonly Point[];
  /** It, and what it wears, among the faces of the box in space. */
  readonly inSpace: readonly { readonly part: string; readonly face: number }[];
  /** The pieces that are worn on it, the lowest first. */
  readonly worn: readonly string[];
  /** Whether something goes over it in the closed box. */
  readonly isCovered: boolean;
}

/** Every face of a planned box that something may be worn on, once for all copies of its piece. */
export function wearableFaces(plan: Plan, request: PlanRequest): readonly WearableFace[] {
  const { pieces, assembly } = plan;
  // What is worn, laid in or hung on is no piece of the box itself.
  const own = pieces.filter(({ id }) =>
    assembly.parts.some(
      ({ piece, worn, lies, wraps, isHandle }) =>
        piece === id && !worn && !lies && !wraps && !isHandle,
    ),
  );
  const patterns = new Map(own.map((piece) => [piece.id, creasePattern(piece)]));
  const found: WearableFace[] = [];
  for (const { name, part, spot, covers } of wearable(plan, papersOf(request))) {
    const face = choiceOf(name);
    const pattern = patterns.get(name.piece);
    if (!pattern) continue;
    const at = pattern.faceAt(spot);
    const layers = assembly.parts.filter(
      ({ worn }) =>
        worn?.part === part &&
        worn.isInside !== true &&
        worn.spot.column === spot.column &&
        worn.spot.row === spot.row,
    );
    const inSpace = [{ part, face: at }, ...layers.map(({ id }) => ({ part: id, face: 0 }))];
    const known = found.findIndex((each) => isSameFace(each.face, face));
    const before = found[known];
    if (before) {
      found[known] = { ...before, inSpace: [...before.inSpace, ...inSpace] };
      continue;
    }
    const piece = own.find(({ id }) => id === name.piece);
    const of = own.length > 1 && piece ? ` of the ${piece.name.toLowerCase()}` : '';
    found.push({
      face,
      said: `${capitalised(faceInWords(name))}${of}`,
      ring: (pattern.faces[at]?.corners ?? []).flatMap((corner) => {
        const place = pattern.corners[corner];
        return place ? [{ x: place.x, y: -place.y }] : [];
      }),
      inSpace,
      worn: layers.map(({ piece: id }) => id),
      isCovered: covers.length > 0,
    });
  }
  return found;
}
