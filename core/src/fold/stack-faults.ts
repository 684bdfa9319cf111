import type { Stack } from './assembly.ts';
import { named, spare, type FoldFault } from './fold-fault.ts';
import type { FoldingBox, PlacedFace } from './folded-box.ts';
import { isInRing } from './in-ring.ts';
import { add, dot, lengthOf, origin, scale, subtract, type Vector } from './vector.ts';

/** How far a flap that is only tucked in may stand off its wall, in millimetres, on the coarsest tools. */
const loosely = 5;

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

/** Faces that don't lie on what they are put on. */
export function stackFaults(box: FoldingBox, faces: readonly PlacedFace[]): readonly FoldFault[] {
  const find = (ref: Stack['face']) => {
    const part = box.parts.find((each) => each.part.id === ref.part);
    const at = part?.pattern.faceAt(ref.spot);
    return faces.find((face) => face.part === ref.part && face.face === at);
  };
  const heapOf = (ref: Stack['face']) => {
    const part = box.parts.find((each) => each.part.id === ref.part);
    return part?.heaps[part.pattern.faceAt(ref.spot)] ?? 0;
  };
  return box.assembly.stacks.flatMap((stack): readonly FoldFault[] => {
    const upper = find(stack.face);
    const lower = find(stack.on);
    if (!upper || !lower) return [{ about: 'stacks', message: 'A stack names no face' }];
    const fault = (what: string): FoldFault => ({
      about: 'stacks',
      message: `${named(upper)} ${what} ${named(lower)}`,
    });
    if (Math.abs(dot(upper.out, lower.out)) < 1 - 1e-6) return [fault('does not lie flat on')];
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
      (stack.holds === 'tuck' ? loosely : spare) +
      (stack.bows ?? 0);
    if (apart < cards - spare || apart > most)
      return [fault(`stands ${(apart - cards).toFixed(2)} mm off`)];
    const samples = samplesOf(upper);
    const slack = 2 * Math.max(upper.card, lower.card) + 0.3;
    const on = samples.filter((point) => isInRing(lower.ring, point, lower.out, slack)).length;
    const share = on / samples.length;
    return share < stack.covers - 0.02
      ? [fault(`has ${Math.round(share * 100)} of 100 parts on`)]
      : [];
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
