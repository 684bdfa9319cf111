import { half, millimetres, minus, plus, type Length } from '../length/index.ts';
import type { Cutout, CutoutUse } from '../piece/index.ts';

/** As wide as a cut is that is made with a knife. */
const asWideAsACut = millimetres(0.5);

/** A slit straight up and down a piece, with its middle so far from the left edge. */
export function uprightSlit({
  use,
  at,
  from,
  to,
  wide = asWideAsACut,
}: {
  readonly use: CutoutUse;
  readonly at: Length;
  readonly from: Length;
  readonly to: Length;
  /** What card is pushed into is wider than a cut. */
  readonly wide?: Length;
}): Cutout {
  const [left, right] = [minus(at, half(wide)), plus(at, half(wide))];
  return {
    shape: 'trim',
    use,
    corners: [
      { x: left, y: from },
      { x: right, y: from },
      { x: right, y: to },
      { x: left, y: to },
    ],
  };
}
