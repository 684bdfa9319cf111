import { vector, type GridSpot, type Part, type Stack, type Vector } from '../fold/index.ts';

interface Placing {
  readonly id: string;
  readonly piece?: string;
  readonly root: GridSpot;
  readonly at: Vector;
  /** The stage at which it comes to the others; from the start where it isn't said. */
  readonly joins?: number;
  readonly opens?: Vector;
}

function part({ id, piece = id, joins = 0, ...rest }: Placing, right: Vector, up: Vector): Part {
  return { id, piece, right, up, joins, ...rest };
}

const left = vector(-1, 0, 0);
const right = vector(1, 0, 0);
const back = vector(0, 1, 0);
const upward = vector(0, 0, 1);

/** A part that sits on its root face, drawn face up, drawn bottom to the front. */
export function sitting(placing: Placing): Part {
  return part(placing, right, back);
}

/** A part whose root face lies on top, drawn face down. */
export function overturned(placing: Placing): Part {
  return part(placing, left, back);
}

/** A part whose root face stands at the front, drawn face to the back, drawn top up. */
export function atFront(placing: Placing): Part {
  return part(placing, left, upward);
}

/** A face of a part lies on another face of the same part. */
export function lies(
  inPart: string,
  {
    face,
    on,
    side,
    holds = 'glue',
  }: {
    readonly face: readonly [number, number];
    readonly on: readonly [number, number];
    readonly side: Stack['side'];
    readonly holds?: Stack['holds'];
  },
): Stack {
  const ref = ([column, row]: readonly [number, number]) => ({
    part: inPart,
    spot: { column, row },
  });
  return { face: ref(face), on: ref(on), side, holds };
}

/** A rectangular room in the middle of the box, from the clear floor up. */
export function boxRoom(across: number, deep: number, high: number) {
  const x = across / 2;
  const y = deep / 2;
  const floor = [
    { x: -x, y: -y },
    { x, y: -y },
    { x, y },
    { x: -x, y },
  ];
  return { floor, top: floor, bottom: 0, high };
}
