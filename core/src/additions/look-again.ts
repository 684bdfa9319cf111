import type { SizeOf, StyleFrame } from '../forms/index.ts';
import { largest, plus, smallest, zero, type Length } from '../length/index.ts';
import type { LaidCard } from './addition.ts';

/** A frame with what it is to wear, and the card that room is made for in it. */
export interface SeenDress {
  readonly ok: true;
  readonly frame: StyleFrame;
  readonly laid: readonly LaidCard[];
}

/** How a dressed frame is looked at. */
interface Looking {
  /** The sections that room is made in: they are seen as they were without it, and all others as they come. */
  readonly widened: ReadonlySet<string>;
  /** The sizes at which the box was looked at first. */
  readonly near: SizeOf;
  /** What a frame comes to; undefined where it can’t be made. */
  readonly comesTo: (frame: StyleFrame) => SizeOf | undefined;
  /** How the box is dressed as it is seen at these sizes; undefined where it can’t be. */
  readonly dressAt: (size: SizeOf) => SeenDress | undefined;
}

/** How often a box is looked at with the room that was made for what it wears. */
const looks = 3;

/**
 * The dress of a box with room for what lies under something when that room is made: a lid that is made larger may
 * come down farther than it did, or not as far, since its depth is on other marks then.
 */
export function lookAgain(first: SeenDress, looking: Looking): SeenDress {
  let [made, before] = [first, first];
  let cameBefore = looking.near;
  for (let look = 0; look < looks; look++) {
    const looked = lookAt(made.frame, looking);
    if (!looked || isLaidAlike(made, looked.seen)) return made;
    if (look > 0 && isLaidAlike(before, looked.seen))
      return settle([made, looked.came], [looked.seen, cameBefore], looking);
    [before, made, cameBefore] = [made, looked.seen, looked.came];
  }
  return made;
}

/** What a frame comes to, and the dress that is right for that. */
interface Look {
  readonly came: SizeOf;
  readonly seen: SeenDress;
}

function lookAt(frame: StyleFrame, { widened, near, comesTo, dressAt }: Looking): Look | undefined {
  const came = comesTo(frame);
  const seen = came && dressAt((id) => (widened.has(id) ? near(id) : came(id)));
  return came && seen && { came, seen };
}

function isLaidAlike({ laid: some }: SeenDress, { laid: others }: SeenDress): boolean {
  return (
    some.length === others.length &&
    some.every(({ face, card }) =>
      others.some(
        (each) =>
          each.face.part === face.part && each.face.name.at === face.name.at && each.card === card,
      ),
    )
  );
}

/** A dress with what its frame comes to. */
type Come = readonly [SeenDress, SizeOf];

/**
 * Of two that lead to each other, as with a lid that comes down over a band only as long as no room is made for it: the
 * one with less room, its other lengths held where no more lies under the lid, or else the one that goes on anyhow.
 */
function settle(one: Come, other: Come, looking: Looking): SeenDress {
  const [[more, roomy], [less, close]] =
    cardOf(one[0]) > cardOf(other[0]) ? [one, other] : [other, one];
  const sections = less.frame.sections.map((section) => {
    const { id, least, target, most } = section;
    const [held, came] = [roomy(id), close(id)];
    if (looking.widened.has(id) || held === came) return section;
    return held < came
      ? { ...section, target: smallest(target, held), most: smallest(most, held) }
      : { ...section, target: largest(target, held), least: largest(least, held) };
  });
  const held = { ...less, frame: { ...less.frame, sections } };
  const looked = lookAt(held.frame, looking);
  return looked && isLaidAlike(held, looked.seen) ? held : more;
}

function cardOf({ laid }: SeenDress): Length {
  return plus(zero, ...laid.map(({ card }) => card));
}
