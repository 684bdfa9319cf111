import { createPinia, setActivePinia } from 'pinia';
import { beforeEach, expect, it } from 'vitest';
import { storeInMemory } from '../keeping/browser-store.ts';
import { useDrafts } from '../stores/drafts.ts';
import { leaveOlderSight } from './leave-first-sight.ts';

beforeEach(() => {
  sessionStorage.clear();
  setActivePinia(createPinia());
  document.body.innerHTML = '<div id="first-sight"></div><div id="app"></div>';
});

async function isLeft(path: string, store = storeInMemory()): Promise<boolean> {
  await leaveOlderSight(path, Promise.resolve(store));
  return document.getElementById('first-sight') === null;
}

it('what the server has shown stays where this browser knows nothing better', async () => {
  const store = storeInMemory();
  await store.write('changes', ['boxes', 'y', 'window 1'], { mine: 'another box' });
  await store.write('changes', ['tools', 'x', 'window 1'], { mine: 'a tool' });
  await store.write('held', ['boxes', 'x'], { revision: 1 });
  useDrafts().keep('y name', { text: '', message: 'Give the box a name.' });
  useDrafts().forget('x name');
  expect(await isLeft('/box/x', store)).toBe(false);
});

it('it goes where the box was changed here, in whichever window', async () => {
  const store = storeInMemory();
  await store.write('changes', ['boxes', 'x', 'window 7'], { mine: 'a box' });
  expect(await isLeft('/box/x', store)).toBe(true);
});

it('it goes where an entry of the box can’t be taken yet', async () => {
  useDrafts().keep('x gift.across', { text: 'two', message: 'This is not a length.' });
  await Promise.resolve();
  expect(await isLeft('/box/x')).toBe(true);
});

it('the shelf goes where any box on it was changed here', async () => {
  const store = storeInMemory();
  await store.write('changes', ['tools', 'x', 'window 1'], { mine: 'a tool' });
  expect(await isLeft('/', store)).toBe(false);
  await store.write('changes', ['boxes', 'y', 'window 7'], { mine: 'a box' });
  expect(await isLeft('/', store)).toBe(true);
});
