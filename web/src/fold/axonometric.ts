import type { PlacedFace, Point, Print, Vector } from '@rangoli/core';
import { shade } from '../parts/colour.ts';
import { plainLook, type CardLook } from '../prints/card-look.ts';
import type { PrintMatrix } from '../prints/print-matrix.ts';
import { printMatrix } from '../prints/print-matrix.ts';

/** A face as it is drawn flat on the screen. */
export interface DrawnFace {
  readonly part: string;
  /** Its place among the faces of its part. */
  readonly face: number;
  /** Which side of its card is seen. */
  readonly shows: 'inside' | 'outside';
  readonly path: string;
  readonly fill: string;
  /** Whether it is film, that one looks through. */
  readonly isClear: boolean;
  /** The print on the side that is seen, and how it lies in the picture. */
  readonly printed?: { readonly print: Print; readonly matrix: PrintMatrix };
  /** Its outer edge as it is seen. */
  readonly outline: readonly { readonly x: number; readonly y: number }[];
  /** The middle of the rectangle round it. */
  readonly middle: { readonly x: number; readonly y: number };
}

/** A rectangle of a picture, in millimetres. */
export interface Bounds {
  readonly left: number;
  readonly top: number;
  readonly width: number;
  readonly height: number;
}

/** A box in parallel projection, its faces from the farthest to the nearest. */
export interface BoxPicture {
  readonly faces: readonly DrawnFace[];
  readonly bounds: Bounds;
}

/** The bounds as a drawing takes them. */
export function viewBoxOf({ left, top, width, height }: Bounds): string {
  return [left, top, width, height].map((each) => each.toFixed(1)).join(' ');
}

/** The bounds of several pictures, so that nothing jumps from one to the next. */
export function boundsOfAll(pictures: readonly BoxPicture[]): Bounds {
  const all = pictures.map(({ bounds }) => bounds);
  const left = Math.min(...all.map((each) => each.left));
  const top = Math.min(...all.map((each) => each.top));
  return {
    left,
    top,
    width: Math.max(...all.map((each) => each.left + each.width)) - left,
    height: Math.max(...all.map((each) => each.top + each.height)) - top,
  };
}

/** From where a box is seen, in degrees: how far it is turned round, and from how high above the ground. */
export interface View {
  readonly turn: number;
  readonly height: number;
}

/** From the front, a little to the right and above. */
export const fromTheFront: View = { turn: -35, height: 28 };

/** How places are seen: to the right, down, and towards the eye. */
export function seenFrom({ turn, height }: View): (place: Vector) => Vector {
  const [round, over] = [(turn * Math.PI) / 180, (height * Math.PI) / 180];
  const [cosRound, sinRound] = [Math.cos(round), Math.sin(round)];
  const [cosOver, sinOver] = [Math.cos(over), Math.sin(over)];
  return ({ x, y, z }) => {
    const across = x * cosRound - y * sinRound;
    const deep = x * sinRound + y * cosRound;
    return { x: across, y: -z * cosOver - deep * sinOver, z: z * sinOver - deep * cosOver };
  };
}

/** The direction to the eye in the box's own axes. */
export function towardsEye(view: View): Vector {
  const seen = seenFrom(view);
  const along = (axis: Vector) => seen(axis).z;
  return {
    x: along({ x: 1, y: 0, z: 0 }),
    y: along({ x: 0, y: 1, z: 0 }),
    z: along({ x: 0, y: 0, z: 1 }),
  };
}

