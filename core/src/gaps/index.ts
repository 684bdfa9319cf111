export { judgeGap, judgePair, type GapState } from './judge-gap.ts';
export { clearDepth, clearInside, foldToFoldFor, outside, wallFor } from './layers.ts';
export {
  drawerGap,
  handleGap,
  hingedFrontGap,
  hingedSidesGap,
  levelGap,
  lidGap,
  linerGap,
  seatGap,
  slackBeyond,
  stackGap,
  tuckGap,
} from './ranges.ts';
