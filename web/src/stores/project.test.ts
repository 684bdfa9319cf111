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
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { StoredProject } from '../api/projects.ts';
import { useProject } from './project.ts';

const first: ProjectDocument = { ...newProject('inch'), name: 'Pocket sundial, open night' };

/** The shelf on the server; somebody else may have been there. */
const server = {
  shelf: new Map<string, StoredProject>(),
  isAway: false,
};

function stored(id: string, document: ProjectDocument, revision = 1): StoredProject {
  return { id, revision, updatedAt: '', document };
}

vi.mock('../api/projects.ts', async (original) => {
  const api = await original<typeof import('../api/projects.ts')>();
  const find = (id: string) => {
    if (server.isAway) throw new api.Unreachable();
    const found = server.shelf.get(id);
    if (!found) throw new api.Refusal(404, 'It is not on the shelf.');
    return found;
  };
  return {
    ...api,
    readProject: (id: string) => Promise.resolve().then(() => find(id)),
    createProject: (document: ProjectDocument) => {
      const made = stored(`copy ${String(server.shelf.size)}`, document);
      server.shelf.set(made.id, made);
      return Promise.resolve(made);
    },
    updateProject: (id: string, revision: number, document: ProjectDocument) =>
      Promise.resolve().then(() => {
        const found = find(id);
        if (found.revision !== revision) throw new api.Refusal(409, 'Changed meanwhile.', found);
        const next = stored(id, document, revision + 1);
        server.shelf.set(id, next);
        return next;
      }),
  };
});
vi.mock('../api/toolbox.ts', () => ({
  readToolbox: () => new Promise(() => undefined),
  writeToolbox: () => Promise.resolve(),
}));

beforeEach(() => {
  vi.useFakeTimers();
  localStorage.clear();
  sessionStorage.clear();
  server.shelf = new Map([['x', stored('x', first)]]);
  server.isAway = false;
  setActivePinia(createPinia());
});

afterEach(() => {
  vi.useRealTimers();
});

async function opened() {
  const project = useProject();
  await project.open('x');
  return project;
}

/** The page goes away, with whatever it meant to try again. */
function leave(): void {
  vi.clearAllTimers();
  setActivePinia(createPinia());
}

/** What stands on the server once all is quiet. */
async function settled(): Promise<ProjectDocument | undefined> {
  await vi.advanceTimersByTimeAsync(30_000);
  return server.shelf.get('x')?.document;
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
        server.shelf.set('x', stored('x', first));
        setActivePinia(createPinia());
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
        server.shelf.set('x', stored('x', first));
        setActivePinia(createPinia());
        const project = await opened();
        for (const unit of looks) {
          project.readIn(unit);
          expect(project.document?.box.unit).toBe(unit);
          expect(project.document?.box.gift).toEqual(first.box.gift);
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
    server.shelf.set('x', stored('x', theirs, 5));
    project.change('name', (document) => ({ ...document, name: 'Mine' }));
    await vi.advanceTimersByTimeAsync(5000);
    expect(project.saveState.kind).toBe('conflict');
    expect(server.shelf.get('x')?.document).toEqual(theirs);
    return project;
  }

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
    const copy = await project.keepBoth();
    expect(server.shelf.get(copy ?? '')?.document.name).toBe('Mine, mine');
    expect((await settled())?.name).toBe('Theirs');
  });
});

describe('a change that the server never got', () => {
  it('waits in this browser and goes on from there', async () => {
    const project = await opened();
    server.isAway = true;
    project.change('name', (document) => ({ ...document, name: 'Kept' }));
    await vi.advanceTimersByTimeAsync(2000);
    project.flushOnLeave();
    await vi.advanceTimersByTimeAsync(1);
    leave();
    server.isAway = false;
    const again = await opened();
    expect(again.document?.name).toBe('Kept');
    again.undo();
    expect(again.document).toEqual(first);
    again.redo();
    expect((await settled())?.name).toBe('Kept');
  });

  it('meets what others did meanwhile as a conflict, and nothing is lost', async () => {
    const project = await opened();
    server.isAway = true;
    project.change('name', (document) => ({ ...document, name: 'Kept' }));
    await vi.advanceTimersByTimeAsync(2000);
    leave();
    server.isAway = false;
    server.shelf.set('x', stored('x', { ...first, name: 'Theirs' }, 3));
    const again = await opened();
    expect(again.saveState.kind).toBe('conflict');
    expect(again.document?.name).toBe('Kept');
  });

  it('says that a box is gone, or that the server is away', async () => {
    server.shelf.clear();
    expect((await opened()).openState).toEqual({ kind: 'missing' });
    server.isAway = true;
    expect((await opened()).openState).toMatchObject({ kind: 'failed' });
  });
});
