import {
  drawerOf,
  inchFraction,
  millimetres,
  shippedToolbox,
  toolboxOf,
  toolboxSchema,
  toolItemSchema,
  toolKindSchema,
  type Toolbox,
} from '@rangoli/core';
import fc from 'fast-check';
import { setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { newBrowser, type FakeBrowser } from '../testing/fake-browser.ts';
import { standingClock } from '../testing/standing-clock.ts';
import { useToolbox } from './toolbox.ts';

let browser: FakeBrowser;

standingClock();
beforeEach(() => {
  browser = newBrowser();
});

async function opened() {
  const kit = useToolbox();
  await kit.refresh();
  return kit;
}

/** The maker's tools as the server has them, once all is quiet. */
async function settled(): Promise<Toolbox> {
  await vi.advanceTimersByTimeAsync(60_000);
  const items = browser.server.items.get('tools') ?? new Map<string, { value: unknown }>();
  return toolboxOf(new Map([...items].map(([id, { value }]) => [id, toolItemSchema.parse(value)])));
}

const anyKind = fc.constantFrom(...toolKindSchema.options);

describe('the maker’s toolbox', () => {
  it('stays one that its schema takes, whatever is copied, owned, removed or had none of', () => {
    const act = fc.record({
      what: fc.constantFrom('copy', 'own', 'remove', 'none'),
      kind: anyKind,
      at: fc.nat({ max: 20 }),
      is: fc.boolean(),
    });
    return fc.assert(
      fc.asyncProperty(fc.array(act, { maxLength: 25 }), async (acts) => {
        browser = newBrowser();
        const kit = await opened();
        for (const { what, kind, at, is } of acts) {
          const drawer = drawerOf(kit.toolbox, kind);
          const kept = drawer[at % Math.max(1, drawer.length)];
          if (!kept) continue;
          const before = drawer.length;
          if (what === 'copy') {
            const id = kit.copy(kept);
            const made = drawerOf(kit.toolbox, kind).find(({ tool }) => tool.id === id);
            expect(made).toMatchObject({
              owned: true,
              tool: { ...kept.tool, id, name: made?.tool.name },
            });
            expect(drawerOf(kit.toolbox, kind)).toHaveLength(before + 1);
          } else if (what === 'own') {
            kit.setOwned(kind, kept.tool.id, is);
            // Who has one is not without.
            if (is) expect(kit.toolbox.without).not.toContain(kind);
          } else if (what === 'none') {
            kit.setWithout(kind, is);
            expect(kit.toolbox.without.includes(kind)).toBe(is);
          } else {
            const whole = kit.toolbox;
            kit.remove(kept);
            expect(drawerOf(kit.toolbox, kind)).toHaveLength(before - 1);
            // What is put back is where it was, as it was.
            if (is) kit.putBack(kept.tool.id);
            if (is) expect(kit.toolbox).toEqual(whole);
          }
          expect(toolboxSchema.parse(kit.toolbox)).toEqual(kit.toolbox);
        }
        expect(await settled()).toEqual(kit.toolbox);
      }),
      { numRuns: 40 },
    );
  });

  it('refuses what no tool can be, and goes on with what it was', async () => {
    const kit = await opened();
    const [board] = drawerOf(kit.toolbox, 'boards');
    if (!board) throw new Error('Boards are shipped');
    kit.change(board, { pitch: 0 });
    expect(kit.toolbox).toEqual(shippedToolbox);
    kit.change(board, { pitch: inchFraction(1, 4) });
    expect(drawerOf(kit.toolbox, 'boards')[0]?.tool).toMatchObject({ pitch: inchFraction(1, 4) });
    // A table of marks that runs backwards is no table.
    const [corner] = drawerOf(kit.toolbox, 'cornerBoards');
    if (corner?.kind !== 'cornerBoards') throw new Error('Corner boards are shipped');
    kit.change(corner, { marks: [...corner.tool.marks].reverse() });
    expect(drawerOf(kit.toolbox, 'cornerBoards')[0]?.tool).toEqual(corner.tool);
  });

  it('is sent once the hand rests, item by item', async () => {
    const kit = await opened();
    const [trimmer] = drawerOf(kit.toolbox, 'trimmers');
    if (!trimmer) throw new Error('Trimmers are shipped');
    kit.change(trimmer, { leastStrip: millimetres(10) });
    kit.setOwned('trimmers', trimmer.tool.id, true);
    const puts = () => browser.server.heard.filter((each) => each.startsWith('PUT'));
    expect(puts()).toEqual([]);
    expect(await settled()).toEqual(kit.toolbox);
    expect(puts()).toEqual([`PUT /api/tools/${trimmer.tool.id}`]);
  });

  it('has what was removed to be put back, after a reload and while the server is away', async () => {
    const kit = await opened();
    const [board] = drawerOf(kit.toolbox, 'boards');
    if (!board) throw new Error('Boards are shipped');
    const [first, second] = [kit.copy(board), kit.copy(board)];
    const whole = await settled();
    const own = (id: string) => drawerOf(kit.toolbox, 'boards').find(({ tool }) => tool.id === id);
    for (const kept of [own(first), own(second)]) if (kept) kit.remove(kept);
    const without = await settled();
    browser.killWindows();
    browser.server.network = 'down';
    const away = await opened();
    expect(new Set(away.removed.map(({ id }) => id))).toEqual(new Set([first, second]));
    away.putBack(first);
    away.putBack(second);
    expect(away.removed).toEqual([]);
    browser.server.network = 'up';
    expect(without).toEqual(shippedToolbox);
    expect(await settled()).toEqual(whole);
  });

  it('is not shown as the maker’s while it can’t be read, and nothing can be written over it', async () => {
    browser.server.network = 'down';
    const kit = await opened();
    expect(kit.isHere).toBe(false);
    expect(kit.trouble).toMatch(/doesn’t answer/);
    const [trimmer] = drawerOf(kit.toolbox, 'trimmers');
    if (!trimmer) throw new Error('Trimmers are shipped');
    kit.setOwned('trimmers', trimmer.tool.id, true);
    browser.server.network = 'up';
    expect(await settled()).toEqual(shippedToolbox);
  });

  it('that was read before is there while the server is away, and what is changed then is sent later', async () => {
    const kit = await opened();
    const [board] = drawerOf(kit.toolbox, 'boards');
    if (!board) throw new Error('Boards are shipped');
    kit.setOwned('boards', board.tool.id, true);
    await settled();
    browser.killWindows();
    browser.server.network = 'down';
    const away = await opened();
    expect(away.isHere).toBe(true);
    const id = away.copy(board);
    browser.killWindows();
    browser.server.network = 'up';
    const again = await opened();
    const mine = await settled();
    expect(mine.boards.map(({ tool, owned }) => [tool.id, owned])).toContainEqual([id, true]);
    expect(mine).toEqual(again.toolbox);
    expect(drawerOf(mine, 'boards').find(({ tool }) => tool.id === board.tool.id)?.owned).toBe(
      true,
    );
  });

  it('of two windows keeps what each of them has changed, and asks where it is one number', async () => {
    const one = browser.openWindow();
    const here = await opened();
    const two = browser.openWindow();
    const there = await opened();
    const [board, other] = drawerOf(here.toolbox, 'boards');
    if (board?.kind !== 'boards' || !other) throw new Error('Boards are shipped');
    setActivePinia(one);
    here.change(board, { name: 'Old board' });
    here.setOwned('boards', other.tool.id, true);
    setActivePinia(two);
    there.setOwned('boards', board.tool.id, true);
    there.change(board, { pitch: inchFraction(1, 4) });
    const both = await settled();
    expect(both.boards.filter(({ owned }) => owned)).toHaveLength(2);
    expect(both.boards.find(({ tool }) => tool.id === board.tool.id)?.tool).toMatchObject({
      name: 'Old board',
      pitch: inchFraction(1, 4),
    });
    await Promise.all([here.refresh(), there.refresh()]);
    here.change(board, { pitch: inchFraction(1, 8) });
    there.change(board, { pitch: inchFraction(1, 16) });
    await settled();
    const asking = [here, there].filter(({ clashes }) => clashes.length > 0);
    expect(asking).toHaveLength(1);
    expect(asking[0]?.clashes[0]?.fields).toHaveLength(1);
    asking[0]?.settle(board.tool.id, 'theirs');
    await settled();
    await Promise.all([here.refresh(), there.refresh()]);
    expect(here.toolbox).toEqual(there.toolbox);
    expect(await settled()).toEqual(here.toolbox);
  });
});
