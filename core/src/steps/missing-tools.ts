import { hasRuler, type Kit } from '../tools/index.ts';
import type { Step } from './step.ts';

/** A tool that a plan needs and the kit lacks, with the steps that need it. */
export interface MissingTool {
  readonly tool: string;
  readonly steps: readonly Step[];
}

/** Whether a step is done along a ruler. */
function isRuled(step: Step): boolean {
  return step.kind === 'slant' || (step.kind === 'score' && step.tool === 'ruler');
}

/** What a plan needs that the kit lacks: lines off the tools' marks want a ruler. */
export function missingTools(steps: readonly Step[], kit: Kit): readonly MissingTool[] {
  const ruled = steps.filter(isRuled);
  return hasRuler(kit) || ruled.length === 0 ? [] : [{ tool: 'a ruler', steps: ruled }];
}
