import { vector, type Assembly } from '../fold/index.ts';
import type { SizeOf, StyleFit, StyleFrame } from '../forms/index.ts';
import {
  largest,
  millimetres,
  plus,
  times,
  toMillimetres,
  zero,
  type Length,
} from '../length/index.ts';
import type { LaidCard } from './addition.ts';

type Axis = StyleFit['direction'];

/** The way in which a face looks in the closed box, and whether to the right, the back or the top. */
function wayOf({ face }: LaidCard): { readonly axis: Axis; readonly side: 1 | -1 } | undefined {
  const { x, y, z } = face.axes.out;
  // The drawn side lies inside: a face looks out the other way.
  if (Math.abs(x) > 0.99) return { axis: 'across', side: x < 0 ? 1 : -1 };
  if (Math.abs(y) > 0.99) return { axis: 'deep', side: y < 0 ? 1 : -1 };
  if (Math.abs(z) > 0.99) return { axis: 'high', side: z < 0 ? 1 : -1 };
  return undefined;
}

/** Card that lies between a fit’s two pieces, on either side. */
interface Between {
  readonly before: Length;
  readonly behind: Length;
}

/** What a piece closes over of itself it is not made larger for: its hinge stays where it is. */
function isCoveredBy({ face }: LaidCard, { outer, inner }: StyleFit): boolean {
  return (
    outer !== inner && face.name.piece === inner && face.covers.some(({ piece }) => piece === outer)
  );
}

/** What lies between the two pieces of a fit; walls that face any way push out all round. */
function between(fit: StyleFit, laid: readonly LaidCard[]): Between {
  const most = (cards: readonly LaidCard[]) => largest(zero, ...cards.map(({ card }) => card));
  const here = laid.filter((each) => isCoveredBy(each, fit));
  const aslant = most(
    here.filter((each) => wayOf(each) === undefined || each.face.name.nth !== undefined),
  );
  const on = (side: 1 | -1) =>
    most(
      here.filter((each) => {
        const way = wayOf(each);
        return way?.axis === fit.direction && way.side === side;
      }),
    );
  if (fit.direction === 'high') return { before: on(-1), behind: on(1) };
  return { before: largest(on(-1), aslant), behind: largest(on(1), aslant) };
}

/** Whether room can be made for card under every piece that goes over it: something decides how large that is. */
export function mayMakeRoom(fits: StyleFrame['fits'], laid: LaidCard): boolean {
  return laid.face.covers.every(({ piece }) =>
    fits.some((fit) => {
      const { before, behind } = between(fit, [laid]);
      return fit.outer === piece && before + behind > 0;
    }),
  );
}

/** How many of the inner piece stand side by side: what is no whole number tells that their sections are slanted ones. */
function sideBySide({ innerTimes = 1 }: StyleFit): number {
  return Number.isInteger(innerTimes) ? innerTimes : 1;
}

interface Widened {
  /** How much larger each section comes. */
  readonly sections: ReadonlyMap<string, Length>;
  readonly fits: readonly StyleFit[];
  /** Whether one section would have to grow by more than one measure: it must be two. */
  readonly isTorn: boolean;
}

/** What is carried on from what goes over something to what goes over that; no box nests deeper. */
const deepest = 6;

const alike = millimetres(0.001);

/** Sections and layers with the card that was laid under them. */
function widen({ fits }: StyleFrame, laid: readonly LaidCard[]): Widened {
  const added = new Map(
    fits.map((fit) => {
      const { before, behind } = between(fit, laid);
      const card = times(plus(before, behind), sideBySide(fit));
      return [fit, { card, section: times(card, 1 / (fit.opens ?? 1)) }] as const;
    }),
  );
  let sections = new Map<string, Length>();
  let isTorn = false;
  for (let round = 0; round < deepest; round++) {
    const next = new Map<string, Length>();
    isTorn = false;
    for (const fit of fits) {
      const under = times(sections.get(fit.innerSection) ?? zero, fit.innerTimes ?? 1);
      const wants = plus(added.get(fit)?.section ?? zero, under);
      const has = next.get(fit.outerSection);
      if (has !== undefined && Math.abs(has - wants) > alike) isTorn = true;
      next.set(fit.outerSection, largest(has ?? zero, wants));
    }
    sections = next;
  }
  return {
    sections,
    isTorn,
    fits: fits.map((fit) => ({ ...fit, layers: plus(fit.layers, added.get(fit)?.card ?? zero) })),
  };
}

const axes: Readonly<Record<Axis, 'x' | 'y' | 'z'>> = { across: 'x', deep: 'y', high: 'z' };

/** How far each piece is pushed out of the middle by what lies on one side of what it goes over, in millimetres. */
function pushed(
  { fits }: StyleFrame,
  laid: readonly LaidCard[],
): ReadonlyMap<string, Readonly<Record<'x' | 'y' | 'z', number>>> {
  let shifts = new Map<string, Record<'x' | 'y' | 'z', number>>();
  for (let round = 0; round < deepest; round++) {
    const next = new Map<string, Record<'x' | 'y' | 'z', number>>();
    for (const fit of fits) {
      if (fit.outer === fit.inner) continue;
      const { before, behind } = between(fit, laid);
      const axis = axes[fit.direction];
      const [low, high] = [toMillimetres(before), toMillimetres(behind)];
      // What goes over lies as far off on both sides; in height it stays where it was above.
      const own = fit.direction === 'high' ? -low : (high - low) / 2;
      const under = shifts.get(fit.inner)?.[axis] ?? 0;
      const here = next.get(fit.outer) ?? { x: 0, y: 0, z: 0 };
      if (Math.abs(own + under) > Math.abs(here[axis])) here[axis] = own + under;
      next.set(fit.outer, here);
    }
    shifts = next;
  }
  return shifts;
}

function push(
  assembly: Assembly,
  shifts: ReadonlyMap<string, Readonly<Record<'x' | 'y' | 'z', number>>>,
): Assembly {
  return {
    ...assembly,
    parts: assembly.parts.map((part) => {
      const shift = shifts.get(part.piece);
      if (!shift) return part;
      const { x, y, z } = part.at;
      return { ...part, at: vector(x + shift.x, y + shift.y, z + shift.z) };
    }),
  };
}

/**
 * A frame with room for card that is laid on the outside of its faces: what goes over them comes larger by it, and so
 * does what goes over that. Undefined where a section that two measures share would have to be two.
 */
export function makeRoom(frame: StyleFrame, laid: readonly LaidCard[]): StyleFrame | undefined {
  if (laid.length === 0) return frame;
  const { sections, fits, isTorn } = widen(frame, laid);
  if (isTorn) return undefined;
  const shifts = pushed(frame, laid);
  return {
    ...frame,
    fits,
    sections: frame.sections.map((section) => {
      const more = sections.get(section.id) ?? zero;
      if (more === zero) return section;
      return {
        ...section,
        least: plus(section.least, more),
        target: plus(section.target, more),
        most: plus(section.most, more),
        ...(section.scant !== undefined && { scant: plus(section.scant, more) }),
      };
    }),
    settle: (size: SizeOf) => {
      const settled = frame.settle(size);
      return { ...settled, assembly: push(settled.assembly, shifts) };
    },
  };
}
