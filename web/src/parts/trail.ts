import {
  START_LOCATION,
  type RouteLocationNormalized,
  type Router,
  type RouterScrollBehavior,
} from 'vue-router';
import { boxOf } from './beside.ts';

/** Milliseconds that a view has to become as long as it was, and how often that is looked at. */
const untilGivenUp = 4000;
const between = 50;

/** How far each part of a view was scrolled, by its name. */
type Places = ReadonlyMap<string, number>;

const page = 'page';
const left = new Map<string, Places>();
let cameFrom: RouteLocationNormalized | undefined;

/** What scrolls in the view, by its name: the page, and what is marked by `data-scrolls`. */
function scrollers(): ReadonlyMap<string, Element> {
  const named = [...document.querySelectorAll<HTMLElement>('[data-scrolls]')].map(
    (element): [string, Element] => [element.dataset.scrolls ?? '', element],
  );
  const whole = document.scrollingElement;
  return new Map(whole ? [...named, [page, whole]] : named);
}

/** Scrolls to where a view was left; whether it is as long again. */
function goTo(places: Places): boolean {
  const now = scrollers();
  return [...places].every(([name, top]) => {
    const element = now.get(name);
    if (!element) return top === 0;
    element.scrollTop = top;
    return Math.abs(element.scrollTop - top) <= 1;
  });
}

/** The same until it is there, part by part, or the maker does something themselves. */
async function settle(places: Places): Promise<void> {
  const acted = new AbortController();
  for (const act of ['wheel', 'touchstart', 'pointerdown', 'keydown'] as const)
    window.addEventListener(act, () => acted.abort(), { capture: true, signal: acted.signal });
  const end = performance.now() + untilGivenUp;
  while (!acted.signal.aborted && !goTo(places) && performance.now() < end)
    await new Promise((resolve) => setTimeout(resolve, between));
  acted.abort();
}

/** Notes where the maker comes from, and how far what they leave was scrolled. */
export function keepTrail(router: Router): void {
  router.beforeEach((to, from) => {
    if (to.path === from.path) return;
    const places = [...scrollers()].map(([name, { scrollTop }]): [string, number] => [
      name,
      scrollTop,
    ]);
    left.set(from.path, new Map(places));
  });
  router.afterEach((to, from) => {
    if (to.path !== from.path) cameFrom = from;
  });
}

/** A view that is come back to is where it was left; any other begins at its top. */
export const scrollTo: RouterScrollBehavior = (to, from, saved) => {
  if (to.path === from.path) return false;
  // A page that begins at its top is there: to scroll it would have it laid out before it has come.
  if (from === START_LOCATION && !saved) return false;
  // A page that is loaded anew knows only what the browser has kept.
  const places = left.get(to.path) ?? new Map([[page, saved?.top ?? 0]]);
  void settle(places);
  return false;
};

/** Whether the maker comes from another view of a box, or from one that stands beside it. */
export function cameFromViewOf(box: string): boolean {
  if (!cameFrom) return false;
  return cameFrom.params.id === box || boxOf(cameFrom.query) === box;
}
