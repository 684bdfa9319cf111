import {
  doneOf,
  newProject,
  noFacts,
  noProgress,
  progressOf,
  progressSchema,
  storedProgressSchema,
  type Progress,
} from '@rangoli/core';
import fc from 'fast-check';
import { setActivePinia } from 'pinia';
import { describe, expect, it, vi } from 'vitest';
import { newBrowser, type FakeBrowser } from '../testing/fake-browser.ts';
import { inTime, standingClock } from '../testing/standing-clock.ts';
import { useKeeping } from './keeping.ts';
import { useMaking } from './making.ts';
import { useProject } from './project.ts';

let browser: FakeBrowser;

standingClock();

/** What the server knows of the making of the sundial's box. */
function onServer(): Progress {
  return progressOf(browser.server.progress.get('x') ?? noFacts());
}

/** Opens the sundial's box to make it, however long it takes. */
async function opened() {
  const [project, making] = [useProject(), useMaking()];
  const opening = Promise.all([project.open('x'), making.open('x')]);
  await vi.advanceTimersByTimeAsync(5000);
  await opening;
  return planned(making);
}

/** The making, once its job is planned for the batch as it is now. */
async function planned(making: ReturnType<typeof useMaking>) {
  await vi.waitFor(() => expect(making.job?.boxes).toBe(making.progress.boxes));
  return making;
}

/** The sundial's box, opened to be made so many times, in a browser that has never seen it. */
async function begun(boxes: number) {
  browser = newBrowser();
  browser.server.delay = 20;
  browser.server.boxes.set('x', {
    revision: 1,
    value: { ...newProject('inch'), name: 'Sundial' },
  });
  browser.server.progress.set('x', storedProgressSchema.parse(noProgress(boxes)));
  return opened();
}

const acts = fc.array(
  fc.oneof(
    {
      weight: 4,
      arbitrary: fc.record({
        act: fc.constant('finish' as const),
        by: fc.integer({ min: 1, max: 4 }),
      }),
    },
    {
      weight: 2,
      arbitrary: fc.record({ act: fc.constant('finish all' as const), by: fc.constant(0) }),
    },
    {
      weight: 2,
      arbitrary: fc.record({
        act: fc.constant('walk' as const),
        by: fc.integer({ min: -3, max: 3 }),
      }),
    },
    fc.record({
      act: fc.constantFrom('again', 'cut again', 'corners', 'away', 'back'),
      by: fc.nat({ max: 2 }),
    }),
  ),
  { maxLength: 40 },
);

describe('the making of a box', () => {
  it('counts no piece twice and loses none, wherever the maker goes, and the server hears of it all', async () => {
    await fc.assert(
      fc.asyncProperty(fc.integer({ min: 1, max: 12 }), acts, async (boxes, all) => {
        const making = await begun(boxes);
        for (const { act, by } of all) {
          const { step, job } = making;
          if (!job) throw new Error('The sundial has a job');
          const before = step && doneOf(making.progress, step);
          const others = job.steps.filter((each) => each !== step);
          const counts = others.map((each) => doneOf(making.progress, each));
          if (act === 'finish') making.finish(by);
          else if (act === 'finish all') making.finishAll();
          else if (act === 'walk') making.walk(by);
          else if (act === 'again') making.doAgain();
          else if (act === 'cut again' && step) making.cutAgain(step.piece, 1);
          else if (act === 'corners')
            making.setLidCorners(by === 0 ? 'all at once' : 'round the base');
          else if (act === 'away') browser.server.network = 'down';
          else if (act === 'back') browser.server.network = 'up';
          if (step && (act === 'finish' || act === 'finish all')) {
            const more = act === 'finish' ? by : step.copies;
            expect(doneOf(making.progress, step)).toBe(Math.min(step.copies, (before ?? 0) + more));
            expect(others.map((each) => doneOf(making.progress, each))).toEqual(counts);
          }
          if (act === 'walk' && by !== 0 && step && job.steps.length > 1) {
            const at = job.steps.indexOf(step);
            const to = Math.min(job.steps.length - 1, Math.max(0, at + by));
            expect(making.step?.id).toBe(job.steps[to]?.id);
          }
          if (act === 'again' && step) expect(making.step?.id).toBe(step.id);
          expect(progressSchema.parse(making.progress)).toEqual(making.progress);
          // What is left of the time is what is left to do.
          expect(making.leftInAll === 0).toBe(making.isFinished);
          await vi.advanceTimersByTimeAsync(Math.abs(by) * 10);
        }
        browser.server.network = 'up';
        await vi.advanceTimersByTimeAsync(60_000);
        expect(onServer()).toEqual(making.progress);
        expect(making.state).toBe('kept');
      }),
      { numRuns: 30 },
    );
  });

  it('comes to its end by nothing but “done”, each step once, and is resumed where it was left', async () => {
    const making = await begun(6);
    const seen: string[] = [];
    while (making.step && !making.isFinished) {
      const { id, copies } = making.step;
      seen.push(id);
      if (copies > 2) making.finish(2);
      making.finishAll();
      if (seen.length === 4) {
        await vi.advanceTimersByTimeAsync(1000);
        const { step } = making;
        browser.openWindow();
        expect((await opened()).step?.id).toBe(step.id);
      }
    }
    expect(seen).toEqual(making.job?.steps.map(({ id }) => id));
    expect(making.isFinished).toBe(true);
    expect(making.leftInAll).toBe(0);
    making.setBoxes(8);
    await planned(making);
    // What is made of six boxes stays made, and only what the others take is left.
    for (const each of making.job?.steps ?? [])
      expect(doneOf(making.progress, each)).toBeLessThanOrEqual(each.copies);
    expect(making.isFinished).toBe(false);
    making.startAnew();
    expect(making.step?.id).toBe(seen[0]);
    expect(making.progress.boxes).toBe(8);
  });
});

