import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';
import { newProject, projectDocumentSchema, type ProjectDocument } from '../index.ts';
import { millimetres } from '../length/index.ts';
import { mergeChanges } from './index.ts';

/** Notes with fields to change, in objects and lists. */
const notesSchema = z.object({
  name: z.string(),
  size: z.object({ across: z.number(), deep: z.number(), high: z.number().optional() }),
  marks: z.array(z.number()),
  gift: z.union([
    z.object({ shape: z.literal('block'), side: z.number() }),
    z.object({ shape: z.literal('ball'), diameter: z.number() }),
  ]),
});
type Notes = z.infer<typeof notesSchema>;

const number = fc.integer({ min: 0, max: 3 });
const notes: fc.Arbitrary<Notes> = fc.record({
  name: fc.constantFrom('a', 'b', 'c'),
  size: fc.record(
    { across: number, deep: number, high: number },
    { requiredKeys: ['across', 'deep'] },
  ),
  marks: fc.array(number, { maxLength: 3 }),
  gift: fc.oneof(
    fc.record({ shape: fc.constant('block' as const), side: number }),
    fc.record({ shape: fc.constant('ball' as const), diameter: number }),
  ),
});

/** A field for a field by itself: what a change did to it, told without the merge. */
const fields: readonly ((of: Notes) => unknown)[] = [
  ({ name }) => name,
  ({ size }) => size.across,
  ({ size }) => size.deep,
  ({ size }) => size.high,
];

describe('two changes of one value', () => {
  it('both come through where they touch different fields, and what clashes is told with both values', () => {
    fc.assert(
      fc.property(notes, notes, notes, (base, mine, theirs) => {
        const { value, clashes } = mergeChanges(notesSchema, { base, mine, theirs });
        for (const field of fields) {
          const [was, one, other, now] = [base, mine, theirs, value].map(field);
          if (one === was) expect(now).toBe(other);
          else if (other === was || one === other) expect(now).toBe(one);
          else {
            expect(now).toBe(one);
            expect(clashes.some((clash) => clash.mine === one && clash.theirs === other)).toBe(
              true,
            );
          }
        }
        // Of a gift of another shape no field is taken by itself.
        if (value.gift.shape !== base.gift.shape)
          expect([mine.gift, theirs.gift]).toContainEqual(value.gift);
        const untouched = JSON.stringify(theirs) === JSON.stringify(base);
        if (untouched) expect({ value, clashes }).toEqual({ value: mine, clashes: [] });
      }),
      { numRuns: 500 },
    );
  });

  it('come out alike from either side where nothing clashes', () => {
    fc.assert(
      fc.property(notes, notes, notes, (base, mine, theirs) => {
        const here = mergeChanges(notesSchema, { base, mine, theirs });
        const there = mergeChanges(notesSchema, { base, mine: theirs, theirs: mine });
        expect(there.clashes.length).toBe(here.clashes.length);
        if (here.clashes.length === 0) expect(there.value).toEqual(here.value);
        for (const [i, { path, mine: own, theirs: other }] of here.clashes.entries())
          expect(there.clashes[i]).toEqual({ path, mine: other, theirs: own });
      }),
      { numRuns: 500 },
    );
  });

  it('of a list with more or fewer in it is one clash, and of lists of one length each place counts', () => {
    const base: Notes = {
      name: 'a',
      size: { across: 1, deep: 1 },
      marks: [1, 2],
      gift: { shape: 'block', side: 1 },
    };
    const merge = (mine: readonly number[], theirs: readonly number[]) =>
      mergeChanges(notesSchema, {
        base,
        mine: { ...base, marks: [...mine] },
        theirs: { ...base, marks: [...theirs] },
      });
    expect(merge([1, 3], [0, 2])).toMatchObject({ value: { marks: [0, 3] }, clashes: [] });
    expect(merge([1], [0, 2])).toMatchObject({
      value: { marks: [1] },
      clashes: [{ path: ['marks'], mine: [1], theirs: [0, 2] }],
    });
  });

  it('clash as a whole where their parts make nothing that may be', () => {
    const rising = z
      .object({ low: z.number(), high: z.number() })
      .refine(({ low, high }) => low < high);
    const merged = mergeChanges(rising, {
      base: { low: 2, high: 4 },
      mine: { low: 3, high: 4 },
      theirs: { low: 2, high: 3 },
    });
    expect(merged).toEqual({
      value: { low: 3, high: 4 },
      clashes: [{ path: [], mine: { low: 3, high: 4 }, theirs: { low: 2, high: 3 } }],
    });
  });

  it('of a box are its name, its gift, its papers and its options', () => {
    const base = { ...newProject('inch'), name: 'Pocket sundial' };
    const { gift } = base.box;
    if (gift.shape !== 'block') throw new Error('A new box is for a block');
    const mine: ProjectDocument = {
      ...base,
      name: 'Sundial, open night',
      box: { ...base.box, gift: { ...gift, across: millimetres(61) } },
    };
    const theirs: ProjectDocument = {
      ...base,
      box: { ...base.box, gift: { ...gift, high: millimetres(15) }, lean: 'tight' },
    };
    const { value, clashes } = mergeChanges(projectDocumentSchema, { base, mine, theirs });
    expect(clashes).toEqual([]);
    expect(value).toMatchObject({
      name: 'Sundial, open night',
      box: { lean: 'tight', gift: { across: millimetres(61), high: millimetres(15) } },
    });
  });
});
