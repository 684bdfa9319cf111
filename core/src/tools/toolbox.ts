import { z } from 'zod';
import type { Unit } from '../length/index.ts';
import { adhesiveSchema, genericAdhesives } from './adhesive.ts';
import { cornerBoardSchema, genericCornerBoards } from './corner-board.ts';
import { diagonalBoardSchema, genericDiagonalBoards } from './diagonal-board.ts';
import { genericRulers, handRulerSchema } from './hand-ruler.ts';
import { toolKindSchema, type Kit, type ToolKind } from './kit.ts';
import { genericPunches, punchSchema } from './punch.ts';
import { genericBoards, scoringBoardSchema } from './scoring-board.ts';
import { genericTrimmers, trimmerSchema } from './trimmer.ts';

interface Named {
  readonly id: string;
  readonly unit: Unit;
}

/** A tool in the toolbox, with whether it is on the maker's table. */
export interface Kept<Tool> {
  readonly owned: boolean;
  readonly tool: Tool;
}

function unowned<Tool>(tools: readonly Tool[]): Kept<Tool>[] {
  return tools.map((tool) => ({ owned: false, tool }));
}

function drawer<Tool>(tool: z.ZodType<Tool>, shipped: readonly Tool[]) {
  return z
    .array(z.object({ owned: z.boolean(), tool }))
    .max(80)
    .default(() => unowned(shipped));
}

/** All tools that a maker has told about, with which of them are on the table. */
export const toolboxSchema = z
  .object({
    version: z.literal(1),
    boards: drawer(scoringBoardSchema, genericBoards),
    trimmers: drawer(trimmerSchema, genericTrimmers),
    diagonalBoards: drawer(diagonalBoardSchema, genericDiagonalBoards),
    cornerBoards: drawer(cornerBoardSchema, genericCornerBoards),
    rulers: drawer(handRulerSchema, genericRulers),
    punches: drawer(punchSchema, genericPunches),
    adhesives: drawer(adhesiveSchema, genericAdhesives),
    /** Kinds of which the maker has none. */
    without: z.array(toolKindSchema).max(toolKindSchema.options.length).default([]),
  })
  .superRefine((toolbox, context) => {
    const ids = toolKindSchema.options.flatMap((kind) => toolbox[kind].map(({ tool }) => tool.id));
    if (ids.includes('') || new Set(ids).size < ids.length)
      context.addIssue({ code: 'custom', message: 'Every tool needs an id of its own.' });
  });
export type Toolbox = z.infer<typeof toolboxSchema>;

/** The tool that a drawer holds. */
export type ToolOf<Kind extends ToolKind> = Toolbox[Kind][number]['tool'];

/** What is shipped: tools of both rulers, none of which is anybody's yet. */
export const shippedToolbox: Toolbox = {
  version: 1,
  boards: unowned(genericBoards),
  trimmers: unowned(genericTrimmers),
  diagonalBoards: unowned(genericDiagonalBoards),
  cornerBoards: unowned(genericCornerBoards),
  rulers: unowned(genericRulers),
  punches: unowned(genericPunches),
  adhesives: unowned(genericAdhesives),
  without: [],
};

/** The tools to choose from: those that the maker has; all, until any is marked as theirs. */
export function toolsAtHand<Tool>(kept: readonly Kept<Tool>[]): readonly Tool[] {
  const own = ownTools(kept);
  return own.length > 0 ? own : kept.map(({ tool }) => tool);
}

/** The tools that the maker has marked as theirs. */
export function ownTools<Tool>(kept: readonly Kept<Tool>[]): readonly Tool[] {
  return kept.filter((each) => each.owned).map(({ tool }) => tool);
}

/** What somebody who reads this ruler works with: a tool in it, or else any that they have. */
function usualOf<Tool extends Named>(tools: readonly Tool[], unit: Unit): Tool | undefined {
  return tools.find((tool) => tool.unit === unit) ?? tools[0];
}

