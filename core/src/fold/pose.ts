import type { Crease, CreasePattern } from './crease-pattern.ts';
import { flat, compose, placeInto, turnAbout, turnInto, type Frame } from './frame.ts';
import { frameOnTwoEdges, middleOfGusset, type GussetSide } from './gusset.ts';
import { cross, direction, distance, lengthOf, scale, subtract, type Vector } from './vector.ts';

/** How far a fold has gone at a time counted in stages, 0–1. */
export function progressOf(stage: number, time: number): number {
  return Math.min(1, Math.max(0, time - stage));
}

/** How far each fold of a piece has gone, 0–1. */
export type FoldProgress = (crease: Crease) => number;

/** All folds as far as they have gone at a time counted in stages. */
export function foldedTo(time: number): FoldProgress {
  return ({ stage }) => progressOf(stage, time);
}

function across(crease: Crease, face: number): number {
  return crease.left === face ? crease.right : crease.left;
}

function cornerAt(pattern: CreasePattern, corner: number): Vector {
  const point = pattern.corners[corner];
  if (!point) throw new RangeError(`No corner ${corner}`);
  return point;
}

function foldAcross(
  pattern: CreasePattern,
  crease: Crease,
  to: number,
  progress: FoldProgress,
): Frame {
  const from = cornerAt(pattern, crease.from);
  const along = direction(subtract(cornerAt(pattern, crease.to), from));
  const angle = crease.angle * progress(crease);
  // Turning the left side up about the line is a valley; the right side turns the other way.
  return turnAbout(from, along, crease.left === to ? angle : -angle);
}

/**
 * Where each face of a piece is when its folds have gone so far, with the root face flat on the ground. Folds made by hand turn in proportion within their stage; those that follow are found from what
 * their neighbours leave them.
 * @throws Error when a face hangs on nothing that has a place.
 */
export function poseFaces(
  pattern: CreasePattern,
  root: number,
  progress: FoldProgress,
): readonly Frame[] {
  const frames: (Frame | undefined)[] = pattern.faces.map(() => undefined);
  frames[root] = flat;
  spread(pattern, frames, [root], progress);
  while (frames.includes(undefined)) {
    const found = onTwoEdges(pattern, frames) ?? inGusset(pattern, frames, progress);
    if (found === undefined) throw new Error('A face hangs on nothing');
    spread(pattern, frames, found, progress);
  }
  return frames.filter((each) => each !== undefined);
}

/** Carries the places of faces on across every crease that is folded by hand. */
function spread(
  pattern: CreasePattern,
  frames: (Frame | undefined)[],
  from: readonly number[],
  progress: FoldProgress,
): void {
  const waiting = [...from];
  for (let face = waiting.shift(); face !== undefined; face = waiting.shift()) {
    const here = frames[face];
    if (!here) continue;
    for (const crease of pattern.around[face] ?? []) {
      const next = across(crease, face);
      if (crease.follows || frames[next]) continue;
      frames[next] = compose(here, foldAcross(pattern, crease, next, progress));
      waiting.push(next);
    }
  }
}

interface Hold {
  readonly corner: number;
  readonly crease: Crease;
  readonly neighbour: Frame;
  readonly neighbourFace: number;
  readonly edge: { readonly flat: Vector; readonly placed: Vector };
}

/** The ends of creases by which a face hangs on faces that have their places. */
function holdsOf(
  pattern: CreasePattern,
  frames: readonly (Frame | undefined)[],
  face: number,
): readonly Hold[] {
  return (pattern.around[face] ?? []).flatMap((crease): readonly Hold[] => {
    const neighbourFace = across(crease, face);
    const neighbour = frames[neighbourFace];
    if (!neighbour) return [];
    return [
      [crease.from, crease.to],
      [crease.to, crease.from],
    ].map(([corner = 0, end = 0]) => {
      const flatEdge = direction(subtract(cornerAt(pattern, end), cornerAt(pattern, corner)));
      return {
        corner,
        crease,
        neighbour,
        neighbourFace,
        edge: { flat: flatEdge, placed: turnInto(neighbour, flatEdge) },
      };
    });
  });
}

