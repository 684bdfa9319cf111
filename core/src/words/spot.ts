import type { SpotUse, StampSpot } from '../fold/index.ts';
import { formatWithUnit, type Unit } from '../length/index.ts';
import type { NameOf } from './said.ts';

const done: Readonly<Record<SpotUse, string>> = {
  stamp: 'Stamp it',
  sticker: 'Put a sticker on it',
  punch: 'Punch the shape out of it',
};

/** Something that is stamped, stuck on a flat piece or punched out of it, as it is said at the table; `laid` tells how the piece lies. */
export function spotSentences(
  { piece, use, fromLeft, fromTop, top, isPlain }: StampSpot,
  nameOf: NameOf,
  { unit, laid }: { readonly unit: Unit; readonly laid: string | undefined },
): readonly string[] {
  const name = nameOf(piece).toLowerCase();
  const lies = laid === undefined || laid === '' ? '' : `, ${laid}`;
  const [left, down] = [formatWithUnit(fromLeft, unit), formatWithUnit(fromTop, unit)];
  const end = top.includes(' ') ? `${top} corner` : `${top} edge`;
  return [
    `Lay the ${name} flat${isPlain ? ', outside up' : ''}${lies}.`,
    ...(isPlain ? [] : ['Turn it over like a page, outside up.']),
    `${done[use]}, the middle ${left} from the left edge and ${down} from the top edge, its top towards the ${end}.`,
    ...(use === 'stamp' ? ['Let it dry.'] : []),
  ];
}
