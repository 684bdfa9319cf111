import type { Stack } from './assembly.ts';
import type { Crease } from './crease-pattern.ts';
import { angleSpare, glued, named, spare, standsOff, type FoldFault } from './fold-fault.ts';
import type { FoldingBox, PlacedFace } from './folded-box.ts';
import { isInRing } from './in-ring.ts';
import { add, cross, dot, lengthOf, origin, scale, subtract, type Vector } from './vector.ts';

/** Places all over a face, near its corners and edges and towards its middle; none in a bite out of it. */
function samplesOf({ ring, out }: PlacedFace): readonly Vector[] {
  const middle = scale(ring.reduce(add), 1 / ring.length);
  const samples = ring.flatMap((here, i) => {
    const next = ring[(i + 1) % ring.length] ?? here;
    const edge = scale(add(here, next), 0.5);
    return [0.05, 0.35, 0.7].flatMap((share) => [
      add(scale(here, 1 - share), scale(middle, share)),
      add(scale(edge, 1 - share), scale(middle, share)),
    ]);
  });
  return samples.filter((point) => isInRing(ring, point, out, 0));
}

/** How large a face is, in square millimetres. */
function areaOf({ ring, out }: PlacedFace): number {
  const [first] = ring;
  if (!first) return 0;
  const twice = ring.reduce((sum, here, i) => {
    const next = ring[(i + 1) % ring.length] ?? here;
    return sum + dot(cross(subtract(here, first), subtract(next, first)), out);
  }, 0);
  return Math.abs(twice) / 2;
}

/** What finds a face by a spot in it, and how high card is heaped under it. */
function facesBySpot(box: FoldingBox, faces: readonly PlacedFace[]) {
  const partOf = (ref: Stack['face']) => box.parts.find(({ part }) => part.id === ref.part);
  return {
    find: (ref: Stack['face']) => {
      const at = partOf(ref)?.pattern.faceAt(ref.spot);
      return faces.find(({ part, face }) => part === ref.part && face === at);
    },
    heapOf: (ref: Stack['face']) => {
      const part = partOf(ref);
      return part?.heaps[part.pattern.faceAt(ref.spot)] ?? 0;
    },
  };
}

/** The crease on which a face is folded over onto its partner, where it is. */
function creaseBetween({ parts }: FoldingBox, { face, on }: Stack): Crease | undefined {
  const part = parts.find(({ part: { id } }) => id === face.part);
  if (!part || face.part !== on.part) return undefined;
  const [one, other] = [part.pattern.faceAt(face.spot), part.pattern.faceAt(on.spot)];
  return part.pattern.around[one]?.find(({ left, right }) => left === other || right === other);
}

/** Faces that don't lie on what they are put on: askew, too near or too far off. */
export function stackFaults(box: FoldingBox, faces: readonly PlacedFace[]): readonly FoldFault[] {
  const { find, heapOf } = facesBySpot(box, faces);
  return box.assembly.stacks.flatMap((stack): readonly FoldFault[] => {
    const upper = find(stack.face);
    const lower = find(stack.on);
    if (!upper || !lower) return [{ about: 'stacks', message: 'A stack names no face' }];
    const fault = (what: string): FoldFault => ({
      about: 'stacks',
      message: `${named(upper)} ${what} ${named(lower)}`,
    });
    if (Math.abs(dot(upper.out, lower.out)) < 1 - 1e-6) return [fault('does not lie flat on')];
    const crease = creaseBetween(box, stack);
    if (
      crease &&
      Math.abs(crease.angle) > Math.PI - angleSpare &&
      crease.angle > 0 !== (stack.side === 'inside')
    )
      return [fault('is folded over the other way, on to')];
    const [at] = lower.ring;
    const [over] = upper.ring;
    if (!at || !over) return [];
    const side = stack.side === 'inside' ? 1 : -1;
    const apart = side * dot(subtract(over, at), lower.out);
    const cards = (upper.card + lower.card) / 2;
    // Other layers may lie between; what is only tucked in may stand off.
    const most =
      heapOf(stack.face) -
      heapOf(stack.on) +
      (stack.holds === 'tuck' ? standsOff : spare) +
      (stack.bows ?? 0);
    return apart < cards - spare || apart > most
      ? [fault(`stands ${(apart - cards).toFixed(2)} mm off`)]
      : [];
  });
}

/** Faces that are glued or tucked in and have too little of them on all that they lie on. */
export function coverFaults(box: FoldingBox, faces: readonly PlacedFace[]): readonly FoldFault[] {
  const { find } = facesBySpot(box, faces);
  const onWhat = new Map<PlacedFace, { readonly lower: PlacedFace; readonly stack: Stack }[]>();
  for (const stack of box.assembly.stacks) {
    const [upper, lower] = [find(stack.face), find(stack.on)];
    if (!upper || !lower) continue;
    onWhat.set(upper, [...(onWhat.get(upper) ?? []), { lower, stack }]);
    // What is glued on to it holds it as well.
    const own = onWhat.get(lower);
    if (own && stack.holds === 'glue') onWhat.set(lower, [...own, { lower: upper, stack }]);
  }
  return [...onWhat].flatMap(([upper, under]): readonly FoldFault[] => {
    const isGlued = under.some(({ stack }) => stack.holds === 'glue');
    if (!isGlued && under.every(({ stack }) => stack.holds === 'rest')) return [];
    const samples = samplesOf(upper);
    const shareOn = (slack: (lower: PlacedFace) => number) =>
      samples.filter((point) =>
        under.some(({ lower }) => isInRing(lower.ring, point, lower.out, slack(lower))),
      ).length / samples.length;
    // What is bent round the card under it may reach past an edge by that card.
    const share = shareOn((lower) => 2 * Math.max(upper.card, lower.card) + 0.3);
    const whole = shareOn(() => 0);
    const holds = isGlued ? share >= glued.share || whole * areaOf(upper) >= glued.area : whole > 0;
    return holds
      ? []
      : [
          {
            about: 'stacks',
            message: `${named(upper)} has ${Math.round(share * 100)} of 100 parts on ${under.map(({ lower }) => named(lower)).join(' and ')}`,
          },
        ];
  });
}

/** Faces that are pushed farther off their own fold than the card heaped under them is thick. */
export function liftFaults(box: FoldingBox): readonly FoldFault[] {
  return box.parts.flatMap(({ part, pattern, lifts, heaps }) =>
    pattern.faces.flatMap(({ role }, face): readonly FoldFault[] => {
      const off = lengthOf(lifts[face] ?? origin);
      return off > (heaps[face] ?? 0) + spare
        ? [
            {
              about: 'stacks',
              message: `${part.id} face ${face} (${role}) is torn ${off.toFixed(2)} mm off its fold`,
            },
          ]
        : [];
    }),
  );
}