function ringPath(ring: readonly Vector[]): string {
  return `${ring.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(2)} ${y.toFixed(2)}`).join('')}Z`;
}

function middleOf(ring: readonly Vector[]) {
  const [left, right, top, bottom] = boundsOf(ring);
  return { x: (left + right) / 2, y: (top + bottom) / 2 };
}

/** Where the light comes from, as the eye sees it. */
const light: Vector = { x: -0.35, y: -0.75, z: 0.55 };

/** How the card of a box looks, and where the corners of its faces are on the flat pieces. */
export interface Skin {
  readonly looks: ReadonlyMap<string, CardLook>;
  readonly flatOf: (face: PlacedFace) => readonly Point[];
}

/** Draws faces in space, each side as it looks and as bright as the light falls on it. */
export function drawFaces(
  faces: readonly PlacedFace[],
  { looks, flatOf }: Skin,
  border: number,
  view = fromTheFront,
): BoxPicture {
  const seen = seenFrom(view);
  const drawn = faces.map((face) => {
    const ring = face.ring.map(seen);
    const out = seen(face.out);
    const showsInside = out.z > 0;
    const toEye = showsInside ? out : { x: -out.x, y: -out.y, z: -out.z };
    const look = looks.get(face.part) ?? plainLook('#ffffff');
    const shows = showsInside ? ('inside' as const) : ('outside' as const);
    const { colour, laid } = look[shows];
    const matrix = laid && printMatrix(laid, { flat: flatOf(face), seen: ring });
    const brightness = toEye.x * light.x + toEye.y * light.y + toEye.z * light.z;
    const depth = ring.reduce((sum, point) => sum + point.z, 0) / ring.length;
    return {
      part: face.part,
      face: face.face,
      shows,
      depth,
      ring,
      outline: ring,
      toEye,
      middle: middleOf(ring),
      path: [ring, ...face.holes.map((hole) => hole.map(seen))].map(ringPath).join(''),
      ...(laid && matrix && { printed: { print: laid.print, matrix } }),
      isClear: face.role === 'film',
      fill: shade(colour, brightness * 0.42 - 0.2 - (showsInside ? 0.1 : 0)),
    };
  });
  const ordered = farthestFirst(drawn);
  const points = drawn.flatMap(({ ring }) => ring);
  const xs = points.map(({ x }) => x);
  const ys = points.map(({ y }) => y);
  const [left, top] = [Math.min(...xs) - border, Math.min(...ys) - border];
  const [width, height] = [Math.max(...xs) + border - left, Math.max(...ys) + border - top];
  return { faces: ordered, bounds: { left, top, width, height } };
}

/** A face as it is seen, with the direction out of the side that is seen. */
interface SeenFace {
  readonly ring: readonly Vector[];
  readonly toEye: Vector;
  readonly depth: number;
}

/** Less than this apart, in millimetres, two faces lie in one plane. */
const level = 1e-3;

function heightOver({ ring, toEye }: SeenFace, point: Vector): number {
  const [at] = ring;
  return at
    ? toEye.x * (point.x - at.x) + toEye.y * (point.y - at.y) + toEye.z * (point.z - at.z)
    : 0;
}

function boundsOf(ring: readonly Vector[]) {
  const xs = ring.map(({ x }) => x);
  const ys = ring.map(({ y }) => y);
  return [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)] as const;
}

/** Whether one face surely lies behind another one, so that it is drawn first. */
function isBehind(one: SeenFace, other: SeenFace): boolean {
  const under = one.ring.map((point) => heightOver(other, point));
  if (under.every((height) => height <= level) && under.some((height) => height < -level))
    return true;
  const over = other.ring.map((point) => heightOver(one, point));
  return over.every((height) => height >= -level) && over.some((height) => height > level);
}

/** Faces in an order in which each may be drawn over those before it; by depth where nothing else tells. */
function farthestFirst<Face extends SeenFace>(faces: readonly Face[]): readonly Face[] {
  const sorted = [...faces].sort((a, b) => a.depth - b.depth);
  const bounds = sorted.map(({ ring }) => boundsOf(ring));
  const overlap = (i: number, j: number) => {
    const a = bounds[i];
    const b = bounds[j];
    return a && b && a[0] < b[1] && b[0] < a[1] && a[2] < b[3] && b[2] < a[3];
  };
  const behind = sorted.map((face, i) =>
    sorted.flatMap((other, j) =>
      i !== j && overlap(i, j) && isBehind(other, face) && !isBehind(face, other) ? [j] : [],
    ),
  );
  const done: Face[] = [];
  const state = sorted.map(() => 0);
  const visit = (i: number) => {
    const face = sorted[i];
    if (state[i] !== 0 || !face) return;
    state[i] = 1;
    for (const j of behind[i] ?? []) visit(j);
    done.push(face);
  };
  sorted.forEach((_, i) => visit(i));
  return done;
}
