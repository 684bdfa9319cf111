import script from './planner-worker.ts?worker&url';
import { tasksInPageKey } from './tasks-in-page.ts';
import type { Tasks } from './tasks.ts';

/** The planner’s script: it is a program of its own, so that a page which plans nothing itself reads nothing of it. */
export const plannerScript = script;

function isTasks(left: unknown): left is Tasks {
  return typeof left === 'object' && left !== null && 'planBox' in left;
}

/** @throws Error where the script can't be had. */
async function loadTasks(): Promise<Tasks> {
  // Tests have no script that was built.
  if (import.meta.env.DEV) return (await import('./tasks.ts')).tasks;
  await import(/* @vite-ignore */ script);
  const left: unknown = Reflect.get(globalThis, tasksInPageKey);
  if (!isTasks(left)) throw new Error('The planner’s script is another one');
  return left;
}

/** Milliseconds after which the script is asked for again, when it could not be had. */
const pause = 3000;

/** The tasks of the planner in the page itself, as soon as their script can be had. */
export async function tasksInPage(): Promise<Tasks> {
  for (;;)
    try {
      return await loadTasks();
    } catch {
      await new Promise((resolve) => setTimeout(resolve, pause));
    }
}
