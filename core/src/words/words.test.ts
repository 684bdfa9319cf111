import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  allStyles,
  planBox,
  planJob,
  sayStep,
  type Job,
  type PlanRequest,
  type Step,
  type StepWords,
} from '../index.ts';
import { dressed } from '../testing/dressed.ts';
import { anyRequest, requestsIn } from '../testing/requests.ts';
import { faultsInWords } from '../testing/told.ts';

/** Where code is spoilt on purpose, fewer cases have to show it: a whole round is run for every fault. */
const isFirstFailureEnough = process.env.FIRST_FAILURE !== undefined;

const numbers = 'two|three|four|five|six|seven|eight|nine|ten|eleven|twelve';
/** Things that are counted, as one of them is said. */
const things =
  'sheet|strip|piece|lid|base|tray|box|score|line|tab|flap|side|corner|marker|slit|hole|panel|end';

/** What no sentence holds. */
const faults = [
  /undefined|null|NaN|\[object|Infinity/,
  / {2}|^ | $/,
  /\ball (?:one|two)\b/,
  /\s[.,;:]|[,;:]\.|,,|\.\.(?!\.)/,
  new RegExp(`\\b(?:one|a) (?:${things})(?:s|es)\\b`, 'i'),
  new RegExp(`\\b(?:${numbers}) (?:${things})\\b(?! (?:of|at|along|(?:\\w+ )?\\w+s\\b))`, 'i'),
  /\b([a-z]+) \1\b/i,
  /\ba [aeiou]\w+\b(?<!a (?:one|unit|use|user)\w*)/i,
  // What can't be found on bare card, or is no English.
  /as drawn|drawn at|\blit\b|so far in|no groove|that which|dash-dot/,
];

function stepsOf(check: (step: Step, words: StepWords, job: Job) => void): void {
  fc.assert(
    fc.property(
      anyRequest,
      fc.integer({ min: 1, max: 12 }),
      fc.constantFrom('round the base' as const, 'all at once' as const),
      (request, boxes, corners) => {
        const result = planBox(request);
        if (!result.ok) return;
        const { plan } = result;
        const job = planJob(plan, request, { boxes, corners });
        for (const step of job.steps)
          check(step, sayStep(step, { job, box: plan, kit: request.kit }), job);
      },
    ),
    { numRuns: isFirstFailureEnough ? 40 : 150 },
  );
}

describe('the steps of any job, on any tools', () => {
  it('are said in whole sentences, with nothing left open', () => {
    stepsOf((_, { figure, text, line, counted }) => {
      expect(text).toMatch(/^[A-Z0-9].*\.$/);
      expect(line).toMatch(/^[A-Z].*[^.]$/);
      expect(figure).toMatch(/^[A-Z0-9]/);
      expect(counted).toMatch(/\w+ (?:\w+ )?\w+$/);
      for (const said of [figure, text, line, counted])
        for (const fault of faults) expect(said).not.toMatch(fault);
    });
  });

  it('tell every figure with its unit, one unit in a row', () => {
    stepsOf((_, { text }) => {
      // What a mark is called on the ruler is no figure, and thumbs and sides are counted in words.
      const bare = text.replace(/(?:marks?|halfway) [^.,;”]*/g, '');
      const rows = bare.matchAll(
        /\d[\d/.]*(?:(?:, | and | to | × | )\d[\d/.]*)*(?<!\.) ?(in|mm|°)?/g,
      );
      for (const [row, unit] of rows) {
        // Above twelve, things are counted in figures.
        const isCount = /^(?:1[3-9]|[2-9]\d) $/.test(row);
        if (!isCount) expect(unit, `“${row}” in “${text}”`).toBeDefined();
      }
    });
  });
});

describe('a step', () => {
  it('tells nothing twice', () => {
    stepsOf((step, { text }) => {
      if (step.kind !== 'assembly') return;
      const sentences = text.split(/(?<=[.:]) (?=[A-Z])/).filter((each) => each.length > 45);
      expect(new Set(sentences).size, text).toBe(sentences.length);
    });
  });
});

/** Whoever reads only the words makes these boxes, each line and cut of every piece, and each joint. */
function readersMake(requests: fc.Arbitrary<PlanRequest>, runs: number): void {
  fc.assert(
    fc.property(
      requests,
      fc.constantFrom(1, 6),
      fc.infiniteStream(fc.nat(11)),
      (request, boxes, dice) => {
        const result = planBox(request);
        if (!result.ok) return;
        // Where a sentence leaves a choice, any will do.
        const pick = (ways: number) => Number(dice.next().value) % Math.max(1, ways);
        expect(faultsInWords(result.plan, request, boxes, pick)).toEqual([]);
      },
    ),
    { numRuns: runs },
  );
}

describe('whoever reads only the words', () => {
  it.each(allStyles.map((style) => [style.id, style] as const))(
    'makes the planned %s, as many as wanted',
    (_, style) => readersMake(requestsIn([style]), isFirstFailureEnough ? 2 : 6),
  );

  it('dresses a box of any kind as it is planned', () =>
    readersMake(dressed(anyRequest), isFirstFailureEnough ? 10 : 45));
});
