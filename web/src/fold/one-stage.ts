import type { FoldStage } from './fold-stage.ts';

/** Kept when its box is left, for the next one: a browser has few contexts for drawing in space. */
let kept: FoldStage | undefined;

/**
 * The stage of the application with its canvas, empty; one of its own while another box has that.
 * @throws Error where there is no WebGL, or where the script can't be had.
 */
export async function borrowStage(): Promise<FoldStage> {
  const { FoldStage } = await import('./fold-stage.ts');
  const stage = kept ?? new FoldStage();
  kept = undefined;
  return stage;
}

/** Gives a stage back: it is emptied and kept for the next box. */
export function returnStage(stage: FoldStage): void {
  stage.rest();
  if (kept) stage.dispose();
  else kept = stage;
}
