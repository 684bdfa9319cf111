import {
  extentsOf,
  millimetres,
  newProject,
  stockPaper,
  stretchedGift,
  type ProjectDocument,
} from '@rangoli/core';
import fc from 'fast-check';
import { setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useKeeping } from '../stores/keeping.ts';
import { useMaking } from '../stores/making.ts';
import { useProject } from '../stores/project.ts';
import { useToolbox } from '../stores/toolbox.ts';
import { newBrowser, type FakeBrowser } from '../testing/fake-browser.ts';
import type { BrowserStore } from './browser-store.ts';

const fresh = newProject('inch');
const stored: ProjectDocument = {
  ...fresh,
  name: 'Hand lens',
  box: { ...fresh.box, papers: [stockPaper('dusk')] },
};
const taller = stretchedGift(fresh.box.gift, 1, 44 / 30);
let browser: FakeBrowser;

function begin(): void {
  browser = newBrowser();
  browser.server.boxes.set('lens', { revision: 3, value: stored });
}

beforeEach(() => {
  vi.useFakeTimers();
  begin();
});

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

async function inTime<Outcome>(doing: Promise<Outcome>): Promise<Outcome> {
  await vi.advanceTimersByTimeAsync(25_000);
  return doing;
}

/** Fields of a box that do not go against each other, each changed by a window of its own. */
const fields: readonly {
  readonly change: (document: ProjectDocument) => ProjectDocument;
  readonly isThere: (document: ProjectDocument | undefined) => boolean;
}[] = [
  {
    change: (document) => ({ ...document, name: 'Hand lens, gift' }),
    isThere: (document) => document?.name === 'Hand lens, gift',
  },
  {
    change: (document) => ({
      ...document,
      box: { ...document.box, papers: [{ ...document.box.papers[0], name: 'Night' }] },
    }),
    isThere: (document) => document?.box.papers[0].name === 'Night',
  },
  {
    change: (document) => ({
      ...document,
      box: { ...document.box, gift: taller },
    }),
    isThere: (document) =>
      document !== undefined && extentsOf(document.box.gift).high === millimetres(44),
  },
];

describe('what windows have left behind', () => {
  it('all reaches the server on the next visit, however many of them changed one box', async () => {
    await fc.assert(
      fc.asyncProperty(
        fc.shuffledSubarray(
          fields.map((_, i) => i),
          { minLength: 2 },
        ),
        fc.boolean(),
        async (changed, isOpened) => {
          begin();
          const windows = changed.map(() => browser.openWindow());
          for (const window of windows) {
            setActivePinia(window);
            await inTime(useProject().open('lens'));
          }
          browser.server.network = 'down';
          for (const [i, each] of changed.entries()) {
            setActivePinia(windows[i]);
            const field = fields[each];
            if (field) useProject().change('field', field.change);
          }
          await vi.advanceTimersByTimeAsync(5000);
          browser.killWindows();
          browser.server.network = 'up';
          if (isOpened) await inTime(useProject().open('lens'));
          await inTime(useKeeping().takeUp());
          await vi.advanceTimersByTimeAsync(60_000);
          const arrived = browser.server.boxes.get('lens')?.value;
          for (const each of changed) expect(fields[each]?.isThere(arrived)).toBe(true);
          expect(useKeeping().waiting).toEqual([]);
          browser.killWindows();
        },
      ),
      { numRuns: 12 },
    );
  });

  it('is told by its name until the server has it, in whichever window it was changed', async () => {
    const first = browser.openWindow();
    const project = useProject();
    await inTime(
      Promise.all([project.open('lens'), useMaking().open('lens'), useToolbox().open()]),
    );
    browser.server.network = 'down';
    project.change('name', (whole) => ({ ...whole, name: 'Hand lens, gift' }));
    useMaking().finish(1);
    useToolbox().setWithout('rulers', true);
    await vi.advanceTimersByTimeAsync(5000);
    const told = [
      { kind: 'box', id: 'lens', name: 'Hand lens, gift' },
      { kind: 'tool', id: 'without rulers', name: undefined },
      { kind: 'making', id: 'lens', name: 'Hand lens' },
    ];
    expect(useKeeping().waiting).toEqual(told);
    browser.openWindow();
    await useKeeping().count();
    expect(useKeeping().waiting).toEqual(told);
    expect(await useKeeping().forgetAll()).toBe(false);
    setActivePinia(first);
    browser.server.network = 'up';
    await vi.advanceTimersByTimeAsync(60_000);
    expect(useKeeping().waiting).toEqual([]);
    expect(await useKeeping().forgetAll()).toBe(true);
    expect(await browser.store.list('held')).toEqual([]);
  });
});

