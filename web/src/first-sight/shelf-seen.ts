import { leaveFirstSight } from './leave-first-sight.ts';

/** The boxes on the shelf as the server has shown them; none where it has not. */
function seenBoxes(): HTMLCollection | undefined {
  return document.querySelector('#first-sight .shelf')?.children;
}

/** What the server has shown of a box on the shelf, its pieces and all, as HTML; undefined where it has drawn none. */
export function drawnOnShelf(box: string): string | undefined {
  const link = [...(seenBoxes() ?? [])]
    .map((card) => card.querySelector('a'))
    .find((each) => each?.getAttribute('href') === `/box/${box}`);
  return link?.querySelector('.mat:empty') === null ? link.innerHTML : undefined;
}

/** Takes away what the server has shown of the shelf once the page has as many boxes there, of so many in all. */
export function leaveShelfSight({
  shown,
  boxes,
}: {
  readonly shown: number;
  readonly boxes: number;
}): void {
  const seen = seenBoxes()?.length ?? 0;
  if (shown >= Math.min(seen, boxes)) leaveFirstSight();
}
