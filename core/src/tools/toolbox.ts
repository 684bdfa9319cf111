import { z } from 'zod';
import type { Unit } from '../length/index.ts';
import type { Kit } from './kit.ts';
import { genericBoards, scoringBoardSchema, type ScoringBoard } from './scoring-board.ts';
import { genericTrimmers, trimmerSchema, type Trimmer } from './trimmer.ts';

const owned = z.boolean();

/** All tools that a maker has told about, with which of them are on the table. */
export const toolboxSchema = z
  .object({
    version: z.literal(1),
    boards: z.array(z.object({ owned, tool: scoringBoardSchema })).max(40),
    trimmers: z.array(z.object({ owned, tool: trimmerSchema })).max(40),
  })
  .superRefine(({ boards, trimmers }, context) => {
    const ids = [...boards, ...trimmers].map(({ tool }) => tool.id);
    if (ids.includes('') || new Set(ids).size < ids.length)
      context.addIssue({ code: 'custom', message: 'Every tool needs an id of its own.' });
  });
export type Toolbox = z.infer<typeof toolboxSchema>;

/** What is shipped: tools of both rulers, none of which is anybody's yet. */
export const shippedToolbox: Toolbox = {
  version: 1,
  boards: genericBoards.map((tool) => ({ owned: false, tool })),
  trimmers: genericTrimmers.map((tool) => ({ owned: false, tool })),
};

interface Kept<Tool> {
  readonly owned: boolean;
  readonly tool: Tool;
}

/** The tools to choose from: those that the maker has; all, until any is marked as theirs. */
export function toolsAtHand<Tool>(kept: readonly Kept<Tool>[]): readonly Tool[] {
  const own = kept.filter((each) => each.owned);
  return (own.length > 0 ? own : kept).map(({ tool }) => tool);
}

/** What somebody who reads this ruler works with: their own tool in it, or else any that they have. */
function usualOf<Tool extends { readonly unit: Unit }>(
  kept: readonly Kept<Tool>[],
  unit: Unit,
): Tool | undefined {
  const atHand = toolsAtHand(kept);
  return atHand.find((tool) => tool.unit === unit) ?? atHand[0];
}

/** The kit to plan a new box with; what is missing in the toolbox comes from what is shipped. */
export function kitFor({ boards, trimmers }: Toolbox, unit: Unit): Kit {
  const board = usualOf(boards, unit) ?? usualOf(shippedToolbox.boards, unit);
  const trimmer = usualOf(trimmers, unit) ?? usualOf(shippedToolbox.trimmers, unit);
  if (!board || !trimmer) throw new Error('Rangoli ships no tools');
  return { trimmer, board };
}

function same<Tool extends ScoringBoard | Trimmer>(kept: readonly Kept<Tool>[], old: Tool): Tool {
  return kept.find(({ tool }) => tool.id === old.id)?.tool ?? old;
}

/** A box's kit with its tools as they are in the toolbox now. */
export function kitAsItIs(kit: Kit, { boards, trimmers }: Toolbox): Kit {
  return { trimmer: same(trimmers, kit.trimmer), board: same(boards, kit.board) };
}
