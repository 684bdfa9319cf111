import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  doneOf,
  isDone,
  noProgress,
  planBox,
  planJob,
  progressSchema,
  sayJobStep,
  secondsLeft,
  stepAtHand,
  undone,
  usualRequest,
  withDone,
  type Job,
  type LidCorners,
} from '../index.ts';
import { anyRequest, sundial } from '../testing/requests.ts';

const anyCorners = fc.constantFrom<LidCorners>('round the base', 'all at once');
const boxes = fc.integer({ min: 1, max: 60 });

function sundials(count: number): Job {
  const request = usualRequest(sundial, 'inch');
  const result = planBox(request);
  if (!result.ok) throw new Error('The sundial has a box');
  return planJob(result.plan, request, count);
}

describe('a job', () => {
  it('does for every box what the plan says, then folds, glues and fills it', () => {
    fc.assert(
      fc.property(anyRequest, boxes, anyCorners, (request, count, corners) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const job = planJob(plan, request, count, corners);
        expect(new Set(job.steps.map(({ id }) => id)).size).toBe(job.steps.length);
        const planned = job.steps.flatMap(({ work, copies }) =>
          plan.steps.some((step) => step === work) ? [{ work, copies }] : [],
        );
        expect(new Set(planned.map(({ work }) => work))).toEqual(
          new Set(plan.steps.filter(({ kind }) => kind !== 'cut')),
        );
        for (const { work, copies } of planned) expect(copies).toBe(work.copies * count);
        // Nothing that must be flat comes after something that isn't.
        const kinds = job.steps.map(({ work }) => work.kind);
        expect(kinds.map((kind) => `${kind} `).join('')).toMatch(
          /^(trim )*(punch )*(score )*((score|slant) )*((slit|taper|snip) )*(fold )*((fasten|glue|join|gift|close) )*$/,
        );
        expect(kinds.filter((kind) => kind === 'gift')).toHaveLength(1);
        // What is punched for a ribbon gets its ribbon: a pull while its wall is flat, the rest when all is in.
        const uses = plan.pieces.flatMap(({ grid }) => grid.cutouts.map(({ use }) => use));
        const fastened = job.steps.flatMap(({ work }, at) =>
          work.kind === 'fasten' ? [{ work, at }] : [],
        );
        for (const use of ['ribbon pull', 'ribbon', 'wire', 'brad', 'tongue'])
          expect(fastened.some(({ work }) => work.with === use)).toBe(uses.includes(use));
        for (const { work, at } of fastened) {
          const [first, gift] = [kinds.indexOf('glue'), kinds.indexOf('gift')];
          if (work.when === 'flat') expect(first < 0 || at < first).toBe(true);
          else if (work.when === 'to close') expect(at).toBe(kinds.length - 1);
          else expect(at).toBe(gift - 1);
        }
        // Every glued face is glued once, and every part comes to the others.
        const glued = job.steps.flatMap(({ work }) => (work.kind === 'glue' ? [work] : []));
        const within = plan.assembly.stacks.filter(
          ({ face, on, holds }) => holds === 'glue' && face.part === on.part,
        );
        const inAll = glued.reduce((sum, work) => sum + work.count * work.copies, 0);
        expect(inAll).toBe(within.length);
        const hasRound = glued.some(({ round }) => round !== undefined);
        if (corners === 'all at once') expect(hasRound).toBe(false);
        const joined = job.steps.flatMap(({ work }) => (work.kind === 'join' ? [work.piece] : []));
        const [first] = plan.assembly.parts;
        expect(new Set([first?.piece, ...joined])).toEqual(
          new Set(plan.assembly.parts.map(({ piece }) => piece)),
        );
      }),
      { numRuns: 60 },
    );
  });

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
    const first = job.steps.find(({ work }) => work.kind === 'score');
    if (!first) throw new Error('A job has steps');
    const progress = noProgress(6);
    const usual = secondsLeft(progress, first);
    const quick = withDone(job, progress, first, 2, first.usual);
    const slow = withDone(job, progress, first, 2, first.usual * 6);
    expect(secondsLeft(quick, first)).toBeLessThan((usual * 4) / 6);
    expect(secondsLeft(slow, first)).toBeGreaterThan((usual * 4) / 6);
    // A night's rest between two pieces is no work.
    expect(withDone(job, progress, first, 1, 30_000).spent).toEqual({});
  });

  it('is said as at the table', () => {
    const job = sundials(6);
    const { kit } = usualRequest(sundial, 'inch');
    expect(job.steps.map((step) => sayJobStep(step, kit).line)).toEqual([
      'Dusk: two strips at 3 3/4 in',
      'Sodium: two strips at 3 9/16 in',
      'Sodium: six lids at 3 9/16 in',
      'Dusk: six bases at 3 3/4 in',
      'Base: 5/8 on all four sides',
      'Lid: 1/2 on all four sides',
      'Base: slit four corners to the fold',
      'Base: taper the four tabs, 1/16 in',
      'Lid: slit four corners to the fold',
      'Lid: taper the four tabs, 1/16 in',
      'Base: burnish every score',
      'Lid: burnish every score',
      'Base: glue four tabs',
      'Lid: glue two tabs',
      'Lid: last two, over the base',
      'Gift in',
      'Lid: over the base',
    ]);
  });
});
