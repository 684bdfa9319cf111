import { newProject, type ProjectDocument } from '@rangoli/core';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useKeeping } from '../stores/keeping.ts';
import { newBrowser, type FakeBrowser } from '../testing/fake-browser.ts';

const stored: ProjectDocument = { ...newProject('inch'), name: 'Hand lens' };
const changed: ProjectDocument = { ...stored, name: 'Hand lens, gift' };
const key = 'rangoli.unsaved.lens';
let browser: FakeBrowser;

beforeEach(() => {
  vi.useFakeTimers();
  browser = newBrowser();
  browser.server.boxes.set('lens', { revision: 3, value: stored });
});

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** What is on the shelf after a visit of this version. */
async function visited(): Promise<readonly string[]> {
  await useKeeping().takeUp();
  await vi.advanceTimersByTimeAsync(60_000);
  return [...browser.server.boxes.values()].map(({ value }) => value.name);
}

describe('a change that an earlier version has left in this browser', () => {
  it('goes on where its box is as it was, and is not forgotten before', async () => {
    localStorage.setItem(key, JSON.stringify({ revision: 3, document: changed }));
    browser.server.network = 'down';
    expect(await visited()).toEqual(['Hand lens']);
    expect(localStorage.getItem(key)).not.toBeNull();
    browser.killWindows();
    browser.server.network = 'up';
    expect(await visited()).toEqual(['Hand lens, gift']);
    expect(localStorage.getItem(key)).toBeNull();
  });

  it.each([
    {
      name: 'was changed since',
      boxes: [['lens', 9]],
      after: ['Hand lens', 'Hand lens, gift, mine'],
    },
    { name: 'is gone', boxes: [], after: ['Hand lens, gift, mine'] },
  ] as const)('becomes a box of its own where its box $name', async ({ boxes, after }) => {
    browser.server.boxes.clear();
    for (const [id, revision] of boxes) browser.server.boxes.set(id, { revision, value: stored });
    localStorage.setItem(key, JSON.stringify({ revision: 3, document: changed }));
    expect(await visited()).toEqual(after);
    expect(localStorage.getItem(key)).toBeNull();
  });
});
