import {
  capitalised,
  choiceOf,
  creasePattern,
  facesInWords,
  isSameFace,
  papersOf,
  wearable,
  type FaceChoice,
  type FaceName,
  type Plan,
  type PlanRequest,
  type Point,
} from '@rangoli/core';

/** A face of the box that something may be worn on, as it is pointed at; of petals, which wear the same, all. */
export interface WearableFace {
  readonly face: FaceChoice;
  /** `Front wall of the base`. */
  readonly said: string;
  /** Where it is on its flat piece, in millimetres from the upper left corner. */
  readonly rings: readonly (readonly Point[])[];
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
  const found: { face: WearableFace; names: FaceName[] }[] = [];
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
    const worn = layers.map(({ piece: id }) => id);
    const ring = (pattern.faces[at]?.corners ?? []).flatMap((corner) => {
      const place = pattern.corners[corner];
      return place ? [{ x: place.x, y: -place.y }] : [];
    });
    const before = found.find((each) => isSameFace(each.face.face, face));
    if (!before) {
      const isCovered = covers.length > 0;
      found.push({
        face: { face, said: '', rings: [ring], inSpace, worn, isCovered },
        names: [name],
      });
      continue;
    }
    // Another copy of the piece, or another petal of the same.
    const isCopy = before.names.some((each) => each.at === name.at);
    const { rings, inSpace: others, worn: wornThere } = before.face;
    before.face = {
      ...before.face,
      rings: isCopy ? rings : [...rings, ring],
      inSpace: [...others, ...inSpace],
      worn: [...new Set([...wornThere, ...worn])],
    };
    if (!isCopy) before.names.push(name);
  }
  return found.map(({ face, names }) => {
    const piece = own.find(({ id }) => id === face.face.piece);
    const of = own.length > 1 && piece ? ` of the ${piece.name.toLowerCase()}` : '';
    const said = facesInWords(names).replace(/^the /, '');
    return { ...face, said: `${capitalised(said)}${of}` };
  });
}
