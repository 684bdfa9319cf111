import type { StampSpot } from '../fold/index.ts';
import { formatWithUnit, type Unit } from '../length/index.ts';
import type { NameOf } from './said.ts';

/** Something that is stamped or stuck on a flat piece, as it is said at the table; `laid` tells how the piece lies. */
export function spotSentences(
  { piece, use, fromLeft, fromTop, top, isPlain }: StampSpot,
  nameOf: NameOf,
  { unit, laid }: { readonly unit: Unit; readonly laid: string | undefined },
): readonly string[] {
  const name = nameOf(piece).toLowerCase();
  const lies = laid === undefined || laid === '' ? '' : `, ${laid}`;
  const [left, down] = [formatWithUnit(fromLeft, unit), formatWithUnit(fromTop, unit)];
  const does = use === 'stamp' ? 'Stamp it' : 'Put a sticker on it';
  const end = top.includes(' ') ? `${top} corner` : `${top} edge`;
  return [
    `Lay the ${name} flat${isPlain ? ', outside up' : ''}${lies}.`,
    ...(isPlain ? [] : ['Turn it over like a page, outside up.']),
    `${does}, the middle ${left} from the left edge and ${down} from the top edge, its top towards the ${end}.`,
    ...(use === 'stamp' ? ['Let it dry.'] : []),
  ];
}
