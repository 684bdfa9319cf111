import type { Cavity } from '../fold/index.ts';
import {
  formatWithUnit,
  hair,
  half,
  largest,
  millimetres,
  minus,
  nanometres,
  plus,
  toMillimetres,
  type Length,
} from '../length/index.ts';
import type { Cutout, Spot } from '../piece/index.ts';
import { roundPunches } from '../tools/index.ts';
import type { Refusal, StyleBrief } from './brief.ts';

/** A circle is drawn with this many straight runs, none of which may stand in the room. */
const runs = 48;

/** How much nearer to the middle a run is than its ends. */
const flat = Math.cos(Math.PI / runs);

/** How much wider than the room asked for an opening may be: punches come a quarter of an inch apart. */
const slip = millimetres(3.2);

/** Smaller holes are for ribbon. */
const smallestOpening = millimetres(15);

type Needed = StyleBrief<unknown>['inside']['across'];

/** A round opening that holds a gift by its rim. */
export interface RoundOpening {
  /** How wide its card must make it at the least, and how wide it is to be. */
  readonly wide: Needed;
  /** How wide the room is that it leaves. */
  readonly clear: Length;
  readonly radius: Length;
  readonly cutout: (middle: Spot) => Cutout;
  /** The room that it leaves, so high in millimetres. */
  readonly room: (high: number) => Cavity;
}

/** How wide a round opening must be that leaves the room that is asked for both ways. */
function openingNeeded({ across, deep }: StyleBrief<unknown>['inside']): Needed {
  return {
    least: largest(across.least, deep.least),
    target: largest(across.target, deep.target),
  };
}

function roundRoom(radius: number, high: number): Cavity {
  const floor = Array.from({ length: runs }, (_, i) => {
    const angle = ((2 * i) / runs) * Math.PI;
    return { x: radius * Math.cos(angle), y: radius * Math.sin(angle) };
  });
  return { floor, top: floor, bottom: 0, high };
}

/** An opening that is cut along a line: its runs stand outside the room, not across it. */
export function cutOpening({ inside }: StyleBrief<unknown>): RoundOpening {
  const wide = openingNeeded(inside);
  const clear = wide.target;
  const radius = nanometres(Math.ceil(clear / 2 / flat) + 1);
  return {
    wide,
    clear,
    radius,
    cutout: (centre) => ({ shape: 'hole', use: 'seat', centre, radius }),
    room: (high) => roundRoom(toMillimetres(clear) / 2 / flat, high),
  };
}

/** An opening that one of the maker's punches makes; undefined where none makes one of this size. */
export function punchedOpening({
  inside,
  kit,
}: Pick<StyleBrief<unknown>, 'inside' | 'kit'>): RoundOpening | undefined {
  const { least, target } = openingNeeded(inside);
  const punched = roundPunches(kit.punches).find(
    (wide) => wide * flat >= minus(least, hair) && wide <= plus(target, slip),
  );
  if (punched === undefined) return undefined;
  const clear = nanometres(Math.floor(punched * flat));
  const radius = half(punched);
  return {
    wide: { least: punched, target: punched },
    clear,
    radius,
    cutout: (centre) => ({ shape: 'hole', use: 'punched seat', centre, radius }),
    room: (high) => roundRoom(toMillimetres(clear) / 2 / flat, high),
  };
}

/** Why none of the maker's punches makes an opening. */
export function noPunchFor(
  option: string,
  { inside, kit }: Pick<StyleBrief<unknown>, 'inside' | 'kit'>,
): Refusal {
  const { unit } = kit.trimmer;
  const { least, target } = openingNeeded(inside);
  const sizes = roundPunches(kit.punches)
    .filter((wide) => wide >= smallestOpening)
    .map((wide) => formatWithUnit(wide, unit));
  const come =
    sizes.length === 0 ? 'there is none in this kit' : `they come in ${sizes.join(', ')}`;
  return {
    field: `style.options.${option}`,
    message: `No round punch makes an opening between ${formatWithUnit(least, unit)} and ${formatWithUnit(plus(target, slip), unit)}; ${come}.`,
  };
}
