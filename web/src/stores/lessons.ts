import {
  lessonSchema,
  lessonsFrom,
  stockPapers,
  withLessons,
  type Lessons,
  type Paper,
  type PaperLesson,
} from '@rangoli/core';
import { defineStore } from 'pinia';
import { computed, shallowRef } from 'vue';
import type { Items } from '../keeping/items.ts';
import { useKeeping } from './keeping.ts';

/** A paper as it is sold has taught nothing yet. */
function asSold(id: string): PaperLesson | undefined {
  const paper = stockPapers.find((each) => each.id === id);
  return paper && lessonSchema.parse(paper);
}

/** What trial boxes have taught about papers: boxes that are begun later are planned by it. */
export const useLessons = defineStore('lessons', () => {
  const keeping = useKeeping();
  const papers = shallowRef<readonly PaperLesson[]>([]);
  const lessons = computed((): Lessons => ({ version: 1, papers: [...papers.value] }));
  const trouble = shallowRef<string>();
  let items: Items<PaperLesson> | undefined;
  let opening: Promise<void> | undefined;

  function follow(): void {
    if (!items) return;
    papers.value = [...items.values().values()];
    const standings = [...items.standings()];
    for (const [id, { kind }] of standings)
      // Of two trials of one paper the one that was made here last is the one that counts.
      if (kind === 'conflict') items.keeper.replica(id)?.resolve('mine');
    const [waiting] = standings.flatMap(([, standing]) =>
      standing.kind === 'unreachable' || standing.kind === 'refused' ? [standing.message] : [],
    );
    trouble.value = waiting && `Only in this browser for now. ${waiting}`;
  }

  async function load(): Promise<void> {
    items ??= await keeping.items({
      list: 'lessons',
      schema: lessonSchema,
      initial: asSold,
      onChange: follow,
    });
    // A paper as it is sold does, until the server answers.
    if ((await items.read()).kind !== 'read') opening = undefined;
  }

  /** Reads the lessons once. */
  function open(): Promise<void> {
    opening ??= load();
    return opening;
  }

  /** Keeps what has changed in these papers for every box to come. */
  async function learn(before: readonly Paper[], after: readonly Paper[]): Promise<void> {
    await open();
    const known = new Map(papers.value.map((lesson) => [lesson.id, lesson]));
    for (const lesson of lessonsFrom(before, after, lessons.value).papers)
      if (JSON.stringify(known.get(lesson.id)) !== JSON.stringify(lesson))
        items?.change(lesson.id, lesson);
    follow();
  }

  /** A paper with what has been learned about it. */
  function learned(paper: Paper): Paper {
    return withLessons(paper, lessons.value);
  }

  return { trouble, open, learn, learned };
});
