import {
  carryOver,
  doneOf,
  goTo,
  isDone,
  mostBoxes,
  noFacts,
  noProgress,
  progressOf,
  redone,
  secondsLeft,
  setAside,
  stepAtHand,
  tell,
  undone,
  withDone,
  type Step,
  type LidCorners,
  type Progress,
} from '@rangoli/core';
import { until, useTimestamp } from '@vueuse/core';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { planner } from '../planner/planner.ts';
import type { ProgressKeeper } from '../keeping/progress-keeper.ts';
import type { PlannedBatch, PlannedJob } from '../planner/tell-job.ts';
import { useWorkedOut } from '../planner/use-worked-out.ts';
import { useDevice } from './device.ts';
import { useKeeping } from './keeping.ts';
import { useProject } from './project.ts';

/** Milliseconds after which the making goes on without the server: what it knows is added when it answers. */
const patience = 2500;

/** Where the progress of the open box is: on its way here, here, or kept in this browser only. */
export type ProgressState = 'opening' | 'kept' | 'here only';

/** A job with the batch that it is for. */
interface BatchJob extends PlannedJob {
  readonly batch: PlannedBatch;
}

/** How many of a box were made, and how many are made since. */
export interface Recount {
  readonly from: number;
  readonly to: number;
}

async function planFor(batch: PlannedBatch): Promise<BatchJob | undefined> {
  try {
    const planned = await planner((tasks) => tasks.planAndTellJob(batch));
    return { ...planned, batch };
  } catch (error) {
    console.error(error);
    return undefined;
  }
}

/** Hears what the server knows of the making of a box; false where it does not answer in time. */
function hear(keeper: ProgressKeeper, box: string): Promise<boolean> {
  const late = new Promise<boolean>((resolve) => setTimeout(() => resolve(false), patience));
  return Promise.race([keeper.talk(box), late]);
}

function placedAt(progress: Progress, at: string | null): Progress {
  return goTo(progress, at === null ? undefined : { id: at });
}

