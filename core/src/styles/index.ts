export {
  firstStyle,
  frameStyle,
  styleChoiceSchema,
  styleNames,
  type StyleChoice,
  type StyleId,
} from './registry.ts';
export { type LiddedOptions } from './lidded.ts';
export {
  type Box,
  type BoxFit,
  type PieceFrame,
  type StyleBrief,
  type StyleFrame,
} from './style.ts';
