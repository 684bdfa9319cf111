import {
  allStyles,
  evenRoom,
  inches,
  madeAsPlanned,
  millimetres,
  newProject,
  planBox,
  stockPaper,
  withOption,
  zero,
  type PlanRequest,
  type ProjectDocument,
} from '@rangoli/core';
import fc from 'fast-check';
import { setActivePinia } from 'pinia';
import { beforeEach, describe, expect, it, vi } from 'vitest';
import { newBrowser, type FakeBrowser } from '../testing/fake-browser.ts';
import { standingClock } from '../testing/standing-clock.ts';
import { useKeeping } from './keeping.ts';
import { useProject } from './project.ts';

const first: ProjectDocument = { ...newProject('inch'), name: 'Pocket sundial, open night' };

let browser: FakeBrowser;

function shelve(id: string, document: ProjectDocument, revision = 1): void {
  browser.server.boxes.set(id, { revision, value: document });
}

standingClock();
beforeEach(() => {
  browser = newBrowser();
  shelve('x', first);
});

/** Opens a box, however long it takes. */
async function opened(id = 'x') {
  const project = useProject();
  const opening = project.open(id);
  await vi.advanceTimersByTimeAsync(5000);
  await opening;
  return project;
}

/** What stands on the server once all is quiet. */
async function settled(id = 'x'): Promise<ProjectDocument | undefined> {
  await vi.advanceTimersByTimeAsync(60_000);
  return browser.server.boxes.get(id)?.value;
}

function named(name: string) {
  return (document: ProjectDocument): ProjectDocument => ({ ...document, name });
}

function onlyPaper(id: string): PlanRequest['papers'] {
  return [stockPaper(id)];
}

const side = fc.integer({ min: 10, max: 150 }).map(millimetres);
const change = fc.oneof(
  side.map((across) => ({
    what: 'across',
    gift: { shape: 'block' as const, across, deep: across, high: millimetres(20) },
  })),
  fc
    .integer({ min: 0, max: 12 })
    .map((room) => ({ what: 'room', room: evenRoom(millimetres(room)) })),
  fc.constantFrom('dusk', 'sodium').map((id) => ({ what: 'paper', papers: onlyPaper(id) })),
  fc
    .constantFrom('shallow', 'half', 'full')
    .map((lid) => ({ what: 'lid', style: withOption(first.box.style, 'lid', lid) })),
);

describe('the open box', () => {
  it('is led back step by step to what it was, and forward again, and saved as it stands', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(change, { minLength: 1, maxLength: 8 }), async (changes) => {
        browser = newBrowser();
        shelve('x', first);
        const project = await opened();
        const states = [project.document];
        for (const { what, ...part } of changes) {
          // A pause between two changes makes them two steps.
          await vi.advanceTimersByTimeAsync(1000);
          project.changeBox(what, part);
          states.push(project.document);
        }
        const end = project.document;
        for (const state of states.slice(0, -1).reverse()) {
          project.undo();
          expect(project.document).toEqual(state);
        }
        expect(project.canUndo).toBe(false);
        expect(project.document).toEqual(first);
        for (const state of states.slice(1)) {
          project.redo();
          expect(project.document).toEqual(state);
        }
        expect(project.canRedo).toBe(false);
        expect(await settled()).toEqual(end);
        // What is shown is planned for these numbers, or the last that could be.
        await vi.waitFor(() => expect(project.isPlanning).toBe(false), { timeout: 30_000 });
        const result = end && planBox(end.box);
        if (result?.ok) expect(project.shown?.plan).toEqual(result.plan);
        else expect(project.problems.length).toBeGreaterThan(0);
      }),
      { numRuns: 25 },
    );
  });

  it('is the same box again after a look at the other ruler, however often', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.constantFrom('inch' as const, 'mm' as const)), async (looks) => {
        browser = newBrowser();
        shelve('x', first);
        const project = await opened();
        for (const unit of looks) {
          project.readIn(unit);
          expect(project.document?.box.unit).toBe(unit);
          expect(project.document).toEqual({ ...first, box: { ...first.box, unit } });
        }
        project.readIn('inch');
        expect(project.document).toEqual(first);
      }),
      { numRuns: 20 },
    );
  });

  it('takes nothing that its schema refuses', async () => {
    const project = await opened();
    project.change('name', (document) => ({ ...document, name: '' }));
    project.changeBox('gift', {
      gift: { shape: 'block', across: inches(90), deep: inches(2), high: inches(1) },
    });
    expect(project.document).toEqual(first);
    expect(project.canUndo).toBe(false);
  });

  it('forgets what was made of it when it becomes another kind of box, and when the maker says so', async () => {
    const project = await opened();
    const plan = project.shown?.plan;
    const [base] = plan?.pieces ?? [];
    if (!plan || !base) throw new Error('The sundial has a box');
    const made = [madeAsPlanned(plan, base, 'across', () => true)];
    const { room } = first.box;
    project.changeBox('rescue', { made, room: { ...room, high: { ...room.high, floor: zero } } });
    expect(project.document?.box.made).toEqual(made);
    project.changeBox('option', { style: withOption(first.box.style, 'lid', 'half') });
    expect(project.document?.box.made).toEqual(made);
    const drawer = allStyles.find(({ id }) => id === 'drawer');
    if (drawer) project.changeBox('kind of box', { style: drawer.usual });
    expect(project.document?.box.made).toEqual([]);
    project.undo();
    expect(project.document?.box.made).toEqual(made);
    // Room that was given up for what is made is asked for again.
    project.forgetMade();
    expect(project.document?.box).toMatchObject({ made: [], room });
  });
});

