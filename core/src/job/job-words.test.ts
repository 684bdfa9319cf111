import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  cutUnit,
  formatLength,
  planBox,
  planJob,
  sayJobStep,
  scoreUnit,
  type Job,
  type JobStep,
  type Kit,
} from '../index.ts';
import { anyRequest } from '../testing/requests.ts';

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
  new RegExp(`\\b(?:${numbers}) (?:${things})\\b(?! (?:of|at|(?:\\w+ )?\\w+s\\b))`, 'i'),
  /\b([a-z]+) \1\b/i,
  /\ba [aeiou]\w+\b(?<!a (?:one|unit|use|user)\w*)/i,
];

function jobsOf(check: (job: Job, kit: Kit) => void): void {
  fc.assert(
    fc.property(
      anyRequest,
      fc.integer({ min: 1, max: 12 }),
      fc.constantFrom('round the base' as const, 'all at once' as const),
      (request, boxes, corners) => {
        const result = planBox(request);
        if (result.ok) check(planJob(result.plan, request, boxes, corners), request.kit);
      },
    ),
    { numRuns: 150 },
  );
}

/** The length that a step is about, as its own tool shows it. */
function figureOf({ work }: JobStep, kit: Kit): string {
  if (work.kind === 'trim') return formatLength(work.setting, cutUnit(kit));
  return work.kind === 'score' ? formatLength(work.reading, scoreUnit(work, kit)) : '';
}

describe('the steps of any job, on any tools', () => {
  it('are said in whole sentences that name their figures, with nothing left open', () => {
    jobsOf((job, kit) => {
      for (const step of job.steps) {
        const { figure, text, line, counted } = sayJobStep(step, kit);
        expect(text).toMatch(/^[A-Z0-9].*\.$/);
        expect(line).toMatch(/^[A-Z].*[^.]$/);
        expect(figure).not.toBe('');
        expect(counted).toMatch(/\w+ (?:\w+ )?\w+$/);
        for (const said of [figure, text, line, counted])
          for (const fault of faults) expect(said).not.toMatch(fault);
        expect(text).toContain(figureOf(step, kit));
      }
    });
  });

  it('are told apart in their list', () => {
    jobsOf((job, kit) => {
      for (const { bench, steps } of job.stages) {
        // Of two cuts alike it doesn't matter which is made first.
        if (bench === 'trimmer') continue;
        const lines = steps.map((step) => sayJobStep(step, kit).line);
        expect(new Set(lines).size, lines.join('\n')).toBe(lines.length);
      }
    });
  });
});
