import { hasRuler, type Kit } from '../tools/index.ts';
import type { FlatOperation } from './operation.ts';

/** A tool that the work needs and the kit lacks, with what needs it. */
export interface MissingTool {
  readonly tool: 'ruler';
  readonly operations: readonly FlatOperation[];
}

/** Whether an operation is done along a ruler. */
function isRuled(operation: FlatOperation): boolean {
  return (
    operation.kind === 'slanted score' ||
    ((operation.kind === 'score' || operation.kind === 'mark') && operation.tool === 'ruler')
  );
}

/** What the work needs that the kit lacks: lines off the tools' marks want a ruler. */
export function missingTools(
  operations: readonly FlatOperation[],
  kit: Kit,
): readonly MissingTool[] {
  const ruled = operations.filter(isRuled);
  return hasRuler(kit) || ruled.length === 0 ? [] : [{ tool: 'ruler', operations: ruled }];
}
