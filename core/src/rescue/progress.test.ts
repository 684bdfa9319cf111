import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  doneOf,
  doneSoFar,
  isDone,
  noProgress,
  planBox,
  planJob,
  progressSchema,
  redone,
  rescue,
  stepAtHand,
  withDone,
  type Job,
  type Progress,
} from '../index.ts';
import { anyRequest } from '../testing/requests.ts';

/** The progress after so many steps are wholly done, in order. */
function after(job: Job, steps: number, boxes: number): Progress {
  let progress = noProgress(boxes);
  for (let i = 0; i < steps; i++) {
    const at = stepAtHand(job, progress);
    if (at) progress = withDone(job, progress, at, at.copies, 1);
  }
  return progress;
}

const boxes = fc.integer({ min: 1, max: 9 });

describe('what is done so far', () => {
  it('is what the steps have cut and scored, and nothing that no step has touched', () => {
    fc.assert(
      fc.property(anyRequest, boxes, fc.nat({ max: 30 }), (request, count, steps) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const job = planJob(plan, request, count);
        const progress = after(job, steps, count);
        const { cut, scored } = doneSoFar(plan, job, progress, []);
        for (const step of job.steps) {
          const { work } = step;
          const isTouched = doneOf(progress, step) > 0;
          if (work.kind === 'trim') {
            if (isTouched && work.gives.kind === 'piece')
              expect(cut.has(work.gives.piece)).toBe(true);
          } else if (work.kind === 'score' && isTouched)
            for (const { line } of work.passes)
              expect(scored.has(`${work.piece} ${line}`)).toBe(true);
        }
        const touched = job.steps.filter((step) => doneOf(progress, step) > 0);
        for (const piece of cut)
          expect(
            touched.some(({ work }) =>
              work.kind === 'trim'
                ? work.gives.kind === 'piece' && work.gives.piece === piece
                : work.piece === piece,
            ),
          ).toBe(true);
        // Only what is cut can be scored.
        for (const line of scored) expect(cut.has(line.split(' ')[0] ?? '')).toBe(true);
      }),
      { numRuns: 80 },
    );
  });

  it('is not asked for again once the box is planned round it', () => {
    fc.assert(
      fc.property(anyRequest, boxes, fc.nat({ max: 12 }), (request, count, steps) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const job = planJob(plan, request, count);
        const done = doneSoFar(plan, job, after(job, steps, count), []);
        const [piece] = plan.pieces;
        if (!piece) return;
        const depth = request.room.high.floor;
        const mishap = { kind: 'torn', piece: piece.id, edge: 'right', depth } as const;
        const [way] = rescue(plan, request, done, mishap).ways;
        if (!way || way.kind === 'another piece') return;
        const again = planJob(way.plan, way.request, count);
        const made = new Set(way.request.made.map((each) => each.piece));
        for (const { work } of again.steps) {
          if (work.kind === 'trim' && work.gives.kind === 'piece')
            expect(made.has(work.gives.piece)).toBe(false);
          if (work.kind === 'score')
            for (const { line } of work.passes) {
              const isMade = way.request.made.some(
                (each) =>
                  each.piece === work.piece &&
                  each.way === (line.startsWith('column') ? 'across' : 'down') &&
                  each.marks.some(
                    ({ mark }) =>
                      mark ===
                      way.plan.marks
                        .find((marks) => marks.piece === work.piece)
                        ?.readings.find((reading) => reading.line === line)?.mark,
                  ),
              );
              expect(isMade).toBe(false);
            }
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('a piece that is cut again', () => {
  it('goes through its own steps once more, as often as it was lost, and through no other’s', () => {
    fc.assert(
      fc.property(
        anyRequest,
        boxes,
        fc.nat({ max: 40 }),
        fc.integer({ min: 1, max: 9 }),
        (request, count, steps, lost) => {
          const result = planBox(request);
          if (!result.ok) return;
          const job = planJob(result.plan, request, count);
          const before = after(job, steps, count);
          const piece = result.plan.pieces[0]?.id ?? '';
          const now = redone(job, before, piece, lost);
          expect(progressSchema.parse(now)).toEqual(now);
          for (const step of job.steps) {
            const isOwn = step.work.piece === piece && step.work.kind !== 'trim';
            const was = doneOf(before, step);
            expect(doneOf(now, step)).toBe(isOwn ? Math.max(0, was - lost) : was);
          }
          // Done again, the box is as far as before and comes to its end.
          let progress = now;
          for (let i = 0; i <= job.steps.length; i++) {
            const at = stepAtHand(job, progress);
            if (at) progress = withDone(job, progress, at, at.copies, 1);
          }
          expect(job.steps.every((step) => isDone(progress, step))).toBe(true);
        },
      ),
      { numRuns: 80 },
    );
  });
});
