import type { PlanRequest } from '@rangoli/core';
import { wrap, type Remote } from 'comlink';
import { plannerScript, tasksInPage } from './load-tasks.ts';
import type { PlannedAndTold } from './plan-and-tell.ts';
import type { PlannedUnread, Tasks } from './tasks.ts';

/** Has the tasks do something, and gives what comes of it. */
type Planner = <Result>(
  work: (tasks: Tasks | Remote<Tasks>) => Result | Promise<Result>,
) => Promise<Result>;

/** A planner in a worker of its own; one in the page where there are no workers, or its script has not come. */
function startPlanner(): Planner {
  if (typeof Worker === 'undefined') return async (work) => work(await tasksInPage());
  const worker = new Worker(plannerScript, { type: 'module' });
  const beside = wrap<Tasks>(worker);
  const lost = new Promise<undefined>((resolve) => {
    worker.addEventListener('error', () => resolve(undefined));
  });
  return async (work) => {
    const answering = Promise.resolve(work(beside)).then((result) => ({ result }));
    const answered = await Promise.race([answering, lost]);
    return answered ? answered.result : work(await tasksInPage());
  };
}

let startedPlanner: Planner | undefined;

/** Plans boxes; it has nothing else to do, so that it always answers at once. */
export const planner: Planner = (work) => {
  startedPlanner ??= startPlanner();
  return startedPlanner(work);
};

/** Starts the planner, so that it is there when it is first asked. */
export function startPlanning(): void {
  startedPlanner ??= startPlanner();
}

let ahead: Promise<PlannedUnread | undefined> | undefined;

/** Plans a box as soon as the server has answered, whoever asks for its plan later; nobody waits for a slow server. */
export async function planAhead(reading: Promise<unknown>): Promise<void> {
  try {
    const document = await reading;
    ahead = planner((tasks) => tasks.planUnread(document)).catch(() => undefined);
  } catch {
    // Who asks for the box hears of it.
  }
}

/** The plan that was made ahead, where it is for this request; asked once. */
export async function takePlanAhead(request: PlanRequest): Promise<PlannedAndTold | undefined> {
  const mine = ahead;
  ahead = undefined;
  const planned = await mine;
  return planned?.request === JSON.stringify(request) ? planned.result : undefined;
}

let startedSearcher: Planner | undefined;

/** Looks for what takes its time: kinds to compare, limits, ways out. It starts when the page has nothing else to do, or is first asked. */
export const searcher: Planner = (work) => {
  startedSearcher ??= startPlanner();
  return startedSearcher(work);
};

/** Has the searcher’s script come ahead, so that it is there when the server is away. */
export async function startSearcher(): Promise<void> {
  await searcher(() => undefined);
}
