export { answerWith } from './answers.ts';
export {
  allStyles,
  firstStyle,
  styleChoiceSchema,
  styleSummary,
  traitsOf,
  optionValue,
  withOption,
  type StyleChoice,
  type StyleId,
  type StyleSummary,
} from './registry.ts';
export { type StyleTraits } from './define-style.ts';
export { type StyleOption } from './options.ts';