describe('a box that somebody else has changed', () => {
  const theirs = { ...first, name: 'Theirs' };

  async function inConflict() {
    const project = await opened();
    shelve('x', theirs, 5);
    project.change('name', named('Mine'));
    await vi.advanceTimersByTimeAsync(5000);
    expect(project.saveState).toMatchObject({
      kind: 'conflict',
      clashes: [{ path: ['name'], mine: 'Mine', theirs: 'Theirs' }],
    });
    expect(browser.server.boxes.get('x')?.value).toEqual(theirs);
    return project;
  }

  it('takes both changes where they touch different fields', async () => {
    const project = await opened();
    shelve('x', { ...first, box: { ...first.box, lean: 'tight' } }, 5);
    project.change('name', named('Mine'));
    expect(await settled()).toMatchObject({ name: 'Mine', box: { lean: 'tight' } });
    expect(project.document?.box.lean).toBe('tight');
    expect(project.saveState.kind).toBe('saved');
  });

  it('is stored over theirs only when the maker says so', async () => {
    const project = await inConflict();
    project.keepMine();
    expect((await settled())?.name).toBe('Mine');
    expect(project.saveState.kind).toBe('saved');
  });

  it('goes on with theirs, and undo leads back to mine', async () => {
    const project = await inConflict();
    project.takeTheirs();
    expect(project.document).toEqual(theirs);
    project.undo();
    expect(project.document?.name).toBe('Mine');
    expect((await settled())?.name).toBe('Mine');
  });

  it('is kept twice when neither may be lost', async () => {
    const project = await inConflict();
    const keeping = project.keepBoth();
    await vi.advanceTimersByTimeAsync(100);
    const copy = await keeping;
    expect(browser.server.boxes.get(copy ?? '')?.value.name).toBe('Mine, mine');
    expect((await settled())?.name).toBe('Theirs');
  });

  it('still asks after a reload and another change, and never takes their revision for its own', async () => {
    await inConflict();
    browser.killWindows();
    const again = await opened();
    expect(again.saveState.kind).toBe('conflict');
    again.changeBox('lean', { lean: 'tight' });
    browser.killWindows();
    const third = await opened();
    expect(third.saveState.kind).toBe('conflict');
    expect(third.document).toMatchObject({ name: 'Mine', box: { lean: 'tight' } });
    expect(await settled()).toEqual(theirs);
    third.keepMine();
    expect(await settled()).toMatchObject({ name: 'Mine', box: { lean: 'tight' } });
  });
});

