export { seedDemo } from './seed.ts';
export { demoProjects } from './boxes.ts';
