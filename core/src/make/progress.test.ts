import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  carryOver,
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
  type Progress,
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
              progress = withDone(job, progress, {
                step: at,
                copies: tap % 2 === 0 ? 1 : at.copies,
                seconds: (tap % 40) + 1,
              });
            expect(progressSchema.safeParse(progress).success).toBe(true);
            if (tap % 7 !== 6)
              expect(doneOf(progress, at)).toBeGreaterThan(before === at.copies ? -1 : before);
          }
          for (let i = 0; i <= job.steps.length; i++) {
            const at = stepAtHand(job, progress);
            if (at) progress = withDone(job, progress, { step: at, copies: at.copies, seconds: 5 });
          }
          expect(job.steps.every((step) => isDone(progress, step))).toBe(true);
          expect(stepAtHand(job, progress)).toBeUndefined();
          expect(job.steps.reduce((sum, step) => sum + secondsLeft(progress, step), 0)).toBe(0);
        },
      ),
    );
  });

  it('never counts more pieces than there are, nor time for pieces that were done before', () => {
    const job = sundials(3);
    fc.assert(
      fc.property(fc.nat(), fc.nat(9), fc.nat(9), (which, had, more) => {
        const step = job.steps[which % job.steps.length];
        if (!step) return;
        // A box that was planned for more boxes may have more ticks than it has pieces now.
        const stored = { ...noProgress(3), done: { [step.id]: had } };
        expect(doneOf(stored, step)).toBe(Math.min(had, step.copies));
        expect(secondsLeft(stored, step)).toBeGreaterThanOrEqual(0);
        const copies = more;
        const after = withDone(job, stored, { step, copies, seconds: 30 });
        const has = Math.min(step.copies, Math.min(had, step.copies) + copies);
        expect(after.done[step.id]).toBe(has);
        const timed = Object.values(after.spent).reduce((sum, each) => sum + each.copies, 0);
        const isTimed = step.seconds > 0;
        expect(timed).toBe(isTimed ? has - Math.min(had, step.copies) : 0);
      }),
    );
  });

  it('goes on behind what was just done, and comes back to what was left out', () => {
    const job = sundials(2);
    fc.assert(
      fc.property(fc.nat(), fc.array(fc.nat(), { maxLength: 30 }), (which, through) => {
        const step = job.steps[which % job.steps.length];
        if (!step) return;
        const done = through.flatMap((at) => job.steps[at % job.steps.length] ?? []);
        const before: Progress = {
          ...noProgress(2),
          done: Object.fromEntries(done.map(({ id, copies }) => [id, copies])),
        };
        const after = withDone(job, before, { step, copies: step.copies, seconds: 20 });
        const at = job.steps.indexOf(step);
        const open = job.steps.filter((each) => each !== step && !done.includes(each));
        const later = open.find((each) => job.steps.indexOf(each) > at);
        expect(stepAtHand(job, after)).toBe(later ?? open[0]);
        // Done again, it alone is not done any more, and it is at hand.
        const again = undone(after, step);
        expect(stepAtHand(job, again)).toBe(step);
        expect(again.done).toEqual(
          Object.fromEntries(Object.entries(after.done).filter(([id]) => id !== step.id)),
        );
      }),
    );
  });

  it('is for one box at the least and two hundred at the most, and says so', () => {
    const refused = (boxes: number) =>
      progressSchema.safeParse({ ...noProgress(), boxes }).error?.issues[0]?.message;
    expect(refused(0)).toBe('Make one box at least.');
    expect(refused(201)).toBe('Make 200 boxes at the most in one go.');
    expect(refused(1.5)).toBe('How many boxes is a whole number.');
    for (const boxes of [1, 200]) expect(refused(boxes)).toBeUndefined();
  });

  it('learns the maker’s pace from the steps that were done', () => {
    const job = sundials(6);
    const first = job.steps.find(({ bench }) => bench === 'board');
    if (!first) throw new Error('A job has steps');
    const progress = noProgress(6);
    const usual = secondsLeft(progress, first);
    const quick = withDone(job, progress, { step: first, copies: 2, seconds: first.seconds });
    const slow = withDone(job, progress, { step: first, copies: 2, seconds: first.seconds * 6 });
    expect(secondsLeft(quick, first)).toBeLessThan((usual * 4) / 6);
    expect(secondsLeft(slow, first)).toBeGreaterThan((usual * 4) / 6);
    // A night's rest between two pieces is no work.
    expect(withDone(job, progress, { step: first, copies: 1, seconds: 30_000 }).spent).toEqual({});
  });
});

describe('progress that was stored while steps had other names', () => {
  /** Six lidded boxes: the bases are glued, four lids are folded, and two boxes are filled. */
  const old = {
    'trim base dusk 304800000 304800000 width 98425000 strip': 1,
    'trim base dusk 98425000 304800000 height 98425000 piece': 6,
    'score base score board 9525000 leftbottomrighttop': 6,
    'score lid score board 9525000 left': 5,
    'fold base': 6,
    'glue base tab wall 2': 6,
    'fold lid': 4,
    'glue lid tab wall 2': 3,
  };
  const carried = (done: Progress['done']) => {
    const job = sundials(6);
    return { job, progress: carryOver(job, { ...noProgress(6), done }) };
  };
  const counts = (piece: string, kind: Job['steps'][number]['kind'], done: Progress['done']) => {
    const { job, progress } = carried(done);
    return job.steps
      .filter((step) => step.piece === piece && step.kind === kind)
      .map((step) => doneOf(progress, step));
  };

  it('stands in the steps of now, as far as it is certain', () => {
    const { job, progress } = carried(old);
    const cuts = job.steps.filter(({ piece, kind }) => piece === 'base' && kind === 'cut');
    expect(cuts.every((step) => isDone(progress, step))).toBe(true);
    expect(new Set(counts('base', 'flat', old))).toEqual(new Set([6]));
    expect(new Set(counts('lid', 'flat', old))).toEqual(new Set([4]));
    const lids = carried(old);
    const cut = lids.job.steps.findLast(({ piece, kind }) => piece === 'lid' && kind === 'cut');
    expect(cut && doneOf(lids.progress, cut)).toBe(5);
    // Folded is certain; which tabs were glued is not.
    expect(counts('lid', 'assembly', old).slice(0, 2)).toEqual([4, 0]);
    // A box with its gift in has both of its pieces, glued.
    const filled = counts('lid', 'assembly', { ...old, 'gift base': 5 });
    expect(filled.slice(0, 2)).toEqual([5, 5]);
  });

  it('is left alone under the names of now, though the box has been planned anew', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.nat(), fc.integer({ min: 1, max: 6 }))), (ticks) => {
        const job = sundials(6);
        const known = ticks.flatMap(([at, count]) => {
          const step = job.steps[at % job.steps.length];
          return step ? [[step.id, count] as const] : [];
        });
        const progress = {
          ...noProgress(6),
          done: { ...Object.fromEntries(known), 'score base 1h8gqt4': 3 },
        };
        expect(carryOver(job, progress)).toBe(progress);
      }),
    );
  });
});
