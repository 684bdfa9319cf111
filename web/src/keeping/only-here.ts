import { z } from 'zod';
import type { BrowserStore } from './browser-store.ts';

/** Something that this browser has and the server does not. */
export interface OnlyHere {
  readonly kind: 'box' | 'making' | 'tool' | 'paper' | 'lesson';
  readonly id: string;
  /** What it is called; undefined for what has no name. */
  readonly name: string | undefined;
}

const kinds = { boxes: 'box', tools: 'tool', papers: 'paper', lessons: 'lesson' } as const;

const named = z.object({ name: z.string().min(1) });
const namedChange = z.object({
  mine: z.union([
    named,
    z.object({ tool: named }).transform(({ tool }) => tool),
    z.object({ paper: named }).transform(({ paper }) => paper),
  ]),
});
const heldSchema = z.object({ value: named });
const progressSchema = z.object({ isSent: z.boolean() });

function isKept(list: string): list is keyof typeof kinds {
  return list in kinds;
}

/** All that waits in this browser for the server, in whichever of its windows it was changed. */
export async function onlyHere(store: BrowserStore): Promise<readonly OnlyHere[]> {
  const found = new Map<string, OnlyHere>();
  for (const {
    key: [list, id],
    value,
  } of await store.list('changes')) {
    if (!isKept(list) || id === undefined) continue;
    const change = namedChange.safeParse(value);
    const name = change.success ? change.data.mine.name : undefined;
    found.set(`${list} ${id}`, { kind: kinds[list], id, name });
  }
  for (const {
    key: [id],
    value,
  } of await store.list('progress')) {
    const progress = progressSchema.safeParse(value);
    if (!progress.success || progress.data.isSent) continue;
    const held = heldSchema.safeParse(await store.read('held', ['boxes', id]));
    const name = held.success ? held.data.value.name : undefined;
    found.set(`making ${id}`, { kind: 'making', id, name });
  }
  return [...found.values()];
}
