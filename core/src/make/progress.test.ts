import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  doneOf,
  isDone,
  noProgress,
  planBox,
  planJob,
  progressSchema,
  secondsLeft,
  stepAtHand,
  undone,
  usualRequest,
  withDone,
  type Job,
} from '../index.ts';
import { sundial } from '../testing/requests.ts';

function sundials(boxes: number): Job {
  const request = usualRequest(sundial, 'inch');
  const result = planBox(request);
  if (!result.ok) throw new Error('The sundial has a box');
  return planJob(result.plan, request, { boxes });
}

describe('the progress of a job', () => {
  it('is through when every piece of every step is, whatever the order, and its time runs out', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 1, max: 9 }),
        fc.array(fc.nat(), { maxLength: 400 }),
        (n, taps) => {
          const job = sundials(n);
          let progress = noProgress(n);
          for (const tap of taps) {
            const at = stepAtHand(job, progress);
            if (!at) break;
            const before = doneOf(progress, at);
            // One at a time, all at once, somewhere else, or once more.
            if (tap % 7 === 6) progress = undone(progress, job.steps[tap % job.steps.length] ?? at);
            else
              progress = withDone(job, progress, at, tap % 2 === 0 ? 1 : at.copies, (tap % 40) + 1);
            expect(progressSchema.safeParse(progress).success).toBe(true);
            if (tap % 7 !== 6)
              expect(doneOf(progress, at)).toBeGreaterThan(before === at.copies ? -1 : before);
          }
          for (let i = 0; i <= job.steps.length; i++) {
            const at = stepAtHand(job, progress);
            if (at) progress = withDone(job, progress, at, at.copies, 5);
          }
          expect(job.steps.every((step) => isDone(progress, step))).toBe(true);
          expect(stepAtHand(job, progress)).toBeUndefined();
          expect(job.steps.reduce((sum, step) => sum + secondsLeft(progress, step), 0)).toBe(0);
        },
      ),
    );
  });

  it('learns the maker’s pace from the steps that were done', () => {
    const job = sundials(6);
    const first = job.steps.find(({ bench }) => bench === 'board');
    if (!first) throw new Error('A job has steps');
    const progress = noProgress(6);
    const usual = secondsLeft(progress, first);
    const quick = withDone(job, progress, first, 2, first.seconds);
    const slow = withDone(job, progress, first, 2, first.seconds * 6);
    expect(secondsLeft(quick, first)).toBeLessThan((usual * 4) / 6);
    expect(secondsLeft(slow, first)).toBeGreaterThan((usual * 4) / 6);
    // A night's rest between two pieces is no work.
    expect(withDone(job, progress, first, 1, 30_000).spent).toEqual({});
  });
});
