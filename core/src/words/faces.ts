import type { FaceName } from '../make/index.ts';
import { counted, inRow, ordinalInWords } from './plain.ts';
import { allInWords, roleInWords } from './roles.ts';

/** The bare name of a face: `front wall`, `floor`, `rim of the back wall`, `front flap`. */
export function faceInWords(face: FaceName): string {
  const { role, faces, leans, of, end, isOnLid, nth } = face;
  switch (role) {
    case 'floor':
      return 'floor';
    case 'lid':
      return of ? 'lid' : 'top';
    case 'seam':
      return 'seam';
    case 'wall': {
      if (nth !== undefined) return `${ordinalInWords(nth)} wall`;
      const name = leans ? `${faces} roof` : `${faces} wall`;
      return isOnLid ? `${name} of the lid` : name;
    }
    case 'rim':
      return of ? `rim of the ${faceInWords(of)}` : 'rim';
    case 'flap':
      return of ? `${end ?? ''} flap of the ${faceInWords(of)}` : 'flap';
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
  if (numbered.length <= 1)
    return inRow(
      faces.map((face) => {
        if (!isNumbered(face)) return faceInWords(face);
        return face.role === 'wall' ? 'a wall' : `its ${roleInWords(face.role, 1)}`;
      }),
    );
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
  if (face?.role !== 'wall' || face.leans || face.isOnLid || face.nth !== undefined)
    return undefined;
  return face.faces;
}

/** Faces by name, those of one kind together: `the front and the back wall`. */
export function facesInWords(faces: readonly FaceName[]): string {
  const [first] = faces;
  const walls = faces.flatMap((face) => plainWall(face) ?? []);
  if (first && walls.length === faces.length && faces.length > 1)
    return walls.length === 4
      ? 'all four walls'
      : `${inRow(walls.map((way) => `the ${way}`))} wall`;
  const parents = faces.flatMap(({ of }) => plainWall(of) ?? []);
  const isOneRole = faces.every(({ role }) => role === first?.role);
  const isAlike =
    isOneRole && faces.every(({ end }) => first?.role !== 'flap' || end === first.end);
  if (first && isAlike && parents.length === faces.length && faces.length > 1) {
    const end = first.role === 'flap' ? `${first.end ?? ''} ` : '';
    const name = `the ${end}${roleInWords(first.role, 2)}`;
    return parents.length === 4
      ? `${name} of all four walls`
      : `${name} of ${inRow(parents.map((way) => `the ${way}`))} wall`;
  }
  return inRow([...new Set(faces.map((face) => `the ${faceInWords(face)}`))]);
}

/** Tabs and the like that wait next to a wall: `the two tabs next to the front wall`. */
export function nextTo(faces: readonly FaceName[], target: FaceName): string {
  const [first] = faces;
  const role = first?.role ?? 'tab';
  const all = faces.length === 1 ? `the ${roleInWords(role, 1)}` : allInWords(role, faces.length);
  return `${all} next to the ${faceInWords(target)}`;
}
