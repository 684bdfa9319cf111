import {
  commonSheets,
  lessonSchema,
  lessonsFrom,
  paperItemSchema,
  paperOf,
  papersAtHand,
  papersIn,
  removedPapers,
  shippedItem,
  taughtOf,
  withLessons,
  type KeptPaper,
  type Lessons,
  type Paper,
  type PaperItem,
  type PaperLesson,
  type PlacedPaper,
  type PlanRequest,
  type Sheet,
} from '@rangoli/core';
import { defineStore } from 'pinia';
import { v4 as newId } from 'uuid';
import { computed } from 'vue';
import { keptItems } from './kept-items.ts';

/** The maker's papers, and what trial boxes have taught about them: boxes that are begun later are planned by it. */
export const usePapers = defineStore('papers', () => {
  const kept = keptItems<PaperItem>({
    list: 'papers',
    schema: paperItemSchema,
    initial: shippedItem,
    clash: (_, item) => ({
      name:
        item?.kind === 'paper'
          ? item.paper.name
          : item?.was
            ? `${item.was.paper.name}, which you removed`
            : 'A paper that you removed',
      unit: 'mm',
    }),
  });
  // Of two trials of one paper the one that was made here last is the one that counts.
  const taught = keptItems<PaperLesson>({
    list: 'lessons',
    schema: lessonSchema,
    initial: (id) => ({ id, gaps: {} }),
  });

  const placed = computed(() => papersIn(kept.known.value));
  const removed = computed(() => removedPapers(kept.known.value));
  const atHand = computed(() => papersAtHand(placed.value));
  const lessons = computed((): Lessons => ({
    version: 1,
    papers: [...taught.known.value.values()],
  }));
  const trouble = computed(() => kept.trouble.value ?? taught.trouble.value);

  async function open(): Promise<void> {
    await Promise.all([kept.open(), taught.open()]);
  }

  async function refresh(): Promise<void> {
    await Promise.all([kept.refresh(), taught.refresh()]);
  }

  function placedBy(id: string): PlacedPaper | undefined {
    return placed.value.find(({ paper }) => paper.id === id);
  }

  function say(id: string, item: PaperItem): boolean {
    const checked = paperItemSchema.safeParse(item);
    return checked.success && kept.change(new Map([[id, checked.data]]));
  }

  /** When a paper came to the others. */
  function addedAt(id: string): number {
    const item = kept.known.value.get(id) ?? shippedItem(id);
    return item?.kind === 'paper' ? item.added : 0;
  }

  /** Changes some of what a paper is; false when it can't be so. */
  function change(id: string, part: Partial<KeptPaper>): boolean {
    const before = placedBy(id);
    if (!before) return false;
    const { paper, away } = before;
    return say(id, { kind: 'paper', paper: { ...paper, ...part }, away, added: addedAt(id) });
  }

  /** Puts papers away, or takes them out again. */
  function putAway(ids: readonly string[], away: boolean): void {
    const changed = ids.flatMap((id): readonly (readonly [string, PaperItem])[] => {
      const before = placedBy(id);
      return before && before.away !== away
        ? [[id, { kind: 'paper', paper: before.paper, away, added: addedAt(id) }]]
        : [];
    });
    kept.change(new Map(changed));
  }

  /** A paper of the maker's own, begun from another one; its id. */
  function copy(paper: KeptPaper, name: string): string {
    const id = newId();
    say(id, { kind: 'paper', paper: { ...paper, id, name }, away: false, added: Date.now() });
    return id;
  }

  /** Takes one of the maker's own papers away, with what it was taught. */
  function remove(id: string): void {
    const was = kept.known.value.get(id);
    const lesson = taught.known.value.get(id);
    const item: PaperItem = {
      kind: 'gone',
      ...(was?.kind === 'paper' && { was }),
      ...(lesson && { taught: lesson }),
    };
    kept.change(new Map([[id, item]]));
    forget(id);
  }

  /** Puts a paper back that was removed, as it was, with what it was taught. */
  function putBack(id: string): void {
    const item = kept.known.value.get(id);
    if (item?.kind !== 'gone' || !item.was) return;
    kept.change(new Map([[id, item.was]]));
    if (item.taught) teach(item.taught);
  }

  /** Keeps what has changed in these papers for every box to come. */
  async function learn(before: readonly Paper[], after: readonly Paper[]): Promise<void> {
    await open();
    const known = new Map(lessons.value.papers.map((lesson) => [lesson.id, lesson]));
    const fresh = lessonsFrom(before, after, lessons.value).papers.filter(
      (lesson) => JSON.stringify(known.get(lesson.id)) !== JSON.stringify(lesson),
    );
    taught.change(new Map(fresh.map((lesson) => [lesson.id, lesson])));
  }

  /** What trial boxes have taught about a paper, beyond what it is without them. */
  function lessonOf(paper: KeptPaper): PaperLesson {
    return taughtOf(
      paperOf(paper),
      lessons.value.papers.find(({ id }) => id === paper.id),
    );
  }

  /** Says otherwise what a paper has been taught. */
  function teach(lesson: PaperLesson): void {
    taught.change(new Map([[lesson.id, lesson]]));
  }

  /** Forgets all that a paper has been taught. */
  function forget(id: string): void {
    if (taught.known.value.has(id)) teach({ id, gaps: {} });
  }

  /** A paper as boxes take it, with what has been learned about it. */
  function learned(paper: KeptPaper, sheet?: Sheet): Paper {
    return withLessons(paperOf(paper, sheet), lessons.value);
  }

  /** The sheets that a box's paper comes in, with the one that it has. */
  function sheetsFor({ id, sheet }: Paper): readonly Sheet[] {
    const known = placedBy(id)?.paper.sheets ?? commonSheets;
    const isThere = known.some(
      ({ width, height }) => width === sheet.width && height === sheet.height,
    );
    return isThere ? known : [sheet, ...known];
  }

  /** The papers to choose from, with the one that is chosen, should it have been put away. */
  function choicesWith({ id, name, colour }: Paper) {
    const all = atHand.value.map((paper) => ({
      value: paper.id,
      label: paper.name,
      colour: paper.colour,
    }));
    return all.some(({ value }) => value === id)
      ? all
      : [{ value: id, label: name, colour }, ...all];
  }

  /** The papers that a new box is begun with, one for each that it usually has. */
  function forNewBox(usual: PlanRequest['papers']): PlanRequest['papers'] {
    const choices = atHand.value;
    const [first, ...others] = usual;
    const at = (slot: number, fallback: Paper): Paper => {
      const paper = choices[Math.min(slot, choices.length - 1)];
      return paper ? learned(paper) : fallback;
    };
    return [at(0, first), ...others.map((paper, i) => at(i + 1, paper))];
  }

  return {
    placed,
    removed,
    atHand,
    isHere: kept.isHere,
    trouble,
    clashes: kept.clashes,
    settle: kept.settle,
    open,
    refresh,
    change,
    putAway,
    copy,
    remove,
    putBack,
    learn,
    lessonOf,
    teach,
    forget,
    learned,
    sheetsFor,
    choicesWith,
    forNewBox,
  };
});
