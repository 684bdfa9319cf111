import {
  shippedToolbox,
  toolboxSchema,
  type ScoringBoard,
  type Toolbox,
  type Trimmer,
} from '@rangoli/core';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { readToolbox, writeToolbox } from '../api/toolbox.ts';

const quiet = 500;
const retry = 3000;

/** A kind of tool that the toolbox holds. */
export type ToolKind = 'boards' | 'trimmers';
type ToolOf = Readonly<Record<'boards', ScoringBoard> & Record<'trimmers', Trimmer>>;

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

  /** Takes a change that the schema takes, and sends it. */
  function adopt(next: Toolbox): void {
    const checked = toolboxSchema.safeParse(next);
    if (!checked.success) return;
    toolbox.value = checked.data;
    clearTimeout(timer);
    timer = setTimeout(() => void send(), quiet);
  }

  function setOwned(kind: ToolKind, id: string, owned: boolean): void {
    const set = <Kept extends { readonly tool: { readonly id: string } }>(kept: readonly Kept[]) =>
      kept.map((each) => (each.tool.id === id ? { ...each, owned } : each));
    adopt(
      kind === 'boards'
        ? { ...toolbox.value, boards: set(toolbox.value.boards) }
        : { ...toolbox.value, trimmers: set(toolbox.value.trimmers) },
    );
  }

  function changeBoard(board: ScoringBoard): void {
    const boards = toolbox.value.boards.map((each) =>
      each.tool.id === board.id ? { ...each, tool: board } : each,
    );
    adopt({ ...toolbox.value, boards });
  }

  function changeTrimmer(trimmer: Trimmer): void {
    const trimmers = toolbox.value.trimmers.map((each) =>
      each.tool.id === trimmer.id ? { ...each, tool: trimmer } : each,
    );
    adopt({ ...toolbox.value, trimmers });
  }

  function copyOf<Kind extends ToolKind>(tool: ToolOf[Kind]) {
    const name = `${tool.name.slice(0, 50)}, mine`;
    return { owned: true, tool: { ...tool, id: crypto.randomUUID(), name } };
  }

  /** A tool of the maker's own, begun from another one; its id. */
  function copy(kind: ToolKind, id: string): string | undefined {
    if (kind === 'boards') {
      const from = toolbox.value.boards.find(({ tool }) => tool.id === id);
      if (!from) return undefined;
      const made = copyOf<'boards'>(from.tool);
      adopt({ ...toolbox.value, boards: [...toolbox.value.boards, made] });
      return made.tool.id;
    }
    const from = toolbox.value.trimmers.find(({ tool }) => tool.id === id);
    if (!from) return undefined;
    const made = copyOf<'trimmers'>(from.tool);
    adopt({ ...toolbox.value, trimmers: [...toolbox.value.trimmers, made] });
    return made.tool.id;
  }

  function remove(id: string): void {
    adopt({
      ...toolbox.value,
      boards: toolbox.value.boards.filter(({ tool }) => tool.id !== id),
      trimmers: toolbox.value.trimmers.filter(({ tool }) => tool.id !== id),
    });
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
    changeBoard,
    changeTrimmer,
    copy,
    remove,
    flush,
  };
});
