export { svgPattern } from './svg-pattern.ts';
