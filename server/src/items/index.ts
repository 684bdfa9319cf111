export { itemRoutes } from './routes.ts';
export { ItemStore, lessonItems, paperItems, toolItems, type Items } from './store.ts';
