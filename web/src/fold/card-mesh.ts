import {
  Color,
  MeshStandardMaterial,
  ShapeUtils,
  Vector2,
  type BufferAttribute,
  type BufferGeometry,
  type Texture,
} from 'three';
import { BufferAttribute as Attribute, BufferGeometry as Geometry } from 'three';
import type { PlacedFace, Point, Vector } from '@rangoli/core';
import { plainLook, type CardLook, type CardSide } from '../prints/card-look.ts';
import { printParts } from '../prints/print-parts.ts';
import type { PrintTextures } from '../prints/print-textures.ts';
import { edgesOf, type CardEdge } from './card-edges.ts';

/** Where a corner of a flat piece is on the repeats of its print, counted in repeats, upwards. */
function placeOnPrint({ laid }: CardSide, corner: Point | undefined): readonly [number, number] {
  if (!laid || !corner) return [0, 0];
  const { right, down, print } = laid;
  const { width, height } = printParts(print);
  return [
    (corner.x * right.x + corner.y * right.y) / width,
    1 - (corner.x * down.x + corner.y * down.y) / height,
  ];
}

/** Triangles of a face as corners of its rings, which don't change while it folds. */
interface FacePattern {
  readonly triangles: readonly (readonly number[])[];
  readonly rings: readonly (readonly number[])[];
  readonly corners: number;
}

function patternOf(face: PlacedFace): FacePattern {
  const [first, second] = face.ring;
  const origin = first ?? { x: 0, y: 0, z: 0 };
  const along = direction(minus(second ?? origin, origin));
  const up = cross(face.out, along);
  const flat = (ring: readonly Vector[]) =>
    ring.map((point) => {
      const away = minus(point, origin);
      return new Vector2(dot(away, along), dot(away, up));
    });
  const contour = flat(face.ring);
  const holes = face.holes.map(flat);
  let from = 0;
  const rings = [face.ring, ...face.holes].map((ring) => {
    const indices = ring.map((_, i) => from + i);
    from += ring.length;
    return indices;
  });
  return { triangles: ShapeUtils.triangulateShape(contour, holes), rings, corners: from };
}

function minus(a: Vector, b: Vector): Vector {
  return { x: a.x - b.x, y: a.y - b.y, z: a.z - b.z };
}

function dot(a: Vector, b: Vector): number {
  return a.x * b.x + a.y * b.y + a.z * b.z;
}

function cross(a: Vector, b: Vector): Vector {
  return { x: a.y * b.z - a.z * b.y, y: a.z * b.x - a.x * b.z, z: a.x * b.y - a.y * b.x };
}

function direction(a: Vector): Vector {
  const length = Math.sqrt(dot(a, a)) || 1;
  return { x: a.x / length, y: a.y / length, z: a.z / length };
}

/** How a box looks, part by part, and where the corners of its faces are on the flat pieces. */
export interface CardSkin {
  readonly looks: ReadonlyMap<string, CardLook>;
  readonly flatOf: (face: PlacedFace) => readonly Point[];
  /** Whether an edge of a face is a fold; without it all of them are cut. */
  readonly isCreased?: (face: PlacedFace, from: number, to: number) => boolean;
  readonly textures: {
    readonly of: PrintTextures['of'];
    readonly grain: () => Texture | undefined;
  };
}

const roughness = 0.82;

/** So much of the core of the card is white. */
const white = 0.45;

/** The core of a card as it is seen where it is cut. */
export function coreOf({ outside }: CardLook): Color {
  return new Color(outside.colour).lerp(new Color('#ffffff'), white);
}

/** Millimetres that the grain of plain card takes to begin again. */
const grainEvery = 26;

/** The place of film among the materials. */
const film = 1;

/** All the card of a box as one body with its thickness, whose corners are moved as it folds. */
export class CardMesh {
  readonly geometry: BufferGeometry = new Geometry();
  /** Plain card first, film, then each print. */
  readonly materials: MeshStandardMaterial[] = [
    new MeshStandardMaterial({ vertexColors: true, roughness }),
    new MeshStandardMaterial({
      vertexColors: true,
      roughness: 0.15,
      transparent: true,
      opacity: 0.3,
      depthWrite: false,
    }),
  ];
  readonly #patterns: readonly FacePattern[];
  readonly #position: BufferAttribute;
  readonly #normal: BufferAttribute;
  /** Its edges, cut and folded. */
  readonly edges: readonly CardEdge[];

