export { type ChangeOutcome, type Project } from './project.ts';
export { ProjectStore, wholeShelf, type Shelf, type ShelfContents } from './store.ts';
export { projectRoutes } from './routes.ts';
