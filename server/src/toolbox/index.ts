export { ToolboxStore } from './store.ts';
export { toolboxRoutes } from './routes.ts';
