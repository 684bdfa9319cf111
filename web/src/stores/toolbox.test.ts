import {
  drawerOf,
  inchFraction,
  millimetres,
  shippedToolbox,
  toolboxSchema,
  toolKindSchema,
  type Toolbox,
} from '@rangoli/core';
import fc from 'fast-check';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useToolbox } from './toolbox.ts';

const written: Toolbox[] = [];
vi.mock('../api/toolbox.ts', () => ({
  readToolbox: () => Promise.resolve(shippedToolbox),
  writeToolbox: (toolbox: Toolbox) => {
    written.push(toolbox);
    return Promise.resolve();
  },
}));

beforeEach(() => {
  vi.useFakeTimers();
  written.length = 0;
  setActivePinia(createPinia());
});

afterEach(() => {
  vi.useRealTimers();
});

const anyKind = fc.constantFrom(...toolKindSchema.options);

describe('the maker’s toolbox', () => {
  it('stays one that its schema takes, whatever is copied, owned, removed or had none of', () => {
    const act = fc.record({
      what: fc.constantFrom('copy', 'own', 'remove', 'none'),
      kind: anyKind,
      at: fc.nat({ max: 20 }),
      is: fc.boolean(),
    });
    fc.assert(
      fc.property(fc.array(act, { maxLength: 25 }), (acts) => {
        setActivePinia(createPinia());
        const kit = useToolbox();
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
          } else kit.remove(kept);
          expect(toolboxSchema.parse(kit.toolbox)).toEqual(kit.toolbox);
        }
      }),
      { numRuns: 40 },
    );
  });

  it('refuses what no tool can be, and goes on with what it was', () => {
    const kit = useToolbox();
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

  it('is sent once the hand rests, with all that has changed', async () => {
    const kit = useToolbox();
    const [trimmer] = drawerOf(kit.toolbox, 'trimmers');
    if (!trimmer) throw new Error('Trimmers are shipped');
    kit.change(trimmer, { leastStrip: millimetres(10) });
    kit.setOwned('trimmers', trimmer.tool.id, true);
    expect(written).toEqual([]);
    await vi.advanceTimersByTimeAsync(2000);
    expect(written).toEqual([kit.toolbox]);
  });
});
