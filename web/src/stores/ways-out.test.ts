import { newProject, noFacts, noProgress, progressOf, storedProgressSchema } from '@rangoli/core';
import fc from 'fast-check';
import { describe, expect, it, vi } from 'vitest';
import { newBrowser, type FakeBrowser } from '../testing/fake-browser.ts';
import { inTime, standingClock } from '../testing/standing-clock.ts';
import { useMaking } from './making.ts';
import { useProject } from './project.ts';
import { useWaysOutTaken } from './ways-out.ts';

standingClock();

/** A box that is to be made so many times, opened in a browser of its own. */
async function opened(boxes: number) {
  const browser = newBrowser();
  browser.server.boxes.set('x', { revision: 1, value: { ...newProject('inch'), name: 'Lights' } });
  browser.server.progress.set('x', storedProgressSchema.parse(noProgress(boxes)));
  const project = useProject();
  const opening = project.open('x');
  await vi.advanceTimersByTimeAsync(5000);
  await opening;
  return { browser, project, waysOut: useWaysOutTaken() };
}

/** How many the server knows of, when all has been told. */
async function onServer(browser: FakeBrowser): Promise<number> {
  await vi.advanceTimersByTimeAsync(60_000);
  return progressOf(browser.server.progress.get('x') ?? noFacts()).boxes;
}

/** A way out that puts so many boxes in the place of one, each of its own gift. */
function inSo(many: number, made: number) {
  const { gift } = newProject('mm').box;
  const part = { gift, lean: made % 2 === 0 ? ('tight' as const) : ('loose' as const) };
  return { kind: 'gift' as const, part, boxes: many };
}

describe('a way out into several boxes', () => {
  it('leaves the count that belongs to the box, however it is taken, undone, done again and passed by', async () => {
    const acts = fc.array(
      fc.constantFrom('take', 'undo', 'undo', 'redo', 'redo', 'rename', 'wait'),
      {
        minLength: 4,
        maxLength: 14,
      },
    );
    await fc.assert(
      fc.asyncProperty(acts, fc.constantFrom(1, 3), async (row, boxes: number) => {
        const { browser, project, waysOut } = await opened(boxes);
        // The counts of all states that can be gone to, and which of them is shown.
        let counts = [boxes];
        let at = 0;
        for (const [index, act] of row.entries()) {
          if (act === 'wait') await vi.advanceTimersByTimeAsync(2000);
          if (act === 'undo' && at > 0) at--;
          if (act === 'undo') project.undo();
          if (act === 'redo' && at < counts.length - 1) at++;
          if (act === 'redo') project.redo();
          if (act !== 'take' && act !== 'rename') continue;
          // Takes of their own, never the same in one moment.
          await vi.advanceTimersByTimeAsync(1000);
          const now = counts[at] ?? boxes;
          counts = [...counts.slice(0, at + 1), act === 'take' ? now * 2 : now];
          at++;
          if (act === 'take') void waysOut.take(inSo(2, index));
          else project.change('name', (whole) => ({ ...whole, name: `Lights ${index}` }));
        }
        expect(await onServer(browser)).toBe(counts[at]);
      }),
      { numRuns: 40, examples: [[['take', 'undo', 'rename', 'undo', 'redo'], 1]] },
    );
  });

  it('says how many are made now, until the box is another one', async () => {
    const { project, waysOut } = await opened(3);
    await inTime(waysOut.take(inSo(2, 0)));
    expect(waysOut.counted).toEqual({ kind: 'counted', from: 3, to: 6 });
    project.undo();
    expect(waysOut.counted).toBeUndefined();
  });

  it('says so where it could not be counted', async () => {
    const { project, waysOut } = await opened(1);
    vi.spyOn(useMaking(), 'recount').mockRejectedValue(new Error('No script came'));
    await inTime(waysOut.take(inSo(2, 0)));
    expect(waysOut.counted).toEqual({ kind: 'not counted' });
    project.undo();
    expect(waysOut.counted).toBeUndefined();
  });

  it('keeps a count that was set since, when it is undone', async () => {
    const { browser, project, waysOut } = await opened(1);
    await inTime(waysOut.take(inSo(2, 0)));
    await inTime(useMaking().recount('x', () => 7));
    project.undo();
    expect(await onServer(browser)).toBe(7);
  });
});