describe('a batch that becomes another one', () => {
  it('keeps what is ticked before its steps are put in order anew, and gives away none but whole boxes', async () => {
    const making = await begun(2);
    browser.server.boxes.set('y', { revision: 1, value: { ...newProject('inch'), name: 'Own' } });
    const scoring = making.job?.steps.find(({ kind }) => kind === 'flat');
    if (!scoring) throw new Error('A piece of the sundial is scored');
    making.go(scoring);
    making.setBoxes(6);
    making.finish(1);
    expect(making.job?.boxes).toBe(2);
    // What is given away is counted in the steps of all six.
    await making.giveAway(3, 'y');
    expect(making.progress.boxes).toBe(3);
    await planned(making);
    await vi.advanceTimersByTimeAsync(60_000);
    const given = progressOf(browser.server.progress.get('y') ?? noFacts());
    expect(given.boxes).toBe(3);
    expect((given.done[scoring.id] ?? 0) + doneOf(making.progress, scoring)).toBe(1);
  });

  it('is counted anew by how many are made, whether the box is made just now or not', async () => {
    const making = await begun(3);
    expect(await inTime(making.recount('x', (now) => now * 2))).toEqual({ from: 3, to: 6 });
    expect((await planned(making)).job?.boxes).toBe(6);
    making.close();
    await inTime(making.recount('x', (now) => now + 18));
    await vi.advanceTimersByTimeAsync(60_000);
    expect(onServer().boxes).toBe(24);
    await opened();
    expect(making.job?.boxes).toBe(24);
  });

  it('is counted anew by what another device set meanwhile, though the server is being heard already', async () => {
    const making = await begun(1);
    browser.server.progress.set('x', storedProgressSchema.parse(noProgress(5)));
    const keeper = await useKeeping().progress;
    void keeper.talk('x');
    expect(await inTime(making.recount('x', (now) => now * 2))).toEqual({ from: 5, to: 10 });
    await vi.advanceTimersByTimeAsync(60_000);
    expect(onServer().boxes).toBe(10);
  });

  it('has no job once nobody makes it, whatever becomes of the box', async () => {
    const making = await begun(1);
    making.close();
    useProject().changeBox('lean', { lean: 'tight' });
    await vi.advanceTimersByTimeAsync(1000);
    expect(making.job).toBeUndefined();
  });
});

describe('ticks that the server does not hear of at once', () => {
  it('are added to what was ticked before, when Make is opened while it is away', async () => {
    const making = await begun(6);
    making.finishAll();
    await vi.advanceTimersByTimeAsync(1000);
    const before = onServer();
    // Another device, which has never seen the box being made.
    const { server } = browser;
    const elsewhere = newBrowser();
    elsewhere.server.boxes.set('x', { revision: 1, value: { ...newProject('inch'), name: 'S' } });
    browser = elsewhere;
    await useProject().open('x');
    elsewhere.server.network = 'down';
    const away = await opened();
    expect(away.state).toBe('here only');
    away.walk(3);
    const ticked = away.step?.id ?? '';
    away.finish(1);
    elsewhere.server.progress.set('x', server.progress.get('x') ?? noFacts());
    elsewhere.server.network = 'up';
    await vi.advanceTimersByTimeAsync(60_000);
    expect(away.state).toBe('kept');
    expect(onServer().boxes).toBe(6);
    expect(onServer().done).toEqual({ ...before.done, [ticked]: 1 });
    expect(away.progress.done).toEqual(onServer().done);
  });

  it('are there after a reload, and reach the server though Make is not opened again', async () => {
    const making = await begun(1);
    browser.server.network = 'down';
    for (let i = 0; i < 5; i++) making.finishAll();
    const { done } = making.progress;
    await vi.advanceTimersByTimeAsync(100);
    browser.killWindows();
    const again = await opened();
    expect(again.progress.done).toEqual(done);
    browser.killWindows();
    browser.server.network = 'up';
    await useKeeping().takeUp();
    await vi.advanceTimersByTimeAsync(60_000);
    expect(onServer().done).toEqual(done);
  });

  it('of two devices come together, and neither is led away from its own step', async () => {
    const making = await begun(1);
    const one = making.step?.id ?? '';
    making.finishAll();
    const here = making.step?.id;
    const first = browser;
    await vi.advanceTimersByTimeAsync(1000);
    browser = newBrowser();
    vi.stubGlobal('fetch', first.server.fetch);
    const window = browser.openWindow();
    const other = await opened();
    other.walk(2);
    const two = other.step?.id ?? '';
    other.finishAll();
    await vi.advanceTimersByTimeAsync(1000);
    making.finishAll();
    await vi.advanceTimersByTimeAsync(1000);
    setActivePinia(window);
    const known = progressOf(first.server.progress.get('x') ?? noFacts());
    expect(Object.keys(known.done).sort()).toEqual([one, two, here ?? ''].sort());
    expect(making.progress.done).toEqual(known.done);
  });
});
