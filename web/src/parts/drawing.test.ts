import {
  cutSizeOf,
  millimetres,
  planBox,
  toMillimetres,
  usualRequest,
  reshape,
} from '@rangoli/core';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { drawGift } from '../box/gift-solid.ts';
import { placeOfRoom, roomAt, roomSteps } from '../box/room-scale.ts';
import { fileName } from '../box/save-file.ts';
import { isDark, shade } from './colour.ts';
import { layPieces } from './lay-pieces.ts';
import { drawPiece } from './piece-paths.ts';
import { placeMeasures } from './place-measures.ts';

const side = fc.integer({ min: 8, max: 120 }).map(millimetres);
const block = fc.record({
  shape: fc.constant('block' as const),
  across: side,
  deep: side,
  high: fc.integer({ min: 3, max: 45 }).map(millimetres),
});

function figures(path: string): readonly number[] {
  return [...path.matchAll(/-?\d+(\.\d+)?/g)].map(([figure]) => Number(figure));
}

describe('pieces on a mat', () => {
  it('lie inside it, apart, to one scale, and as large as it allows', () => {
    const room = { title: 30, titleWidth: 0, measures: 40, between: 20, border: 10 };
    const size = fc.record({
      width: fc.integer({ min: 300, max: 1200 }),
      height: fc.integer({ min: 300, max: 900 }),
    });
    fc.assert(
      fc.property(block, size, (gift, { width, height }) => {
        const result = planBox(usualRequest(gift, 'mm'));
        if (!result.ok) return;
        const { pieces, scale } = layPieces(result.plan.pieces, width, height, room);
        for (const { piece, x, y, width: w, height: h } of pieces) {
          expect(x).toBeGreaterThanOrEqual(room.border - 0.01);
          expect(y).toBeGreaterThanOrEqual(room.title);
          expect(x + w + room.measures).toBeLessThanOrEqual(width);
          expect(y + h + room.measures).toBeLessThanOrEqual(height + 0.01);
          expect(w / toMillimetres(cutSizeOf(piece.grid).width)).toBeCloseTo(scale, 6);
          const outline = figures(drawPiece(piece).outline);
          expect(Math.max(...outline) * scale).toBeLessThanOrEqual(Math.max(w, h) + 0.01);
        }
        const [one, other] = pieces;
        if (!one || !other) throw new Error('A lidded box has two pieces');
        expect(one.x + one.width < other.x || one.y + one.height < other.y).toBe(true);
      }),
    );
  });
});

describe('measures along an edge', () => {
  it('cover none of the others, and tell every section once', () => {
    const run = fc.record({
      length: fc.integer({ min: 1, max: 60 }),
      times: fc.integer({ min: 1, max: 6 }),
    });
    fc.assert(
      fc.property(fc.array(run, { minLength: 1, maxLength: 6 }), (runs) => {
        const sections = runs.flatMap(({ length, times }) =>
          Array.from({ length: times }, () => millimetres(length)),
        );
        const positions = sections.reduce<readonly number[]>(
          (ends, section) => [...ends, (ends.at(-1) ?? 0) + toMillimetres(section)],
          [0],
        );
        const room = (_: unknown, times: number) => (times > 1 ? 40 : 20);
        const placed = placeMeasures(sections, positions, room);
        expect(placed.reduce((sum, { times }) => sum + times, 0)).toBe(sections.length);
        expect(
          placed.flatMap(({ length, times }) => Array.from({ length: times }, () => length)),
        ).toEqual(sections);
        placed.forEach((one, i) => {
          for (const other of placed.slice(i + 1))
            if (one.line === other.line)
              expect(other.at - one.at).toBeGreaterThanOrEqual(
                (room(0, one.times) + room(0, other.times)) / 2 - 1e-9,
              );
        });
      }),
    );
  });
});

describe('a drawn gift', () => {
  it('fills its frame in one direction and stays inside it, whatever its shape', () => {
    const shape = fc.constantFrom('block' as const, 'cylinder' as const);
    fc.assert(
      fc.property(block, shape, (gift, wanted) => {
        const solid = drawGift(reshape(gift, wanted), 150, 90);
        expect(Math.max(solid.width / 150, solid.height / 90)).toBeCloseTo(1, 6);
        for (const { path } of solid.faces)
          figures(path).forEach((figure, i) => {
            expect(figure).toBeGreaterThanOrEqual(-0.01);
            expect(figure).toBeLessThanOrEqual((i % 2 === 0 ? solid.width : solid.height) + 0.01);
          });
      }),
    );
  });

  it('takes up its old space at the least when its shape is changed, and none more the way back', () => {
    fc.assert(
      fc.property(block, (gift) => {
        const round = reshape(gift, 'cylinder');
        const back = reshape(round, 'block');
        if (back.shape !== 'block') throw new Error('It should be a block again');
        expect(back.across).toBeGreaterThanOrEqual(gift.across);
        expect(back.deep).toBeGreaterThanOrEqual(gift.deep);
        expect(back.high).toBeGreaterThanOrEqual(gift.high);
        expect(reshape(reshape(back, 'cylinder'), 'block')).toEqual(back);
      }),
    );
  });
});

describe('the room slider', () => {
  it('grows along its way and finds its place again', () => {
    const place = fc.integer({ min: 0, max: roomSteps });
    fc.assert(
      fc.property(place, place, fc.constantFrom('inch' as const, 'mm' as const), (a, b, unit) => {
        if (a < b) expect(roomAt(a, unit)).toBeLessThanOrEqual(roomAt(b, unit));
        // Within one mark of the ruler, which is at most 25 steps of the slider.
        expect(Math.abs(placeOfRoom(roomAt(a, unit)) - a)).toBeLessThanOrEqual(25);
      }),
    );
    expect(placeOfRoom(millimetres(0))).toBe(0);
    expect(placeOfRoom(millimetres(40))).toBe(roomSteps);
  });
});

describe('small things', () => {
  it('names files by what is in the name only', () => {
    fc.assert(
      fc.property(fc.string({ unit: 'binary' }), (name) => {
        expect(fileName(name, 'svg')).toMatch(/^[\p{L}\p{N}]+(-[\p{L}\p{N}]+)*\.svg$/u);
      }),
    );
    expect(fileName('Pocket sundial, open night', 'svg')).toBe('pocket-sundial-open-night.svg');
    expect(fileName('…', 'svg')).toBe('box.svg');
  });

  it('draws white lines on dark card and ink on light, and shades towards both', () => {
    expect(['#32499b', '#14302d', '#4a3d86'].map(isDark)).toEqual([true, true, true]);
    expect(['#f3e6cf', '#ffffff', '#8fb7d9'].map(isDark)).toEqual([false, false, false]);
    expect(shade('#808080', -1)).toBe('rgb(0 0 0)');
    expect(shade('#808080', 1)).toBe('rgb(255 255 255)');
    expect(shade('#102030', 0)).toBe('rgb(16 32 48)');
  });
});