  constructor(faces: readonly PlacedFace[], skin: CardSkin) {
    const { looks, flatOf, textures, isCreased = () => false } = skin;
    this.#patterns = faces.map(patternOf);
    this.edges = edgesOf(faces, isCreased);
    const [plain] = this.materials;
    const grain = textures.grain();
    if (plain && grain) plain.map = grain;
    const folds = new Set(
      this.edges.flatMap(({ kind, face, from }) => (kind === 'fold' ? [`${face} ${from}`] : [])),
    );
    const count = this.#patterns.reduce(
      (sum, { triangles, corners }) => sum + 6 * triangles.length + 6 * corners,
      0,
    );
    this.#position = new Attribute(new Float32Array(3 * count), 3);
    this.#normal = new Attribute(new Float32Array(3 * count), 3);
    const colour = new Attribute(new Float32Array(3 * count), 3);
    const place = new Attribute(new Float32Array(2 * count), 2);
    let at = 0;
    let from = 0;
    let last = 0;
    const endGroup = () => {
      if (at > from) this.geometry.addGroup(from, at - from, last);
      from = at;
    };
    const paint = (value: Color, times: number, material: number) => {
      if (material !== last) endGroup();
      last = material;
      for (let i = 0; i < times; i++) colour.setXYZ(at++, value.r, value.g, value.b);
    };
    this.#patterns.forEach(({ triangles, corners }, i) => {
      const face = faces[i];
      const look = looks.get(face?.part ?? '') ?? plainLook('#ffffff');
      const flat = face ? flatOf(face) : [];
      for (const [side, turned] of [
        [look.inside, false],
        [look.outside, true],
      ] as const) {
        const before = at;
        const material = face?.role === 'film' ? film : this.#materialOf(side, textures);
        paint(new Color(side.colour), 3 * triangles.length, material);
        const order = triangles.flatMap((each) => (turned ? [...each].reverse() : each));
        order.forEach((corner, n) => {
          const [u, v] = side.laid
            ? placeOnPrint(side, flat[corner])
            : [(flat[corner]?.x ?? 0) / grainEvery, (flat[corner]?.y ?? 0) / grainEvery];
          place.setXY(before + n, u, v);
        });
      }
      // Where the card is cut its core is seen; round a fold its surface goes on.
      const [core, surface] = [coreOf(look), new Color(look.outside.colour)];
      for (let corner = 0; corner < corners; corner++) {
        const isFolded = folds.has(`${i} ${corner}`);
        paint(isFolded ? surface : core, 6, face?.role === 'film' ? film : 0);
      }
    });
    endGroup();
    this.geometry.setAttribute('position', this.#position);
    this.geometry.setAttribute('normal', this.#normal);
    this.geometry.setAttribute('color', colour);
    this.geometry.setAttribute('uv', place);
    this.move(faces);
  }

  dispose(): void {
    this.geometry.dispose();
    for (const material of this.materials) material.dispose();
  }

  /** Which of the materials a side of the card has: plain card, or its print. */
  #materialOf(side: CardSide, textures: CardSkin['textures']): number {
    const map = textures.of(side);
    if (!map) return 0;
    const known = this.materials.findIndex((each) => each.map === map);
    if (known >= 0) return known;
    return this.materials.push(new MeshStandardMaterial({ map, roughness })) - 1;
  }

  /** Which of the faces a triangle of the body belongs to, by their places. */
  faceAt(triangle: number): number {
    let before = 0;
    return this.#patterns.findIndex(({ triangles, corners }) => {
      before += 2 * triangles.length + 2 * corners;
      return triangle < before;
    });
  }

  /** Moves the card to where its faces are now. */
  move(faces: readonly PlacedFace[]): void {
    let at = 0;
    const put = (point: Vector, normal: Vector) => {
      this.#position.setXYZ(at, point.x, point.y, point.z);
      this.#normal.setXYZ(at++, normal.x, normal.y, normal.z);
    };
    this.#patterns.forEach(({ triangles, rings }, i) => {
      const face = faces[i];
      if (!face) return;
      const { out, card } = face;
      const half = card / 2;
      const points = [...face.ring, ...face.holes.flat()];
      const back = { x: -out.x, y: -out.y, z: -out.z };
      const shifted = (corner: number, by: number): Vector => {
        const point = points[corner] ?? out;
        return { x: point.x + out.x * by, y: point.y + out.y * by, z: point.z + out.z * by };
      };
      for (const triangle of triangles)
        for (const corner of triangle) put(shifted(corner, half), out);
      for (const triangle of triangles)
        for (const corner of [...triangle].reverse()) put(shifted(corner, -half), back);
      for (const ring of rings)
        ring.forEach((corner, j) => {
          const next = ring[(j + 1) % ring.length] ?? corner;
          const [a, b] = [shifted(corner, half), shifted(next, half)];
          const [c, d] = [shifted(corner, -half), shifted(next, -half)];
          const side = direction(cross(minus(b, a), back));
          for (const point of [a, c, b, b, c, d]) put(point, side);
        });
    });
    this.#position.needsUpdate = true;
    this.#normal.needsUpdate = true;
    this.geometry.computeBoundingSphere();
  }
}
