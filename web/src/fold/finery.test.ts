import {
  closedFaces,
  inchFraction,
  millimetres,
  planBox,
  stockPaper,
  usualRequest,
  zero,
  type AdditionChoice,
  type PlacedFace,
  type RibbonChoice,
  type Vector,
} from '@rangoli/core';
import fc from 'fast-check';
import { expect, it } from 'vitest';
import { foldingBoxOf } from './box-faces.ts';
import { fineryOf } from './finery.ts';

const sundial = {
  shape: 'block' as const,
  across: inchFraction(37, 16),
  deep: inchFraction(33, 16),
  high: inchFraction(25, 16),
};

const layer = { margin: zero, paper: stockPaper('comet'), standsOff: false };
const tag: AdditionChoice = {
  addition: 'tag',
  id: 'tag-1',
  shape: 'clipped',
  width: millimetres(40),
  height: millimetres(60),
  isFolded: false,
  hasHole: true,
  layers: [layer, { ...layer, margin: millimetres(3), standsOff: true }],
};

function reach(faces: readonly PlacedFace[], axis: keyof Vector) {
  const at = faces.flatMap(({ ring }) => ring.map((place) => place[axis]));
  return { from: Math.min(...at), to: Math.max(...at) };
}

it('ribbons lie close round the closed box, bows are as wide as they are asked for, and the tag is beside it', () => {
  const ways: readonly RibbonChoice['way'][] = ['walls', 'across', 'deep', 'crossed', 'lid deep'];
  fc.assert(
    fc.property(
      fc.constantFrom(...ways),
      fc.integer({ min: 3, max: 20 }),
      fc.integer({ min: 30, max: 120 }),
      fc.boolean(),
      (way, width, bow, isFolded) => {
        const usual = usualRequest(sundial, 'inch');
        const ribbon: AdditionChoice = {
          addition: 'ribbon',
          id: 'ribbon-1',
          way,
          width: millimetres(width),
          bow: millimetres(bow),
        };
        const request = { ...usual, additions: [ribbon, { ...tag, isFolded }] };
        const result = planBox(request);
        if (!result.ok) throw new Error(result.problems[0]?.message);
        const papers = [...usual.papers, ...tag.layers.map(({ paper }) => paper)] as const;
        const [first, ...more] = papers;
        const box = foldingBoxOf(result.plan, [first, ...more]);
        const closed = closedFaces(box);
        const finery = fineryOf(result.plan, [first, ...more], { box, closed });
        const [tied, hung] = [true, false].map((isRibbon) =>
          (finery?.faces ?? []).filter(({ part }) => (part === 'ribbon') === isRibbon),
        );
        if (!tied || !hung) throw new Error('Nothing is put on');
        const bowed = tied.filter(({ ring }) => ring.length > 4);
        expect(bowed).toHaveLength(2);
        const loops = reach(bowed, 'x');
        expect(loops.to - loops.from).toBeCloseTo(bow, 6);
        // What is no bow goes round the box, and no more than a hair outside it.
        const isBow = ({ ring, out }: PlacedFace) =>
          ring.length > 4 || (way === 'walls' ? out.y > 0.9 : out.z < -0.9);
        for (const axis of ['x', 'y', 'z'] as const) {
          const [own, whole] = [tied.filter((each) => !isBow(each)), closed].map((faces) =>
            reach(faces, axis),
          );
          if (!own || !whole) throw new Error('No reach');
          expect(own.from).toBeGreaterThan(whole.from - 1.5);
          expect(own.to).toBeLessThan(whole.to + 1.5);
        }
        expect(reach(hung, 'x').from).toBeGreaterThan(reach(closed, 'x').to);
        expect(reach(hung, 'z').from).toBeGreaterThanOrEqual(0);
      },
    ),
    { numRuns: 20 },
  );
});
