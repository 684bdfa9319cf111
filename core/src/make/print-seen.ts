import {
  add,
  closedFaces,
  dot,
  isInRing,
  lengthOf,
  scale,
  subtract,
  turnInto,
  vector,
  type FoldingBox,
  type FoldingPart,
  type PlacedFace,
  type Vector,
} from '../fold/index.ts';
import { hasWayUp, paperFor, type Papers } from '../paper/index.ts';
import type { CellRole, Side } from '../piece/index.ts';
import { waysToEdges } from './print-top.ts';

/** How much of a face is seen: in the closed box, only once that is opened, or hardly ever. */
type Sight = 'closed' | 'opened' | 'underneath';

/** A face of the closed box on which a print is seen. */
export interface SeenFace {
  readonly part: FoldingPart;
  /** Its place among the faces of its part. */
  readonly face: number;
  readonly role: CellRole;
  readonly sight: Sight;
  /** In square millimetres. */
  readonly area: number;
  /** Whether it looks to the front, which is what is looked at first. */
  readonly isFront: boolean;
  /** How nearly upright a print stands whose top comes to an edge of the flat piece: 1 upright, −1 on its head. */
  readonly upright: (top: Side) => number;
}

/** Card whose print is looked at: not what is tucked or turned in, or lies under something. */
const looked: ReadonlySet<CellRole> = new Set([
  'floor',
  'wall',
  'lid',
  'arch',
  'seat',
  'plate',
  'panel',
  'end',
]);

/** What lines a box, or stands in it: it is seen once that is opened. */
function isInside({ part: { worn, lies } }: Pick<FoldingPart, 'part'>): boolean {
  return worn?.isInside === true || lies !== undefined;
}

/** What stands in a box by itself, and is no plate that lies with its back to the card. */
const standing: ReadonlySet<string> = new Set(['things', 'legs', 'legs round things']);

/** Whether the print of a part is on its drawn side; that of a box, and of what is put on or lines it, is on the other. */
export function showsDrawnSide({ part: { lies } }: Pick<FoldingPart, 'part'>): boolean {
  return lies !== undefined && standing.has(lies.against);
}

/** A face nearer to level than this is looked down on, and its top is what lies farther back. */
const level = 0.97;

function uprightOn(normal: Vector): Vector {
  const up = Math.abs(normal.z) > level ? vector(0, 1, 0) : vector(0, 0, 1);
  const flat = subtract(up, scale(normal, dot(up, normal)));
  return scale(flat, 1 / (lengthOf(flat) || 1));
}

function areaOf({ ring, out }: PlacedFace): number {
  const [first = vector(0, 0, 0)] = ring;
  const twice = ring.reduce((sum, place, i) => {
    const [a, b] = [subtract(place, first), subtract(ring[(i + 1) % ring.length] ?? place, first)];
    const { x, y, z } = out;
    return (
      sum + x * (a.y * b.z - a.z * b.y) + y * (a.z * b.x - a.x * b.z) + z * (a.x * b.y - a.y * b.x)
    );
  }, 0);
  return Math.abs(twice) / 2;
}

function middleOf({ ring }: PlacedFace): Vector {
  return scale(
    ring.reduce((sum, place) => add(sum, place)),
    1 / ring.length,
  );
}

/** Whether a face stands in the way of who looks at a place from straight before it. */
function hides(face: PlacedFace, place: Vector, towards: Vector): boolean {
  const slant = dot(face.out, towards);
  const [first] = face.ring;
  if (Math.abs(slant) < 0.02 || !first) return false;
  const away = dot(subtract(first, place), face.out) / slant;
  return away > 0.01 && isInRing(face.ring, add(place, scale(towards, away)), face.out, -0.01);
}

/** How much of a face is seen from its printed side; undefined where it is hidden for good. */
function sightOf(
  box: FoldingBox,
  part: FoldingPart,
  { placed, normal, faces }: { placed: PlacedFace; normal: Vector; faces: readonly PlacedFace[] },
): Sight | undefined {
  if (isInside(part)) return 'opened';
  const middle = middleOf(placed);
  // Near the middle and towards two corners: where most of it is hidden, all of it counts as that.
  const places = [
    middle,
    ...placed.ring
      .filter((_, i) => i % 2 === 0)
      .slice(0, 2)
      .map((corner) => add(scale(middle, 0.35), scale(corner, 0.65))),
  ];
  const over = places.map((place) =>
    faces.find(
      (other) =>
        (other.part !== placed.part || other.face !== placed.face) && hides(other, place, normal),
    ),
  );
  const hidden = over.flatMap((each) => each ?? []);
  const whole = normal.z < -level ? 'underneath' : undefined;
  if (hidden.length * 2 < places.length) return whole ?? 'closed';
  const opens = hidden.every((each) =>
    box.parts.some((other) => other.part.id === each.part && other.part.opens !== undefined),
  );
  return opens ? (whole ?? 'opened') : undefined;
}

/** The faces on which a print with a way up is seen when the box is made. */
export function seenPrints(box: FoldingBox, papers: Papers): readonly SeenFace[] {
  const faces = closedFaces(box);
  // A panel leaves the edges of its face in sight: it hides nothing.
  const panels = new Set(
    box.parts.flatMap(({ part: { id, worn } }) => (worn === undefined ? [] : [id])),
  );
  const hiding = faces.filter(({ part }) => !panels.has(part));
  return box.parts.flatMap((part) => {
    if (!hasWayUp(paperFor(papers, part.piece.paper))) return [];
    return faces
      .filter((placed) => placed.part === part.part.id && looked.has(placed.role))
      .flatMap((placed): readonly SeenFace[] => {
        const normal = scale(placed.out, showsDrawnSide(part) ? 1 : -1);
        const sight = sightOf(box, part, { placed, normal, faces: hiding });
        if (sight === undefined) return [];
        const here = part.faces[placed.face] ?? part.closed;
        const up = uprightOn(normal);
        return [
          {
            part,
            face: placed.face,
            role: placed.role,
            sight,
            area: areaOf(placed),
            isFront: normal.y < -0.7,
            upright: (top) => dot(turnInto(here, waysToEdges[top]), up),
          },
        ];
      });
  });
}
