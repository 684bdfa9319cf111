import { z } from 'zod';
import { adhesiveSchema } from './adhesive.ts';
import { cornerBoardSchema } from './corner-board.ts';
import { diagonalBoardSchema } from './diagonal-board.ts';
import { handRulerSchema } from './hand-ruler.ts';
import { toolKindSchema, type ToolKind } from './kit.ts';
import { punchSchema } from './punch.ts';
import { scoringBoardSchema } from './scoring-board.ts';
import {
  shippedToolbox,
  toolboxSchema,
  type Kept,
  type KindedTool,
  type Toolbox,
} from './toolbox.ts';
import { trimmerSchema } from './trimmer.ts';

function toolIn<Kind extends ToolKind, Tool extends z.ZodType>(kind: Kind, tool: Tool) {
  return z.object({
    kind: z.literal(kind),
    owned: z.boolean(),
    tool,
    /** When it came into the drawer, in milliseconds of the clock: what is shipped was there before. */
    added: z.int().nonnegative(),
  });
}

const placedToolSchema = z.discriminatedUnion('kind', [
  toolIn('boards', scoringBoardSchema),
  toolIn('trimmers', trimmerSchema),
  toolIn('diagonalBoards', diagonalBoardSchema),
  toolIn('cornerBoards', cornerBoardSchema),
  toolIn('rulers', handRulerSchema),
  toolIn('punches', punchSchema),
  toolIn('adhesives', adhesiveSchema),
]);

/**
 * One thing that a maker says of their tools, kept and changed by itself: a tool that they have or have not,
 * that a tool is gone, or that they have none of a kind.
 */
export const toolItemSchema = z.discriminatedUnion('kind', [
  placedToolSchema,
  z.object({
    kind: z.literal('gone'),
    /** What it was, to be put back; an earlier version didn’t keep it. */
    was: placedToolSchema.optional(),
  }),
  z.object({ kind: z.literal('without'), tools: toolKindSchema, hasNone: z.boolean() }),
]);
export type ToolItem = z.infer<typeof toolItemSchema>;

/** Items by their ids. */
export type ToolItems = ReadonlyMap<string, ToolItem>;

function noneId(kind: ToolKind): string {
  return `without ${kind}`;
}

/** The drawer of each shipped tool: it can't be in another one. */
const shippedIn: ReadonlyMap<string, ToolKind> = new Map(
  toolKindSchema.options.flatMap((kind) =>
    shippedToolbox[kind].map(({ tool }) => [tool.id, kind] as const),
  ),
);

/** A tool that was removed and can be put back, with what it was. */
export interface RemovedTool {
  readonly id: string;
  readonly was: z.infer<typeof placedToolSchema>;
}

/** The tools that were removed and can be put back, those that came last first. */
export function removedTools(items: ToolItems): readonly RemovedTool[] {
  return [...items]
    .flatMap(([id, item]) => (item.kind === 'gone' && item.was ? [{ id, was: item.was }] : []))
    .sort((one, other) => other.was.added - one.was.added || (one.id < other.id ? -1 : 1));
}

interface PlacedTool {
  readonly kept: Kept<KindedTool['tool']>;
  readonly added: number;
}

/**
 * Shipped tools as they are shipped, then the maker's own as they came. Of two that came at the same moment the
 * ids decide, so that every device shows one order.
 */
function inOrder(one: PlacedTool, other: PlacedTool): number {
  const isOwn = one.added > 0 && one.added === other.added;
  if (isOwn) return one.kept.tool.id < other.kept.tool.id ? -1 : 1;
  return one.added - other.added;
}

/**
 * The toolbox that these items make out of what is shipped. An item that can't be where it says is passed
 * over.
 */
export function toolboxOf(items: ToolItems): Toolbox {
  const drawerOf = (kind: ToolKind): readonly Kept<KindedTool['tool']>[] => {
    const shipped: readonly Kept<KindedTool['tool']>[] = shippedToolbox[kind];
    const placed = new Map<string, PlacedTool>(
      shipped.map((kept) => [kept.tool.id, { kept, added: 0 }]),
    );
    for (const [id, item] of items) {
      if (item.kind === 'gone') placed.delete(id);
      else if (item.kind === kind && item.tool.id === id && (shippedIn.get(id) ?? kind) === kind)
        placed.set(id, { kept: { owned: item.owned, tool: item.tool }, added: item.added });
    }
    return [...placed.values()].sort(inOrder).map(({ kept }) => kept);
  };
  const drawers = toolKindSchema.options.map((kind) => [kind, drawerOf(kind).slice(0, 80)]);
  const without = toolKindSchema.options.filter((kind) => {
    const item = items.get(noneId(kind));
    return item?.kind === 'without' && item.hasNone;
  });
  return toolboxSchema.parse({ version: 1, ...Object.fromEntries(drawers), without });
}

/** Every tool of a toolbox as an item, and every kind of which there is none. */
function itemsOf(toolbox: Toolbox, added: (id: string) => number): ToolItems {
  const items = new Map<string, ToolItem>();
  for (const kind of toolKindSchema.options) {
    const drawer: readonly Kept<KindedTool['tool']>[] = toolbox[kind];
    for (const kept of drawer)
      items.set(kept.tool.id, toolItemSchema.parse({ kind, ...kept, added: added(kept.tool.id) }));
    items.set(noneId(kind), {
      kind: 'without',
      tools: kind,
      hasNone: toolbox.without.includes(kind),
    });
  }
  return items;
}

/** What is said anew when a toolbox becomes another one at that time of the clock: items that differ, and tools that are gone. */
export function changedTools(
  { before, after }: { readonly before: Toolbox; readonly after: Toolbox },
  { known, now }: { readonly known: ToolItems; readonly now: number },
): ToolItems {
  const added = (id: string): number => {
    const item = known.get(id);
    if (item && 'added' in item) return item.added;
    return shippedIn.has(id) ? 0 : now;
  };
  const [was, is] = [itemsOf(before, added), itemsOf(after, added)];
  const changed = new Map<string, ToolItem>();
  for (const [id, item] of is)
    if (JSON.stringify(item) !== JSON.stringify(was.get(id))) changed.set(id, item);
  for (const [id, before] of was) {
    if (is.has(id)) continue;
    const kept = placedToolSchema.safeParse(before);
    changed.set(id, { kind: 'gone', ...(kept.success && { was: kept.data }) });
  }
  return changed;
}
