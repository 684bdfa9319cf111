import {
  changedTools,
  removedTools,
  shippedToolbox,
  toolboxOf,
  toolboxSchema,
  toolItemSchema,
  toolKindSchema,
  type Kept,
  type KindedTool,
  type Toolbox,
  type ToolItem,
  type ToolKind,
} from '@rangoli/core';
import { defineStore } from 'pinia';
import { v4 as newId } from 'uuid';
import { computed } from 'vue';
import { keptItems } from './kept-items.ts';

/** A toolbox without a tool in it. */
const emptyToolbox: Toolbox = {
  version: 1,
  boards: [],
  trimmers: [],
  diagonalBoards: [],
  cornerBoards: [],
  rulers: [],
  punches: [],
  adhesives: [],
  without: [],
};

let known: ReadonlyMap<string, ToolItem> | undefined;

/** What each shipped tool is before a maker has said anything of it; worked out when it is first asked. */
function shippedItems(): ReadonlyMap<string, ToolItem> {
  known ??= changedTools(
    { before: emptyToolbox, after: shippedToolbox },
    { known: new Map(), now: 0 },
  );
  return known;
}

function initialOf(id: string): ToolItem | undefined {
  const shipped = shippedItems().get(id);
  if (shipped) return shipped;
  const kind = toolKindSchema.options.find((each) => id === `without ${each}`);
  return kind && { kind: 'without', tools: kind, hasNone: false };
}

function nameOfGone({ was }: Extract<ToolItem, { kind: 'gone' }>): string {
  return was ? `${was.tool.name}, which you removed` : 'A tool that you removed';
}

/** The maker's tools, each with its own way to the server. */
export const useToolbox = defineStore('toolbox', () => {
  const kept = keptItems<ToolItem>({
    list: 'tools',
    schema: toolItemSchema,
    initial: initialOf,
    clash: (id, item) => {
      const isTool = item !== undefined && 'tool' in item;
      return {
        name: isTool ? item.tool.name : item?.kind === 'gone' ? nameOfGone(item) : id,
        unit: isTool && 'unit' in item.tool ? item.tool.unit : 'inch',
      };
    },
  });
  const toolbox = computed(() => toolboxOf(kept.known.value));
  const removed = computed(() => removedTools(kept.known.value));

  /** Takes a change that the schema takes, and sends what it says anew; false when it doesn't. */
  function adopt(next: unknown): boolean {
    const checked = toolboxSchema.safeParse(next);
    if (!checked.success) return false;
    return kept.change(
      changedTools(
        { before: toolbox.value, after: checked.data },
        { known: kept.known.value, now: Date.now() },
      ),
    );
  }

  function setDrawer(kind: ToolKind, drawer: readonly Kept<KindedTool['tool']>[]): boolean {
    return adopt({ ...toolbox.value, [kind]: drawer });
  }

  function changeKept(
    kind: ToolKind,
    id: string,
    make: (before: Kept<KindedTool['tool']>) => Kept<KindedTool['tool']>,
  ): boolean {
    const drawer: readonly Kept<KindedTool['tool']>[] = toolbox.value[kind];
    return setDrawer(
      kind,
      drawer.map((each) => (each.tool.id === id ? make(each) : each)),
    );
  }

  /** Who has one tool of a kind is not without. */
  function setOwned(kind: ToolKind, id: string, owned: boolean): void {
    changeKept(kind, id, (before) => ({ ...before, owned }));
    if (owned && toolbox.value.without.includes(kind)) setWithout(kind, false);
  }

  /** Changes some numbers of a tool. */
  function change({ kind, tool }: KindedTool, part: object): void {
    changeKept(kind, tool.id, (before) => ({
      ...before,
      tool: { ...before.tool, ...part },
    }));
  }

  /** Says that the maker has no tool of a kind, or has one after all. */
  function setWithout(kind: ToolKind, hasNone: boolean): void {
    const others = toolbox.value.without.filter((each) => each !== kind);
    adopt({ ...toolbox.value, without: hasNone ? [...others, kind] : others });
  }

  /** A tool of the maker's own, begun from another one; its id. */
  function copy({ kind, tool }: KindedTool): string {
    const id = newId();
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

  /** Puts a tool back that was removed, as it was. */
  function putBack(id: string): void {
    const item = kept.known.value.get(id);
    if (item?.kind === 'gone' && item.was) kept.change(new Map([[id, item.was]]));
  }

  return {
    toolbox,
    removed,
    isHere: kept.isHere,
    trouble: kept.trouble,
    clashes: kept.clashes,
    open: kept.open,
    refresh: kept.refresh,
    settle: kept.settle,
    setOwned,
    setWithout,
    change,
    copy,
    remove,
    putBack,
  };
});
