import { plus } from '../length/index.ts';
import type { Cutout, Spot } from '../piece/index.ts';

/** The same cutout so far to the right and down. */
export function moveCutout(cutout: Cutout, by: Spot): Cutout {
  const moved = ({ x, y }: Spot): Spot => ({ x: plus(x, by.x), y: plus(y, by.y) });
  switch (cutout.shape) {
    case 'trim':
      return { ...cutout, corners: cutout.corners.map(moved) };
    case 'corner':
      return { ...cutout, at: moved(cutout.at) };
    case 'hole':
    case 'notch':
      return { ...cutout, centre: moved(cutout.centre) };
  }
}
