import { ordinalInWords } from '../length/index.ts';
import type { FaceName } from '../make/index.ts';
import { counted, inRow } from './plain.ts';
import { allInWords, roleInWords } from './roles.ts';

/** The wall that a pleated top runs up from: what hangs on the top hangs on it. */
function wallBelow(face: FaceName): FaceName {
  return face.above !== undefined && face.of ? wallBelow(face.of) : face;
}

/** The bare name of a face: `front wall`, `floor`, `rim of the back wall`, `front flap`. */
export function faceInWords(face: FaceName): string {
  const { role, faces, leans, of, end, isOnLid, nth, above, isPetal, hooks } = face;
  if (hooks !== undefined) return hooks === 'left' ? 'one end' : 'other end';
  switch (role) {
    case 'floor':
      return 'floor';
    case 'lid':
      if (faces === 'bottom') return 'bottom';
      return of ? 'lid' : 'top';
    case 'seam':
      return 'seam';
    case 'arch':
      return 'top';
    case 'seat':
      return 'seat';
    case 'end':
      return `${faces} end`;
    case 'wall': {
      if (nth !== undefined) return `${ordinalInWords(nth)} wall`;
      if (above !== undefined) return `${above} of the ${faces} wall`;
      const name = leans ? `${faces} roof` : `${faces} wall`;
      return isOnLid ? `${name} of the lid` : name;
    }
    case 'rim':
      return of ? `rim of the ${faceInWords(of)}` : 'rim';
    case 'flap':
      if (isPetal)
        return of?.role === 'wall' ? `petal of the ${faceInWords(wallBelow(of))}` : 'petal';
      return of ? `${end ?? ''} flap of the ${faceInWords(wallBelow(of))}` : 'flap';
    case 'tab':
      return of ? `tab of the ${faceInWords(of)}` : 'tab';
    case 'gusset':
      return of?.role === 'wall' ? `corner beside the ${faceInWords(of)}` : 'corner';
    case 'leg':
      return `${end ?? faces} leg`;
    case 'plate':
    case 'panel':
    case 'film':
    case 'waste':
      return roleInWords(role, 1);
  }
}

/** Walls that are told by their number only, of a piece that goes round in many. */
function isNumbered(face: FaceName | undefined): boolean {
  return face?.nth !== undefined || (face?.of !== undefined && isNumbered(face.of));
}

/**
 * Faces as they follow one another across a piece: `left wall, floor and right wall`. Of many walls, or many
 * panels of a handle, only their number is told, and where one wall stands for all, what it is.
 */
export function rowOfFaces(faces: readonly FaceName[]): string {
  const walls = faces.filter((face) => face.role === 'wall' && isNumbered(face));
  const arch = faces.filter(({ role }) => role === 'arch');
  const numbered = arch.length > 1 ? arch : walls;
  if (numbered.length <= 1) {
    const row = faces.map((face) => {
      if (!isNumbered(face)) return faceInWords(face);
      return face.role === 'wall' ? 'a wall' : `its ${roleInWords(face.role, 1)}`;
    });
    // A score that only marks a face for its ribbon leaves it one.
    return inRow(row.filter((name, i) => name !== row[i - 1]));
  }
  const [first] = numbered;
  return inRow(
    faces.flatMap((face) => {
      if (!numbered.includes(face)) return [faceInWords(face)];
      return face === first ? [counted(numbered.length, roleInWords(face.role, 1))] : [];
    }),
  );
}

/** A wall among those of the base or those of the lid, told by its direction alone; undefined for any other face. */
function sideWall(
  face: FaceName | undefined,
): { readonly faces: string; readonly among: string } | undefined {
  if (face?.role !== 'wall' || face.leans || face.nth !== undefined || face.above !== undefined)
    return undefined;
  return { faces: face.faces, among: face.isOnLid ? ' of the lid' : '' };
}

/** How a face is named together with others that are alike but for one word. */
interface SharedName {
  /** The word that tells it from the others: `left`, `top`. */
  readonly own: string;
  /** What they all are: `wall`, `tab`, `bottom flap`. */
  readonly noun: string;
  /** Whether the word tells the faces themselves, or the walls that they hang on. */
  readonly tells: 'faces' | 'their walls';
  /** Where they all are: ` of the lid`, ` of the front wall`; empty where nothing need be said. */
  readonly among: string;
}

/** Undefined for a face that has a name of its own. */
function sharedName(face: FaceName): SharedName | undefined {
  const { role, of, end, isPetal } = face;
  const self = sideWall(face);
  if (self) return { own: self.faces, noun: 'wall', tells: 'faces', among: self.among };
  if (role === 'leg') return { own: end ?? face.faces, noun: 'leg', tells: 'faces', among: '' };
  if (!of || (role !== 'rim' && role !== 'tab' && (role !== 'flap' || end === undefined)))
    return undefined;
  const noun = role === 'flap' ? 'flap' : roleInWords(role, 1);
  const wall = sideWall(of);
  if (wall) {
    const hanging = isPetal ? 'petal' : role === 'flap' ? `${end ?? ''} flap` : noun;
    return { own: wall.faces, noun: hanging, tells: 'their walls', among: wall.among };
  }
  return role === 'flap' && end !== undefined
    ? { own: end, noun, tells: 'faces', among: ` of the ${faceInWords(of)}` }
    : undefined;
}

/** Faces that share a name: `the left and the right wall`, `the top flaps of the left and the right wall`. */
function togetherInWords({ noun, tells, among }: SharedName, own: readonly string[]): string {
  const each = inRow(own.map((word) => `the ${word}`));
  const areAll = own.length === 4;
  if (tells === 'faces')
    return areAll && noun === 'wall' ? `all four walls${among}` : `${each} ${noun}${among}`;
  return areAll ? `the ${noun}s of all four walls${among}` : `the ${noun}s of ${each} wall${among}`;
}

interface FaceGroup {
  readonly name: SharedName | undefined;
  readonly faces: FaceName[];
  readonly own: string[];
}

/** Faces by name, those of one kind together: `the front and the back wall`. */
export function facesInWords(faces: readonly FaceName[]): string {
  const groups = new Map<string, FaceGroup>();
  for (const face of faces) {
    const name = sharedName(face);
    const key = name ? `${name.tells} ${name.noun} ${name.among}` : faceInWords(face);
    const group = groups.get(key) ?? { name, faces: [], own: [] };
    groups.set(key, group);
    group.faces.push(face);
    if (name && !group.own.includes(name.own)) group.own.push(name.own);
  }
  const all = [...groups.values()].flatMap(({ name, faces: alike, own }) => {
    const [first] = alike;
    if (!first) return [];
    if (name && own.length > 1) return [togetherInWords(name, own)];
    // A wall may have a tab at either end.
    return first.role === 'tab' && first.of && alike.length > 1
      ? [`the ${roleInWords('tab', 2)} of the ${faceInWords(first.of)}`]
      : [`the ${faceInWords(first)}`];
  });
  // A row of rows is parted by commas.
  const isRowOfRows = [...groups.values()].some(({ own }) => own.length > 1);
  return isRowOfRows ? all.join(', and ') : inRow(all);
}

/** Tabs and the like that wait next to a wall: `the two tabs next to the front wall`. */
export function nextTo(faces: readonly FaceName[], target: FaceName): string {
  const [first] = faces;
  const role = first?.role ?? 'tab';
  const all = faces.length === 1 ? `the ${roleInWords(role, 1)}` : allInWords(role, faces.length);
  return `${all} next to the ${faceInWords(target)}`;
}
