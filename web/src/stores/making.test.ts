import {
  doneOf,
  newProject,
  noProgress,
  progressSchema,
  type Progress,
  type ProjectDocument,
} from '@rangoli/core';
import fc from 'fast-check';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useMaking } from './making.ts';
import { useProject } from './project.ts';

/** What the server keeps, and whether it can be reached. */
const server = { kept: noProgress(), isAway: false };

vi.mock('../api/progress.ts', () => ({
  readProgress: () => Promise.resolve(server.kept),
  writeProgress: async (_: string, progress: Progress) => {
    await new Promise((resolve) => setTimeout(resolve, 40));
    if (server.isAway) throw new Error('away');
    server.kept = progress;
  },
}));
vi.mock('../api/projects.ts', async (original) => {
  const document: ProjectDocument = { ...newProject('inch'), name: 'Sundial' };
  return {
    ...(await original<object>()),
    readProject: () => Promise.resolve({ id: 'x', revision: 1, updatedAt: '', document }),
    updateProject: () => new Promise(() => undefined),
  };
});
vi.mock('../api/toolbox.ts', () => ({
  readToolbox: () => new Promise(() => undefined),
  writeToolbox: () => Promise.resolve(),
}));

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
});

afterEach(() => {
  vi.useRealTimers();
});

/** The sundial's box, opened to be made so many times. */
async function begun(boxes: number) {
  server.kept = noProgress(boxes);
  server.isAway = false;
  setActivePinia(createPinia());
  await useProject().open('x');
  const making = useMaking();
  await making.open('x');
  return making;
}

const acts = fc.array(
  fc.oneof(
    {
      weight: 4,
      arbitrary: fc.record({
        act: fc.constant('finish' as const),
        by: fc.integer({ min: 1, max: 4 }),
      }),
    },
    {
      weight: 2,
      arbitrary: fc.record({ act: fc.constant('finish all' as const), by: fc.constant(0) }),
    },
    {
      weight: 2,
      arbitrary: fc.record({
        act: fc.constant('walk' as const),
        by: fc.integer({ min: -3, max: 3 }),
      }),
    },
    fc.record({
      act: fc.constantFrom('again', 'cut again', 'corners', 'away', 'back'),
      by: fc.nat({ max: 2 }),
    }),
  ),
  { maxLength: 40 },
);

describe('the making of a box', () => {
  it('counts no piece twice and loses none, wherever the maker goes, and the server hears of it all', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 12 }), acts, async (boxes, all) => {
        const making = await begun(boxes);
        for (const { act, by } of all) {
          const { step, job } = making;
          if (!job) throw new Error('The sundial has a job');
          const before = step && doneOf(making.progress, step);
          const others = job.steps.filter((each) => each !== step);
          const counts = others.map((each) => doneOf(making.progress, each));
          if (act === 'finish') making.finish(by);
          else if (act === 'finish all') making.finishAll();
          else if (act === 'walk') making.walk(by);
          else if (act === 'again') making.doAgain();
          else if (act === 'cut again' && step) making.cutAgain(step.piece, 1);
          else if (act === 'corners')
            making.setLidCorners(by === 0 ? 'all at once' : 'round the base');
          else if (act === 'away') server.isAway = true;
          else if (act === 'back') server.isAway = false;
          if (step && (act === 'finish' || act === 'finish all')) {
            const more = act === 'finish' ? by : step.copies;
            expect(doneOf(making.progress, step)).toBe(Math.min(step.copies, (before ?? 0) + more));
            expect(others.map((each) => doneOf(making.progress, each))).toEqual(counts);
          }
          if (act === 'walk' && by !== 0 && step && job.steps.length > 1) {
            const at = job.steps.indexOf(step);
            const to = Math.min(job.steps.length - 1, Math.max(0, at + by));
            expect(making.step?.id).toBe(job.steps[to]?.id);
          }
          if (act === 'again' && step) expect(making.step?.id).toBe(step.id);
          expect(progressSchema.parse(making.progress)).toEqual(making.progress);
          // What is left of the time is what is left to do.
          expect(making.leftInAll === 0).toBe(making.isFinished);
          await vi.advanceTimersByTimeAsync(Math.abs(by) * 10);
        }
        server.isAway = false;
        await vi.advanceTimersByTimeAsync(10_000);
        expect(server.kept).toEqual(making.progress);
        expect(making.state).toBe('kept');
      }),
      { numRuns: 30 },
    );
  });

  it('comes to its end by nothing but “done”, each step once, and is resumed where it was left', async () => {
    const making = await begun(6);
    const seen: string[] = [];
    while (making.step && !making.isFinished) {
      const { id, copies } = making.step;
      seen.push(id);
      if (copies > 2) making.finish(2);
      making.finishAll();
      if (seen.length === 4) {
        await vi.advanceTimersByTimeAsync(1000);
        const { step } = making;
        setActivePinia(createPinia());
        await useProject().open('x');
        const again = useMaking();
        await again.open('x');
        expect(again.step?.id).toBe(step.id);
      }
    }
    expect(seen).toEqual(making.job?.steps.map(({ id }) => id));
    expect(making.isFinished).toBe(true);
    expect(making.leftInAll).toBe(0);
    making.setBoxes(8);
    // What is made of six boxes stays made, and only what the others take is left.
    for (const each of making.job?.steps ?? [])
      expect(doneOf(making.progress, each)).toBeLessThanOrEqual(each.copies);
    expect(making.isFinished).toBe(false);
    making.startAnew();
    expect(making.step?.id).toBe(seen[0]);
    expect(making.progress.boxes).toBe(8);
  });
});
