export { door, mayEnter } from './door.ts';
export { homeAddresses, isAtHome, isThisMachine, type IsOwnName } from './own-names.ts';
export { accessRoutes, type Sharing } from './routes.ts';
export { share, sharingNotice } from './share.ts';
