import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allStyles, planBox } from '../index.ts';
import { dressed } from '../testing/dressed.ts';
import { tableRequestsIn } from '../testing/requests.ts';

describe('the unit that figures are shown in', () => {
  it('changes no piece, no mark and no sheet of any box, whatever it wears', () => {
    let planned = 0;
    fc.assert(
      fc.property(
        fc.oneof(...allStyles.map((style) => dressed(tableRequestsIn(style)))),
        (asked) => {
          const [inches, metric] = (['inch', 'mm'] as const).map((unit) =>
            planBox({ ...asked, unit }),
          );
          expect(inches?.ok).toBe(metric?.ok);
          if (!inches?.ok || !metric?.ok) return;
          planned++;
          expect(metric.plan).toEqual(inches.plan);
        },
      ),
      { numRuns: 120 },
    );
    expect(planned).toBeGreaterThan(30);
  });
});
