import type { Gift, GiftItem } from './gift.ts';

function itemWays(item: GiftItem): readonly GiftItem[] {
  if ((item.shape === 'cylinder' || item.shape === 'bottle') && item.lies === 'free')
    return (['standing', 'lying'] as const).map((lies) => ({ ...item, lies }));
  if ((item.shape === 'block' || item.shape === 'lumpy') && item.up === 'free')
    return (['high', 'deep', 'across'] as const).map((up) => ({ ...item, up }));
  return [item];
}

/**
 * Every way up in which a gift may stand, each as a gift that stands that way; one where nothing is free.
 * Different things side by side are turned one at a time, the others as they were measured.
 */
export function waysUp(gift: Gift): readonly Gift[] {
  if (gift.shape === 'several') return itemWays(gift.item).map((item) => ({ ...gift, item }));
  if (gift.shape !== 'set') return itemWays(gift);
  const first = gift.items.map((item) => itemWays(item)[0] ?? item);
  const turned = gift.items.flatMap((item, i) =>
    itemWays(item)
      .slice(1)
      .map((way): Gift => ({ ...gift, items: first.map((each, j) => (i === j ? way : each)) })),
  );
  return [{ ...gift, items: first }, ...turned];
}
