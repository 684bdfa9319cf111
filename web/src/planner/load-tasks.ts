import script from './planner-worker.ts?worker&url';
import type { Tasks } from './tasks.ts';

/** The planner’s script: it is a program of its own, so that a page which plans nothing itself reads nothing of it. */
export const plannerScript = script;

function hasTasks(loaded: unknown): loaded is { readonly tasks: Tasks } {
  return typeof loaded === 'object' && loaded !== null && 'tasks' in loaded;
}

/**
 * The tasks of the planner in the page itself.
 * @throws Error where its script can't be had.
 */
export async function loadTasks(): Promise<Tasks> {
  // Tests have no script that was built.
  if (import.meta.env.DEV) return (await import('./tasks.ts')).tasks;
  const loaded: unknown = await import(/* @vite-ignore */ script);
  if (!hasTasks(loaded)) throw new Error('The planner’s script is another one');
  return loaded.tasks;
}
