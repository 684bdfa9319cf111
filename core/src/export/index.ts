export { foldFile, foldFileSchema, type FoldFile } from './fold-file.ts';
export { svgPattern } from './svg-pattern.ts';
