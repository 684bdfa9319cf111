import { uprightSlit, type Refusal, type Worn } from '../forms/index.ts';
import {
  formatWithUnit,
  half,
  millimetres,
  minus,
  plus,
  roundUp,
  times,
  type Length,
} from '../length/index.ts';
import { gridPositions, type Cutout } from '../piece/index.ts';
import type { DressBrief } from './addition.ts';
import type { BandPieces } from './band-cut.ts';

/** So much longer a slit is than the ribbon is wide, and so much card is left beyond its ends, each. */
const longer = millimetres(2);
const leastBeyond = millimetres(3);

/** How far the two slits are apart, and how wide the panel must be for them. */
export const slitsApart = millimetres(16);
const leastPanel = times(slitsApart, 2);

/** The widest ribbon that goes through slits in a band of this width; less than none where none does. */
export function widestThrough(band: Length): Length {
  return minus(band, plus(longer, times(leastBeyond, 2)));
}

/** Two slits across a strip, with the same place in the middle between them. */
function slitsAt(middle: Length, ribbon: Length, width: Length): readonly Cutout[] {
  const long = plus(ribbon, longer);
  const top = half(minus(width, long));
  return [-0.5, 0.5].map((side) =>
    uprightSlit({
      use: 'ribbon slit',
      at: plus(middle, times(slitsApart, side)),
      from: top,
      to: plus(top, long),
    }),
  );
}

type Slit =
  { readonly ok: true; readonly worn: Worn } | { readonly ok: false; readonly refusal: Refusal };

/** A band with two slits where it is seen, that a ribbon of this width goes out through. */
export function slitForRibbon(
  { worn, seen }: BandPieces,
  ribbon: Length,
  {
    field,
    unit,
    step,
    mayBeAsWide,
  }: Pick<DressBrief, 'field' | 'unit' | 'step'> & {
    /** Whether a wider band would go there. */
    readonly mayBeAsWide: (width: Length) => boolean;
  },
): Slit {
  const [strip, ...others] = worn.pieces;
  const { columns, rows } = strip?.grid ?? { columns: [], rows: [] };
  const [width, panel] = [rows[0], columns[seen]];
  if (!strip || width === undefined || panel === undefined) return { ok: true, worn };
  if (ribbon > widestThrough(width)) {
    const nearest = roundUp(plus(width, minus(ribbon, widestThrough(width))), step);
    const [narrow, wide, would] = [width, ribbon, nearest].map((each) =>
      formatWithUnit(each, unit),
    );
    const isHelp = mayBeAsWide(nearest);
    const way = isHelp
      ? `It would go through one ${would ?? ''} wide.`
      : 'No wider one goes there: take a narrower ribbon, or let it go round the box.';
    return {
      ok: false,
      refusal: {
        field: `${field}.width`,
        message: `A band ${narrow ?? ''} wide is too narrow for slits that a ribbon ${wide ?? ''} wide goes through. ${way}`,
        ...(isHelp && { nearest }),
      },
    };
  }
  if (panel < leastPanel)
    return {
      ok: false,
      refusal: {
        field,
        message:
          'The band is too short where it is seen for the two slits that a ribbon goes through. Let the ribbon go round the box.',
      },
    };
  const middle = plus(gridPositions(columns)[seen] ?? ribbon, half(panel));
  const { grid } = strip;
  const cutouts = [...grid.cutouts, ...slitsAt(middle, ribbon, width)];
  return {
    ok: true,
    worn: { ...worn, pieces: [{ ...strip, grid: { ...grid, cutouts } }, ...others] },
  };
}
