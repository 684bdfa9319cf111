import type { Piece } from '../piece/index.ts';
import type { Threaded, ThreadOperation } from './operations/assembly.ts';

/** When something is threaded: while its wall is flat, before the gift, or to close the box. */
export type ThreadTime = 'flat' | 'before the gift' | 'to close';

/** A pull is knotted behind its wall, a ribbon ties the closed box. */
const times: readonly { readonly what: Threaded; readonly when: ThreadTime }[] = [
  { what: 'ribbon pull', when: 'flat' },
  { what: 'wire', when: 'before the gift' },
  { what: 'ribbon', when: 'to close' },
  { what: 'brad', when: 'to close' },
  { what: 'tongue', when: 'to close' },
];

/** What goes through the holes of a piece at a time. */
export function threadsOf({ id, grid }: Piece, wanted: ThreadTime): readonly ThreadOperation[] {
  return times
    .filter(({ when }) => when === wanted)
    .flatMap(({ what }): readonly ThreadOperation[] => {
      const cutouts = grid.cutouts.flatMap(({ use }, place) => (use === what ? [place] : []));
      return cutouts.length === 0 ? [] : [{ kind: 'thread', piece: id, what, cutouts }];
    });
}
