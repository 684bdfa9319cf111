export { itemRoutes } from './routes.ts';
export { ItemStore, lessonItems, toolItems, type Items } from './store.ts';
