import { beforeEach, expect, it } from 'vitest';
import { drawnOnShelf, leaveShelfSight } from './shelf-seen.ts';

beforeEach(() => {
  const card = (id: string, mat: string) =>
    `<li class="card"><a href="/box/${id}"><span class="mat">${mat}</span><b>${id}</b></a></li>`;
  document.body.innerHTML = `<div id="first-sight"><ul class="shelf">${card('bare', '')}${card(
    'drawn',
    '<svg><path class="card"></path></svg>',
  )}${card('refused', '<i>Too small</i>')}</ul></div><div id="app"></div>`;
});

const isThere = () => document.getElementById('first-sight') !== null;

it('a box is taken as it was drawn, and none that was not', () => {
  expect(drawnOnShelf('drawn')).toContain('<svg>');
  expect(drawnOnShelf('drawn')).toContain('<b>drawn</b>');
  expect(drawnOnShelf('refused')).toContain('Too small');
  expect(drawnOnShelf('bare')).toBeUndefined();
  expect(drawnOnShelf('another')).toBeUndefined();
});

it('it stays until as many boxes are there', () => {
  leaveShelfSight({ shown: 2, boxes: 9 });
  expect(isThere()).toBe(true);
  leaveShelfSight({ shown: 3, boxes: 9 });
  expect(isThere()).toBe(false);
  expect(drawnOnShelf('drawn')).toBeUndefined();
});

it('it goes where there are fewer by now, or none', () => {
  leaveShelfSight({ shown: 1, boxes: 2 });
  expect(isThere()).toBe(true);
  leaveShelfSight({ shown: 2, boxes: 2 });
  expect(isThere()).toBe(false);
});
