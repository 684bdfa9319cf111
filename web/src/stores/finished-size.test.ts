import {
  evenRoom,
  millimetres,
  newProject,
  outsideOf,
  planBox,
  stockPaper,
  styleSummary,
  withFinishedSize,
  type BlockGift,
  type Gift,
  type Length,
  type PlanRequest,
  type ProjectDocument,
} from '@rangoli/core';
import fc from 'fast-check';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { newBrowser, type FakeBrowser } from '../testing/fake-browser.ts';
import { standingClock } from '../testing/standing-clock.ts';
import { useProject } from './project.ts';

const jar: Gift = {
  shape: 'cylinder',
  diameter: millimetres(60),
  length: millimetres(30),
  lies: 'standing',
};
const fresh = newProject('mm');
const first: ProjectDocument = { ...fresh, name: 'Hand lens', box: { ...fresh.box, gift: jar } };
const size = { across: millimetres(80), deep: millimetres(60), high: millimetres(40) };
const finished = { of: 'outside', ...size, told: jar } as const;

let browser: FakeBrowser;
standingClock();
beforeEach(() => {
  browser = newBrowser();
  shelve();
});

function thickComet(thickness: Length): PlanRequest['papers'] {
  return [{ ...stockPaper('comet'), thickness }];
}

function shelve(): void {
  browser.server.boxes.set('lens', { revision: 1, value: first });
}

async function opened() {
  const project = useProject();
  const opening = project.open('lens');
  await vi.advanceTimersByTimeAsync(5000);
  await opening;
  return project;
}

async function settled(): Promise<PlanRequest> {
  await vi.advanceTimersByTimeAsync(60_000);
  const box = browser.server.boxes.get('lens')?.value.box;
  if (!box) throw new Error('It is on the shelf');
  return box;
}

describe('a box that is asked for by its finished size', () => {
  it('keeps that size, whatever else is changed, and leads back to the gift that was told', async () => {
    const project = await opened();
    project.changeBox('known', { finished });
    const changes: readonly Partial<PlanRequest>[] = [
      { room: evenRoom(millimetres(4)) },
      { papers: [{ ...stockPaper('dusk'), thickness: millimetres(0.5) }] },
      { style: styleSummary('sleeve').usual },
    ];
    for (const part of changes) {
      project.changeBox('part', part);
      await vi.waitFor(() => expect(project.shown?.request).toBe(project.document?.box));
      const box = project.document?.box;
      const plan = project.shown?.plan;
      if (!box || !plan) throw new Error('It is open');
      expect(box.finished).toEqual(finished);
      const out = outsideOf(plan, box.papers);
      for (const way of ['across', 'deep', 'high'] as const)
        expect(Math.abs(out[way] - finished[way])).toBeLessThan(millimetres(3.2));
    }
    // What is cut is planned round, for the gift that it was cut for.
    const before = project.document?.box.gift;
    const cut = millimetres(41);
    project.changeBox('rescue', { made: [{ piece: 'sleeve', way: 'down', cut, marks: [] }] });
    expect(project.document?.box.gift).toEqual(before);
    const told = project.document?.box.finished?.told;
    if (told) project.changeBox('known', { gift: told });
    expect(project.document?.box).toMatchObject({ gift: jar });
    expect((await settled()).finished).toBeUndefined();
  });

  it('is brought together with what the other window has changed, and the gift is found anew', () => {
    const side = fc.integer({ min: 40, max: 100 }).map(millimetres);
    const elsewhere = fc.oneof(
      fc.integer({ min: 0, max: 6 }).map((room) => ({ room: evenRoom(millimetres(room)) })),
      fc.constantFrom(0.2, 0.4, 0.6).map((thick) => ({
        papers: thickComet(millimetres(thick)),
      })),
    );
    return fc.assert(
      fc.asyncProperty(side, elsewhere, async (wide, part) => {
        browser = newBrowser();
        shelve();
        const before = await opened();
        before.changeBox('known', { finished });
        await settled();
        browser.openWindow();
        const here = await opened();
        browser.openWindow();
        const there = await opened();
        here.changeBox('finished', { finished: { ...finished, across: wide } });
        there.changeBox('part', part);
        const both = await settled();
        expect([here, there].map(({ saveState }) => saveState.kind)).not.toContain('conflict');
        expect(both).toMatchObject({ ...part, finished: { ...finished, across: wide } });
        expect(both).toEqual(withFinishedSize(both));
        expect(planBox(both).ok).toBe(true);
      }),
      { numRuns: 10 },
    );
  });

  it('asks where the other window has told another gift', async () => {
    const here = await opened();
    browser.openWindow();
    const there = await opened();
    const block: BlockGift = { shape: 'block', ...size };
    here.changeBox('known', { finished });
    there.changeBox('gift', { gift: block });
    await settled();
    expect([here, there].filter(({ saveState }) => saveState.kind === 'conflict')).toHaveLength(1);
  });
});
