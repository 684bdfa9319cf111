export { compareStyles, largestGift, requestIn, type Compared } from './compare.ts';
export { planChanges, type KeptPart, type PieceChange, type PlanChanges } from './changes.ts';
export { figuresOf, type BoxFigures } from './figures.ts';
export {
  alikeGifts,
  frontierOf,
  furthest,
  largestOn,
  squareGifts,
  type FrontierPoint,
  type Furthest,
  type GiftFamily,
} from './frontier.ts';
export { largestEachWay, type LargestEachWay } from './largest-each-way.ts';
export { chosenBy, orders, wishes, type Order, type Wish } from './wishes.ts';
export { neatGiftThatFits, spareFor, stretchedAsFarAsItFits, type Stretched } from './grow-gift.ts';
