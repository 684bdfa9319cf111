import { z } from 'zod';
import { paperSchema, type Paper } from './paper.ts';

/** The gaps of a paper that a trial box can teach. */
export const taughtGaps = [
  'lid',
  'drawer',
  'liner',
] as const satisfies readonly (keyof Paper['gaps'])[];
export type TaughtGap = (typeof taughtGaps)[number];

/**
 * What trial boxes have taught about a paper: how thick it counts as, and how what is made of it clears. What
 * they have not taught, or what was forgotten again, is not there.
 */
export const lessonSchema = z.object({
  id: paperSchema.shape.id,
  thickness: paperSchema.shape.thickness.optional(),
  gaps: paperSchema.shape.gaps.partial().default({}),
});
export type PaperLesson = z.infer<typeof lessonSchema>;

/** All that trial boxes have taught, by paper; boxes that are begun later are planned by it. */
export const lessonsSchema = z.object({
  version: z.literal(1),
  papers: z.array(lessonSchema).max(400),
});
export type Lessons = z.infer<typeof lessonsSchema>;

/** Nothing taught yet. */
export const noLessons: Lessons = { version: 1, papers: [] };

/** A paper with what has been learned about it. */
export function withLessons(paper: Paper, { papers }: Lessons): Paper {
  const learned = papers.find(({ id }) => id === paper.id);
  if (!learned) return paper;
  const { thickness = paper.thickness, gaps } = learned;
  const { lid = paper.gaps.lid, drawer = paper.gaps.drawer, liner = paper.gaps.liner } = gaps;
  return { ...paper, thickness, gaps: { lid, drawer, liner } };
}

function isSame(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** What of a lesson makes a paper another one than it is without it; the rest says nothing. */
export function taughtOf(paper: Paper, lesson: PaperLesson | undefined): PaperLesson {
  const thickness = lesson?.thickness === paper.thickness ? undefined : lesson?.thickness;
  const gaps = taughtGaps.filter((gap) => {
    const taught = lesson?.gaps[gap];
    return taught !== undefined && !isSame(taught, paper.gaps[gap]);
  });
  return {
    id: paper.id,
    ...(thickness !== undefined && { thickness }),
    gaps: Object.fromEntries(gaps.map((gap) => [gap, lesson?.gaps[gap]])),
  };
}

/** The lessons with those of a box added whose papers differ from what they were. */
export function lessonsFrom(
  before: readonly Paper[],
  after: readonly Paper[],
  lessons: Lessons,
): Lessons {
  const learned = after.flatMap((paper, i): readonly PaperLesson[] => {
    const was = before[i];
    if (was?.id !== paper.id) return [];
    const gaps = taughtGaps.filter((gap) => !isSame(was.gaps[gap], paper.gaps[gap]));
    const isThicker = was.thickness !== paper.thickness;
    if (!isThicker && gaps.length === 0) return [];
    // What was taught before, and was not asked again, still holds.
    const known = lessons.papers.find(({ id }) => id === paper.id);
    return [
      {
        ...known,
        id: paper.id,
        ...(isThicker && { thickness: paper.thickness }),
        gaps: { ...known?.gaps, ...Object.fromEntries(gaps.map((gap) => [gap, paper.gaps[gap]])) },
      },
    ];
  });
  const others = lessons.papers.filter(({ id }) => learned.every((paper) => paper.id !== id));
  return { version: 1, papers: [...others, ...learned] };
}
