import {
  directedRoom,
  projectDocumentSchema,
  kitAsItIs,
  type Kit,
  type DirectedRoom,
  type PlanRequest,
  type ProjectDocument,
  type Unit,
} from '@rangoli/core';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import { createProject, restoreProject } from '../api/projects.ts';
import { asOwnBox, readBox, type Boxes } from '../keeping/boxes.ts';
import type { Replica, Standing } from '../keeping/replica.ts';
import { canFit, fitted, readyToFit } from '../planner/finished-size.ts';
import type { BoxTold, Planned } from '../planner/tell.ts';
import type { Refused } from '../planner/tasks.ts';
import { usePlanned } from '../planner/use-planned.ts';
import { record, startHistory, stepBack, stepForward, type History } from './history.ts';
import { useKeeping } from './keeping.ts';
import { usePress } from './press.ts';
import { useToolbox } from './toolbox.ts';
import { useUsualUnit } from './usual-unit.ts';

/** Opening a project: it is on its way, here, or can't be had. */
export type OpenState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'open' }
  | { readonly kind: 'missing' }
  | { readonly kind: 'failed'; readonly message: string };

/** How the open box stands between this browser and the server. */
export type SaveState = Standing<ProjectDocument>;

/** The last plan that came out, with the request that it answers and what is said of it. */
interface GoodPlan extends Planned {
  readonly told: BoxTold;
}

/** What is kept elsewhere and goes along with a change of the document: back with undo, and forth with redo. */
export interface Companion {
  readonly undo: () => void;
  readonly redo: () => void;
}

function now(what: string, press?: number) {
  return { what, at: Date.now(), press };
}

/**
 * The open project: its document with undo, the plan that follows from it, and its way to the server.
 */
