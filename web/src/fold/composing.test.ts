import fc from 'fast-check';
import { PerspectiveCamera, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { distanceFor, middleOf, type Place } from './composing.ts';

const length = fc.double({ min: -200, max: 200, noNaN: true });
const place = fc.record({ x: length, y: length, z: length });
/** Never all of them in one place. */
const places = fc
  .array(place, { maxLength: 30 })
  .map((all): readonly Place[] => [...all, { x: 0, y: 0, z: 0 }, { x: 30, y: 20, z: 10 }]);
/** From above and from any side, as a box may be looked at. */
const seenFrom = fc
  .record({
    round: fc.double({ min: 0, max: 2 * Math.PI, noNaN: true }),
    over: fc.double({ min: 0.05, max: Math.PI * 0.49, noNaN: true }),
  })
  .map(({ round, over }): Place => ({
    x: Math.sin(over) * Math.sin(round),
    y: Math.cos(over),
    z: Math.sin(over) * Math.cos(round),
  }));
const aspect = fc.double({ min: 0.4, max: 3, noNaN: true });

function vectorOf({ x, y, z }: Place): Vector3 {
  return new Vector3(x, y, z);
}

describe('a picture of a box', () => {
  it('holds all of it as it is seen by the camera, as large as it may be', () => {
    fc.assert(
      fc.property(places, seenFrom, aspect, (all, away, aspect) => {
        const target = middleOf(all, away);
        const camera = new PerspectiveCamera(32, aspect, 0.1, 1e6);
        const tangent = Math.tan((16 * Math.PI) / 180);
        const filled = { across: 0.9, high: 0.7 };
        const distance = distanceFor(all, { away, target, tangent, aspect, filled });
        camera.position.copy(vectorOf(away).multiplyScalar(distance).add(vectorOf(target)));
        camera.lookAt(vectorOf(target));
        camera.updateMatrixWorld();
        const seen = all.map((each) => vectorOf(each).project(camera));
        const across = Math.max(...seen.map(({ x }) => Math.abs(x))) / filled.across;
        const high = Math.max(...seen.map(({ y }) => Math.abs(y))) / filled.high;
        expect(Math.max(across, high)).toBeCloseTo(1, 3);
      }),
    );
  });

  it('has it in the middle, from wherever it is seen', () => {
    fc.assert(
      fc.property(places, seenFrom, (all, away) => {
        const middle = vectorOf(middleOf(all, away));
        const camera = new PerspectiveCamera();
        camera.position.copy(vectorOf(away));
        camera.lookAt(0, 0, 0);
        camera.updateMatrixWorld();
        const seen = all.map((each) =>
          vectorOf(each)
            .sub(middle)
            .transformDirection(camera.matrixWorldInverse)
            .setLength(vectorOf(each).distanceTo(middle)),
        );
        for (const way of ['x', 'y'] as const) {
          const at = seen.map((each) => each[way]);
          expect(Math.max(...at) + Math.min(...at)).toBeCloseTo(0, 4);
        }
      }),
    );
  });
});
