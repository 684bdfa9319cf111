import {
  millimetres,
  paperItemSchema,
  papersIn,
  sheetOf,
  shippedPapers,
  stockPaper,
  type KeptPaper,
  type PlacedPaper,
} from '@rangoli/core';
import fc from 'fast-check';
import { setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { newBrowser, type FakeBrowser } from '../testing/fake-browser.ts';
import { standingClock } from '../testing/standing-clock.ts';
import { usePapers } from './papers.ts';

let browser: FakeBrowser;

standingClock();
beforeEach(() => {
  browser = newBrowser();
});

async function opened() {
  const papers = usePapers();
  await papers.refresh();
  return papers;
}

/** The maker's papers as the server has them, once all is quiet. */
async function settled(): Promise<readonly PlacedPaper[]> {
  await vi.advanceTimersByTimeAsync(60_000);
  const items = browser.server.items.get('papers') ?? new Map<string, { value: unknown }>();
  return papersIn(new Map([...items].map(([id, { value }]) => [id, paperItemSchema.parse(value)])));
}

function first<Item>([item]: readonly Item[]): Item {
  if (item === undefined) throw new Error('There are papers');
  return item;
}

const square = sheetOf(millimetres(180), millimetres(180), 'mm');

describe('the maker’s papers', () => {
  it('are on the server as they are here, whatever is added, changed, put away or removed', () => {
    const act = fc.record({
      what: fc.constantFrom('copy', 'thin', 'sheets', 'away', 'all away', 'remove'),
      at: fc.nat({ max: 20 }),
      is: fc.boolean(),
    });
    return fc.assert(
      fc.asyncProperty(fc.array(act, { maxLength: 20 }), async (acts) => {
        browser = newBrowser();
        const papers = await opened();
        for (const { what, at, is } of acts) {
          const { paper, isShipped } = first([...papers.placed.slice(at % papers.placed.length)]);
          const now = () => papers.placed.find((placed) => placed.paper.id === paper.id);
          if (what === 'copy') {
            const id = papers.copy(paper, 'Indigo');
            const made = papers.placed.find((placed) => placed.paper.id === id);
            expect(made).toEqual({
              paper: { ...paper, id, name: 'Indigo' },
              away: false,
              isShipped: false,
            });
          } else if (what === 'thin') {
            expect(papers.change(paper.id, { thickness: millimetres(0.2) })).toBe(true);
            expect(now()?.paper).toEqual({ ...paper, thickness: millimetres(0.2) });
          } else if (what === 'sheets') {
            // A paper that comes in no sheet is none, and nothing is changed.
            expect(papers.change(paper.id, { sheets: is ? [square] : [] })).toBe(is);
            expect(now()?.paper.sheets).toEqual(is ? [square] : paper.sheets);
          } else if (what === 'away') papers.putAway([paper.id], is);
          else if (what === 'all away') {
            papers.putAway(
              papers.placed.map((placed) => placed.paper.id),
              is,
            );
            expect(papers.placed.every(({ away }) => away === is)).toBe(true);
          } else if (!isShipped) {
            const whole = papers.placed;
            papers.teach({ id: paper.id, thickness: millimetres(0.4), gaps: {} });
            papers.remove(paper.id);
            expect(now()).toBeUndefined();
            if (!is) continue;
            // It is back with what it was taught.
            papers.putBack(paper.id);
            expect(papers.placed).toEqual(whole);
            expect(papers.learned(paper).thickness).toBe(millimetres(0.4));
          }
          expect(papers.atHand.length).toBeGreaterThan(0);
        }
        expect(await settled()).toEqual(papers.placed);
      }),
      { numRuns: 40 },
    );
  });

  it('begin a new box, the maker’s own first, with what was learned of them and in a sheet of theirs', async () => {
    const papers = await opened();
    const usual = [stockPaper('dusk'), stockPaper('sodium')] as const;
    expect(papers.forNewBox([...usual])).toEqual(usual);
    const id = papers.copy({ ...first(shippedPapers), sheets: [square] }, 'Indigo');
    const mine = papers.forNewBox([...usual]);
    expect(mine).toMatchObject([{ id, sheet: square }, { id: 'dusk' }]);
    const [taught] = mine;
    await papers.learn([taught], [{ ...taught, thickness: millimetres(0.5) }]);
    expect(papers.forNewBox([...usual])[0].thickness).toBe(millimetres(0.5));
    papers.forget(id);
    expect(papers.forNewBox([...usual])[0].thickness).toBe(taught.thickness);
    papers.putAway([id], true);
    expect(papers.forNewBox([...usual])).toEqual(usual);
  });

  it('show what was learned of them, and what is forgotten stays so after a reload', async () => {
    const papers = await opened();
    const dusk = first(shippedPapers);
    const { gaps } = stockPaper('dusk');
    const loose = { ...stockPaper('dusk'), gaps: { ...gaps, lid: gaps.drawer } };
    await papers.learn([stockPaper('dusk')], [loose]);
    await settled();
    browser.killWindows();
    const again = await opened();
    expect(again.lessonOf(dusk)).toEqual({ id: 'dusk', gaps: { lid: gaps.drawer } });
    expect(again.learned(dusk)).toMatchObject({ gaps: loose.gaps });
    again.forget('dusk');
    await settled();
    browser.killWindows();
    const last = await opened();
    expect(last.lessonOf(dusk)).toEqual({ id: 'dusk', gaps: {} });
    expect(last.learned(dusk)).toEqual(stockPaper('dusk'));
  });

  it('of two windows keep what each has changed, and ask where it is one thing', async () => {
    const one = browser.openWindow();
    const here = await opened();
    const two = browser.openWindow();
    const there = await opened();
    const change = (
      window: typeof one,
      papers: ReturnType<typeof usePapers>,
      part: Partial<KeptPaper>,
    ) => {
      setActivePinia(window);
      papers.change('dusk', part);
    };
    change(one, here, { name: 'Old dusk' });
    change(two, there, { thickness: millimetres(0.4) });
    const both = (await settled()).find(({ paper }) => paper.id === 'dusk');
    expect(both?.paper).toMatchObject({ name: 'Old dusk', thickness: millimetres(0.4) });
    await Promise.all([here.refresh(), there.refresh()]);
    change(one, here, { thickness: millimetres(0.2) });
    change(two, there, { thickness: millimetres(0.25) });
    await settled();
    const asking = [here, there].filter(({ clashes }) => clashes.length > 0);
    expect(asking).toHaveLength(1);
    expect(asking[0]?.clashes[0]).toMatchObject({ name: 'Old dusk', fields: [{}] });
  });

  it('are not shown as the maker’s while they can’t be read', async () => {
    browser.server.network = 'down';
    const papers = await opened();
    expect(papers.isHere).toBe(false);
    expect(papers.change('dusk', { name: 'Mine' })).toBe(false);
    browser.server.network = 'up';
    expect((await settled()).map(({ paper }) => paper)).toEqual(shippedPapers);
  });
});
