import type { FaceName } from '../make/index.ts';
import { counted, inRow, ordinalInWords } from './plain.ts';
import { allInWords, roleInWords } from './roles.ts';

/** The wall that a pleated top runs up from: what hangs on the top hangs on it. */
function wallBelow(face: FaceName): FaceName {
  return face.above !== undefined && face.of ? wallBelow(face.of) : face;
}

/** The bare name of a face: `front wall`, `floor`, `rim of the back wall`, `front flap`. */
export function faceInWords(face: FaceName): string {
  const { role, faces, leans, of, end, isOnLid, nth, above } = face;
  switch (role) {
    case 'floor':
      return 'floor';
    case 'lid':
      if (faces === 'bottom') return 'bottom';
      return of ? 'lid' : 'top';
    case 'seam':
      return 'seam';
    case 'wall': {
      if (nth !== undefined) return `${ordinalInWords(nth)} wall`;
      if (above !== undefined) return `${above} of the ${faces} wall`;
      const name = leans ? `${faces} roof` : `${faces} wall`;
      return isOnLid ? `${name} of the lid` : name;
    }
    case 'rim':
      return of ? `rim of the ${faceInWords(of)}` : 'rim';
    case 'flap':
      return of ? `${end ?? ''} flap of the ${faceInWords(wallBelow(of))}` : 'flap';
    case 'tab':
      return of ? `tab of the ${faceInWords(of)}` : 'tab';
    case 'gusset':
      return of?.role === 'wall' ? `corner beside the ${faceInWords(of)}` : 'corner';
    case 'waste':
      return roleInWords(role, 1);
  }
}

/** Walls that are told by their number only, of a piece that goes round in many. */
function isNumbered(face: FaceName | undefined): boolean {
  return face?.nth !== undefined || (face?.of !== undefined && isNumbered(face.of));
}

/**
 * Faces as they follow one another across a piece: `left wall, floor and right wall`. Of many walls in a row
 * only their number is told, and where one of them stands for all, what it is.
 */
export function rowOfFaces(faces: readonly FaceName[]): string {
  const numbered = faces.filter((face) => face.role === 'wall' && isNumbered(face));
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
      return face === first ? [counted(numbered.length, 'wall')] : [];
    }),
  );
}

/** The direction of a wall that needs nothing else to be told; undefined for any other face. */
function plainWall(face: FaceName | undefined): string | undefined {
  if (
    face?.role !== 'wall' ||
    face.leans ||
    face.isOnLid ||
    face.nth !== undefined ||
    face.above !== undefined
  )
    return undefined;
  return face.faces;
}

/**
 * What faces have in common when they are named together, and what tells them apart: `the`, `left`, `wall of
 * the lid`. Undefined for a face that has a name of its own.
 */
function sharedName(face: FaceName): { readonly own: string; readonly shared: string } | undefined {
  const { role, faces, leans, of, end, isOnLid, nth } = face;
  if (role === 'wall' && !leans && nth === undefined && face.above === undefined)
    return { own: faces, shared: isOnLid ? 'wall of the lid' : 'wall' };
  if (role === 'flap' && of && end !== undefined) {
    const wall = plainWall(of);
    return wall === undefined
      ? { own: end, shared: `flap of the ${faceInWords(of)}` }
      : { own: wall, shared: `${end} flap` };
  }
  const wall = plainWall(of);
  return wall === undefined || (role !== 'rim' && role !== 'tab')
    ? undefined
    : { own: wall, shared: roleInWords(role, 1) };
}

/** Faces that share a name: `the left and the right wall`, `the top flaps of the left and the right wall`. */
function togetherInWords(shared: string, own: readonly string[]): string {
  const isWall = / ?wall(?: of the lid)?$/.test(shared) || shared.includes(' of the ');
  if (isWall && shared.startsWith('wall') && own.length === 4)
    return `all four ${shared.replace('wall', 'walls')}`;
  if (isWall) return `${inRow(own.map((each) => `the ${each}`))} ${shared}`;
  return own.length === 4
    ? `the ${shared}s of all four walls`
    : `the ${shared}s of ${inRow(own.map((each) => `the ${each}`))} wall`;
}

/** Faces by name, those of one kind together: `the front and the back wall`. */
export function facesInWords(faces: readonly FaceName[]): string {
  const groups = new Map<string, { readonly faces: FaceName[]; readonly own: string[] }>();
  for (const face of faces) {
    const name = sharedName(face);
    const key = name?.shared ?? faceInWords(face);
    const group = groups.get(key) ?? { faces: [], own: [] };
    groups.set(key, group);
    group.faces.push(face);
    if (name && !group.own.includes(name.own)) group.own.push(name.own);
  }
  const all = [...groups].map(([shared, group]) => {
    const [first] = group.faces;
    if (!first || group.own.length > 1) return togetherInWords(shared, group.own);
    // A wall may have a tab at either end.
    return first.role === 'tab' && first.of && group.faces.length > 1
      ? `the ${roleInWords('tab', 2)} of the ${faceInWords(first.of)}`
      : `the ${faceInWords(first)}`;
  });
  // A row of rows is parted by commas.
  return all.some((each) => each.includes(' and ')) ? all.join(', and ') : inRow(all);
}

/** Tabs and the like that wait next to a wall: `the two tabs next to the front wall`. */
export function nextTo(faces: readonly FaceName[], target: FaceName): string {
  const [first] = faces;
  const role = first?.role ?? 'tab';
  const all = faces.length === 1 ? `the ${roleInWords(role, 1)}` : allInWords(role, faces.length);
  return `${all} next to the ${faceInWords(target)}`;
}
