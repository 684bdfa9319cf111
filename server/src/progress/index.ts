export { ProgressStore } from './store.ts';
export { progressRoutes } from './routes.ts';
