import {
  directedRoom,
  directions,
  planBox,
  projectDocumentSchema,
  roundRoom,
  kitAsItIs,
  kitFor,
  type Kit,
  type Plan,
  type DirectedRoom,
  type PlanRequest,
  type ProjectDocument,
  type Room,
  type Unit,
} from '@rangoli/core';
import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import {
  createProject,
  readProject,
  Refusal,
  updateProject,
  type StoredProject,
} from '../api/projects.ts';
import { forgetUnsaved, keepUnsaved, readUnsaved } from '../api/unsaved.ts';
import { record, startHistory, stepBack, stepForward, type History } from './history.ts';
import { useToolbox } from './toolbox.ts';
import { useUsualUnit } from './usual-unit.ts';
import { isSameDocument, Saver, type SaveState } from './saver.ts';

/** Opening a project: it is on its way, here, or can't be had. */
export type OpenState =
  | { readonly kind: 'opening' }
  | { readonly kind: 'open' }
  | { readonly kind: 'missing' }
  | { readonly kind: 'failed'; readonly message: string };

/** The last plan that came out, with the request that it answers. */
interface GoodPlan {
  readonly plan: Plan;
  readonly request: PlanRequest;
}

/** What was set on a ruler when it was left, and what the room became on the other one. */
interface LeftRuler {
  readonly kit: Kit;
  readonly room: Room;
  readonly became: Room;
}

function isSameRoom(a: Room, b: Room): boolean {
  return directions.every((direction) => a[direction].target === b[direction].target);
}

/** Room is wished for, not measured, so on another ruler it is a round figure again. */
function roundEvery(room: Room, unit: Unit): Room {
  const round = (direction: keyof Room) => directedRoom(roundRoom(room[direction].target, unit));
  return { across: round('across'), deep: round('deep'), high: round('high') };
}

/**
 * The open project: its document with undo, the plan that follows from it, and its way to the server.
 */
