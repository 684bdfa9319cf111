export { findWaysOut, waysOut } from './find-ways-out.ts';
export type { WayOut, WayOutKind } from './way-out.ts';
