import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { layOut, millimetres, stockPaper, type Paper, type SheetPiece } from '../../index.ts';
import { casesWanted } from '../../testing/cases.ts';

interface Kind {
  readonly across: number;
  readonly down: number;
}

/** A sheet of so many whole units of 20 mm each way. */
const unit = millimetres(20);

/** Everything that a sheet gives, by every cut at every whole unit; two kinds as `first second`. */
function givenBy(
  across: number,
  down: number,
  kinds: readonly Kind[],
  turns: boolean,
  known = new Map<string, ReadonlySet<string>>(),
): ReadonlySet<string> {
  const key = `${across} ${down}`;
  const before = known.get(key);
  if (before) return before;
  const all = new Set(['0 0']);
  kinds.forEach((kind, i) => {
    const fits = kind.across <= across && kind.down <= down;
    const fitsTurned = turns && kind.down <= across && kind.across <= down;
    if (fits || fitsTurned) all.add(i === 0 ? '1 0' : '0 1');
  });
  const add = (one: ReadonlySet<string>, other: ReadonlySet<string>) => {
    for (const a of one)
      for (const b of other) {
        const [a1 = 0, a2 = 0] = a.split(' ').map(Number);
        const [b1 = 0, b2 = 0] = b.split(' ').map(Number);
        all.add(`${a1 + b1} ${a2 + b2}`);
      }
  };
  for (let at = 1; at <= across / 2; at++)
    add(givenBy(at, down, kinds, turns, known), givenBy(across - at, down, kinds, turns, known));
  for (let at = 1; at <= down / 2; at++)
    add(givenBy(across, at, kinds, turns, known), givenBy(across, down - at, kinds, turns, known));
  known.set(key, all);
  return all;
}

/** The fewest sheets for so many of each, by counting up from nothing, one sheet at a time. */
function fewest(patterns: ReadonlySet<string>, wanted: readonly [number, number]): number {
  let reached = new Set(['0 0']);
  for (let sheets = 0; sheets < 400; sheets++) {
    const counts = [...reached].map((each) => each.split(' ').map(Number));
    if (counts.some(([a = 0, b = 0]) => a >= wanted[0] && b >= wanted[1])) return sheets;
    const next = new Set<string>();
    for (const [a = 0, b = 0] of counts)
      for (const pattern of patterns) {
        const [more = 0, too = 0] = pattern.split(' ').map(Number);
        next.add(`${Math.min(wanted[0], a + more)} ${Math.min(wanted[1], b + too)}`);
      }
    reached = next;
  }
  throw new Error('Too many sheets');
}

const anyKind = fc.record({
  across: fc.integer({ min: 2, max: 8 }),
  down: fc.integer({ min: 2, max: 8 }),
});

describe('a batch', () => {
  it('takes the fewest sheets that cuts from edge to edge allow', () => {
    let saved = 0;
    fc.assert(
      fc.property(
        fc.record({
          across: fc.integer({ min: 8, max: 14 }),
          down: fc.integer({ min: 8, max: 14 }),
        }),
        fc.array(anyKind, { minLength: 1, maxLength: 2 }),
        fc.boolean(),
        fc.integer({ min: 1, max: 30 }),
        fc.integer({ min: 1, max: 2 }),
        (sheet, kinds, turns, boxes, ofSecond) => {
          const wanted = kinds.map((_, i) => (i === 0 ? boxes : boxes * ofSecond));
          const [first = 0, second = 0] = wanted;
          const least = fewest(givenBy(sheet.across, sheet.down, kinds, turns), [first, second]);
          const paper: Paper = {
            ...stockPaper('dusk'),
            sheet: {
              name: 'own',
              width: times(sheet.across),
              height: times(sheet.down),
            },
            print: 'one face',
            printRuns: turns ? 'any way' : 'one way',
          };
          const pieces = kinds.map(({ across, down }, i): SheetPiece => ({
            id: `piece ${i}`,
            paper: 0,
            copies: wanted[i] ?? 0,
            width: times(across),
            height: times(down),
          }));
          const [use] = layOut(pieces, [paper]);
          expect(use?.sheets).toBe(least);
          if (least > 1) saved++;
        },
      ),
      { numRuns: 150 },
    );
    expect(saved).toBeGreaterThanOrEqual(casesWanted(50));
  });
});

function times(units: number) {
  return millimetres((units * unit) / millimetres(1));
}
