export { FirstSights } from './first-sights.ts';
export { pageRoutes } from './routes.ts';
