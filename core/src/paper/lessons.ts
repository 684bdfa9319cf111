import { z } from 'zod';
import { paperSchema, type Paper } from './paper.ts';

/** What a trial box has taught about a paper: how thick it counts as, and how what is made of it clears. */
export const lessonSchema = paperSchema.pick({ id: true, thickness: true, gaps: true });
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
  return learned ? { ...paper, thickness: learned.thickness, gaps: learned.gaps } : paper;
}

/** The lessons with those of a box added whose papers differ from what they were. */
export function lessonsFrom(
  before: readonly Paper[],
  after: readonly Paper[],
  lessons: Lessons,
): Lessons {
  const learned = after.filter((paper, i) => {
    const was = before[i];
    const isSame = (['thickness', 'gaps'] as const).every(
      (part) => JSON.stringify(was?.[part]) === JSON.stringify(paper[part]),
    );
    return was?.id === paper.id && !isSame;
  });
  const others = lessons.papers.filter(({ id }) => learned.every((paper) => paper.id !== id));
  return {
    version: 1,
    papers: [...others, ...learned.map(({ id, thickness, gaps }) => ({ id, thickness, gaps }))],
  };
}
