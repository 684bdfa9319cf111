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
  setAside,
  stepAtHand,
  withDone,
  type CutStep,
  type Job,
  type LineRef,
  type Progress,
  type Step,
} from '../index.ts';
import { anyRequest } from '../testing/requests.ts';

/** The progress after so many steps are wholly done, in order. */
function after(job: Job, steps: number, boxes: number): Progress {
  let progress = noProgress(boxes);
  for (let i = 0; i < steps; i++) {
    const at = stepAtHand(job, progress);
    if (at) progress = withDone(job, progress, { step: at, copies: at.copies, seconds: 1 });
  }
  return progress;
}

const boxes = fc.integer({ min: 1, max: 9 });

/** The straight lines that a step makes. */
function linesIn(step: Step): readonly LineRef[] {
  if (step.kind !== 'flat') return [];
  return step.operations.flatMap((operation) =>
    operation.kind === 'score' || operation.kind === 'mark'
      ? operation.marks.map(({ line }) => line)
      : [],
  );
}

/** The pieces that a step cuts. */
function givenBy({ cuts }: CutStep): readonly string[] {
  return cuts.flatMap(({ gives, leaves }) =>
    [gives, leaves].flatMap((part) => (part.kind === 'piece' ? [part.piece] : [])),
  );
}

describe('what is done so far', () => {
  it('is what the steps have cut and scored, and nothing that no step has touched', () => {
    fc.assert(
      fc.property(anyRequest, boxes, fc.nat({ max: 30 }), (request, count, steps) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const job = planJob(plan, request, { boxes: count });
        const progress = after(job, steps, count);
        const { cut, scored } = doneSoFar(plan, job, progress, []);
        const touched = job.steps.filter((step) => doneOf(progress, step) > 0);
        const lines = touched.flatMap((step) =>
          linesIn(step).map(({ axis, index }) => `${step.piece} ${axis} ${index}`),
        );
        const said = scored.map(({ piece, line }) => `${piece} ${line.axis} ${line.index}`);
        expect(new Set(said)).toEqual(
          new Set([
            ...lines,
            // A punch board leaves all lines of its piece.
            ...said.filter((line) =>
              touched.some((step) => step.bench === 'punch board' && line.startsWith(step.piece)),
            ),
          ]),
        );
        const given = touched.flatMap((step) =>
          step.kind === 'cut' ? givenBy(step) : [step.piece],
        );
        expect(cut).toEqual(new Set(given));
        // Only what is cut can be scored.
        for (const { piece } of scored) expect(cut.has(piece)).toBe(true);
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
        const job = planJob(plan, request, { boxes: count });
        const done = doneSoFar(plan, job, after(job, steps, count), []);
        const [piece] = plan.pieces;
        if (!piece) return;
        const depth = request.room.high.floor;
        const mishap = { kind: 'torn', piece: piece.id, edge: 'right', depth } as const;
        const [way] = rescue(plan, request, done, mishap).ways;
        if (!way || way.kind === 'another piece') return;
        const again = planJob(way.plan, way.request, { boxes: count });
        const made = new Set(way.request.made.map((each) => each.piece));
        for (const step of again.steps) {
          if (step.kind === 'cut')
            for (const given of givenBy(step)) expect(made.has(given)).toBe(false);
          for (const line of linesIn(step)) {
            const mark = way.plan.marks
              .find((marks) => marks.piece === step.piece)
              ?.readings.find(
                ({ axis, index }) => axis === line.axis && index === line.index,
              )?.mark;
            const isMade = way.request.made.some(
              (each) =>
                each.piece === step.piece &&
                each.way === (line.axis === 'column' ? 'across' : 'down') &&
                each.marks.some((done) => done.mark === mark),
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
          const job = planJob(result.plan, request, { boxes: count });
          const before = after(job, steps, count);
          const piece = result.plan.pieces[0]?.id ?? '';
          const now = redone(job, before, piece, lost);
          expect(progressSchema.parse(now)).toEqual(now);
          for (const step of job.steps) {
            const isOwn = step.piece === piece && step.kind !== 'cut';
            const was = doneOf(before, step);
            if (step.kind !== 'cut')
              expect(doneOf(now, step)).toBe(isOwn ? Math.max(0, was - lost) : was);
          }
          // They are cut again, as many as were cut; where other pieces come of the same cuts, some of those count too.
          const cutting = job.steps.filter(
            (step) => step.kind === 'cut' && givenBy(step).includes(piece),
          );
          const cutIn = (progress: Progress) =>
            cutting.reduce((sum, step) => sum + doneOf(progress, step), 0);
          const isAlone = cutting.every(
            (step) => step.kind === 'cut' && givenBy(step).every((given) => given === piece),
          );
          if (isAlone) expect(cutIn(now)).toBe(Math.max(0, cutIn(before) - lost));
          // Done again, the box is as far as before and comes to its end.
          let progress = now;
          for (let i = 0; i <= job.steps.length; i++) {
            const at = stepAtHand(job, progress);
            if (at) progress = withDone(job, progress, { step: at, copies: at.copies, seconds: 1 });
          }
          expect(job.steps.every((step) => isDone(progress, step))).toBe(true);
        },
      ),
      { numRuns: 80 },
    );
  });
});

describe('boxes that become one of their own', () => {
  it('leave the rest with what they have not taken along, and nothing is made twice', () => {
    fc.assert(
      fc.property(
        anyRequest,
        fc.integer({ min: 2, max: 9 }),
        fc.nat({ max: 40 }),
        fc.nat(),
        (request, count, steps, many) => {
          const result = planBox(request);
          if (!result.ok) return;
          const of = (boxes: number) => planJob(result.plan, request, { boxes });
          const own = 1 + (many % (count - 1));
          const job = of(count);
          const before = after(job, steps, count);
          const { rest, aside } = setAside(job, before, own);
          expect(progressSchema.parse(rest)).toEqual(rest);
          expect([rest.boxes, aside.boxes]).toEqual([count - own, own]);
          const stepIn = ({ steps: all }: Job, id: string) => all.find((step) => step.id === id);
          const [jobOfRest, jobAside] = [of(count - own), of(own)];
          for (const step of job.steps) {
            if (step.kind === 'cut') continue;
            const [left, taken] = [stepIn(jobOfRest, step.id), stepIn(jobAside, step.id)];
            if (!left || !taken) throw new Error(`${step.id} is in one job only`);
            expect(doneOf(rest, left) + doneOf(aside, taken)).toBe(doneOf(before, step));
            // Those that something was seen on have what was done.
            if (!isDone(aside, taken)) expect(doneOf(rest, left)).toBe(0);
          }
        },
      ),
      { numRuns: 60 },
    );
  });
});
