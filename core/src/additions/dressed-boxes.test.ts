import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { allStyles, planBox } from '../index.ts';
import { dressed } from '../testing/dressed.ts';
import { faultsInSpace } from '../testing/proof.ts';
import { tableRequestsIn } from '../testing/requests.ts';
import { wornFaults } from '../testing/worn-in-space.ts';

describe.each(allStyles.map((style) => ({ name: style.name, style })))('$name', ({ style }) => {
  it('closes over all that it wears, and that lies on its faces within its margins', () => {
    fc.assert(
      fc.property(dressed(tableRequestsIn(style)), (request) => {
        const result = planBox(request);
        if (!result.ok) return;
        expect(faultsInSpace(result.plan, request)).toEqual([]);
        expect(wornFaults(result.plan, request)).toEqual([]);
      }),
      // `npm run bench` sweeps thousands of others.
      { numRuns: 14 },
    );
  });
});
