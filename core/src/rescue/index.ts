export { doneSoFar } from './done-so-far.ts';
export { type DoneSoFar, type Mishap } from './mishap.ts';
export { redone } from './redo.ts';
export { setAside } from './set-aside.ts';
export { rescue, type Rescue, type WayOn } from './rescue.ts';
