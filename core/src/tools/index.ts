export {
  genericBoards,
  genericTrimmers,
  kitSchema,
  scoringBoardSchema,
  trimmerSchema,
  type Kit,
  type ScoringBoard,
  type Trimmer,
} from './kit.ts';
export { roundPunches } from './punches.ts';
