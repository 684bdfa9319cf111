import {
  changedTools,
  clashInWords,
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
import { computed, shallowRef } from 'vue';
import type { Items } from '../keeping/items.ts';
import { useKeeping } from './keeping.ts';

/** A tool that was changed in two places, with what it is here and there. */
export interface ToolClash {
  readonly id: string;
  readonly name: string;
  readonly fields: readonly ReturnType<typeof clashInWords>[];
}

/** What each shipped tool is before a maker has said anything of it. */
const shippedItems = changedTools(
  { before: toolboxSchema.parse(emptied(shippedToolbox)), after: shippedToolbox },
  { known: new Map(), now: 0 },
);

/** A toolbox without a tool in it. */
function emptied(toolbox: Toolbox): unknown {
  return Object.fromEntries(
    Object.entries(toolbox).map(([key, value]) => [key, Array.isArray(value) ? [] : value]),
  );
}

function initialOf(id: string): ToolItem | undefined {
  const shipped = shippedItems.get(id);
  if (shipped) return shipped;
  const kind = toolKindSchema.options.find((each) => id === `without ${each}`);
  return kind && { kind: 'without', tools: kind, hasNone: false };
}

/** The maker's tools, each with its own way to the server. */
export const useToolbox = defineStore('toolbox', () => {
  const keeping = useKeeping();
  const known = shallowRef<ReadonlyMap<string, ToolItem>>(new Map());
  const toolbox = computed(() => toolboxOf(known.value));
  /** Whether these are the maker's tools, and not merely what is shipped. */
  const isHere = shallowRef(false);
  const trouble = shallowRef<string>();
  const clashes = shallowRef<readonly ToolClash[]>([]);
  let items: Items<ToolItem> | undefined;
  let opening: Promise<void> | undefined;

  function follow(): void {
    if (!items) return;
    known.value = items.values();
    const standings = [...items.standings()];
    clashes.value = standings.flatMap(([id, standing]) => {
      if (standing.kind !== 'conflict') return [];
      const item = known.value.get(id);
      const isTool = item !== undefined && 'tool' in item;
      const unit = isTool && 'unit' in item.tool ? item.tool.unit : 'inch';
      const fields = standing.clashes.map((clash) => clashInWords(clash, unit));
      const name = isTool ? item.tool.name : item?.kind === 'gone' ? 'A tool that you removed' : id;
      return [{ id, name, fields }];
    });
    const [waiting] = standings.flatMap(([, standing]) =>
      standing.kind === 'unreachable' || standing.kind === 'refused' ? [standing] : [],
    );
    trouble.value =
      waiting?.kind === 'unreachable'
        ? `Only in this browser for now: it is sent as soon as the server answers. ${waiting.message}`
        : waiting && `Not saved. ${waiting.message}`;
  }

  async function load(): Promise<void> {
    items ??= await keeping.items({
      list: 'tools',
      schema: toolItemSchema,
      initial: initialOf,
      onChange: follow,
    });
    const read = await items.read();
    isHere.value = read.kind !== 'failed';
    if (read.kind === 'failed') trouble.value = read.message;
    // Asked for anew by the next view: nothing that others have changed since is missed for long.
    if (read.kind !== 'read') opening = undefined;
  }

  /** Reads the tools once; every view that needs them may ask. */
  function open(): Promise<void> {
    opening ??= load();
    return opening;
  }

  /** Reads the tools again, as when they are looked at. */
  function refresh(): Promise<void> {
    opening = load();
    return opening;
  }

  /** Takes a change that the schema takes, and sends what it says anew; false when it doesn't. */
  function adopt(next: unknown): boolean {
    const checked = toolboxSchema.safeParse(next);
    if (!checked.success || !items || !isHere.value) return false;
    const changed = changedTools(
      { before: toolbox.value, after: checked.data },
      { known: known.value, now: Date.now() },
    );
    for (const [id, item] of changed) items.change(id, item);
    follow();
    return true;
  }

  /** Ends a clash of one tool: as it is here, or as it is there. */
  function settle(id: string, as: 'mine' | 'theirs'): void {
    items?.keeper.replica(id)?.resolve(as);
    follow();
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

  return {
    toolbox,
    isHere,
    trouble,
    clashes,
    open,
    refresh,
    settle,
    setOwned,
    setWithout,
    change,
    copy,
    remove,
  };
});