/** The making of the open box: the job, how far it has come, and its way to the server. */
export const useMaking = defineStore('making', () => {
  const project = useProject();
  const id = shallowRef('');
  const state = shallowRef<ProgressState>('opening');
  /** All that was told of the making, here and elsewhere, as far as it is known here. */
  const facts = shallowRef(noFacts());
  /** Where the maker has gone in this window: another one may be somewhere else. */
  const place = shallowRef<string | null>();
  const device = useDevice();
  const keeping = useKeeping();
  /** When the piece at hand was begun. */
  const begun = shallowRef(Date.now());
  const now = useTimestamp({ interval: 1000 });

  const stored = computed((): Progress => {
    const told = progressOf(facts.value);
    return place.value === undefined ? told : placedAt(told, place.value);
  });
  const boxes = computed(() => stored.value.boxes);
  const corners = computed(() => stored.value.lidCorners);
  const isRefused = computed(() => project.refused !== undefined);
  const batch = computed((): PlannedBatch | undefined => {
    if (id.value !== project.id || !project.shown || isRefused.value) return undefined;
    const { plan, request } = project.shown;
    return { plan, request, boxes: boxes.value, corners: corners.value };
  });
  const { workedOut, isWorking } = useWorkedOut(batch, planFor);
  /** The job, with the batch that it is for: that of before, while a newer one is planned. */
  const planned = computed(() => workedOut.value?.result);
  /** Whether the steps could not be put in order, by a fault of Rangoli's own. */
  const isFaulty = computed(() => workedOut.value !== undefined && planned.value === undefined);
  const job = computed(() => planned.value?.job);
  const progress = computed(() => (job.value ? carryOver(job.value, stored.value) : stored.value));
  const step = computed(() => job.value && stepAtHand(job.value, progress.value));
  /** Whether there are steps to make it by: else it is told why not. */
  const isReady = computed(
    () =>
      project.openState.kind === 'open' &&
      !isRefused.value &&
      state.value !== 'opening' &&
      planned.value !== undefined,
  );
  const isFinished = computed(
    () => job.value?.steps.every((each) => isDone(progress.value, each)) ?? false,
  );

  async function open(wanted: string): Promise<void> {
    id.value = wanted;
    state.value = 'opening';
    facts.value = noFacts();
    place.value = undefined;
    const keeper = await keeping.progress;
    keeper.listen(wanted, (known) => {
      if (id.value !== wanted) return;
      facts.value = known.facts;
      if (state.value !== 'opening') state.value = known.isAway ? 'here only' : 'kept';
    });
    const known = await keeper.known(wanted);
    if (id.value !== wanted) return;
    const hearing = hear(keeper, wanted);
    if (known) facts.value = known.facts;
    const answered = await hearing;
    if (id.value !== wanted) return;
    state.value = answered ? 'kept' : 'here only';
    begun.value = Date.now();
  }

  /** Nobody makes it any more: no job is planned for what becomes of the box. */
  function close(): void {
    const left = id.value;
    id.value = '';
    state.value = 'opening';
    void keeping.progress.then((keeper) => {
      if (id.value !== left) keeper.listen(left, undefined);
    });
  }

  function adopt(next: Progress): void {
    const told = tell(facts.value, next, { time: Date.now(), by: device });
    place.value = next.at ?? null;
    facts.value = told;
    const wanted = id.value;
    void keeping.progress.then((keeper) => {
      keeper.tell(wanted, told);
    });
  }

  /** So many pieces are through the step at hand. */
  function finish(copies: number): void {
    if (!job.value || !step.value) return;
    const seconds = (Date.now() - begun.value) / 1000;
    adopt(withDone(job.value, progress.value, { step: step.value, copies, seconds }));
    begun.value = Date.now();
  }

  function finishAll(): void {
    if (step.value) finish(step.value.copies - doneOf(progress.value, step.value));
  }

  function go(to: Step | undefined): void {
    adopt(goTo(progress.value, to));
    begun.value = Date.now();
  }

  /** So many steps forward, or back below zero; nothing counts as done by it. */
  function walk(steps: number): void {
    if (!job.value) return;
    const all = job.value.steps;
    const at = step.value ? all.indexOf(step.value) : all.length;
    const to = all[Math.min(all.length - 1, Math.max(0, at + steps))];
    if (to) go(to);
  }

  function doAgain(): void {
    if (step.value) adopt(undone(progress.value, step.value));
    begun.value = Date.now();
  }

  /** So many copies of a piece are cut again, and go through its steps once more. */
  function cutAgain(piece: string, copies: number): void {
    if (job.value) adopt(redone(job.value, progress.value, piece, copies));
    begun.value = Date.now();
  }

  /** So many boxes go on as one of their own, which is stored already; they take along what is made of them. */
  async function giveAway(count: number, to: string): Promise<void> {
    // The steps must be those of all the boxes that there are.
    await until(isWorking).toBe(false);
    if (!job.value) return;
    const { rest, aside } = setAside(job.value, progress.value, count);
    adopt(rest);
    const keeper = await keeping.progress;
    keeper.tell(to, tell(noFacts(), aside, { time: Date.now(), by: device }));
  }

  function setBoxes(count: number): void {
    adopt({ ...progress.value, boxes: count });
  }

  /** Has another count made of a box, which need not be the one that is made here, by how many of it are made now. */
  async function recount(box: string, countFor: (now: number) => number): Promise<Recount> {
    const keeper = await keeping.progress;
    // What this browser knows is told first, and what another tablet has told is heard.
    await keeper.known(box);
    await hear(keeper, box);
    const known = (await keeper.known(box))?.facts ?? noFacts();
    const before = progressOf(known);
    const to = Math.min(mostBoxes, countFor(before.boxes));
    if (to !== before.boxes)
      keeper.tell(box, tell(known, { ...before, boxes: to }, { time: Date.now(), by: device }));
    return { from: before.boxes, to };
  }

  function setLidCorners(lidCorners: LidCorners): void {
    adopt({ ...progress.value, lidCorners });
  }

  /** Everything from the beginning; the maker's pace is kept. */
  function startAnew(): void {
    const { lidCorners, spent } = progress.value;
    adopt({ ...noProgress(progress.value.boxes), lidCorners, spent });
    begun.value = Date.now();
  }

  const left = (each: Step) => secondsLeft(progress.value, each);
  /** Seconds that are left of the whole job. */
  const leftInAll = computed(
    () => job.value?.steps.reduce((sum, each) => sum + left(each), 0) ?? 0,
  );

  // A page that was out of sight was not worked by.
  watch(now, (time, before) => {
    if (time - before > 60_000) begun.value += time - before;
  });

  return {
    id,
    state,
    progress,
    planned,
    isFaulty,
    isReady,
    job,
    step,
    isFinished,
    leftInAll,
    open,
    close,
    finish,
    finishAll,
    go,
    walk,
    doAgain,
    cutAgain,
    giveAway,
    setBoxes,
    recount,
    setLidCorners,
    startAnew,
    left,
  };
});
