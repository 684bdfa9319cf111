import { lessonsSchema, type Lessons } from '@rangoli/core';
import { z } from 'zod';
import { ask } from './ask.ts';

const answerSchema = z.object({ lessons: lessonsSchema });

/** What trial boxes have taught, as the server keeps it. */
export async function readLessons(): Promise<Lessons> {
  return answerSchema.parse(await ask('GET', '/lessons')).lessons;
}

/** Stores what trial boxes have taught. */
export async function writeLessons(lessons: Lessons): Promise<void> {
  await ask('PUT', '/lessons', { lessons });
}
