import './no-eval.ts';
import { askAhead } from './api/ahead.ts';
import { openBrowserStore } from './keeping/browser-store.ts';
import { planAhead, startPlanning } from './planner/planner.ts';
import { boxAt, viewAt, views } from './views.ts';

// Small, so that it runs while the rest is still on its way: the planner, the box, what this browser keeps and what
// the view needs come side by side with the application itself.
const { pathname } = window.location;
startPlanning();
void openBrowserStore();
const box = boxAt(pathname);
if (box !== undefined) void planAhead(askAhead(`/projects/${box}`).then(documentIn));
views[viewAt(pathname)]().catch(() => {
  // It is asked for again by the router, who tells what is wrong.
});
void import('./main.ts');

async function documentIn(answer: Response): Promise<unknown> {
  const told: unknown = await answer.clone().json();
  return typeof told === 'object' && told !== null && 'document' in told
    ? told.document
    : undefined;
}
