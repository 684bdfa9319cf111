import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  mergeFacts,
  noFacts,
  noProgress,
  progressFactsSchema,
  progressOf,
  storedProgressSchema,
  tell,
  type Progress,
  type ProgressFacts,
} from '../index.ts';

const steps = ['cut base', 'score base', 'cut lid'] as const;

/** What a maker does on one of three devices: ticks or takes back, makes another number, goes elsewhere, works. */
const deed = fc.record({
  device: fc.nat(2),
  clock: fc.integer({ min: 0, max: 50 }),
  what: fc.oneof(
    fc.record({ step: fc.constantFrom(...steps), count: fc.integer({ min: 0, max: 5 }) }),
    fc.record({ boxes: fc.integer({ min: 1, max: 5 }) }),
    fc.record({ at: fc.constantFrom(...steps) }),
    fc.record({ worked: fc.integer({ min: 1, max: 9 }) }),
    fc.record({ corners: fc.constantFrom('round the base' as const, 'all at once' as const) }),
  ),
  /** From which device this one hears afterwards, if any. */
  hears: fc.option(fc.nat(2)),
});
type Deed = typeof deed extends fc.Arbitrary<infer Value> ? Value : never;

function after(progress: Progress, { what }: Deed): Progress {
  if ('step' in what) {
    const counts = Object.entries({ ...progress.done, [what.step]: what.count });
    return { ...progress, done: Object.fromEntries(counts.filter(([, count]) => count > 0)) };
  }
  if ('boxes' in what) return { ...progress, boxes: what.boxes };
  if ('at' in what) return { ...progress, at: what.at };
  if ('corners' in what) return { ...progress, lidCorners: what.corners };
  const before = progress.spent.board ?? { usualTimes: 0, copies: 0 };
  const board = { usualTimes: before.usualTimes + what.worked, copies: before.copies + 1 };
  return { ...progress, spent: { ...progress.spent, board } };
}

function devicesAfter(deeds: readonly Deed[]): readonly ProgressFacts[] {
  const devices = [noFacts(), noFacts(), noFacts()];
  for (const each of deeds) {
    const facts = devices[each.device] ?? noFacts();
    const next = tell(facts, after(progressOf(facts), each), {
      time: each.clock,
      by: `device ${String(each.device)}`,
    });
    const heard = each.hears === null ? undefined : devices[each.hears];
    devices[each.device] = heard ? mergeFacts(next, heard) : next;
  }
  return devices;
}

const histories = fc.array(deed, { maxLength: 25 });

describe('what was told of the making on several devices', () => {
  it('comes to what was meant, on the device that told it', () => {
    fc.assert(
      fc.property(histories, deed, (deeds, last) => {
        const facts = devicesAfter(deeds)[last.device] ?? noFacts();
        const meant = after(progressOf(facts), last);
        const told = tell(facts, meant, { time: last.clock, by: `device ${String(last.device)}` });
        expect(progressOf(told)).toEqual(meant);
        expect(progressFactsSchema.parse(told)).toEqual(told);
      }),
    );
  });

  it('goes together in any order, as often as one likes', () => {
    fc.assert(
      fc.property(histories, (deeds) => {
        const [a = noFacts(), b = noFacts(), c = noFacts()] = devicesAfter(deeds);
        const all = mergeFacts(mergeFacts(a, b), c);
        expect(mergeFacts(a, mergeFacts(c, b))).toEqual(all);
        expect(mergeFacts(mergeFacts(c, b), a)).toEqual(all);
        for (const part of [a, b, c, all]) expect(mergeFacts(all, part)).toEqual(all);
      }),
    );
  });

  it('keeps every tick of two tablets that heard nothing of each other', () => {
    const count = fc.record(
      Object.fromEntries(steps.map((step) => [step, fc.integer({ min: 0, max: 6 })])),
    );
    fc.assert(
      fc.property(count, count, (here, there) => {
        const told = (done: Readonly<Record<string, number>>, by: string) => {
          const ticked = Object.fromEntries(Object.entries(done).filter(([, n]) => n > 0));
          return tell(noFacts(), { ...noProgress(), done: ticked }, { time: 1, by });
        };
        const { done } = progressOf(mergeFacts(told(here, 'tablet'), told(there, 'computer')));
        // The first copy that one of them ticked is the first copy of the other.
        for (const step of steps)
          expect(done[step] ?? 0).toBe(Math.max(here[step] ?? 0, there[step] ?? 0));
      }),
    );
  });

  it('counts the time of all devices, each once', () => {
    const minutes = fc.array(fc.tuple(fc.nat(2), fc.integer({ min: 1, max: 9 })), { maxLength: 9 });
    fc.assert(
      fc.property(minutes, (work) => {
        const deeds = work.map(([device, worked], clock): Deed => ({
          device,
          clock,
          what: { worked },
          hears: clock % 3,
        }));
        const all = devicesAfter(deeds).reduce(mergeFacts);
        const total = work.reduce((sum, [, worked]) => sum + worked, 0);
        expect(progressOf(all).spent).toEqual(
          work.length === 0 ? {} : { board: { usualTimes: total, copies: work.length } },
        );
      }),
    );
  });

  it('takes up a count that was stored before, and whatever is told later goes over it', () => {
    const stored: Progress = {
      ...noProgress(3),
      done: { 'cut base': 3 },
      at: 'score base',
      spent: { board: { usualTimes: 4, copies: 2 } },
    };
    const facts = storedProgressSchema.parse(stored);
    expect(progressOf(facts)).toEqual(stored);
    const fewer = { ...stored, done: { 'cut base': 1 } };
    const undone = tell(facts, fewer, { time: 9, by: 'tablet' });
    expect(progressOf(mergeFacts(undone, facts)).done).toEqual({ 'cut base': 1 });
    expect(storedProgressSchema.parse(undone)).toEqual(undone);
  });
});