export const useProject = defineStore('project', () => {
  const id = shallowRef('');
  const openState = shallowRef<OpenState>({ kind: 'opening' });
  const saveState = shallowRef<SaveState>({ kind: 'saved' });
  const history = shallowRef<History<ProjectDocument>>();
  const usualUnit = useUsualUnit();
  const tools = useToolbox();
  const keeping = useKeeping();
  const pressHeld = usePress();
  let replica: Replica<ProjectDocument> | undefined;
  /** What goes along with the step from a state to the next one. */
  const companions = new WeakMap<ProjectDocument, Companion>();

  const document = computed(() => history.value?.present);
  const canUndo = computed(() => (history.value?.past.length ?? 0) > 0);
  const canRedo = computed(() => (history.value?.future.length ?? 0) > 0);
  const planned = usePlanned(() => document.value?.box);
  /** The plan to show: the one for these numbers, or the last that came out. */
  const shown = shallowRef<GoodPlan>();
  watch(
    planned,
    (now) => {
      if (!now) shown.value = undefined;
      else if (now.result.ok) {
        const { plan, told } = now.result;
        shown.value = { plan, request: now.request, told };
      }
    },
    { flush: 'sync' },
  );
  /** Whether what is shown is not yet for the box as it is now. */
  const isPlanning = computed(() => planned.value?.request !== document.value?.box);
  /** The request that came to nothing, and why. */
  const refused = computed((): Refused | undefined => {
    const now = planned.value;
    return now?.result.ok === false
      ? { request: now.request, problems: now.result.problems }
      : undefined;
  });
  const problems = computed(() => refused.value?.problems ?? []);

  /** Follows a box in all that becomes of it; what is told of another one than the open one is not shown. */
  function follow(opened: Replica<ProjectDocument>, boxes: Boxes): void {
    replica = opened;
    const before = startHistory(opened.heldValue);
    // A change that an earlier visit could not send goes on from where it was.
    history.value = opened.isWaiting ? record(before, opened.value, now('earlier change')) : before;
    saveState.value = opened.standing;
    openState.value = { kind: 'open' };
    boxes.keeper.listen(id.value, {
      onStanding: (standing) => {
        if (replica === opened) saveState.value = standing;
      },
      onValue: (value) => {
        if (replica === opened && history.value)
          history.value = stepTo(history.value, value, now('elsewhere'));
      },
    });
  }

  async function open(wanted: string): Promise<void> {
    void tools.refresh();
    const left = id.value;
    id.value = wanted;
    openState.value = { kind: 'opening' };
    history.value = undefined;
    replica = undefined;
    // Asked while this browser still looks for what it knows.
    const reading = readBox(wanted);
    const boxes = await keeping.boxes;
    // What of the box before has not been sent goes on being sent; else it is read anew when it is opened again.
    if (left !== wanted) boxes.keeper.rest(left);
    const opened = await boxes.open(wanted, reading);
    if (id.value !== wanted) return;
    if (opened.kind === 'open') follow(opened.replica, boxes);
    else openState.value = opened;
  }

  // What could not be opened for want of an answer is opened as soon as there is one.
  keeping.onReturn(() => {
    if (openState.value.kind === 'failed') void open(id.value);
  });

  /** The history with a state more. What went along with another way forward from here is of no use any more. */
  function stepTo(
    before: History<ProjectDocument>,
    present: ProjectDocument,
    moment: ReturnType<typeof now>,
    companion?: Companion,
  ): History<ProjectDocument> {
    const after = record(before, present, moment);
    const from = after.past.at(-1);
    if (from && companion) companions.set(from, companion);
    else if (from && after.past !== before.past) companions.delete(from);
    return after;
  }

  function adopt(next: History<ProjectDocument>): void {
    if (next === history.value) return;
    history.value = next;
    replica?.change(next.present);
  }

  /**
   * Changes the document; `what` names the thing changed, so that dragging it is one step to undo. A
   * document that its schema refuses is not taken.
   */
  function change(
    what: string,
    make: (document: ProjectDocument) => ProjectDocument,
    companion?: Companion,
  ): void {
    if (!history.value) return;
    const next = projectDocumentSchema.safeParse(make(history.value.present));
    if (next.success) adopt(stepTo(history.value, next.data, now(what, pressHeld()), companion));
  }

  function changeBox(what: string, part: Partial<PlanRequest>, companion?: Companion): void {
    const asked = id.value;
    const make = (whole: ProjectDocument) => {
      const isOther = part.style !== undefined && part.style.style !== whole.box.style.style;
      // Another kind of box is cut of other pieces.
      const made = part.made ?? (isOther ? [] : whole.box.made);
      // Who changes the gift itself asks for no finished size any more.
      const finished = part.gift ? part.finished : (part.finished ?? whole.box.finished);
      return { ...whole, box: fitted({ ...whole.box, ...part, made, finished }) };
    };
    change(what, make, companion);
    // The gift follows as soon as it can be found.
    const box = document.value?.box;
    if (box && !canFit(box))
      void readyToFit().then(() => {
        const now = document.value?.box;
        // What was taken back meanwhile, or is found already, is no change.
        const isOff = now && JSON.stringify(fitted(now)) !== JSON.stringify(now);
        if (id.value === asked && isOff) changeBox(what, {});
      });
  }

  /** Plans the box anew, as if nothing of it were made; room that was given up for what is made is asked for again. */
  function forgetMade(): void {
    const room = document.value?.box.room;
    if (!room) return;
    const again = (each: DirectedRoom) => {
      const asked = directedRoom(each.target);
      return each.floor < asked.floor ? asked : each;
    };
    changeBox('rescue', {
      made: [],
      room: { across: again(room.across), deep: again(room.deep), high: again(room.high) },
    });
  }

  /** The box's tools as they are in the toolbox now, where they have become others since it was planned. */
  const toolsNow = computed((): Kit | undefined => {
    const kit = document.value?.box.kit;
    if (!tools.isHere || !kit) return undefined;
    const now = kitAsItIs(kit, tools.toolbox);
    return JSON.stringify(now) === JSON.stringify(kit) ? undefined : now;
  });

  /** Plans the box for its tools as they are now; a box in the making keeps its plan until the maker says so. */
  function takeToolsNow(): void {
    if (toolsNow.value) changeBox('kit', { kit: toolsNow.value });
  }

  function undo(): void {
    if (!history.value) return;
    const next = stepBack(history.value);
    if (next !== history.value) companions.get(next.present)?.undo();
    adopt(next);
  }

  function redo(): void {
    if (!history.value) return;
    const next = stepForward(history.value);
    if (next !== history.value) companions.get(history.value.present)?.redo();
    adopt(next);
  }

  /** Shows figures in this unit: the box and its tools stay as they are. New boxes start in it. */
  function readIn(unit: Unit): void {
    if (!document.value || document.value.box.unit === unit) return;
    usualUnit.value = unit;
    changeBox('unit', { unit });
  }

  /** Ends a conflict: the fields in question become as they are here. */
  function keepMine(): void {
    replica?.resolve('mine');
  }

  /** Ends a conflict: the fields in question become as they are there; undo leads back to what was here. */
  function takeTheirs(): void {
    replica?.resolve('theirs');
  }

  /** Stores this state as a box of its own and goes on with the other one; the copy's id. */
  async function keepBoth(): Promise<string | undefined> {
    const mine = history.value?.present;
    const opened = replica;
    if (saveState.value.kind !== 'conflict' || !mine) return undefined;
    const copy = await createProject(asOwnBox(mine));
    opened?.takeTheirs();
    return copy.id;
  }

  /** Sends once more what was refused or could not be sent. */
  function tryAgain(): void {
    replica?.tryAgain();
  }

  /** Puts a box that was deleted elsewhere back on the shelf, with what was changed here. */
  async function putBack(): Promise<void> {
    const opened = replica;
    await restoreProject(id.value);
    opened?.tryAgain();
  }

  /** Sends what is pending, on leaving the view. */
  function flush(): void {
    void replica?.flush();
  }

  return {
    id,
    openState,
    saveState,
    document,
    canUndo,
    canRedo,
    shown,
    isPlanning,
    refused,
    problems,
    toolsNow,
    takeToolsNow,
    open,
    change,
    changeBox,
    forgetMade,
    undo,
    redo,
    readIn,
    keepMine,
    takeTheirs,
    keepBoth,
    tryAgain,
    putBack,
    flush,
  };
});