/** What a kit takes from the toolbox whatever the box. */
function commonTools({ punches, adhesives, rulers, without }: Toolbox) {
  const atHand = <Tool>(kind: ToolKind, kept: readonly Kept<Tool>[]): Tool[] =>
    without.includes(kind) ? [] : [...toolsAtHand(kept)];
  return {
    punches: atHand('punches', punches),
    adhesives: atHand('adhesives', adhesives),
    rulers: atHand('rulers', rulers),
    without,
  };
}

/**
 * The kit to plan a new box with; a board or a trimmer that is missing in the toolbox comes from what is
 * shipped. A punch board is in it only where the maker has one.
 */
export function kitFor(toolbox: Toolbox, unit: Unit): Kit {
  const board =
    usualOf(toolsAtHand(toolbox.boards), unit) ?? usualOf(toolsAtHand(shippedToolbox.boards), unit);
  const trimmer =
    usualOf(toolsAtHand(toolbox.trimmers), unit) ??
    usualOf(toolsAtHand(shippedToolbox.trimmers), unit);
  if (!board || !trimmer) throw new Error('Rangoli ships no tools');
  const diagonalBoard = usualOf(ownTools(toolbox.diagonalBoards), unit);
  const cornerBoard = usualOf(ownTools(toolbox.cornerBoards), unit);
  return {
    trimmer,
    board,
    ...(diagonalBoard && { diagonalBoard }),
    ...(cornerBoard && { cornerBoard }),
    ...commonTools(toolbox),
  };
}

function asItIs<Tool extends Named>(kept: readonly Kept<Tool>[], old: Tool): Tool {
  return kept.find(({ tool }) => tool.id === old.id)?.tool ?? old;
}

/** A box's kit with its tools as they are in the toolbox now. */
export function kitAsItIs(kit: Kit, toolbox: Toolbox): Kit {
  const { trimmer, board, diagonalBoard, cornerBoard } = kit;
  return {
    trimmer: asItIs(toolbox.trimmers, trimmer),
    board: asItIs(toolbox.boards, board),
    ...(diagonalBoard && { diagonalBoard: asItIs(toolbox.diagonalBoards, diagonalBoard) }),
    ...(cornerBoard && { cornerBoard: asItIs(toolbox.cornerBoards, cornerBoard) }),
    ...commonTools(toolbox),
  };
}

/** A tool with the drawer that it lies in. */
export type KindedTool = {
  readonly [Kind in ToolKind]: { readonly kind: Kind; readonly tool: ToolOf<Kind> };
}[ToolKind];

/** A tool in its drawer, with whether the maker has it. */
export type KeptTool = KindedTool & { readonly owned: boolean };

/** The tools of one drawer; the maker's own first. */
export function drawerOf(toolbox: Toolbox, kind: ToolKind): readonly KeptTool[] {
  const kept = keptTools(toolbox).filter((each) => each.kind === kind);
  return [...kept].sort((a, b) => Number(b.owned) - Number(a.owned));
}

function keptTools(toolbox: Toolbox): readonly KeptTool[] {
  return [
    ...toolbox.boards.map((kept) => ({ kind: 'boards', ...kept }) as const),
    ...toolbox.trimmers.map((kept) => ({ kind: 'trimmers', ...kept }) as const),
    ...toolbox.diagonalBoards.map((kept) => ({ kind: 'diagonalBoards', ...kept }) as const),
    ...toolbox.cornerBoards.map((kept) => ({ kind: 'cornerBoards', ...kept }) as const),
    ...toolbox.rulers.map((kept) => ({ kind: 'rulers', ...kept }) as const),
    ...toolbox.punches.map((kept) => ({ kind: 'punches', ...kept }) as const),
    ...toolbox.adhesives.map((kept) => ({ kind: 'adhesives', ...kept }) as const),
  ];
}
