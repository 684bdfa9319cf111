import type { WayOut } from '@rangoli/core';
import { defineStore } from 'pinia';
import { shallowRef, watch } from 'vue';
import type { Recount } from './making.ts';
import { useProject } from './project.ts';

/** What became of the count of boxes, where a way out puts several in the place of one. */
export type Counted = ({ readonly kind: 'counted' } & Recount) | { readonly kind: 'not counted' };

/** What is taken of a way out. */
type Taken = Pick<WayOut, 'kind' | 'part'> & { readonly boxes?: number | undefined };

/** What knows of the making comes when it is needed. */
async function recount(box: string, countFor: (now: number) => number): Promise<Recount> {
  const { useMaking } = await import('./making.ts');
  return useMaking().recount(box, countFor);
}

/**
 * Ways out that are taken. Where several boxes take the place of one, so many are made; undo and redo of the box take
 * the count along, unless it has become another one meanwhile.
 */
export const useWaysOutTaken = defineStore('ways out', () => {
  const project = useProject();
  /** What is to be told, as long as the box is as the way out made it. */
  const counted = shallowRef<Counted>();
  watch(
    () => project.document,
    () => {
      counted.value = undefined;
    },
    { flush: 'sync' },
  );

  /** Counts are set one after the other: each goes by the one before. */
  let counting: Promise<unknown> = Promise.resolve();
  function count(box: string, countFor: (now: number) => number): Promise<Recount | undefined> {
    const next = counting.then(() => recount(box, countFor)).catch(() => undefined);
    counting = next;
    return next;
  }

  async function take({ kind, part, boxes }: Taken): Promise<void> {
    const what = `way out ${kind}`;
    if (boxes === undefined) {
      project.changeBox(what, part);
      return;
    }
    const box = project.id;
    const before = project.document;
    /** What came of the count. */
    const change: { made?: Recount | undefined } = {};
    // In the row from the moment that they are asked for: what they go by is known when it is their turn.
    const setBack = () => count(box, (now) => (now === change.made?.to ? change.made.from : now));
    const setAgain = () => count(box, (now) => (now === change.made?.from ? change.made.to : now));
    project.changeBox(what, part, { undo: () => void setBack(), redo: () => void setAgain() });
    const after = project.document;
    if (after === before) return;
    const made = await count(box, (now) => now * boxes);
    change.made = made;
    if (project.document !== after) return;
    if (!made) counted.value = { kind: 'not counted' };
    else if (made.from !== made.to) counted.value = { kind: 'counted', ...made };
  }

  function close(): void {
    counted.value = undefined;
  }

  return { counted, take, close };
});
