import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  mergeChanges,
  noProgress,
  planBox,
  planJob,
  planRequestSchema,
  sayStep,
  usualRequest,
  withDone,
  type OwnStepChoice,
  type PlanRequest,
} from '../index.ts';
import { sundial } from '../testing/requests.ts';

const usual = usualRequest(sundial, 'inch');
const result = planBox(usual);
if (!result.ok) throw new Error(result.problems[0]?.message);
const { plan } = result;

function jobWith(ownSteps: readonly OwnStepChoice[], boxes = 1) {
  const request: PlanRequest = { ...usual, ownSteps: [...ownSteps] };
  return planJob(plan, request, { boxes });
}

const bare = jobWith([]);

/** What the maker may put in: at any step, or at one that is no longer there. */
const anyOwn: fc.Arbitrary<OwnStepChoice> = fc.record({
  id: fc.uuid(),
  what: fc.constantFrom('step', 'note'),
  place: fc.constantFrom('before', 'after'),
  of: fc.constantFrom(...bare.steps.map(({ id }) => id), 'a step of another kind of box'),
  text: fc.constantFrom('Stamp a star on the front.', 'Wait for the ink to dry'),
});

describe('steps and notes of the maker’s own', () => {
  it('stand next to their step, once each, and leave all others as they were', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(anyOwn, { selector: ({ id }) => id, maxLength: 6 }),
        fc.integer({ min: 1, max: 6 }),
        (own, boxes) => {
          const job = jobWith(own, boxes);
          const others = job.steps.filter(({ kind }) => kind !== 'own');
          expect(others.map(({ id }) => id)).toEqual(jobWith([], boxes).steps.map(({ id }) => id));
          expect(job.stages.flatMap(({ steps }) => steps)).toEqual(job.steps);
          const ids = job.steps.map(({ id }) => id);
          const notes = job.steps.flatMap((step) => step.notes ?? []);
          for (const { id, what, place, of } of own) {
            if (what === 'note') {
              expect(notes.filter((note) => note.id === id)).toHaveLength(1);
              continue;
            }
            const at = ids.indexOf(`own ${id}`);
            expect(job.steps[at]?.copies).toBe(boxes);
            const anchor = ids.indexOf(of);
            if (anchor === -1) expect(at).toBeGreaterThanOrEqual(others.length - 1);
            else if (place === 'before') expect(at).toBeLessThan(anchor);
            else expect(at).toBeGreaterThan(anchor);
            // Between it and its step there are only others of the maker’s own.
            const between = ids.slice(Math.min(at, anchor) + 1, Math.max(at, anchor));
            if (anchor !== -1) expect(between.every((each) => each.startsWith('own '))).toBe(true);
          }
        },
      ),
    );
  });

  it('are told in the maker’s words', () => {
    const [first] = bare.steps;
    const of = first?.id ?? '';
    const job = jobWith([
      { id: 'a', what: 'step', place: 'before', of, text: 'Stamp the front. Let it dry.' },
      { id: 'b', what: 'note', place: 'before', of, text: 'Mind the grain' },
    ]);
    const [own, cut] = job.steps.map((step) => sayStep(step, { job, box: plan, kit: usual.kit }));
    expect(own?.figure).toBe('Stamp the front');
    expect(own?.text).toBe('Stamp the front. Let it dry.');
    expect(cut?.text.startsWith('Note: Mind the grain. From one sheet')).toBe(true);
    expect(cut?.passages[0]?.text).toBe('Note: Mind the grain.');
  });

  it('teach nothing of how long a tool takes', () => {
    const of = bare.steps[0]?.id ?? '';
    const job = jobWith([{ id: 'a', what: 'step', place: 'before', of, text: 'Have tea' }]);
    const [own] = job.steps;
    if (!own) throw new Error('No step');
    const after = withDone(job, noProgress(), { step: own, copies: 1, seconds: 3600 });
    expect(after.spent).toEqual({});
    expect(after.done[own.id]).toBe(1);
    expect(after.at).not.toBe(own.id);
  });

  it('are kept with the box, and are none in one that was kept before there were any', () => {
    const older = Object.fromEntries(Object.entries(usual).filter(([key]) => key !== 'ownSteps'));
    expect(planRequestSchema.parse(older).ownSteps).toEqual([]);
    const text = ' '.repeat(3);
    const empty = {
      ...usual,
      ownSteps: [{ id: 'a', what: 'note', place: 'after', of: 'x', text }],
    };
    expect(planRequestSchema.safeParse(empty).error?.issues[0]?.message).toBe(
      'Say what is to be done, or what to remember.',
    );
  });

  it('that were written on two tablets are both there, and what one took away is gone', () => {
    const anySteps = fc.uniqueArray(
      anyOwn.chain((own) => fc.constantFrom('a', 'b', 'c', 'd').map((id) => ({ ...own, id }))),
      { selector: ({ id }) => id, maxLength: 4 },
    );
    fc.assert(
      fc.property(anySteps, anySteps, anySteps, (base, mine, theirs) => {
        const box = (ownSteps: readonly OwnStepChoice[]) => ({ ...usual, ownSteps: [...ownSteps] });
        const { value, clashes } = mergeChanges(planRequestSchema, {
          base: box(base),
          mine: box(mine),
          theirs: box(theirs),
        });
        for (const id of ['a', 'b', 'c', 'd']) {
          const [was, one, other, now] = [base, mine, theirs, value.ownSteps].map((list) =>
            JSON.stringify(list.find((each) => each.id === id)),
          );
          if (one === was) expect(now).toBe(other);
          else if (other === was || one === other) expect(now).toBe(one);
          else if (one === undefined || other === undefined || was === undefined)
            expect(clashes.some(({ path }) => path.includes(id))).toBe(true);
        }
      }),
    );
  });
});
