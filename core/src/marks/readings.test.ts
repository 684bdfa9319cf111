import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { inches, inchFraction } from '../length/index.ts';
import { readChain } from './index.ts';

describe('reading scores', () => {
  const tools = { pitch: inchFraction(1, 8), reach: inches(12), edges: 'both' as const };

  it('leaves the odd remainder between two readings from either edge', () => {
    const chain = [inchFraction(3, 4), inchFraction(41, 16), inchFraction(3, 4)];
    const { cut, scores } = readChain('lid', chain, tools);
    expect(cut).toBe(inchFraction(65, 16));
    expect(scores.map(({ from, reading, onGroove }) => [from, reading, onGroove])).toEqual([
      ['start', inchFraction(3, 4), true],
      ['end', inchFraction(3, 4), true],
    ]);
  });

  it('reads every score on a groove that has one from either edge, never beyond the far edge', () => {
    const sections = fc.array(
      fc.integer({ min: 1, max: 60 }).map((n) => inchFraction(n, 16)),
      { minLength: 2, maxLength: 6 },
    );
    fc.assert(
      fc.property(sections, (list) => {
        const { cut, scores } = readChain('any', list, tools);
        for (const { position, from, reading, onGroove } of scores) {
          expect(from === 'start' ? reading : cut - reading).toBe(position);
          const isOn = (at: number) => at % tools.pitch === 0 && at <= tools.reach;
          expect(onGroove).toBe(isOn(position) || isOn(cut - position));
          const [near] = [position, cut - position].filter(isOn).sort((a, b) => a - b);
          expect(reading).toBe(near ?? Math.min(position, cut - position));
        }
      }),
    );
  });

  it('lays the shim in only where no groove does it, and says so', () => {
    const shim = inchFraction(1, 16);
    // From the other end all are a thirty-second off.
    const list = [
      [15, 16],
      [33, 16],
      [7, 8],
      [33, 32],
    ] as const;
    const sections = list.map(([over, under]) => inchFraction(over, under));
    const { scores } = readChain('any', sections, { ...tools, shim });
    expect(scores.map(({ reading, onGroove, shimmed }) => [reading, onGroove, shimmed])).toEqual([
      [inchFraction(15, 16), true, true],
      [inches(3), true, undefined],
      [inchFraction(31, 8), true, undefined],
    ]);
    const bare = readChain('any', sections, tools);
    expect(bare.scores.map(({ onGroove, shimmed }) => [onGroove, shimmed])).toEqual([
      [false, undefined],
      [true, undefined],
      [true, undefined],
    ]);
  });
});
