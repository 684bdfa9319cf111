import './no-eval.ts';
import { boxAt, viewAt } from './addresses.ts';
import { askAhead } from './api/ahead.ts';
import { contentsPath, shelfPath, wholeShelf } from './api/shelf-paths.ts';
import { leaveOlderSight } from './first-sight/leave-first-sight.ts';
import { openBrowserStore } from './keeping/browser-store.ts';
import { planAhead, startPlanning } from './planner/planner.ts';
import { views } from './views.ts';

// Small, so that it runs while the rest is still on its way: the planner, the box or the shelf, what this browser keeps
// and what the view needs come side by side with the application itself.
const { pathname } = window.location;
startPlanning();
void leaveOlderSight(pathname, openBrowserStore());
const box = boxAt(pathname);
if (box !== undefined) void planAhead(askAhead(`/projects/${box}`).then(documentIn));
const view = viewAt(pathname);
if (view === 'shelf') {
  void askAhead(shelfPath(wholeShelf));
  void askAhead(contentsPath);
}
views[view]().catch(() => {
  // It is asked for again by the router, who tells what is wrong.
});
void import('./main.ts');

async function documentIn(answer: Response): Promise<unknown> {
  const told: unknown = await answer.clone().json();
  return typeof told === 'object' && told !== null && 'document' in told
    ? told.document
    : undefined;
}
