import type { Kit } from './kit.ts';
import type { KindedTool } from './toolbox.ts';

/** A tool of which a box is planned for one. */
type OneOfAKind = Extract<
  KindedTool,
  { readonly kind: 'boards' | 'trimmers' | 'diagonalBoards' | 'cornerBoards' }
>;

/** Whether a box is planned for one tool of this kind, and not for all that there are. */
export function isOneOfAKind<Tool extends KindedTool>(kept: Tool): kept is Tool & OneOfAKind {
  return ['boards', 'trimmers', 'diagonalBoards', 'cornerBoards'].includes(kept.kind);
}

function chosenIn(kit: Kit, { kind }: OneOfAKind) {
  if (kit.without.includes(kind)) return undefined;
  switch (kind) {
    case 'boards':
      return kit.board;
    case 'trimmers':
      return kit.trimmer;
    case 'diagonalBoards':
      return kit.diagonalBoard;
    case 'cornerBoards':
      return kit.cornerBoard;
  }
}

/** Whether a kit cuts, scores or punches with a tool. */
export function isInKit(kit: Kit, kept: OneOfAKind): boolean {
  return chosenIn(kit, kept)?.id === kept.tool.id;
}

/** The kit with a tool in the place of the one of its kind; whoever has it is not without. */
export function kitWith(kit: Kit, kept: OneOfAKind): Kit {
  const without = kit.without.filter((kind) => kind !== kept.kind);
  switch (kept.kind) {
    case 'boards':
      return { ...kit, without, board: kept.tool };
    case 'trimmers':
      return { ...kit, without, trimmer: kept.tool };
    case 'diagonalBoards':
      return { ...kit, without, diagonalBoard: kept.tool };
    case 'cornerBoards':
      return { ...kit, without, cornerBoard: kept.tool };
  }
}
