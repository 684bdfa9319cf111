export { pictureRoutes } from './routes.ts';
export { PictureStore } from './store.ts';
