import { describe, expect, it } from 'vitest';
import type { DrawnFace } from '../fold/axonometric.ts';
import { coveringFaces } from './covering-faces.ts';

/** A square face of a picture, so large, from a corner on. */
function square(x: number, y: number, size: number): DrawnFace {
  const outline = [
    { x, y },
    { x: x + size, y },
    { x: x + size, y: y + size },
    { x, y: y + size },
  ];
  const middle = { x: x + size / 2, y: y + size / 2 };
  return {
    part: 'box',
    face: 0,
    shows: 'inside',
    path: '',
    fill: '',
    isClear: false,
    outline,
    middle,
  };
}

describe('faces that lie over one that is to be seen', () => {
  const seen = square(0, 0, 10);

  it('are those nearer to the eye that hide half of it or more', () => {
    const [over, beside, half] = [square(-1, -1, 12), square(20, 0, 10), square(-6, 0, 10)];
    const faces = [square(-1, -1, 12), seen, over, beside, half];
    const found = coveringFaces(faces, (face) => face === seen);
    // What lies behind hides nothing, nor does what lies beside.
    expect([...found]).toEqual([2]);
    const wider = coveringFaces([seen, square(-4, 0, 10)], (face) => face === seen);
    expect([...wider]).toEqual([1]);
    // What is to be seen itself may lie over another that is.
    const both = coveringFaces([seen, over, square(-2, -2, 14)], (face) =>
      [seen, over].includes(face),
    );
    expect([...both]).toEqual([2]);
  });

  it('are none where nothing is to be seen, or all is', () => {
    const faces = [seen, square(-1, -1, 12)];
    expect(coveringFaces(faces, () => false).size).toBe(0);
    expect(coveringFaces(faces, () => true).size).toBe(0);
  });
});
