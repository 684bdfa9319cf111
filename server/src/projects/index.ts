export { type ChangeOutcome, type Project } from './project.ts';
export { ProjectStore, type Shelf } from './store.ts';
export { projectRoutes } from './routes.ts';
