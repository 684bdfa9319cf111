import { zero, type Length } from '../length/index.ts';
import { isNested } from './extents.ts';
import type { Gift, SeveralGift } from './gift.ts';

/** Whether things stand in rows both ways, so that strips between them cross. */
export function standsInRows(gift: Gift): gift is SeveralGift {
  return gift.shape === 'several' && gift.across > 1 && gift.deep > 1 && !isNested(gift);
}

/** Whether things stand in one row, side by side or one behind the other. */
export function standsInARow(gift: Gift): gift is SeveralGift {
  return gift.shape === 'several' && gift.across > 1 !== gift.deep > 1 && !isNested(gift);
}

/** The same things so far apart, where something is between them; as they are where their rows lie in each other’s gaps. */
export function apart(gift: Gift, between: Length): Gift {
  if (between === zero || gift.shape !== 'several' || isNested(gift)) return gift;
  return { ...gift, between };
}
