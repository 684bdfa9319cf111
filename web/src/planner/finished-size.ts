import type { PlanRequest } from '@rangoli/core';
import { tasksInPage } from './load-tasks.ts';
import type { Tasks } from './tasks.ts';

let tasks: Tasks | undefined;
let coming: Promise<void> | undefined;

async function load(): Promise<void> {
  tasks = await tasksInPage();
}

/** Whether a gift can be found for the finished size that a box asks for, where it asks for one. */
export function canFit({ finished }: PlanRequest): boolean {
  return finished === undefined || tasks !== undefined;
}

/** Resolves once gifts can be found for finished sizes: that takes the planner’s script, in the page itself. */
export function readyToFit(): Promise<void> {
  coming ??= load();
  return coming;
}

/** The box with the gift that comes to the finished size that it asks for; as it is, while that can’t be found. */
export function fitted(box: PlanRequest): PlanRequest {
  return box.finished && tasks ? tasks.withFinishedSize(box) : box;
}