export const useProject = defineStore('project', () => {
  const id = shallowRef('');
  const openState = shallowRef<OpenState>({ kind: 'opening' });
  const saveState = shallowRef<SaveState>({ kind: 'saved' });
  const history = shallowRef<History<ProjectDocument>>();
  const otherRulers = shallowRef<Partial<Record<Unit, LeftRuler>>>({});
  const usualUnit = useUsualUnit();
  const tools = useToolbox();
  let saver: Saver | undefined;
  let lastGood: GoodPlan | undefined;

  const document = computed(() => history.value?.present);
  const canUndo = computed(() => (history.value?.past.length ?? 0) > 0);
  const canRedo = computed(() => (history.value?.future.length ?? 0) > 0);
  const result = computed(() => document.value && planBox(document.value.box));
  /** The plan to show: the one for these numbers, or the last that came out. */
  const shown = computed((): GoodPlan | undefined => {
    if (document.value && result.value?.ok)
      lastGood = { plan: result.value.plan, request: document.value.box };
    return lastGood;
  });
  const problems = computed(() => (result.value?.ok === false ? result.value.problems : []));

  function begin(project: StoredProject): void {
    lastGood = undefined;
    history.value = startHistory(project.document);
    saver = new Saver(project.revision, {
      save: (revision, changed) => updateProject(project.id, revision, changed),
      onState: (state) => (saveState.value = state),
      onSaved: () => {
        if (!saver?.pending) forgetUnsaved(project.id);
      },
    });
    saveState.value = { kind: 'saved' };
    openState.value = { kind: 'open' };
  }

  async function open(wanted: string): Promise<void> {
    void tools.open();
    id.value = wanted;
    openState.value = { kind: 'opening' };
    history.value = undefined;
    try {
      const project = await readProject(wanted);
      if (id.value !== wanted) return;
      begin(project);
      takeUpUnsaved(project);
    } catch (error) {
      if (id.value !== wanted) return;
      openState.value =
        error instanceof Refusal && error.status === 404
          ? { kind: 'missing' }
          : { kind: 'failed', message: error instanceof Error ? error.message : 'It broke.' };
    }
  }

  /** A change that an earlier visit could not send goes on from where it was. */
  function takeUpUnsaved(project: StoredProject): void {
    const unsaved = readUnsaved(project.id);
    if (!unsaved || !history.value) return;
    if (isSameDocument(unsaved.document, project.document)) {
      forgetUnsaved(project.id);
      return;
    }
    history.value = record(history.value, unsaved.document, 'earlier change', Date.now());
    if (unsaved.revision === project.revision) saver?.change(unsaved.document);
    else {
      const theirs = project;
      saver = undefined;
      begin({ ...project, document: unsaved.document });
      saveState.value = { kind: 'conflict', theirs };
    }
  }

  function adopt(next: History<ProjectDocument>): void {
    if (next === history.value) return;
    history.value = next;
    if (!saver) return;
    keepUnsaved(id.value, saver.revision, next.present);
    if (saveState.value.kind !== 'conflict') saver.change(next.present);
  }

  /**
   * Changes the document; `what` names the thing changed, so that dragging it is one step to undo. A
   * document that its schema refuses is not taken.
   */
  function change(what: string, make: (document: ProjectDocument) => ProjectDocument): void {
    if (!history.value) return;
    const next = projectDocumentSchema.safeParse(make(history.value.present));
    if (next.success) adopt(record(history.value, next.data, what, Date.now()));
  }

  function changeBox(what: string, part: Partial<PlanRequest>): void {
    change(what, (whole) => {
      const isOther = part.style !== undefined && part.style.style !== whole.box.style.style;
      // Another kind of box is cut of other pieces.
      const made = part.made ?? (isOther ? [] : whole.box.made);
      return { ...whole, box: { ...whole.box, ...part, made } };
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

  // A tool that was changed in the kit is changed in the box that uses it.
  watch(
    () => [tools.isHere, tools.toolbox, openState.value.kind] as const,
    ([isHere, toolbox, kind]) => {
      const kit = document.value?.box.kit;
      if (!isHere || kind !== 'open' || !kit) return;
      const now = kitAsItIs(kit, toolbox);
      if (JSON.stringify(now) !== JSON.stringify(kit)) changeBox('kit', { kit: now });
    },
  );

  function undo(): void {
    if (history.value) adopt(stepBack(history.value));
  }

  function redo(): void {
    if (history.value) adopt(stepForward(history.value));
  }

  /** Reads the other ruler, with the tools that go with it; the way back leads to the same box. */
  function readIn(unit: Unit): void {
    const box = document.value?.box;
    if (!box || box.unit === unit) return;
    const left = otherRulers.value[unit];
    const room = left && isSameRoom(left.became, box.room) ? left.room : roundEvery(box.room, unit);
    otherRulers.value = {
      ...otherRulers.value,
      [box.unit]: { kit: box.kit, room: box.room, became: room },
    };
    usualUnit.value = unit;
    changeBox('unit', { unit, kit: left?.kit ?? kitFor(tools.toolbox, unit), room });
  }

  /** Stores this state over the other one. */
  function keepMine(): void {
    if (saveState.value.kind !== 'conflict' || !history.value || !saver) return;
    const { revision } = saveState.value.theirs;
    saveState.value = { kind: 'changed' };
    saver.change(history.value.present);
    saver.resume(revision);
  }

  /** Goes on with the other state; undo leads back to this one. */
  function takeTheirs(): void {
    if (saveState.value.kind !== 'conflict' || !history.value || !saver) return;
    const { theirs } = saveState.value;
    saver.drop();
    forgetUnsaved(id.value);
    history.value = record(history.value, theirs.document, 'theirs', Date.now());
    saver.resume(theirs.revision);
  }

  /** Stores this state as a box of its own and goes on with the other one; the copy's id. */
  async function keepBoth(): Promise<string | undefined> {
    const mine = history.value?.present;
    if (saveState.value.kind !== 'conflict' || !mine) return undefined;
    const name = `${mine.name.slice(0, 70)}, mine`;
    const copy = await createProject({ ...mine, name });
    takeTheirs();
    return copy.id;
  }

  /** Sends what is pending, on leaving the view or the page. */
  function flush(): void {
    void saver?.flush();
  }

  /** A last try as the page goes away; what it can't send waits in this browser. */
  function flushOnLeave(): void {
    if (!saver?.pending || saveState.value.kind === 'conflict') return;
    void updateProject(id.value, saver.revision, saver.pending, true).then(
      () => {
        forgetUnsaved(id.value);
      },
      () => undefined,
    );
  }

  return {
    id,
    openState,
    saveState,
    document,
    canUndo,
    canRedo,
    shown,
    problems,
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
    flush,
    flushOnLeave,
  };
});