function cornerIn(pattern: CreasePattern, hold: Hold) {
  const point = cornerAt(pattern, hold.corner);
  return { flat: point, placed: placeInto(hold.neighbour, point) };
}

/** Places a face that meets two placed ones in a corner: there is one way for it to lie. */
function onTwoEdges(
  pattern: CreasePattern,
  frames: (Frame | undefined)[],
): readonly number[] | undefined {
  for (let face = 0; face < frames.length; face++) {
    if (frames[face]) continue;
    const holds = holdsOf(pattern, frames, face);
    for (const one of holds)
      for (const other of holds) {
        if (one === other || one.corner !== other.corner) continue;
        if (lengthOf(cross(one.edge.placed, other.edge.placed)) < 1e-6) continue;
        frames[face] = frameOnTwoEdges(cornerIn(pattern, one), one.edge, other.edge);
        return [face];
      }
  }
  return undefined;
}

function gussetSide(pattern: CreasePattern, hold: Hold, progress: FoldProgress): GussetSide {
  const { crease, neighbourFace, neighbour, edge } = hold;
  // The neighbour lies to one side of the crease, at right angles to it in its own plane.
  const along = direction(subtract(cornerAt(pattern, crease.to), cornerAt(pattern, crease.from)));
  const left = { x: -along.y, y: along.x, z: 0 };
  const into = scale(left, crease.left === neighbourFace ? 1 : -1);
  const folded = Math.abs(crease.angle) > Math.PI - 1e-6;
  return {
    edge,
    neighbour: turnInto(neighbour, into),
    lies: folded ? progress(crease) : undefined,
  };
}

/** Places both halves of a gusset that hang on placed faces and meet in a fold that follows. */
function inGusset(
  pattern: CreasePattern,
  frames: (Frame | undefined)[],
  progress: FoldProgress,
): readonly number[] | undefined {
  for (const middle of pattern.creases) {
    if (!middle.follows || frames[middle.left] || frames[middle.right]) continue;
    if (middle.sense === 'mark') continue;
    const { sense } = middle;
    for (const one of holdsOf(pattern, frames, middle.left))
      for (const other of holdsOf(pattern, frames, middle.right)) {
        if (one.corner !== other.corner) continue;
        if (one.corner !== middle.from && one.corner !== middle.to) continue;
        const end = one.corner === middle.from ? middle.to : middle.from;
        const flatMiddle = direction(
          subtract(cornerAt(pattern, end), cornerAt(pattern, one.corner)),
        );
        const placed = middleOfGusset(
          gussetSide(pattern, one, progress),
          gussetSide(pattern, other, progress),
          flatMiddle,
          sense,
        );
        frames[middle.left] = frameOnTwoEdges(cornerIn(pattern, one), one.edge, {
          flat: flatMiddle,
          placed,
        });
        frames[middle.right] = frameOnTwoEdges(cornerIn(pattern, other), other.edge, {
          flat: flatMiddle,
          placed,
        });
        return [middle.left, middle.right];
      }
  }
  return undefined;
}

/**
 * The largest distance in millimetres by which the two faces at any crease have come apart. Where the card
 * bows on the way, that counts in the finished box alone.
 */
export function largestOpening(
  pattern: CreasePattern,
  frames: readonly Frame[],
  time: number,
): number {
  let most = 0;
  for (const { from, to, left, right, bows } of pattern.creases) {
    if (bows && time < pattern.stages) continue;
    const one = frames[left];
    const other = frames[right];
    if (!one || !other) continue;
    for (const corner of [from, to]) {
      const point = cornerAt(pattern, corner);
      most = Math.max(most, distance(placeInto(one, point), placeInto(other, point)));
    }
  }
  return most;
}
