import { extentsOf, largest, type Gift } from '@rangoli/core';

/** The gift in another shape that takes up about the same space. */
export function reshape(gift: Gift, shape: Gift['shape']): Gift {
  if (gift.shape === shape) return gift;
  const { across, deep, high } = extentsOf(gift);
  if (shape === 'block') return { shape, across, deep, high };
  const lies = across > 2 * high && across > 2 * deep ? 'lying' : 'standing';
  return lies === 'lying'
    ? { shape, lies, length: across, diameter: largest(deep, high) }
    : { shape, lies, length: high, diameter: largest(across, deep) };
}
