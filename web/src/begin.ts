import { startPlanning } from './planner/planner.ts';
import { viewAt, views } from './views.ts';

// Small, so that it runs while the rest is still on its way: what the view needs and the planner come side by side
// with the application itself.
startPlanning();
views[viewAt(window.location.pathname)]().catch(() => {
  // It is asked for again by the router, who tells what is wrong.
});
void import('./main.ts');
