export { kitSchema, type Kit } from './kit.ts';
export { roundPunches } from './punches.ts';
export { genericBoards, scoringBoardSchema, type ScoringBoard } from './scoring-board.ts';
export {
  kitAsItIs,
  kitFor,
  shippedToolbox,
  toolboxSchema,
  toolsAtHand,
  type Toolbox,
} from './toolbox.ts';
export { genericTrimmers, trimmerSchema, type Trimmer } from './trimmer.ts';
