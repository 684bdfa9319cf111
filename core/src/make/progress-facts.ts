import { z } from 'zod';
import { lidCornersSchema } from './lid-corners.ts';
import { mostBoxes, noProgress, progressSchema, spentSchema, type Progress } from './progress.ts';

/** The most copies of one step: boxes, with some pieces of a kind in each. */
const mostCopies = mostBoxes * 20;

/**
 * When something was told, and by which device: moments of all devices have one order, so that whoever hears
 * of two of them takes the same one for the later.
 */
const momentSchema = z.object({
  time: z.int().nonnegative().max(Number.MAX_SAFE_INTEGER),
  by: z.string().max(60),
});
export type Moment = z.infer<typeof momentSchema>;

function isLater(a: Moment, b: Moment): boolean {
  return a.time === b.time ? a.by > b.by : a.time > b.time;
}

function told<Value extends z.ZodType>(value: Value) {
  return z.object({ value, at: momentSchema });
}

interface Told<Value> {
  readonly value: Value;
  readonly at: Moment;
}

/** That copies of a step are done, or not any more: from one up to before another, counted from nought. */
const tickSchema = z
  .object({
    from: z.int().nonnegative(),
    to: z.int().positive().max(mostCopies),
    done: z.boolean(),
    at: momentSchema,
  })
  .refine(({ from, to }) => from < to, { error: 'A tick is for one copy at least.' });
type Tick = z.infer<typeof tickSchema>;

const stepIdSchema = z.string().max(200);
const deviceSchema = z.string().max(60);

/**
 * All that was told of the making of a box, on every device: for each copy of each step what was told last,
 * and the time that each device has seen pass. Two sets of facts go together in any order and as often as one
 * likes, so nothing that was ticked in two places is lost.
 */
export const progressFactsSchema = z.object({
  version: z.literal(2),
  boxes: told(progressSchema.shape.boxes),
  lidCorners: told(lidCornersSchema),
  /** The step that was gone to; null for the first that is not done. */
  here: told(stepIdSchema.nullable()),
  ticks: z
    .record(stepIdSchema, z.array(tickSchema).max(mostCopies))
    .refine((ticks) => Object.keys(ticks).length <= 2000, { error: 'These are too many steps.' }),
  /** Time that steps took, by the device that saw it and the tool. */
  spent: z
    .record(deviceSchema, z.record(z.string().max(60), spentSchema))
    .refine((spent) => Object.keys(spent).length <= 200, { error: 'These are too many devices.' }),
});
export type ProgressFacts = z.infer<typeof progressFactsSchema>;

const never: Moment = { time: 0, by: '' };

/** Nothing told yet. */
export function noFacts(): ProgressFacts {
  return factsOf(noProgress());
}

/** What was kept as a mere count before devices were told apart, as facts that any later one overrides. */
function factsOf({ boxes, lidCorners, done, at, spent }: Progress): ProgressFacts {
  return {
    version: 2,
    boxes: { value: boxes, at: never },
    lidCorners: { value: lidCorners, at: never },
    here: { value: at ?? null, at: never },
    ticks: Object.fromEntries(
      Object.entries(done)
        .filter(([, count]) => count > 0)
        .map(([step, count]) => [
          step,
          [{ from: 0, to: Math.min(mostCopies, count), done: true, at: never }],
        ]),
    ),
    spent: Object.keys(spent).length === 0 ? {} : { '': spent },
  };
}

/** Facts as they are stored, or a count as it was stored before there were facts. */
export const storedProgressSchema = z.union([
  progressFactsSchema,
  progressSchema.transform(factsOf),
]);

/** Whether one tick counts over another: the later one; of two at one moment, from two windows, what is done. */
function counts(tick: Tick, over: Tick): boolean {
  return isLater(tick.at, over.at) || (!isLater(over.at, tick.at) && tick.done);
}

/** What stands of each copy of a step, by its place. */
function copiesOf(ticks: readonly Tick[]): readonly (Tick | undefined)[] {
  const copies: (Tick | undefined)[] = [];
  for (const tick of ticks)
    for (let copy = tick.from; copy < tick.to; copy++) {
      const before = copies[copy];
      if (!before || counts(tick, before)) copies[copy] = tick;
    }
  return copies;
}

function isSameTick(a: Tick | undefined, b: Tick | undefined): boolean {
  return a === b || (a?.done === b?.done && a?.at.time === b?.at.time && a?.at.by === b?.at.by);
}

/** The same in as few ticks as there may be, in one order whatever they came from. */
function inRuns(copies: readonly (Tick | undefined)[]): Tick[] {
  const runs: Tick[] = [];
  for (let copy = 0; copy < copies.length; copy++) {
    const tick = copies[copy];
    if (!tick) continue;
    const last = runs[runs.length - 1];
    if (last?.to === copy && isSameTick(last, tick)) last.to = copy + 1;
    else runs.push({ from: copy, to: copy + 1, done: tick.done, at: tick.at });
  }
  return runs;
}

function later<Value>(a: Told<Value>, b: Told<Value>): Told<Value> {
  if (isLater(a.at, b.at)) return a;
  if (isLater(b.at, a.at)) return b;
  // Told at one moment in two windows of one device: either will do, as long as everybody takes the same.
  return String(a.value) < String(b.value) ? b : a;
}

