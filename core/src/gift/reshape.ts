import { largest, millimetres, smallest, times } from '../length/index.ts';
import { extentsOf } from './extents.ts';
import type { GiftItem } from './gift.ts';

/** The thing in another shape that takes up about the same space. */
export function reshape(item: GiftItem, shape: GiftItem['shape']): GiftItem {
  if (item.shape === shape) return item;
  const { across, deep, high } = extentsOf(item);
  const least = millimetres(3);
  switch (shape) {
    case 'block':
    case 'lumpy':
      return { shape, across, deep, high: largest(high, least) };
    case 'card':
      return { shape, across, deep, thick: smallest(high, millimetres(50)) };
    case 'ball':
      return { shape, diameter: largest(across, deep, high) };
    case 'bottle': {
      const lies = across > 2 * high && across > 2 * deep;
      const tall = largest(lies ? across : high, millimetres(20));
      const wide = largest(lies ? high : across, deep, least);
      return {
        shape,
        ...(lies && { lies: 'lying' }),
        diameter: wide,
        body: times(tall, 0.6),
        shoulder: times(tall, 0.15),
        neck: times(tall, 0.25),
        neckDiameter: largest(times(wide, 0.4), least),
      };
    }
    case 'cylinder':
      return across > 2 * high && across > 2 * deep
        ? { shape, lies: 'lying', length: across, diameter: largest(deep, high, least) }
        : {
            shape,
            lies: 'standing',
            length: largest(high, least),
            diameter: largest(across, deep),
          };
  }
}
