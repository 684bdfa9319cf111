import { lessonsFrom, noLessons, withLessons, type Lessons, type Paper } from '@rangoli/core';
import { defineStore } from 'pinia';
import { shallowRef } from 'vue';
import { readLessons, writeLessons } from '../api/lessons.ts';

/** What trial boxes have taught about papers: boxes that are begun later are planned by it. */
export const useLessons = defineStore('lessons', () => {
  const lessons = shallowRef<Lessons>(noLessons);
  const trouble = shallowRef<string>();
  let opening: Promise<void> | undefined;

  async function load(): Promise<void> {
    try {
      lessons.value = await readLessons();
    } catch {
      // A paper as it is sold does, until the server answers.
      opening = undefined;
    }
  }

  /** Reads the lessons once. */
  function open(): Promise<void> {
    opening ??= load();
    return opening;
  }

  /** Keeps what has changed in these papers for every box to come. */
  async function learn(before: readonly Paper[], after: readonly Paper[]): Promise<void> {
    await open();
    lessons.value = lessonsFrom(before, after, lessons.value);
    try {
      await writeLessons(lessons.value);
      trouble.value = undefined;
    } catch (error) {
      trouble.value = `Kept for this box only. ${error instanceof Error ? error.message : ''}`;
    }
  }

  /** A paper with what has been learned about it. */
  function learned(paper: Paper): Paper {
    return withLessons(paper, lessons.value);
  }

  return { trouble, open, learn, learned };
});
