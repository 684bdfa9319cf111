export { type ChangeOutcome, type Project } from './project.ts';
export { ProjectStore } from './store.ts';
export { projectRoutes } from './routes.ts';
