import '../no-eval.ts';
import { expose } from 'comlink';
import { tasks } from './tasks.ts';
import { tasksInPageKey } from './tasks-in-page.ts';

// The page loads it too, where there is no worker.
if (typeof document === 'undefined') expose(tasks);
else Reflect.set(globalThis, tasksInPageKey, tasks);
