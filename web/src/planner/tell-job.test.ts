import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { momentsOf } from '../make/moments.ts';
import { anyBox, holes } from '../testing/any-box.ts';
import { planAndTellJob } from './tell-job.ts';

describe('a job that is planned beside the page', () => {
  it('tells every step and each of its moments, takes every piece from a sheet, and crosses over whole', () => {
    fc.assert(
      fc.property(
        anyBox,
        fc.integer({ min: 1, max: 7 }),
        fc.constantFrom('round the base' as const, 'all at once' as const),
        ({ plan, request }, boxes, corners) => {
          const planned = planAndTellJob({ plan, request, boxes, corners });
          const { job, told, notes, sheets } = planned;
          expect([...told.keys()]).toEqual(job.steps.map(({ id }) => id));
          for (const { bench, steps } of job.stages)
            steps.forEach((step, i) => {
              const said = told.get(step.id);
              expect(said?.text).not.toBe('');
              expect(said?.figures.length, said?.line).toBe(momentsOf(step).length);
              expect(JSON.stringify(said), said?.line).not.toMatch(holes);
              // What is set up with a tool is told once, before it is first used.
              expect(said?.before).toBe(i === 0 ? notes.get(bench) : undefined);
            });
          for (const { id, copies } of plan.pieces) {
            const laid = sheets.flatMap(({ placements }) => placements);
            expect(laid.filter(({ piece }) => piece === id)).toHaveLength(copies * boxes);
          }
          expect(structuredClone(planned)).toEqual(planned);
        },
      ),
      { numRuns: 25 },
    );
  });
});