describe('a browser that is full', () => {
  /** Lets only so many rows be kept; what is there may be written over. */
  function withRoomFor(rows: () => number): void {
    const { store } = browser;
    const count = async () => {
      const drawers = ['held', 'changes', 'progress'] as const;
      const all = await Promise.all(drawers.map((drawer) => store.list(drawer)));
      return all.flat().length;
    };
    const full: BrowserStore = {
      ...store,
      write: async (drawer, key, value) => {
        const isThere = (await store.read(drawer, key)) !== undefined;
        if (!isThere && (await count()) >= rows()) throw new DOMException('', 'QuotaExceededError');
        await store.write(drawer, key, value);
      },
    };
    browser.openStore = () => Promise.resolve(full);
  }

  it('keeps a change in place of copies of what the server has', async () => {
    browser.server.boxes.set('sundial', { revision: 1, value: stored });
    withRoomFor(() => 2);
    browser.openWindow();
    const project = useProject();
    await inTime(project.open('sundial'));
    await inTime(project.open('lens'));
    browser.server.network = 'down';
    project.change('name', (whole) => ({ ...whole, name: 'Hand lens, gift' }));
    await vi.advanceTimersByTimeAsync(3000);
    expect(useKeeping().safety).toBe('kept');
    expect(useKeeping().waiting).toMatchObject([{ name: 'Hand lens, gift' }]);
    browser.killWindows();
    browser.server.network = 'up';
    await inTime(useKeeping().takeUp());
    expect(browser.server.boxes.get('lens')?.value.name).toBe('Hand lens, gift');
  });

  it('does not let go of what a window left before it is kept by the next one', async () => {
    let rows = 10;
    withRoomFor(() => rows);
    browser.openWindow();
    await inTime(useProject().open('lens'));
    browser.server.network = 'down';
    useProject().change('name', (whole) => ({ ...whole, name: 'Hand lens, gift' }));
    await vi.advanceTimersByTimeAsync(3000);
    for (const { key } of await browser.store.list('held')) await browser.store.remove('held', key);
    // From here on there is room for what is there, and for nothing beside it.
    rows = 1;
    browser.killWindows();
    await inTime(useKeeping().takeUp());
    expect(useKeeping().safety).toBe('no room');
    browser.killWindows();
    browser.server.network = 'up';
    await inTime(useKeeping().takeUp());
    expect(browser.server.boxes.get('lens')?.value.name).toBe('Hand lens, gift');
  });

  it('says so where there is no room at all, sends what it has all the same, and says when there is room', async () => {
    let rows = 0;
    withRoomFor(() => rows);
    browser.openWindow();
    const project = useProject();
    await inTime(project.open('lens'));
    browser.server.network = 'down';
    project.change('name', (whole) => ({ ...whole, name: 'Hand lens, gift' }));
    await vi.advanceTimersByTimeAsync(3000);
    expect(useKeeping().safety).toBe('no room');
    browser.server.network = 'up';
    await vi.advanceTimersByTimeAsync(30_000);
    expect(browser.server.boxes.get('lens')?.value.name).toBe('Hand lens, gift');
    rows = 10;
    project.change('name', (whole) => ({ ...whole, name: 'Hand lens, again' }));
    await vi.advanceTimersByTimeAsync(3000);
    expect(useKeeping().safety).toBe('kept');
  });
});
