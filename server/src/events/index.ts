export { Announcer, type Change } from './announcer.ts';
export { eventRoutes } from './routes.ts';
