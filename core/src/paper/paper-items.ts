import { z } from 'zod';
import { keptPaperSchema, shippedPapers, type KeptPaper } from './kept-paper.ts';
import { lessonSchema, type PaperLesson } from './lessons.ts';

const placedSchema = z.object({
  kind: z.literal('paper'),
  paper: keptPaperSchema,
  /** Put away: it is in no choice until it is taken out again. */
  away: z.boolean(),
  /** When it came to the others, in milliseconds of the clock: what is shipped was there before. */
  added: z.int().nonnegative(),
});

/** One thing that a maker says of their papers, kept and changed by itself: what a paper is, or that it is gone. */
export const paperItemSchema = z.discriminatedUnion('kind', [
  placedSchema,
  z.object({
    kind: z.literal('gone'),
    /** What it was, to be put back; an earlier version didn’t keep it. */
    was: placedSchema.optional(),
    /** What trial boxes had taught about it. */
    taught: lessonSchema.optional(),
  }),
]);
export type PaperItem = z.infer<typeof paperItemSchema>;

/** A paper as it lies among the maker's own. */
export interface PlacedPaper {
  readonly paper: KeptPaper;
  readonly away: boolean;
  /** What is shipped can be put away, and is never gone. */
  readonly isShipped: boolean;
}

/** A paper that was removed and can be put back, with what it was and what was known of it. */
export interface RemovedPaper {
  readonly id: string;
  readonly was: z.infer<typeof placedSchema>;
  readonly taught?: PaperLesson | undefined;
}

/** The papers that were removed and can be put back, those that came last first. */
export function removedPapers(items: ReadonlyMap<string, PaperItem>): readonly RemovedPaper[] {
  return [...items]
    .flatMap(([id, item]) =>
      item.kind === 'gone' && item.was ? [{ id, was: item.was, taught: item.taught }] : [],
    )
    .sort((one, other) => other.was.added - one.was.added || (one.id < other.id ? -1 : 1));
}

const shippedIds: ReadonlySet<string> = new Set(shippedPapers.map(({ id }) => id));

/** What a shipped paper is before a maker has said anything of it; undefined for another id. */
export function shippedItem(id: string): PaperItem | undefined {
  const paper = shippedPapers.find((each) => each.id === id);
  return paper && { kind: 'paper', paper, away: false, added: 0 };
}

/** All papers that these items make out of what is shipped: the maker's own as they came, then the shipped ones. */
export function papersIn(items: ReadonlyMap<string, PaperItem>): readonly PlacedPaper[] {
  const own = [...items].flatMap(([id, item]) =>
    item.kind === 'paper' && item.paper.id === id && !shippedIds.has(id) ? [item] : [],
  );
  // Of two that came at the same moment the ids decide, so that every device shows one order.
  const isBefore = (id: string, other: string) => (id < other ? -1 : 1);
  own.sort((one, other) => one.added - other.added || isBefore(one.paper.id, other.paper.id));
  const shipped = shippedPapers.map((paper) => {
    const item = items.get(paper.id);
    return item?.kind === 'paper' && item.paper.id === paper.id ? item : { paper, away: false };
  });
  return [
    ...own.map(({ paper, away }) => ({ paper, away, isShipped: false })),
    ...shipped.map(({ paper, away }) => ({ paper, away, isShipped: true })),
  ];
}

/** The papers to choose from: all that are not put away, or every one where all of them are. */
export function papersAtHand(placed: readonly PlacedPaper[]): readonly KeptPaper[] {
  const out = placed.filter(({ away }) => !away);
  return (out.length > 0 ? out : placed).map(({ paper }) => paper);
}
