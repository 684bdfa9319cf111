export { compareStyles, largestGift, requestIn, scaledGift, type Compared } from './compare.ts';
export { figuresOf, type BoxFigures } from './figures.ts';