/** Two records as one, in one order of keys, so that what says the same is written the same. */
function bringTogether<Value>(
  a: Readonly<Record<string, Value>>,
  b: Readonly<Record<string, Value>>,
  both: (one: Value | undefined, other: Value | undefined) => Value,
): Record<string, Value> {
  const keys = [...new Set([...Object.keys(a), ...Object.keys(b)])].sort();
  return Object.fromEntries(keys.map((key) => [key, both(a[key], b[key])]));
}

type Spent = z.infer<typeof spentSchema>;

const noTime: Spent = { usualTimes: 0, copies: 0 };

function longer(a: Spent = noTime, b: Spent = noTime): Spent {
  const isMore = a.copies === b.copies ? a.usualTimes > b.usualTimes : a.copies > b.copies;
  return isMore ? a : b;
}

/** All facts of two sets. In whatever order and however often sets are brought together, it comes to the same. */
export function mergeFacts(a: ProgressFacts, b: ProgressFacts): ProgressFacts {
  return {
    version: 2,
    boxes: later(a.boxes, b.boxes),
    lidCorners: later(a.lidCorners, b.lidCorners),
    here: later(a.here, b.here),
    ticks: bringTogether(a.ticks, b.ticks, (one = [], other = []) =>
      inRuns(copiesOf([...one, ...other])),
    ),
    // What a device has seen only grows, and it alone counts it.
    spent: bringTogether(a.spent, b.spent, (one = {}, other = {}) =>
      bringTogether(one, other, longer),
    ),
  };
}

/** How far the making has come by these facts. */
export function progressOf({ boxes, lidCorners, here, ticks, spent }: ProgressFacts): Progress {
  const done: Record<string, number> = {};
  for (const [step, told] of Object.entries(ticks)) {
    const count = copiesOf(told).filter((tick) => tick?.done === true).length;
    if (count > 0) done[step] = count;
  }
  const times: Progress['spent'] = {};
  for (const byTool of Object.values(spent))
    for (const [tool, { usualTimes, copies }] of Object.entries(byTool)) {
      const before = times[tool] ?? noTime;
      times[tool] = {
        usualTimes: before.usualTimes + usualTimes,
        copies: before.copies + copies,
      };
    }
  return {
    version: 1,
    boxes: boxes.value,
    lidCorners: lidCorners.value,
    done,
    ...(here.value !== null && { at: here.value }),
    spent: times,
  };
}

/** The moment after all that is known: a device whose clock is behind is heard all the same. */
function momentAfter(facts: ProgressFacts, { time, by }: Moment): Moment {
  const moments = [
    facts.boxes.at,
    facts.lidCorners.at,
    facts.here.at,
    ...Object.values(facts.ticks).flatMap((ticks) => ticks.map(({ at }) => at)),
  ];
  return { time: moments.reduce((last, at) => Math.max(last, at.time + 1), time), by };
}

/** Ticks for as many copies as are more or fewer than before; the first ones that are open, or the last ones done. */
function tickTo(ticks: readonly Tick[], count: number, at: Moment): readonly Tick[] {
  const copies = copiesOf(ticks);
  const places = Array.from({ length: Math.max(copies.length, count) }, (_, copy) => copy);
  const had = places.filter((copy) => copies[copy]?.done === true);
  const open = places.filter((copy) => copies[copy]?.done !== true);
  const done = count > had.length;
  const changed = done ? open.slice(0, count - had.length) : had.slice(count);
  return changed.map((copy) => ({ from: copy, to: copy + 1, done, at }));
}

/**
 * The facts with what a device tells now: everything in which its progress differs from what they come to.
 * `now` is its clock and its name.
 */
export function tell(facts: ProgressFacts, next: Progress, now: Moment): ProgressFacts {
  const before = progressOf(facts);
  const at = momentAfter(facts, now);
  const steps = new Set([...Object.keys(before.done), ...Object.keys(next.done)]);
  const ticks = Object.fromEntries(
    [...steps].flatMap((step) => {
      const told = tickTo(facts.ticks[step] ?? [], next.done[step] ?? 0, at);
      return told.length === 0 ? [] : [[step, [...told]]];
    }),
  );
  const own = facts.spent[now.by] ?? {};
  const spent = Object.fromEntries(
    Object.entries(next.spent).flatMap(([tool, { usualTimes, copies }]) => {
      const had = before.spent[tool] ?? noTime;
      if (copies <= had.copies) return [];
      const seen = own[tool] ?? noTime;
      return [
        [
          tool,
          {
            usualTimes: seen.usualTimes + Math.max(0, usualTimes - had.usualTimes),
            copies: seen.copies + copies - had.copies,
          },
        ],
      ];
    }),
  );
  const here = next.at ?? null;
  return mergeFacts(facts, {
    version: 2,
    boxes: next.boxes === before.boxes ? facts.boxes : { value: next.boxes, at },
    lidCorners:
      next.lidCorners === before.lidCorners ? facts.lidCorners : { value: next.lidCorners, at },
    here: here === facts.here.value ? facts.here : { value: here, at },
    ticks,
    spent: Object.keys(spent).length === 0 ? {} : { [now.by]: spent },
  });
}