describe('a change that the server never got', () => {
  it('waits in this browser and goes on from there', async () => {
    const project = await opened();
    browser.server.network = 'down';
    project.change('name', named('Kept'));
    await vi.advanceTimersByTimeAsync(2000);
    browser.killWindows();
    browser.server.network = 'up';
    const again = await opened();
    expect(again.document?.name).toBe('Kept');
    again.undo();
    expect(again.document).toEqual(first);
    again.redo();
    expect((await settled())?.name).toBe('Kept');
  });

  it('is sent after a visit elsewhere, though its box is not opened again', async () => {
    const project = await opened();
    browser.server.network = 'down';
    project.change('name', named('Kept'));
    browser.killWindows();
    browser.server.network = 'up';
    await useKeeping().takeUp();
    expect((await settled())?.name).toBe('Kept');
  });

  it('is never asked about where it did arrive, and only the answer was lost', async () => {
    const project = await opened();
    browser.server.network = 'loses answers';
    project.change('name', named('Once'));
    await vi.advanceTimersByTimeAsync(700);
    expect(browser.server.boxes.get('x')?.value.name).toBe('Once');
    // A lone maker types on and closes the page in the middle of it.
    project.change('name', named('Twice'));
    browser.killWindows();
    browser.server.network = 'up';
    const again = await opened();
    expect(again.saveState.kind).not.toBe('conflict');
    expect(again.document?.name).toBe('Twice');
    expect((await settled())?.name).toBe('Twice');
  });

  it('is tried again after the server has failed at it', async () => {
    const project = await opened();
    browser.server.network = 'fails';
    project.change('name', named('Kept'));
    await vi.advanceTimersByTimeAsync(5000);
    expect(project.saveState.kind).toBe('unreachable');
    browser.server.network = 'up';
    expect((await settled())?.name).toBe('Kept');
    expect(project.saveState.kind).toBe('saved');
  });

  it('stays in its own box, whatever is opened next and however slow the network is', async () => {
    const other = { ...first, name: 'Hand lens' };
    for (const network of ['slow', 'away'] as const) {
      browser = newBrowser();
      shelve('x', first);
      shelve('y', other);
      await opened('y');
      const project = await opened('x');
      if (network === 'slow') browser.server.delay = 4000;
      else browser.server.network = 'down';
      project.change('name', named('Of x'));
      const next = await opened('y');
      expect(next.document?.name).toBe('Hand lens');
      next.changeBox('lean', { lean: 'tight' });
      browser.killWindows();
      browser.server.network = 'up';
      await useKeeping().takeUp();
      await opened('y');
      expect(await settled('y')).toEqual({ ...other, box: { ...other.box, lean: 'tight' } });
      expect(await settled('x')).toMatchObject({ name: 'Of x', box: { lean: first.box.lean } });
    }
  });

  it('clashes in its own box only, though its answer comes when another one is open', async () => {
    shelve('y', { ...first, name: 'Hand lens' });
    const project = await opened('x');
    shelve('x', { ...first, name: 'Theirs' }, 5);
    project.change('name', named('Of x'));
    const next = await opened('y');
    await settled();
    expect(next.saveState.kind).toBe('saved');
    expect(next.document?.name).toBe('Hand lens');
    const back = await opened('x');
    expect(back.saveState.kind).toBe('conflict');
    expect(back.document?.name).toBe('Of x');
  });

  it('of one window is not forgotten when another one saves', async () => {
    const one = browser.openWindow();
    const here = await opened();
    const two = browser.openWindow();
    const there = await opened();
    browser.server.network = 'down';
    setActivePinia(one);
    here.change('name', named('One'));
    setActivePinia(two);
    there.changeBox('lean', { lean: 'tight' });
    await vi.advanceTimersByTimeAsync(2000);
    browser.killWindows();
    browser.server.network = 'up';
    await useKeeping().takeUp();
    await settled();
    browser.killWindows();
    await useKeeping().takeUp();
    expect(await settled()).toMatchObject({ name: 'One', box: { lean: 'tight' } });
  });

  it('says that a box is gone, that the server is away, and opens what it knows all the same', async () => {
    expect((await opened('nowhere')).openState).toEqual({ kind: 'missing' });
    browser.server.network = 'down';
    expect((await opened('never seen')).openState).toMatchObject({ kind: 'failed' });
    browser.server.network = 'up';
    await opened();
    browser.killWindows();
    browser.server.network = 'down';
    const away = await opened();
    expect(away.document).toEqual(first);
    away.change('name', named('Made away'));
    browser.server.network = 'up';
    expect((await settled())?.name).toBe('Made away');
  });

  it('to a box that was deleted elsewhere is kept until it is put back', async () => {
    const project = await opened();
    browser.server.boxes.delete('x');
    project.change('name', named('Kept'));
    await vi.advanceTimersByTimeAsync(5000);
    expect(project.saveState.kind).toBe('gone');
    browser.killWindows();
    const again = await opened();
    expect(again.document?.name).toBe('Kept');
    expect(again.saveState.kind).toBe('gone');
  });
});

describe('tools that have changed since a box was planned', () => {
  it('change nothing in it until the maker says so', async () => {
    const { trimmer } = first.box.kit;
    browser.server.items.set(
      'tools',
      new Map([
        [
          trimmer.id,
          {
            revision: 1,
            value: {
              kind: 'trimmers',
              owned: true,
              added: 0,
              tool: { ...trimmer, name: 'Longer arm' },
            },
          },
        ],
      ]),
    );
    const project = await opened();
    expect(project.document).toEqual(first);
    expect(await settled()).toEqual(first);
    expect(project.toolsNow?.trimmer.name).toBe('Longer arm');
    project.takeToolsNow();
    expect(project.toolsNow).toBeUndefined();
    expect((await settled())?.box.kit.trimmer.name).toBe('Longer arm');
  });
});
