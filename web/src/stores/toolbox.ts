import {
  shippedToolbox,
  toolboxSchema,
  type Kept,
  type KindedTool,
  type Toolbox,
  type ToolKind,
} from '@rangoli/core';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { readToolbox, writeToolbox } from '../api/toolbox.ts';

const quiet = 500;
const retry = 3000;

/** The maker's tools, with their way to the server. */
export const useToolbox = defineStore('toolbox', () => {
  const toolbox = shallowRef<Toolbox>(shippedToolbox);
  const isHere = shallowRef(false);
  const trouble = shallowRef<string>();
  let opening: Promise<void> | undefined;
  let timer: ReturnType<typeof setTimeout> | undefined;

  async function load(): Promise<void> {
    try {
      toolbox.value = await readToolbox();
      isHere.value = true;
      trouble.value = undefined;
    } catch (error) {
      trouble.value = error instanceof Error ? error.message : 'It broke.';
      opening = undefined;
    }
  }

  /** Reads the tools once; every view that needs them may ask. */
  function open(): Promise<void> {
    opening ??= load();
    return opening;
  }

  async function send(keepalive = false): Promise<void> {
    clearTimeout(timer);
    timer = undefined;
    try {
      await writeToolbox(toolbox.value, keepalive);
      trouble.value = undefined;
    } catch (error) {
      trouble.value = `Not saved yet. ${error instanceof Error ? error.message : ''}`;
      timer ??= setTimeout(() => void send(), retry);
    }
  }

  /** Takes a change that the schema takes, and sends it; false when it doesn't. */
  function adopt(next: unknown): boolean {
    const checked = toolboxSchema.safeParse(next);
    if (!checked.success) return false;
    toolbox.value = checked.data;
    clearTimeout(timer);
    timer = setTimeout(() => void send(), quiet);
    return true;
  }

  function setDrawer(kind: ToolKind, drawer: readonly Kept<KindedTool['tool']>[]): boolean {
    return adopt({ ...toolbox.value, [kind]: drawer });
  }

  function changeKept(
    kind: ToolKind,
    id: string,
    make: (kept: Kept<KindedTool['tool']>) => Kept<KindedTool['tool']>,
  ): boolean {
    const drawer: readonly Kept<KindedTool['tool']>[] = toolbox.value[kind];
    return setDrawer(
      kind,
      drawer.map((each) => (each.tool.id === id ? make(each) : each)),
    );
  }

  /** Who has one tool of a kind is not without. */
  function setOwned(kind: ToolKind, id: string, owned: boolean): void {
    changeKept(kind, id, (kept) => ({ ...kept, owned }));
    if (owned && toolbox.value.without.includes(kind)) setWithout(kind, false);
  }

  /** Changes some numbers of a tool. */
  function change({ kind, tool }: KindedTool, part: object): void {
    changeKept(kind, tool.id, (kept) => ({ ...kept, tool: { ...kept.tool, ...part } }));
  }

  /** Says that the maker has no tool of a kind, or has one after all. */
  function setWithout(kind: ToolKind, hasNone: boolean): void {
    const others = toolbox.value.without.filter((each) => each !== kind);
    adopt({ ...toolbox.value, without: hasNone ? [...others, kind] : others });
  }

  /** A tool of the maker's own, begun from another one; its id. */
  function copy({ kind, tool }: KindedTool): string {
    const id = crypto.randomUUID();
    const name = `${tool.name.slice(0, 50)}, mine`;
    setDrawer(kind, [...toolbox.value[kind], { owned: true, tool: { ...tool, id, name } }]);
    return id;
  }

  function remove({ kind, tool }: KindedTool): void {
    const drawer: readonly Kept<KindedTool['tool']>[] = toolbox.value[kind];
    setDrawer(
      kind,
      drawer.filter((each) => each.tool.id !== tool.id),
    );
  }

  /** Sends what is pending, on leaving the view or the page. */
  function flush(): void {
    if (timer !== undefined) void send(true);
  }

  return {
    toolbox,
    isHere,
    trouble,
    open,
    setOwned,
    setWithout,
    change,
    copy,
    remove,
    flush,
  };
});
