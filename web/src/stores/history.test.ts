import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { record, startHistory, stepBack, stepForward, type History } from './history.ts';

describe('undo and redo', () => {
  it('lead back through every change and forward again, whatever was done between', () => {
    const step = fc.record({
      what: fc.constantFrom('room', 'gift'),
      wait: fc.nat(2000),
      press: fc.option(fc.integer({ min: 1, max: 2 }), { nil: undefined }),
    });
    fc.assert(
      fc.property(fc.array(step, { minLength: 1, maxLength: 60 }), (steps) => {
        let at = 0;
        let history: History<number> = startHistory(0);
        steps.forEach(({ wait, ...step }, i) => {
          at += wait;
          history = record(history, i + 1, { ...step, at });
        });
        const seen: number[] = [];
        let back = history;
        while (back.past.length > 0) {
          seen.push(back.present);
          back = stepBack(back);
        }
        expect(back.present).toBe(0);
        expect(seen[0]).toBe(steps.length);
        // Going forward shows the same states in the other order.
        const again: number[] = [];
        while (back.future.length > 0) {
          back = stepForward(back);
          again.unshift(back.present);
        }
        expect(again).toEqual(seen);
        expect(stepForward(back)).toBe(back);
        // A change to something else, or after a pause with nothing held, is a step of its own.
        const own = steps.filter(({ what, wait, press }, i) => {
          const before = steps[i - 1];
          const isHeld = press !== undefined && press === before?.press;
          return what !== before?.what || (wait >= 900 && !isHeld);
        });
        expect(seen).toHaveLength(own.length);
      }),
    );
  });

  it('forget what was taken back once something else is done', () => {
    const undone = stepBack(record(startHistory('a'), 'b', { what: 'name', at: 0 }));
    expect(record(undone, 'c', { what: 'name', at: 1 })).toMatchObject({
      past: ['a'],
      present: 'c',
      future: [],
    });
  });
});
